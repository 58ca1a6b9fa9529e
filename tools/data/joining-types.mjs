// Writes src/data/joining-types.ts: how Arabic letters join (Unicode, ArabicShaping.txt), from Perl's own Unicode data.
//   node tools/data/joining-types.mjs     needs perl
import { execFileSync } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { packed } from './code-points.mjs';

const perl = (script) => execFileSync('perl', ['-MUnicode::UCD', '-e', script], { encoding: 'utf8' });
const version = perl('print Unicode::UCD::UnicodeVersion()');
const ofType = (type) => {
  const said = perl(
    `for (0..0xFFFF) { next if $_ >= 0xD800 && $_ < 0xE000; print "$_ " if chr =~ /\\p{Joining_Type=${type}}/ && chr =~ /\\p{Script=Arab}/ }`,
  );
  return packed(said.trim().split(' ').map(Number));
};
const text = `/**
 * Unicode ${version}: Arabic letters that join on the right alone, and on both sides (Joining_Type R and D), packed as ranges. Made by
 * tools/data/joining-types.mjs.
 */
export const rightJoining =
  '${ofType('R')}';
export const dualJoining =
  '${ofType('D')}';
`;
writeFileSync(new URL('../../src/data/joining-types.ts', import.meta.url), text);
console.log(`${text.length} bytes`);
