import { readOnce } from '../../../bytes/read-once.js';
import type { Reader } from '../../../bytes/reader.js';
import { readClassDefinition } from '../class-definition.js';
import { readCoverage } from '../coverage.js';
import type { CoverageContext, SequenceContext, SequenceLookup, SequenceRule } from './types.js';

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
