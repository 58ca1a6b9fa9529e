import { Block, type BlockStore } from '../../../bytes/blocks.js';
import { writeClassDefinition, writeNeededClassDefinition } from '../class-definition.js';
import { ascending, writeCoverage, type Coverage } from '../coverage.js';
import type { CoverageContext, SequenceContext, SequenceLookup, SequenceRule } from './types.js';

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
