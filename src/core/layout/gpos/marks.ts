// OpenType: GPOS, LookupTypes 4 to 6: what attachments of marks have in common

import { Block } from '../../bytes/blocks.js';
import type { Reader } from '../../bytes/reader.js';
import { ascending, readCoverage, writeCoverage, type Coverage } from '../common/coverage.js';
import { keptKeys, withValues, type GlyphFilter, type GlyphMap, type Scope } from '../common/glyph-map.js';
import type { ShapingGlyph } from '../common/glyph-run.js';
import type { ChangeDevice, PositioningKind, WriteTarget } from '../common/lookup-kind.js';
import { readFormat } from '../common/read-format.js';
import type { Work } from '../common/work.js';
import { pointOf } from './moving.js';
import { anchorWithDevices, eachVariation, readAnchorAt, writeAnchor, type Anchor } from './value-record.js';

/** What is attached. */
export interface Mark {
  markClass: number;
  anchor?: Anchor | undefined;
}

/** Where marks are attached, by class. */
export type AnchorRow = (Anchor | undefined)[];

/** Marks, with the classes that they have, numbered without gaps. */
export interface Marks {
  classCount: number;
  marks: Map<number, Mark>;
}

/** Marks that stay, with their classes numbered anew. */
export interface KeptMarks extends Marks {
  /** The anchors of the classes that are left. */
  rowOf: (row: AnchorRow) => AnchorRow;
}

/** What is read of a subtable before its second array. */
export interface MarksRead extends Marks {
  bases: Coverage;
  /** Where the second array starts. */
  baseArray: number;
}

export function readMarks(reader: Reader, start: number, { wanted, varies }: Scope): MarksRead {
  readFormat(reader, start, 1);
  const [markCoverage, baseCoverage, classCount, markArray, baseArray] = reader.uint16Array(5);
  const marks = new Map<number, Mark>();
  const markAt = start + markArray;
  const records = reader.seek(markAt).uint16Array(reader.uint16() * 2);
  readCoverage(reader, start + markCoverage)
    .slice(0, records.length / 2)
    .forEach((glyph, i) => {
      if (!wanted.has(glyph) || records[i * 2] >= classCount) return;
      const anchor = readAnchorAt(reader, markAt, records[i * 2 + 1], varies);
      marks.set(glyph, { markClass: records[i * 2], anchor });
    });
  return {
    classCount,
    marks,
    bases: readCoverage(reader, start + baseCoverage),
    baseArray: start + baseArray,
  };
}

/** A row for each of the first glyphs that matter. */
export function rowsOf<Row>(
  glyphs: readonly number[],
  count: number,
  wanted: GlyphFilter,
  rowAt: (i: number) => Row,
): Map<number, Row> {
  const rows = new Map<number, Row>();
  for (let i = 0; i < count; i++) if (wanted.has(glyphs[i])) rows.set(glyphs[i], rowAt(i));
  return rows;
}

/** Reads the anchors of one glyph, or of a component. */
export function readRow(reader: Reader, start: number, offsets: Uint16Array, varies: boolean): AnchorRow {
  const row: AnchorRow = [];
  for (let i = 0; i < offsets.length; i++) row.push(readAnchorAt(reader, start, offsets[i], varies));
  return row;
}

/** @returns undefined where no mark stays */
export function keptMarks(subtable: Marks, map: GlyphMap): KeptMarks | undefined {
  const stored = keptKeys(subtable.marks, map, (mark) => mark);
  if (stored.size === 0) return undefined;
  const classes = [...new Set(Array.from(stored.values(), ({ markClass }) => markClass))].sort(ascending);
  const marks = new Map<number, Mark>();
  stored.forEach(({ markClass, anchor }, glyph) => {
    marks.set(glyph, { markClass: classes.indexOf(markClass), anchor });
  });
  return { classCount: classes.length, marks, rowOf: (row) => classes.map((old) => row[old]) };
}

/**
 * Writes a subtable.
 *
 * @param bases what marks stand on, ascending
 * @param writeBase adds the anchors of one of them to the array
 */
