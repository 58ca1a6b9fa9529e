// OpenType: GSUB and GPOS, packed

import { Block, BlockStore, packBlocks, type Overflow } from '../bytes/blocks.js';
import { DenseGlyphError } from '../../errors.js';
import type { DeltaSetMap } from './common/device.js';
import { writeFeatureVariations } from './common/feature-variations.js';
import type { KeptLayout } from './kept-layout.js';
import { extensionTypes, kindOf, positioningKindOf, type Subtable } from './kinds.js';
import type { Feature, LanguageSystem, Lookup, Script } from './layout-table.js';

export interface LayoutWriteOptions {
  /** Where the delta sets of variable fonts are now. */
  deltaSets?: DeltaSetMap | undefined;
  /** Whether instructions stay. */
  hinted: boolean;
}

/** Rounds of making room for offsets, each with other means than the one before. */
const maximumRounds = 64;

/**
 * The table's bytes. Equal pieces are stored once. Where an offset doesn't fit, first large lookups get offsets of 32
 * bits, then shared pieces a copy for each, then pair tables are split.
 *
 * @throws DenseGlyphError `value-unwritable` where all of that isn't enough
 */
export function writeLayout(layout: KeptLayout, options: LayoutWriteOptions): Uint8Array {
  let { lookups } = layout;
  for (let round = 0; round < maximumRounds; round++) {
    const written = writeSubtables({ ...layout, lookups }, options);
    const sizes = written.subtables.map((blocks) => sizeOf(blocks));
    for (let extended = tooMany(sizes); ; extended = Math.min(lookups.length, extended * 2 + 1)) {
      const root = tableBlock({ ...layout, lookups }, written, largest(sizes, extended));
      let packed = packBlocks(root);
      if (extended >= lookups.length) packed = unshared(root, packed);
      if (packed.bytes) return packed.bytes;
      if (extended >= lookups.length) break;
    }
    const split = lookups.map((lookup, i) => (sizes[i] > maximumOffset ? splitLookup(lookup) : lookup));
    if (split.every((lookup, i) => lookup === lookups[i])) break;
    lookups = split;
  }
  throw new DenseGlyphError('value-unwritable', `${layout.tag} has grown too large for its offsets`);
}

const maximumOffset = 0xffff;

/** How many lookups, the largest first, have to go out of the reach of 16 bits so that the others fit into it. */
function tooMany(sizes: readonly number[]): number {
  let size = sizes.reduce((sum, one) => sum + one, 0);
  const sorted = [...sizes].sort((a, b) => b - a);
  let count = 0;
  while (count < sorted.length && size > maximumOffset) size -= sorted[count++];
  return count;
}

function largest(sizes: readonly number[], count: number): ReadonlySet<number> {
  const bySize = sizes.map((_, i) => i).sort((a, b) => sizes[b] - sizes[a]);
  return new Set(bySize.slice(0, count));
}

function splitLookup(lookup: Lookup): Lookup {
  const subtables = lookup.subtables.flatMap(
    (subtable) => positioningKindOf(subtable)?.split?.(subtable) ?? [subtable],
  );
  return subtables.length === lookup.subtables.length ? lookup : { ...lookup, subtables };
}

/** The subtables of each lookup, and what keeps equal pieces one. */
interface WrittenSubtables {
  store: BlockStore;
  subtables: Block[][];
}

function writeSubtables(layout: KeptLayout, options: LayoutWriteOptions): WrittenSubtables {
  const store = new BlockStore();
  const context = {
    store,
    deltaSets: options.deltaSets,
    hinted: options.hinted,
    lookupAt: (lookup: number) => layout.lookupNumbers.get(lookup),
  };
  // Lookups may share their subtables.
  const [last, others] = [new Map<Subtable, Block>(), new Map<Subtable, Block>()];
  const subtables = layout.lookups.map((lookup) =>
    lookup.subtables.map((subtable, i) => {
      const isLast = i === lookup.subtables.length - 1;
      const known = isLast ? last : others;
      const block = known.get(subtable) ?? kindOf(subtable).write(subtable, { ...context, isLast });
      known.set(subtable, block);
      return block;
    }),
  );
  return { store, subtables };
}

