import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { cpSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { cli } from '../../test-support/cli.js';
import { testedEngines, startEngine, type Engine } from '../../test-support/engines.js';
import { manifestIn, project, sans } from '../../test-support/project.js';
import { LoggingServer } from '../../test-support/server.js';
import { isThorough } from '../../test-support/thorough.js';

const story =
  'The mail steamer stopped calling, so we bought a trawler, painted it white and ran it ourselves. ';
const markup = `<!doctype html><html lang=en><head><meta charset=utf-8><title>Story</title>
<style>p { font: 300 20px "Ferrywake Sans", monospace; width: 30em } b { font-weight: 700 } i { font-weight: 400; font-style: normal }</style></head>
<body><p id=light>${story.repeat(3)}</p><p><i id=regular>${story.repeat(2)}</i></p><p><b id=bold>${story.repeat(2)}</b></p></body></html>`;

/**
 * Notes how long each text is in one line, whenever that changes, and whether the files were still held back. The page asks for them
 * after some looks.
 */
const watching = `<script>
  window.seen = [];
  const watched = /still/.test(location) ? ['light'] : ['light', 'regular', 'bold'];
  const widthOf = (id) => {
    const copy = document.getElementById(id).cloneNode(true);
    copy.style.cssText = 'position:absolute;white-space:nowrap;width:auto;visibility:hidden';
    document.getElementById(id).parentNode.append(copy);
    const { width } = copy.getBoundingClientRect();
    copy.remove();
    return width.toFixed(1);
  };
  let looks = 0;
  let isHeld = true;
  addEventListener('DOMContentLoaded', () => setInterval(() => {
    const now = watched.map(widthOf).join(' ');
    if (seen.at(-1)?.[1] !== now) seen.push([isHeld, now]);
    if (!isHeld || ++looks < 60) return;
    isHeld = false;
    fetch('/release');
  }, 20));
</script>`;

const variable = { ...sans, files: 'fonts/FerrywakeSans-Variable.ttf', faces: '300..800' };
const still = { ...sans, faces: [400, 700] };
const servers: LoggingServer[] = [];
const firstPart = /<style>\n@(?:font-face|supports)[^]*?<\/style>\n/;

let folder: string;

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'dense-glyph-first-'));
  for (const [name, family] of Object.entries({ variable, still })) {
    const config = {
      site: { root: 'site' },
      output: { folder: 'site/type' },
      loading: { inline: 'auto' },
      budget: { preloads: 0 },
      families: [family],
    };
    await project(config, async (base) => {
      mkdirSync(join(base, 'site'));
      writeFileSync(join(base, 'site/index.html'), markup);
      for (const command of ['build', 'wire'])
        expect(await cli([command, '--quiet'], base)).toMatchObject({ code: 0 });
      const [{ first }] = manifestIn(base).plan!.pages;
      expect(first!.lines[0].gain).toBeGreaterThanOrEqual(100);
      const page = readFileSync(join(base, 'site/index.html'), 'utf8');
      // What a server sends at once (RFC 6928).
      expect(gzipSync(page).length + 300).toBeLessThanOrEqual(14_600);
      // The same once more, though the page is heavier now: by what rounds to a millisecond.
      expect(await cli(['build', '--quiet'], base)).toMatchObject({ code: 0 });
      const [{ first: next }] = manifestIn(base).plan!.pages;
      expect(next!.file).toBe(first!.file);
      for (const [i, line] of next!.lines.entries()) {
        const { gain, ...others } = first!.lines[i];
        expect(line).toMatchObject(others);
        expect(Math.abs(line.gain - gain)).toBeLessThanOrEqual(1);
      }
      const again = await cli(['wire', '--dry-run', '--json'], base);
      expect((JSON.parse(again.out) as { files: unknown[] }).files).toEqual([]);
      writeFileSync(join(base, 'site/index.html'), page.replace('<meta charset=utf-8>', `$&${watching}`));
      cpSync(join(base, 'site'), join(folder, name), { recursive: true });
    });
  }
});
afterAll(async () => {
  await Promise.all(servers.map((server) => server.close()));
  rmSync(folder, { recursive: true, force: true });
});

describe.each(testedEngines())('%s', (engineName) => {
  let engine: Engine;
  beforeAll(async () => {
    engine = await startEngine(engineName, { unhinted: true });
  });
  afterAll(() => engine.close());

  test.each(isThorough ? ['variable', 'still'] : ['variable'])(
    'text is in its face before the file of the face is there: %s',
    async (name) => {
      const page = readFileSync(join(folder, name, 'index.html'), 'utf8');
      const changes = async (html: string) => {
        const late = { paths: /\.woff2/ };
        const server = await LoggingServer.start({ '/': folder }, { [`/${name}/now.html`]: html }, late);
        servers.push(server);
        await engine.open(`${server.origin}/${name}/now.html`);
        await engine.run(`
          const pause = (time) => new Promise((done) => setTimeout(done, time));
          while (isHeld) await pause(50);
          await pause(200);
          await document.fonts.ready;
          await pause(400);`);
        const asked = server.take().flatMap(({ path }) => (path.endsWith('.woff2') ? [path] : []));
        // Each file once.
        expect([...new Set(asked)]).toEqual(asked);
        expect(asked).not.toEqual([]);
        return engine.run<[isHeld: boolean, widths: string][]>('return seen');
      };
      const plain = await changes(page.replace(firstPart, ''));
      const inlined = await changes(page);
      expect([plain, inlined].map((seen) => seen.at(-1)![0])).toEqual([false, true]);
      expect(inlined.at(-1)![1]).toBe(plain.at(-1)![1]);
    },
  );
});
