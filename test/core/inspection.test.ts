import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { openFont } from '#src/core/containers/index.js';
import { familiesOf, inspectFont, type Inspection } from '#src/core/inspection/index.js';
import { fontOf, type Font } from '#src/core/sfnt/font.js';
import { recogniseLicence } from '#src/core/sfnt/open-licences.js';
import { cmap, head, hhea, name, os2, post } from '#src/core/tables/index.js';
import { CodePointSet, eachPackedRange } from '#src/core/text/code-point-set.js';
import { languagesOf } from '#src/core/text/languages.js';
import { scriptsOf } from '#src/core/text/scripts.js';
import { exemplarSets, languageRows } from '#src/data/languages.js';
import { scriptRanges } from '#src/data/scripts.js';
import {
  buildFont,
  os2Fields,
  overlongKern,
  simpleGlyph,
  spacedName,
  type FontParts,
} from '../../test-support/fonts.js';
import { readSample, sampleFonts, vendorFonts } from '../../test-support/paths.js';

const inspectSample = (file: string): Inspection => {
  const bytes = readSample(file);
  const { font, format } = openFont(bytes);
  const licenceTexts = [readFileSync(join(sampleFonts, 'OFL.txt'), 'utf8')];
  return inspectFont(font, format, bytes.length, { fileName: file, licenceTexts });
};

describe('a look inside', () => {
  const italic = inspectSample('FerrywakeSans-VariableItalic.ttf');
  const slab = inspectSample('LampbuoySlab-Bold.otf');

  test('names, style, counts and axes', () => {
    expect(italic.names).toMatchObject({
      family: 'Ferrywake Sans',
      subfamily: 'Italic',
      postScriptName: 'FerrywakeSans-Italic',
      vendorId: 'DGLY',
    });
    expect(italic.names.all).toContainEqual({ id: 1, language: 'en-US', value: 'Ferrywake Sans' });
    expect(italic.face).toMatchObject({ weight: [300, 800], style: 'italic' });
    expect(italic.axes).toEqual([
      { tag: 'wght', name: 'Weight', minimum: 300, start: 400, maximum: 800, hidden: false },
    ]);
    expect(italic.instances).toContainEqual({ name: 'Bold Italic', coordinates: { wght: 700 } });
    expect([italic.outlines, slab.outlines]).toEqual(['TrueType', 'CFF']);
    expect(italic.findings).toEqual([]);
  });

  test('features in plain words, and which of them browsers apply by themselves', () => {
    const words = italic.features.map(({ tag, words, byDefault }) => [tag, words, byDefault]);
    expect(words).toEqual([
      ['calt', 'contextual alternates', true],
      ['kern', 'kerning', true],
      ['liga', 'ligatures', true],
      ['mark', 'marks on letters', true],
      ['smcp', 'small capitals', false],
      ['tnum', 'tabular figures', false],
    ]);
    expect(italic.layoutScripts).toContain('latn');
  });

  test('scripts and languages, with the characters that one of them lacks', () => {
    expect(italic.scripts.map(({ code }) => code)).toEqual(['Latn', 'Grek']);
    const byTag = new Map(italic.languages.map((language) => [language.tag, language]));
    for (const tag of ['en', 'de', 'el', 'pl', 'tr']) expect(byTag.get(tag)?.complete).toBe(true);
    expect(
      byTag
        .get('cy')
        ?.missing.main.map((c) => String.fromCodePoint(c))
        .join(''),
    ).toBe('ẀẁẂẃẄẅỲỳ');
    const french = byTag.get('fr')!.missing;
    expect([french.main, french.auxiliary.map((c) => String.fromCodePoint(c))]).toEqual([[], ['ǔ']]);
    expect(byTag.get('hu')?.missing.punctuation).toEqual([0x2052, 0x27e8, 0x27e9]);
    // A single Latin letter would make it a candidate; a font without its script isn't one.
    expect([byTag.has('ru'), byTag.has('ja')]).toEqual([false, false]);
  });

  test('licence, metrics and weight', () => {
    expect(slab.licence).toMatchObject({ restricted: false, recognised: { spdx: 'OFL-1.1' } });
    expect(slab.metrics.platforms.map(({ lineHeight }) => lineHeight)).toEqual([1.2, 1.2, 1.2, 1.2]);
    const [first] = slab.weight.tables;
    expect(first.tag).toBe('CFF');
    const sum = slab.weight.tables.reduce((total, { bytes }) => total + bytes, 0);
    expect(sum).toBeLessThan(slab.weight.file);
    expect(sum).toBeGreaterThan(slab.weight.file * 0.98);
  });

  test('a font with hardly any table can still be looked at', () => {
    const bare = new Map([...buildFont().tables()].filter(([tag]) => ['head', 'hhea'].includes(tag)));
    const { findings, glyphs, characters } = inspectFont(fontOf('truetype', bare), 'ttf', 100);
    expect([glyphs, characters]).toEqual([0, 0]);
    expect(findings.map(({ code }) => code)).toContain('tables-missing');
  });
});

