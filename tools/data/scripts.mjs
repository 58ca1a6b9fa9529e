// Writes src/data/scripts.ts: which script each character belongs to (UAX 24), from Node's own Unicode data.
//   node tools/data/scripts.mjs     needs the package cldr-core for the list of ISO 15924 codes
import { writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { packed } from './code-points.mjs';

const require = createRequire(import.meta.url);
const { scriptMetadata } = require('cldr-core/scriptMetadata.json');
const names = new Intl.DisplayNames('en', { type: 'script' });

const scripts = [];
for (const code of Object.keys(scriptMetadata).sort()) {
  let pattern;
  try {
    pattern = new RegExp(`^\\p{Script=${code}}$`, 'u');
  } catch {
    continue; // codes for mixtures of scripts, as Jpan
  }
  if (['Zyyy', 'Zinh', 'Zzzz'].includes(code)) continue;
  const found = [];
  for (let c = 0; c <= 0x10ffff; c++) {
    if ((c < 0xd800 || c > 0xdfff) && pattern.test(String.fromCodePoint(c))) found.push(c);
  }
  if (found.length > 0)
    scripts.push(`  ['${code}', '${names.of(code).replaceAll("'", '’')}', '${packed(found)}'],`);
}
const text = `/**
 * Unicode ${process.versions.unicode}: the characters of each script (UAX 24) by its ISO 15924 code, without those that scripts share. Made by
 * tools/data/scripts.mjs.
 */
export const scriptRanges: readonly (readonly [code: string, name: string, ranges: string])[] = [
${scripts.join('\n')}
];
`;
writeFileSync(new URL('../../src/data/scripts.ts', import.meta.url), text);
console.log(`${scripts.length} scripts, ${text.length} characters`);
