// OpenType: GPOS, LookupType 5: Mark-to-Ligature Attachment Positioning

import { Block } from '../../bytes/blocks.js';
import { ascending } from '../common/coverage.js';
import { keptKeys, withValues } from '../common/glyph-map.js';
import type { PositioningKind } from '../common/lookup-kind.js';
import { baseBefore } from './mark-to-base.js';
import {
  attach,
  eachVariationOf,
  keptMarks,
  marksWithDevices,
  readMarks,
  readRow,
  rowsOf,
  rowWithDevices,
  writeMarks,
  type AnchorRow,
  type Marks,
} from './marks.js';
import { writeAnchor } from './value-record.js';

/** Marks on the components of ligatures. */
export interface MarkToLigatureAttachment extends Marks {
  kind: 'mark to ligature';
  /** By component. */
  ligatures: Map<number, AnchorRow[]>;
}

export const markToLigature: PositioningKind<MarkToLigatureAttachment> = {
  types: { GPOS: [5] },

  read(reader, start, _type, scope) {
    const { classCount, marks, bases, baseArray } = readMarks(reader, start, scope);
    const offsets = reader.seek(baseArray).uint16Array(reader.uint16());
    const ligatures = rowsOf(bases, Math.min(bases.length, offsets.length), scope.wanted, (i) => {
      const at = baseArray + offsets[i];
      const matrix = reader.seek(at).uint16Array(reader.uint16() * classCount);
      const components = classCount === 0 ? 0 : matrix.length / classCount;
      return Array.from({ length: components }, (_, component) =>
        readRow(
          reader,
          at,
          matrix.subarray(component * classCount, (component + 1) * classCount),
          scope.varies,
        ),
      );
    });
    return { kind: 'mark to ligature', classCount, marks, ligatures };
  },

  kept(subtable, map) {
    const kept = keptMarks(subtable, map);
    if (!kept) return undefined;
    const { classCount, marks, rowOf } = kept;
    const ligatures = keptKeys(subtable.ligatures, map, (rows) => rows.map(rowOf));
    return ligatures.size > 0 ? { kind: 'mark to ligature', classCount, marks, ligatures } : undefined;
  },

  write(subtable, target) {
    const ligatures = [...subtable.ligatures.keys()].sort(ascending);
    return writeMarks(subtable, ligatures, target, (glyph, array) => {
      const components = subtable.ligatures.get(glyph)!;
      const block = new Block().uint16(components.length);
      for (const anchor of components.flat()) block.offset16(writeAnchor(anchor, target));
      array.offset16(target.store.keep(block));
    });
  },

  mentions: ({ marks, ligatures }, glyph) => marks.has(glyph) || ligatures.has(glyph),

  firsts: ({ marks }) => marks.keys(),

  apply(work, { marks, ligatures }, at) {
    const { run } = work;
    const mark = marks.get(run[at].glyph);
    const to = baseBefore(work, at);
    if (!mark || to < 0) return -1;
    const parts = ligatures.get(run[to].glyph) ?? [];
    const isOwn = run[at].ligature !== 0 && run[at].ligature === run[to].ligature && run[at].component > 0;
    const part = Math.min(isOwn ? run[at].component : parts.length, parts.length) - 1;
    return attach(work, at, to, parts[part]?.[mark.markClass], mark.anchor);
  },

  eachVariation: ({ marks, ligatures }, visit) => {
    eachVariationOf(marks.values(), [...ligatures.values()].flat(), visit);
  },

  withDevices: (subtable, change) => ({
    ...subtable,
    marks: marksWithDevices(subtable.marks, change),
    ligatures: withValues(subtable.ligatures, (rows) => rows.map((row) => rowWithDevices(row, change))),
  }),
};
