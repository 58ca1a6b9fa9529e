import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { openFont, writeFont } from '#src/core/containers/index.js';
import { fontOf } from '#src/core/sfnt/font.js';
import { writeSfnt } from '#src/core/sfnt/write.js';
import { cmap } from '#src/core/tables/index.js';
import { subsetFont } from '#src/core/subset/index.js';
import { CodePointSet } from '#src/core/text/code-point-set.js';
import { mappedCharacters } from '#src/core/text/mapped-characters.js';
import { trySubsets } from '../../tools/corpus/subsets.js';
import { compareDrawings, type Comparison, type DrawnPair } from '../../test-support/drawings.js';
import { testedEngines, startEngine, systemFont, type Engine } from '../../test-support/engines.js';
import { damagedPairs } from '../../test-support/fonts.js';
import { readSample, root, sampleFonts } from '../../test-support/paths.js';
import { DrawnFiles } from '../../test-support/drawn-files.js';
import { isThorough } from '../../test-support/thorough.js';

/** A fixed sample, each in one script; `npm run corpus -- --subsets <folders>` tries any number of fonts in all of theirs. */
const samples: [name: string, script: string, path: string | undefined][] = [
  ['Ferrywake Sans', 'Latn', join(sampleFonts, 'FerrywakeSans-Regular.ttf')],
  ['Lampbuoy Slab, CFF', 'Latn', join(sampleFonts, 'LampbuoySlab-Bold.otf')],
  ...(
    [
      ['Vietnamese and other Latin', 'Latn', 'NotoSans-Regular.ttf'],
      ['Cyrillic', 'Cyrl', 'NotoSans-Regular.ttf'],
      ['any characters', 'random', 'NotoSans-Regular.ttf'],
      ['Arabic', 'Arab', 'NotoNaskhArabic-Regular.ttf'],
      ['Urdu, sloping', 'Arab', 'NotoNastaliqUrdu-Regular.ttf'],
      ['Hebrew', 'Hebr', 'NotoSansHebrew-Regular.ttf'],
      ['Devanagari', 'Deva', 'NotoSansDevanagari-Regular.ttf'],
      ['Devanagari by another maker', 'Deva', 'lohit-devanagari/Lohit-Devanagari.ttf'],
      ['Bengali', 'Beng', 'NotoSansBengali-Regular.ttf'],
      ['Thai', 'Thai', 'NotoSansThai-Regular.ttf'],
      ['Khmer', 'Khmr', 'NotoSansKhmer-Regular.ttf'],
      ['Myanmar', 'Mymr', 'NotoSansMyanmar-Regular.ttf'],
      ['Tibetan', 'Tibt', 'NotoSerifTibetan-Regular.ttf'],
      ['Meetei Mayek', 'Mtei', 'NotoSansMeeteiMayek-Bold.ttf'],
      ['Korean', 'Kore', 'NanumMyeongjo.ttf'],
      ['Cantarell, CFF', 'Latn', 'Cantarell-Regular.otf'],
      ['Linux Libertine, CFF', 'Grek', 'LinLibertine_R.otf'],
    ] as const
  ).map(([name, script, file]): [string, string, string | undefined] => [name, script, systemFont(file)]),
];
// Cutting takes most of the time; others are for the thorough run.
const present = (samples.filter(([, , path]) => path !== undefined) as [string, string, string][]).filter(
  (_, i) => isThorough || i % 5 === 0,
);

/** Text that isn't level is drawn as the outlines are, without regard to the pixel grid. */
const drawing = { sizes: [13, 24, 60], turn: 0.01 };

let files: DrawnFiles;
const pairs = new Map<string, { pair: DrawnPair; hinted: DrawnPair; texts: string[] }[]>();

const keep = (name: string, bytes: Uint8Array): string => files.keep(name, bytes);

beforeAll(async () => {
  files = await DrawnFiles.start();
  for (const [i, [name, script, path]] of present.entries()) {
    const source = keep(`${i}`, readFileSync(path));
    const { problems, drawings } = await trySubsets(openFont(readFileSync(path)).font, {
      seed: i + 1,
      scripts: [script],
    });
    expect([name, problems, drawings.length]).toEqual([name, [], 1]);
    pairs.set(
      name,
      drawings.map((made) => {
        const pair = { name: made.name, source, descriptors: {}, weights: [400] };
        return {
          pair: { ...pair, made: keep(`${i}-${made.name}`, made.bytes) },
          hinted: { ...pair, made: keep(`${i}-${made.name}-hinted`, made.hinted) },
          texts: made.texts,
        };
      }),
    );
  }
});

afterAll(() => files.close());

