// CLDR (UTS 35, part 2: Exemplars)

import { currencySigns } from '../../data/currency-signs.js';
import { exemplarSets, languageRows, type LanguageRow } from '../../data/languages.js';
import { DenseGlyphError } from '../../errors.js';
import { CodePointSet, eachPackedRange } from './code-point-set.js';
import type { ScriptCoverage } from './scripts.js';

/** How far a font covers what a language is written with. */
export interface LanguageCoverage {
  /** BCP 47: `sr-Latn`. */
  tag: string;
  name: string;
  /** ISO 15924. */
  script: string;
  /** All letters, small and capital, are there. */
  complete: boolean;
  /** How many of the letters aren't there, as a share of all. */
  missingShare: number;
  /** Code points that aren't there, by what CLDR counts them to; listed when somebody looks at them. */
  readonly missing: Readonly<Record<ExemplarKind, number[]>>;
}

/** CLDR: letters, letters of loan words and names, punctuation, digits. */
export type ExemplarKind = 'main' | 'auxiliary' | 'punctuation' | 'numbers';

/**
 * The languages that a font has at least one letter of, the complete ones first, then those that it comes near.
 *
 * @param characters what the font maps
 * @param scripts those of these characters, as `scriptsOf` tells
 */
export function languagesOf(
  characters: CodePointSet,
  scripts: readonly ScriptCoverage[],
): LanguageCoverage[] {
  const found: LanguageCoverage[] = [];
  const counts: Count[] = [];
  const lists: number[][] = [];
  const list = (set: number) => (lists[set] ??= missingIn(exemplarSets[set], characters));
  const present = new Set(scripts.map(({ code }) => code));
  for (const [tag, name, script, main, auxiliary, punctuation, numbers] of languageRows) {
    if (!(writtenIn[script] ?? [script]).some((code) => present.has(code))) continue;
    const { had, wanted } = (counts[main] ??= countOf(exemplarSets[main], characters));
    if (had === 0) continue;
    found.push({
      tag,
      name,
      script,
      complete: had === wanted,
      missingShare: 1 - had / wanted,
      missing: {
        get main() {
          return list(main);
        },
        get auxiliary() {
          return list(auxiliary);
        },
        get punctuation() {
          return list(punctuation);
        },
        get numbers() {
          return list(numbers);
        },
      },
    });
  }
  return found.sort((a, b) => a.missingShare - b.missingShare || (a.name < b.name ? -1 : 1));
}

/** ISO 15924 codes for mixtures and variants, with the scripts that their characters belong to. */
const writtenIn: Readonly<Record<string, readonly string[]>> = {
  Hans: ['Hani'],
  Hant: ['Hani'],
  Jpan: ['Hani', 'Hira', 'Kana'],
  Kore: ['Hang', 'Hani'],
};

/** A language as somebody asks for it. */
export interface RequestedLanguage {
  /** As it was written. */
  tag: string;
  name: string;
  /** Letters with their capitals, digits, punctuation, quotation marks and the currency signs of its region. */
  characters: CodePointSet;
  /** Of these the letters, which no text does without. */
  letters: CodePointSet;
}

/**
 * What a language is written with. Script and region count where they are given; else they are the likely ones.
 *
 * @param tag BCP 47: `el`, `sr-Latn`, `pt-BR`
 * @throws DenseGlyphError `call-invalid` for tags that are malformed, or that CLDR has no characters for
 */
export function requestedLanguage(tag: string): RequestedLanguage {
  const likely = likelyLocale(tag);
  const row = likely && rowFor(likely);
  if (!row) {
    throw new DenseGlyphError(
      'call-invalid',
      `"${tag}" is not a language whose characters are known`,
      {},
      'write BCP 47 tags as in en, el or sr-Latn, or name the characters with --ranges',
    );
  }
  const [, name, , main, , punctuation, numbers] = row;
  const letters = new CodePointSet();
  eachPackedRange(exemplarSets[main], (first, last) => letters.addRange(first, last));
  const characters = new CodePointSet([space, noBreakSpace]);
  characters.addAll(letters);
  for (const set of [punctuation, numbers]) {
    eachPackedRange(exemplarSets[set], (first, last) => characters.addRange(first, last));
  }
  for (const [sign, regions] of currencySigns) {
    if (likely.region && regions.split(' ').includes(likely.region)) characters.add(sign.codePointAt(0)!);
  }
  return { tag, name, characters, letters };
}

const quotationMark = /(?!["'])\p{Quotation_Mark}/u;
/** What browsers take where they know nothing of the language. */
const usualMarks = '“”‘’';

/**
 * The quotation marks that a language is written with.
 *
 * @param tag BCP 47; usual ones where it is unknown
 */
export function quotationMarksOf(tag: string): string {
  const likely = likelyLocale(tag);
  const row = likely && rowFor(likely);
  if (!row) return usualMarks;
  const marks: string[] = [];
  eachPackedRange(exemplarSets[row[5]], (first, last) => {
    for (let c = first; c <= last; c++) marks.push(String.fromCodePoint(c));
  });
  return marks.filter((mark) => quotationMark.test(mark)).join('');
}

const space = 0x20;
const noBreakSpace = 0xa0;

function likelyLocale(tag: string): Intl.Locale | undefined {
  try {
    return new Intl.Locale(tag).maximize();
  } catch {
    return undefined;
  }
}

/** The row of a language in the script that is asked for, that of its region first. */
function rowFor({ language, script, region }: Intl.Locale): LanguageRow | undefined {
  const inRegion = (subtags: (string | undefined)[]) => subtags.filter(Boolean).join('-');
  const tags = [
    inRegion([language, script, region]),
    inRegion([language, region]),
    inRegion([language, script]),
    language,
  ];
  const rows = tags.map((tag) => languageRows.find(([other]) => other === tag));
  return rows.find((row) => row !== undefined && (row[2] === script || !script));
}

interface Count {
  had: number;
  wanted: number;
}

function countOf(packed: string, characters: CodePointSet): Count {
  const count: Count = { had: 0, wanted: 0 };
  eachPackedRange(packed, (first, last) => {
    count.wanted += last - first + 1;
    count.had += characters.countIn(first, last);
  });
  return count;
}

function missingIn(packed: string, characters: CodePointSet): number[] {
  const missing: number[] = [];
  eachPackedRange(packed, (first, last) => {
    if (characters.countIn(first, last) === last - first + 1) return;
    for (let codePoint = first; codePoint <= last; codePoint++) {
      if (!characters.has(codePoint)) missing.push(codePoint);
    }
  });
  return missing;
}
