import { fontFaceText, type Range, type Slope } from '../../core/face/index.js';
import type { StandIn } from './stand-ins.js';

/** What a stand-in is declared as: all that its face is, so that browsers take the one until the other is there. */
export interface StandInRule {
  family: string;
  weight: Range;
  style: Slope;
  stretch: Range;
  slant?: Range | undefined;
  /** Characters that the face has; others are drawn by what follows in the stack. */
  unicodeRange?: string | undefined;
}

/** The `@font-face` rule of a stand-in (CSS Fonts 5, section 4: size-adjust and the metric overrides). */
export const standInRule = (
  rule: StandInRule,
  { names, sizeAdjust, ascent, descent, lineGap }: StandIn,
): string =>
  fontFaceText({
    ...rule,
    descriptors: {
      'size-adjust': `${Math.round(sizeAdjust * 10_000) / 100}%`,
      'ascent-override': `${ascent}%`,
      'descent-override': `${descent}%`,
      'line-gap-override': `${lineGap}%`,
    },
    sources: names.map((local) => ({ local })),
  });
