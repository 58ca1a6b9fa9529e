// OpenType: GPOS, Glyph Positioning Table, lookup types 1 and 3 to 6

import { Block, type BlockStore } from '../bytes/blocks.js';
import type { Reader } from '../bytes/reader.js';
import { ascending, readCoverage, writeCoverage } from './coverage.js';
import type { DeltaSetMap } from './device.js';
import type { GlyphFilter, GlyphMap, Scope } from './glyph-map.js';
import {
  eachVariation,
  readAnchor,
  readValue,
  valueFormatOf,
  valueKey,
  valueSize,
  writeAnchor,
  writeValue,
  type Anchor,
  type Value,
} from './value-record.js';

/** LookupType 1. */
export interface SingleAdjustment {
  kind: 'single adjustment';
  values: Map<number, Value>;
}

/** LookupType 3. */
export interface CursiveAttachment {
  kind: 'cursive';
  glyphs: Map<number, { entry?: Anchor; exit?: Anchor }>;
}

interface Mark {
  markClass: number;
  anchor?: Anchor | undefined;
}

/** By class. */
type AnchorRow = (Anchor | undefined)[];

/** LookupTypes 4 and 6: marks on bases, marks on marks. */
export interface MarkAttachment {
  kind: 'mark to base' | 'mark to mark';
  classCount: number;
  marks: Map<number, Mark>;
  bases: Map<number, AnchorRow>;
}

/** LookupType 5: marks on the components of ligatures. */
export interface MarkToLigatureAttachment {
  kind: 'mark to ligature';
  classCount: number;
  marks: Map<number, Mark>;
  /** By component. */
  ligatures: Map<number, AnchorRow[]>;
}

export type Positioning = SingleAdjustment | CursiveAttachment | MarkAttachment | MarkToLigatureAttachment;

/** @param type 1 or 3 to 6 */
export function readPositioning(reader: Reader, start: number, type: number, scope: Scope): Positioning {
  if (type === 1) return readSingleAdjustment(reader, start, scope);
  const format = reader.seek(start).uint16();
  if (format !== 1) throw reader.damaged(`format ${format} of this lookup type is not known`, start);
  return type === 3 ? readCursive(reader, start, scope) : readMarks(reader, start, type, scope);
}

function readSingleAdjustment(reader: Reader, start: number, { wanted, varies }: Scope): SingleAdjustment {
  const format = reader.seek(start).uint16();
  if (format !== 1 && format !== 2)
    throw reader.damaged(`format ${format} of this lookup type is not known`, start);
  const coverage = readCoverage(reader, start + reader.uint16());
  const valueFormat = reader.seek(start + 4).uint16();
  const values = new Map<number, Value>();
  if (format === 1) {
    const value = readValue(reader, valueFormat, start, varies);
    for (const glyph of coverage) if (wanted.has(glyph)) values.set(glyph, value);
  } else {
    const count = Math.min(reader.uint16(), coverage.length);
    const [at, size] = [reader.position, valueSize(valueFormat)];
    for (let i = 0; i < count; i++) {
      if (!wanted.has(coverage[i])) continue;
      reader.seek(at + i * size);
      values.set(coverage[i], readValue(reader, valueFormat, start, varies));
    }
  }
  return { kind: 'single adjustment', values };
}

const anchorAt = (reader: Reader, start: number, offset: number, varies: boolean) =>
  offset === 0 ? undefined : readAnchor(reader, start + offset, varies);

function readCursive(reader: Reader, start: number, { wanted, varies }: Scope): CursiveAttachment {
  const coverage = readCoverage(reader, start + reader.seek(start + 2).uint16());
  const offsets = reader.seek(start + 4).uint16Array(reader.uint16() * 2);
  const glyphs: CursiveAttachment['glyphs'] = new Map();
  coverage.slice(0, offsets.length / 2).forEach((glyph, i) => {
    if (!wanted.has(glyph)) return;
    const entry = anchorAt(reader, start, offsets[i * 2], varies);
    const exit = anchorAt(reader, start, offsets[i * 2 + 1], varies);
    glyphs.set(glyph, { ...(entry && { entry }), ...(exit && { exit }) });
  });
  return { kind: 'cursive', glyphs };
}

