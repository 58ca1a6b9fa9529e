// OpenType: GPOS, LookupType 4: Mark-to-Base Attachment Positioning

import { glyphClass } from '../common/glyph-run.js';
import type { PositioningKind } from '../common/lookup-kind.js';
import type { Work } from '../common/work.js';
import { attach, attachments, type MarkAttachment } from './marks.js';

/** Marks on letters. */
export type MarkToBaseAttachment = MarkAttachment<'mark to base'>;

export const markToBase: PositioningKind<MarkToBaseAttachment> = {
  ...attachments('mark to base', 4),

  apply(work, { marks, bases }, at) {
    const mark = marks.get(work.run[at].glyph);
    const to = baseBefore(work, at);
    if (!mark || to < 0) return -1;
    return attach(work, at, to, bases.get(work.run[to].glyph)?.[mark.markClass], mark.anchor);
  },
};

/** The nearest glyph before that is no mark. @returns -1 where there is none */
export function baseBefore({ run, classes }: Work, at: number): number {
  let to = at - 1;
  while (to >= 0 && (classes.of(run[to]) === glyphClass.mark || run[to].ignorable !== 'no')) to--;
  return to;
}
