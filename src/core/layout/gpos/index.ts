/** Kinds of lookups of GPOS, but for contexts. */
import type { PositioningKind } from '../common/lookup-kind.js';
import { cursive, type CursiveAttachment } from './cursive.js';
import { markToBase, type MarkToBaseAttachment } from './mark-to-base.js';
import { markToLigature, type MarkToLigatureAttachment } from './mark-to-ligature.js';
import { markToMark, type MarkToMarkAttachment } from './mark-to-mark.js';
import { pairAdjustment, type PairAdjustment } from './pair-adjustment.js';
import { singleAdjustment, type SingleAdjustment } from './single-adjustment.js';

export type Positioning =
  | SingleAdjustment
  | PairAdjustment
  | CursiveAttachment
  | MarkToBaseAttachment
  | MarkToLigatureAttachment
  | MarkToMarkAttachment;

/** Pairs are stored in two forms, either of which may become the other. */
export const positionings: {
  [Kind in Positioning['kind']]: Kind extends PairAdjustment['kind']
    ? PositioningKind<PairAdjustment>
    : PositioningKind<Extract<Positioning, { kind: Kind }>>;
} = {
  'single adjustment': singleAdjustment,
  'glyph pairs': pairAdjustment,
  'class pairs': pairAdjustment,
  cursive,
  'mark to base': markToBase,
  'mark to ligature': markToLigature,
  'mark to mark': markToMark,
};
