import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Manifest } from '#src/kit/index.js';
import { cli } from '../../test-support/cli.js';
import { compareDrawings, type Comparison } from '../../test-support/drawings.js';
import { testedEngines, startEngine, type Engine } from '../../test-support/engines.js';
import { copyKit } from '../../test-support/kits.js';
import { filesIn, sampleFonts, vendorFonts } from '../../test-support/paths.js';
import { LoggingServer } from '../../test-support/server.js';
import { isThorough } from '../../test-support/thorough.js';

const texts = [
  'The first boat leaves Skerrow at 06:40, AVATAR Type 2:11',
  'Ὀ αγέρας, το πλοίο φεύγει στις έξι ΆΩ',
  'Zażółć gęślą jaźń ďľť, affix the flag → €4.20 ½',
  'ABCDEFGHIJKLMNOPQRSTUVWXYZ &@#% fi fl ffi',
];

let folder: string;
let manifest: Manifest;
let whole: Manifest;
let server: LoggingServer;

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'dense-glyph-browsers-'));
  for (const name of ['demo', 'whole', 'old'] as const) copyKit(name, join(folder, name));
  const read = (path: string) => JSON.parse(readFileSync(join(folder, path), 'utf8')) as Manifest;
  manifest = read('demo/.dense-glyph/kit.json');
  whole = read('whole/.dense-glyph/kit.json');
  const vendor = await cli(
    ['convert', join(vendorFonts, '*.ttf'), '--to', 'woff2', '--out', 'vendor', '--quiet'],
    folder,
  );
  expect(vendor.code).toBe(0);
  const samples = await cli(
    ['convert', sampleFonts, '--to', 'woff2,woff', '--out', 'samples', '--quiet'],
    folder,
  );
  expect(samples.code).toBe(0);
  server = await LoggingServer.start(
    {
      '/': join(folder, 'demo/site/'),
      // Where no browser has been yet.
      '/anew/': join(folder, 'demo/site/'),
      '/old/': join(folder, 'old/site/'),
      '/whole/': join(folder, 'whole/site/type/'),
      // As they lie in the projects, so that proof pages find the kits.
      '/facts/': join(folder, 'demo/.dense-glyph/'),
      '/site/': join(folder, 'demo/site/'),
      '/whole/facts/': join(folder, 'whole/.dense-glyph/'),
      '/whole/site/': join(folder, 'whole/site/'),
      '/sources/': sampleFonts,
      '/adopted/': join(folder, 'whole/fonts/'),
      '/samples/': join(folder, 'samples/'),
      '/vendor/': vendorFonts,
      '/ours/': join(folder, 'vendor/'),
    },
    { '/blank': '<!doctype html><title>blank</title>' },
  );
});

afterAll(async () => {
  await server?.close();
  rmSync(folder, { recursive: true, force: true });
});

