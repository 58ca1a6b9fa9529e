import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { homecoming } from '../../tools/homecoming/loop.js';
import { publicSites, siteFolder } from '../../tools/homecoming/public-sites.js';
import { writePatterns } from '../../tools/homecoming/patterns.js';
import { availableEngines } from '../../test-support/engines.js';

let folder: string;
beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'dense-glyph-patterns-'));
  await writePatterns(folder);
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const engines = availableEngines().filter((name) => name !== 'webkit');

test('a site with every pattern that once changed in silence is drawn as before, with no more bytes, and comes back', async () => {
  const report = await homecoming({
    site: join(folder, 'site'),
    hosted: join(folder, 'hosted'),
    pages: [],
    mostPages: 30,
    runsScripts: true,
    engines,
    widths: [1280],
    say: () => undefined,
  });
  expect(report.problems).toEqual([]);
  expect(report.pictures).toBe(engines.length * 9);
  expect(report.bytesAfter).toBeLessThan(report.bytesBefore / 2);
});

const chosen = ['skeleton', 'typicons', 'paper-dashboard'];
// `npm run homecoming -- --all` looks at all of them.
test.each(publicSites.filter(({ slug }) => chosen.includes(slug)))(
  'the public site $slug is drawn as before, asks no host that could be had, and comes back',
  async (site) => {
    const report = await homecoming({
      site: siteFolder(site),
      pages: site.pages ?? [],
      mostPages: 1,
      isTrimmed: true,
      isCutApart: true,
      runsScripts: true,
      packages: [],
      engines,
      widths: [1280],
      say: () => undefined,
    });
    expect(report.problems).toEqual([]);
    // One asks a host for icons that nobody serves here, and goes on asking.
    const left = site.slug === 'paper-dashboard' ? 1 : 0;
    expect([report.pictures, report.hostsAfter]).toEqual([engines.length, left]);
  },
);