export function writeMarks(
  { marks, classCount }: Marks,
  bases: readonly number[],
  target: WriteTarget,
  writeBase: (base: number, array: Block) => void,
): Block {
  const { store } = target;
  const glyphs = [...marks.keys()].sort(ascending);
  const markArray = new Block().uint16(glyphs.length);
  for (const glyph of glyphs) {
    const { markClass, anchor } = marks.get(glyph)!;
    markArray.uint16(markClass).offset16(writeAnchor(anchor, target));
  }
  const baseArray = new Block().uint16(bases.length);
  for (const base of bases) writeBase(base, baseArray);
  return store.keep(
    new Block()
      .uint16(1)
      .offset16(writeCoverage(glyphs, store))
      .offset16(writeCoverage(bases, store))
      .uint16(classCount)
      .offset16(store.keep(markArray))
      .offset16(store.keep(baseArray)),
  );
}

/** Visits the delta sets of marks and rows. */
export function eachVariationOf(
  marks: Iterable<Mark>,
  rows: Iterable<AnchorRow>,
  visit: (outerIndex: number, innerIndex: number) => void,
): void {
  for (const { anchor } of marks) eachVariation(anchor?.devices, visit);
  for (const row of rows) for (const anchor of row) eachVariation(anchor?.devices, visit);
}

/** Marks with other devices. */
export const marksWithDevices = (marks: ReadonlyMap<number, Mark>, change: ChangeDevice): Map<number, Mark> =>
  withValues(marks, (mark) => ({ ...mark, anchor: anchorWithDevices(mark.anchor, change) }));

/** A row with other devices. */
export const rowWithDevices = (row: AnchorRow, change: ChangeDevice): AnchorRow =>
  row.map((anchor) => anchorWithDevices(anchor, change));

/** Puts a mark where two anchors meet. @returns where to go on from, or -1 where one is missing */
export function attach(
  work: Work,
  at: number,
  to: number,
  base: Anchor | undefined,
  mark: Anchor | undefined,
): number {
  if (!base || !mark) return -1;
  const { run, attached } = work;
  const [[x, y], [markX, markY]] = [pointOf(work, base), pointOf(work, mark)];
  run[at].x = x - markX;
  run[at].y = y - markY;
  attached.set(run[at], run[to]);
  return at + 1;
}

/** Of marks of one ligature: whether they stand on the same part of it. */
export const isSamePart = (a: ShapingGlyph, b: ShapingGlyph): boolean =>
  a.ligature === b.ligature && (a.ligature === 0 || a.component === b.component);

/** Marks on glyphs of other kinds, or on other marks; both are stored alike. */
export interface MarkAttachment<Kind extends string> extends Marks {
  kind: Kind;
  bases: Map<number, AnchorRow>;
}

/** What both kinds do alike. @param type the LookupType */
export function attachments<Kind extends string>(
  kind: Kind,
  type: number,
): Omit<PositioningKind<MarkAttachment<Kind>>, 'apply'> {
  return {
    types: { GPOS: [type] },

    read(reader, start, _type, scope) {
      const { classCount, marks, bases, baseArray } = readMarks(reader, start, scope);
      const matrix = reader.seek(baseArray).uint16Array(reader.uint16() * classCount);
      const count = classCount === 0 ? 0 : Math.min(bases.length, matrix.length / classCount);
      const rowAt = (i: number) =>
        readRow(reader, baseArray, matrix.subarray(i * classCount, (i + 1) * classCount), scope.varies);
      return { kind, classCount, marks, bases: rowsOf(bases, count, scope.wanted, rowAt) };
    },

    kept(subtable, map) {
      const kept = keptMarks(subtable, map);
      if (!kept) return undefined;
      const { classCount, marks, rowOf } = kept;
      const bases = keptKeys(subtable.bases, map, (row) => {
        const anchors = rowOf(row);
        return anchors.some(Boolean) ? anchors : undefined;
      });
      return bases.size > 0 ? { kind, classCount, marks, bases } : undefined;
    },

    write(subtable, target) {
      const bases = [...subtable.bases.keys()].sort(ascending);
      return writeMarks(subtable, bases, target, (base, array) => {
        for (const anchor of subtable.bases.get(base)!) array.offset16(writeAnchor(anchor, target));
      });
    },

    mentions: ({ marks, bases }, glyph) => marks.has(glyph) || bases.has(glyph),

    firsts: ({ marks }) => marks.keys(),

    eachVariation: ({ marks, bases }, visit) => {
      eachVariationOf(marks.values(), bases.values(), visit);
    },

    withDevices: (subtable, change) => ({
      ...subtable,
      marks: marksWithDevices(subtable.marks, change),
      bases: withValues(subtable.bases, (row) => rowWithDevices(row, change)),
    }),
  };
}
