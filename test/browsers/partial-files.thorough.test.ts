import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { cpSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { WireResult } from '#src/app/wiring/wire.js';
import { startFontHost, type FontHost } from '#src/rehearsal/font-host.js';
import { cli } from '../../test-support/cli.js';
import { availableEngines, startEngine, type Engine } from '../../test-support/engines.js';
import { readSample, root } from '../../test-support/paths.js';
import { LoggingServer } from '../../test-support/server.js';

const pages = ['index.html', 'el/index.html', 'pl/index.html'];

let folder: string;
let host: FontHost;
let wired: WireResult;
const servers: LoggingServer[] = [];

/** The sample site with faces of a host that serves them in pieces, as it is and with a kit of them. */
beforeAll(async () => {
  const names = ['FerrywakeSans-Variable.ttf', 'FerrywakeSans-VariableItalic.ttf', 'LampbuoySlab-Bold.otf'];
  host = await startFontHost(names.map((path) => ({ path, bytes: readSample(path) })));
  folder = mkdtempSync(join(tmpdir(), 'dense-glyph-partial-'));
  cpSync(join(root, 'sample/site'), join(folder, 'site'), { recursive: true });
  const links = ['ferrywake-sans', 'lampbuoy-slab'].map(
    (family) => `<link rel="stylesheet" href="${host.styles}/css/${family}.css?cut">\n`,
  );
  for (const page of pages) {
    const path = join(folder, 'site', page);
    writeFileSync(path, readFileSync(path, 'utf8').replace(/<link rel="stylesheet"/, `${links.join('')}$&`));
  }
  cpSync(join(folder, 'site'), join(folder, 'before'), { recursive: true });
  const hosts = [host.styles, host.files].map((origin) => new URL(origin).host);
  const run = async (...args: string[]) => {
    const { code, out, err } = await cli([...args, '--json'], folder);
    expect([args, code, err]).toEqual([args, 0, '']);
    return JSON.parse(out) as unknown;
  };
  await run('adopt', 'site', '--out', 'fonts', '--allow-host', ...hosts);
  // One family stays in parts, as where files can't be joined.
  const fonts = readdirSync(join(folder, 'fonts'));
  const joined = fonts.filter((name) => /^[a-z-]+(-\d+)+[in]-\w{8}\.woff2$/.test(name));
  expect(joined).toHaveLength(3);
  rmSync(
    join(
      folder,
      'fonts',
      joined.find((name) => name.startsWith('lampbuoy'))!,
    ),
  );
  await run('init', 'fonts', '--site', 'site');
  await run('build');
  wired = (await run('wire')) as WireResult;
  for (const name of ['before', 'site']) servers.push(await LoggingServer.start({ '/': join(folder, name) }));
});
afterAll(async () => {
  for (const server of servers) await server.close();
  await host.close();
  rmSync(folder, { recursive: true, force: true });
});

/** Slightly turned, as level text is fitted to the pixel grid by other letters of the font. */
const show = `
  await document.fonts.ready;
  document.body.style.transformOrigin = '0 0';
  document.body.style.transform = 'rotate(.3deg)';
  await new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done)));
  return [...document.fonts].filter(({ status }) => status === 'loaded').length;`;

// WebKitGTK's driver gives no pictures without a window manager.
describe.each(availableEngines().filter((name) => name !== 'webkit'))('in %s', (name) => {
  test('a kit of partial files draws what the partial files draw, from the site itself', async () => {
    // Pages that asked for a family that nobody declared there get it now, which is said.
    expect(wired.findings.filter(({ message }) => !message.includes('drawn by a local font before'))).toEqual(
      [],
    );
    const engine: Engine = await startEngine(name);
    try {
      for (const page of pages) {
        const pictures: string[] = [];
        for (const server of servers) {
          await engine.open(`${server.origin}/${page}`);
          expect(await engine.run<number>(show)).toBeGreaterThan(1);
          pictures.push(await engine.screenshot());
        }
        expect([page, pictures[0] === pictures[1]]).toEqual([page, true]);
        const fetched = await engine.run<string[]>(
          `return performance.getEntriesByType('resource').map(({ name }) => name);`,
        );
        expect(fetched.filter((url) => !url.startsWith(servers[1].origin))).toEqual([]);
      }
    } finally {
      await engine.close();
    }
  });
});