describe('hinting', () => {
  const kindOf = (font: Font) => inspectFont(font, 'ttf', 0).hinting.kind;
  const hinted = (...instructions: number[][]) =>
    buildFont({
      glyphs: instructions.map((program) =>
        simpleGlyph(
          [
            [
              [0, 0, true],
              [9, 9, true],
              [9, 0, true],
            ],
          ],
          { instructions: Uint8Array.from(program) },
        ),
      ),
    });
  const many = Array.from({ length: 20 }, (_, i) => 0x58 + i);

  test.each<[string, Font, string]>([
    ['nothing', buildFont(), 'none'],
    ['a program for the whole font', buildFont({ extra: [['prep', Uint8Array.of(0xb8)]] }), 'smoothing'],
    [
      'numbers for one function',
      hinted([0xb1, 1, 2, 0x2b], [0x40, 3, 1, 2, 3, 0x2b], [0xb8, 0, 9, 0x2b]),
      'automatic',
    ],
    ['instructions of their own', hinted(many, [0xb0, 1, 0x2b]), 'by hand'],
    ['a public font', openFont(readFileSync(join(vendorFonts, 'KaTeX_Main-Regular.ttf'))).font, 'automatic'],
    ['CFF without stems', openFont(readSample('LampbuoySlab-Bold.otf')).font, 'none'],
  ])('%s', (_, font, kind) => {
    expect(kindOf(font)).toBe(kind);
  });
});

describe('findings', () => {
  /** A font with one table changed. */
  const changed = (tag: string, bytes: Uint8Array | undefined, parts: FontParts = {}) => {
    const tables = buildFont(parts).tables();
    if (bytes) tables.set(tag, bytes);
    else tables.delete(tag);
    return fontOf('truetype', tables);
  };
  const plain = buildFont();
  const metrics = (fields: Partial<os2.Os2>) => changed('OS/2', os2.serialise({ ...os2Fields, ...fields }));
  const unicode = plain.table(cmap).encodingRecords;
  const spaced = spacedName(openFont(readSample('LampbuoySlab-Bold.otf')).font);

  test.each<[code: string, Font, string | undefined, message: string]>([
    ['file-name-weight', plain, 'Harbour-Bold.ttf', 'the file name means weight 700, the font is 400'],
    ['file-name-style', plain, 'HarbourItalic.woff2', 'the file name means italic, the font is upright'],
    ['file-name-format', plain, 'harbour.otf', 'the file name says otf, the content is ttf'],
    ['weight-disagrees', buildFont({ subfamily: 'Black' }), undefined, 'the style name "Black" means 900'],
    ['tables-missing', changed('post', undefined), undefined, 'the font has no post table'],
    ['tables-empty', changed('TSI3', new Uint8Array()), undefined, 'a table is empty: TSI3'],
    ['cff-name-invalid', spaced, undefined, 'the name inside the CFF table has spaces'],
    ['kern-too-long', changed('kern', overlongKern(200)), undefined, 'the kern table has 11000 pairs'],
    [
      'units-per-em-invalid',
      changed('head', head.serialise({ ...plain.table(head), unitsPerEm: 20000 })),
      undefined,
      'head gives the em 20000 units',
    ],
    [
      'no-unicode-mapping',
      changed('cmap', cmap.serialise({ version: 0, encodingRecords: [{ ...unicode[0], encodingID: 0 }] })),
      undefined,
      'cmap maps symbols',
    ],
    ['space-missing', plain, undefined, 'there is no space (U+0020)'],
    [
      'italic-angle-disagrees',
      changed('post', post.serialise({ ...plain.table(post), italicAngle: -12 })),
      undefined,
      'leans by 12 degrees',
    ],
    [
      'line-heights-differ',
      metrics({ usWinAscent: 1300 }),
      undefined,
      '1.00 em on macOS and iOS (hhea), Linux and Android (hhea) but 1.50 em on Windows (win) and 1.20 em on Firefox on Linux',
    ],
  ])('%s', (code, font, fileName, message) => {
    const { findings } = inspectFont(font, 'ttf', 0, fileName === undefined ? {} : { fileName });
    const found = findings.find((finding) => finding.code === code);
    expect(found?.message).toContain(message);
    expect(found?.effect).toMatch(/^\S.{20,}[^.]$/);
  });

  test('bit 7 of fsSelection, and zeros in hhea, decide which metrics count', () => {
    const sets = (font: Font) => inspectFont(font, 'ttf', 0).metrics.platforms.map(({ from }) => from);
    expect(sets(metrics({ fsSelection: 64 }))).toEqual(['hhea', 'win', 'hhea', 'hhea']);
    expect(sets(metrics({ fsSelection: 64 | 128 }))).toEqual(['hhea', 'typo', 'typo', 'typo']);
    const empty = hhea.serialise({ ...plain.table(hhea), ascender: 0, descender: 0 });
    expect(sets(changed('hhea', empty))).toEqual(['typo', 'win', 'typo', 'typo']);
  });
});

