// Whether a character is drawn as well as before, by what the cascade asks for

import type { DrawingDescriptors, Range } from '../../core/face/index.js';
import type { AskedStyle } from '../../site/usage/page-face.js';
import type { FaceRule } from '../../site/usage/declared-faces.js';

/** What draws a character: a declared face, as far as it can be seen. */
export interface Drawing {
  family: string;
  /** The place in the range of the face that is nearest to what is asked for. */
  weight: number;
  /** Percent. */
  stretch: number;
  style: FaceRule['style'];
  /** Degrees, where an oblique face names them. */
  slant: Range | undefined;
  descriptors: DrawingDescriptors | undefined;
  faked: readonly ('bold' | 'slant')[];
}

/** What is worse about a drawing. */
export type Loss = 'local font' | 'another family' | 'faked' | 'another weight' | 'another style';

/** A drawing against an earlier one. */
export type Judgement = 'the same' | 'better' | Loss;

const nearest = (asked: number, [low, high]: Range): number => Math.min(high, Math.max(low, asked));

/** @param stop the weight at which the file's axis stops then, where it has such */
export const drawingOf = (
  { family, weight, stretch, style, slant, descriptors }: FaceRule,
  asked: AskedStyle,
  faked: readonly ('bold' | 'slant')[],
  stop?: number,
): Drawing => ({
  family,
  weight: stop ?? nearest(asked.weight, weight),
  stretch: nearest(asked.stretch, stretch),
  style,
  slant,
  descriptors,
  faked,
});

/**
 * Whether what draws a character is as good as what drew it: the same, or nearer to what is asked for.
 *
 * @param before and `after`: undefined for a local font
 * @param stack families that are asked for, from the first on
 */
export function judgeDrawing(
  before: Drawing | undefined,
  after: Drawing | undefined,
  asked: AskedStyle,
  stack: readonly string[],
): Judgement {
  if (!after) return before ? 'local font' : 'the same';
  if (!before) return 'better';
  const place = ({ family }: Drawing) => {
    const at = stack.findIndex((name) => name.toLowerCase() === family.toLowerCase());
    return at < 0 ? Infinity : at;
  };
  const [was, is] = [place(before), place(after)];
  if (is !== was) return is < was ? 'better' : 'another family';
  if (after.faked.some((one) => !before.faked.includes(one))) return 'faked';
  const isSlopeNearer = after.style === asked.style && before.style !== asked.style;
  if (!sameSlope(before, after) && !isSlopeNearer) return 'another style';
  if (!sameDescriptors(before, after)) return 'another style';
  const steps = [
    [Math.abs(before.weight - asked.weight), Math.abs(after.weight - asked.weight)],
    [Math.abs(before.stretch - asked.stretch), Math.abs(after.stretch - asked.stretch)],
  ];
  if (before.weight !== after.weight && steps[0][1] >= steps[0][0]) return 'another weight';
  if (before.stretch !== after.stretch && steps[1][1] >= steps[1][0]) return 'another style';
  const isSame =
    before.weight === after.weight &&
    before.stretch === after.stretch &&
    before.style === after.style &&
    before.faked.length === after.faked.length;
  return isSame ? 'the same' : 'better';
}

const sameSlope = (one: Drawing, other: Drawing): boolean =>
  one.style === other.style && JSON.stringify(one.slant) === JSON.stringify(other.slant);

const sameDescriptors = ({ descriptors: one = {} }: Drawing, { descriptors: other = {} }: Drawing): boolean =>
  [...new Set([...Object.keys(one), ...Object.keys(other)])].every(
    (name) => one[name as keyof DrawingDescriptors] === other[name as keyof DrawingDescriptors],
  );
