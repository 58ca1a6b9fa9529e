// Unicode: normalisation and what text shaping puts in place of characters

import { mirroredPairs } from '../../data/mirrored-characters.js';
import type { LayoutTable } from '../layout/layout-table.js';
import type { CodePointSet } from '../text/code-point-set.js';
import { insertedCharacters } from './inserted-characters.js';

/**
 * Characters that a browser draws in place of the wanted ones, or together with them: what letters and marks are
 * composed to, what a character is taken apart to, mirrored brackets, joiners, hyphens at the end of a line.
 *
 * @param wanted what the text has; not changed
 * @param available what the font maps
 * @param present what kinds of text the wanted characters make
 * @param shaping what the font's GSUB does for scripts
 * @param advanceOf the advance of a character of the font, in em
 * @returns those of the font that aren't wanted already, ascending
 */
export function companionsOf(
  wanted: CodePointSet,
  available: CodePointSet,
  present: TextKinds,
  shaping: Shaping,
  advanceOf: (character: number) => number,
): number[] {
  const companions = new Set<number>();
  const has = (codePoint: number) => wanted.has(codePoint) || companions.has(codePoint);
  const add = (codePoint: number) => {
    if (available.has(codePoint) && !wanted.has(codePoint)) companions.add(codePoint);
  };
  wanted.forEach((character) => {
    if (isPlain(character)) return;
    for (const other of othersFor(character, available, present)) add(other);
  });
  for (const character of insertedCharacters(wanted, available, advanceOf)) add(character);
  if (present.complex) for (const character of joiners) add(character);
  if (present.marks) add(dottedCircle);
  if (present.arabic && !shaping.joinsArabic) addPresentationForms(wanted, available, add);
  if (present.thai && !shaping.hasThai) for (let c = 0xf700; c <= 0xf71a; c++) add(c);
  addSyllables(wanted, add);
  if (present.marks) addComposed(available, has, add);
  return [...companions].sort((a, b) => a - b);
}

export interface Shaping {
  /** Whether features give Arabic letters their joined forms; by what holds for languages that aren't listed. */
  joinsArabic: boolean;
  hasThai: boolean;
}

/** Without any of these, text shaping takes presentation forms from the cmap. */
const joiningFeatures: ReadonlySet<string> = new Set(['isol', 'fina', 'medi', 'init']);

export function shapingOf(gsub: LayoutTable | undefined): Shaping {
  const scriptOf = (tag: string) => gsub?.scripts.find((script) => script.tag === tag);
  const features = scriptOf('arab')?.defaultLanguageSystem?.features ?? [];
  return {
    joinsArabic: features.some((i) => joiningFeatures.has(gsub?.features[i]?.tag ?? '')),
    hasThai: scriptOf('thai') !== undefined,
  };
}

/** What may be drawn in place of one character, or with it. */
function othersFor(character: number, available: CodePointSet, present: TextKinds): number[] {
  const others = [...(alwaysTakenApart[character] ?? [])];
  if (!available.has(character)) {
    const replacements = replacementsOf(character);
    if (replacements.every((part) => available.has(part))) others.push(...replacements);
  } else if (present.complex || present.marks) others.push(...partsOf(character));
  if (isDrawnAsSpace(character)) others.push(space);
  if (isDrawnAsZeroWidthSpace(character)) others.push(zeroWidthSpace);
  const mirror = present.rightToLeft ? mirrored().get(character) : undefined;
  if (mirror !== undefined) others.push(mirror);
  return others;
}

/** Canonical decompositions that were looked up; the faces of a family ask for the same ones. */
const decompositions = new Map<number, readonly number[]>();

/** Canonical decomposition; without the character itself. Hangul syllables only where the font lacks them. */
function partsOf(character: number): readonly number[] {
  if (character < 0xc0 || isHangulSyllable(character)) return [];
  let parts = decompositions.get(character);
  if (!parts) {
    const text = String.fromCodePoint(character);
    const decomposed = text.normalize('NFD');
    decompositions.set(character, (parts = decomposed === text ? [] : codePoints(decomposed)));
  }
  return parts;
}

const codePoints = (text: string) => Array.from(text, (c) => c.codePointAt(0)!);

/** Ideographs, and what nobody assigns or what is private: they make no kind of text and have no parts. */
const isPlain = (character: number) =>
  (character >= 0x3400 && character <= 0x9fff) ||
  (character >= 0xe000 && character <= 0xf8ff) ||
  (character >= 0x20000 && character <= 0x2f7ff) ||
  (character >= 0x30000 && character <= 0xdffff) ||
  character >= 0xf0000;
