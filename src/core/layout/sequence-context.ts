// OpenType Layout Common Table Formats: Sequence Context and Chained Sequence Context (GSUB 5 and 6, GPOS 7 and 8)

import { Block, type BlockStore } from '../bytes/blocks.js';
import { readOnce } from '../bytes/read-once.js';
import type { Reader } from '../bytes/reader.js';
import {
  keptClasses,
  readClassDefinition,
  writeClassDefinition,
  writeNeededClassDefinition,
  type ClassDefinition,
} from './class-definition.js';
import { ascending, readCoverage, writeCoverage, type Coverage } from './coverage.js';
import type { GlyphMap } from './glyph-map.js';

/** Applies a lookup to the glyph at a place of the input sequence. */
export interface SequenceLookup {
  sequenceIndex: number;
  lookupListIndex: number;
}

/** Glyphs, or classes, that a rule wants, nearest first where they stand before; `input` without the first one. */
export interface SequenceRule {
  backtrack: readonly number[];
  input: readonly number[];
  lookahead: readonly number[];
  lookups: readonly SequenceLookup[];
}

/** Format 1: rules by first glyph. */
interface GlyphContext {
  kind: 'context';
  format: 1;
  chained: boolean;
  rules: Map<number, SequenceRule[]>;
}

/** Format 2: rules by the class of the first glyph. */
interface ClassContext {
  kind: 'context';
  format: 2;
  chained: boolean;
  coverage: Coverage;
  backtrackClasses: ClassDefinition;
  inputClasses: ClassDefinition;
  lookaheadClasses: ClassDefinition;
  rules: Map<number, SequenceRule[]>;
}

/** Format 3: one rule, of sets of glyphs. */
interface CoverageContext {
  kind: 'context';
  format: 3;
  chained: boolean;
  backtrack: Coverage[];
  input: Coverage[];
  lookahead: Coverage[];
  lookups: readonly SequenceLookup[];
}

export type SequenceContext = GlyphContext | ClassContext | CoverageContext;

export function readContext(reader: Reader, start: number, chained: boolean): SequenceContext {
  const format = reader.seek(start).uint16();
  if (format === 3) return readCoverageContext(reader, start, chained);
  if (format !== 1 && format !== 2) throw reader.damaged(`format ${format} of contexts is not known`, start);
  const coverage = readCoverage(reader, start + reader.uint16());
  reader.seek(start + 4);
  const classAt = format === 1 ? [] : Array.from(reader.uint16Array(chained ? 3 : 1));
  const offsets = reader.uint16Array(reader.uint16());
  const ruleAt = readOnce(reader, (at) => readRule(reader, at, chained));
  const setAt = readOnce(reader, (set) => {
    const rules = reader.seek(set).uint16Array(reader.uint16());
    return Array.from(rules, (offset) => ruleAt(set + offset));
  });
  const sets = Array.from(offsets, (offset) => (offset === 0 ? [] : setAt(start + offset)));
  if (format === 1) {
    const rules = new Map<number, SequenceRule[]>();
    coverage.forEach((glyph, i) => {
      if (sets[i]?.length > 0) rules.set(glyph, sets[i]);
    });
    return { kind: 'context', format, chained, rules };
  }
  const classesAt = (offset: number) => readClassDefinition(reader, offset === 0 ? 0 : start + offset);
  const [backtrackClasses, inputClasses, lookaheadClasses] = chained
    ? classAt.map(classesAt)
    : [new Map(), classesAt(classAt[0]), new Map()];
  const rules = new Map([...sets.entries()].filter(([, set]) => set.length > 0));
  return {
    kind: 'context',
    format,
    chained,
    coverage,
    backtrackClasses,
    inputClasses,
    lookaheadClasses,
    rules,
  };
}

function readRule(reader: Reader, start: number, chained: boolean): SequenceRule {
  reader.seek(start);
  const sequence = () => Array.from(reader.uint16Array(reader.uint16()));
  if (chained) {
    const backtrack = sequence();
    const input = Array.from(reader.uint16Array(Math.max(0, reader.uint16() - 1)));
    const lookahead = sequence();
    return { backtrack, input, lookahead, lookups: readLookups(reader, reader.uint16()) };
  }
  const glyphCount = reader.uint16();
  const lookupCount = reader.uint16();
  const input = Array.from(reader.uint16Array(Math.max(0, glyphCount - 1)));
  return { backtrack: [], input, lookahead: [], lookups: readLookups(reader, lookupCount) };
}

function readLookups(reader: Reader, count: number): SequenceLookup[] {
  const values = reader.uint16Array(count * 2);
  return Array.from({ length: count }, (_, i) => ({
    sequenceIndex: values[i * 2],
    lookupListIndex: values[i * 2 + 1],
  }));
}