function readMarks(
  reader: Reader,
  start: number,
  type: number,
  { wanted, varies }: Scope,
): MarkAttachment | MarkToLigatureAttachment {
  const [markCoverage, baseCoverage, classCount, markArray, baseArray] = reader
    .seek(start + 2)
    .uint16Array(5);
  const marks: MarkAttachment['marks'] = new Map();
  const markAt = start + markArray;
  const records = reader.seek(markAt).uint16Array(reader.uint16() * 2);
  readCoverage(reader, start + markCoverage)
    .slice(0, records.length / 2)
    .forEach((glyph, i) => {
      if (!wanted.has(glyph) || records[i * 2] >= classCount) return;
      const anchor = anchorAt(reader, markAt, records[i * 2 + 1], varies);
      marks.set(glyph, { markClass: records[i * 2], anchor });
    });
  const bases = readCoverage(reader, start + baseCoverage);
  const baseAt = start + baseArray;
  if (type !== 5) {
    const kind = type === 4 ? 'mark to base' : 'mark to mark';
    const matrix = reader.seek(baseAt).uint16Array(reader.uint16() * classCount);
    const count = classCount === 0 ? 0 : Math.min(bases.length, matrix.length / classCount);
    const rowAt = (i: number) =>
      anchorRow(reader, baseAt, matrix.subarray(i * classCount, (i + 1) * classCount), varies);
    return { kind, classCount, marks, bases: matrixRows(bases, count, wanted, rowAt) };
  }
  const offsets = reader.seek(baseAt).uint16Array(reader.uint16());
  const ligatures = matrixRows(bases, Math.min(bases.length, offsets.length), wanted, (i) => {
    const at = baseAt + offsets[i];
    const matrix = reader.seek(at).uint16Array(reader.uint16() * classCount);
    const components = classCount === 0 ? 0 : matrix.length / classCount;
    return Array.from({ length: components }, (_, component) =>
      anchorRow(reader, at, matrix.subarray(component * classCount, (component + 1) * classCount), varies),
    );
  });
  return { kind: 'mark to ligature', classCount, marks, ligatures };
}

/** A row for each of the first glyphs that matter. */
function matrixRows<Row>(
  glyphs: readonly number[],
  count: number,
  wanted: GlyphFilter,
  rowAt: (i: number) => Row,
): Map<number, Row> {
  const rows = new Map<number, Row>();
  for (let i = 0; i < count; i++) if (wanted.has(glyphs[i])) rows.set(glyphs[i], rowAt(i));
  return rows;
}

function anchorRow(reader: Reader, start: number, offsets: Uint16Array, varies: boolean): AnchorRow {
  const row: AnchorRow = [];
  for (let i = 0; i < offsets.length; i++) row.push(anchorAt(reader, start, offsets[i], varies));
  return row;
}

/** What is left of a subtable where some glyphs go; undefined where nothing is. */
export function keptPositioning(subtable: Positioning, map: GlyphMap): Positioning | undefined {
  switch (subtable.kind) {
    case 'single adjustment': {
      const values = keptKeys(subtable.values, map, asItIs);
      return values.size > 0 ? { ...subtable, values } : undefined;
    }
    case 'cursive': {
      const glyphs = keptKeys(subtable.glyphs, map, asItIs);
      return glyphs.size > 0 ? { ...subtable, glyphs } : undefined;
    }
    default:
      return keptMarks(subtable, map);
  }
}

/** @param kept gives what stays of a value, or undefined where nothing does */
function keptKeys<Value, Kept>(
  values: ReadonlyMap<number, Value>,
  map: GlyphMap,
  kept: (value: Value) => Kept | undefined,
): Map<number, Kept> {
  const left = new Map<number, Kept>();
  values.forEach((value, glyph) => {
    const newId = map.newId(glyph);
    if (newId === undefined) return;
    const own = kept(value);
    if (own !== undefined) left.set(newId, own);
  });
  return left;
}

const asItIs = <Value>(value: Value): Value => value;

/** Marks that stay with the classes that they have, numbered without gaps. */
function keptMarks(
  subtable: MarkAttachment | MarkToLigatureAttachment,
  map: GlyphMap,
): MarkAttachment | MarkToLigatureAttachment | undefined {
  const stored = keptKeys(subtable.marks, map, asItIs);
  const classes = [...new Set(Array.from(stored.values(), ({ markClass }) => markClass))].sort(ascending);
  const marks = new Map<number, Mark>();
  stored.forEach(({ markClass, anchor }, glyph) => {
    marks.set(glyph, { markClass: classes.indexOf(markClass), anchor });
  });
  const classCount = classes.length;
  if (subtable.kind === 'mark to ligature') {
    const ligatures = keptKeys(subtable.ligatures, map, (rows) => rows.map((row) => ofClasses(row, classes)));
    return marks.size > 0 && ligatures.size > 0 ? { ...subtable, classCount, marks, ligatures } : undefined;
  }
  const bases = keptKeys(subtable.bases, map, (row) => {
    const anchors = ofClasses(row, classes);
    return anchors.some(Boolean) ? anchors : undefined;
  });
  return marks.size > 0 && bases.size > 0 ? { ...subtable, classCount, marks, bases } : undefined;
}

