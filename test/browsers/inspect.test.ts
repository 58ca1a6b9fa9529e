import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { openFont, writeFont } from '#src/core/containers/index.js';
import { inspectFont } from '#src/core/inspection/index.js';
import { fontOf, type Font } from '#src/core/sfnt/font.js';
import { writeSfnt } from '#src/core/sfnt/write.js';
import { subsetFont } from '#src/core/subset/index.js';
import { parseUnicodeRanges } from '#src/core/text/parse-ranges.js';
import { head, hhea, maxp, os2 } from '#src/core/tables/index.js';
import { cli } from '../../test-support/cli.js';
import { testedEngines, overflowOnTelephone, startEngine, type Engine } from '../../test-support/engines.js';
import { overlongKern, spacedName } from '../../test-support/fonts.js';
import { readSample, sampleFonts, vendorFonts } from '../../test-support/paths.js';
import { LoggingServer } from '../../test-support/server.js';

const { font: sample } = openFont(readSample('FerrywakeSans-Regular.ttf'));
const changed = (change: (tables: Map<string, Uint8Array>) => void): Font => {
  const tables = sample.tables();
  change(tables);
  return fontOf('truetype', tables);
};
const uneven = (fsSelection: number, ascender: number) =>
  changed((tables) => {
    const lines = { ...sample.table(hhea), ascender, descender: ascender === 0 ? 0 : -200, lineGap: 0 };
    const sets = {
      sTypoAscender: 1000,
      sTypoDescender: -500,
      sTypoLineGap: 0,
      usWinAscent: 1500,
      usWinDescent: 500,
    };
    tables.set('hhea', hhea.serialise(lines));
    tables.set('OS/2', os2.serialise({ ...sample.table(os2), ...sets, fsSelection }));
  });

/** Fonts whose three sets of metrics agree, differ, or are partly empty. */
const measured: Record<string, Font> = {
  sample,
  vendor: openFont(readFileSync(join(vendorFonts, 'KaTeX_Main-Regular.ttf'))).font,
  uneven: uneven(64, 800),
  typo: uneven(64 | 128, 800),
  empty: uneven(64, 0),
};
/** Fonts that a finding calls refused by Chromium and Firefox. */
const refused: Record<string, Font> = Object.fromEntries(
  ['OS/2', 'name', 'post', 'cmap'].map((tag) => [
    tag.replace('/', ''),
    changed((tables) => tables.delete(tag)),
  ]),
);
/** Those that are accepted once they were written by us. */
const mendable: Record<string, Font> = {
  emptyTable: changed((tables) => tables.set('TSI3', new Uint8Array())),
  spacedName: spacedName(openFont(readSample('LampbuoySlab-Bold.otf')).font),
};
const unkerned = changed((tables) => tables.delete('GPOS'));
const overlong = changed((tables) => {
  tables.delete('GPOS');
  tables.set('kern', overlongKern(sample.table(maxp).numGlyphs));
});
const wrongUnits = changed((tables) =>
  tables.set('head', head.serialise({ ...sample.table(head), unitsPerEm: 20000 })),
);

let folder: string;
let server: LoggingServer;

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'dense-glyph-inspect-'));
  for (const [name, font] of Object.entries({
    ...measured,
    ...refused,
    ...mendable,
    unkerned,
    overlong,
    wrongUnits,
  })) {
    writeFileSync(join(folder, `${name}.ttf`), writeSfnt(font));
  }
  const { font: kerned } = subsetFont(overlong, { characters: parseUnicodeRanges('U+20-7E') });
  writeFileSync(join(folder, 'kerned.ttf'), writeSfnt(kerned));
  for (const [name, font] of Object.entries(mendable)) {
    writeFileSync(join(folder, `${name}-mended.ttf`), (await writeFont(font, 'woff2')).bytes);
  }
  const slab = openFont(readSample('LampbuoySlab-Bold.otf')).font;
  writeFileSync(join(folder, 'slab.otf'), (await writeFont(slab, 'otf')).bytes);
  writeFileSync(join(folder, 'slab-from-cff.ttf'), (await writeFont(slab, 'ttf')).bytes);
  writeFileSync(join(folder, 'slab.svg'), (await writeFont(slab, 'svg')).bytes);
  const fonts = [join(sampleFonts, 'FerrywakeSans-Variable.ttf'), join(sampleFonts, 'LampbuoySlab-Bold.otf')];
  const { code } = await cli(['inspect', ...fonts, '--page', 'page.html', '--quiet'], folder);
  expect(code).toBe(0);
  server = await LoggingServer.start(
    { '/': `${folder}/` },
    { '/blank': '<!doctype html><p id="line">Hx</p>' },
  );
});

afterAll(async () => {
  await server?.close();
  rmSync(folder, { recursive: true, force: true });
});

