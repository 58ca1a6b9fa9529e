// OpenType: glyf, "Composite glyph description"

import type { Reader } from '../bytes/reader.js';
import type { Writer } from '../bytes/writer.js';

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

/** Reads components up to the last one, and the instructions if one of them announces any. */
export function parseComponents(reader: Reader): { components: Component[]; instructions?: Uint8Array } {
  const { components, hasInstructions } = parseComponentRecords(reader);
  return hasInstructions ? { components, instructions: reader.take(reader.uint16()) } : { components };
}

/** Reads components up to the last one, without the instructions that may follow. */
export function parseComponentRecords(reader: Reader): { components: Component[]; hasInstructions: boolean } {
  const components: Component[] = [];
  let hasInstructions = false;
  for (let more = true; more;) {
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
    components.push({
      flags,
      glyphIndex,
      argument1,
      argument2,
      transform: reader.int16Array(transformSize(flags)),
    });
    hasInstructions ||= (flags & componentFlag.weHaveInstructions) !== 0;
    more = (flags & componentFlag.moreComponents) !== 0;
  }
  return { components, hasInstructions };
}

function transformSize(flags: number): number {
  if (flags & componentFlag.weHaveAScale) return 1;
  if (flags & componentFlag.weHaveAnXAndYScale) return 2;
  return flags & componentFlag.weHaveATwoByTwo ? 4 : 0;
}

/** Writes components and, if given, the instructions. The flags say how wide arguments are. */
export function serialiseComponents(
  writer: Writer,
  components: readonly Component[],
  instructions?: Uint8Array,
): void {
  for (const { flags, glyphIndex, argument1, argument2, transform } of components) {
    writer.uint16(flags).uint16(glyphIndex);
    if (flags & componentFlag.arg1And2AreWords) writer.uint16(argument1 & 0xffff).uint16(argument2 & 0xffff);
    else writer.uint8(argument1 & 0xff).uint8(argument2 & 0xff);
    writer.int16Array(transform);
  }
  if (instructions) writer.uint16(instructions.length).write(instructions);
}

/** Bytes that `serialiseComponents` writes for components, without instructions. */
export function componentsSize(components: readonly Component[]): number {
  return components.reduce((size, { flags, transform }) => {
    const words = (flags & componentFlag.arg1And2AreWords) !== 0;
    return size + (words ? 8 : 6) + transform.length * 2;
  }, 0);
}
