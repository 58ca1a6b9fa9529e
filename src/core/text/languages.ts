// CLDR (UTS 35, part 2: Exemplars)

import { exemplarSets, languageRows } from '../../data/languages.js';
import { eachPackedRange, type CodePointSet } from './code-point-set.js';
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
  /** Code points that aren't there, by what CLDR counts them to. */
  missing: { main: number[]; auxiliary: number[]; punctuation: number[]; numbers: number[] };
}

/** A language counts as nearly covered up to this share of missing letters. */
const nearly = 0.25;

/**
 * The languages that a font covers completely or nearly, the complete ones first.
 *
 * @param characters what the font maps
 * @param scripts those of these characters, as `scriptsOf` tells
 */
export function languagesOf(
  characters: CodePointSet,
  scripts: readonly ScriptCoverage[],
): LanguageCoverage[] {
  const found: LanguageCoverage[] = [];
  const known: Missing[] = [];
  const compare = (set: number) => (known[set] ??= missingIn(exemplarSets[set], characters));
  const present = new Set(scripts.map(({ code }) => code));
  for (const [tag, name, script, mainSet, auxiliary, punctuation, numbers] of languageRows) {
    if (!(writtenIn[script] ?? [script]).some((code) => present.has(code))) continue;
    const main = compare(mainSet);
    if (main.missing.length > main.size * nearly) continue;
    found.push({
      tag,
      name,
      script,
      complete: main.missing.length === 0,
      missing: {
        main: main.missing,
        // Compared when somebody looks at them.
        get auxiliary() {
          return compare(auxiliary).missing;
        },
        get punctuation() {
          return compare(punctuation).missing;
        },
        get numbers() {
          return compare(numbers).missing;
        },
      },
    });
  }
  return found.sort((a, b) => Number(b.complete) - Number(a.complete) || (a.name < b.name ? -1 : 1));
}

/** ISO 15924 codes for mixtures and variants, with the scripts that their characters belong to. */
const writtenIn: Readonly<Record<string, readonly string[]>> = {
  Hans: ['Hani'],
  Hant: ['Hani'],
  Jpan: ['Hani', 'Hira', 'Kana'],
  Kore: ['Hang', 'Hani'],
};

interface Missing {
  missing: number[];
  size: number;
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