describe.each(testedEngines())('%s', (engineName) => {
  let engine: Engine;
  beforeAll(async () => {
    engine = await startEngine(engineName);
    await engine.open(files.blank);
  });
  afterAll(() => engine.close());

  test.each(present.map(([name]) => name))(
    '%s: text drawn with subsets is that of the whole font',
    async (name) => {
      for (const { pair, hinted, texts } of pairs.get(name)!) {
        // WebKitGTK takes advances from instructions.
        const drawn = engineName === 'webkit' ? hinted : pair;
        const [result] = await engine.run<Comparison[]>(compareDrawings, {
          pairs: [drawn],
          texts,
          ...drawing,
        });
        expect([pair.name, result.differing]).toEqual([pair.name, []]);
      }
    },
  );

  test('a damaged part of GPOS is left out as the browser leaves it out', async () => {
    const text = 'AVATAR To Wyre, “Ty”';
    const characters = new CodePointSet(Array.from(text, (c) => c.codePointAt(0)!));
    const { font: whole } = openFont(readSample('FerrywakeSans-Regular.ttf'));
    const source = damagedPairs(whole);
    const { font } = subsetFont(source, { characters, hinting: 'keep' });
    const pair: DrawnPair = {
      name: 'damaged',
      source: keep('damaged', writeSfnt(source)),
      made: keep('damaged-made', (await writeFont(font, 'woff2')).bytes),
      descriptors: {},
      weights: [400],
    };
    const sound = { ...pair, source: keep('sound', writeSfnt(whole)) };
    const [drawn, other] = await engine.run<Comparison[]>(compareDrawings, {
      pairs: [pair, sound],
      texts: [text],
      ...drawing,
    });
    expect(drawn.differing).toEqual([]);
    expect(other.differing).not.toEqual([]); // it would show
  });

  const fitted = [
    ['Latin and Greek', join(sampleFonts, 'FerrywakeSans-Regular.ttf'), '21:40 ώρα'],
    ['Devanagari', systemFont('NotoSansDevanagari-Regular.ttf'), 'डकँण'],
    ['Bengali', systemFont('NotoSansBengali-Regular.ttf'), '\u09eb\u09c0\u09f3'],
    ['Thai', systemFont('NotoSansThai-Regular.ttf'), 'ลี่๔'],
    ['Myanmar', systemFont('NotoSansMyanmar-Regular.ttf'), 'ၽၜဦ'],
    ['Arabic, with joined forms that are characters', systemFont('NotoNaskhArabic-Regular.ttf'), 'شھت'],
  ] as const;

  test.each(fitted.filter(([, path]) => path !== undefined))(
    'a font without instructions is fitted to the pixel grid by the same letters: %s',
    async (name, path, text) => {
      const { font: whole } = openFont(readFileSync(path!));
      const { font: source } = subsetFont(whole, { characters: mappedCharacters(whole), features: 'all' });
      const pairOf = async (hinting: 'keep' | 'drop'): Promise<DrawnPair> => {
        const { font } = subsetFont(source, { characters: CodePointSet.ofText(text), hinting });
        const made = keep(`fitted-${name}-${hinting}`, (await writeFont(font, 'woff2')).bytes);
        const url = keep(`fitted-${name}`, writeSfnt(source));
        return {
          name: hinting,
          source: encodeURI(url),
          made: encodeURI(made),
          descriptors: {},
          weights: [400],
        };
      };
      const [kept, without] = await engine.run<Comparison[]>(compareDrawings, {
        pairs: [await pairOf('keep'), await pairOf('drop')],
        texts: [text],
        ...drawing,
      });
      expect(kept.differing).toEqual([]);
      if (engineName === 'webkit') expect(without.differing).not.toEqual([]); // it would show
    },
  );

  test('a variable font is the same along its axes', async () => {
    const variables = [
      join(sampleFonts, 'FerrywakeSans-Variable.ttf'),
      join(root, 'node_modules/@ibm/plex-sans-variable/fonts/complete/woff2/IBM Plex Sans Var-Roman.woff2'),
    ];
    const texts = ['The last ferry, 21:40 – AVATAR To Wyre?', 'Żółć ďľť ﬁn affix'];
    const characters = new CodePointSet(Array.from(texts.join(''), (c) => c.codePointAt(0)!));
    for (const [i, path] of variables.entries()) {
      const source = readFileSync(path);
      const hinting = engineName === 'webkit' ? 'keep' : 'drop';
      const { font } = subsetFont(openFont(source).font, { characters, hinting });
      const made = (await writeFont(font, 'woff2')).bytes;
      const pair: DrawnPair = {
        name: path,
        source: keep(`variable-${i}`, source),
        made: keep(`variable-${i}-${engineName}`, made),
        descriptors: { weight: '100 900', stretch: '50% 100%' },
        weights: [100, 340, 400, 555, 700, 900],
      };
      const [result] = await engine.run<Comparison[]>(compareDrawings, { pairs: [pair], texts, ...drawing });
      expect(result.differing).toEqual([]);
    }
  });

  test('lines that break, overflow and are measured in ch are as wide', async () => {
    const text = 'WWWW\u00adi der Inseln';
    const characters = new CodePointSet(Array.from(text, (c) => c.codePointAt(0)!));
    const source = readSample('LampbuoySlab-Bold.otf');
    const { font } = subsetFont(openFont(source).font, { characters, hinting: 'keep' });
    const made = (await writeFont(font, 'woff2')).bytes;
    // The same without what lines insert and are measured by.
    const mappings = [...cmap.mappingsOf(font.table(cmap))].filter(
      ([c]) => ![0x20, 0x30, 0x2010, 0x2026].includes(c),
    );
    const groups = Uint32Array.from(mappings.flatMap(([c, glyphId]) => [c, c, glyphId]));
    const table = cmap.serialise({
      version: 0,
      encodingRecords: [{ platformID: 3, encodingID: 10, subtable: { format: 12, language: 0, groups } }],
    });
    const letters = writeSfnt(fontOf(font.flavour, font.tables().set('cmap', table)));
    const urls = [keep('lines', source), keep('lines-made', made), keep('lines-letters', letters)];
    const measured: number[][] = [];
    for (const file of urls) {
      await engine.open(files.blank);
      measured.push(await engine.run<number[]>(measureLines, { file, text }));
    }
    expect(measured[1]).toEqual(measured[0]);
    measured[0].forEach((width, i) => expect([i, measured[2][i]]).not.toEqual([i, width])); // it would show
  });

  test('features that were asked for do the same when a page turns them on and off', async () => {
    const path = systemFont('LinLibertine_R.otf') ?? join(sampleFonts, 'FerrywakeSans-Regular.ttf');
    const text = 'Affix 0123456789 Type Quay 1⁄2 Ägäis';
    const settings = [
      'normal',
      '"smcp"',
      '"onum", "tnum"',
      '"liga" 0, "kern" 0',
      '"dlig", "frac"',
      '"c2sc", "sups"',
    ];
    const characters = new CodePointSet(Array.from(text, (c) => c.codePointAt(0)!));
    const source = readFileSync(path);
    const { font } = subsetFont(openFont(source).font, { characters, hinting: 'keep', features: 'all' });
    const urls = [keep('features', source), keep('features-made', (await writeFont(font, 'woff2')).bytes)];
    const drawn: unknown[][] = [[], []];
    for (const [i, file] of urls.entries()) {
      await engine.open(files.blank);
      for (const setting of settings) {
        const sum = await engine.run(drawsFeatures[engineName], { file, text, setting });
        drawn[i].push(sum ?? (await engine.screenshot()));
      }
    }
    settings.forEach((setting, i) => expect([setting, drawn[1][i] === drawn[0][i]]).toEqual([setting, true]));
    expect(new Set(drawn[0]).size).toBe(settings.length);
  });
});

