import { characterNames, namedCharacters } from '../../data/character-names.js';
import { eachPackedRange } from './code-point-set.js';

let known: ReadonlyMap<number, string> | undefined;

/**
 * What Unicode calls a character, in lower case; undefined for signs that no language is written with, and for
 * ideographs and Hangul syllables, which have no names of their own.
 */
export function characterName(codePoint: number): string | undefined {
  known ??= readNames();
  return known.get(codePoint);
}

function readNames(): ReadonlyMap<number, string> {
  const names = characterNames.split(';');
  const found = new Map<number, string>();
  let next = 0;
  eachPackedRange(namedCharacters, (first, last) => {
    for (let codePoint = first; codePoint <= last; codePoint++) found.set(codePoint, names[next++]);
  });
  return found;
}
