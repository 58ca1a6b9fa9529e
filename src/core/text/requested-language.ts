// What a website in a language is written with: CLDR's exemplar characters in every case form, and what sites add to them.

import { currencySigns } from '../../data/currency-signs.js';
import { exemplarSets, type LanguageRow } from '../../data/languages.js';
import { scriptRanges } from '../../data/scripts.js';
import { rareCharacters, siteCharacters } from '../../data/site-characters.js';
import { DenseGlyphError } from '../../errors.js';
import { CodePointSet, eachPackedRange } from './code-point-set.js';
import { likelyLocale, rowFor } from './language-row.js';
import { scriptsWithin } from './languages.js';
import { parseUnicodeRanges } from './parse-ranges.js';

/** A language as somebody asks for it. */
export interface RequestedLanguage {
  /** As it was written. */
  tag: string;
  name: string;
  /** Letters, capital and small, without which no text can be set. */
  letters: CodePointSet;
  /** More letters: of loan words and names, accents, and forms that changes of case come to. */
  moreLetters: CodePointSet;
  /** Digits, punctuation, quotation marks, currency signs, spaces, and what sites of every language use. */
  signs: CodePointSet;
  /** All of them. */
  characters: CodePointSet;
  /** Marks that letters with accents are taken apart to, where text has the letters in one piece as a rule. */
  marks: CodePointSet;
}

/**
 * What a website in a language is written with (docs/languages.md). Script, variant and region count where they are given;
 * else they are the likely ones.
 *
 * @param tag BCP 47: `el`, `sr-Latn`, `pt-BR`, `el-polyton`
 * @throws DenseGlyphError `call-invalid` for tags that are malformed, or that CLDR has no characters for
 */
export function requestedLanguage(tag: string): RequestedLanguage {
  const { likely, row } = known(tag);
  const [ownTag, name, script, main, auxiliary, ...signSets] = row;
  const letters = CodePointSet.ofPacked(exemplarSets[main]);
  if (!withRareCapitals.has(script)) addSimpleCapitals(letters);
  const more = new CodePointSet();
  const isOwn = ownOf(script);
  CodePointSet.ofPacked(exemplarSets[auxiliary]).forEach((c) => {
    const character = String.fromCodePoint(c);
    // Vowel signs of Brahmic scripts are no less needed than letters; of others they are points, which most texts do without.
    if (!pointed.has(script) && isMarkOf(script).test(character)) letters.add(c);
    else if (isOwn(character)) more.add(c);
  });
  for (const set of signSets) more.addAll(CodePointSet.ofPacked(exemplarSets[set]));
  addCurrency(more, likely.region);
  const tags = [likely.language, ownTag];
  for (const { scripts, languages, characters } of siteCharacters) {
    const isForAll = !scripts && !languages;
    if (isForAll || scripts?.includes(script) || tags.some((one) => languages?.includes(one)))
      more.addAll(parseUnicodeRanges(characters));
  }
  for (const character of commonIdeographs(script)) more.add(character.codePointAt(0)!);
  addScriptSigns(more, script);
  const characters = new CodePointSet([...letters.codePoints(), ...more.codePoints()]);
  addCaseForms(characters, tag);
  addCapitals(characters, script);
  if (!pointed.has(script)) addComposed(characters, script);
  const rare = rareCharacters.filter(({ languages }) => languages.includes(ownTag));
  return divided(
    { tag, name, letters },
    characters,
    rare.map((one) => parseUnicodeRanges(one.characters)),
  );
}

/** @param left sets that are left out */
function divided(
  { tag, name, letters }: Pick<RequestedLanguage, 'tag' | 'name' | 'letters'>,
  all: CodePointSet,
  left: readonly CodePointSet[],
): RequestedLanguage {
  const [moreLetters, signs] = [new CodePointSet(), new CodePointSet()];
  const characters = new CodePointSet();
  all.forEach((c) => {
    if (!letters.has(c) && left.some((set) => set.has(c))) return;
    characters.add(c);
    if (letters.has(c)) return;
    if (/[\p{L}\p{M}]/u.test(String.fromCodePoint(c))) moreLetters.add(c);
    else signs.add(c);
  });
  return { tag, name, letters, moreLetters, signs, characters, marks: marksWithin(characters) };
}

