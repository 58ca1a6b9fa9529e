// OpenType: GDEF, Glyph Definition Table

import { Block, BlockStore, packBlocks } from '../../bytes/blocks.js';
import { Reader } from '../../bytes/reader.js';
import { DenseGlyphError } from '../../../errors.js';
import type { Font } from '../../sfnt/font.js';
import {
  itemVariationStoreBlock,
  readItemVariationStore,
  type ItemVariationStore,
} from '../../variations/item-variation-store.js';
import {
  keptClasses,
  readClassDefinition,
  writeClassDefinition,
  writeNeededClassDefinition,
  type ClassDefinition,
} from './class-definition.js';
import { ascending, readCoverage, writeCoverage, type Coverage } from './coverage.js';
import type { GlyphMap } from './glyph-map.js';

/** What layout needs to know of glyphs. Points and carets inside glyphs are left out: no browser uses them. */
export interface Gdef {
  /** Undefined where the font has none: then browsers tell marks by their characters, but not where it is empty. */
  glyphClasses: ClassDefinition | undefined;
  markAttachmentClasses: ClassDefinition;
  markGlyphSets: Coverage[];
  /** What is wrong with classes that are missing. */
  damage?: DenseGlyphError;
  /** Of fonts with axes; without those deltas mean nothing. */
  variationStore?: ItemVariationStore;
}

/** GlyphClassDef: combining marks. */
export const markClass = 3;

/** @returns undefined where the font has no such table */
export function readGdef(font: Font): Gdef | undefined {
  if (!font.has('GDEF')) return undefined;
  const reader = new Reader(font.bytesOf('GDEF'), 'GDEF').limitReadings();
  const majorVersion = reader.uint16();
  const minorVersion = reader.uint16();
  if (majorVersion !== 1) throw reader.damaged(`version ${majorVersion} is not known`, 0);
  const [glyphClassDef, , , markAttachClassDef] = reader.uint16Array(4);
  const markGlyphSetsDef = minorVersion >= 2 ? reader.uint16() : 0;
  const itemVarStore = minorVersion >= 3 && font.has('fvar') ? reader.uint32() : 0;
  let damage: DenseGlyphError | undefined;
  // Where classes are damaged, WebKitGTK finds none and goes on with the table; the others refuse the font.
  const classesAt = (offset: number): ClassDefinition => {
    try {
      return readClassDefinition(reader, offset);
    } catch (cause) {
      if (reader.isExhausted || !(cause instanceof DenseGlyphError)) throw cause;
      damage = cause;
      return new Map();
    }
  };
  const glyphClasses = glyphClassDef === 0 ? undefined : classesAt(glyphClassDef);
  const markAttachmentClasses = classesAt(markAttachClassDef);
  const markGlyphSets = markGlyphSetsDef === 0 ? [] : readMarkGlyphSets(reader, markGlyphSetsDef);
  const table: Gdef = { glyphClasses, markAttachmentClasses, markGlyphSets, ...(damage ? { damage } : {}) };
  return itemVarStore === 0
    ? table
    : { ...table, variationStore: readItemVariationStore(reader, itemVarStore) };
}

function readMarkGlyphSets(reader: Reader, start: number): Coverage[] {
  const format = reader.seek(start).uint16();
  if (format !== 1) throw reader.damaged(`format ${format} of mark glyph sets is not known`, start);
  const offsets = reader.uint32Array(reader.uint16());
  return Array.from(offsets, (offset) => readCoverage(reader, start + offset));
}

/** The table for the glyphs that stay, with their new numbers. Sets keep their numbers, as lookups name them. */
export function keptGdef(table: Gdef, map: GlyphMap): Gdef {
  return {
    glyphClasses: table.glyphClasses && keptClasses(table.glyphClasses, map),
    markAttachmentClasses: keptClasses(table.markAttachmentClasses, map),
    markGlyphSets: table.markGlyphSets.map((set) => map.those(set).sort(ascending)),
    ...(table.variationStore ? { variationStore: table.variationStore } : {}),
  };
}

/**
 * @param classesMatter whether it makes a difference that there are glyph classes, though no glyph has one
 * @returns undefined where nothing is left to say
 */
export function writeGdef(table: Gdef, classesMatter: boolean): Uint8Array | undefined {
  const store = new BlockStore();
  const { markGlyphSets, variationStore } = table;
  const write = classesMatter ? writeNeededClassDefinition : writeClassDefinition;
  const glyphClasses = table.glyphClasses && write(table.glyphClasses, store);
  const markAttachmentClasses = writeClassDefinition(table.markAttachmentClasses, store);
  const hasStore = variationStore !== undefined && variationStore.data.length > 0;
  if (!glyphClasses && !markAttachmentClasses && markGlyphSets.length === 0 && !hasStore) return undefined;
  const minorVersion = hasStore ? 3 : markGlyphSets.length > 0 ? 2 : 0;
  const block = new Block(18).uint16(1).uint16(minorVersion);
  block.offset16(glyphClasses).uint16(0).uint16(0).offset16(markAttachmentClasses);
  if (minorVersion >= 2) block.offset16(markGlyphSetsBlock(markGlyphSets, store));
  if (hasStore) block.offset32(itemVariationStoreBlock(variationStore));
  const { bytes } = packBlocks(block);
  if (!bytes) throw new DenseGlyphError('value-unwritable', 'GDEF has grown too large for its offsets');
  return bytes;
}

function markGlyphSetsBlock(sets: readonly Coverage[], store: BlockStore): Block | undefined {
  if (sets.length === 0) return undefined;
  const block = new Block().uint16(1).uint16(sets.length);
  for (const set of sets) block.offset32(writeCoverage(set, store));
  return block;
}
