import { describe, expect, test } from '@jest/globals';
import { cpSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { openFont } from '#src/core/containers/index.js';
import { fontOf } from '#src/core/sfnt/font.js';
import { writeSfnt } from '#src/core/sfnt/write.js';
import { os2 } from '#src/core/tables/index.js';
import { zipOf } from '../../test-support/archives.js';
import { cli, inFolder, tree } from '../../test-support/cli.js';
import { buildCollection } from '../../test-support/fonts.js';
import { readSample, sampleFonts } from '../../test-support/paths.js';

/** A sample font with fields of OS/2 changed. */
function withOs2(file: string, fields: Partial<os2.Os2>): Uint8Array {
  const { font } = openFont(readSample(file));
  const table = os2.serialise({ ...font.table(os2), ...fields });
  return writeSfnt(fontOf(font.flavour, font.tables().set('OS/2', table)));
}

describe('inspect', () => {
  test('a URL is told what takes it', () =>
    inFolder(async (folder) => {
      const { code, err } = await cli(['inspect', 'https://ferries.example/type.css'], folder);
      expect([code, err]).toEqual([
        3,
        'https://ferries.example/type.css: it is a URL, not a file; dense-glyph adopt "https://ferries.example/type.css" brings home what is declared there\n',
      ]);
    }));

  test('one font: a screen with everything, and the WOFF2 size where it is asked for', () =>
    inFolder(async (folder) => {
      cpSync(sampleFonts, join(folder, 'fonts'), { recursive: true });
      const { code, out, err } = await cli(
        ['inspect', 'fonts/FerrywakeSans-Variable.ttf', '--weigh'],
        folder,
      );
      expect([code, err]).toEqual([0, '']);
      for (const line of [
        /^Ferrywake Sans {2}fonts\/FerrywakeSans-Variable\.ttf\n/,
        /^CSS +font-family: "Ferrywake Sans"; font-weight: 300 800; font-style: normal;$/m,
        /^Glyphs +\d+ for 459 characters; TrueType outlines, no hinting$/m,
        /^Axes +wght 300 to 800, starts at 400 \(Weight\)$/m,
        /^ +to turn on: .*tabular figures \(tnum\)$/m,
        /^Scripts +Latin 249, Greek 70$/m,
        /^Languages +\d+ with all main letters: English, Spanish, German,/m,
        /^ +Welsh lacks 8: Ẁ ẁ/m,
        /^ +no punctuation ⁒ ⟨ ⟩ for Hungarian$/m,
        /^Licence +OFL-1\.1, by its wording; fonts\/OFL\.txt beside it$/m,
        /^Tables +gvar +\d+\.\d kB +\d+% {2}█{30}/m,
        /^WOFF2 +3\d\.\d kB, 3\d% of the file$/m,
        /^Nothing in it disagrees\.$/m,
      ]) {
        expect(out).toMatch(line);
      }
      expect(Math.max(...out.split('\n').map((line) => line.length))).toBeLessThanOrEqual(100);
    }));

  test('many fonts: a table, the family at a glance, and what is wrong with it', () =>
    inFolder(async (folder) => {
      writeFileSync(join(folder, 'Regular.ttf'), readSample('FerrywakeSans-Regular.ttf'));
      // The classic: a bold that says 400.
      writeFileSync(join(folder, 'Bold.ttf'), readSample('FerrywakeSans-Regular.ttf'));
      const { code, out } = await cli(['inspect', '.'], folder);
      expect(code).toBe(0);
      expect(out).toMatch(
        /^Bold\.ttf +Ferrywake Sans +400 +normal +TrueType +459 +55\.\d kB +OFL-1\.1 +\d$/m,
      );
      expect(out).toMatch(/^ {2}400 +● 2 files$/m);
      expect(out).toMatch(/^ {2}700 +·$/m);
      const words = out.replace(/\s+/g, ' ');
      expect(words).toContain(
        'finding Ferrywake Sans: Bold.ttf and Regular.ttf both draw 400 normal; of rules alike',
      );
      expect(words).toContain('finding Bold.ttf: the file name means weight 700, the font is 400');
    }));

  test('archives and collections; --json gives all of it as one document', () =>
    inFolder(async (folder) => {
      const names = ['FerrywakeSans-Italic.ttf', 'TidelogMono-Regular.ttf'];
      const collection = buildCollection(names.map((file) => openFont(readSample(file)).font));
      const licence = readFileSync(join(sampleFonts, 'OFL.txt'));
      writeFileSync(
        join(folder, 'download.zip'),
        await zipOf({ 'pack/both.ttc': collection, 'OFL.txt': licence }),
      );
      const { code, out } = await cli(['inspect', 'download.zip', '--json'], folder);
      expect(code).toBe(0);
      const { fonts, families } = JSON.parse(out) as {
        fonts: { path: string; face: object; licenceTexts: string[]; languages: object[] }[];
        families: { family: string }[];
      };
      expect(fonts.map(({ path }) => path)).toEqual([
        'download.zip/pack/both.ttc#1',
        'download.zip/pack/both.ttc#2',
      ]);
      expect(fonts[0]).toMatchObject({
        face: { family: 'Ferrywake Sans', style: 'italic', weight: [400, 400] },
        licence: { recognised: { spdx: 'OFL-1.1' } },
        licenceTexts: ['download.zip/OFL.txt'],
      });
      expect(families.map(({ family }) => family)).toEqual(['Ferrywake Sans', 'Tidelog Mono']);
    }));

  test('a font that forbids embedding, and the right that a config states', () =>
    inFolder(async (folder) => {
      writeFileSync(join(folder, 'own.ttf'), withOs2('TidelogMono-Regular.ttf', { fsType: 2 }));
      writeFileSync(
        join(folder, 'dense-glyph.config.json'),
        JSON.stringify({
          output: { folder: 'type' },
          families: [{ family: 'Tidelog Mono', files: 'own.ttf', rights: 'drawn by ourselves' }],
        }),
      );
      const { out } = await cli(['inspect', 'own.ttf', '--config', 'dense-glyph.config.json'], folder);
      expect(out).toContain('the file allows no embedding without the owner’s permission');
      expect(out).toContain('rights, as the config states: drawn by ourselves');
    }));

  test('a specimen page holds the fonts itself', () =>
    inFolder(async (folder) => {
      const font = join(sampleFonts, 'TidelogMono-Regular.ttf');
      const { code, out } = await cli(['inspect', font, '--page', 'mono.html'], folder);
      expect(code).toBe(0);
      expect(out).toContain('open mono.html: it holds the fonts itself and needs no server');
      expect(tree(folder)).toEqual(['mono.html']);
      const page = readFileSync(join(folder, 'mono.html'), 'utf8');
      expect(page).not.toMatch(/(src|href)="?https?:/);
      expect(page.length).toBeGreaterThan(20_000);
    }));

  test('what cannot be read is said in one line', () =>
    inFolder(async (folder) => {
      writeFileSync(join(folder, 'cut.ttf'), readSample('TidelogMono-Regular.ttf').subarray(0, 9000));
      const { code, out, err } = await cli(['inspect', 'cut.ttf'], folder);
      expect([code, out]).toEqual([3, '']);
      expect(err).toMatch(/^cut\.ttf: .*; the file is damaged: download or export it again\n$/);
      expect((await cli(['inspect', 'nowhere.ttf'], folder)).err).toMatch(
        /^nowhere\.ttf: there is no such file; /,
      );
    }));
});
