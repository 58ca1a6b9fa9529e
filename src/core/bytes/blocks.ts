/**
 * Tables whose pieces point to each other by offset: pieces are built as blocks, equal ones are stored once, and
 * `packBlocks` puts them in an order in which every offset fits.
 */
import { DenseGlyphError } from '../../errors.js';
import { mixed } from './hash.js';
import { Writer } from './writer.js';

interface Link {
  /** Where in the block the offset stands, in bytes. */
  at: number;
  /** Bytes of the offset. */
  size: 2 | 4;
  target: Block;
}

/** A piece of a table. Offsets count from its start. */
export class Block extends Writer {
  readonly links: Link[] = [];
  /** The hash of what it holds and points to, once a store keeps it. */
  digest = 0;
  /** Its number among the blocks that are packed at the moment. */
  number = 0;

  /** @param capacity bytes to reserve at first; most pieces are small */
  constructor(capacity = 24) {
    super(capacity);
  }

  /** An offset of 16 bits; 0 without a target. */
  offset16(target: Block | undefined): this {
    if (target) this.links.push({ at: this.length, size: 2, target });
    return this.uint16(0);
  }

  /** An offset of 32 bits; 0 without a target. */
  offset32(target: Block | undefined): this {
    if (target) this.links.push({ at: this.length, size: 4, target });
    return this.uint32(0);
  }
}

/** Blocks that are compared with a new one of the same hash. No real table has more, but one may be made to. */
const comparedBlocks = 16;

/** Keeps one block of those that hold the same. Targets have to be kept before what points to them. */
export class BlockStore {
  private readonly known = new Map<number, Block[]>();

  keep(block: Block): Block {
    const digest = digestOf(block);
    const alike = this.known.get(digest);
    const same = alike?.find((other) => isSame(block, other));
    if (same) return same;
    block.digest = digest;
    if (!alike) this.known.set(digest, [block]);
    else if (alike.length < comparedBlocks) alike.push(block);
    return block;
  }
}

function digestOf(block: Block): number {
  let hash = block.hash();
  for (const { at, size, target } of block.links) {
    hash = mixed(mixed(hash, at * 8 + size), target.digest);
  }
  return hash;
}

function isSame(one: Block, other: Block): boolean {
  if (one.links.length !== other.links.length || !one.holdsSame(other)) return false;
  return one.links.every(({ at, size, target }, i) => {
    const link = other.links[i];
    return at === link.at && size === link.size && target === link.target;
  });
}

/** An offset that doesn't fit its field. */
export interface Overflow {
  from: Block;
  to: Block;
}

export type Packed =
  { bytes: Uint8Array; overflows?: undefined } | { bytes?: undefined; overflows: Overflow[] };

/**
 * Joins blocks to a table: each comes after all that point to it, and nearest to the start those whose own and whose
 * parents' sizes are small. What is reached through 32 bits only comes last, and together.
 *
 * @returns the bytes, or the offsets that don't fit
 */
export function packBlocks(root: Block): Packed {
  const order = ordered(root);
  const starts = new Float64Array(order.length);
  let size = 0;
  for (let i = 0; i < order.length; i++) {
    const block = order[i];
    starts[block.number] = size;
    size += block.length;
  }
  const overflows = overflowsIn(order, starts);
  if (overflows.length > 0) return { overflows };
  const writer = new Writer(size);
  for (let i = 0; i < order.length; i++) {
    const { number, links } = order[i];
    const start = starts[number];
    writer.append(order[i]);
    for (let k = 0; k < links.length; k++) {
      const offset = starts[links[k].target.number] - start;
      if (links[k].size === 2) writer.patchUint16(start + links[k].at, offset);
      else writer.patchUint32(start + links[k].at, offset);
    }
  }
  return { bytes: writer.bytes() };
}

