// CSS 2, section 10.3; Sizing 3; Flexbox 1; Grid 2: how long lines of a box may be, as far as rules say it

import type { LineStyle } from '../cascade/computed.js';
import { sumOf, type Measure } from '../css/measures.js';

/** How long the lines in a box may be, on one screen. */
export interface LineRoom {
  /** CSS pixels; at most so long where the rest comes of the layout. */
  px: number;
  /** CSS pixels of the font size times how many zeros wide it is: by the face that is drawn, so that it changes with it. */
  zeros?: number;
  /** What is taken away from these, CSS pixels. */
  less?: number;
  /** Whether rules say it. */
  isKnown: boolean;
}

type BoxStyle = Pick<
  LineStyle,
  | 'alignItems'
  | 'borderLeftWidth'
  | 'borderRightWidth'
  | 'boxKind'
  | 'boxSizing'
  | 'flexDirection'
  | 'float'
  | 'fontSize'
  | 'gridTemplateColumns'
  | 'marginLeft'
  | 'marginRight'
  | 'maxWidth'
  | 'paddingLeft'
  | 'paddingRight'
  | 'position'
  | 'width'
>;

/** A zero is half as wide as it is high in most faces: for what isn't text. */
const usualZero = 0.5;

/**
 * The room in a box.
 *
 * @param around the room that it stands in
 * @param container the style of the box that lays it out
 * @param isPart whether it is a part of a table, or a control, whose widths come of what stands in them
 */
export function roomInside(
  around: LineRoom,
  style: BoxStyle,
  container: BoxStyle | undefined,
  isPart: boolean,
): LineRoom {
  const inPixels = (measure: Measure) => pixelsOf(measure, around.px, style.fontSize);
  const inner =
    inPixels(style.paddingLeft) +
    inPixels(style.paddingRight) +
    inPixels(style.borderLeftWidth) +
    inPixels(style.borderRightWidth);
  const within = style.boxSizing === 'border-box' ? inner : 0;
  const outer = inPixels(style.marginLeft) + inPixels(style.marginRight);
  const isStretched = !isPart && fills(style, container);
  let room: LineRoom = lessened(around, inner + outer);
  if (!isStretched) room.isKnown = false;
  if (style.width !== 'auto') room = stated(style.width, room, around, style.fontSize, within);
  if (style.maxWidth === 'auto') return room;
  const most = stated(style.maxWidth, room, around, style.fontSize, within);
  if (most.zeros !== undefined) return { ...most, px: Math.min(room.px, most.px) };
  return most.isKnown && most.px < room.px ? most : room;
}

const pixelsOf = (measure: Measure, around: number, fontSize: number): number => {
  if (measure === 'auto') return 0;
  const { px, ch, percent } = sumOf(measure);
  return px + ch * usualZero * fontSize + (percent / 100) * around;
};

function lessened({ px, zeros, less = 0, isKnown }: LineRoom, by: number): LineRoom {
  const room = { px: Math.max(0, px - by), isKnown };
  return zeros === undefined ? room : { ...room, zeros, less: less + by };
}

/** Whether it is as wide as what is around it. */
function fills({ boxKind, float, position }: BoxStyle, container: BoxStyle | undefined): boolean {
  if (position === 'absolute' || position === 'fixed') return false;
  const { inner } = container?.boxKind ?? { inner: 'flow' };
  if (inner === 'flex')
    return (
      container!.flexDirection.startsWith('column') && /^(?:normal|stretch)$/.test(container!.alignItems)
    );
  if (inner === 'grid') return container!.gridTemplateColumns === 'none';
  return inner === 'flow' && float === 'none' && boxKind.outer === 'block' && boxKind.inner !== 'table';
}

/** What a rule says of it, within what is around. */
function stated(
  measure: Exclude<Measure, 'auto'>,
  room: LineRoom,
  around: LineRoom,
  fontSize: number,
  within: number,
): LineRoom {
  const { px, ch, percent } = sumOf(measure);
  if (percent !== 0 && !around.isKnown) return { ...room, isKnown: false };
  const all = px + (percent / 100) * around.px - within;
  if (ch === 0) return { px: Math.max(0, Math.min(all, room.px)), isKnown: true };
  return { px: room.px, zeros: ch * fontSize, less: -all, isKnown: true };
}

/** Widths of screens that many people have, CSS pixels: of phones, tablets and others. */
const usualWidths: readonly (readonly number[])[] = [
  [360, 375, 390, 412, 430],
  [744, 768, 820, 834],
  [1280, 1366, 1440, 1536, 1920],
];

/** Screens on which a page that was laid out for one so wide is laid out likewise, but for the lengths of its lines. */
export const screensLike = (width: number): readonly number[] =>
  (usualWidths.find((widths) => width <= widths.at(-1)!) ?? []).filter((one) => one !== width);
