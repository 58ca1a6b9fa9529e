// OpenType: glyf, "Composite glyph description"

import { Reader } from '../bytes/reader.js';
import { Writer } from '../bytes/writer.js';

export interface Component {
  /** As stored, so that what isn't understood survives. */
  flags: number;
  glyphIndex: number;
  /** An offset in font units or a point number, as the flags say. */
  argument1: number;
  argument2: number;
  /** 0, 1, 2 or 4 numbers in 2.14: none, scale, x and y scale, or a matrix. */
  transform: Int16Array;
}

/** Bits of `Component.flags`. */
export const componentFlag = {
  arg1And2AreWords: 0x0001,
  argsAreXYValues: 0x0002,
  roundXYToGrid: 0x0004,
  weHaveAScale: 0x0008,
  moreComponents: 0x0020,
  weHaveAnXAndYScale: 0x0040,
  weHaveATwoByTwo: 0x0080,
  weHaveInstructions: 0x0100,
  useMyMetrics: 0x0200,
  overlapCompound: 0x0400,
  scaledComponentOffset: 0x0800,
  unscaledComponentOffset: 0x1000,
} as const;

/**
 * Goes over records up to the last one, and no further.
 *
 * @param visit gets the glyph of each, and where its record starts in what the reader covers
 * @returns whether one of them announces instructions, which follow
 */
export function eachComponent(reader: Reader, visit?: (glyphIndex: number, at: number) => void): boolean {
  let hasInstructions = false;
  for (let flags: number = componentFlag.moreComponents; flags & componentFlag.moreComponents;) {
    const at = reader.position;
    flags = reader.uint16();
    visit?.(reader.uint16(), at);
    reader.seek(at).skip(recordSize(flags));
    if (flags & componentFlag.weHaveInstructions) hasInstructions = true;
  }
  return hasInstructions;
}

/** Reads records as they are stored. */
export function takeComponents(reader: Reader): { records: Uint8Array; hasInstructions: boolean } {
  const start = reader.position;
  const hasInstructions = eachComponent(reader);
  return { records: reader.bytes.subarray(start, reader.position), hasInstructions };
}

function recordSize(flags: number): number {
  return (flags & componentFlag.arg1And2AreWords ? 8 : 6) + transformSize(flags) * 2;
}

function transformSize(flags: number): number {
  if (flags & componentFlag.weHaveAScale) return 1;
  if (flags & componentFlag.weHaveAnXAndYScale) return 2;
  return flags & componentFlag.weHaveATwoByTwo ? 4 : 0;
}

/** @param records as `takeComponents` gives them */
export function parseComponents(records: Uint8Array): Component[] {
  const components: Component[] = [];
  const reader = new Reader(records, 'glyf');
  while (reader.remaining > 0) {
    const flags = reader.uint16();
    const glyphIndex = reader.uint16();
    const words = (flags & componentFlag.arg1And2AreWords) !== 0;
    const signed = (flags & componentFlag.argsAreXYValues) !== 0;
    const argument = () => {
      if (words) return signed ? reader.int16() : reader.uint16();
      return signed ? reader.int8() : reader.uint8();
    };
    const argument1 = argument();
    const argument2 = argument();
    const transform = reader.int16Array(transformSize(flags));
    components.push({ flags, glyphIndex, argument1, argument2, transform });
  }
  return components;
}

/** The records. The flags say how wide arguments are, and whether another component or instructions follow. */
export function serialiseComponents(components: readonly Component[]): Uint8Array {
  const writer = new Writer(components.length * 16);
  for (const { flags, glyphIndex, argument1, argument2, transform } of components) {
    writer.uint16(flags).uint16(glyphIndex);
    if (flags & componentFlag.arg1And2AreWords) writer.uint16(argument1 & 0xffff).uint16(argument2 & 0xffff);
    else writer.uint8(argument1 & 0xff).uint8(argument2 & 0xff);
    writer.int16Array(transform);
  }
  return writer.bytes();
}