/** @param extended the lookups that get offsets of 32 bits */
function tableBlock(
  layout: KeptLayout,
  { store, subtables }: WrittenSubtables,
  extended: ReadonlySet<number>,
): Block {
  const lookupList = new Block().uint16(layout.lookups.length);
  layout.lookups.forEach((lookup, i) => {
    lookupList.offset16(store.keep(lookupBlock(lookup, subtables[i], extended.has(i), layout, store)));
  });
  const variations = writeFeatureVariations(layout.featureVariations, store);
  const root = new Block(14).uint16(1).uint16(variations ? 1 : 0);
  root
    .offset16(scriptList(layout.scripts, store))
    .offset16(featureList(layout.features, store))
    .offset16(lookupList);
  return variations ? root.offset32(variations) : root;
}

function lookupBlock(
  { type, flag, markFilteringSet }: Lookup,
  subtables: readonly Block[],
  extended: boolean,
  { tag }: KeptLayout,
  store: BlockStore,
): Block {
  const block = new Block()
    .uint16(extended ? extensionTypes[tag] : type)
    .uint16(flag)
    .uint16(subtables.length);
  for (const subtable of subtables) {
    block.offset16(extended ? store.keep(new Block(8).uint16(1).uint16(type).offset32(subtable)) : subtable);
  }
  return markFilteringSet === undefined ? block : block.uint16(markFilteringSet);
}

/** Bytes of blocks and all that they point to. */
function sizeOf(blocks: readonly Block[]): number {
  const seen = new Set<Block>();
  const waiting = [...blocks];
  let size = 0;
  for (let block = waiting.pop(); block; block = waiting.pop()) {
    if (seen.has(block)) continue;
    seen.add(block);
    size += block.length;
    for (const { target } of block.links) waiting.push(target);
  }
  return size;
}

function scriptList(scripts: readonly Script[], store: BlockStore): Block {
  const block = new Block().uint16(scripts.length);
  for (const { tag, defaultLanguageSystem, languageSystems } of scripts) {
    const script = new Block().offset16(defaultLanguageSystem && systemBlock(defaultLanguageSystem, store));
    script.uint16(languageSystems.length);
    for (const record of languageSystems) script.tag(record.tag).offset16(systemBlock(record.system, store));
    block.tag(tag).offset16(store.keep(script));
  }
  return store.keep(block);
}

function systemBlock({ required = 0xffff, features }: LanguageSystem, store: BlockStore): Block {
  return store.keep(new Block().uint16(0).uint16(required).uint16(features.length).uint16Array(features));
}

function featureList(features: readonly Feature[], store: BlockStore): Block {
  const block = new Block().uint16(features.length);
  for (const { tag, params, lookups } of features) {
    const feature = new Block().offset16(params && store.keep(new Block().write(params)));
    feature.uint16(lookups.length).uint16Array(lookups);
    block.tag(tag).offset16(store.keep(feature));
  }
  return store.keep(block);
}

/** Gives what points too far to a shared block a copy of its own, until all offsets fit or nothing is shared. */
function unshared(root: Block, packed: ReturnType<typeof packBlocks>): ReturnType<typeof packBlocks> {
  let result = packed;
  for (let round = 0; round < maximumRounds && result.overflows; round++) {
    const parents = parentsOf(root);
    let copied = 0;
    for (const overflow of result.overflows) copied += copyFor(overflow, parents);
    if (copied === 0) return result;
    result = packBlocks(root);
  }
  return result;
}

function parentsOf(root: Block): Map<Block, Set<Block>> {
  const parents = new Map<Block, Set<Block>>([[root, new Set()]]);
  const waiting = [root];
  for (let block = waiting.pop(); block; block = waiting.pop()) {
    for (const { target } of block.links) {
      const known = parents.get(target);
      if (known) known.add(block);
      else {
        parents.set(target, new Set([block]));
        waiting.push(target);
      }
    }
  }
  return parents;
}

function copyFor({ from, to }: Overflow, parents: Map<Block, Set<Block>>): number {
  const others = parents.get(to)!;
  if (others.size < 2 || !others.delete(from)) return 0;
  const copy = new Block(to.length).write(to.bytes());
  // Links of its own, as those of the other may be led elsewhere later.
  copy.links.push(...to.links.map((link) => ({ ...link })));
  for (const link of from.links) if (link.target === to) link.target = copy;
  return 1;
}
