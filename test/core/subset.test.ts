import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { openFont, writeFont } from '#src/core/containers/index.js';
import { DenseGlyphError } from '#src/errors.js';
import { markClass, readGdef, writeGdef } from '#src/core/layout/common/gdef.js';
import { readLayoutTable } from '#src/core/layout/layout-table.js';
import { outlinesOf, svgPathData } from '#src/core/outlines/index.js';
import type { Finding } from '#src/findings.js';
import { fontOf, type Font } from '#src/core/sfnt/font.js';
import { isWantedFeature, type FeatureChoice } from '#src/core/subset/features.js';
import { glyphOrders } from '#src/core/subset/glyph-order.js';
import { glyphsFor, mappingsFor } from '#src/core/subset/glyphs.js';
import { subsetFont, type SubsetOptions } from '#src/core/subset/index.js';
import { smallestSubset } from '#src/core/subset/smallest.js';
import { parseUnicodeRanges } from '#src/core/text/parse-ranges.js';
import { cmap, glyf, hmtx, maxp, name, os2 } from '#src/core/tables/index.js';
import { CodePointSet } from '#src/core/text/code-point-set.js';
import { damagedPairs, withLongOutlines, words } from '../../test-support/fonts.js';
import { Placer } from '../../test-support/placing.js';
import { readSample, variableVendorFont, vendorFonts } from '../../test-support/paths.js';
import { isThorough } from '../../test-support/thorough.js';

const sans = openFont(readSample('FerrywakeSans-Regular.ttf')).font;
const variable = openFont(readSample('FerrywakeSans-Variable.ttf')).font;
const slab = openFont(readSample('LampbuoySlab-Bold.otf')).font;
const katex = openFont(readFileSync(join(vendorFonts, 'KaTeX_Main-Regular.ttf'))).font;

const setOf = (text: string) => new CodePointSet(Array.from(text, (c) => c.codePointAt(0)!));
const cut = (font: Font, text: string, options: Partial<SubsetOptions> = {}) =>
  subsetFont(font, { characters: setOf(text), ...options });

/** Space, zero, hyphen and ellipsis, which any line of text may have. */
const line = [0x20, 0x30, 0x2010, 0x2026];

const utf16 = (text: string) => new Uint8Array(Buffer.from(text, 'utf16le').swap16());
const withNames = (table: Uint8Array) => fontOf(sans.flavour, sans.tables().set('name', table));

const messages = (findings: readonly Finding[]) => findings.map(({ message }) => message);

/** Where the glyphs of characters are put, three in a row each time, in each language. */
function placesOf(placer: Placer, font: Font, characters: readonly number[], languages: readonly string[]) {
  const glyphs = characters.map((c) => cmap.glyphIdOf(font.table(cmap), c));
  return glyphs.flatMap((glyph, i) =>
    languages.map((language) => placer.place([glyph, ...glyphs.slice(i + 1, i + 3)], language)),
  );
}

/** A cmap that gives characters the glyphs from 1 on. */
function mapping(codePoints: readonly number[]): Uint8Array {
  const groups = Uint32Array.from(codePoints.flatMap((c, i) => [c, c, i + 1]));
  const subtable = { format: 12, language: 0, groups } as const;
  return cmap.serialise({ version: 0, encodingRecords: [{ platformID: 3, encodingID: 10, subtable }] });
}

