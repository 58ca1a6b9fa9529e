import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { existsSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { ScanResult } from '#src/app/scanning/scan-result.js';
import { cli } from '../../test-support/cli.js';
import { testedEngines, startEngine } from '../../test-support/engines.js';
import { copyKit } from '../../test-support/kits.js';
import { LoggingServer } from '../../test-support/server.js';

interface Looked {
  fetched: string[];
  loaded: string[];
}

let folder: string;
let site: string;
let scanned: ScanResult;
let server: LoggingServer;

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'dense-glyph-wired-'));
  copyKit('demo', join(folder, 'ferries'));
  site = join(folder, 'ferries/site');
  scanned = JSON.parse((await cli(['scan', 'ferries/site', '--json'], folder)).out) as ScanResult;
  // Each page under a path of its own, as browsers keep faces.
  server = await LoggingServer.start(Object.fromEntries(scanned.pages.map((_, i) => [`/${i}/`, site])));
});
afterAll(async () => {
  await server?.close();
  rmSync(folder, { recursive: true, force: true });
});

/** What a page has fetched, and what became of its faces; each part of one is a face for itself. */
const look = `
  await document.fonts.ready;
  return {
    fetched: performance.getEntriesByType('resource').map(({ name }) => name),
    loaded: [...document.fonts].filter(({ status }) => status === 'loaded')
      .map(({ family, style }) => [family.replace(/['"]/g, ''), style].join(' ')),
  };`;

describe.each(testedEngines())('in %s', (name) => {
  test('the wired site asks no other host, misses nothing, and draws just the faces that scan predicts', async () => {
    const engine = await startEngine(name);
    try {
      for (const [i, { page, faces }] of scanned.pages.entries()) {
        server.take();
        await engine.open(`${server.origin}/${i}/${page}`);
        const { fetched, loaded } = await engine.run<Looked>(look);
        expect(fetched.filter((url) => !url.startsWith(`${server.origin}/`))).toEqual([]);
        const asked = server.take().map(({ path }) => path.replace(/^\/\d+\//, ''));
        const missing = asked.filter(
          (path) => !path.endsWith('favicon.ico') && !existsSync(join(site, path)),
        );
        expect([page, missing]).toEqual([page, []]);
        const drawn = faces.filter(({ certainty, faked }) => certainty === 'drawn' && faked.length === 0);
        expect(drawn.every(({ drawnBy }) => drawnBy !== null)).toBe(true);
        const predicted = new Set(drawn.map(({ drawnBy }) => `${drawnBy?.family} ${drawnBy?.style}`));
        expect([page, [...predicted].filter((face) => !loaded.includes(face))]).toEqual([page, []]);
        const files = (urls: readonly (string | undefined)[]) =>
          urls.map((url) => url?.replace(/^.*\//, '')).filter((name) => name?.endsWith('.woff2') === true);
        const foretold = new Set(files(drawn.map(({ drawnBy }) => drawnBy?.url)));
        expect([page, files(asked).sort()]).toEqual([page, [...foretold].sort()]);
      }
    } finally {
      await engine.close();
    }
  });
});
