// Adobe Technical Note 5177, Type 2 Charstring Format; OpenType: CFF2 CharString Format

import { DenseGlyphError } from '../../errors.js';
import type { CffIndex } from './cff-data.js';
import { binaryOperators, unaryOperators } from './charstring-arithmetic.js';
import { Pen } from './charstring-pen.js';
import { moved, type OutlineSink } from './outline.js';

/** What a charstring needs of the font around it. */
export interface CharstringContext {
  table: string;
  /** Where the table starts in the memory that charstrings are views of, in bytes. */
  tableStart: number;
  globalSubrs: CffIndex;
  localSubrs: CffIndex | undefined;
  /** CFF2: how many regions the variation data of an index has; undefined for CFF. */
  regionCountOf?: (vsindex: number) => number;
  /** What all charstrings of the font may run together. */
  budget: { operations: number };
  /** The variation data index that holds where the charstring names none. */
  vsindex: number;
  /** Is told each number and operator that the charstring comes to, for those who write it anew. */
  observer?: CharstringObserver;
  /** CFF: draws the glyph of a code in the standard encoding, for accented letters put together by endchar. */
  drawStandard?: (code: number, sink: OutlineSink) => void;
}

/** Follows a charstring through its subroutines. Places are bytes in `code`, the charstring or a subroutine. */
export interface CharstringObserver {
  number(code: Uint8Array, start: number, end: number): void;
  /**
   * @param operator two-byte operators as 1200 and the second byte
   * @param height numbers on the stack
   */
  operator(operator: number, code: Uint8Array, start: number, end: number, height: number): void;
  /** A subroutine that is called next, local or global. @param index without the bias */
  call(kind: 'local' | 'global', index: number, code: Uint8Array, start: number): void;
}

/** What a charstring says beside the outline. */
export interface CharstringResult {
  /** CFF: the difference to nominalWidthX, in font units; undefined where the default width holds. */
  width: number | undefined;
  /** Stem hints that it declares. */
  stems: number;
}

/** Appendix B: ten levels of subroutines. */
const maximumDepth = 10;
/** The stack of CFF2; that of CFF is shorter, but real fonts go past it. */
const maximumStack = 513;
/** Subroutines that call each other could multiply; no glyph of a real font needs a hundredth of it. */
const maximumOperations = 1 << 20;

/** Section 16: what is added to the number of a subroutine. @param count subroutines that there are */
export const subroutineBias = (count: number): number => (count < 1240 ? 107 : count < 33900 ? 1131 : 32768);

/**
 * Runs a charstring and draws what it draws. A variable charstring draws its default instance.
 *
 * @throws DenseGlyphError `table-damaged`
 */
export function runCharstring(
  charstring: Uint8Array,
  context: CharstringContext,
  sink: OutlineSink,
): CharstringResult {
  const machine = new Machine(context, sink);
  machine.run(charstring, 0);
  machine.finish();
  return { width: machine.width, stems: machine.stems };
}

class Machine {
  width: number | undefined;
  stems = 0;
  private readonly stack = new Float64Array(maximumStack);
  private height = 0;
  private readonly transient = new Float64Array(32);
  private readonly pen: Pen;
  private ended = false;
  private widthRead: boolean;
  private operations = 0;
  /** Where the current operator or number stands in memory. */
  private at = 0;
  private vsindex: number;

  constructor(
    private readonly context: CharstringContext,
    private readonly sink: OutlineSink,
  ) {
    this.pen = new Pen(sink);
    this.vsindex = context.vsindex;
    this.widthRead = context.regionCountOf !== undefined; // CFF2 has no widths
  }

  private damaged(reason: string): DenseGlyphError {
    const { table, tableStart } = this.context;
    return new DenseGlyphError('table-damaged', `a charstring ${reason}`, {
      table,
      offset: this.at - tableStart,
    });
  }

