import { writeFont, type FontFormat } from '../core/containers/index.js';
import { toTrueType } from '../core/outlines/index.js';
import { linkStyle } from '../core/sfnt/link-style.js';
import { fontOf, type Font } from '../core/sfnt/font.js';
import { cmap } from '../core/tables/index.js';
import { rangesOf } from '../core/text/unicode-ranges.js';
import { slug } from '../core/face/slug.js';
import { sha256 } from './digest.js';
import type { Part } from './made.js';
import type { PlannedFace } from './plan.js';

const slopeLetters = { normal: 'n', italic: 'i', oblique: 'o' } as const;

/** Tables that only matter to browsers that know variable fonts, all of which take WOFF2. */
const variationTables = ['avar', 'cvar', 'fvar', 'gvar', 'HVAR', 'MVAR', 'STAT', 'VVAR'];

/** One file of a face. */
export async function makePart(face: PlannedFace, format: Exclude<FontFormat, 'otf'>): Promise<Part> {
  const { source } = face;
  const { font, dropped: left, changed } = fontFor(face, format);
  const { bytes, dropped } = await writeFont(font, format);
  const digest = sha256(bytes);
  const [low, high] = face.weight;
  const weight = low === high ? `${low}` : `${low}-${high}`;
  const stretch = face.stretch[0] === 100 && face.stretch[1] === 100 ? '' : `-w${face.stretch.join('-')}`;
  const name = `${slug(face.family)}-${weight}${slopeLetters[face.style]}${stretch}-full-${digest.slice(0, 8)}`;
  const characters = [...cmap.mappingsOf(source.font.table(cmap))].map(([codePoint]) => codePoint);
  return {
    file: `faces/${name}.${format}`,
    format,
    bytes,
    sha256: digest,
    characters: rangesOf(characters),
    dropped: [...source.dropped, ...left, ...dropped],
    changed,
  };
}

/**
 * For clients of old formats: without variations, with outlines that they draw, and for those that read the names
 * inside, with names that fit.
 */
function fontFor(
  face: PlannedFace,
  format: FontFormat,
): { font: Font; dropped: string[]; changed: string[] } {
  const { font } = face.source;
  if (format === 'woff2') return { font, dropped: [], changed: [] };
  const { font: still, dropped } = withoutVariations(font);
  if (format !== 'eot') return { font: still, dropped, changed: [] };
  const [low, high] = face.weight;
  const weight = Math.min(Math.max(400, low), high);
  const linked = linkStyle(still, { family: face.family, weight, style: face.style });
  return { font: linked.font, dropped, changed: linked.changes };
}

/** The default instance. Whoever doesn't know variations doesn't know CFF2 either. */
function withoutVariations(font: Font): { font: Font; dropped: string[] } {
  if (!font.has('fvar') && !font.has('CFF2')) return { font, dropped: [] };
  const tables = font.tables();
  for (const tag of variationTables) tables.delete(tag);
  const still = fontOf(font.flavour, tables);
  const dropped = font.has('fvar')
    ? ['variations, which the browsers that take this format do not know']
    : [];
  if (!font.has('CFF2')) return { font: still, dropped };
  const converted = toTrueType(still);
  return { font: converted.font, dropped: [...dropped, ...converted.dropped] };
}
