// Takes the faces of a site home in a copy of it, and draws every page before and after.
//   npm run homecoming -- [<site folder>; the site of patterns if left out] [--pages <glob…>] [--most-pages <n>] [--scripts] [--engines chromium,firefox]
//     [--hosted <folder>] [--keep <folder>]
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Arguments } from './arguments.js';
import { homecoming } from './loop.js';
import { writePatterns } from './patterns.js';

const args = new Arguments();
const { named } = args;
const patterns = named === undefined ? mkdtempSync(join(tmpdir(), 'dense-glyph-patterns-')) : undefined;
if (patterns !== undefined) await writePatterns(patterns);
const [most = '30'] = args.valuesOf('--most-pages');
const [engines = 'chromium,firefox'] = args.valuesOf('--engines');
const [hosted = patterns && join(patterns, 'hosted')] = args.valuesOf('--hosted');
const [keep] = args.valuesOf('--keep');
const report = await homecoming({
  site: named ?? join(patterns!, 'site'),
  pages: args.valuesOf('--pages'),
  mostPages: Number(most),
  runsScripts: args.has('--scripts'),
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