  private push(value: number): void {
    if (this.height >= maximumStack) throw this.damaged(`puts over ${maximumStack} numbers on the stack`);
    this.stack[this.height++] = value;
  }

  private pop(): number {
    if (this.height === 0) throw this.damaged('takes a number from an empty stack');
    return this.stack[--this.height];
  }

  /** The first operator may have the width before its operands. */
  private takeWidth(hasExtra: boolean): void {
    if (this.widthRead) return;
    this.widthRead = true;
    if (!hasExtra) return;
    this.width = this.stack[0];
    this.stack.copyWithin(0, 1, this.height);
    this.height--;
  }

  finish(): void {
    this.pen.finish();
  }

  run(code: Uint8Array, depth: number): void {
    if (depth > maximumDepth) throw this.damaged(`nests subroutines more than ${maximumDepth} deep`);
    const { observer } = this.context;
    for (let at = 0; at < code.length && !this.ended;) {
      this.at = code.byteOffset + at;
      if (++this.operations > maximumOperations || --this.context.budget.operations < 0)
        throw this.damaged('does not come to an end');
      const start = at;
      const byte = code[at++];
      const { height } = this;
      if (byte >= 32 || byte === 28) {
        at = this.pushNumber(code, at, byte);
        observer?.number(code, start, at);
      } else if (byte === 19 || byte === 20) {
        this.countStems();
        at += (this.stems + 7) >> 3; // hintmask and cntrmask: one bit a stem
        observer?.operator(byte, code, start, at, height);
      } else if (byte === 11) {
        return;
      } else if (byte === 10 || byte === 29) {
        this.run(this.subroutine(byte === 10 ? 'local' : 'global', code, start), depth + 1);
      } else if (byte === 12) {
        observer?.operator(1200 + code[at], code, start, at + 1, height);
        this.escaped(code[at++]);
      } else {
        observer?.operator(byte, code, start, at, height);
        this.operate(byte);
      }
    }
  }

  private pushNumber(code: Uint8Array, at: number, byte: number): number {
    if (byte <= 246 && byte !== 28) {
      this.push(byte - 139);
      return at;
    }
    const size = byte === 255 ? 4 : byte === 28 ? 2 : 1;
    if (at + size > code.length) throw this.damaged('ends inside a number');
    if (byte === 28) this.push(((code[at] << 24) | (code[at + 1] << 16)) >> 16);
    else if (byte <= 250) this.push((byte - 247) * 256 + code[at] + 108);
    else if (byte <= 254) this.push(-(byte - 251) * 256 - code[at] - 108);
    else this.push(((code[at] << 24) | (code[at + 1] << 16) | (code[at + 2] << 8) | code[at + 3]) / 65536);
    return at + size;
  }

  private subroutine(kind: 'local' | 'global', code: Uint8Array, start: number): Uint8Array {
    const { localSubrs, globalSubrs, observer } = this.context;
    const subrs = kind === 'local' ? localSubrs : globalSubrs;
    const number = this.pop();
    if (!subrs) throw this.damaged('calls a subroutine of a font without any');
    const index = number + subroutineBias(subrs.count);
    observer?.call(kind, index, code, start);
    return subrs.at(index);
  }

  private countStems(): void {
    this.takeWidth((this.height & 1) === 1);
    this.stems += this.height >> 1;
    this.height = 0;
  }

  private operate(code: number): void {
    switch (code) {
      case 1: // hstem
      case 3: // vstem
      case 18: // hstemhm
      case 23: // vstemhm
        return this.countStems();
      case 4: // vmoveto
        this.takeWidth(this.height > 1);
        return this.done(() => this.pen.moveBy(0, this.stack[0]), 1);
      case 21: // rmoveto
        this.takeWidth(this.height > 2);
        return this.done(() => this.pen.moveBy(this.stack[0], this.stack[1]), 2);
      case 22: // hmoveto
        this.takeWidth(this.height > 1);
        return this.done(() => this.pen.moveBy(this.stack[0], 0), 1);
      case 14: // endchar
        return this.endchar();
      case 15: // vsindex
        this.vsindex = this.pop();
        return;
      case 16: // blend
        return this.blend();
      default:
        return this.done(() => {
          if (!this.pen.draw(code, this.stack, this.height))
            throw this.damaged(`has an operator ${code}, which is not known`);
        });
    }
  }

