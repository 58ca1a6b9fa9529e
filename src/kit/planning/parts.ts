import { writeFont, type FontFormat } from '../../core/containers/index.js';
import { toTrueType } from '../../core/outlines/index.js';
import { linkStyle } from '../../core/face/link-style.js';
import { fontOf, type Font } from '../../core/sfnt/font.js';
import { forbidsSubsetting } from '../../core/face/licence.js';
import { subsetFont } from '../../core/subset/index.js';
import { charactersByScript } from '../../core/text/scripts.js';
import { setApart, type GlyphsOfPart } from '../../core/layout/set-apart.js';
import { cmap } from '../../core/tables/index.js';
import { CodePointSet } from '../../core/text/code-point-set.js';
import { mappedCharacters } from '../../core/text/mapped-characters.js';
import { DenseGlyphError } from '../../errors.js';
import { finding, leftOut } from '../../findings.js';
import { slug } from '../../core/face/slug.js';
import { sha256 } from '../digest.js';
import type { ReachedFormat } from '../reach.js';
import type { Cut, CutFace } from './cut.js';
import { counterpartsBeyond, divided } from './division.js';
import type { MadeParts, Part, Slice } from './made.js';

const slopeLetters = { normal: 'n', italic: 'i', oblique: 'o' } as const;

/** Tables that only matter to browsers that know variable fonts, all of which take WOFF2. */
const variationTables = ['avar', 'cvar', 'fvar', 'gvar', 'HVAR', 'MVAR', 'STAT', 'VVAR'];

/**
 * The delivered files of a face.
 *
 * @param formats that browsers are to have, WOFF2 first
 * @throws DenseGlyphError
 */
export async function madeParts(face: CutFace, formats: readonly ReachedFormat[]): Promise<MadeParts> {
  const cut = face.cut && (await cutParts(face, face.cut));
  const isCut = cut !== undefined && 'drawn' in cut;
  const whole = await Promise.all(
    formats.filter(({ format }) => !isCut || format !== 'woff2').map(({ format }) => makePart(face, format)),
  );
  // Browsers that take older formats know no parts.
  if (isCut) return { parts: [cut.drawn, ...(cut.rest ? [cut.rest] : []), ...whole] };
  if (!cut) return { parts: whole };
  const [fetched, ...older] = whole;
  const why = finding('face-whole', cut.wholeReason, { file: face.source.path });
  return { parts: [{ ...fetched, findings: [why, ...fetched.findings] }, ...older] };
}

/** One file of a face, with all that is in it. */
export async function makePart(face: CutFace, format: Exclude<FontFormat, 'otf'>): Promise<Part> {
  const { source } = face;
  const { font, dropped: left, changed } = fontFor(face, format);
  const written = await writeFont(font, format);
  const place = { file: source.path };
  return {
    ...named(face, 'whole', format, written.bytes),
    characters: charactersOf(source).ranges(),
    findings: [
      ...leftOut([...source.dropped, ...left, ...written.dropped], place),
      ...changed.map((what) => finding('changed-for-format', what, place)),
    ],
  };
}

/** What the parts of a face are called, by what is in them. */
function named(
  face: CutFace,
  slice: Slice,
  format: Part['format'],
  bytes: Uint8Array,
): Pick<Part, 'file' | 'slice' | 'format' | 'bytes' | 'sha256'> {
  const digest = sha256(bytes);
  const [low, high] = face.weight;
  const weight = low === high ? `${low}` : `${low}-${high}`;
  const stretch = face.stretch[0] === 100 && face.stretch[1] === 100 ? '' : `-w${face.stretch.join('-')}`;
  // A name has 255 bytes at the most, and families may be called anything.
  const start = `${slug(face.family).slice(0, 80)}-${weight}${slopeLetters[face.style]}${stretch}`;
  return {
    file: `faces/${start}-${slice}-${digest.slice(0, 8)}.${format}`,
    slice,
    format,
    bytes,
    sha256: digest,
  };
}

/** Of a partial file those that its rule names; others have them too. */
const charactersOf = ({ font, ranges }: CutFace['source']): CodePointSet =>
  within(mappedCharacters(font), ranges);

const within = (characters: CodePointSet, ranges: CodePointSet | undefined): CodePointSet =>
  ranges ? new CodePointSet(characters.codePoints().filter((one) => ranges.has(one))) : characters;

/** More of a face than this share is as good as all of it: a second file would save nothing. */
const nearlyAll = 0.95;

/**
 * The parts of a face that is cut to what the site draws: that, and the rest. Their characters don't overlap, and together
 * are all that the face has.
 *
 * @returns why it isn't cut, where it isn't
 */
