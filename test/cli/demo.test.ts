import { describe, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { DemoResult } from '#src/app/demo.js';
import { cli, inFolder } from '../../test-support/cli.js';
import { root } from '../../test-support/paths.js';
import { thoroughly } from '../../test-support/thoroughly.js';

describe('demo', () => {
  test('brings the faces of the sample site home, and the last scan finds nothing', () =>
    inFolder(async (folder) => {
      const { code, out, err } = await cli(['demo', '--out', 'ferries', '--json'], folder);
      expect([code, err]).toEqual([0, '']);
      const result = JSON.parse(out) as DemoResult;
      const { pages, manifest, scanned, adopted, wired, scannedAgain } = result;
      expect(pages).toHaveLength(9);
      const hosted = scanned.findings.filter((one) => one.code === 'hosted-reference');
      expect(hosted.flatMap((one) => one.pages).length).toBeGreaterThan(10);
      expect([adopted.fetched, adopted.findings]).toEqual([6, []]);
      expect([wired.files.length, wired.findings, scannedAgain.findings]).toEqual([10, [], []]);
      expect(scannedAgain.faces.every(({ drawnBy }) => drawnBy !== null)).toBe(true);
      for (const page of pages) {
        const html = readFileSync(join(folder, 'ferries/site', page), 'utf8');
        const base = page.includes('/') ? '../type/' : 'type/';
        expect(html).toContain(
          `<link rel="stylesheet" href="${base}kit.css">\n<!-- dense-glyph: end -->\n<link rel="stylesheet" href="`,
        );
        for (const file of manifest.plan!.pages.find(({ page: own }) => own === page)!.preloads)
          expect(html).toContain(`<link rel="preload" href="${base}${file}"`);
        expect(html).not.toContain('127.0.0.1');
        expect(readFileSync(join(folder, 'ferries/before', page), 'utf8')).toContain('127.0.0.1');
      }
      const again = await cli(['demo', '--out', 'ferries'], folder);
      expect(again.err).toBe('ferries: the folder is not empty; name a new folder\n');
      expect(readFileSync(join(root, 'sample/site/index.html'), 'utf8')).not.toContain('kit.css');
    }));

  thoroughly('reads as a story of commands that a person could type', () =>
    inFolder(async (folder) => {
      const { out } = await cli(['demo', '--out', 'ferries'], folder);
      expect(out.match(/^\$ .*$/gm)?.map((line) => line.replace(/127.*$/, '…'))).toEqual([
        '$ cd ferries',
        '$ dense-glyph scan site',
        '$ dense-glyph adopt site --out fonts --allow-host …',
        '$ dense-glyph init fonts --site site',
        '$ dense-glyph build',
        '$ dense-glyph wire',
        '$ dense-glyph scan site',
      ]);
      expect(out).toContain('nothing is wrong');
    }),
  );
});
