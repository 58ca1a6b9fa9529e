// CLDR (UTS 35, part 2: Exemplars)

import { exemplarSets, languageRows } from '../../data/languages.js';
import type { CodePointSet } from './code-point-set.js';
import { eachPackedRange } from './code-point-set.js';
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
    if (!scriptsWithin(script).some((code) => present.has(code))) continue;
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

/** The scripts that characters of a mixture or a variant belong to, by ISO 15924 codes. */
export const scriptsWithin = (script: string): readonly string[] => writtenIn[script] ?? [script];

const writtenIn: Readonly<Record<string, readonly string[]>> = {
  Hans: ['Hani'],
  Hant: ['Hani'],
  Jpan: ['Hani', 'Hira', 'Kana'],
  Kore: ['Hang', 'Hani'],
};

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