  /** Runs an operator that clears the stack. */
  private done(run: () => void, needed = 0): void {
    if (this.height < needed) throw this.damaged(`gives ${this.height} of ${needed} numbers to an operator`);
    run();
    this.height = 0;
  }

  private endchar(): void {
    const accented = this.height >= 4 && this.context.drawStandard !== undefined;
    this.takeWidth(this.height === 1 || this.height === 5);
    if (accented) {
      const [adx, ady, base, accent] = this.stack;
      this.finish();
      this.context.drawStandard!(base, this.sink);
      this.context.drawStandard!(accent, moved(this.sink, adx, ady));
    }
    this.height = 0;
    this.ended = true;
  }

  /** Leaves the values of the default instance: the deltas are multiplied by zero there. */
  private blend(): void {
    const count = this.pop();
    const regions = this.context.regionCountOf?.(this.vsindex);
    if (regions === undefined) throw this.damaged('blends in a font that does not vary');
    const deltas = count * regions;
    if (!(count >= 0 && count + deltas <= this.height))
      throw this.damaged('blends more than is on the stack');
    this.height -= deltas;
  }

  private escaped(code: number): void {
    switch (code) {
      case 34: // hflex
        return this.done(() => this.pen.hflex(this.stack), 7);
      case 35: // flex
        return this.done(() => this.pen.curves(this.stack, 0, 12), 12);
      case 36: // hflex1
        return this.done(() => this.pen.hflex1(this.stack), 9);
      case 37: // flex1
        return this.done(() => this.pen.flex1(this.stack), 11);
      default:
        return this.calculate(code);
    }
  }

  /** Arithmetic, storage and conditions; old fonts use them, new ones hardly ever. */
  private calculate(code: number): void {
    const binary = binaryOperators[code];
    if (binary) {
      const b = this.pop();
      return this.push(binary(this.pop(), b));
    }
    const unary = unaryOperators[code];
    if (unary) return this.push(unary(this.pop()));
    switch (code) {
      case 18: // drop
        this.pop();
        return;
      case 20: {
        // put
        const slot = this.pop();
        this.transient[slot & 31] = this.pop();
        return;
      }
      case 21: // get
        return this.push(this.transient[this.pop() & 31]);
      case 22: {
        // ifelse
        const [v2, v1, s2, s1] = [this.pop(), this.pop(), this.pop(), this.pop()];
        return this.push(v1 <= v2 ? s1 : s2);
      }
      case 23: // random: any number will do, and the same each time
        return this.push(0.5);
      case 27: {
        // dup
        const value = this.pop();
        this.push(value);
        return this.push(value);
      }
      case 28: {
        // exch
        const [b, a] = [this.pop(), this.pop()];
        this.push(b);
        return this.push(a);
      }
      case 29: {
        // index
        const i = Math.max(this.pop(), 0);
        if (!(i < this.height)) throw this.damaged('looks below the stack');
        return this.push(this.stack[this.height - 1 - Math.trunc(i)]);
      }
      case 30:
        return this.roll();
      default:
        throw this.damaged(`has an operator 12 ${code}, which is not known`);
    }
  }

  private roll(): void {
    const shift = Math.trunc(this.pop());
    const count = Math.trunc(this.pop());
    if (!(count >= 0 && count <= this.height)) throw this.damaged('rolls more than is on the stack');
    if (count === 0) return;
    const top = this.stack.subarray(this.height - count, this.height);
    const turned = top.map((_, i) => top[(((i - shift) % count) + count) % count]);
    top.set(turned);
  }
}
