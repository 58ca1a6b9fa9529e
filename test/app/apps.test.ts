import { expect, test } from '@jest/globals';
import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { BuildResult } from '#src/app/building/build.js';
import type { ScanResult } from '#src/app/scanning/scan.js';
import { parseUnicodeRanges } from '#src/core/text/parse-ranges.js';
import { serveFolder } from '#src/io/static-server.js';
import { appFamilies, writeApp } from '../../test-support/app.js';
import { cli, inFolder, tree } from '../../test-support/cli.js';
import { isThorough } from '../../test-support/thorough.js';
import { thoroughly } from '../../test-support/thoroughly.js';

const states = [
  { page: '/', click: '#notice' },
  { page: '/', language: 'de' },
];

async function app<Result>(
  config: object,
  use: (folder: string, run: (...args: string[]) => ReturnType<typeof cli>) => Promise<Result>,
): Promise<Result> {
  return inFolder(async (folder) => {
    writeApp(folder);
    writeFileSync(
      join(folder, 'dense-glyph.config.json'),
      JSON.stringify({ output: { folder: 'dist/type' }, families: appFamilies, ...config }),
    );
    return use(folder, (...args) => cli(args, folder));
  });
}

/** What pages ask of a family: drawn, and possible. */
const asksOf = ({ pages }: ScanResult, page: string, family: string, weight = 400) => {
  const ask = pages
    .find((one) => one.page === page)
    ?.asks?.find(({ asked }) => asked.family === family && asked.weight === weight);
  const text = (ranges = '') => String.fromCodePoint(...parseUnicodeRanges(ranges).codePoints());
  return [text(ask?.drawn), text(ask?.possible)];
};

test('routes, languages, what a click shows and what is shown while it loads are read; other links are left alone', async () => {
  await app({ site: { root: 'dist', scripts: true, states } }, async (_, run) => {
    const { code, out } = await run('scan', '--json');
    expect(code).toBeLessThan(2);
    const found = JSON.parse(out) as ScanResult;
    expect(found.pages.map(({ page }) => page)).toEqual([
      'index.html',
      '/ (click #notice)',
      '/ (language de)',
      '/fares',
    ]);
    expect(asksOf(found, 'index.html', 'Lampbuoy Slab', 700)).toEqual(['BQaeginorstuy', '']);
    expect(asksOf(found, '/ (language de)', 'Lampbuoy Slab', 700)).toEqual(['FQeghinruyä', '']);
    expect(asksOf(found, '/fares', 'Tidelog Mono')).toEqual(['.024', '']);
    expect(asksOf(found, 'index.html', 'Ferrywake Sans', 700)).toEqual(['', '']);
    expect(asksOf(found, '/ (click #notice)', 'Ferrywake Sans', 700)).toEqual(['', 'Ahoy']);
  });
});

thoroughly(
  'a kit from a demand that was kept is the kit from the pages, byte by byte; a change of the pages is told',
  async () => {
    const site = { root: 'dist', scripts: true, states, demand: 'kept.json' };
    await app({ site, characters: { from: 'src/locales/*' } }, async (folder, run) => {
      const kit = () =>
        tree(join(folder, 'dist/type')).map((file) => [
          file,
          readFileSync(join(folder, 'dist/type', file), 'utf8'),
        ]);
      expect(await run('build', '--quiet')).toMatchObject({ code: 0 });
      const read = kit();
      await run('scan', '--save', 'kept.json');
      rmSync(join(folder, 'dist/type'), { recursive: true });
      // A browser isn't needed any more.
      const { code, out } = await cli(['build', '--json'], folder, {
        env: { DENSE_GLYPH_CHROMIUM: '/nowhere' },
      });
      expect(code).toBe(0);
      expect(kit()).toEqual(read);
      const { manifest, findings } = JSON.parse(out) as BuildResult;
      expect(findings).toEqual([]);
      const [sans] = manifest.families;
      const drawn = parseUnicodeRanges(
        sans.faces[0].parts.find(({ slice }) => slice === 'drawn')!.characters,
      );
      // Of catalogues the values, not the keys.
      expect([...'ŻółwGröße'].filter((sign) => !drawn.has(sign.codePointAt(0)!))).toEqual([]);
      expect([...'_'].filter((sign) => drawn.has(sign.codePointAt(0)!))).toEqual([]);
      const page = join(folder, 'dist/index.html');
      writeFileSync(page, readFileSync(page, 'utf8').replace('Pier', 'Quay'));
      const later = JSON.parse((await run('build', '--json')).out) as BuildResult;
      expect(later.findings.map(({ code: one, message }) => [one, message])).toEqual([
        ['demand-stale', 'it is older than index.html'],
      ]);
    });
  },
);

test('a running server: init writes what it saw, build goes by that, and wire says where to go', async () => {
  await inFolder(async (folder) => {
    writeApp(folder);
    mkdirSync(join(folder, 'public'));
    const served = await serveFolder(join(folder, 'dist'), 0, undefined, true);
    const run = (...args: string[]) => cli(args, folder);
    expect(await run('init', 'fonts', '--site', served.origin, '--quiet')).toMatchObject({
      code: 0,
      err: '',
    });
    await served.close();
    const config = readFileSync(join(folder, 'dense-glyph.config.yaml'), 'utf8');
    expect(config).toContain(`url: "${served.origin}"`);
    expect(config).toContain('folder: public/type');
    const { code, out, err } = await run('build', '--json');
    expect([code, err]).toEqual([0, '']);
    const { manifest } = JSON.parse(out) as BuildResult;
    expect(manifest.pages.map(({ page }) => page)).toEqual(['/fares', '/']);
    expect(manifest.families.map(({ family }) => family).sort()).toEqual([
      'Ferrywake Sans',
      'Lampbuoy Slab',
      'Tidelog Mono',
    ]);
    const wired = await run('wire');
    expect(wired.code).toBe(2);
    expect(wired.err).toContain('site.url is a running server');
  });
});

const mistakes: [string, object, RegExp][] = [
  [
    'no such element',
    { root: 'dist', scripts: true, states: [{ page: '/', click: '#none' }] },
    /nothing on it matches #none/,
  ],
  ['no selector', { root: 'dist', scripts: true, states: [{ page: '/', hover: '!!' }] }, /!! is no selector/],
  ['no page', { root: 'dist', scripts: true, pages: ['/fares'], states: [] }, /^$/],
  [
    'a route without scripts',
    { root: 'dist', pages: ['/fares'] },
    /no file is \/fares; write site: \{ scripts: true \}/,
  ],
  ['a state without scripts', { root: 'dist', states }, /states are shown by pages whose scripts run/],
  [
    'a state of nothing',
    { root: 'dist', scripts: true, states: [{ page: '/' }] },
    /site\.states\[0\] is .*write what happens/,
  ],
  [
    'no site at all',
    { pages: ['*.html'] },
    /name the folder that is served as the site \(root\), or where it runs/,
  ],
  ['a demand that is none', { root: 'dist', demand: 'dist/boats.json' }, /it is no result of scan --save/],
];

test.each(mistakes.filter(([name]) => isThorough || name !== 'no such element'))(
  '%s',
  async (_, site, expected) => {
    await app({ site }, async (__, run) => {
      const { err, out } = await run('build', '--json');
      const said = err || (JSON.parse(out) as BuildResult).findings.map(({ message }) => message).join('\n');
      expect(said).toMatch(expected);
    });
  },
);
