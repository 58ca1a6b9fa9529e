// Adobe Technical Notes 5176 (Compact Font Format) and 5177 (Type 2 Charstrings)

import { Writer } from '#src/core/bytes/writer.js';
import { writeInteger } from '#src/core/outlines/cff-data.js';
import { startsOf, type Contour } from '../geometry/contour.js';

export interface CffGlyph {
  name: string;
  advance: number;
  /** Rounded to font units, outer contours counter-clockwise. */
  contours: Contour[];
}

/** A dict operand of five bytes, so that an offset can be patched in. */
function offsetOperand(writer: Writer, value: number): void {
  writer.uint8(29).int32(value);
}

const operators = {
  rlineto: 5,
  hlineto: 6,
  vlineto: 7,
  rrcurveto: 8,
  endchar: 14,
  rmoveto: 21,
  vhcurveto: 30,
  hvcurveto: 31,
};

function charstring(glyph: CffGlyph, nominalWidth: number): Uint8Array {
  const writer = new Writer(128);
  writeInteger(writer, glyph.advance - nominalWidth);
  let x = 0;
  let y = 0;
  for (const contour of glyph.contours) {
    writeInteger(writer, contour.start.x - x);
    writeInteger(writer, contour.start.y - y);
    writer.uint8(operators.rmoveto);
    const starts = startsOf(contour);
    contour.segments.forEach((segment, i) => {
      const from = starts[i];
      const isClosing = i === contour.segments.length - 1 && segment.kind === 'line';
      if (isClosing) return; // a charstring closes its contours itself
      if (segment.kind === 'line') drawLine(writer, segment.to.x - from.x, segment.to.y - from.y);
      else {
        drawCurve(writer, [
          segment.c1.x - from.x,
          segment.c1.y - from.y,
          segment.c2.x - segment.c1.x,
          segment.c2.y - segment.c1.y,
          segment.to.x - segment.c2.x,
          segment.to.y - segment.c2.y,
        ]);
      }
    });
    const last = contour.segments[contour.segments.length - 1];
    const end = last.kind === 'line' ? starts[starts.length - 1] : contour.start;
    x = end.x;
    y = end.y;
  }
  return writer.uint8(operators.endchar).bytes().slice();
}

function drawLine(writer: Writer, dx: number, dy: number): void {
  if (dy === 0) {
    writeInteger(writer, dx);
    writer.uint8(operators.hlineto);
  } else if (dx === 0) {
    writeInteger(writer, dy);
    writer.uint8(operators.vlineto);
  } else {
    writeInteger(writer, dx);
    writeInteger(writer, dy);
    writer.uint8(operators.rlineto);
  }
}

function drawCurve(writer: Writer, deltas: readonly number[]): void {
  const [dx1, dy1, dx2, dy2, dx3, dy3] = deltas;
  if (dy1 === 0 && dx3 === 0) {
    for (const value of [dx1, dx2, dy2, dy3]) writeInteger(writer, value);
    writer.uint8(operators.hvcurveto);
  } else if (dx1 === 0 && dy3 === 0) {
    for (const value of [dy1, dx2, dy2, dx3]) writeInteger(writer, value);
    writer.uint8(operators.vhcurveto);
  } else {
    for (const value of deltas) writeInteger(writer, value);
    writer.uint8(operators.rrcurveto);
  }
}

function index(items: readonly Uint8Array[]): Uint8Array {
  const writer = new Writer(256).uint16(items.length);
  if (items.length === 0) return writer.bytes().slice();
  writer.uint8(4).uint32(1);
  let offset = 1;
  for (const item of items) writer.uint32((offset += item.length));
  for (const item of items) writer.write(item);
  return writer.bytes().slice();
}

const latin1 = (text: string) => Uint8Array.from(text, (character) => character.charCodeAt(0));
const standardStrings = 391;

export interface CffNames {
  postScriptName: string;
  family: string;
  fullName: string;
  weight: string;
  notice: string;
}

/** A CFF table with all glyphs as charstrings and no subroutines. */
export function cff(glyphs: readonly CffGlyph[], names: CffNames, bounds: readonly number[]): Uint8Array {
  const nominalWidth = 560;
  const strings = [
    names.notice,
    names.fullName,
    names.family,
    names.weight,
    ...glyphs.slice(1).map(({ name }) => name),
  ];
  const charStrings = index(glyphs.map((glyph) => charstring(glyph, nominalWidth)));
  const charset = new Writer(1024).uint8(0);
  glyphs.slice(1).forEach((_, i) => charset.uint16(standardStrings + 4 + i));

  const privateDict = new Writer(16);
  writeInteger(privateDict, 0);
  privateDict.uint8(20); // defaultWidthX: no glyph leaves its width out
  writeInteger(privateDict, nominalWidth);
  privateDict.uint8(21); // nominalWidthX

  const topDict = (charsetAt: number, charStringsAt: number, privateAt: number) => {
    const writer = new Writer(64);
    const string = (sid: number, operator: number) => {
      writeInteger(writer, sid);
      writer.uint8(operator);
    };
    string(standardStrings, 1);
    string(standardStrings + 1, 2);
    string(standardStrings + 2, 3);
    string(standardStrings + 3, 4);
    for (const value of bounds) writeInteger(writer, value);
    writer.uint8(5);
    offsetOperand(writer, charsetAt);
    writer.uint8(15);
    offsetOperand(writer, charStringsAt);
    writer.uint8(17);
    offsetOperand(writer, privateDict.length);
    offsetOperand(writer, privateAt);
    return writer.uint8(18).bytes().slice();
  };
  const before = [Uint8Array.of(1, 0, 4, 4), index([latin1(names.postScriptName)])];
  const after = [index(strings.map(latin1)), index([])];
  const size = (parts: readonly Uint8Array[]) => parts.reduce((sum, part) => sum + part.length, 0);
  const charsetAt = size(before) + index([topDict(0, 0, 0)]).length + size(after);
  const charStringsAt = charsetAt + charset.length;
  const top = index([topDict(charsetAt, charStringsAt, charStringsAt + charStrings.length)]);
  const writer = new Writer(65536);
  for (const part of [...before, top, ...after, charset.bytes(), charStrings, privateDict.bytes()])
    writer.write(part);
  return writer.bytes().slice();
}
