// What pages ask for, as JSON: a kit is built from it as from the pages themselves

import { array, boolean, number, object, string, ValidationError } from 'yup';
import { parseUnicodeRanges } from '../../core/text/parse-ranges.js';
import { rangesOf, unicodeRangeText } from '../../core/text/unicode-ranges.js';
import type { AskedStyle, AskingRule, DrawnPlace, LineFace, PageFace } from '../../site/usage/page-face.js';
import type { DemandingPage } from './demand.js';
import { settingSchema, type KeptSetting } from './kept-setting.js';

/** A face that a page asks for, before any is chosen; characters as `unicode-range` writes them, lists sorted. */
export interface KeptAsk {
  asked: AskedStyle;
  stack: string[];
  drawn: string;
  possible: string;
  marked?: string;
  rules: (AskingRule & { pieces: number })[];
  features?: string[];
  variations?: string[];
  typedIn?: string[];
  places?: DrawnPlace[];
  mayFake: PageFace['mayFake'];
  screens: number[];
}

/** What a page asks for. */
export interface KeptAsks {
  asks: KeptAsk[];
  /** Faces that it measures lines by, besides. */
  lines: { asked: AskedStyle; stack: string[]; screens: number[] }[];
  /** Families that its rules declare. */
  declared: string[];
  /** Scripts of a page that has hardly any text without them. */
  scripts: number;
  /** Whether it has any. */
  hasScripts?: true;
}

/** A page of a kept demand. */
export interface KeptPage extends KeptAsks {
  page: string;
  languages: string[];
  /** SHA-256 of what a server sends for it, without what wire put in; left out where nobody could tell. */
  digest?: string;
  setting?: KeptSetting;
}

const rangesText = (characters: Iterable<number>): string =>
  unicodeRangeText(rangesOf([...characters].sort((a, b) => a - b)));
const charactersOf = (ranges: string): Set<number> => new Set(parseUnicodeRanges(ranges).codePoints());
const sorted = (numbers: Iterable<number>): number[] => [...numbers].sort((a, b) => a - b);

/** What a page asks for, as JSON has it. */
export const keptAsks = ({ faces, lines, declared, scripts, hasScripts }: DemandingPage): KeptAsks => ({
  asks: Array.from(faces.values(), keptAsk),
  lines: lines.map(({ asked, stack, screens }) => ({ asked, stack: [...stack], screens: sorted(screens) })),
  declared: [...new Set(declared)],
  scripts,
  ...(hasScripts ? { hasScripts: true } : {}),
});

const keptAsk = (face: PageFace): KeptAsk => ({
  asked: face.asked,
  stack: [...face.stack],
  drawn: rangesText(face.drawn),
  possible: rangesText(face.possible),
  ...(face.marked.size > 0 ? { marked: rangesText(face.marked) } : {}),
  rules: [...face.rules.values()],
  ...Object.fromEntries(
    (['features', 'variations', 'typedIn'] as const)
      .filter((name) => face[name].size > 0)
      .map((name) => [name, [...face[name]].sort()]),
  ),
  ...(face.places ? { places: face.places } : {}),
  mayFake: face.mayFake,
  screens: sorted(face.screens),
});

/** What a kept page asks for. */
export const demandOfKept = ({
  page,
  languages,
  asks,
  lines,
  declared,
  scripts,
  hasScripts,
}: KeptPage): DemandingPage => ({
  page,
  languages,
  faces: new Map(asks.map((ask, i) => [String(i), faceOfKept(ask)])),
  lines: lines.map(({ asked, stack, screens }): LineFace => ({ asked, stack, screens: new Set(screens) })),
  declared,
  scripts,
  hasScripts: hasScripts ?? false,
});

const ruleKey = ({ file, line, selector, property }: AskingRule): string =>
  JSON.stringify([file, line, selector, property]);

const faceOfKept = (ask: KeptAsk): PageFace => ({
  asked: ask.asked,
  stack: ask.stack,
  drawn: charactersOf(ask.drawn),
  possible: charactersOf(ask.possible),
  marked: charactersOf(ask.marked ?? ''),
  rules: new Map(ask.rules.map((rule) => [ruleKey(rule), rule])),
  features: new Set(ask.features),
  variations: new Set(ask.variations),
  typedIn: new Set(ask.typedIn),
  ...(ask.places ? { places: ask.places } : {}),
  mayFake: ask.mayFake,
  screens: new Set(ask.screens),
});

const text = () => string().defined();
const texts = () => array().of(text()).required();
const ranges = () =>
  text().test(
    'ranges',
    '${path} is no list of code points',
    (value?: string) => value === undefined || value === '' || areRanges(value),
  );

function areRanges(value: unknown): boolean {
  try {
    parseUnicodeRanges(String(value));
    return true;
  } catch {
    return false;
  }
}

const askedSchema = object({
  family: text(),
  weight: number().required().min(1).max(1000),
  style: text().oneOf(['normal', 'italic', 'oblique']),
  stretch: number().required().min(1).max(1000),
});

const askSchema = object({
  asked: askedSchema,
  stack: texts(),
  drawn: ranges(),
  possible: ranges(),
  marked: ranges().optional(),
  rules: array()
    .of(
      object({
        file: text(),
        line: number().required(),
        selector: text(),
        property: text(),
        pieces: number().required(),
      }),
    )
    .required(),
  features: array().of(text()),
  variations: array().of(text()),
  typedIn: array().of(text()),
  mayFake: object({ bold: boolean().required(), slant: boolean().required() }),
  screens: array().of(number().required()).required(),
});

const pageSchema = object({
  page: text(),
  languages: texts(),
  asks: array().of(askSchema).required(),
  lines: array()
    .of(object({ asked: askedSchema, stack: texts(), screens: array().of(number().required()).required() }))
    .required(),
  declared: texts(),
  scripts: number().required(),
  hasScripts: boolean(),
  digest: string(),
  setting: settingSchema.default(undefined).optional(),
});

/**
 * Pages of a kept demand, read.
 *
 * @param pages as JSON has them
 * @throws Error that names the first field which isn't what it has to be
 */
export function readKeptPages(pages: readonly unknown[]): KeptPage[] {
  for (const [i, page] of pages.entries()) {
    try {
      pageSchema.validateSync(page, { strict: true });
    } catch (cause) {
      if (!(cause instanceof ValidationError)) throw cause;
      throw new Error(`pages[${i}]: ${cause.message}`, { cause });
    }
  }
  return pages as KeptPage[];
}
