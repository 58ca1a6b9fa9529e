// Where a font disagrees with itself, with its file name or with what browsers accept, and what follows from it.

import { finding, type Finding } from '../../findings.js';
import { badNameCharacters, emptyTables } from '../containers/acceptable.js';
import { weightInName, type FaceStyle } from '../face/style.js';
import { fontFormats, type FontFormat } from '../containers/formats.js';
import { overlongKernPairs } from '../layout/kern.js';
import type { Font } from '../sfnt/font.js';
import * as cmap from '../tables/cmap.js';
import * as fvar from '../tables/fvar.js';
import * as head from '../tables/head.js';
import * as os2 from '../tables/os2.js';
import * as post from '../tables/post.js';
import type { VerticalMetrics } from './vertical-metrics.js';

/** Without these Chromium and Firefox refuse a font; WebKit draws it without all but cmap. */
const neededTables = ['cmap', 'head', 'hhea', 'hmtx', 'maxp', 'name', 'OS/2', 'post'] as const;

/** OpenType: head, unitsPerEm. */
const unitsPerEmRange = [16, 16384] as const;
/** Parts of the em; less than this is lost in rounding at reading sizes. */
const visibleDifference = 0.02;

/**
 * @param fileName without its folder; undefined where the font came without one
 * @throws DenseGlyphError `table-missing` or `table-damaged`
 */
export function findingsOf(
  font: Font,
  face: FaceStyle,
  styleFindings: readonly Finding[],
  metrics: VerticalMetrics,
  fileName: string | undefined,
  format: FontFormat,
): Finding[] {
  return [
    ...styleFindings,
    ...fromFileName(face, fileName, format),
    ...fromTables(font),
    ...fromVariations(font),
    ...fromSlant(font, face),
    ...fromMetrics(metrics),
  ];
}

function fromFileName(
  { weight, style }: FaceStyle,
  fileName: string | undefined,
  format: FontFormat,
): Finding[] {
  if (!fileName) return [];
  const stem = fileName.replace(/\.[^.]+$/, '');
  const extension = fileName.slice(stem.length + 1).toLowerCase();
  const found: Finding[] = [];
  if (extension !== format && fontFormats.some((known) => known === extension)) {
    found.push(finding('file-name-format', `the file name says ${extension}, the content is ${format}`));
  }
  const named = weightInName(stem);
  if (named !== undefined && (named < weight[0] - 50 || named > weight[1] + 50)) {
    found.push(finding('file-name-weight', `the file name means weight ${named}, the font is ${weight[0]}`));
  }
  const namedItalic = /italic|oblique/i.test(stem);
  if (namedItalic && style === 'normal') {
    found.push(finding('file-name-style', 'the file name means italic, the font is upright'));
  }
  return found;
}

function fromTables(font: Font): Finding[] {
  const found: Finding[] = [];
  const missing = neededTables.filter((tag) => !font.has(tag));
  if (missing.length > 0) {
    found.push(finding('tables-missing', `the font has no ${missing.join(', ')} table`));
  }
  const empty = emptyTables(font);
  if (empty.length > 0) {
    found.push(
      finding(
        'tables-empty',
        `${empty.length === 1 ? 'a table is' : 'tables are'} empty: ${empty.map((tag) => tag.trim()).join(', ')}`,
      ),
    );
  }
  if (badNameCharacters(font).length > 0) {
    found.push(
      finding(
        'cff-name-invalid',
        'the name inside the CFF table has spaces, or other characters that it must not have',
      ),
    );
  }
  const pairs = overlongKernPairs(font);
  if (pairs !== undefined) {
    found.push(
      finding('kern-too-long', `the kern table has ${pairs} pairs, more than it can state the length of`),
    );
  }
  const { unitsPerEm } = font.table(head);
  if (unitsPerEm < unitsPerEmRange[0] || unitsPerEm > unitsPerEmRange[1]) {
    found.push(
      finding(
        'units-per-em-invalid',
        `head gives the em ${unitsPerEm} units; ${unitsPerEmRange.join(' to ')} are allowed`,
      ),
    );
  }
  const characters = font.optional(cmap);
  if (
    characters &&
    !characters.encodingRecords.some(({ platformID, encodingID }) => isUnicode(platformID, encodingID))
  ) {
    found.push(finding('no-unicode-mapping', 'cmap maps symbols, not Unicode characters'));
  } else if (characters && cmap.glyphIdOf(characters, 0x20) === 0) {
    found.push(finding('space-missing', 'there is no space (U+0020)'));
  }
  return found;
}

const isUnicode = (platformID: number, encodingID: number) =>
  platformID === 0 || (platformID === 3 && (encodingID === 1 || encodingID === 10));

function fromVariations(font: Font): Finding[] {
  const weightAxis = font.optional(fvar)?.axes.find(({ axisTag }) => axisTag === 'wght');
  const stated = font.optional(os2)?.usWeightClass;
  if (!weightAxis || stated === undefined || Math.abs(stated - weightAxis.defaultValue) <= 50) return [];
  return [
    finding(
      'default-instance-disagrees',
      `OS/2 says weight ${stated}, but fvar starts at ${weightAxis.defaultValue}`,
    ),
  ];
}

function fromSlant(font: Font, { style }: FaceStyle): Finding[] {
  const angle = font.optional(post)?.italicAngle ?? 0;
  if (style !== 'normal' || Math.abs(angle) < 2) return [];
  return [
    finding(
      'italic-angle-disagrees',
      `post says that the font leans by ${Math.abs(angle)} degrees, but nothing marks it as italic`,
    ),
  ];
}

function fromMetrics({ platforms }: VerticalMetrics): Finding[] {
  const heights = platforms.map(({ lineHeight }) => lineHeight);
  if (Math.max(...heights) - Math.min(...heights) < visibleDifference) return [];
  const bySize = new Map<string, string[]>();
  for (const { platform, from, lineHeight } of platforms) {
    const size = lineHeight.toFixed(2);
    bySize.set(size, [...(bySize.get(size) ?? []), `${platform} (${from})`]);
  }
  const words = [...bySize].map(([size, where]) => `${size} em on ${where.join(', ')}`);
  const [first, ...others] = words;
  return [
    finding('line-heights-differ', `line-height: normal comes to ${first} but ${others.join(' and ')}`),
  ];
}
