import { Writer } from '#src/core/bytes/writer.js';

/** A number in a DICT or a charstring. */
const number = (value: number): number[] => [28, (value >> 8) & 0xff, value & 0xff];
/** An offset in a DICT, always five bytes long, so that sizes don't depend on it. */
const offset = (value: number): number[] => [
  29,
  value >>> 24,
  (value >> 16) & 255,
  (value >> 8) & 255,
  value & 255,
];

/** A charstring from numbers and operators; operators of two bytes are given as 1200 + the second. */
export function charstring(...items: (number | { op: number })[]): Uint8Array {
  return Uint8Array.from(
    items.flatMap((item) => {
      if (typeof item !== 'number') return item.op >= 1200 ? [12, item.op - 1200] : [item.op];
      if (Number.isInteger(item)) return number(item);
      const fixed = Math.round(item * 65536);
      return [255, (fixed >> 24) & 255, (fixed >> 16) & 255, (fixed >> 8) & 255, fixed & 255];
    }),
  );
}

function index(objects: readonly Uint8Array[], countSize: 2 | 4): Uint8Array {
  const writer = new Writer(64);
  if (countSize === 2) writer.uint16(objects.length);
  else writer.uint32(objects.length);
  if (objects.length === 0) return writer.bytes();
  writer.uint8(2).uint16(1);
  let end = 1;
  for (const object of objects) writer.uint16((end += object.length));
  for (const object of objects) writer.write(object);
  return writer.bytes();
}

export interface CffParts {
  charstrings: Uint8Array[];
  globalSubrs?: Uint8Array[];
  /** One list of local subroutines for each font DICT. */
  localSubrs?: Uint8Array[][];
  /** CID-keyed: the font DICT of each glyph, in this format of FDSelect. */
  fontDicts?: { select: number[]; format: 0 | 3 };
  /** CFF: string identifiers of the glyphs after the first. */
  charset?: number[];
}

const bytes = (...lists: number[][]) => Uint8Array.from(lists.flat());

function fdSelect({ select, format }: NonNullable<CffParts['fontDicts']>): Uint8Array {
  if (format === 0) return bytes([0], select);
  const writer = new Writer(32).uint8(3).uint16(select.length);
  select.forEach((dict, glyphId) => writer.uint16(glyphId).uint8(dict));
  return writer.uint16(select.length).bytes();
}

/** A Private DICT with its subroutines right behind it. */
function privateDict(subrs: Uint8Array[], countSize: 2 | 4): { dictSize: number; whole: Uint8Array } {
  const dict = bytes(number(4), [19]);
  return { dictSize: dict.length, whole: bytes([...dict], [...index(subrs, countSize)]) };
}

/** A CFF table put together from parts. */
export function buildCff(parts: CffParts): Uint8Array {
  const privates = (parts.localSubrs ?? [[]]).map((subrs) => privateDict(subrs, 2));
  const charset = new Writer(32)
    .uint8(0)
    .uint16Array(parts.charset ?? parts.charstrings.slice(1).map((_, i) => i + 1));
  const front = (top: Uint8Array) =>
    bytes(
      [1, 0, 4, 2],
      [...index([Uint8Array.of(0x54)], 2)],
      [...index([top], 2)],
      [...index([], 2)],
      [...index(parts.globalSubrs ?? [], 2)],
    );
  const layOut = (at: Places) =>
    front(
      bytes(
        parts.fontDicts ? [...number(1), ...number(2), ...number(0), 12, 30] : [],
        [...offset(at.charset), 15],
        [...offset(at.charstrings), 17],
        parts.fontDicts
          ? [...offset(at.array), 12, 36, ...offset(at.select), 12, 37]
          : [...number(privates[0].dictSize), ...offset(at.private), 18],
      ),
    );
  return arrange(parts, privates, 2, layOut, charset.bytes());
}

/** A CFF2 table. @param regions of the only variation data */
export function buildCff2(parts: CffParts, regions: number): Uint8Array {
  const privates = (parts.localSubrs ?? [[]]).map((subrs) => privateDict(subrs, 4));
  // The variation region list isn't read, so none is written.
  const store = new Writer(64).uint16(1).uint32(0).uint16(1).uint32(12).uint16(0).uint16(0).uint16(regions);
  for (let i = 0; i < regions; i++) store.uint16(i);
  const whole = store.bytes();
  const vstore = new Writer(64).uint16(whole.length).write(whole).bytes();
  const layOut = (at: Places) => {
    const top = bytes(
      [...offset(at.charstrings), 17],
      [...offset(at.array), 12, 36],
      [...offset(at.charset), 24],
    );
    return bytes([2, 0, 5, 0, top.length], [...top], [...index(parts.globalSubrs ?? [], 4)]);
  };
  return arrange({ ...parts, fontDicts: { select: [], format: 0 } }, privates, 4, layOut, vstore);
}

type Places = Record<'charset' | 'charstrings' | 'private' | 'select' | 'array', number>;

/** Puts the pieces one after the other; the front has the same size whatever the offsets in it are. */
function arrange(
  parts: CffParts,
  privates: readonly { dictSize: number; whole: Uint8Array }[],
  countSize: 2 | 4,
  layOut: (at: Places) => Uint8Array,
  charset: Uint8Array,
): Uint8Array {
  const at: Places = { charset: 0, charstrings: 0, private: 0, select: 0, array: 0 };
  const writer = new Writer(512).write(layOut(at));
  at.charset = writer.length;
  writer.write(charset);
  at.charstrings = writer.length;
  writer.write(index(parts.charstrings, countSize));
  const dicts = privates.map(({ dictSize, whole }) => {
    const start = writer.length;
    at.private ||= start;
    writer.write(whole);
    return bytes(number(dictSize), offset(start), [18]);
  });
  if (parts.fontDicts) {
    at.array = writer.length;
    writer.write(index(dicts, countSize));
    at.select = writer.length;
    writer.write(fdSelect(parts.fontDicts));
  }
  const front = layOut(at);
  const whole = writer.bytes().slice();
  whole.set(front);
  return whole;
}
