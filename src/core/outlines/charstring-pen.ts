// Adobe Technical Note 5177, section 4: Path Construction Operators

import type { OutlineSink } from './outline.js';

type Stack = Float64Array;

/** Draws what path operators ask for; positions are relative to where it stands. */
export class Pen {
  private x = 0;
  private y = 0;
  private open = false;

  constructor(private readonly sink: OutlineSink) {}

  finish(): void {
    if (this.open) this.sink.closePath();
    this.open = false;
  }

  moveBy(dx: number, dy: number): void {
    this.finish();
    this.x += dx;
    this.y += dy;
    this.sink.moveTo(this.x, this.y);
    this.open = true;
  }

  private lineBy(dx: number, dy: number): void {
    if (!this.open) this.moveBy(0, 0);
    this.x += dx;
    this.y += dy;
    this.sink.lineTo(this.x, this.y);
  }

  private curveBy(dx1: number, dy1: number, dx2: number, dy2: number, dx3: number, dy3: number): void {
    if (!this.open) this.moveBy(0, 0);
    const c1x = this.x + dx1;
    const c1y = this.y + dy1;
    const c2x = c1x + dx2;
    const c2y = c1y + dy2;
    this.x = c2x + dx3;
    this.y = c2y + dy3;
    this.sink.bezierCurveTo(c1x, c1y, c2x, c2y, this.x, this.y);
  }

  /** @returns false for an operator that draws nothing */
  draw(code: number, stack: Stack, height: number): boolean {
    switch (code) {
      case 5: // rlineto
        this.lines(stack, 0, height);
        return true;
      case 6: // hlineto
      case 7: // vlineto
        for (let i = 0, horizontal = code === 6; i < height; i++, horizontal = !horizontal) {
          this.lineBy(horizontal ? stack[i] : 0, horizontal ? 0 : stack[i]);
        }
        return true;
      case 8: // rrcurveto
        this.curves(stack, 0, height);
        return true;
      case 24: // rcurveline
        this.curves(stack, 0, height - 2);
        this.lines(stack, height - 2, height);
        return true;
      case 25: // rlinecurve
        this.lines(stack, 0, height - 6);
        this.curves(stack, height - 6, height);
        return true;
      case 26: // vvcurveto
        for (let i = height & 1, dx = i ? stack[0] : 0; i + 4 <= height; i += 4, dx = 0) {
          this.curveBy(dx, stack[i], stack[i + 1], stack[i + 2], 0, stack[i + 3]);
        }
        return true;
      case 27: // hhcurveto
        for (let i = height & 1, dy = i ? stack[0] : 0; i + 4 <= height; i += 4, dy = 0) {
          this.curveBy(stack[i], dy, stack[i + 1], stack[i + 2], stack[i + 3], 0);
        }
        return true;
      case 30: // vhcurveto
      case 31: // hvcurveto
        this.alternatingCurves(stack, height, code === 31);
        return true;
      default:
        return false;
    }
  }

  private lines(stack: Stack, from: number, to: number): void {
    for (let i = Math.max(from, 0); i + 2 <= to; i += 2) this.lineBy(stack[i], stack[i + 1]);
  }

  curves(stack: Stack, from: number, to: number): void {
    for (let i = Math.max(from, 0); i + 6 <= to; i += 6) {
      this.curveBy(stack[i], stack[i + 1], stack[i + 2], stack[i + 3], stack[i + 4], stack[i + 5]);
    }
  }

  /** Starts and ends horizontal and vertical in turn; the last curve may have a fifth number. */
  private alternatingCurves(stack: Stack, height: number, startsHorizontal: boolean): void {
    for (let i = 0, horizontal = startsHorizontal; i + 4 <= height; i += 4, horizontal = !horizontal) {
      const [first, dx, dy, second] = [stack[i], stack[i + 1], stack[i + 2], stack[i + 3]];
      const last = height - i === 5 ? stack[i + 4] : 0;
      if (horizontal) this.curveBy(first, 0, dx, dy, last, second);
      else this.curveBy(0, first, dx, dy, second, last);
    }
  }

  hflex(stack: Stack): void {
    const [dx1, dx2, dy2, dx3, dx4, dx5, dx6] = stack;
    this.curveBy(dx1, 0, dx2, dy2, dx3, 0);
    this.curveBy(dx4, 0, dx5, -dy2, dx6, 0);
  }

  hflex1(stack: Stack): void {
    const [dx1, dy1, dx2, dy2, dx3, dx4, dx5, dy5, dx6] = stack;
    this.curveBy(dx1, dy1, dx2, dy2, dx3, 0);
    this.curveBy(dx4, 0, dx5, dy5, dx6, -(dy1 + dy2 + dy5));
  }

  flex1(stack: Stack): void {
    const [dx1, dy1, dx2, dy2, dx3, dy3, dx4, dy4, dx5, dy5, d6] = stack;
    const dx = dx1 + dx2 + dx3 + dx4 + dx5;
    const dy = dy1 + dy2 + dy3 + dy4 + dy5;
    const across = Math.abs(dx) > Math.abs(dy);
    this.curveBy(dx1, dy1, dx2, dy2, dx3, dy3);
    this.curveBy(dx4, dy4, dx5, dy5, across ? d6 : -dx, across ? -dy : d6);
  }
}