describe('families', () => {
  const face = (
    weight: [number, number],
    style: 'normal' | 'italic' = 'normal',
    stretch: [number, number] = [100, 100],
  ) => ({
    family: 'Harbour',
    weight,
    style,
    stretch,
    axes: [],
  });

  test('two files that say the same hide one another', () => {
    const [grid] = familiesOf([
      { path: 'r.ttf', face: face([400, 400]) },
      { path: 'b.ttf', face: face([400, 400]) },
      { path: 'i.ttf', face: face([700, 700], 'italic') },
      { path: 'c.ttf', face: face([700, 700], 'normal', [75, 75]) },
    ]);
    expect([grid.weights, grid.styles]).toEqual([
      [400, 700],
      ['normal', 'italic', 'normal, 75%'],
    ]);
    expect(grid.files).toEqual([
      [['r.ttf', 'b.ttf'], [], []],
      [[], ['i.ttf'], ['c.ttf']],
    ]);
    expect(grid.findings).toEqual([
      expect.objectContaining({ code: 'same-style', message: 'r.ttf and b.ttf both draw 400 normal' }),
    ]);
  });

  test('a variable file draws what static files draw too', () => {
    const [grid] = familiesOf([
      { path: 'v.ttf', face: face([300, 800]) },
      { path: 'b.ttf', face: face([700, 700]) },
    ]);
    expect(grid.findings[0].effect).toBe('v.ttf draws it already, so ship one or the other');
  });
});

