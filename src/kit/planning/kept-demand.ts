// What pages ask for, as JSON: a kit is built from it as from the pages themselves

import { withoutCredentials } from '../../errors.js';
import { parseUnicodeRanges } from '../../core/text/parse-ranges.js';
import { rangesOf, unicodeRangeText } from '../../core/text/unicode-ranges.js';
import type { AskedStyle, AskingRule, DrawnPlace, LineFace, PageFace } from '../../site/usage/page-face.js';
import type { TextBlock, TextStyle } from '../../site/usage/text-blocks.js';
import type { PageVisit } from '../timeline/index.js';
import type { DemandingPage } from './demand.js';

/** How a page sets its text, and what it fetches before its first drawing. */
export interface PageSetting {
  page: string;
  /** By how wide the screen is, CSS pixels. */
  blocks: [width: number, blocks: TextBlock[]][];
  visit: PageVisit | undefined;
}

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

/** How a page sets its text: blocks by the widths of screens, their styles by number. */
export interface KeptSetting {
  visit?: PageVisit;
  styles: TextStyle[];
  blocks: [
    width: number,
    blocks: (Omit<TextBlock, 'runs'> & { runs: { text: string; language: string; style: number }[] })[],
  ][];
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

/** How a page sets its text, as JSON has it. */
export function keptSetting({ blocks, visit }: PageSetting): KeptSetting {
  const styles: TextStyle[] = [];
  const numbers = new Map<string, number>();
  const numberOf = (style: TextStyle): number => {
    const key = JSON.stringify(style);
    const known = numbers.get(key) ?? styles.push(style) - 1;
    numbers.set(key, known);
    return known;
  };
  return {
    // Addresses of hosts may have passwords in them.
    ...(visit ? { visit: JSON.parse(withoutCredentials(JSON.stringify(visit))) as PageVisit } : {}),
    styles,
    blocks: blocks.map(([width, list]) => [
      width,
      list.map(({ runs, ...block }) => ({
        ...block,
        runs: runs.map(({ style, ...run }) => ({ ...run, style: numberOf(style) })),
      })),
    ]),
  };
}

export const settingOfKept = (page: string, { visit, styles, blocks }: KeptSetting): PageSetting => ({
  page,
  visit,
  blocks: blocks.map(([width, list]) => [
    width,
    list.map((block) => ({
      ...block,
      runs: block.runs.map((run) => ({ ...run, style: styles[run.style] })),
    })),
  ]),
});
