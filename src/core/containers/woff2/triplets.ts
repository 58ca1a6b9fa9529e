// WOFF File Format 2.0, section 5.2: triplet encoding of point coordinates

import type { Reader } from '../../bytes/reader.js';
import type { Writer } from '../../bytes/writer.js';

const offCurve = 0x80;

/** Writes one point: a flag into one stream, the rest of its deltas (font units) into the other. */
export function writeTriplet(flags: Writer, rest: Writer, onCurve: boolean, dx: number, dy: number): void {
  const x = Math.abs(dx);
  const y = Math.abs(dy);
  const curve = onCurve ? 0 : offCurve;
  const xSign = dx < 0 ? 0 : 1;
  const ySign = dy < 0 ? 0 : 1;
  const signs = xSign | (ySign << 1);
  if (dx === 0 && y < 1280) {
    flags.uint8(curve | (((y & 0xf00) >> 7) + ySign));
    rest.uint8(y & 0xff);
  } else if (dy === 0 && x < 1280) {
    flags.uint8(curve | (10 + ((x & 0xf00) >> 7) + xSign));
    rest.uint8(x & 0xff);
  } else if (x < 65 && y < 65) {
    flags.uint8(curve | (20 + ((x - 1) & 0x30) + (((y - 1) & 0x30) >> 2) + signs));
    rest.uint8((((x - 1) & 0xf) << 4) | ((y - 1) & 0xf));
  } else if (x < 769 && y < 769) {
    flags.uint8(curve | (84 + 12 * (((x - 1) & 0x300) >> 8) + (((y - 1) & 0x300) >> 6) + signs));
    rest.uint8((x - 1) & 0xff).uint8((y - 1) & 0xff);
  } else if (x < 4096 && y < 4096) {
    flags.uint8(curve | (120 + signs));
    rest
      .uint8(x >> 4)
      .uint8(((x & 0xf) << 4) | (y >> 8))
      .uint8(y & 0xff);
  } else {
    flags.uint8(curve | (124 + signs));
    rest.uint16(x).uint16(y);
  }
}

/** Reads one point into `point`: deltas in font units, and whether it is on the curve. */
export function readTriplet(
  flags: Reader,
  rest: Reader,
  point: { dx: number; dy: number; onCurve: boolean },
): void {
  const flag = flags.uint8();
  const code = flag & 0x7f;
  let x: number;
  let y: number;
  let ySigned = code >> 1;
  if (code < 10) {
    x = 0;
    y = ((code & 14) << 7) + rest.uint8();
    ySigned = code;
  } else if (code < 20) {
    x = (((code - 10) & 14) << 7) + rest.uint8();
    y = 0;
  } else if (code < 84) {
    const high = code - 20;
    const low = rest.uint8();
    x = 1 + (high & 0x30) + (low >> 4);
    y = 1 + ((high & 0x0c) << 2) + (low & 0x0f);
  } else if (code < 120) {
    const high = code - 84;
    x = 1 + (Math.floor(high / 12) << 8) + rest.uint8();
    y = 1 + (((high % 12) >> 2) << 8) + rest.uint8();
  } else if (code < 124) {
    const first = rest.uint8();
    const middle = rest.uint8();
    x = (first << 4) + (middle >> 4);
    y = ((middle & 0x0f) << 8) + rest.uint8();
  } else {
    x = rest.uint16();
    y = rest.uint16();
  }
  point.dx = code & 1 ? x : -x;
  point.dy = ySigned & 1 ? y : -y;
  point.onCurve = flag < offCurve;
}