describe('languages and scripts', () => {
  const range = fc
    .tuple(fc.nat(0x10ffff), fc.nat(3000))
    .map(([first, more]) => [first, Math.min(first + more, 0x10ffff)]);

  test('a set of code points is a set', () => {
    fc.assert(
      fc.property(fc.array(range, { maxLength: 8 }), range, (ranges, [from, to]) => {
        const ours = new CodePointSet();
        const plain = new Set<number>();
        for (const [first, last] of ranges) {
          ours.addRange(first, last);
          for (let c = first; c <= last; c++) plain.add(c);
        }
        expect(ours.size).toBe(plain.size);
        const back = ours
          .ranges()
          .flatMap(([first, last]) => Array.from({ length: last - first + 1 }, (_, i) => first + i));
        expect(back).toEqual([...plain].sort((a, b) => a - b));
        expect(ours.countIn(from, to)).toBe(back.filter((c) => c >= from && c <= to).length);
      }),
      { numRuns: 60 },
    );
  });

  test('every language is complete with its own letters and not without one of them', () => {
    for (const [tag, , , main] of languageRows) {
      const letters: number[] = [];
      eachPackedRange(exemplarSets[main], (first, last) => {
        for (let c = first; c <= last; c++) letters.push(c);
      });
      const coverage = (set: CodePointSet) =>
        languagesOf(set, scriptsOf(set)).find((language) => language.tag === tag);
      expect(coverage(new CodePointSet(letters))?.complete).toBe(true);
      expect(coverage(new CodePointSet(letters.slice(1)))?.complete ?? false).toBe(false);
    }
  });

  test('capitals belong to a language, and scripts are those of Unicode', () => {
    const lacking = new CodePointSet([...'abcdefghijklmnopqrstuvwxyzäöüß'].map((c) => c.codePointAt(0)!));
    const german = languagesOf(lacking, scriptsOf(lacking)).find(({ tag }) => tag === 'de');
    expect(german).toMatchObject({ complete: false });
    expect(String.fromCodePoint(...german!.missing.main)).toBe('ABCDEFGHIJKLMNOPQRSTUVWXYZÄÖÜ');
    expect(german!.missingShare).toBeCloseTo(29 / 59);
    for (const [code, , packed] of scriptRanges) {
      const pattern = new RegExp(`\\p{Script=${code}}`, 'u');
      eachPackedRange(packed, (first, last) => {
        for (const c of [first, last]) expect(pattern.test(String.fromCodePoint(c))).toBe(true);
      });
    }
    expect(scriptsOf(new CodePointSet([0x41, 0x3b1, 0x3b2, 0x2e]))).toEqual([
      { code: 'Grek', name: 'Greek', characters: 2 },
      { code: 'Latn', name: 'Latin', characters: 1 },
    ]);
  });
});

describe('open licences by their wording', () => {
  test.each<[string, string | undefined]>([
    ['This Font Software is licensed under the SIL Open Font License, Version 1.1.', 'OFL-1.1'],
    ['https://openfontlicense.org', 'OFL-1.1'],
    ['Licensed under the Apache License, Version 2.0 (the "License")', 'Apache-2.0'],
    [
      'GNU General Public License, version 3 … with the font exception: you may embed this font',
      'GPL-3.0-or-later WITH Font-exception-2.0',
    ],
    ['GNU General Public License, version 2', 'GPL-2.0-only'],
    ['GPL version 2 (or later version)', 'GPL-2.0-or-later'],
    ['GPL', undefined],
    ['The license is based on the SIL Open Font License, version 1.1, with other terms', undefined],
    ['Licensed under the SIL Open Font License 1.1 (see file OFL.txt)', 'OFL-1.1'],
    [
      'Permission is hereby granted, free of charge, to any person obtaining a copy\nof the fonts accompanying this license',
      'Bitstream-Vera',
    ],
    ['All rights reserved. This font may not be used on websites.', undefined],
  ])('%s', (text, spdx) => {
    expect(recogniseLicence([text])?.spdx).toBe(spdx);
  });

  test('reserved names are read from the notice, not from the licence’s own explanation of them', () => {
    const text =
      'Copyright 2026, The Harbour Authors, with Reserved Font Names "Harbour" and "Quay".\n' +
      'This Font Software is licensed under the SIL Open Font License, Version 1.1.';
    expect(recogniseLicence([text])).toEqual({ spdx: 'OFL-1.1', reservedFontNames: ['Harbour', 'Quay'] });
    const own = readFileSync(join(sampleFonts, 'OFL.txt'), 'utf8');
    expect(recogniseLicence([own])).toEqual({ spdx: 'OFL-1.1' });
  });
});

test('names of other languages and of the font’s own language tags', () => {
  const utf16 = (text: string) => Uint8Array.from([...text].flatMap((c) => [0, c.charCodeAt(0)]));
  const record = (languageID: number, text: string) => ({
    platformID: 3,
    encodingID: 1,
    languageID,
    nameID: 1,
    bytes: utf16(text),
  });
  const table: name.Name = {
    version: 1,
    nameRecord: [record(0x409, 'Quay'), record(0x407, 'Kai'), record(0x8000, 'Kaj'), record(0x7777, '?')],
    langTagRecord: [utf16('eo')],
  };
  const tables = buildFont().tables().set('name', name.serialise(table));
  const { names } = inspectFont(fontOf('truetype', tables), 'ttf', 0);
  expect(names.all.map(({ language, value }) => [language, value])).toEqual([
    ['en-US', 'Quay'],
    ['de-DE', 'Kai'],
    ['eo', 'Kaj'],
    ['0x7777', '?'],
  ]);
});
