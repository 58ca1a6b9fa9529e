// OpenType: GPOS, LookupType 3: Cursive Attachment Positioning

import { Block } from '../../bytes/blocks.js';
import { ascending, readCoverage, writeCoverage } from '../common/coverage.js';
import { keptKeys, withValues } from '../common/glyph-map.js';
import type { PositioningKind } from '../common/lookup-kind.js';
import { readFormat } from '../common/read-format.js';
import { placeBefore } from '../common/work.js';
import { pointOf } from './moving.js';
import { anchorWithDevices, eachVariation, readAnchorAt, writeAnchor, type Anchor } from './value-record.js';

/** Joins letters where one ends and the next begins. */
export interface CursiveAttachment {
  kind: 'cursive';
  glyphs: Map<number, { entry?: Anchor; exit?: Anchor }>;
}

export const cursive: PositioningKind<CursiveAttachment> = {
  types: { GPOS: [3] },

  read(reader, start, _type, { wanted, varies }) {
    readFormat(reader, start, 1);
    const coverage = readCoverage(reader, start + reader.uint16());
    const offsets = reader.seek(start + 4).uint16Array(reader.uint16() * 2);
    const glyphs: CursiveAttachment['glyphs'] = new Map();
    coverage.slice(0, offsets.length / 2).forEach((glyph, i) => {
      if (!wanted.has(glyph)) return;
      const entry = readAnchorAt(reader, start, offsets[i * 2], varies);
      const exit = readAnchorAt(reader, start, offsets[i * 2 + 1], varies);
      glyphs.set(glyph, { ...(entry && { entry }), ...(exit && { exit }) });
    });
    return { kind: 'cursive', glyphs };
  },

  kept(subtable, map) {
    const glyphs = keptKeys(subtable.glyphs, map, (anchors) => anchors);
    return glyphs.size > 0 ? { ...subtable, glyphs } : undefined;
  },

  write(subtable, target) {
    const { store } = target;
    const glyphs = [...subtable.glyphs.keys()].sort(ascending);
    const block = new Block().uint16(1).offset16(writeCoverage(glyphs, store)).uint16(glyphs.length);
    for (const glyph of glyphs) {
      const { entry, exit } = subtable.glyphs.get(glyph)!;
      block.offset16(writeAnchor(entry, target)).offset16(writeAnchor(exit, target));
    }
    return store.keep(block);
  },

  mentions: ({ glyphs }, glyph) => glyphs.has(glyph),

  firsts: ({ glyphs }) => glyphs.keys(),

  apply(work, { glyphs }, at) {
    const { run } = work;
    const entry = glyphs.get(run[at].glyph)?.entry;
    const previous = entry ? placeBefore(work, at) : -1;
    const exit = previous < 0 ? undefined : glyphs.get(run[previous].glyph)?.exit;
    if (!entry || !exit) return -1;
    const [[exitX, exitY], [entryX, entryY]] = [pointOf(work, exit), pointOf(work, entry)];
    if (work.isRightToLeft) {
      const shift = exitX + run[previous].x;
      run[previous].advance -= shift;
      run[previous].x -= shift;
      run[at].advance = entryX + run[at].x;
    } else {
      run[previous].advance = exitX + run[previous].x;
      const shift = entryX + run[at].x;
      run[at].advance -= shift;
      run[at].x -= shift;
    }
    run[at].y = run[previous].y + exitY - entryY;
    return at + 1;
  },

  eachVariation({ glyphs }, visit) {
    for (const { entry, exit } of glyphs.values()) {
      eachVariation(entry?.devices, visit);
      eachVariation(exit?.devices, visit);
    }
  },

  withDevices: (subtable, change) => ({
    ...subtable,
    glyphs: withValues(subtable.glyphs, ({ entry, exit }) => ({
      ...(entry && { entry: anchorWithDevices(entry, change) }),
      ...(exit && { exit: anchorWithDevices(exit, change) }),
    })),
  }),
};