function marksWithin(characters: CodePointSet): CodePointSet {
  const marks = new CodePointSet();
  characters.forEach((c) => {
    if (c < 0xc0 || (c >= 0x3400 && c <= 0xd7ff)) return; // ideographs and Hangul have none
    const [, ...parts] = String.fromCodePoint(c).normalize('NFD');
    for (const part of parts) if (!characters.has(part.codePointAt(0)!)) marks.add(part.codePointAt(0)!);
  });
  return marks;
}

/**
 * The least that a language is written with: the main letters of CLDR with their capitals, digits, punctuation, quotation marks
 * and the currency signs of its region. Names, addresses and loan words may need more.
 *
 * @param tag as for `requestedLanguage`
 * @throws DenseGlyphError `call-invalid`
 */
export function lettersOfLanguage(tag: string): RequestedLanguage {
  const { likely, row } = known(tag);
  const [, name, , main, , punctuation, numbers] = row;
  const letters = CodePointSet.ofPacked(exemplarSets[main]);
  const characters = new CodePointSet([space, noBreakSpace]);
  for (const set of [main, punctuation, numbers]) characters.addAll(CodePointSet.ofPacked(exemplarSets[set]));
  addCurrency(characters, likely.region);
  return divided({ tag, name, letters }, characters, []);
}

const space = 0x20;
const noBreakSpace = 0xa0;

/** Scripts with points for vowels that most texts leave out. */
const pointed: ReadonlySet<string> = new Set(['Arab', 'Hebr', 'Syrc']);
/** Scripts that have capitals which hardly any text is written with; changes of case come to them. */
const withRareCapitals: ReadonlySet<string> = new Set(['Cher', 'Geor']);

function known(tag: string): { likely: Intl.Locale; row: LanguageRow } {
  const likely = likelyLocale(tag);
  const row = likely && rowFor(likely);
  if (row) return { likely, row };
  throw new DenseGlyphError(
    'call-invalid',
    `"${tag}" is not a language whose characters are known`,
    {},
    'write BCP 47 tags as in en, el or sr-Latn, or name the characters with --ranges',
  );
}

/** Whether a character is of a script, or of none. */
function ownOf(script: string): (character: string) => boolean {
  const names = [...scriptsWithin(script), 'Zyyy', 'Zinh'];
  const pattern = new RegExp(`^[${names.map((name) => `\\p{Script_Extensions=${name}}`).join('')}]$`, 'u');
  return (character) => pattern.test(character);
}

const isMarkOf = (script: string) =>
  new RegExp(
    `^(?=\\p{M})[${scriptsWithin(script)
      .map((name) => `\\p{Script=${name}}`)
      .join('')}]$`,
    'u',
  );

/** Capitals that are one character (Unicode, simple mappings). */
function addSimpleCapitals(set: CodePointSet): void {
  for (const c of set.codePoints()) {
    const capital = String.fromCodePoint(c).toUpperCase();
    if ([...capital].length === 1) set.add(capital.codePointAt(0)!);
  }
}

/** Characters that the small letters in a set are small ones of: capitals, and those that begin a word, as in ǅ. */
function addCapitals(set: CodePointSet, script: string): void {
  for (const [code, , packed] of scriptRanges) {
    if (code !== script) continue;
    eachPackedRange(packed, (first, last) => {
      for (let c = first; c <= last; c++) {
        const character = String.fromCodePoint(c);
        const small = character.toLowerCase();
        // Signs that are copies of letters (Kelvin) are none of them.
        if (small === character || character.normalize('NFKC') !== character) continue;
        if (
          small.length === String.fromCodePoint(small.codePointAt(0)!).length &&
          set.has(small.codePointAt(0)!)
        )
          set.add(c);
      }
    });
  }
}

/** What the letters of a set become where case is changed, by the language's rules and by those of all (Unicode, 3.13). */
function addCaseForms(set: CodePointSet, tag: string): void {
  for (const c of set.codePoints()) {
    const character = String.fromCodePoint(c);
    const forms = [
      character.toUpperCase(),
      character.toLocaleUpperCase(tag),
      character.toLowerCase(),
      character.toLocaleLowerCase(tag),
    ];
    // Marks that come off only by another language's rules would bring all letters that take them.
    for (const form of forms) {
      for (const one of form.normalize()) if (!/\p{M}/u.test(one)) set.add(one.codePointAt(0)!);
    }
  }
}

