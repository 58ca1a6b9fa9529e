import { describe, expect, test } from '@jest/globals';
import { cpSync, existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { openFont } from '#src/core/containers/index.js';
import { cmap, name, os2 } from '#src/core/tables/index.js';
import { fontOf } from '#src/core/sfnt/font.js';
import { writeSfnt } from '#src/core/sfnt/write.js';
import { zipOf } from '../../test-support/archives.js';
import { cli, inFolder, tree } from '../../test-support/cli.js';
import { readSample, sampleFonts, variableVendorFont, vendorFonts } from '../../test-support/paths.js';

const sans = 'FerrywakeSans-Regular.ttf';
const charactersOf = (path: string) =>
  [...cmap.mappingsOf(openFont(readFileSync(path)).font.table(cmap))]
    .map(([c]) => String.fromCodePoint(c))
    .join('');

function withSample<Result>(use: (folder: string) => Promise<Result>): Promise<Result> {
  return inFolder((folder) => {
    writeFileSync(join(folder, sans), readSample(sans));
    return use(folder);
  });
}

describe('subset', () => {
  test('one font: what stayed, what went and why', () =>
    withSample(async (folder) => {
      const { code, out, err } = await cli(
        ['subset', sans, '--languages', 'en,cy', '--chars', '→ж', '--out', 'type'],
        folder,
      );
      expect([code, err]).toEqual([1, '']);
      for (const line of [
        /^FerrywakeSans-Regular\.ttf +55\.\d kB +type\/FerrywakeSans-Regular\.woff2 +\d+\.\d kB +\d+% +568 +\d{3}$/m,
        /^Characters +\d+ of \d+ characters asked for are there$/m,
        /^ +Welsh lacks 8 of its \d+ letters: Ẁ latin capital letter w with grave,/m,
        /^Languages +English: 52 letters, \d+ more for names and loan words, \d+ signs$/m,
        /^ +without \d+ rarer: ẞ/m,
        /^ +missing 1: ж cyrillic small letter zhe$/m,
        /^Tables +\d+\.\d kB → \d+\.\d kB before compression: glyf 31\.5 kB → /m,
        /^Features +kept calt, kern, liga, mark, tnum; left out small capitals \(smcp\)/m,
      ]) {
        expect(out).toMatch(line);
      }
      expect(Math.max(...out.split('\n').map((line) => line.length))).toBeLessThanOrEqual(120);
      expect(charactersOf(join(folder, 'type/FerrywakeSans-Regular.woff2'))).toContain('→');
    }));

  test('controls in a range are not missed', () =>
    withSample(async (folder) => {
      const { code, out } = await cli(['subset', sans, '--ranges', 'U+0-9F', '--out', 'type'], folder);
      expect([code, out]).toEqual([0, expect.stringMatching(/^Characters +95 of 95 characters asked for/m)]);
      expect(out).not.toContain('missing');
    }));

  test('numbered features that went are told together', () =>
    inFolder(async (folder) => {
      writeFileSync(join(folder, 'plex.woff2'), readFileSync(variableVendorFont));
      const args = ['subset', 'plex.woff2', '--chars', 'ag', '--features', 'ss02', '--out', 'type'];
      const { out } = await cli(args, folder);
      for (const words of [
        'ss02; left out',
        'stylistic set 1 (ss01)',
        'stylistic sets 3 to 6 (ss03 to ss06)',
      ])
        expect(out.replace(/\s+/g, ' ')).toContain(words);
    }));

  test.each<[number, ...string[]]>([
    [0, '--languages', 'en'],
    [1, '--letters', 'cy'],
    [0, '--ranges', 'U+0-52F'],
    [1, '--languages', 'cy'],
    [1, '--chars', 'Ahoy →ж'],
    [1, '--chars-from', 'menu.txt'],
  ])('ends with %i where letters or characters of a text are missing: %s %s', (expected, ...args) =>
    withSample(async (folder) => {
      writeFileSync(join(folder, 'menu.txt'), 'Soup: борщ');
      writeFileSync(join(folder, sans), readFileSync(join(vendorFonts, 'KaTeX_Main-Regular.ttf')));
      const { code, out } = await cli(['subset', sans, ...args, '--out', 'type'], folder);
      expect([code, /lacks|missing|without \d+ rarer/.test(out)]).toEqual([expected, true]);
    }),
  );

  test('characters of files, as pages show them', () =>
    withSample(async (folder) => {
      const files = {
        'page.html':
          '<title>A</title><style>q{}</style><script>z</script><p title="B">&Eacute; <b>C</b>&nbsp;</p>',
        'notes.md': '# D &amp; *E*',
        'words.json': '{"kkk": ["F", {"x": "\\u0047"}], "n": 12}',
        'plain.txt': '\ufeffH\r\n\tI',
      };
      for (const [path, text] of Object.entries(files)) writeFileSync(join(folder, path), text);
      const args = ['subset', sans, '--chars-from', ...Object.keys(files), '--out', 'type', '--json'];
      const { code, out } = await cli(args, folder);
      expect(code).toBe(0);
      expect(charactersOf(join(folder, 'type/FerrywakeSans-Regular.woff2'))).toBe(
        ' #&*0;CDEFGHIamp\u00a0É‐…',
      );
      const [subset] = (JSON.parse(out) as { subsets: { outputs: object[]; characters: object }[] }).subsets;
      expect(subset.outputs).toMatchObject([{ path: 'type/FerrywakeSans-Regular.woff2', format: 'woff2' }]);
      expect(subset.characters).toMatchObject({ missing: [], companions: [0x30, 0x2010, 0x2026] });
    }));

  test('features that pages turn on, wherever their styles stand', () =>
    withSample(async (folder) => {
      const files = {
        'en/page.html':
          '<link rel=stylesheet href="/css/site.css?v=2"><link rel=stylesheet href="https://elsewhere.example/a.css"><link rel=stylesheet href="/css/"><link rel=stylesheet href="%E0">' +
          '<style>p { font-feature-settings: "ss01" }</style><p style="font-variant-caps: small-caps">Ab 12',
        'css/site.css':
          '@import "tables.css"; @import url(gone.css); b { font-feature-settings: "liga" 0, "zero" off }',
        'css/tables.css':
          'p { font-variant-numeric: tabular-nums; font-variant-alternates: styleset(flat) }' +
          'td { font-variant-numeric: slashed-zero } @font-feature-values Quay { @styleset { flat: 4 } }',
      };
      for (const [path, text] of Object.entries(files)) {
        mkdirSync(join(folder, dirname(path)), { recursive: true });
        writeFileSync(join(folder, path), text);
      }
      const call = ['subset', sans, '--chars-from', 'en/page.html', '--out', 'type'];
      const { out } = await cli(call, folder);
      expect(out).toMatch(/^Features +kept kern, smcp, tnum$/m);
      expect(out).toMatch(
        /^ +turned on in en\/page\.html: smcp; turned on in css\/tables\.css: tnum; turned on without$/m,
      );
      const json = JSON.parse((await cli([...call, '--features=-smcp', '--json'], folder)).out) as {
        turnedOn: object;
        subsets: { features: { kept: string[] } }[];
      };
      expect(json.turnedOn).toEqual({
        smcp: ['en/page.html'],
        ss01: ['en/page.html'],
        ss04: ['en/page.html'],
        tnum: ['css/tables.css'],
      });
      expect(json.subsets[0].features.kept).toEqual(['kern', 'tnum']);
      // A stylesheet draws what stands in its strings.
      writeFileSync(
        join(folder, 'a.css'),
        'q::before { content: "\\41 b"; color: red } q { quotes: "«" "»" } @counter-style c { symbols: x y; suffix: ")" }',
      );
      await cli(['subset', sans, '--chars-from', 'a.css', '--out', 'type'], folder);
      expect(charactersOf(join(folder, 'type/FerrywakeSans-Regular.woff2'))).toBe(' )01Abxy«»‐…');
    }));

  test.each([
    ['smpc', 'the font has no smpc; did you mean smcp (small capitals)?'],
    ['swsh', 'the font has no swashes (swsh)'],
    ['qqqq', 'the font has no qqqq'],
  ])('--features %s: %s', (tag, message) =>
    withSample(async (folder) => {
      const { code, out } = await cli(
        ['subset', sans, '--chars', 'a', '--features', `${tag},tnum`, '--out', 'type'],
        folder,
      );
      expect([code, out.split('\n').filter((text) => text.includes('has no'))]).toEqual([
        0,
        [`            ${message}`],
      ]);
    }),
  );

  test('licence texts of an archive go with what is written', () =>
    inFolder(async (folder) => {
      const zip = await zipOf({
        'pack/fonts/a.ttf': readSample(sans),
        'pack/OFL.txt': Buffer.from('the licence'),
        'other/fonts/b.otf': readSample('LampbuoySlab-Bold.otf'),
        'other/OFL.txt': Buffer.from('another one'),
      });
      writeFileSync(join(folder, 'pack.zip'), zip);
      for (const call of [
        ['convert', 'pack.zip', '--to', 'woff2'],
        ['subset', 'pack.zip', '--chars', 'a'],
      ]) {
        const { code, out } = await cli([...call, '--out', call[0]], folder);
        expect([code, tree(join(folder, call[0]))]).toEqual([
          0,
          ['a.woff2', 'b.woff2', 'licences/OFL.txt', 'licences/pack-OFL.txt'],
        ]);
        expect(out).toContain(`${call[0]}/licences/pack-OFL.txt`);
        const text = (name: string) => readFileSync(join(folder, call[0], 'licences', name), 'utf8');
        expect([text('OFL.txt'), text('pack-OFL.txt')].sort()).toEqual(['another one', 'the licence']);
      }
    }));

  test('what pages draw besides their text', () =>
    withSample(async (folder) => {
      const files = {
        'page.html': '<html lang=pl><link rel=stylesheet href=site.css><b>ab</b><i></i><ol><li><q>a</q></ol>',
        'site.css':
          'b { text-transform: uppercase } i::before { content: "→☃\\e900" } b::after { content: attr(data-a) }',
      };
      for (const [path, text] of Object.entries(files)) writeFileSync(join(folder, path), text);
      const call = ['subset', sans, '--chars-from', 'page.html', '--out', 'type'];
      const { code, out } = await cli(call, folder);
      expect([code, charactersOf(join(folder, 'type/FerrywakeSans-Regular.woff2'))]).toEqual([
        0,
        ' .01ABa«»‐”„…→',
      ]);
      for (const line of [
        /^Characters +3 of 3 characters asked for are there$/m,
        /^Pages +also draw → by i::before in site\.css$/m,
        /^ +\. 1 by li::marker in page\.html$/m,
        /^ +« » ” „ by q::before in page\.html$/m,
        /^ +missing of these: ☃$/m,
      ]) {
        expect(out).toMatch(line);
      }
      const { besides } = JSON.parse((await cli([...call, '--json'], folder)).out) as { besides: object[] };
      expect(besides).toContainEqual({
        by: 'li::marker',
        files: ['page.html'],
        characters: 'U+2E, U+31',
        asSmallCapitals: false,
      });
    }));

  test('many fonts at once, in several formats, the same bytes as one by one', () =>
    inFolder(async (folder) => {
      cpSync(sampleFonts, join(folder, 'fonts'), { recursive: true });
      const args = ['--ranges', 'U+20-7E', '--features', 'tnum, -liga', '--to', 'woff2,woff', '--out'];
      const { code, out } = await cli(['subset', 'fonts', ...args, 'all'], folder);
      expect(code).toBe(0);
      expect(tree(join(folder, 'all'))).toHaveLength(
        tree(join(folder, 'fonts')).filter((f) => !f.endsWith('.txt')).length * 2,
      );
      expect(out).toMatch(/^\d+ faces come to \d+\.\d kB$/m);
      const one = await cli(['subset', 'fonts/LampbuoySlab-Bold.otf', ...args, 'one', '--quiet'], folder);
      expect([one.code, one.out]).toEqual([0, '']);
      for (const path of tree(join(folder, 'one'))) {
        expect(readFileSync(join(folder, 'all', path))).toEqual(readFileSync(join(folder, 'one', path)));
      }
    }));

  test('what licences say against it', () =>
    inFolder(async (folder) => {
      const { font } = openFont(readSample(sans));
      const table = font.table(os2);
      const names = font.table(name);
      const reserved =
        'Copyright 2026 Them, with Reserved Font Name "Ferrywake". SIL Open Font License, Version 1.1';
      const tables = font
        .tables()
        .set('OS/2', os2.serialise({ ...table, fsType: 0x0102 }))
        .set(
          'name',
          name.serialise({
            ...names,
            nameRecord: names.nameRecord.map((record) =>
              record.nameID === 0 ? { ...record, bytes: Buffer.from(reserved, 'utf16le').swap16() } : record,
            ),
          }),
        );
      writeFileSync(join(folder, 'a.ttf'), writeSfnt(fontOf('truetype', tables)));
      const { out } = await cli(['subset', 'a.ttf', '--chars', 'a', '--out', 'o'], folder);
      expect(out).toMatch(
        /^licence +the file allows no embedding without the owner’s permission, no subsetting$/m,
      );
      expect(out).toMatch(/^licence +its licence bits forbid cutting it down \(fsType, bit 8\)$/m);
      expect(out).toMatch(
        /^licence +a font that was cut down may bear the reserved name Ferrywake only if its owner/m,
      );
    }));

  test.each<[string, string[], number, RegExp]>([
    ['nothing asked for', ['--out', 'o'], 2, /no characters are asked for; say what to keep with --chars/],
    ['no folder', ['--chars', 'a'], 2, /--out is missing/],
    [
      'a language that is none',
      ['--languages', 'en,qqx', '--out', 'o'],
      2,
      /"qqx" is not a language whose characters/,
    ],
    [
      'a range that is none',
      ['--ranges', 'U+12-3', '--out', 'o'],
      2,
      /"U\+12-3" is not a range of characters/,
    ],
    [
      'a feature that is none',
      ['--chars', 'a', '--features', 'smallcaps', '--out', 'o'],
      2,
      /"smallcaps" is not a feature/,
    ],
    [
      'hinting that is none',
      ['--chars', 'a', '--hinting', 'auto', '--out', 'o'],
      2,
      /--hinting: "auto" means nothing/,
    ],
    [
      'characters that are not there',
      ['--chars', 'жд', '--out', 'o'],
      2,
      /FerrywakeSans-Regular\.ttf: the font has none of the characters/,
    ],
    ['a file that is not there', ['--chars-from', 'no.txt', '--out', 'o'], 3, /no\.txt/],
    ['a folder without texts', ['--chars-from', '.', '--out', 'o'], 3, /\.: matches no text file/],
    ['a file that is not text', ['--chars-from', sans, '--out', 'o'], 3, /it is not text in UTF-8/],
    [
      'its own source',
      ['--chars', 'a', '--to', 'ttf', '--out', '.'],
      2,
      /would be written over by FerrywakeSans-Regular\.ttf/,
    ],
  ])('%s', (_, args, expected, message) =>
    withSample(async (folder) => {
      const { code, out, err } = await cli(['subset', sans, ...args], folder);
      expect([code, out]).toEqual([expected, '']);
      expect(err).toMatch(message);
      expect(err.trim().split('\n')).toHaveLength(1);
      expect(existsSync(join(folder, 'o'))).toBe(false);
    }),
  );
});