describe('any characters of any font', () => {
  const fonts: [string, Font][] = [
    ['TrueType', sans],
    ['variable', variable],
    ['CFF', slab],
    ['katex', katex],
  ];
  if (isThorough) fonts.push(['variable with much kerning', openFont(readFileSync(variableVendorFont)).font]);

  const choices = fc.record({
    hinting: fc.constantFrom('keep', 'drop'),
    glyphOrder: fc.constantFrom(...glyphOrders),
    everyFeature: fc.boolean(),
  });

  test.each(fonts)(
    '%s: outlines, advances and places stay, and nothing is left that no text comes to',
    async (_, font) => {
      const available = [...cmap.mappingsOf(font.table(cmap))].map(([codePoint]) => codePoint);
      const outlines = outlinesOf(font);
      const wish = fc.uniqueArray(fc.constantFrom(...available), { minLength: 1, maxLength: 60 });
      await fc.assert(
        fc.asyncProperty(wish, choices, async (wanted, { everyFeature, ...choice }) => {
          const features = everyFeature ? 'all' : { keep: [], leave: [] };
          const result = subsetFont(font, { characters: new CodePointSet(wanted), features, ...choice });
          const made = openFont((await writeFont(result.font, 'woff2')).bytes).font;
          const drawn = outlinesOf(made);
          for (const codePoint of wanted) {
            const [old, now] = [font, made].map((one) => cmap.glyphIdOf(one.table(cmap), codePoint));
            expect(svgPathData(drawn.outlineOf(now), 3)).toBe(svgPathData(outlines.outlineOf(old), 3));
            expect(hmtx.advanceOf(made.table(hmtx), now)).toBe(hmtx.advanceOf(font.table(hmtx), old));
          }
          const isWanted = isWantedFeature(features, new CodePointSet(wanted));
          const [placer, placerNow] = [font, made].map((one) => new Placer(one, isWanted));
          expect(placesOf(placerNow, made, wanted, placer.languages)).toEqual(
            placesOf(placer, font, wanted, placer.languages),
          );
          const mapped = new CodePointSet([...cmap.mappingsOf(made.table(cmap))].map(([c]) => c));
          const reachable = glyphsFor(
            made,
            mappingsFor(made, mapped),
            mapped,
            readLayoutTable(made, 'GSUB'),
            isWantedFeature(features, mapped),
          );
          expect(reachable).toHaveLength(made.table(maxp).numGlyphs);
          expect(mapped.size).toBe(wanted.length + result.characters.companions.length);
        }),
        { numRuns: 25 },
      );
    },
  );

  test('outlines that a font has written longer come out as long as others, and the same', async () => {
    const options = { characters: parseUnicodeRanges('U+20-7E') };
    const long = withLongOutlines(subsetFont(sans, options).font);
    const [kept, short] = [false, true].map(
      (shortOutlines) => subsetFont(long, { ...options, shortOutlines }).font,
    );
    const sizes = [sans, kept, short].map((font) => subsetFont(font, options).font.bytesOf('glyf').length);
    expect(sizes[1]).toBeGreaterThan(sizes[0] * 1.2);
    expect(sizes[2]).toBe(sizes[0]);
    expect((await writeFont(short, 'woff2')).bytes).toEqual((await writeFont(kept, 'woff2')).bytes);
  });

  test('the smallest of a font is the smallest of its orders', async () => {
    const options = { characters: parseUnicodeRanges('U+20-7E') };
    const sizeOf = async ({ font }: { font: Font }) => (await writeFont(font, 'woff2')).bytes.length;
    const made = glyphOrders.map((glyphOrder) => subsetFont(sans, { ...options, glyphOrder }));
    const sizes = await Promise.all(made.map(sizeOf));
    expect(await sizeOf(await smallestSubset(sans, options))).toBe(Math.min(...sizes));
    expect(new Set(sizes).size).toBeGreaterThan(1);
  });

  test('a subset of everything is everything', () => {
    const everything = new CodePointSet([...cmap.mappingsOf(sans.table(cmap))].map(([c]) => c));
    const { font, glyphs, features } = subsetFont(sans, { characters: everything, features: 'all' });
    expect(glyphs.after).toBe(glyphs.before);
    expect(features).toEqual({ kept: ['calt', 'kern', 'liga', 'mark', 'smcp', 'tnum'], left: [] });
    for (const tag of ['GSUB', 'GPOS'] as const) {
      const [before, after] = [sans, font].map((one) => readLayoutTable(one, tag)!);
      expect(after.scripts).toEqual(before.scripts);
      expect(after.lookupCount).toBe(before.lookupCount);
    }
  });

  test('a subset of a subset is the subset', async () => {
    const once = cut(sans, 'Ahoy, affix 0½').font;
    const twice = cut(once, 'Ahoy, affix 0½').font;
    expect(await writeFont(twice, 'woff2')).toEqual(await writeFont(once, 'woff2'));
  });
});

