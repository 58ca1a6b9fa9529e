// OpenType: GPOS, LookupType 6: Mark-to-Mark Attachment Positioning

import { glyphClass } from '../common/glyph-run.js';
import type { PositioningKind } from '../common/lookup-kind.js';
import { placeBefore } from '../common/work.js';
import { attach, attachments, isSamePart, type MarkAttachment } from './marks.js';

/** Marks on marks. */
export type MarkToMarkAttachment = MarkAttachment<'mark to mark'>;

export const markToMark: PositioningKind<MarkToMarkAttachment> = {
  ...attachments('mark to mark', 6),

  apply(work, { marks, bases }, at) {
    const { run, classes } = work;
    const mark = marks.get(run[at].glyph);
    const to = mark?.anchor ? placeBefore(work, at) : -1;
    if (!mark || to < 0) return -1;
    if (classes.of(run[to]) !== glyphClass.mark || !isSamePart(run[at], run[to])) return -1;
    return attach(work, at, to, bases.get(run[to].glyph)?.[mark.markClass], mark.anchor);
  },
};
