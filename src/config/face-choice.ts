// How a config writes faces: `400`, `700 italic`, `300..800`, `400 75%`

import {
  drawingDescriptors,
  isDrawingValue,
  rangeText,
  type DrawingDescriptors,
  type FontDisplay,
  type Range,
  type Slope,
} from '../core/face/index.js';

/** A face as a config names it. */
export interface FaceChoice {
  /** One weight, or the part of a variable face. */
  weight: Range;
  style: Slope;
  /** Percent; any if left out. */
  stretch?: Range;
}

/** A file with what a rule is to declare of it. */
export interface DeclaredFile extends FaceChoice {
  file: string;
  slant?: Range;
  display?: FontDisplay;
  descriptors?: DrawingDescriptors;
  /** As `unicode-range` writes it. */
  unicodeRange?: string;
}

/** An entry of `files`: what opens as it is, or a file with what it is declared as. */
export type FileEntry = string | DeclaredFile;

export type PreloadChoice = 'auto' | 'none' | readonly FaceChoice[];

export const displays: readonly FontDisplay[] = ['auto', 'block', 'swap', 'fallback', 'optional'];

const number = '(\\d{1,4}(?:\\.\\d+)?)';
const facePattern = new RegExp(
  `^${number}(?:\\s*\\.\\.\\s*${number})?(?:\\s+(normal|italic|oblique)(?:\\s+(-?\\d{1,2})deg(?:\\s+(-?\\d{1,2})deg)?)?)?(?:\\s+${number}%(?:\\s*\\.\\.\\s*${number}%)?)?$`,
);

/** In JSON Schema. */
export const faceSource = facePattern.source;

export const faceAdvice = 'write faces as in 400, "700 italic", or "300..800" for a part of a variable one';

const ordered = (one: number, other: number): Range => [Math.min(one, other), Math.max(one, other)];

/** @returns undefined for what is no face */
export function readFace(value: unknown): (FaceChoice & { slant?: Range }) | undefined {
  if (typeof value !== 'string' && typeof value !== 'number') return undefined;
  const found = facePattern.exec(String(value).trim());
  if (!found) return undefined;
  const [, low, high = low, style = 'normal', from, to = from, narrow, wide = narrow] = found;
  const weight = ordered(Number(low), Number(high));
  if (weight[0] < 1 || weight[1] > 1000) return undefined;
  return {
    weight,
    style: style as Slope,
    ...(from === undefined ? {} : { slant: ordered(Number(from), Number(to)) }),
    ...(narrow === undefined ? {} : { stretch: ordered(Number(narrow), Number(wide)) }),
  };
}

/** As a config writes it. */
export function faceText({
  weight,
  style,
  stretch,
  slant,
}: FaceChoice & { slant?: Range | undefined }): string {
  const numbers = rangeText(weight).replace(' ', '..');
  const angles = slant ? ` ${rangeText(slant, 'deg')}` : '';
  const width =
    !stretch || (stretch[0] === 100 && stretch[1] === 100)
      ? ''
      : ` ${rangeText(stretch, '%').replace(' ', '..')}`;
  return `${numbers}${style === 'normal' ? '' : ` ${style}${angles}`}${width}`;
}

const rangePart = /^\s*u\+[0-9a-f?]{1,6}(-[0-9a-f]{1,6})?\s*$/i;
export const isRanges = (value: string | undefined): boolean =>
  value === undefined || value.split(',').every((part) => rangePart.test(part));

/** An entry of `files`, or what is wrong with it, in words that follow on its path. */
export function readFile(value: unknown): FileEntry | { mistake: string } {
  if (typeof value === 'string') return value === '' ? { mistake: 'is empty' } : value;
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return { mistake: 'is no file' };
  const { file, face = 400, ...rest } = value as Record<string, unknown>;
  if (typeof file !== 'string' || file === '') return { mistake: 'names no file' };
  const read = readFace(face);
  if (!read) return { mistake: `has the face ${JSON.stringify(face)}` };
  const descriptors: Partial<Record<string, string>> = {};
  const entry: DeclaredFile = { file, ...read };
  for (const [name, given] of Object.entries(rest)) {
    const text = String(given).trim();
    if (name === 'font-display' && displays.includes(text as FontDisplay))
      entry.display = text as FontDisplay;
    else if (name === 'unicode-range' && isRanges(text)) entry.unicodeRange = text;
    else {
      const known = drawingDescriptors.find((one) => one === name);
      if (!known || !isDrawingValue(known, text)) return { mistake: `has ${name}: ${JSON.stringify(given)}` };
      descriptors[known] = text;
    }
  }
  return Object.keys(descriptors).length > 0 ? { ...entry, descriptors } : entry;
}

export const fileAdvice =
  'write a file, a folder or a glob, or { file: …, face: 700 italic } with descriptors of @font-face beside';
