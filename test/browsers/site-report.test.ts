import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { cli } from '../../test-support/cli.js';
import { testedEngines, overflowOnTelephone, startEngine, type Engine } from '../../test-support/engines.js';
import { root } from '../../test-support/paths.js';
import { LoggingServer } from '../../test-support/server.js';

let folder: string;
let server: LoggingServer;

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'dense-glyph-report-'));
  await cli(['scan', join(root, 'sample/before'), '--page', 'report.html', '--quiet'], folder);
  server = await LoggingServer.start({ '/': folder });
});
afterAll(async () => {
  await server.close();
  rmSync(folder, { recursive: true, force: true });
});

describe.each(testedEngines())('the page of a scan in %s', (name) => {
  let engine: Engine;
  beforeAll(async () => {
    engine = await startEngine(name);
    await engine.open(`${server.origin}/report.html`);
  });
  afterAll(() => engine.close());

  const text = (selector: string) =>
    engine.run<string[]>(
      'return [...document.querySelectorAll(argument)].map((one) => one.textContent.trim())',
      selector,
    );
  const click = (selector: string, label: string) =>
    engine.run<boolean>(
      `const found = [...document.querySelectorAll(argument.selector)].find((one) => one.textContent === argument.label);
       found?.click(); return found !== undefined;`,
      { selector, label },
    );

  test('asks for nothing but itself', () => {
    const others = server.take().filter(({ path }) => !/report\.html|favicon/.test(path));
    expect(others).toEqual([]);
  });

  test('faces stand in rows and pages in columns, with characters in the cells', async () => {
    expect(await text('th.page')).toEqual([
      'el/index.html',
      'fares.html',
      'index.html',
      'map.html',
      'notices.html',
      'pl/index.html',
      'story.html',
    ]);
    const rows = await text('.matrix tr');
    expect(rows.find((row) => row.startsWith('Lampbuoy Slab 800'))).toMatch(
      /LampbuoySlab-Bold\.woff2 6\.\d kB117$/,
    );
    expect(await text('td .faked')).not.toEqual([]);
  });

  test('a face shows who asks for it and its characters, and a character where it is drawn', async () => {
    expect(await click('tr th button', 'Lampbuoy Slab 800')).toBe(true);
    expect(await text('.detail h2')).toEqual(['Lampbuoy Slab 800 on 1 page']);
    expect((await text('.rules li')).join()).toContain('.totalstyles/site.css:32');
    expect(await click('.characters button', '£')).toBe(true);
    expect(await text('.places li')).toEqual(['fares.html:16p.totalA family of four: £11.60']);
  });

  test('a cell shows the face on its page', async () => {
    await engine.run(`document.querySelector('td button[data-page="el/index.html"]').click()`);
    expect((await text('.detail h2'))[0]).toMatch(/ on el\/index\.html$/);
  });

  test('findings stand with their lines, the one that is meant marked', async () => {
    const cards = await text('article');
    expect(cards.length).toBeGreaterThan(20);
    expect(cards[0]).toMatch(/^error styles\/site\.css:13/);
    expect(await text('article.error .wanted')).toContain(
      '7<link rel="stylesheet" href="style/print.css" media="print">',
    );
  });

  test('nothing is wider than the window', async () => {
    const overflow = await engine.run<number>(
      'return document.documentElement.scrollWidth - document.documentElement.clientWidth',
    );
    expect(overflow).toBe(0);
    expect(await overflowOnTelephone(engine, `${server.origin}/report.html`)).toBe(0);
  });
});
