// Adobe Technical Note 5177: charstrings without what goes

import { Writer } from '../bytes/writer.js';
import { drawCff, type Cff } from '../outlines/cff.js';
import { subroutineBias, type CharstringObserver } from '../outlines/charstring.js';
import { writeInteger } from '../outlines/cff-data.js';
import type { OutlineSink } from '../outlines/outline.js';
import type { GlyphMap } from '../layout/common/glyph-map.js';

const nowhere: OutlineSink = {
  moveTo: () => undefined,
  lineTo: () => undefined,
  quadraticCurveTo: () => undefined,
  bezierCurveTo: () => undefined,
  closePath: () => undefined,
};

const stemOperators: ReadonlySet<number> = new Set([1, 3, 18, 23]);
const maskOperators: ReadonlySet<number> = new Set([19, 20]);
const endchar = 14;

/** A stretch of a charstring or a subroutine. */
interface Piece {
  code: Uint8Array;
  start: number;
  end: number;
  isNumber: boolean;
}

/**
 * Charstrings with the subroutines that they call put in their place. A charstring that computes a number that matters,
 * instead of writing it, is drawn anew and loses its hints; hardly any font has one.
 *
 * @param hinted whether stem hints stay
 */
export function flatCharstrings(cff: Cff, map: GlyphMap, hinted: boolean): Uint8Array[] {
  return map.oldIds.map((oldId) => {
    const flattener = new Flattener(hinted);
    drawCff(cff, oldId, nowhere, flattener);
    return flattener.failed || flattener.accented ? redrawn(cff, oldId) : flattener.bytes();
  });
}

class Flattener implements CharstringObserver {
  /** A number isn't where it should be. */
  failed = false;
  /** Put together of two letters by endchar, which finds them by names that go. */
  accented = false;
  private readonly pieces: Piece[] = [];
  /** Where the numbers for the next operator start. */
  private cleared = 0;
  private widthRead = false;
  private ended = false;

  constructor(private readonly hinted: boolean) {}

  number(code: Uint8Array, start: number, end: number): void {
    this.pieces.push({ code, start, end, isNumber: true });
  }

  operator(operator: number, code: Uint8Array, start: number, end: number, height: number): void {
    const isStem = stemOperators.has(operator);
    const isMask = maskOperators.has(operator);
    if ((isStem || isMask) && !this.hinted) this.dropStems(height);
    else this.pieces.push({ code, start, end, isNumber: false });
    if (operator < 1200 || (operator >= 1234 && operator <= 1237)) {
      this.cleared = this.pieces.length;
      this.widthRead = true;
    }
    if (operator !== endchar) return;
    this.ended = true;
    this.accented = height >= 4;
  }

  /** The numbers of a stem operator, but for the width, which the first operator may have. */
  private dropStems(height: number): void {
    const numbers = this.pieces.length - this.cleared;
    const hasWidth = !this.widthRead && (height & 1) === 1;
    if (numbers !== height || this.pieces.slice(this.cleared).some(({ isNumber }) => !isNumber))
      this.failed = true;
    this.pieces.length = this.cleared + (hasWidth ? 1 : 0);
  }

  call(): void {
    // The number of the subroutine, which has to be the last thing written.
    if (!this.pieces.pop()?.isNumber) this.failed = true;
  }

  bytes(): Uint8Array {
    const size = this.pieces.reduce((sum, { start, end }) => sum + end - start, 0);
    const writer = new Writer(size + 1);
    for (const { code, start, end } of this.pieces) writer.write(code.subarray(start, end));
    // Some fonts leave endchar out.
    if (!this.ended) writer.uint8(endchar);
    return writer.bytes();
  }
}

/** Charstrings that still call subroutines, and those that are called. */
export interface CalledSubroutines {
  charstrings: Uint8Array[];
  global: Uint8Array[];
  /** By font DICT, by their old numbers. */
  local: Map<number, Uint8Array[]>;
}

interface Call {
  kind: 'local' | 'global';
  index: number;
  /** Where the number stands. */
  start: number;
  end: number;
}

/** A charstring or a subroutine with the calls in it, by where they stand. */
interface Body {
  code: Uint8Array;
  calls: Map<number, Call>;
}

/**
 * Charstrings with the numbers of their subroutines as they are when all that aren't called are gone.
 *
 * @returns undefined where that can't be done: computed numbers, or a global subroutine that calls local ones of
 *   several font DICTs
 */
export function calledSubroutines(cff: Cff, map: GlyphMap): CalledSubroutines | undefined {
  const tracer = new Tracer(cff);
  const charstrings = map.oldIds.map((oldId) => {
    const body: Body = { code: cff.charStrings.at(oldId), calls: new Map() };
    tracer.start(cff.fontDictOf(oldId), body);
    drawCff(cff, oldId, nowhere, tracer);
    if (tracer.accented)
      return { body: { code: redrawn(cff, oldId), calls: new Map<number, Call>() }, fontDict: 0 };
    return { body, fontDict: cff.fontDictOf(oldId) };
  });
  if (tracer.failed) return undefined;
  const numbers = new Map<string, ReadonlyMap<number, number>>();
  const renumbered = (key: string, bodies: ReadonlyMap<number, Body> | undefined) =>
    numbers.set(key, new Map([...(bodies?.keys() ?? [])].sort((a, b) => a - b).map((old, i) => [old, i])));
  renumbered('global', tracer.global);
  for (const [fontDict, bodies] of tracer.local) renumbered(`${fontDict}`, bodies);
  const rewritten = (body: Body, fontDict: number) => rewrite(body, fontDict, numbers);
  const inOrder = (bodies: ReadonlyMap<number, Body>) =>
    [...bodies].sort(([a], [b]) => a - b).map(([, body]) => body);
  return {
    charstrings: charstrings.map(({ body, fontDict }) => rewritten(body, fontDict)),
    global: inOrder(tracer.global).map((body) => rewritten(body, tracer.fontDictOf(body))),
    local: new Map(
      [...tracer.local].map(([fontDict, bodies]) => [
        fontDict,
        inOrder(bodies).map((body) => rewritten(body, fontDict)),
      ]),
    ),
  };
}

