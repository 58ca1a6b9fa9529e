// For browsers without the descriptors of stand-ins: the same by what rules set type with, while a face hasn't arrived

import { fontFamilyList } from '../../core/face/index.js';
import { slug } from '../../core/face/slug.js';
import {
  mainBand,
  standInSetter,
  usualIn,
  type StandIn,
  type StandInBand,
  type StandInFace,
} from './stand-ins.js';
import type { SampleParagraph } from './sample.js';

/** How people organise CSS: by elements, by a mixin (Sass) that sets type, or by classes of one property each. */
export const classicForms = ['elements', 'mixin', 'classes'] as const;
export type ClassicForm = (typeof classicForms)[number];

export interface ClassicFace extends StandInFace {
  /** What its state is named by on the root: its arrival group, else the role of its family. */
  state: string;
}

/** The numbers for one face. */
interface ClassicNumbers {
  /** As `font-family` lists it: the local font, then what follows the face. */
  stack: string;
  /** Of the font sizes. */
  ratio: number;
  /** In em of the local font. */
  wordSpacing: number;
  weight: number;
  style: string;
}

/** Where the face isn't drawn yet, or never will be; without a script it isn't known. */
const waiting = (state: string) => `:root[data-type-${state}]:not([data-type-${state}="ready"])`;

const rounded = (value: number, digits = 4): number => Number(value.toFixed(digits));

function numbersOf({ stack, style }: ClassicFace, band: StandInBand, standIn: StandIn): ClassicNumbers {
  const { local, scales } = standIn;
  const space = standInSetter(standIn)?.reaches(' ', { language: 'en' })?.[1] ?? 0.25;
  return {
    stack: fontFamilyList([...new Set([local, ...stack.slice(1)])]),
    ratio: scales.letters,
    wordSpacing: rounded(space * (scales.spaces / scales.letters - 1)),
    weight: usualIn(band.weight),
    style,
  };
}

/**
 * Rules to paste.
 *
 * @param standIns of each face; the best local font of its usual weights is taken
 * @param paragraphs of the site, for rules by element
 */
export function classicRules<Face extends ClassicFace>(
  form: ClassicForm,
  standIns: ReadonlyMap<Face, readonly StandInBand[]>,
  paragraphs: readonly SampleParagraph<Face>[],
): string {
  const rules: string[] = [];
  for (const [face, bands] of standIns) {
    const usual = bands.length === 0 ? undefined : mainBand(bands);
    const standIn = usual?.standIns.at(-1);
    if (!usual || !standIn) continue;
    const numbers = numbersOf(face, usual, standIn);
    const name = slug(`${face.family} ${numbers.weight}${face.style === 'normal' ? '' : ` ${face.style}`}`);
    const about =
      `/* ${face.family} ${numbers.weight}${face.style === 'normal' ? '' : ` ${face.style}`}: ${standIn.local} (${standIn.systems.join(', ')}), while data-type-${face.state} isn't "ready" */\n`.replace(
        /\*\/(?!\n$)/g,
        '',
      );
    if (form === 'mixin') rules.push(about + mixinOf(name, face.state, numbers));
    else if (form === 'classes') rules.push(about + classesOf(name, face.state, numbers));
    else rules.push(about + elementsOf(face, usual, numbers, paragraphs));
  }
  return rules.join('\n');
}

const wordsOf = ({ wordSpacing }: ClassicNumbers, indent: string): string =>
  wordSpacing === 0 ? '' : `${indent}word-spacing: ${wordSpacing}em;\n`;

function mixinOf(name: string, state: string, numbers: ClassicNumbers): string {
  const { stack, ratio, weight, style } = numbers;
  return `@mixin until-${name}($size, $line-height: 1.5) {\n  ${waiting(state)} & {\n    font: ${style} ${weight} calc(#{$size} * ${ratio})/calc(#{$line-height} / ${ratio}) ${stack};\n${wordsOf(numbers, '    ')}  }\n}\n`;
}

function classesOf(name: string, state: string, numbers: ClassicNumbers): string {
  const { stack, ratio, weight, wordSpacing } = numbers;
  const rule = (suffix: string, declaration: string) =>
    `${waiting(state)} .until-${name}-${suffix} {\n  ${declaration};\n}\n`;
  return [
    rule('family', `font-family: ${stack}`),
    rule('size', `font-size: ${rounded(ratio)}em`),
    rule('lines', `line-height: calc(var(--line-height, 1.5) / ${ratio})`),
    ...(wordSpacing === 0 ? [] : [rule('words', `word-spacing: ${wordSpacing}em`)]),
    rule('weight', `font-weight: ${weight}`),
  ].join('');
}

/** As in `p.lead`; other names of classes would have to be escaped. */
const isSelector = /^[a-z][\w-]*(?:\.[a-z_][\w-]*)*$/i;

/** For each element that is set in the face alone, at the size that it has on a desk. */
function elementsOf<Face extends ClassicFace>(
  face: Face,
  { weight: [low, high] }: StandInBand,
  numbers: ClassicNumbers,
  paragraphs: readonly SampleParagraph<Face>[],
): string {
  const { stack, ratio } = numbers;
  const found = new Map<string, string>();
  for (const { element, runs, lineHeight } of paragraphs) {
    const [{ fontSize, weight }] = runs;
    if (!isSelector.test(element) || runs.some((run) => run.face !== face) || weight < low || weight > high)
      continue;
    const height =
      typeof lineHeight === 'number'
        ? `${rounded(lineHeight, 2)}px`
        : lineHeight === 'normal'
          ? 'normal'
          : rounded(Number(lineHeight.slice(1)) / ratio);
    found.set(
      element,
      `${waiting(face.state)} ${element} {\n  font-family: ${stack};\n  font-size: ${rounded((fontSize * ratio) / 16)}rem;\n  line-height: ${height};\n${wordsOf(numbers, '  ')}  font-weight: ${weight};\n}\n`,
    );
  }
  return [...found.values()].join('');
}
