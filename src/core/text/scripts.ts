// UAX 24, Unicode Script Property; ISO 15924

import { scriptRanges } from '../../data/scripts.js';
import { eachPackedRange, type CodePointSet } from './code-point-set.js';

export interface ScriptCoverage {
  /** ISO 15924: `Latn`. */
  code: string;
  name: string;
  /** Characters of the script that are there. */
  characters: number;
}

/** The scripts of which a font has characters, those with most of them first. */
export function scriptsOf(characters: CodePointSet): ScriptCoverage[] {
  const found: ScriptCoverage[] = [];
  for (const [code, name, packed] of scriptRanges) {
    let count = 0;
    eachPackedRange(packed, (first, last) => {
      count += characters.countIn(first, last);
    });
    if (count > 0) found.push({ code, name, characters: count });
  }
  return found.sort((a, b) => b.characters - a.characters || (a.code < b.code ? -1 : 1));
}

/**
 * Characters by script, in the order of `scriptsOf`; those that scripts share (punctuation, digits, symbols, marks)
 * come last, as `Common`.
 */
export function charactersByScript(characters: CodePointSet): { name: string; codePoints: number[] }[] {
  const left = new Set(characters.codePoints());
  const groups = scriptsOf(characters).map(({ code, name }) => {
    const codePoints: number[] = [];
    const [, , packed] = scriptRanges.find(([known]) => known === code)!;
    eachPackedRange(packed, (first, last) => {
      for (let codePoint = first; codePoint <= last; codePoint++)
        if (left.delete(codePoint)) codePoints.push(codePoint);
    });
    return { name, codePoints };
  });
  return left.size > 0 ? [...groups, { name: 'Common', codePoints: [...left] }] : groups;
}