function overflowsIn(order: readonly Block[], starts: Float64Array): Overflow[] {
  const overflows: Overflow[] = [];
  for (let i = 0; i < order.length; i++) {
    const { number, links } = order[i];
    for (let k = 0; k < links.length; k++) {
      const { size, target } = links[k];
      if (size === 2 && starts[target.number] - starts[number] > 0xffff)
        overflows.push({ from: order[i], to: target });
    }
  }
  return overflows;
}

/** All blocks that can be reached, which are numbered by their place in this list. */
function reachedFrom(root: Block): Block[] {
  const reached = [root];
  const known = new Set(reached);
  for (let i = 0; i < reached.length; i++) {
    reached[i].number = i;
    const { links } = reached[i];
    for (let k = 0; k < links.length; k++) {
      const { target } = links[k];
      if (known.has(target)) continue;
      known.add(target);
      reached.push(target);
    }
  }
  return reached;
}

/** Parents before children; among those that are free, the one nearest to the root. */
function ordered(root: Block): Block[] {
  const blocks = reachedFrom(root);
  const distances = distancesFrom(blocks);
  const waiting = new Uint32Array(blocks.length);
  for (let i = 0; i < blocks.length; i++) {
    const { links } = blocks[i];
    for (let k = 0; k < links.length; k++) waiting[links[k].target.number]++;
  }
  const free = new Heap<Block>();
  free.push(root, 0);
  const order: Block[] = [];
  for (let block = free.pop(); block; block = free.pop()) {
    order.push(block);
    for (let k = 0; k < block.links.length; k++) {
      const { target } = block.links[k];
      if (--waiting[target.number] === 0) free.push(target, distances[target.number]);
    }
  }
  if (order.length < blocks.length) throw new DenseGlyphError('value-unwritable', 'blocks point in a circle');
  return order;
}

/** What 32 bits reach starts a space of its own, far behind all before it. */
const spaceBetween = 2 ** 40;

/** The shortest way from the first block to each, in bytes of the blocks on it (Dijkstra). */
function distancesFrom(blocks: readonly Block[]): Float64Array {
  const distances = new Float64Array(blocks.length).fill(Infinity);
  const isDone = new Uint8Array(blocks.length);
  const heap = new Heap<Block>();
  heap.push(blocks[0], 0);
  distances[0] = 0;
  let spaces = 0;
  for (let block = heap.pop(); block; block = heap.pop()) {
    if (isDone[block.number]) continue;
    isDone[block.number] = 1;
    const from = distances[block.number];
    for (let k = 0; k < block.links.length; k++) {
      const { size, target } = block.links[k];
      const known = distances[target.number];
      if (size === 4 && known < Infinity) continue;
      const distance = size === 4 ? ++spaces * spaceBetween : from + target.length;
      if (known <= distance) continue;
      distances[target.number] = distance;
      heap.push(target, distance);
    }
  }
  return distances;
}

/** The item of the smallest key first; of equal keys the one that was put in first. */
class Heap<Item> {
  private readonly items: { item: Item; key: number; turn: number }[] = [];
  private turn = 0;

  push(item: Item, key: number): void {
    const { items } = this;
    items.push({ item, key, turn: this.turn++ });
    let at = items.length - 1;
    while (at > 0) {
      const parent = (at - 1) >> 1;
      if (!this.before(at, parent)) break;
      this.swap(at, parent);
      at = parent;
    }
  }

  pop(): Item | undefined {
    const { items } = this;
    const top = items[0]?.item;
    const last = items.pop();
    if (items.length === 0 || !last) return top;
    items[0] = last;
    for (let at = 0; ;) {
      let first = at;
      const child = at * 2 + 1;
      if (child < items.length && this.before(child, first)) first = child;
      if (child + 1 < items.length && this.before(child + 1, first)) first = child + 1;
      if (first === at) return top;
      this.swap(at, first);
      at = first;
    }
  }

  private before(a: number, b: number): boolean {
    const one = this.items[a];
    const other = this.items[b];
    return one.key < other.key || (one.key === other.key && one.turn < other.turn);
  }

  private swap(a: number, b: number): void {
    const item = this.items[a];
    this.items[a] = this.items[b];
    this.items[b] = item;
  }
}