/** Widths in pixels: 20ch, a line that ends with a hyphen, an ellipsis. */
const measureLines = `
  const { file, text } = argument;
  const face = new FontFace('one', 'url(' + file + ')');
  await face.load();
  document.fonts.add(face);
  document.body.style.font = '100px one, monospace';
  document.body.innerHTML =
    '<div style="width: 20ch"></div><div style="width: min-content"></div><p style="width: 1px"><span></span></p>';
  const [box, narrow] = document.querySelectorAll('div');
  const span = document.querySelector('span');
  span.textContent = narrow.textContent = text.split(' ')[0];
  const context = document.createElement('canvas').getContext('2d');
  context.font = document.body.style.font;
  // One engine counts the hyphen to the box alone, another one to the line alone.
  const line = narrow.offsetWidth + span.getClientRects()[0].width;
  return [box.offsetWidth, line, context.measureText('\\u2026').width];
`;

/** A line of text in a font, slightly turned, with features as a page sets them. */
const showText = `
  const { file, text, setting } = argument;
  if (!document.fonts.size) {
    const face = new FontFace('one', 'url(' + file + ')');
    await face.load();
    document.fonts.add(face);
  }
  document.body.innerHTML = '<p style="font: 32px one; transform: rotate(.5deg)"></p>';
  const line = document.querySelector('p');
  line.textContent = text;
  line.style.fontFeatureSettings = setting;
  await document.fonts.ready;
  await new Promise((done) => setTimeout(done, 60));
`;

/** The same on a canvas, with features as a font rule sets them; gives a sum over the pixels. */
const sumText = `
  const { file, text, setting } = argument;
  const face = new FontFace('one', 'url(' + file + ')', { featureSettings: setting });
  await face.load();
  document.fonts.add(face);
  const canvas = document.createElement('canvas');
  canvas.width = 900; canvas.height = 90;
  const context = canvas.getContext('2d', { willReadFrequently: true });
  context.rotate(0.01);
  context.font = '32px one';
  context.fillText(text, 8, 60);
  document.fonts.delete(face);
  return context.getImageData(0, 0, 900, 90).data.reduce((sum, value) => (Math.imul(sum, 31) + value) | 0, 7);
`;

/** Chromium doesn't know features in font rules; WebKitGTK's driver gives no pictures without a window manager. */
const drawsFeatures = { chromium: showText, firefox: showText, webkit: sumText } as const;
