import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { cli, tree } from '../../test-support/cli.js';
import { availableEngines, startEngine } from '../../test-support/engines.js';
import { copyKit } from '../../test-support/kits.js';
import { LoggingServer } from '../../test-support/server.js';

let folder: string;
let pages: string[];
/** The site with a kit of whole fonts, with one cut down to its pages, with one cut down to a few letters, and with whole fonts that `subset` cut. */
const servers: LoggingServer[] = [];

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'dense-glyph-site-'));
  for (const name of ['whole', 'cut', 'few'] as const) {
    copyKit(name, join(folder, name));
    servers.push(await LoggingServer.start({ '/': join(folder, name, 'site') }));
  }
  // The whole fonts of the first one, cut by the command that knows texts only.
  const site = join(folder, 'whole/site');
  const inside = (path: string) => tree(join(site, path)).map((file) => join(site, path, file));
  const texts = inside('.').filter((path) => path.endsWith('.html') && !path.includes('/type/'));
  const call = ['subset', ...inside('type/faces'), '--chars-from', ...texts, '--out', 'texts', '--quiet'];
  // A partial file has not all that pages draw.
  expect(await cli(call, folder)).toEqual({ code: 1, out: '', err: '' });
  servers.push(await LoggingServer.start({ '/': site, '/type/faces/': `${join(folder, 'texts')}/` }));
  pages = tree(join(folder, 'cut/site')).filter((path) => path.endsWith('.html') && !path.startsWith('type'));
});

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
      servers[1].take();
      for (const page of pages) {
        const whole = await pictures(servers[0], page);
        for (const server of [servers[1], servers[3]]) {
          const cut = await pictures(server, page);
          expect([page, cut.map((picture, i) => picture === whole[i])]).toEqual([
            page,
            whole.map(() => true),
          ]);
        }
      }
      const fetched = servers[1].take().filter(({ path }) => path.endsWith('.woff2'));
      expect(fetched.length).toBeGreaterThan(0);
      expect(fetched.filter(({ path }) => path.includes('-rest-'))).toEqual([]);
      const [whole, few] = [await pictures(servers[0], pages[0]), await pictures(servers[2], pages[0])];
      expect(few[0]).not.toBe(whole[0]); // it would show
    } finally {
      await engine.close();
    }
  },
);