class Tracer implements CharstringObserver {
  failed = false;
  /** As in `Flattener`, of the last charstring. */
  accented = false;
  readonly global = new Map<number, Body>();
  readonly local = new Map<number, Map<number, Body>>();
  /** The font DICT whose local subroutines a body calls. */
  private readonly owners = new Map<Body, number>();
  private readonly bodies = new Map<Uint8Array, Body>();
  private fontDict = 0;
  private last: { code: Uint8Array; start: number; end: number } | undefined;
  private next: Body | undefined;

  constructor(private readonly cff: Cff) {}

  start(fontDict: number, body: Body): void {
    this.accented = false;
    this.fontDict = fontDict;
    this.next = body;
    this.last = undefined;
  }

  fontDictOf(body: Body): number {
    return this.owners.get(body) ?? 0;
  }

  number(code: Uint8Array, start: number, end: number): void {
    this.bodyOf(code);
    this.last = { code, start, end };
  }

  operator(operator: number, code: Uint8Array, _start: number, _end: number, height: number): void {
    this.bodyOf(code);
    if (operator === endchar) this.accented = height >= 4;
    this.last = undefined;
  }

  call(kind: 'local' | 'global', index: number, code: Uint8Array, start: number): void {
    const body = this.bodyOf(code);
    const { last } = this;
    // The number has to stand right before the call, in the same charstring or subroutine.
    if (last?.code !== code || last.end !== start) this.failed = true;
    else body.calls.set(last.start, { kind, index, start: last.start, end: last.end });
    if (kind === 'local') {
      const owner = this.owners.get(body);
      if (owner !== undefined && owner !== this.fontDict) this.failed = true;
      this.owners.set(body, this.fontDict);
    }
    let group = this.global;
    if (kind === 'local') {
      group = this.local.get(this.fontDict) ?? new Map<number, Body>();
      this.local.set(this.fontDict, group);
    }
    const known = group.get(index);
    const { globalSubrs } = this.cff;
    const subrs = kind === 'global' ? globalSubrs : this.cff.privateAt(this.fontDict).subrs;
    this.next = known ?? { code: subrs!.at(index), calls: new Map() };
    if (!known) group.set(index, this.next);
    this.last = undefined;
  }

  /** The body that a stretch of bytes is of: the one that was entered last, where the bytes are new. */
  private bodyOf(code: Uint8Array): Body {
    let body = this.bodies.get(code);
    if (!body) {
      body = this.next ?? { code, calls: new Map() };
      this.bodies.set(code, body);
    }
    return body;
  }
}

function rewrite(
  { code, calls }: Body,
  fontDict: number,
  numbers: ReadonlyMap<string, ReadonlyMap<number, number>>,
): Uint8Array {
  if (calls.size === 0) return code;
  const writer = new Writer(code.length);
  let from = 0;
  for (const { kind, index, start, end } of [...calls.values()].sort((a, b) => a.start - b.start)) {
    const group = numbers.get(kind === 'global' ? 'global' : `${fontDict}`)!;
    writer.write(code.subarray(from, start));
    writeNumber(writer, group.get(index)! - subroutineBias(group.size));
    from = end;
  }
  return writer.write(code.subarray(from)).bytes();
}

const operators = { rlineto: 5, rrcurveto: 8, rmoveto: 21 } as const;

/** A glyph's contours as a charstring of their own, without hints. */
function redrawn(cff: Cff, glyphId: number): Uint8Array {
  const writer = new Writer(256);
  let [x, y] = [0, 0];
  let width: number | undefined;
  const draw = (operator: number, ...points: number[]) => {
    if (width !== undefined) writeNumber(writer, width);
    width = undefined;
    for (let i = 0; i < points.length; i += 2) {
      writeNumber(writer, points[i] - x);
      writeNumber(writer, points[i + 1] - y);
      [x, y] = [points[i], points[i + 1]];
    }
    writer.uint8(operator);
  };
  ({ width } = drawCff(cff, glyphId, nowhere));
  drawCff(cff, glyphId, {
    moveTo: (...point) => draw(operators.rmoveto, ...point),
    lineTo: (...point) => draw(operators.rlineto, ...point),
    bezierCurveTo: (...points) => draw(operators.rrcurveto, ...points),
    quadraticCurveTo: () => undefined,
    closePath: () => undefined,
  });
  if (width !== undefined) writeNumber(writer, width);
  return writer.uint8(endchar).bytes();
}

function writeNumber(writer: Writer, value: number): void {
  if (Number.isInteger(value)) writeInteger(writer, value);
  else writer.uint8(255).fixed(value);
}