function ofClasses(anchors: AnchorRow, classes: readonly number[]): AnchorRow {
  const row: AnchorRow = [];
  for (let i = 0; i < classes.length; i++) row.push(anchors[classes[i]]);
  return row;
}

/** What of the font around them subtables are written for. */
export interface PositioningContext {
  store: BlockStore;
  deltaSets?: DeltaSetMap | undefined;
  /** Whether instructions stay. */
  hinted: boolean;
}

export function writePositioning(subtable: Positioning, context: PositioningContext): Block {
  const { store } = context;
  switch (subtable.kind) {
    case 'single adjustment':
      return store.keep(writeSingleAdjustment(subtable, context));
    case 'cursive': {
      const glyphs = [...subtable.glyphs.keys()].sort(ascending);
      const block = new Block().uint16(1).offset16(writeCoverage(glyphs, store)).uint16(glyphs.length);
      for (const glyph of glyphs) {
        const { entry, exit } = subtable.glyphs.get(glyph)!;
        block.offset16(anchorBlock(entry, context)).offset16(anchorBlock(exit, context));
      }
      return store.keep(block);
    }
    default:
      return store.keep(writeMarks(subtable, context));
  }
}

const anchorBlock = (anchor: Anchor | undefined, { store, deltaSets, hinted }: PositioningContext) =>
  writeAnchor(anchor, store, deltaSets, hinted);

function writeSingleAdjustment(
  { values }: SingleAdjustment,
  { store, deltaSets }: PositioningContext,
): Block {
  const glyphs = [...values.keys()].sort(ascending);
  const all = glyphs.map((glyph) => values.get(glyph)!);
  const format = all.reduce((bits, value) => bits | valueFormatOf(value, deltaSets), 0);
  const [first] = all;
  const key = valueKey(first);
  const block = new Block();
  if (all.every((value) => value === first || valueKey(value) === key)) {
    block.uint16(1).offset16(writeCoverage(glyphs, store)).uint16(format);
    writeValue(block, first, format, store, deltaSets);
    return block;
  }
  block.uint16(2).offset16(writeCoverage(glyphs, store)).uint16(format).uint16(glyphs.length);
  for (const value of all) writeValue(block, value, format, store, deltaSets);
  return block;
}

function writeMarks(subtable: MarkAttachment | MarkToLigatureAttachment, context: PositioningContext): Block {
  const { store } = context;
  const marks = [...subtable.marks.keys()].sort(ascending);
  const markArray = new Block().uint16(marks.length);
  for (const glyph of marks) {
    const { markClass, anchor } = subtable.marks.get(glyph)!;
    markArray.uint16(markClass).offset16(anchorBlock(anchor, context));
  }
  const rows = subtable.kind === 'mark to ligature' ? subtable.ligatures : subtable.bases;
  const bases = [...rows.keys()].sort(ascending);
  const baseArray = new Block().uint16(bases.length);
  for (const glyph of bases) {
    if (subtable.kind !== 'mark to ligature') {
      for (const anchor of subtable.bases.get(glyph)!) baseArray.offset16(anchorBlock(anchor, context));
      continue;
    }
    const components = subtable.ligatures.get(glyph)!;
    const ligature = new Block().uint16(components.length);
    for (const anchor of components.flat()) ligature.offset16(anchorBlock(anchor, context));
    baseArray.offset16(store.keep(ligature));
  }
  return new Block()
    .uint16(1)
    .offset16(writeCoverage(marks, store))
    .offset16(writeCoverage(bases, store))
    .uint16(subtable.classCount)
    .offset16(store.keep(markArray))
    .offset16(store.keep(baseArray));
}

/** Delta sets that a subtable refers to. */
export function eachVariationIn(
  subtable: Positioning,
  visit: (outerIndex: number, innerIndex: number) => void,
): void {
  const anchors = (list: Iterable<Anchor | undefined>) => {
    for (const anchor of list) eachVariation(anchor?.devices, visit);
  };
  if (subtable.kind === 'single adjustment') {
    for (const { devices } of subtable.values.values()) eachVariation(devices, visit);
  } else if (subtable.kind === 'cursive') {
    for (const { entry, exit } of subtable.glyphs.values()) anchors([entry, exit]);
  } else {
    anchors([...subtable.marks.values()].map(({ anchor }) => anchor));
    if (subtable.kind === 'mark to ligature')
      for (const rows of subtable.ligatures.values()) anchors(rows.flat());
    else for (const row of subtable.bases.values()) anchors(row);
  }
}