/** General punctuation, superscripts and currency signs make no kind of text either. */
const isPunctuation = (character: number) => character >= 0x2000 && character < 0x20d0;
/** Greek, Cyrillic and Armenian; not the marks before and among them. */
const isPlainLetter = (character: number) =>
  (character >= 0x370 && character < 0x483) || (character >= 0x48a && character < 0x590);
const isHangulSyllable = (character: number) => character >= 0xac00 && character <= 0xd7a3;

/** What is drawn for a character that the font lacks, or that shaping takes apart. */
function replacementsOf(character: number): readonly number[] {
  const usual = instead.get(character);
  if (usual !== undefined) return [usual];
  if (isHangulSyllable(character)) return codePoints(String.fromCodePoint(character).normalize('NFD'));
  return partsOf(character);
}

const space = 0x20;
/** Characters without ink, which browsers draw with the glyph of the space, or by its width. */
const drawnAsSpace = /[\p{Default_Ignorable_Code_Point}\p{Zs}]/u;
// Expressions of Unicode properties take a millisecond to compile, which Latin text needn't wait for.
const isDrawnAsSpace = (character: number) =>
  character < 0x34f
    ? character === 0xa0 || character === 0xad
    : drawnAsSpace.test(String.fromCodePoint(character));

const zeroWidthSpace = 0x200b;
/** WebKit looks for that glyph in place of soft hyphens, marks of direction and joiners; without it, it leaves the font. */
const isDrawnAsZeroWidthSpace = (character: number) =>
  character === 0xad ||
  (character >= 0x200c && character <= 0x200f) ||
  (character >= 0x202a && character <= 0x202e) ||
  character === 0xfeff ||
  character === 0xfffc;

/** Hyphens and spaces that are drawn with others of their kind. */
const instead = new Map<number, number>([
  [0x2011, 0x2010],
  [0x2010, 0x2d],
  [0xa0, 0x20],
  ...[
    0x2000, 0x2001, 0x2002, 0x2003, 0x2004, 0x2005, 0x2006, 0x2007, 0x2008, 0x2009, 0x200a, 0x202f, 0x205f,
    0x3000,
  ].map((space): [number, number] => [space, 0x20]),
]);

/** Vowels that are drawn in two places, beyond those that Unicode decomposes; a capital that WebKit makes of two. */
const alwaysTakenApart: Readonly<Record<number, readonly number[]>> = {
  0x0389: [0x0397, 0x0301],
  0x0e33: [0x0e4d, 0x0e32],
  0x0eb3: [0x0ecd, 0x0eb2],
  0x17be: [0x17c1],
  0x17bf: [0x17c1],
  0x17c0: [0x17c1],
  0x17c4: [0x17c1],
  0x17c5: [0x17c1],
};

/** Joiners of scripts whose letters are shaped. */
const joiners = [0x200c, 0x200d];
/** Drawn under a mark that has no letter. */
const dottedCircle = 0x25cc;

let mirrors: ReadonlyMap<number, number> | undefined;

/** Brackets and signs that are drawn the other way round from right to left; made where such text is met. */
function mirrored(): ReadonlyMap<number, number> {
  mirrors ??= new Map(
    codePoints(mirroredPairs).map((character, i, all): [number, number] => [
      character,
      all[i % 2 === 0 ? i + 1 : i - 1],
    ]),
  );
  return mirrors;
}

const mark = /\p{M}/u;
/** Scripts whose marks are put on letters and nothing more. */
const plainScripts =
  /[\p{Script=Common}\p{Script=Inherited}\p{Script=Latin}\p{Script=Greek}\p{Script=Cyrillic}\p{Script=Hebrew}\p{Script=Thai}\p{Script=Lao}\p{Script=Ethiopic}\p{Script=Coptic}\p{Script=Glagolitic}]/u;
/** Scripts whose letters are joined. */
const joinedScripts =
  /[\p{Script=Arabic}\p{Script=Syriac}\p{Script=Mongolian}\p{Script=Nko}\p{Script=Adlam}\p{Script=Mandaic}\p{Script=Manichaean}\p{Script=Phags_Pa}\p{Script=Hanifi_Rohingya}\p{Script=Sogdian}\p{Script=Psalter_Pahlavi}\p{Script=Chorasmian}\p{Script=Old_Uyghur}]/u;
/**
 * The Unicode Bidirectional Algorithm (UAX #9): what is written from right to left, by the blocks that are set aside for
 * it, and controls that make text so (RLM, RLE, RLO, RLI).
 */
