import { rangeText } from './font-face.js';
import type { Range, Slope } from './style.js';

/** A face as it is named to people: `400`, `700 italic`, `300–800`, `400 75%`. */
export function faceLabel({
  weight,
  style,
  stretch,
}: {
  weight: Range;
  style: Slope;
  stretch?: Range;
}): string {
  const numbers = rangeText(weight).replace(' ', '–');
  const width =
    !stretch || (stretch[0] === 100 && stretch[1] === 100)
      ? ''
      : ` ${rangeText(stretch, '%').replace(' ', '–')}`;
  return `${numbers}${style === 'normal' ? '' : ` ${style}`}${width}`;
}

/** What tells a face of a family from another one. */
export const faceKey = ({
  family,
  weight,
  style,
  stretch,
}: {
  family: string;
  weight: Range;
  style: Slope;
  stretch: Range;
}): string => JSON.stringify([family.toLowerCase(), weight, style, stretch]);
