// CLDR (UTS 35, part 2: Exemplars)

import { exemplarSets, languageRows, type LanguageRow } from '../../data/languages.js';
import { eachPackedRange, type CodePointSet } from './code-point-set.js';

/** How far a font covers what a language is written with. */
export interface LanguageCoverage {
  /** BCP 47: `sr-Latn`. */
  tag: string;
  name: string;
  /** ISO 15924. */
  script: string;
  /** All letters, small and capital, are there. */
  complete: boolean;
  /** Code points that aren't there, by what CLDR counts them to. */
  missing: { main: number[]; auxiliary: number[]; punctuation: number[]; numbers: number[] };
}

/** A language counts as nearly covered up to this share of missing letters. */
const nearly = 0.25;

/**
 * The languages that a font covers completely or nearly, the complete ones first.
 *
 * @param characters what the font maps
 */
export function languagesOf(characters: CodePointSet): LanguageCoverage[] {
  const found: LanguageCoverage[] = [];
  const missingOf: Missing[] = [];
  const compare = (set: number) => (missingOf[set] ??= missingIn(exemplarSets[set], characters));
  for (const row of languageRows) {
    const [tag, name, script, mainSet] = row;
    if (!startsCovered(exemplarSets[mainSet], characters)) continue;
    const main = compare(mainSet);
    if (main.missing.length > main.size * nearly) continue;
    found.push({
      tag,
      name,
      script,
      complete: main.missing.length === 0,
      missing: missingParts(row, compare),
    });
  }
  return found.sort((a, b) => Number(b.complete) - Number(a.complete) || (a.name < b.name ? -1 : 1));
}

interface Missing {
  missing: number[];
  size: number;
}

/** Most languages are written in a script that the font doesn't have, which the first ranges tell. */
function startsCovered(packed: string, characters: CodePointSet): boolean {
  let ranges = 0;
  let covered = 0;
  eachPackedRange(packed, (first, last) => {
    covered += characters.countIn(first, last);
    return ++ranges < 12;
  });
  return covered > 0;
}

function missingParts(row: LanguageRow, compare: (set: number) => Missing) {
  const [, , , main, auxiliary, punctuation, numbers] = row;
  return {
    main: compare(main).missing,
    auxiliary: compare(auxiliary).missing,
    punctuation: compare(punctuation).missing,
    numbers: compare(numbers).missing,
  };
}

function missingIn(packed: string, characters: CodePointSet): Missing {
  const missing: number[] = [];
  let size = 0;
  eachPackedRange(packed, (first, last) => {
    size += last - first + 1;
    if (characters.countIn(first, last) === last - first + 1) return;
    for (let codePoint = first; codePoint <= last; codePoint++) {
      if (!characters.has(codePoint)) missing.push(codePoint);
    }
  });
  return { missing, size };
}
