// Takes the faces of a site home in a copy of it, and draws every page before and after.
//   npm run homecoming -- [<site folder>; the site of patterns if left out] [--pages <glob…>] [--most-pages <n>] [--scripts] [--engines chromium,firefox]
//     [--hosted <folder>] [--keep <folder>]
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { homecoming } from './loop.js';
import { writePatterns } from './patterns.js';

const args = process.argv.slice(2);
const valuesOf = (name: string): string[] => {
  const at = args.indexOf(name);
  if (at < 0) return [];
  const rest = args.slice(at + 1);
  const end = rest.findIndex((one) => one.startsWith('--'));
  return end < 0 ? rest : rest.slice(0, end);
};
const named = args[0]?.startsWith('--') ? undefined : args[0];
const patterns = named === undefined ? mkdtempSync(join(tmpdir(), 'dense-glyph-patterns-')) : undefined;
if (patterns !== undefined) await writePatterns(patterns);
const [most = '30'] = valuesOf('--most-pages');
const [engines = 'chromium,firefox'] = valuesOf('--engines');
const [hosted = patterns && join(patterns, 'hosted')] = valuesOf('--hosted');
const [keep] = valuesOf('--keep');
const report = await homecoming({
  site: named ?? join(patterns!, 'site'),
  pages: valuesOf('--pages'),
  mostPages: Number(most),
  runsScripts: args.includes('--scripts'),
  widths: [1280, 390],
  engines: engines.split(',').filter((one) => one === 'chromium' || one === 'firefox'),
  hosted,
  keep,
  say: (line) => console.log(line),
});
for (const problem of report.problems) console.log(`! ${problem}`);
console.log(
  `${report.pictures} pictures, ${report.pictures - report.differing} the same; ` +
    `${report.bytesBefore} bytes before, ${report.bytesAfter} after; ${report.problems.length} problems`,
);
if (patterns !== undefined) rmSync(patterns, { recursive: true, force: true });
process.exitCode = report.problems.length === 0 ? 0 : 1;
