/**
 * Tables whose pieces point to each other by offset: pieces are built as blocks, equal ones are stored once, and
 * `packBlocks` puts them in an order in which every offset fits.
 */
import { DenseGlyphError } from '../errors.js';
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
  const starts = new Map<Block, number>();
  let size = 0;
  for (const block of order) {
    starts.set(block, size);
    size += block.length;
  }
  const overflows: Overflow[] = [];
  for (const block of order) {
    for (const { size: width, target } of block.links) {
      if (width === 2 && starts.get(target)! - starts.get(block)! > 0xffff) {
        overflows.push({ from: block, to: target });
      }
    }
  }
  if (overflows.length > 0) return { overflows };
  const writer = new Writer(size);
  for (const block of order) {
    const start = writer.append(block).length - block.length;
    for (const { at, size: width, target } of block.links) {
      const offset = starts.get(target)! - start;
      if (width === 2) writer.patchUint16(start + at, offset);
      else writer.patchUint32(start + at, offset);
    }
  }
  return { bytes: writer.bytes() };
}

/** Parents before children; among those that are free, the one nearest to the root. */
function ordered(root: Block): Block[] {
  const distances = distancesFrom(root);
  const waiting = new Map<Block, number>();
  for (const block of distances.keys()) {
    for (const { target } of block.links) waiting.set(target, (waiting.get(target) ?? 0) + 1);
  }
  const free = new Heap<Block>();
  free.push(root, 0);
  const order: Block[] = [];
  for (let block = free.pop(); block; block = free.pop()) {
    order.push(block);
    for (const { target } of block.links) {
      const left = waiting.get(target)! - 1;
      waiting.set(target, left);
      if (left === 0) free.push(target, distances.get(target)!);
    }
  }
  if (order.length < distances.size)
    throw new DenseGlyphError('value-unwritable', 'blocks point in a circle');
  return order;
}

/** What 32 bits reach starts a space of its own, far behind all before it. */
const spaceBetween = 2 ** 40;

/** The shortest way to each block, in bytes of the blocks on it (Dijkstra). */
function distancesFrom(root: Block): Map<Block, number> {
  const distances = new Map<Block, number>([[root, 0]]);
  const done = new Set<Block>();
  const heap = new Heap<Block>();
  heap.push(root, 0);
  let spaces = 0;
  for (let block = heap.pop(); block; block = heap.pop()) {
    if (done.has(block)) continue;
    done.add(block);
    const from = distances.get(block)!;
    for (const { size, target } of block.links) {
      const known = distances.get(target);
      if (size === 4 && known !== undefined) continue;
      const distance = size === 4 ? ++spaces * spaceBetween : from + target.length;
      if (known !== undefined && known <= distance) continue;
      distances.set(target, distance);
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