const rightToLeft = [
  [0x590, 0x8ff],
  [0x200f, 0x200f],
  [0x202b, 0x202b],
  [0x202e, 0x202e],
  [0x2067, 0x2067],
  [0xfb1d, 0xfdff],
  [0xfe70, 0xfefe],
  [0x10800, 0x10fff],
  [0x1e800, 0x1efff],
] as const;
const isRightToLeft = (character: number) =>
  rightToLeft.some(([first, last]) => character >= first && character <= last);

/** What kinds of text there are, each told by a character. */
const kinds = {
  rightToLeft: (text: string) => isRightToLeft(text.codePointAt(0)!),
  arabic: (text: string) => /\p{Script=Arabic}/u.test(text),
  thai: (text: string) => /\p{Script=Thai}/u.test(text),
  marks: (text: string) => mark.test(text),
  /** Letters that change with their neighbours, or syllables that are put in order. */
  complex: (text: string) => joinedScripts.test(text) || (mark.test(text) && !plainScripts.test(text)),
};

export type TextKinds = Record<keyof typeof kinds, boolean>;

/** What kinds of text characters make. */
export function textKindsOf(characters: CodePointSet): TextKinds {
  const found: TextKinds = { rightToLeft: false, arabic: false, thai: false, marks: false, complex: false };
  const names = Object.keys(kinds) as (keyof typeof kinds)[];
  characters.forEach((character) => {
    if (character < 0x300 || isPlainLetter(character) || isPlain(character)) return;
    if (isHangulSyllable(character)) return;
    if (isPunctuation(character) && !isRightToLeft(character)) return;
    const text = String.fromCodePoint(character);
    for (const name of names) found[name] ||= kinds[name](text);
  });
  return found;
}

/** Letters in their joined forms, which old fonts map instead of substituting glyphs. */
function addPresentationForms(
  wanted: CodePointSet,
  available: CodePointSet,
  add: (codePoint: number) => void,
): void {
  // Shaping makes no ligatures of them where a font maps U+0000 and has many of them; then all of them stay.
  const all = available.has(0);
  add(0);
  for (const [first, last] of [
    [0xfb50, 0xfdff],
    [0xfe70, 0xfeff],
  ]) {
    for (let form = first; form <= last; form++) {
      // A letter with a mark of its own may be written as one character or as two.
      const spellings = ['NFKC', 'NFKD'].map((way) => codePoints(String.fromCodePoint(form).normalize(way)));
      const isWanted = (letters: number[]) => letters.every((c) => c === 0x20 || wanted.has(c));
      if (all || spellings.some(isWanted)) add(form);
    }
  }
}

/** Hangul syllables that browsers put together of letters (jamo), or of a shorter syllable and a last letter. */
function addSyllables(wanted: CodePointSet, add: (codePoint: number) => void): void {
  const those = (first: number, last: number) =>
    Array.from({ length: last - first + 1 }, (_, i) => first + i).filter((letter) => wanted.has(letter));
  const [vowels, finals] = [those(0x1161, 0x1175), those(0x11a8, 0x11c2)];
  const open = new Set(
    those(0x1100, 0x1112).flatMap((initial) => vowels.map((vowel) => syllableOf(initial, vowel))),
  );
  for (const syllable of open) add(syllable);
  if (finals.length === 0) return;
  for (let syllable = 0xac00; syllable <= 0xd7a3; syllable += 28) {
    if (!open.has(syllable) && !wanted.has(syllable)) continue;
    for (const final of finals) add(syllable + final - 0x11a7);
  }
}

/** The Unicode Standard, section 3.12. */
const syllableOf = (initial: number, vowel: number) =>
  0xac00 + ((initial - 0x1100) * 21 + (vowel - 0x1161)) * 28;

/**
 * Unicode doesn't compose them, but text shaping does: Hebrew letters with points, where a font doesn't place points
 * itself, and Bengali yya.
 */
const isComposedByShaping = (character: number) =>
  (character >= 0xfb1d && character <= 0xfb4e) || character === 0x09df;

/** Composed characters of the font whose parts are all there; browsers put them together. */
/** What letters and marks of a set are composed to by text shaping, as far as the font has it. */
export function composedOf(set: CodePointSet, available: CodePointSet): number[] {
  const found: number[] = [];
  addComposed(
    available,
    (character) => set.has(character),
    (character) => found.push(character),
  );
  return found;
}

function addComposed(
  available: CodePointSet,
  has: (codePoint: number) => boolean,
  add: (codePoint: number) => void,
): void {
  available.forEach((character) => {
    if (character < 0xc0 || isPlain(character) || isHangulSyllable(character)) return;
    const parts = partsOf(character);
    if (parts.length < 2 || !parts.every(has)) return;
    const text = String.fromCodePoint(character);
    if (text.normalize('NFC') === text || isComposedByShaping(character)) add(character);
  });
}
