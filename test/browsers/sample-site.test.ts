import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { cli, tree } from '../../test-support/cli.js';
import { availableEngines, startEngine } from '../../test-support/engines.js';
import { LoggingServer } from '../../test-support/server.js';

let folder: string;
let pages: string[];
/** The site with whole fonts, with those cut down to its pages, and with those cut down to a few letters. */
const servers: LoggingServer[] = [];

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'dense-glyph-site-'));
  const site = join(folder, 'ferries/site');
  const run = async (...args: string[]) =>
    expect(await cli([...args, '--quiet'], folder)).toEqual({ code: 0, out: '', err: '' });
  await run('demo', '--out', 'ferries');
  pages = tree(site).filter((path) => path.endsWith('.html') && !path.startsWith('type'));
  const faces = tree(join(site, 'type/faces')).map((path) => join(site, 'type/faces', path));
  const texts = pages.map((path) => join(site, path));
  await run('subset', ...faces, '--chars-from', ...texts, '--out', 'cut');
  await run('subset', ...faces, '--chars', 'etaoin', '--out', 'few');
  for (const fonts of [undefined, 'cut', 'few']) {
    servers.push(
      await LoggingServer.start({
        '/': site,
        ...(fonts ? { '/type/faces/': `${join(folder, fonts)}/` } : {}),
      }),
    );
  }
}, 60_000);

afterAll(async () => {
  for (const server of servers) await server.close();
  rmSync(folder, { recursive: true, force: true });
});

/** Shows a piece of the page, slightly turned, as level text is fitted to the pixel grid by other letters of the font. */
const show = `
  await document.fonts.ready;
  document.body.style.transformOrigin = '0 0';
  document.body.style.transform = 'rotate(.3deg) translateY(-' + argument + 'px)';
  await new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done)));
  return document.documentElement.scrollHeight;`;

// WebKitGTK's driver gives no pictures without a window manager.
test.each(availableEngines().filter((name) => name !== 'webkit'))(
  'in %s the site looks the same with fonts that were cut down to it',
  async (engineName) => {
    const engine = await startEngine(engineName);
    const pictures = async ({ origin }: LoggingServer, page: string) => {
      await engine.open(`${origin}/${page}`);
      const height = await engine.run<number>(show, 0);
      const taken: string[] = [];
      for (let y = 0; y < height; y += 500) {
        await engine.run(show, y);
        taken.push(await engine.screenshot());
      }
      return taken;
    };
    try {
      for (const page of pages) {
        const [whole, cut] = [await pictures(servers[0], page), await pictures(servers[1], page)];
        expect([page, cut.map((picture, i) => picture === whole[i])]).toEqual([page, whole.map(() => true)]);
      }
      const [whole, few] = [await pictures(servers[0], pages[0]), await pictures(servers[2], pages[0])];
      expect(few[0]).not.toBe(whole[0]); // it would show
    } finally {
      await engine.close();
    }
  },
  120_000,
);
