// How a page sets its text, as JSON: what many blocks have alike stands there once

import { array, boolean, mixed, number, object, string } from 'yup';
import { withoutCredentials } from '../../errors.js';
import type { TextBlock, TextRun, TextStyle } from '../../site/usage/text-blocks.js';
import type { PageVisit } from '../timeline/index.js';

/** How a page sets its text, and what it fetches before its first drawing. */
export interface PageSetting {
  page: string;
  /** By how wide the screen is, CSS pixels. */
  blocks: [width: number, blocks: TextBlock[]][];
  visit: PageVisit | undefined;
}

/** How lines of a block are set. */
type BlockForm = Omit<TextBlock, 'element' | 'line' | 'runs'>;

/** A block: its element and line, its form at each width, -1 where it isn't there; its runs as text, language and style in turn. */
type KeptBlock = [element: number, line: number, forms: number[], runs: number[]];

/** The same as JSON has it: lists, and blocks that refer to them by number. */
export interface KeptSetting {
  visit?: PageVisit | undefined;
  /** CSS pixels. */
  widths: number[];
  elements: string[];
  languages: string[];
  styles: TextStyle[];
  forms: BlockForm[];
  texts: string[];
  blocks: KeptBlock[];
}

/** Values, each once, by what they say. */
class Listed<Value> {
  readonly values: Value[] = [];
  private readonly numbers = new Map<string, number>();

  numberOf(value: Value): number {
    const key = typeof value === 'string' ? value : JSON.stringify(value);
    const known = this.numbers.get(key) ?? this.values.push(value) - 1;
    this.numbers.set(key, known);
    return known;
  }
}

interface MergedBlock {
  key: string;
  element: number;
  line: number;
  runs: number[];
  forms: number[];
}

/** Puts the blocks of one more width between those that are there, in an order that keeps that of each width. */
function mergedWith(
  known: readonly MergedBlock[],
  own: readonly MergedBlock[],
  width: number,
): MergedBlock[] {
  const places = new Map<string, number[]>();
  for (const [i, { key }] of known.entries()) places.set(key, [...(places.get(key) ?? []), i]);
  const added = new Map<number, MergedBlock[]>();
  let next = 0;
  for (const block of own) {
    const place = places.get(block.key)?.find((one) => one >= next);
    if (place === undefined) added.set(next, [...(added.get(next) ?? []), block]);
    else {
      known[place].forms[width] = block.forms[width];
      next = place + 1;
    }
  }
  return [...known, undefined].flatMap((one, i) => [...(added.get(i) ?? []), ...(one ? [one] : [])]);
}

export function keptSetting({ blocks, visit }: PageSetting): KeptSetting {
  const elements = new Listed<string>();
  const languages = new Listed<string>();
  const styles = new Listed<TextStyle>();
  const forms = new Listed<BlockForm>();
  const texts = new Listed<string>();
  const widths = blocks.map(([width]) => width);
  let merged: MergedBlock[] = [];
  for (const [i, [, list]] of blocks.entries()) {
    const own = list.map(({ element: name, line, runs: all, ...form }): MergedBlock => {
      const element = elements.numberOf(name);
      const runs = all.flatMap(({ text, language, style }) => [
        texts.numberOf(text),
        languages.numberOf(language),
        styles.numberOf(style),
      ]);
      const at = widths.map((_, width) => (width === i ? forms.numberOf(form) : -1));
      return { key: JSON.stringify([element, line, runs]), element, line, runs, forms: at };
    });
    merged = mergedWith(merged, own, i);
  }
  return {
    // Addresses of hosts may have passwords in them.
    ...(visit ? { visit: JSON.parse(withoutCredentials(JSON.stringify(visit))) as PageVisit } : {}),
    widths,
    elements: elements.values,
    languages: languages.values,
    styles: styles.values,
    forms: forms.values,
    texts: texts.values,
    blocks: merged.map((one) => [one.element, one.line, one.forms, one.runs]),
  };
}

export const settingOfKept = (
  page: string,
  { visit, widths, elements, languages, styles, forms, texts, blocks }: KeptSetting,
): PageSetting => ({
  page,
  visit,
  blocks: widths.map((width, i) => [
    width,
    blocks.flatMap(([element, line, own, runs]): TextBlock[] =>
      own[i] < 0
        ? []
        : [
            {
              element: elements[element],
              line,
              ...forms[own[i]],
              runs: runsOf(runs, texts, languages, styles),
            },
          ],
    ),
  ]),
});

const runsOf = (
  runs: readonly number[],
  texts: readonly string[],
  languages: readonly string[],
  styles: readonly TextStyle[],
): TextRun[] =>
  Array.from({ length: runs.length / 3 }, (_, i) => ({
    text: texts[runs[3 * i]],
    language: languages[runs[3 * i + 1]],
    style: styles[runs[3 * i + 2]],
  }));

const text = () => string().defined();
const amount = () => number().required().min(-1e6).max(1e6);
const texts = () => array().of(text()).required();

const styleSchema = object({
  families: texts(),
  weight: amount(),
  style: text().oneOf(['normal', 'italic', 'oblique']),
  stretch: amount(),
  fontSize: amount(),
  letterSpacing: amount(),
  wordSpacing: amount(),
  featureSettings: text(),
  variationSettings: text(),
  variantLigatures: text(),
  opticalSizing: text(),
  features: texts(),
});

const roomSchema = object({
  px: amount(),
  zeros: number().optional(),
  less: number().optional(),
  isKnown: boolean().required(),
});

const formSchema = object({
  fontSize: amount(),
  textAlign: text(),
  writingMode: text(),
  whiteSpace: text(),
  rooms: array().of(roomSchema).required().min(1),
  hasBoxes: boolean().required(),
});

const visitSchema = object({
  page: text(),
  origin: text(),
  bytes: amount(),
  blocking: array()
    .of(object({ key: text(), origin: text(), bytes: number().required(), kind: text() }))
    .required(),
});

/** Whether blocks refer to what is there, and nothing else. */
function areBlocks(
  value: unknown,
  { widths, elements, languages, styles, forms, texts }: KeptSetting,
): boolean {
  const isIn = (one: unknown, list: readonly unknown[], least = 0) =>
    Number.isInteger(one) && (one as number) >= least && (one as number) < list.length;
  const lists = [texts, languages, styles];
  // Which of them is no list is told by itself.
  if (![...lists, widths, elements, forms].every((list) => Array.isArray(list))) return true;
  return (
    Array.isArray(value) &&
    value.every((block: unknown) => {
      if (!Array.isArray(block) || block.length !== 4) return false;
      const [element, line, own, runs] = block as unknown[];
      return (
        isIn(element, elements) &&
        Number.isInteger(line) &&
        Array.isArray(own) &&
        own.length === widths.length &&
        own.every((one) => isIn(one, forms, -1)) &&
        Array.isArray(runs) &&
        runs.length > 0 &&
        runs.length % 3 === 0 &&
        runs.every((one, i) => isIn(one, lists[i % 3]))
      );
    })
  );
}

/** What JSON has to be to be one, beside its blocks. */
export const settingSchema = object({
  visit: visitSchema.default(undefined).optional(),
  widths: array().of(amount()).required(),
  elements: texts(),
  languages: texts(),
  styles: array().of(styleSchema).required(),
  forms: array().of(formSchema).required(),
  texts: texts(),
  blocks: mixed()
    .required()
    .test('blocks', '${path} refers to what is not there', (value, { parent }) =>
      areBlocks(value, parent as KeptSetting),
    ),
});
