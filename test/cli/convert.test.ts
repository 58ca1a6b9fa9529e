import { describe, expect, test } from '@jest/globals';
import { cpSync, existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { openFont } from '#src/core/containers/index.js';
import { cli, cliProcess, inFolder, tree } from '../../test-support/cli.js';
import { zipOf } from '../../test-support/archives.js';
import { buildCollection } from '../../test-support/fonts.js';
import { filesIn, readSample, root, sampleFonts, vendorFonts } from '../../test-support/paths.js';
import { thoroughly } from '../../test-support/thoroughly.js';

describe('convert', () => {
  test('takes all vendor fonts to WOFF2 in one call', () =>
    inFolder(async (folder) => {
      const { code, out, err } = await cli(
        ['convert', join(vendorFonts, '*.ttf'), '--to', 'woff2', '--out', 'web', '--json'],
        folder,
      );
      expect([code, err]).toEqual([0, '']);
      const { conversions } = JSON.parse(out) as {
        conversions: { input: string; outputs: { path: string; bytes: number }[] }[];
      };
      const fonts = filesIn(vendorFonts, '.ttf');
      expect(tree(join(folder, 'web'))).toEqual(fonts.map((name) => name.replace('.ttf', '.woff2')));
      const sum = conversions.reduce((total, { outputs }) => total + outputs[0].bytes, 0);
      expect(sum).toBeLessThanOrEqual(259_792);
      for (const { outputs } of conversions) {
        expect(readFileSync(join(folder, outputs[0].path))).toHaveLength(outputs[0].bytes);
      }
    }));

  test('there and back gives the font again, and the lines say what it took', () =>
    inFolder(async (folder) => {
      cpSync(sampleFonts, join(folder, 'fonts'), { recursive: true });
      const there = await cli(
        ['convert', 'fonts/LampbuoySlab-Bold.otf', '--to', 'woff2,woff', '--out', 'web'],
        folder,
      );
      expect(there).toMatchObject({ code: 0, err: '' });
      expect(there.out).toMatch(
        /fonts\/LampbuoySlab-Bold\.otf +57\.\d kB +web\/LampbuoySlab-Bold\.woff2 +1\d\.\d kB +3\d%/,
      );
      const back = await cli(
        ['convert', 'web/LampbuoySlab-Bold.woff', '--to', 'otf', '--out', 'back', '--quiet'],
        folder,
      );
      expect(back).toEqual({ code: 0, out: '', err: '' });
      expect(readFileSync(join(folder, 'back/LampbuoySlab-Bold.otf'))).toEqual(
        readSample('LampbuoySlab-Bold.otf'),
      );
    }));

  test('a wrong extension is mentioned, the content decides', () =>
    inFolder(async (folder) => {
      writeFileSync(join(folder, 'slab.ttf'), readSample('LampbuoySlab-Bold.otf'));
      const { code, out } = await cli(['convert', 'slab.ttf', '--to', 'woff2', '--out', 'web'], folder);
      expect(code).toBe(0);
      expect(out).toContain('slab.ttf: its content is otf, whatever its name says');
    }));

  test('a collection gives all its faces, or the one that is asked for', () =>
    inFolder(async (folder) => {
      const names = ['FerrywakeSans-Regular.ttf', 'LampbuoySlab-Bold.otf'];
      writeFileSync(
        join(folder, 'both.ttc'),
        buildCollection(names.map((name) => openFont(readSample(name)).font)),
      );
      const convert = (...more: string[]) => cli(['convert', 'both.ttc', '--to', 'woff2', ...more], folder);
      const all = await convert('--out', 'all');
      expect(all).toMatchObject({ code: 0, err: '' });
      expect(all.out).toContain('both.ttc, face 2');
      expect(tree(join(folder, 'all'))).toEqual(['FerrywakeSans-Regular.woff2', 'LampbuoySlab-Bold.woff2']);
      await convert('--out', 'two', '--face', '2');
      await convert('--out', 'named', '--face', 'lampbuoy slab bold');
      expect([tree(join(folder, 'two')), tree(join(folder, 'named'))]).toEqual([
        ['LampbuoySlab-Bold.woff2'],
        ['LampbuoySlab-Bold.woff2'],
      ]);
      const alone = await cli(
        ['convert', join(sampleFonts, names[1]), '--to', 'woff2', '--out', 'alone'],
        folder,
      );
      expect(alone.code).toBe(0);
      expect(readFileSync(join(folder, 'two/LampbuoySlab-Bold.woff2'))).toEqual(
        readFileSync(join(folder, 'alone/LampbuoySlab-Bold.woff2')),
      );
      expect(await convert('--out', 'none', '--face', '7')).toEqual({
        code: 2,
        out: '',
        err: 'both.ttc: --face: there is no face "7"; it holds 1 Ferrywake Sans, 2 Lampbuoy Slab Bold\n',
      });
    }));

  test('an archive gives its fonts, whatever they are called', () =>
    inFolder(async (folder) => {
      const files = {
        'fonts/Slab.otf': readSample('LampbuoySlab-Bold.otf'),
        'fonts/web/mono': readSample('TidelogMono-Regular.ttf'),
        'OFL.txt': readFileSync(join(sampleFonts, 'OFL.txt')),
      };
      writeFileSync(join(folder, 'download.zip'), await zipOf(files));
      const { code, out } = await cli(['convert', 'download.zip', '--to', 'woff2', '--out', 'web'], folder);
      expect(code).toBe(0);
      expect(out).toContain('download.zip/fonts/Slab.otf');
      expect(tree(join(folder, 'web'))).toEqual(['Slab.woff2', 'licences/OFL.txt', 'mono.woff2']);
      writeFileSync(join(folder, 'nothing.zip'), await zipOf({ 'OFL.txt': files['OFL.txt'] }));
      expect(await cli(['convert', 'nothing.zip', '--to', 'woff2', '--out', 'web'], folder)).toEqual({
        code: 3,
        out: '',
        err: 'nothing.zip: there is no font in the archive; look for the fonts elsewhere\n',
      });
    }));

  test('CFF outlines become TrueType outlines where the format needs them, and the report counts points', () =>
    inFolder(async (folder) => {
      writeFileSync(join(folder, 'slab.otf'), readSample('LampbuoySlab-Bold.otf'));
      const convert = (to: string, ...more: string[]) =>
        cli(['convert', 'slab.otf', '--to', to, '--out', '.', ...more], folder);
      const exact = await convert('ttf');
      const [, after, before] =
        /slab\.ttf: TrueType outlines with (\d+) points; the CFF outlines had (\d+)/.exec(exact.out)!;
      const coarse = JSON.parse((await convert('ttf,eot', '--tolerance', '0.01', '--json')).out) as {
        conversions: { outputs: { points: { before: number; after: number } }[] }[];
      };
      const [ttf, eot] = coarse.conversions[0].outputs;
      expect(ttf.points).toEqual(eot.points);
      expect(ttf.points.before).toBe(+before);
      expect(ttf.points.after).toBeLessThan(+after);
      const svg = await convert('svg');
      expect(svg.out).toContain('slab.svg: left out features and kerning');
      expect(svg.out).toContain('slab.svg: left out glyphs without a character');
    }));

  thoroughly('a longer search makes a smaller WOFF with the same tables', () =>
    inFolder(async (folder) => {
      writeFileSync(join(folder, 'mono.ttf'), whole);
      await cli(['convert', 'mono.ttf', '--to', 'woff', '--out', 'quick'], folder);
      await cli(['convert', 'mono.ttf', '--to', 'woff', '--out', 'small', '--smallest'], folder);
      const [quick, small] = ['quick', 'small'].map((name) => readFileSync(join(folder, name, 'mono.woff')));
      expect(small.length).toBeLessThan(quick.length * 0.99);
      expect(openFont(small).font.tables()).toEqual(openFont(quick).font.tables());
    }),
  );

  const whole = new Uint8Array(readSample('TidelogMono-Regular.ttf'));
  const wrongOffset = whole.slice();
  wrongOffset[12 + 8] = 0x7f;
  test.each<[string, Uint8Array | undefined, string]>([
    ['empty.ttf', new Uint8Array(0), 'empty.ttf: the file is empty; export or download it again\n'],
    [
      'letter.ttf',
      new TextEncoder().encode('Dear harbour master, the font is attached.'),
      'letter.ttf: it does not start like a font file; give a TTF, OTF, TTC, WOFF, WOFF2, EOT or ZIP file\n',
    ],
    [
      'cut.ttf',
      whole.slice(0, 20_000),
      'past the end of the file (20000 bytes); the file is damaged: download or export it again\n',
    ],
    ['offsets.ttf', wrongOffset, 'offsets.ttf: table GDEF ends'],
    ['nowhere.ttf', undefined, 'nowhere.ttf: there is no such file; check the path and its permissions\n'],
  ])(
    '%s gives one line and exit 3; the good font before it is converted, and nothing else is written',
    (name, bytes, message) =>
      inFolder(async (folder) => {
        writeFileSync(join(folder, 'good.ttf'), whole);
        if (bytes) writeFileSync(join(folder, name), bytes);
        const before = tree(folder);
        const { code, out, err } = await cli(
          ['convert', 'good.ttf', name, '--to', 'woff2', '--out', 'web'],
          folder,
        );
        expect([code, out]).toEqual([3, expect.stringContaining('web/good.woff2')]);
        expect(err).toContain(message);
        expect(err.split('\n')).toHaveLength(2);
        expect(tree(folder)).toEqual([...before, 'web/good.woff2'].sort());
        expect(await cli(['convert', name, '--to', 'woff2', '--out', 'alone'], folder)).toEqual({
          code: 3,
          out: '',
          err,
        });
        expect(tree(folder)).toEqual([...before, 'web/good.woff2'].sort());
      }),
  );

  test('a WOFF2 whose declared sizes lie is refused', () =>
    inFolder(async (folder) => {
      writeFileSync(join(folder, 'mono.ttf'), whole);
      await cli(['convert', 'mono.ttf', '--to', 'woff2', '--out', '.'], folder);
      const bytes = readFileSync(join(folder, 'mono.woff2'));
      bytes[49] = 0x7f;
      writeFileSync(join(folder, 'mono.woff2'), bytes);
      const { code, err } = await cli(['convert', 'mono.woff2', '--to', 'ttf', '--out', 'back'], folder);
      expect(code).toBe(3);
      expect(err).toMatch(/^mono\.woff2: the directory says \d+ bytes, but the data gives \d+; .+\n$/);
      expect(tree(folder)).toEqual(['mono.ttf', 'mono.woff2']);
    }));

  test.each([
    [
      ['mono.ttf', '--to', 'pfb', '--out', 'web'],
      '--to: "pfb" is not a format; choose from woff2, woff, ttf, otf, eot, svg',
    ],
    [
      ['mono.ttf', '--to', 'eot', '--out', 'web', '--tolerance', '2'],
      '--tolerance: "2" is not a part of the em; write a fraction up to 1/10, as in 1/2000',
    ],
    [
      ['mono.ttf', '--to', 'otf', '--out', 'web'],
      'mono.ttf: the font has TrueType outlines; drawing them as CFF outlines would only make it larger; convert it to',
    ],
    [
      ['mono.ttf', '--to', 'ttf', '--out', '.'],
      'mono.ttf would be written over by mono.ttf; choose another --out',
    ],
    [['mono.ttf', '--out', 'web'], '--to is missing; see dense-glyph convert --help'],
    [['mono.ttf', '--too', 'woff2'], 'did you mean --to?'],
  ])('%j is a wrong call: exit 2', (args, message) =>
    inFolder(async (folder) => {
      writeFileSync(join(folder, 'mono.ttf'), whole);
      const { code, err } = await cli(['convert', ...args], folder);
      expect(code).toBe(2);
      expect(err).toContain(message);
      expect(tree(folder)).toEqual(['mono.ttf']);
    }),
  );
});

test('what can’t be written is told as such: exit 4, and --verbose says where it began', () =>
  inFolder(async (folder) => {
    writeFileSync(join(folder, 'mono.ttf'), readFileSync(join(sampleFonts, 'TidelogMono-Regular.ttf')));
    writeFileSync(join(folder, 'web'), 'a file');
    const call = ['convert', 'mono.ttf', '--to', 'woff2', '--out', 'web'];
    const { code, err } = await cli(call, folder);
    expect(code).toBe(4);
    expect(err).toMatch(/web.mono\.woff2: a file is where a folder is needed; check permissions .*\n$/);
    expect((await cliProcess([...call, '--verbose'], folder)).err).toMatch(
      /caused by Error: E(EXIST|NOTDIR)/,
    );
    expect(tree(folder)).toEqual(['mono.ttf', 'web']);
  }));

test('the program says its version, its commands, and which one was meant', () =>
  inFolder(async (folder) => {
    const { version } = JSON.parse(readFileSync(join(root, 'package.json'), 'utf8')) as { version: string };
    expect(await cli(['--version'], folder)).toEqual({ code: 0, out: `${version}\n`, err: '' });
    const help = await cli(['--help'], folder);
    for (const name of ['convert', 'build', 'demo']) expect(help.out).toContain(`\n  ${name}`);
    expect((await cli(['help', 'build'], folder)).out).toContain('dense-glyph build --config');
    expect(await cli(['bild'], folder)).toEqual({
      code: 2,
      out: '',
      err: "dense-glyph: unknown command 'bild'; did you mean build?\n",
    });
    mkdirSync(join(folder, 'deep'));
    expect((await cli(['build'], join(folder, 'deep'))).code).toBe(2);
  }));

describe('rules to paste', () => {
  test.each([
    ['convert', ['--to', 'ttf,woff2'], undefined],
    ['subset', ['--chars', 'Ahoy', '--to', 'woff2'], 'U+41, U+68, U+6F, U+79'],
  ])('%s --css writes them with URLs that fit', (command, options, range) =>
    inFolder(async (folder) => {
      const font = join(sampleFonts, 'FerrywakeSans-BoldItalic.ttf');
      const args = [command, font, ...options, '--out', 'site/type', '--css', 'site/css/fonts.css'];
      const { code, err } = await cli(args, folder);
      expect([code, err]).toEqual([0, '']);
      const css = readFileSync(join(folder, 'site/css/fonts.css'), 'utf8');
      expect(css).toMatch(/font-family: "Ferrywake Sans";\n {2}font-style: italic;\n {2}font-weight: 700;/);
      const [first] = [...css.matchAll(/url\("([^"]+)"\)/g)].map(([, url]) => url);
      expect(first).toBe('../type/FerrywakeSans-BoldItalic.woff2');
      expect(existsSync(join(folder, 'site/css', first))).toBe(true);
      expect(css.includes('unicode-range')).toBe(range !== undefined);
      if (range !== undefined) expect(css).toContain(range);
    }),
  );
});