/**
 * Letters of scripts without case that are put together of letters and signs in a set, and the other way round: texts have
 * both (UAX 15).
 */
function addComposed(set: CodePointSet, script: string): void {
  if (cased.has(script)) return;
  for (const [code, , packed] of scriptRanges) {
    if (!scriptsWithin(script).includes(code) || code === 'Hani' || code === 'Hang') continue;
    eachPackedRange(packed, (first, last) => {
      for (let c = first; c <= last; c++) {
        const character = String.fromCodePoint(c);
        const parts = [...character.normalize('NFD')].map((part) => part.codePointAt(0)!);
        if (parts.length === 1 && parts[0] === c) continue;
        if (parts.every((part) => set.has(part))) set.add(c);
        else if (set.has(c)) for (const part of parts) set.add(part);
      }
    });
  }
}

/** Scripts with capitals: their letters with accents are single characters in nearly all text. */
const cased: ReadonlySet<string> = new Set([
  'Adlm',
  'Armn',
  'Cher',
  'Copt',
  'Cyrl',
  'Geor',
  'Glag',
  'Grek',
  'Latn',
]);

/** The rows of ideographs that national standards count to the common ones, with the encoding that has them. */
const commonRows: Readonly<
  Record<string, { encoding: string; leads: readonly [number, number]; why: string }>
> = {
  Hans: { encoding: 'gb18030', leads: [0xb0, 0xd7], why: 'GB 2312, level 1' },
  Hant: { encoding: 'big5', leads: [0xa4, 0xc6], why: 'Big5, level 1' },
  Jpan: { encoding: 'euc-jp', leads: [0xb0, 0xcf], why: 'JIS X 0208, level 1' },
};

/** CLDR lists what names and daily words need, which lacks some that any text may have. */
function commonIdeographs(script: string): string {
  const rows = commonRows[script];
  if (!rows) return '';
  const [first, last] = rows.leads;
  const bytes: number[] = [];
  for (let lead = first; lead <= last; lead++) {
    for (let trail = 0x40; trail <= 0xfe; trail++) {
      if (script === 'Hant' ? trail <= 0x7e || trail >= 0xa1 : trail >= 0xa1) bytes.push(lead, trail);
    }
  }
  const text = new TextDecoder(rows.encoding).decode(Uint8Array.from(bytes));
  return text.replace(/[^\p{Script=Han}]/gu, '');
}

/** Their signs are those of all scripts, which CLDR lists language by language; or far too many, of which sites have some. */
const withoutOwnSigns: ReadonlySet<string> = new Set([
  'Cyrl',
  'Grek',
  'Hans',
  'Hant',
  'Jpan',
  'Kore',
  'Latn',
]);

/** Where scripts have punctuation and digits of their own: in no others are there any that extend to few scripts. */
const signBlocks: readonly (readonly [first: number, last: number])[] = [
  [0x300, 0x1fff],
  [0x2010, 0x2027],
  [0x2e00, 0x2e7f],
  [0xa4d0, 0xabff],
  [0x10100, 0x11fff],
  [0x16a00, 0x16fff],
  [0x1e000, 0x1ecff],
];

/** Punctuation and digits of a script (UAX 24, Script_Extensions; general categories P, Nd and No). */
function addScriptSigns(set: CodePointSet, script: string): void {
  if (withoutOwnSigns.has(script)) return;
  const names = scriptsWithin(script).map((name) => `\\p{Script_Extensions=${name}}`);
  const pattern = new RegExp(`^(?=[\\p{P}\\p{Nd}\\p{No}])[${names.join('')}]$`, 'u');
  for (const [first, last] of signBlocks)
    for (let c = first; c <= last; c++) if (pattern.test(String.fromCodePoint(c))) set.add(c);
}

function addCurrency(set: CodePointSet, region: string | undefined): void {
  for (const [sign, regions] of currencySigns) {
    if (region && regions.split(' ').includes(region)) set.add(sign.codePointAt(0)!);
  }
}