describe.each(testedEngines())('%s', (name) => {
  let engine: Engine;
  beforeAll(async () => {
    engine = await startEngine(name);
    await engine.open(`${server.origin}/blank`);
  });
  afterAll(() => engine.close());

  test('draws lines as high as inspect says', async () => {
    const heights = await engine.run<Record<string, number>>(
      `const line = document.getElementById('line');
       line.style.cssText = 'font-size: 100px; line-height: normal; margin: 0';
       const heights = {};
       for (const name of argument) {
         const face = new FontFace('measured-' + name, 'url(/' + name + '.ttf)');
         document.fonts.add(await face.load());
         line.style.fontFamily = 'measured-' + name;
         heights[name] = line.getBoundingClientRect().height;
       }
       return heights;`,
      Object.keys(measured),
    );
    const platform = name === 'firefox' ? 'Firefox on Linux' : 'Linux and Android';
    for (const [key, font] of Object.entries(measured)) {
      const { platforms } = inspectFont(font, 'ttf', 0).metrics;
      const { lineHeight } = platforms.find((entry) => entry.platform === platform)!;
      // Ascent, descent and gap are rounded to whole pixels, each for itself.
      expect(Math.abs(heights[key] - lineHeight * 100)).toBeLessThanOrEqual(1.51);
    }
  });

  test('refuses what inspect says it refuses', async () => {
    const states = await engine.run<Record<string, boolean>>(
      `const states = {};
       for (const name of argument) {
         const face = new FontFace('refused-' + name, 'url(/' + name + '.ttf)');
         states[name] = await face.load().then(() => true, () => false);
       }
       return states;`,
      [
        ...Object.keys({ ...refused, ...mendable }),
        ...Object.keys(mendable).map((key) => `${key}-mended`),
        'wrongUnits',
        'sample',
      ],
    );
    const strict = name !== 'webkit';
    expect(states).toEqual({
      OS2: !strict,
      name: !strict,
      post: !strict,
      cmap: !strict,
      emptyTable: !strict,
      spacedName: !strict,
      'emptyTable-mended': true,
      'spacedName-mended': true,
      wrongUnits: false,
      sample: true,
    });
  });

  test('leaves out what inspect says it leaves out: an overlong kern table', async () => {
    const widths = await engine.run<Record<string, number>>(
      `const widths = {};
       const pen = document.createElement('canvas').getContext('2d');
       for (const name of argument) {
         const face = new FontFace('kern-' + name, 'url(/' + name + '.ttf)');
         document.fonts.add(await face.load());
         pen.font = '1000px kern-' + name;
         widths[name] = pen.measureText('!!!').width;
       }
       return widths;`,
      ['unkerned', 'overlong', 'kerned'],
    );
    expect(Math.round(widths.unkerned - widths.overlong)).toBe(name === 'webkit' ? 200 : 0);
    expect(Math.round(widths.unkerned - widths.kerned)).toBe(200);
  });

  test('draws TrueType outlines made from CFF, and SVG fonts where it knows them, like the source', async () => {
    const shares = await engine.run<(number | null)[]>(
      `const canvas = document.createElement('canvas');
       canvas.width = 1400; canvas.height = 200;
       const context = canvas.getContext('2d', { willReadFrequently: true });
       const ink = (family) => {
         context.fillStyle = '#fff'; context.fillRect(0, 0, 1400, 200);
         context.fillStyle = '#000'; context.font = '120px ' + family;
         context.fontKerning = 'none'; context.fillText('Quernsay Rg§€', 10, 140);
         return context.getImageData(0, 0, 1400, 200).data;
       };
       const load = async (family, file) => {
         const source = file.endsWith('.svg') ? 'url(/' + file + '#face) format("svg")' : 'url(/' + file + ')';
         document.fonts.add(await new FontFace(family, source).load());
       };
       const fallback = ink('nosuchfamily');
       const difference = (a, b) => { let sum = 0; for (let i = 0; i < a.length; i += 4) sum += Math.abs(a[i] - b[i]); return sum; };
       const results = [];
       for (const [i, files] of argument.entries()) {
         const [source, made] = files.map((_, k) => 'pair-' + i + '-' + k);
         await load(source, files[0]);
         const known = await load(made, files[1]).then(() => true, () => false);
         results.push(known ? difference(ink(source), ink(made)) / difference(ink(source), fallback) : null);
       }
       return results;`,
      [
        ['slab.otf', 'slab-from-cff.ttf'],
        ['slab.otf', 'slab.svg'],
      ],
    );
    // Rasterisers treat the edges of TrueType outlines a little differently; WebKitGTK turns SVG fonts into CFF.
    expect(shares[0]).toBeLessThan(0.1);
    if (name === 'webkit') expect(shares[1]).toBeLessThan(0.005);
    else expect(shares[1]).toBeNull();
  });

  test('shows the specimen page from a file, with sliders, switches and a search', async () => {
    await engine.open(pathToFileURL(join(folder, 'page.html')).href);
    const seen = await engine.run<Record<string, unknown>>(`
      await document.fonts.ready;
      const find = (selector) => document.querySelector(selector);
      const sample = find('.sample');
      const widthOf = () => sample.getBoundingClientRect().width;
      const send = (element, type) => element.dispatchEvent(new Event(type, { bubbles: true }));
      await Promise.all([...document.fonts].map((face) => face.load()));
      const states = [...document.fonts].map((face) => face.status);
      const regular = widthOf();
      const axis = find('[data-axis=wght]');
      axis.value = 800; send(axis, 'input');
      const bold = widthOf();
      axis.value = 400; send(axis, 'input');
      const figures = find('[data-feature=tnum]');
      figures.click();
      const tabular = getComputedStyle(sample).fontFeatureSettings;
      figures.click();
      const language = find('[name=language]');
      language.value = 'el'; send(language, 'change');
      const greek = sample.textContent;
      const search = find('.find');
      const count = (query) => { search.value = query; send(search, 'input'); return find('.glyphs').querySelectorAll('[data-code]').length; };
      return { states, wider: bold > regular * 1.02, tabular, greek, found: [count('U+00E9'), count('é'), count('Greek'), count('nothing like it')] };
    `);
    expect(seen).toMatchObject({
      states: ['loaded', 'loaded'],
      wider: true,
      greek: expect.stringContaining('Το τελευταίο πλοίο') as unknown,
      found: [1, 1, 70, 0],
    });
    expect(seen.tabular).toMatch(/"tnum"/);
    expect(await overflowOnTelephone(engine, `${server.origin}/page.html`)).toBe(0);
  });
});
