// Takes the faces of a site home in a copy of it, and draws every page before and after.
//   npm run homecoming -- [<site folder>; the site of patterns if left out] [--pages <glob…>] [--most-pages <n>] [--scripts]
//     [--engines chromium,firefox] [--hosted <folder>] [--keep <folder>] [--no-store]
//   npm run homecoming -- --all [--sites <slug…>] [--most-pages <n>] …   public sites from packages
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { allSites } from './all.js';
import { Arguments } from './arguments.js';
import { homecoming, type HomecomingRequest } from './loop.js';
import { writePatterns } from './patterns.js';

const args = new Arguments();
const [engines = 'chromium,firefox'] = args.valuesOf('--engines');
const [keep] = args.valuesOf('--keep');
const shared = {
  engines: engines.split(',').filter((one) => one === 'chromium' || one === 'firefox'),
  keep,
  caching: args.has('--no-store') ? 'no-store' : undefined,
  say: (line: string) => console.log(line),
};
const [most = args.has('--all') ? '3' : '30'] = args.valuesOf('--most-pages');
const mostPages = Number(most);
const troubled = args.has('--all')
  ? await allSites({ ...shared, mostPages, slugs: args.valuesOf('--sites') })
  : await oneSite(args.named);
process.exitCode = troubled === 0 ? 0 : 1;

/** @returns how many problems there are */
async function oneSite(named: string | undefined): Promise<number> {
  const patterns = named === undefined ? mkdtempSync(join(tmpdir(), 'dense-glyph-patterns-')) : undefined;
  if (patterns !== undefined) await writePatterns(patterns);
  const [hosted = patterns && join(patterns, 'hosted')] = args.valuesOf('--hosted');
  const request: HomecomingRequest = {
    ...shared,
    site: named ?? join(patterns!, 'site'),
    pages: args.valuesOf('--pages'),
    mostPages,
    runsScripts: args.has('--scripts'),
    widths: [1280, 390],
    hosted,
  };
  const report = await homecoming(request);
  for (const problem of report.problems) console.log(`! ${problem}`);
  console.log(
    `${report.pictures} pictures, ${report.pictures - report.differing} the same; ` +
      `${report.bytesBefore} bytes before, ${report.bytesAfter} after; ${report.problems.length} problems`,
  );
  if (patterns !== undefined) rmSync(patterns, { recursive: true, force: true });
  return report.problems.length;
}
