// OpenType: maxp, Maximum Profile

import type { Reader } from '../bytes/reader.js';
import { Writer } from '../bytes/writer.js';

export const tag = 'maxp';

/** What a renderer of TrueType outlines has to reserve; only in version 1.0. */
export interface TrueTypeLimits {
  maxPoints: number;
  maxContours: number;
  maxCompositePoints: number;
  maxCompositeContours: number;
  maxZones: number;
  maxTwilightPoints: number;
  maxStorage: number;
  maxFunctionDefs: number;
  maxInstructionDefs: number;
  maxStackElements: number;
  maxSizeOfInstructions: number;
  maxComponentElements: number;
  maxComponentDepth: number;
}

export interface Maxp {
  /** 0x00005000 for CFF outlines, 0x00010000 for TrueType outlines. */
  version: number;
  numGlyphs: number;
  limits?: TrueTypeLimits;
}

/** Limits of a font without outlines and instructions. */
export const limitsWithoutInstructions: Readonly<TrueTypeLimits> = {
  maxPoints: 0,
  maxContours: 0,
  maxCompositePoints: 0,
  maxCompositeContours: 0,
  maxZones: 1,
  maxTwilightPoints: 0,
  maxStorage: 0,
  maxFunctionDefs: 0,
  maxInstructionDefs: 0,
  maxStackElements: 0,
  maxSizeOfInstructions: 0,
  maxComponentElements: 0,
  maxComponentDepth: 0,
};

/** Limits of instructions. */
export const instructionFields = [
  'maxZones',
  'maxTwilightPoints',
  'maxStorage',
  'maxFunctionDefs',
  'maxInstructionDefs',
  'maxStackElements',
  'maxSizeOfInstructions',
] as const satisfies (keyof TrueTypeLimits)[];

const fields = [
  'maxPoints',
  'maxContours',
  'maxCompositePoints',
  'maxCompositeContours',
  ...instructionFields,
  'maxComponentElements',
  'maxComponentDepth',
] as const satisfies (keyof TrueTypeLimits)[];

export function parse(reader: Reader): Maxp {
  const version = reader.uint32();
  const numGlyphs = reader.uint16();
  if (version !== 0x00010000) return { version, numGlyphs };
  const limits = Object.fromEntries(fields.map((field) => [field, reader.uint16()]));
  return { version, numGlyphs, limits: limits as unknown as TrueTypeLimits };
}

export function serialise(table: Maxp): Uint8Array {
  const writer = new Writer(32).uint32(table.version).uint16(table.numGlyphs);
  const { limits } = table;
  if (limits) for (const field of fields) writer.uint16(limits[field]);
  return writer.bytes();
}
