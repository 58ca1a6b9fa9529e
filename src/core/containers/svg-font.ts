// SVG 1.1, chapter 20: Fonts

import { outlinesOf, svgPathData } from '../outlines/index.js';
import type { Font } from '../sfnt/font.js';
import * as cmap from '../tables/cmap.js';
import * as head from '../tables/head.js';
import * as hhea from '../tables/hhea.js';
import * as hmtx from '../tables/hmtx.js';
import * as name from '../tables/name.js';
import * as os2 from '../tables/os2.js';
import * as post from '../tables/post.js';
import { DenseGlyphError } from '../../errors.js';
import { maximumFontSize, type WrittenFont } from './formats.js';

/** What a URL names behind the `#`: the font inside the SVG document. */
export const svgFontId = 'face';

/**
 * Writes a font as an SVG font: a glyph for each character, and no more, as the format has no place for features.
 *
 * @throws DenseGlyphError `table-missing`, `table-damaged`
 */
export function writeSvgFont(font: Font): WrittenFont {
  const outlines = outlinesOf(font);
  const metrics = font.table(hmtx);
  const lines: string[] = [];
  const most = mostBytes(font);
  let size = 0;
  const advance = (glyphId: number) => hmtx.advanceOf(metrics, glyphId);
  const decimals = outlines.kind === 'TrueType' ? 1 : 0; // points between two controls lie on halves
  const drawn = (glyphId: number) => {
    const data = svgPathData(outlines.outlineOf(glyphId), decimals);
    return data ? ` d="${data}"` : '';
  };
  const usual = advance(0);
  for (const [codePoint, glyphId] of cmap.mappingsOf(font.table(cmap))) {
    if (glyphId === 0 || glyphId >= outlines.glyphCount || !isXmlCharacter(codePoint)) continue;
    const width = advance(glyphId);
    const ownWidth = width === usual ? '' : ` horiz-adv-x="${width}"`;
    const line = `<glyph unicode="${reference(codePoint)}"${ownWidth}${drawn(glyphId)}/>`;
    size += line.length;
    if (size > most) {
      const reason = `the SVG font would take over ${most} bytes, as its outlines are used so often`;
      throw new DenseGlyphError('conversion-impossible', reason);
    }
    lines.push(line);
  }
  const text = [
    '<?xml version="1.0" encoding="UTF-8"?>',
    '<svg xmlns="http://www.w3.org/2000/svg" version="1.1"><defs>',
    `<font id="${svgFontId}" horiz-adv-x="${usual}">`,
    `<font-face ${faceAttributes(font)}/>`,
    `<missing-glyph${drawn(0)}/>`,
    ...lines,
    '</font></defs></svg>\n',
  ].join('\n');
  return { bytes: new TextEncoder().encode(text), dropped: leftOut(font) };
}

/** Paths are some four times as long as outlines; glyphs of glyphs may stand for millions of bytes. */
const timesLonger = 48;
const leastBound = 1024 * 1024;

function mostBytes(font: Font): number {
  const outlines = ['glyf', 'CFF ', 'CFF2'].filter((tag) => font.has(tag));
  const bytes = outlines.reduce((sum, tag) => sum + font.bytesOf(tag).length, 0);
  return Math.min(maximumFontSize, leastBound + bytes * timesLonger);
}

function faceAttributes(font: Font): string {
  const { unitsPerEm, xMin, yMin, xMax, yMax } = font.table(head);
  const { ascender, descender } = font.table(hhea);
  const names = font.optional(name);
  const metrics = font.optional(os2);
  const lines = font.optional(post);
  const attributes: [string, string | number | undefined][] = [
    ['font-family', (names && name.nameOf(names, name.nameID.family)) ?? svgFontId],
    ['units-per-em', unitsPerEm],
    ['panose-1', metrics && [...metrics.panose].join(' ')],
    ['ascent', ascender],
    ['descent', descender],
    ['x-height', metrics?.sxHeight],
    ['cap-height', metrics?.sCapHeight],
    ['bbox', `${xMin} ${yMin} ${xMax} ${yMax}`],
    ['underline-thickness', lines?.underlineThickness],
    ['underline-position', lines?.underlinePosition],
  ];
  return attributes
    .filter(([, value]) => value !== undefined)
    .map(([key, value]) => `${key}="${escaped(String(value))}"`)
    .join(' ');
}

/** XML 1.0, section 2.2. */
function isXmlCharacter(codePoint: number): boolean {
  if (codePoint < 0x20) return codePoint === 9 || codePoint === 10 || codePoint === 13;
  return !(codePoint >= 0xd800 && codePoint <= 0xdfff) && (codePoint & 0xfffe) !== 0xfffe;
}

/** Letters and digits as they are, everything else by number, so that combining marks and spaces are safe. */
function reference(codePoint: number): string {
  const plain = /^[0-9A-Za-z]$/.test(String.fromCodePoint(codePoint));
  return plain ? String.fromCodePoint(codePoint) : `&#x${codePoint.toString(16)};`;
}

const entities: Record<string, string> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' };
const escaped = (text: string) =>
  text.replace(/[&<>"]/g, (c) => entities[c]).replace(/[^\P{Cc}\t\n\r]/gu, '');

const notCarried: readonly (readonly [words: string, tags: readonly string[]])[] = [
  ['features and kerning', ['GSUB', 'GPOS', 'kern', 'morx', 'kerx', 'Silf']],
  ['variations', ['fvar']],
  ['colours', ['COLR', 'SVG ', 'sbix', 'CBDT']],
  ['instructions', ['fpgm', 'prep']],
];

function leftOut(font: Font): string[] {
  const words = notCarried.filter(([, tags]) => tags.some((tag) => font.has(tag))).map(([what]) => what);
  return [...words, 'glyphs without a character'];
}