export async function cutParts(
  face: CutFace,
  wanted: Cut,
): Promise<{ drawn: Part; rest: Part | undefined } | { wholeReason: string }> {
  const { source } = face;
  const { font } = source;
  if (forbidsSubsetting(font)) return { wholeReason: 'its licence bits forbid cutting it down' };
  const available = charactersOf(source);
  const { site, rest } = divided(wanted.characters, available, wanted.marked);
  if (site.size === 0) return { wholeReason: 'no page draws it' };
  if (site.size > available.size * nearlyAll) return { wholeReason: 'the site draws nearly all of it' };
  try {
    const { drawn, characters } = await drawnPart(face, site, available, wanted);
    const beyond = new CodePointSet(rest.codePoints().filter((character) => !characters.has(character)));
    if (!wanted.keepsRest || beyond.size === 0) return { drawn, rest: undefined };
    const other = await madePart(face, 'rest', cutFont(face, 'rest', beyond, wanted));
    return {
      drawn,
      rest: { ...other, apart: setApart(font, glyphsOf(font, characters), glyphsOf(font, beyond)) },
    };
  } catch (cause) {
    if (!(cause instanceof DenseGlyphError) || cause.code !== 'subset-impossible') throw cause;
    return { wholeReason: cause.reason };
  }
}

/**
 * What the site draws, with the rest of alphabets that it has most of where scripts may write more: a word in two parts has no
 * kerning between them, and the second one is another request.
 */
async function drawnPart(
  face: CutFace,
  site: CodePointSet,
  available: CodePointSet,
  wanted: Cut,
): Promise<{ drawn: Part; characters: CodePointSet }> {
  const plain = cutFont(face, 'drawn', site, wanted);
  const lacking = lackingOf(wanted.alphabets?.sets ?? [], plain.characters, available);
  if (lacking.size === 0)
    return { drawn: await madePart(face, 'drawn', plain), characters: plain.characters };
  const all = divided(
    new CodePointSet([...site.codePoints(), ...lacking.codePoints()]),
    available,
    wanted.marked,
  );
  const fuller = cutFont(face, 'drawn', all.site, wanted);
  // Compressing has threads of its own.
  const [alone, completed] = await Promise.all([
    madePart(face, 'drawn', plain),
    madePart(face, 'drawn', fuller),
  ]);
  const bytes = completed.bytes.length - alone.bytes.length;
  if (bytes > wanted.alphabets!.mostBytes) return { drawn: alone, characters: plain.characters };
  return {
    drawn: { ...completed, completed: { characters: lacking.ranges(), bytes } },
    characters: fuller.characters,
  };
}

/** Of alphabets that a part has most of, what it lacks of what the face has. */
function lackingOf(
  alphabets: readonly CodePointSet[],
  part: CodePointSet,
  available: CodePointSet,
): CodePointSet {
  const lacking = new CodePointSet();
  for (const alphabet of alphabets) {
    const own = alphabet.codePoints().filter((one) => available.has(one));
    const missing = own.filter((one) => !part.has(one));
    if (missing.length * 2 < own.length) for (const one of missing) lacking.add(one);
  }
  return lacking;
}

function glyphsOf(font: Font, characters: CodePointSet): GlyphsOfPart {
  const table = font.table(cmap);
  const found = new Map<number, string[]>();
  for (const { name, codePoints } of charactersByScript(characters)) {
    for (const character of codePoints) {
      // Browsers draw nothing for those, and kern nothing with them.
      if (/\p{Default_Ignorable_Code_Point}/u.test(String.fromCodePoint(character))) continue;
      const glyph = cmap.glyphIdOf(table, character);
      found.set(glyph, [...(found.get(glyph) ?? []), name]);
    }
  }
  return found;
}

interface CutFont {
  font: Font;
  dropped: readonly string[];
  characters: CodePointSet;
}

/** @param characters those that its rule will name; browsers draw companions of them too, which the rest may have as well */
function cutFont(face: CutFace, slice: 'drawn' | 'rest', characters: CodePointSet, wanted: Cut): CutFont {
  const { source } = face;
  const { font, dropped } = subsetFont(source.font, {
    characters,
    features: { keep: [...wanted.features], leave: [] },
  });
  if (slice === 'rest') return { font, dropped, characters };
  // What came along may have doubles that didn't.
  const beyond = counterpartsBeyond(mappedCharacters(font), charactersOf(source));
  if (beyond.length > 0)
    return cutFont(face, slice, new CodePointSet([...characters.codePoints(), ...beyond]), wanted);
  return { font, dropped, characters: within(mappedCharacters(font), source.ranges) };
}

async function madePart(
  face: CutFace,
  slice: 'drawn' | 'rest',
  { font, dropped, characters }: CutFont,
): Promise<Part> {
  const { source } = face;
  const isVariable = slice === 'drawn' && font.has('fvar');
  const [written, stillBytes] = await Promise.all([
    writeFont(font, 'woff2'),
    isVariable ? bytesWithoutAxes(font) : undefined,
  ]);
  return {
    ...named(face, slice, 'woff2', written.bytes),
    characters: characters.ranges(),
    findings: leftOut([...source.dropped, ...dropped, ...written.dropped], { file: source.path }),
    stillBytes,
  };
}

/** As WOFF2. */
async function bytesWithoutAxes(font: Font): Promise<number> {
  const { font: still } = withoutVariations(font);
  return (await writeFont(still, 'woff2')).bytes.length;
}

/**
 * For clients of old formats: without variations, with outlines that they draw, and for those that read the names
 * inside, with names that fit.
 */
function fontFor(face: CutFace, format: FontFormat): { font: Font; dropped: string[]; changed: string[] } {
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
