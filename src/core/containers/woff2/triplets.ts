// WOFF File Format 2.0, section 5.2: triplet encoding of point coordinates

import type { Reader } from '../../bytes/reader.js';

const offCurve = 0x80;

/** The most bytes that a point takes besides its flag. */
export const longestTriplet = 4;

interface Points {
  onCurve: Uint8Array;
  /** Absolute, in font units. */
  xCoordinates: Int16Array;
  yCoordinates: Int16Array;
}

/**
 * Writes the points of a glyph: flags into one place, the rest of their deltas into the other.
 *
 * @param flags a byte a point
 * @param rest room for `longestTriplet` bytes a point
 * @returns how many bytes of `rest` were used
 */
export function writeTriplets(flags: Uint8Array, rest: Uint8Array, points: Points): number {
  const { onCurve, xCoordinates, yCoordinates } = points;
  let at = 0;
  let lastX = 0;
  let lastY = 0;
  for (let i = 0; i < onCurve.length; i++) {
    const dx = ((xCoordinates[i] - lastX) << 16) >> 16; // coordinates are 16 bits wide and wrap around
    const dy = ((yCoordinates[i] - lastY) << 16) >> 16;
    lastX = xCoordinates[i];
    lastY = yCoordinates[i];
    const x = dx < 0 ? -dx : dx;
    const y = dy < 0 ? -dy : dy;
    const curve = onCurve[i] === 1 ? 0 : offCurve;
    const xSign = dx < 0 ? 0 : 1;
    const ySign = dy < 0 ? 0 : 1;
    const signs = xSign | (ySign << 1);
    if (dx === 0 && y < 1280) {
      flags[i] = curve | (((y & 0xf00) >> 7) + ySign);
      rest[at++] = y & 0xff;
    } else if (dy === 0 && x < 1280) {
      flags[i] = curve | (10 + ((x & 0xf00) >> 7) + xSign);
      rest[at++] = x & 0xff;
    } else if (x < 65 && y < 65) {
      flags[i] = curve | (20 + ((x - 1) & 0x30) + (((y - 1) & 0x30) >> 2) + signs);
      rest[at++] = (((x - 1) & 0xf) << 4) | ((y - 1) & 0xf);
    } else if (x < 769 && y < 769) {
      flags[i] = curve | (84 + 12 * (((x - 1) & 0x300) >> 8) + (((y - 1) & 0x300) >> 6) + signs);
      rest[at++] = (x - 1) & 0xff;
      rest[at++] = (y - 1) & 0xff;
    } else if (x < 4096 && y < 4096) {
      flags[i] = curve | (120 + signs);
      rest[at++] = x >> 4;
      rest[at++] = ((x & 0xf) << 4) | (y >> 8);
      rest[at++] = y & 0xff;
    } else {
      flags[i] = curve | (124 + signs);
      rest[at++] = x >> 8;
      rest[at++] = x & 0xff;
      rest[at++] = y >> 8;
      rest[at++] = y & 0xff;
    }
  }
  return at;
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
