import { describe, expect, test } from '@jest/globals';
import { openFont } from '#src/core/containers/index.js';
import { joinFonts } from '#src/core/join/index.js';
import { fontOf, type Font } from '#src/core/sfnt/font.js';
import { readVerticalOrigins, writeVerticalOrigins } from '#src/core/subset/metrics.js';
import { subsetFont } from '#src/core/subset/index.js';
import { cmap, head, hhea, hmtx, maxp } from '#src/core/tables/index.js';
import { CodePointSet } from '#src/core/text/code-point-set.js';
import { mappedCharacters } from '#src/core/text/mapped-characters.js';
import { parseUnicodeRanges } from '#src/core/text/parse-ranges.js';
import { readSample } from '../../../test-support/paths.js';

const regular = openFont(readSample('FerrywakeSans-Regular.ttf')).font;
const variable = openFont(readSample('FerrywakeSans-Variable.ttf')).font;

const slab = openFont(readSample('LampbuoySlab-Bold.otf')).font;

const cut = (font: Font, ranges: string) => ({
  font: subsetFont(font, { characters: parseUnicodeRanges(ranges), features: 'all' }).font,
  ranges: parseUnicodeRanges(ranges),
});
const withTable = ({ font, ranges }: ReturnType<typeof cut>, tag: string, bytes: Uint8Array) => ({
  font: fontOf(font.flavour, new Map([...font.tables(), [tag, bytes]])),
  ranges,
});
const latin = 'U+20-7E';
const greek = 'U+370-3FF';
const advance = (font: Font, character: number) =>
  hmtx.advanceOf(font.table(hmtx), cmap.glyphIdOf(font.table(cmap), character));

describe('cuts of a font are joined', () => {
  test.each([
    ['static', regular],
    ['variable', variable],
    ['with CFF outlines', slab],
  ])('%s: characters and advances as in the cuts, no glyph twice that nothing needs', (_, font) => {
    const parts = [cut(font, latin), cut(font, 'U+A0-24F'), cut(font, greek)];
    const joined = joinFonts(parts);
    if ('hindrance' in joined) throw new Error(joined.hindrance);
    const wanted = new CodePointSet();
    for (const part of parts)
      mappedCharacters(part.font).forEach((character) => {
        if (part.ranges.has(character)) wanted.add(character);
      });
    expect(mappedCharacters(joined.font).codePoints()).toEqual(wanted.codePoints());
    wanted.forEach((character) =>
      expect([character, advance(joined.font, character)]).toEqual([character, advance(font, character)]),
    );
    const glyphs = (one: Font) => one.table(maxp).numGlyphs;
    expect(glyphs(joined.font)).toBeLessThan(parts.reduce((sum, part) => sum + glyphs(part.font), 0));
    const whole = subsetFont(font, { characters: wanted, features: 'all' }).font;
    expect(glyphs(joined.font)).toBeLessThan(glyphs(whole) * 1.1);
    // What comes of it can be joined again, and cut.
    expect(joinFonts([{ font: joined.font }, cut(font, greek)])).toHaveProperty('font');
  });

  test('a character that several cuts have is drawn by the one glyph, and kerned once', () => {
    const parts = [cut(regular, latin), cut(regular, 'U+41-5A, U+100-17F')];
    const joined = joinFonts(parts);
    if ('hindrance' in joined) throw new Error(joined.hindrance);
    const pairs = (one: Font) => one.bytesOf('GPOS').length;
    expect(pairs(joined.font)).toBeLessThan(pairs(parts[0].font) + pairs(parts[1].font));
  });

  test('where vertical text starts, of each cut its own', () => {
    const parts = [latin, greek].map((ranges, i) => {
      const part = cut(slab, ranges);
      const own = new Map([[cmap.glyphIdOf(part.font.table(cmap), [0x41, 0x391][i]), 900 + i]]);
      return withTable(part, 'VORG', writeVerticalOrigins({ version: 0x00010000, standard: 700 + i, own }));
    });
    const joined = joinFonts(parts);
    if ('hindrance' in joined) throw new Error(joined.hindrance);
    const { standard, own } = readVerticalOrigins(joined.font);
    const origin = (character: number) =>
      own.get(cmap.glyphIdOf(joined.font.table(cmap), character)) ?? standard;
    expect([0x41, 0x42, 0x391, 0x392].map(origin)).toEqual([900, 700, 901, 701]);
  });

  const [one, other] = [cut(regular, latin), cut(regular, greek)];
  const changedHead = head.serialise({ ...other.font.table(head), unitsPerEm: 2048 });
  const changedHhea = hhea.serialise({ ...other.font.table(hhea), ascender: 12 });
  const bold = openFont(readSample('FerrywakeSans-Bold.ttf')).font;
  const widerGlyphs = hmtx.serialise({
    ...one.font.table(hmtx),
    advanceWidth: one.font.table(hmtx).advanceWidth.map((width) => width + 1),
  });
  test.each([
    ['of another size', [one, withTable(other, 'head', changedHead)], 'their metrics differ'],
    ['with other lines', [one, withTable(other, 'hhea', changedHhea)], 'their metrics differ'],
    ['of another weight', [one, cut(bold, greek)], 'their metrics differ'],
    ['with axes, and without', [one, cut(variable, greek)], /their axes differ|their metrics differ/],
    [
      'with other instructions',
      [one, withTable(other, 'fpgm', new Uint8Array(2))],
      'their instructions differ',
    ],
    [
      'that draw a letter differently',
      [one, withTable(one, 'hmtx', widerGlyphs)],
      'they draw U+0020 differently',
    ],
    ['with CFF outlines, and without', [cut(slab, latin), other], 'their outlines are of different kinds'],
  ])('not files %s', (_, parts, words) => {
    const joined = joinFonts(parts);
    expect('hindrance' in joined && joined.hindrance).toEqual(
      typeof words === 'string' ? words : expect.stringMatching(words),
    );
  });
});