describe.each(testedEngines())('in %s', (name) => {
  let engine: Engine;
  beforeAll(async () => {
    engine = await startEngine(name);
  });
  afterAll(() => engine?.close());

  test('every face of the proof page ends loaded, and the switch turns web fonts off and on', async () => {
    await engine.open(`${server.origin}/facts/proof.html`);
    const states = () =>
      engine.run<string[]>(`
        const states = () => [...document.querySelectorAll('.state')].map((state) => state.dataset.state);
        const settled = () => states().every((state) => ['loaded', 'off'].includes(state));
        for (let looks = 0; looks < 100 && !settled(); looks++) await new Promise((done) => setTimeout(done, 100));
        return states();`);
    const every = (state: string) => manifest.families.flatMap(({ faces }) => faces.map(() => state));
    const click = () => engine.run(`document.getElementById('switch').click();`);
    expect(await states()).toEqual(every('loaded'));
    const width = () =>
      engine.run<number>(`const cell = document.querySelector('td'); const span = document.createElement('span');
        span.textContent = 'Skerrow quay'; cell.append(span); const { width } = span.getBoundingClientRect(); span.remove(); return width;`);
    const drawn = await width();
    await click();
    expect(await states()).toEqual(every('off'));
    expect(await width()).not.toBeCloseTo(drawn, 1);
    await click();
    expect(await states()).toEqual(every('loaded'));
    expect(await width()).toBeCloseTo(drawn, 3);
  });

  test('the sample pages draw with the kit: only WOFF2 is fetched, and preloaded files once', async () => {
    for (const page of ['notices.html', 'timetable.html', 'pl/notices.html']) {
      server.take();
      await engine.open(`${server.origin}/anew/${page}`);
      await engine.run('await document.fonts.ready;');
      const fonts = server.take().filter(({ path }) => /\.(woff2?|ttf|otf|eot|svg)$/.test(path));
      expect(fonts.every(({ path }) => path.endsWith('.woff2'))).toBe(true);
      const isTaken = await engine.run<boolean>(
        `const faces = argument.map((path) => new FontFace('Alone', 'url("' + path + '")').load());
         return Promise.all(faces).then(() => true, () => false);`,
        fonts.map(({ path }) => path),
      );
      expect(isTaken).toBe(true);
      const counts = new Map<string, number>();
      for (const { path } of fonts) counts.set(path, (counts.get(path) ?? 0) + 1);
      expect([...counts.values()].every((count) => count === 1)).toBe(true);
      // What an earlier page fetched is in the cache; Tidelog Mono is for times alone.
      const expected = { 'notices.html': 3, 'timetable.html': 1 }[page] ?? 0;
      expect([page, counts.size]).toEqual([page, expected]);
      if (page === 'notices.html')
        for (const file of manifest.preloads) expect([...counts.keys()]).toContain(`/anew/type/${file}`);
    }
  });

  test('whole files for browsers of old are not fetched, and parts are', async () => {
    server.take();
    await engine.open(`${server.origin}/old/timetable.html`);
    await engine.run('await document.fonts.ready;');
    const faces = server
      .take()
      .flatMap(({ path }) => /\/faces\/(.*)-[0-9a-f]{8}\.(\w+)$/.exec(path)?.[0] ?? []);
    expect(faces.length).toBeGreaterThanOrEqual(4);
    expect(faces.filter((path) => !/-drawn-[0-9a-f]{8}\.woff2$/.test(path))).toEqual([]);
  });

  test('what visitors type beyond what the pages draw comes from the rest, and looks the same', async () => {
    const typed = 'Quernsay: VEXED JOLLY ÅLAND & Ωμέγα';
    const widthOf = async (kit: string) => {
      await engine.open(`${server.origin}/blank`);
      return engine.run<number>(
        `const link = Object.assign(document.createElement('link'), { rel: 'stylesheet', href: argument.kit + 'kit.css' });
        await new Promise((done) => { link.onload = done; document.head.append(link); });
        const line = document.createElement('span');
        // Pairs that fall into both parts aren't kerned.
        line.style.cssText = 'position: absolute; white-space: nowrap; font: 400 80px "Ferrywake Sans"; font-kerning: none';
        line.textContent = argument.typed;
        document.body.append(line);
        line.getBoundingClientRect();
        await document.fonts.ready;
        return line.getBoundingClientRect().width;`,
        { kit, typed },
      );
    };
    server.take();
    const [cut, all] = [await widthOf('/type/'), await widthOf('/whole/')];
    expect(cut).toBeCloseTo(all, 1);
    const fetched = server.take().map(({ path }) => path);
    expect(fetched.filter((path) => path.includes('-300-800n-rest-'))).toHaveLength(1);
  });

  test('what the kit draws is what the sources draw, pixel by pixel', async () => {
    await engine.open(`${server.origin}/blank`);
    const pairs = whole.families.flatMap(({ family, faces }) =>
      faces.map(({ weight, style, source, parts }) => {
        const [low, high = low] = weight.split(' ').map(Number);
        return {
          name: `${family} ${weight} ${style}`,
          source: source.path.replace('fonts/', '/adopted/'),
          made: `/whole/${parts[0].file}`,
          descriptors: { weight, style },
          weights: low === high ? [low] : [low, 400, 550, 700, high],
        };
      }),
    );
    const results = await engine.run<Comparison[]>(compareDrawings, { pairs, texts, sizes: [15, 24, 64] });
    expect(results.map(({ name: face, differing }) => ({ face, differing }))).toEqual(
      pairs.map((pair) => ({ face: pair.name, differing: [] })),
    );
    for (const { unlikeFallback, total } of results) expect(unlikeFallback).toBe(total);
  });

  const compared = [
    ['the sample fonts as WOFF2', sampleFonts, '/sources/', '/samples/', 'woff2'],
    ['the sample fonts as WOFF', sampleFonts, '/sources/', '/samples/', 'woff'],
    ['the vendor’s TTFs as our WOFF2', vendorFonts, '/vendor/', '/ours/', 'woff2'],
  ] as const;
  test.each(compared.slice(0, isThorough ? 3 : 1))(
    '%s draw the same',
    async (_, from, sources, made, extension) => {
      await engine.open(`${server.origin}/blank`);
      const pairs = [...filesIn(from, '.ttf'), ...filesIn(from, '.otf')].map((file) => ({
        name: file,
        source: sources + file,
        made: made + file.replace(/\.[ot]tf$/, `.${extension}`),
        descriptors: {},
        weights: [400],
      }));
      const results = await engine.run<Comparison[]>(compareDrawings, {
        pairs,
        texts: [...texts, '∑∫√{}()[]⟨⟩ℵℶ'],
        sizes: [16, 48],
      });
      expect(results).toHaveLength(pairs.length);
      expect(results.filter(({ equal, total }) => equal !== total)).toEqual([]);
      expect(results.filter(({ unlikeFallback }) => unlikeFallback === 0)).toEqual([]);
    },
  );

  test('the features of the sample fonts apply', async () => {
    await engine.open(`${server.origin}/whole/facts/proof.html`);
    const widths = await engine.run<Record<string, number>>(`
      const line = document.createElement('span');
      document.body.append(line);
      const width = async (text, style) => {
        line.style.cssText = 'position: absolute; white-space: nowrap; font: 400 100px "Ferrywake Sans";' + style;
        line.textContent = text;
        await document.fonts.load('100px "Ferrywake Sans"');
        return line.getBoundingClientRect().width;
      };
      return {
        kerned: await width('AVATAR'), unkerned: await width('AVATAR', 'font-kerning: none'),
        joined: await width('fiflffi'), apart: await width('fiflffi', 'font-variant-ligatures: none'),
        ones: await width('1111', 'font-variant-numeric: tabular-nums'), noughts: await width('0000', 'font-variant-numeric: tabular-nums'),
        plainOnes: await width('1111', ''), small: await width('quay', 'font-feature-settings: "smcp"'), plain: await width('quay'),
        marked: await width('e\u0301q\u0308\u0300'), unmarked: await width('eq'),
        bold: await width('quay', 'font-weight: 800'), between: await width('quay', 'font-weight: 600'),
      };`);
    expect(widths.kerned).toBeLessThan(widths.unkerned - 10);
    expect(widths.joined).not.toBeCloseTo(widths.apart, 0);
    expect(widths.ones).toBeCloseTo(widths.noughts, 1);
    expect(widths.plainOnes).toBeLessThan(widths.ones);
    expect(widths.small).toBeGreaterThan(widths.plain);
    expect(widths.marked).toBeCloseTo(widths.unmarked, 1);
    expect(widths.between).toBeGreaterThan(widths.plain);
    expect(widths.bold).toBeGreaterThan(widths.between);
  });
});
