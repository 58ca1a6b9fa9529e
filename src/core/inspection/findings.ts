// Where a font disagrees with itself, with its file name or with what browsers accept, and what follows from it.

import { badNameCharacters, emptyTables } from '../containers/acceptable.js';
import { weightInName, type FaceStyle, type Finding } from '../css/face-style.js';
import { fontFormats, type FontFormat } from '../containers/formats.js';
import { overlongKernPairs } from '../layout/kern.js';
import type { Font } from '../sfnt/font.js';
import * as cmap from '../tables/cmap.js';
import * as fvar from '../tables/fvar.js';
import * as head from '../tables/head.js';
import * as os2 from '../tables/os2.js';
import * as post from '../tables/post.js';
import type { VerticalMetrics } from './vertical-metrics.js';

/** A finding with what follows from it, and in which browsers. */
export interface InspectionFinding {
  code: string;
  message: string;
  effect: string;
}

/** Effects of what `faceStyleOf` finds. */
const styleEffects: Record<Finding['code'], string> = {
  'weight-class-invalid': 'browsers link faces by the font-weight of their rule, so state it there',
  'weight-disagrees':
    'a rule with the wrong font-weight makes every browser fake the bold, or draw the wrong weight; check it by eye',
  'bold-bit-disagrees': 'browsers go by the rule; installed copies found with local() may be another weight',
  'italic-disagrees':
    'a rule with the wrong font-style makes every browser slant the upright, or slant the italic twice',
  'axis-excludes-default': 'a font-weight outside the axis is drawn with its nearest end in every browser',
};

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
): InspectionFinding[] {
  return [
    ...styleFindings.map(({ code, message }) => ({ code, message, effect: styleEffects[code] })),
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
): InspectionFinding[] {
  if (!fileName) return [];
  const stem = fileName.replace(/\.[^.]+$/, '');
  const extension = fileName.slice(stem.length + 1).toLowerCase();
  const found: InspectionFinding[] = [];
  if (extension !== format && fontFormats.some((known) => known === extension)) {
    found.push({
      code: 'file-name-format',
      message: `the file name says ${extension}, the content is ${format}`,
      effect:
        'browsers go by the content, but a format() hint or a server that follows the name misleads them',
    });
  }
  const named = weightInName(stem);
  if (named !== undefined && (named < weight[0] - 50 || named > weight[1] + 50)) {
    found.push({
      code: 'file-name-weight',
      message: `the file name means weight ${named}, the font is ${weight[0]}`,
      effect: 'a rule written from the file name makes every browser fake the bold, or draw the wrong weight',
    });
  }
  const namedItalic = /italic|oblique/i.test(stem);
  if (namedItalic && style === 'normal') {
    found.push({
      code: 'file-name-style',
      message: 'the file name means italic, the font is upright',
      effect: 'text in this face stays upright in every browser',
    });
  }
  return found;
}

function fromTables(font: Font): InspectionFinding[] {
  const found: InspectionFinding[] = [];
  const missing = neededTables.filter((tag) => !font.has(tag));
  if (missing.length > 0) {
    found.push({
      code: 'tables-missing',
      message: `the font has no ${missing.join(', ')} table`,
      effect: 'Chromium and Firefox refuse it and draw the fallback',
    });
  }
  const empty = emptyTables(font);
  if (empty.length > 0) {
    found.push({
      code: 'tables-empty',
      message: `${empty.length === 1 ? 'a table is' : 'tables are'} empty: ${empty.map((tag) => tag.trim()).join(', ')}`,
      effect:
        'Chromium and Firefox refuse the file and draw the fallback; what is made of it here leaves them out',
    });
  }
  if (badNameCharacters(font).length > 0) {
    found.push({
      code: 'cff-name-invalid',
      message: 'the name inside the CFF table has spaces, or other characters that it must not have',
      effect:
        'Chromium and Firefox refuse the file and draw the fallback; what is made of it here has hyphens there',
    });
  }
  const pairs = overlongKernPairs(font);
  if (pairs !== undefined) {
    found.push({
      code: 'kern-too-long',
      message: `the kern table has ${pairs} pairs, more than it can state the length of`,
      effect:
        'Chromium and Firefox leave it out, Safari kerns with it; a subset with fewer pairs is kerned by all',
    });
  }
  const { unitsPerEm } = font.table(head);
  if (unitsPerEm < unitsPerEmRange[0] || unitsPerEm > unitsPerEmRange[1]) {
    found.push({
      code: 'units-per-em-invalid',
      message: `head gives the em ${unitsPerEm} units; ${unitsPerEmRange.join(' to ')} are allowed`,
      effect: 'Chromium, Firefox and WebKit refuse it and draw the fallback',
    });
  }
  const characters = font.optional(cmap);
  if (
    characters &&
    !characters.encodingRecords.some(({ platformID, encodingID }) => isUnicode(platformID, encodingID))
  ) {
    found.push({
      code: 'no-unicode-mapping',
      message: 'cmap maps symbols, not Unicode characters',
      effect:
        'letters show only where a page asks for the symbols’ codes; assistive technology reads nonsense',
    });
  } else if (characters && cmap.glyphIdOf(characters, 0x20) === 0) {
    found.push({
      code: 'space-missing',
      message: 'there is no space (U+0020)',
      effect: 'every browser takes the spaces between words from the fallback, in its width',
    });
  }
  return found;
}

const isUnicode = (platformID: number, encodingID: number) =>
  platformID === 0 || (platformID === 3 && (encodingID === 1 || encodingID === 10));

function fromVariations(font: Font): InspectionFinding[] {
  const weightAxis = font.optional(fvar)?.axes.find(({ axisTag }) => axisTag === 'wght');
  const stated = font.optional(os2)?.usWeightClass;
  if (!weightAxis || stated === undefined || Math.abs(stated - weightAxis.defaultValue) <= 50) return [];
  return [
    {
      code: 'default-instance-disagrees',
      message: `OS/2 says weight ${stated}, but fvar starts at ${weightAxis.defaultValue}`,
      effect: 'browsers without variations (before 2018) draw the start of the axis for every weight',
    },
  ];
}

function fromSlant(font: Font, { style }: FaceStyle): InspectionFinding[] {
  const angle = font.optional(post)?.italicAngle ?? 0;
  if (style !== 'normal' || Math.abs(angle) < 2) return [];
  return [
    {
      code: 'italic-angle-disagrees',
      message: `post says that the font leans by ${Math.abs(angle)} degrees, but nothing marks it as italic`,
      effect: 'where a page asks for italic, every browser slants it once more',
    },
  ];
}

function fromMetrics({ platforms }: VerticalMetrics): InspectionFinding[] {
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
    {
      code: 'line-heights-differ',
      message: `line-height: normal comes to ${first} but ${others.join(' and ')}`,
      effect: 'lines differ in height from system to system unless the stylesheet sets line-height',
    },
  ];
}