describe('what stays', () => {
  test.each<[string, FeatureChoice | undefined, kept: string[], left: string[]]>([
    [
      'what browsers apply by themselves, across and down',
      undefined,
      [
        'liga',
        'calt',
        'kern',
        'locl',
        'halt',
        'chws',
        'vert',
        'vhal',
        'vchw',
        'vkrn',
        'vpal',
        'rvrn',
        'rand',
        'tnum',
        'ruby',
      ],
      ['smcp', 'frac', 'palt', 'ss01', 'dlig'],
    ],
    ['what is asked for', { keep: ['smcp'], leave: ['liga'] }, ['smcp', 'kern'], ['liga', 'c2sc']],
    ['what is left out', { keep: [], leave: ['tnum', 'ruby'] }, ['liga'], ['tnum', 'ruby']],
    ['all', 'all', ['smcp', 'ss20', 'XYZ '], []],
  ])('features: %s', (_, choice, kept, left) => {
    const isWanted = isWantedFeature(choice, setOf('1/2ん'));
    expect([...kept, ...left].filter(isWanted)).toEqual(kept);
    if (choice !== 'all') expect(isWantedFeature(choice, setOf('1\u20442'))('frac')).toBe(true);
  });

  test('small capitals that do nothing stay where browsers would make their own without them', () => {
    const { font, features } = cut(sans, 'ωρα', { features: { keep: ['smcp'], leave: [] } });
    const tags = readLayoutTable(font, 'GSUB')!.features.map(({ tag }) => tag);
    expect([tags, features.kept.includes('smcp')]).toEqual([['smcp'], false]);
  });

  test('optional characters are kept where they are there, with what is drawn with them', () => {
    const optional = [{ characters: setOf('bж') }, { characters: setOf('a↵)א') }];
    const { font, characters } = cut(sans, 'a(', { optional });
    expect(characters).toEqual({ had: [0x28, 0x61], missing: [], companions: line, optional: [0x29, 0x62] });
    const all = [...line, 0x28, 0x29, 0x61, 0x62].sort((a, b) => a - b);
    expect([...cmap.mappingsOf(font.table(cmap))].map(([c]) => c)).toEqual(all);
  });

  test('capitals that small ones would be made of go where the font has its own', () => {
    const optional = [{ characters: setOf('AÉΩĦ'), asSmallCapitals: true }];
    const features = { keep: ['smcp'], leave: [] };
    const kept = (font: Font) =>
      String.fromCodePoint(...cut(font, 'aéωħ', { optional, features }).characters.optional);
    const without = cut(sans, 'aéωħ', { optional, features: { keep: ['smcp'], leave: ['smcp'] } });
    expect(without.characters.optional).toHaveLength(4);
    expect([kept(sans), kept(slab)]).toEqual(['ĦΩ', 'AÉĦΩ']);
  });

  test('what the font lacks is told', () => {
    const { characters } = cut(sans, 'aж');
    expect([characters.had, characters.missing]).toEqual([[0x61], [0x436]]);
    expect(() => cut(sans, 'жд')).toThrow(
      new DenseGlyphError('characters-missing', 'the font has none of the characters that are asked for'),
    );
  });

  test('features: those that browsers apply, others by tag', () => {
    expect(cut(sans, 'abcfi0').features).toEqual({
      kept: ['calt', 'kern', 'liga', 'mark'].filter((tag) => cut(sans, 'abcfi0').features.kept.includes(tag)),
      left: ['smcp', 'tnum'],
    });
    const plain = cut(sans, 'abc').glyphs.after;
    const small = cut(sans, 'abc', { features: { keep: ['smcp'], leave: ['kern'] } });
    expect(small.glyphs.after).toBe(plain + 3);
    expect([small.features.kept.includes('smcp'), small.features.left]).toEqual([true, ['kern', 'tnum']]);
    expect(isWantedFeature(undefined, setOf('1⁄2'))('frac')).toBe(true);
    const wanted = isWantedFeature(undefined, setOf('0a'));
    expect(['frac', 'tnum', 'ruby'].filter(wanted)).toEqual([]);
  });

  test('what is damaged in a layout table is left out with a word', () => {
    const { changes, features } = cut(damagedPairs(sans), 'AVATAR');
    expect(messages(changes)).toEqual([
      expect.stringMatching(/GPOS is damaged \(at byte \d+: format 77 of this lookup/),
    ]);
    expect([cut(sans, 'AVATAR'), { features }].map((made) => made.features.kept.includes('kern'))).toEqual([
      true,
      false,
    ]);
  });

  test('names that licences and credit need, in English', () => {
    const { font } = cut(variable, 'a');
    const ids = font.table(name).nameRecord.map(({ nameID }) => nameID);
    expect(ids.filter((id) => id < 256)).toEqual(
      variable
        .table(name)
        .nameRecord.map(({ nameID }) => nameID)
        .filter((id) => id < 256 && ![3, 10].includes(id)),
    );
    expect(name.nameOf(font.table(name), 256)).toBe('Weight');
    expect(font.table(os2)).toMatchObject({ usFirstCharIndex: 0x20, usLastCharIndex: 0x2026 });
  });

  test('a licence of many words goes beside the files, where the font says where it is to be had', () => {
    const records = (text: string, url?: string) =>
      name.serialise({
        version: 0,
        nameRecord: [
          ...sans.table(name).nameRecord.filter(({ nameID }) => nameID < 13),
          ...[text, url].flatMap((value, i) =>
            value === undefined
              ? []
              : [{ platformID: 3, encodingID: 1, languageID: 0x409, nameID: 13 + i, bytes: utf16(value) }],
          ),
        ],
      });
    const long = 'Permission is hereby granted. '.repeat(40).trim();
    const idsOf = (font: Font) => font.table(name).nameRecord.map(({ nameID }) => nameID);
    const withUrl = cut(withNames(records(long, 'https://licence.example')), 'a');
    expect([withUrl.licenceText, idsOf(withUrl.font).includes(13)]).toEqual([long, false]);
    for (const names of [records(long), records('OFL 1.1', 'https://licence.example')]) {
      const kept = cut(withNames(names), 'a');
      expect([kept.licenceText, idsOf(kept.font).includes(13)]).toEqual([undefined, true]);
    }
  });

  test('variation sequences of which both halves are wanted', () => {
    const withSequences = cmap.serialise({
      version: 0,
      encodingRecords: [
        {
          platformID: 0,
          encodingID: 5,
          subtable: {
            format: 14,
            varSelectors: [
              {
                varSelector: 0xfe00,
                defaultUVS: Uint32Array.of(0x61, 3),
                nonDefaultUVS: Uint32Array.of(0x7a, 9),
              },
              { varSelector: 0xfe01, defaultUVS: Uint32Array.of(0x61, 0) },
            ],
          },
        },
        ...sans.table(cmap).encodingRecords,
      ],
    });
    const font = fontOf('truetype', sans.tables().set('cmap', withSequences));
    const { encodingRecords } = cut(font, 'acz\ufe00').font.table(cmap);
    expect(encodingRecords[0].subtable).toMatchObject({
      format: 14,
      varSelectors: [{ varSelector: 0xfe00, defaultUVS: Uint32Array.of(0x61, 0, 0x63, 0) }],
    });
    expect(cut(font, 'az').font.table(cmap).encodingRecords).toHaveLength(1);
  });

  test('instructions by choice', () => {
    const before = katex.has('fpgm');
    const kept = cut(katex, 'abc', { hinting: 'keep' }).font;
    const dropped = cut(katex, 'abc').font;
    expect([before, kept.has('fpgm'), dropped.has('fpgm')]).toEqual([true, true, false]);
    const bytesOfA = (font: Font) =>
      glyf.recordOf(font.table(glyf), cmap.glyphIdOf(font.table(cmap), 0x61)).length;
    expect(bytesOfA(dropped)).toBeLessThan(bytesOfA(kept));
    expect(dropped.table(maxp).limits).toMatchObject({ maxSizeOfInstructions: 0, maxStackElements: 0 });
  });

  test('what browsers draw otherwise than with the whole font is told', () => {
    const tables = sans.tables().set('morx', new Uint8Array(8)).set('Silf', new Uint8Array(8));
    tables.delete('GSUB');
    const odd = fontOf('truetype', tables);
    expect(messages(cut(odd, 'a').changes)).toEqual([
      expect.stringContaining('morx'),
      expect.stringContaining('Graphite'),
    ]);
    const both = fontOf(
      'truetype',
      sans.tables().set('morx', new Uint8Array(8)).set('kerx', new Uint8Array(8)),
    );
    expect(messages(cut(both, 'a').changes)).toEqual([
      expect.stringMatching(/^Safari and WebKitGTK .* morx$/),
    ]);
    const arabic = fontOf('truetype', tables.set('cmap', mapping([0x641])));
    expect(() => cut(arabic, '\u0641')).toThrow(/joins letters, .* \(morx\)/);
    expect(cut(odd, 'a\u0641').characters.missing).toEqual([0x641]); // it has no letter to join
    expect(messages(cut(sans, 'a').changes)).toEqual([]);
  });

  test('that tables are there stays true where shaping goes by it, though nothing is left in them', () => {
    const quote = cmap.glyphIdOf(sans.table(cmap), 0x2019);
    const gdef = {
      glyphClasses: new Map([[quote, markClass]]),
      markAttachmentClasses: new Map(),
      markGlyphSets: [],
    };
    const odd = fontOf('truetype', sans.tables().set('GDEF', writeGdef(gdef, false)!));
    const leave = [...new Set(readLayoutTable(sans, 'GPOS')!.features.map(({ tag }) => tag))];
    const left = (text: string) => {
      const { font } = cut(odd, text, { features: { keep: [], leave } });
      return ['GDEF', 'GPOS'].map((tag) => font.has(tag));
    };
    expect(left('ab')).toEqual([false, false]);
    // A glyph that is a mark by its class alone loses its advance in another way without a GPOS.
    expect(left('a\u2019')).toEqual([true, true]);
    // Without classes, browsers would take U+0301 for a mark; here it is none.
    expect(left('a\u0301')).toEqual([true, true]);
    expect(readGdef(cut(odd, 'a\u0301').font)!.glyphClasses).toEqual(new Map());
    const damaged = fontOf('truetype', sans.tables().set('GDEF', words(1, 0, 12, 0, 0, 0, 9)));
    expect(messages(cut(damaged, 'a').changes)).toEqual([
      expect.stringMatching(/GDEF is damaged \(at byte 12: format 9/),
    ]);
  });

  test('a font of bitmaps is refused, one that has some beside its outlines is not', () => {
    const tables = sans.tables().set('EBDT', new Uint8Array(8));
    expect(cut(fontOf('truetype', tables), 'a').dropped).toEqual([expect.stringMatching(/^EBDT: bitmaps/)]);
    tables.set('glyf', new Uint8Array()).set('loca', new Uint8Array(sans.bytesOf('loca').length));
    expect(() => cut(fontOf('truetype', tables), 'a')).toThrow('its glyphs are bitmaps (EBDT)');
  });

  test('fonts that cannot be cut down yet say so', () => {
    const colours = fontOf('truetype', sans.tables().set('COLR', new Uint8Array(14)));
    expect(() => cut(colours, 'a')).toThrow(
      /colours \(COLR\), which cannot be cut down yet; leave it out of the call/,
    );
  });
});