function readCoverageContext(reader: Reader, start: number, chained: boolean): CoverageContext {
  const offsets = () => Array.from(reader.uint16Array(reader.uint16()));
  let places: [number[], number[], number[]];
  let lookups: SequenceLookup[];
  if (chained) {
    places = [offsets(), offsets(), offsets()];
    lookups = readLookups(reader, reader.uint16());
  } else {
    const glyphCount = reader.uint16();
    const lookupCount = reader.uint16();
    places = [[], Array.from(reader.uint16Array(glyphCount)), []];
    lookups = readLookups(reader, lookupCount);
  }
  const coverageAt = readOnce(reader, (at) => readCoverage(reader, at));
  const [backtrack, input, lookahead] = places.map((list) =>
    list.map((offset) => coverageAt(start + offset)),
  );
  return { kind: 'context', format: 3, chained, backtrack, input, lookahead, lookups };
}

/** What is left of a context where some glyphs go; undefined where it can't match any more. */
export function keptContext(context: SequenceContext, map: GlyphMap): SequenceContext | undefined {
  switch (context.format) {
    case 1:
      return keptGlyphContext(context, map);
    case 2:
      return keptClassContext(context, map);
    case 3: {
      const kept = (coverages: Coverage[]) =>
        coverages.map((coverage) => map.those(coverage).sort(ascending));
      const [backtrack, input, lookahead] = [context.backtrack, context.input, context.lookahead].map(kept);
      const matches = [...backtrack, ...input, ...lookahead].every((coverage) => coverage.length > 0);
      return matches && input.length > 0 ? { ...context, backtrack, input, lookahead } : undefined;
    }
  }
}

function keptGlyphContext(context: GlyphContext, map: GlyphMap): GlyphContext | undefined {
  const rules = new Map<number, SequenceRule[]>();
  for (const [glyph, set] of context.rules) {
    const first = map.newId(glyph);
    if (first === undefined) continue;
    const kept = set.flatMap((rule) => {
      const [backtrack, input, lookahead] = [rule.backtrack, rule.input, rule.lookahead].map((list) =>
        map.all(list),
      );
      return backtrack && input && lookahead ? [{ ...rule, backtrack, input, lookahead }] : [];
    });
    if (kept.length > 0) rules.set(first, kept);
  }
  return rules.size > 0 ? { ...context, rules } : undefined;
}

function keptClassContext(context: ClassContext, map: GlyphMap): ClassContext | undefined {
  const backtrack = renumberedClasses(context.backtrackClasses, map);
  const input = renumberedClasses(context.inputClasses, map);
  const lookahead = renumberedClasses(context.lookaheadClasses, map);
  const covered = map.those(context.coverage);
  const firsts = new Set(covered.map((glyph) => input.classes.get(glyph) ?? 0));
  const rules = new Map<number, SequenceRule[]>();
  for (const [firstClass, set] of context.rules) {
    const first = input.numbers.get(firstClass);
    if (first === undefined || !firsts.has(first)) continue;
    const kept = set.flatMap((rule) => {
      const renumber = (list: readonly number[], numbers: Map<number, number>) => {
        const found = list.map((value) => numbers.get(value));
        return found.includes(undefined) ? undefined : (found as number[]);
      };
      const lists = {
        backtrack: renumber(rule.backtrack, backtrack.numbers),
        input: renumber(rule.input, input.numbers),
        lookahead: renumber(rule.lookahead, lookahead.numbers),
      };
      return lists.backtrack && lists.input && lists.lookahead
        ? [
            {
              lookups: rule.lookups,
              backtrack: lists.backtrack,
              input: lists.input,
              lookahead: lists.lookahead,
            },
          ]
        : [];
    });
    if (kept.length > 0) rules.set(first, kept);
  }
  if (rules.size === 0) return undefined;
  return {
    ...context,
    rules,
    // A glyph whose class has no rule only matters where a rule of its class could have matched.
    coverage: covered.filter((glyph) => rules.has(input.classes.get(glyph) ?? 0)).sort(ascending),
    backtrackClasses: backtrack.classes,
    inputClasses: input.classes,
    lookaheadClasses: lookahead.classes,
  };
}

/** Classes that still have glyphs, numbered from 1 without gaps; class 0 is all other glyphs. */
export function renumberedClasses(
  classes: ClassDefinition,
  map: GlyphMap,
): { classes: Map<number, number>; numbers: Map<number, number> } {
  const kept = keptClasses(classes, map);
  const numbers = new Map<number, number>();
  if (kept.size < map.size) numbers.set(0, 0);
  for (const value of [...new Set(kept.values())].sort(ascending)) {
    numbers.set(value, numbers.has(0) ? numbers.size : numbers.size + 1);
  }
  for (const [glyph, value] of kept) kept.set(glyph, numbers.get(value)!);
  return { classes: kept, numbers };
}

