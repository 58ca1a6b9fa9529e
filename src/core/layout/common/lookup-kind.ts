import type { Block, BlockStore } from '../../bytes/blocks.js';
import type { Reader } from '../../bytes/reader.js';
import type { Closing } from './closing.js';
import type { DeltaSetMap, Device } from './device.js';
import type { GlyphMap, Scope } from './glyph-map.js';
import type { Work } from './work.js';

export type LayoutTag = 'GSUB' | 'GPOS';

/** What of the font around them subtables are written for. */
export interface WriteContext {
  store: BlockStore;
  /** Where the delta sets of variable fonts are now. */
  deltaSets?: DeltaSetMap | undefined;
  /** Whether instructions stay. */
  hinted: boolean;
}

/** Where a subtable goes. */
export interface WriteTarget extends WriteContext {
  /** Whether no subtable of the lookup follows. */
  isLast: boolean;
  /** The new number of a lookup; undefined for one that is gone. */
  lookupAt: (lookup: number) => number | undefined;
}

/** All that is done to the subtables of one kind of lookup. */
export interface LookupKind<S> {
  /** LookupTypes, by table. */
  types: Readonly<Partial<Record<LayoutTag, readonly number[]>>>;
  /** @throws DenseGlyphError `table-damaged` */
  read(reader: Reader, start: number, type: number, scope: Scope): S;
  /** What is left where some glyphs go; undefined where nothing is. */
  kept(subtable: S, map: GlyphMap): S | undefined;
  write(subtable: S, target: WriteTarget): Block;
  /**
   * Whether a glyph stands in it, by itself or as one of a class other than 0. That is what Firefox looks for before it
   * shapes text word by word, without its spaces.
   */
  mentions(subtable: S, glyph: number): boolean;
  /** Glyphs at which it may do something. */
  firsts(subtable: S): Iterable<number>;
  /** From where to where it is applied to a run: from the start, if left out. */
  direction?: 'from the end';
  /** Lookups that it calls; none, if left out. */
  lookups?(subtable: S): readonly number[];
  /** Applies it to a place of a run. @returns where to go on from, or -1 where it says nothing of the place */
  apply(work: Work, subtable: S, at: number): number;
}

/** Those of GSUB. */
export interface SubstitutionKind<S> extends LookupKind<S> {
  /** Adds the glyphs that it makes of those that are there. */
  close(subtable: S, closing: Closing): void;
}

/** Gives the device that takes the place of another. */
export type ChangeDevice = (device: Device | undefined) => Device | undefined;

/** Those of GPOS. */
export interface PositioningKind<S> extends LookupKind<S> {
  /** Visits the delta sets that it refers to. */
  eachVariation(subtable: S, visit: (outerIndex: number, innerIndex: number) => void): void;
  /** With other devices in the place of those that it has. */
  withDevices(subtable: S, change: ChangeDevice): S;
  /** What of it does something where it ends its lookup; undefined where nothing does. All, if left out. */
  moving?(subtable: S): S | undefined;
  /** Halves of one that is too large for its offsets, or itself; itself, if left out. */
  split?(subtable: S): S[];
}