/** @param lookupAt the new number of a lookup; undefined for one that is gone */
export function writeContext(
  context: SequenceContext,
  lookupAt: (lookup: number) => number | undefined,
  store: BlockStore,
): Block {
  if (context.format === 3) return store.keep(writeCoverageContext(context, lookupAt, store));
  const { format, chained, rules } = context;
  const ruleSet = (set: readonly SequenceRule[] | undefined) => {
    if (!set || set.length === 0) return undefined;
    const block = new Block().uint16(set.length);
    for (const rule of set) block.offset16(store.keep(writeRule(rule, chained, lookupAt)));
    return store.keep(block);
  };
  const block = new Block().uint16(format);
  if (format === 1) {
    const glyphs = [...rules.keys()].sort(ascending);
    block.offset16(writeCoverage(glyphs, store)).uint16(glyphs.length);
    for (const glyph of glyphs) block.offset16(ruleSet(rules.get(glyph)));
    return store.keep(block);
  }
  block.offset16(writeCoverage(context.coverage, store));
  if (chained) block.offset16(writeClassDefinition(context.backtrackClasses, store));
  block.offset16(writeNeededClassDefinition(context.inputClasses, store));
  if (chained) block.offset16(writeClassDefinition(context.lookaheadClasses, store));
  const count = Math.max(...rules.keys()) + 1;
  block.uint16(count);
  for (let i = 0; i < count; i++) block.offset16(ruleSet(rules.get(i)));
  return store.keep(block);
}

function writeRule(
  rule: SequenceRule,
  chained: boolean,
  lookupAt: (lookup: number) => number | undefined,
): Block {
  const { backtrack, input, lookahead, lookups } = rule;
  const block = new Block();
  const records = keptLookups(lookups, lookupAt);
  if (!chained) {
    block
      .uint16(input.length + 1)
      .uint16(records.length)
      .uint16Array(input);
    return writeLookups(block, records);
  }
  block.uint16(backtrack.length).uint16Array(backtrack);
  block.uint16(input.length + 1).uint16Array(input);
  block.uint16(lookahead.length).uint16Array(lookahead).uint16(records.length);
  return writeLookups(block, records);
}

function writeCoverageContext(
  { chained, backtrack, input, lookahead, lookups }: CoverageContext,
  lookupAt: (lookup: number) => number | undefined,
  store: BlockStore,
): Block {
  const records = keptLookups(lookups, lookupAt);
  const block = new Block().uint16(3);
  const coverages = (list: readonly Coverage[]) => {
    for (const coverage of list) block.offset16(writeCoverage(coverage, store));
  };
  if (!chained) {
    block.uint16(input.length).uint16(records.length);
    coverages(input);
    return writeLookups(block, records);
  }
  for (const list of [backtrack, input, lookahead]) {
    block.uint16(list.length);
    coverages(list);
  }
  return writeLookups(block.uint16(records.length), records);
}

function keptLookups(
  lookups: readonly SequenceLookup[],
  lookupAt: (lookup: number) => number | undefined,
): SequenceLookup[] {
  return lookups.flatMap(({ sequenceIndex, lookupListIndex }) => {
    const kept = lookupAt(lookupListIndex);
    return kept === undefined ? [] : [{ sequenceIndex, lookupListIndex: kept }];
  });
}

function writeLookups(block: Block, lookups: readonly SequenceLookup[]): Block {
  for (const { sequenceIndex, lookupListIndex } of lookups)
    block.uint16(sequenceIndex).uint16(lookupListIndex);
  return block;
}

/** The context with other numbers for the lookups that it applies. */
export function withOtherLookups(
  context: SequenceContext,
  numberOf: (lookup: number) => number,
): SequenceContext {
  const changed = (lookups: readonly SequenceLookup[]) =>
    lookups.map((one) => ({ ...one, lookupListIndex: numberOf(one.lookupListIndex) }));
  if (context.format === 3) return { ...context, lookups: changed(context.lookups) };
  const rules = new Map(
    Array.from(context.rules, ([first, set]) => [
      first,
      set.map((rule) => ({ ...rule, lookups: changed(rule.lookups) })),
    ]),
  );
  return { ...context, rules };
}

/** Every lookup that a context may apply. */
export function lookupsOf(context: SequenceContext): number[] {
  const lists =
    context.format === 3 ? [context.lookups] : [...context.rules.values()].flat().map((rule) => rule.lookups);
  return lists.flat().map(({ lookupListIndex }) => lookupListIndex);
}
