import type { ComputedStyle } from '../cascade/computed.js';
import { PageMatches, PageStyles } from '../cascade/page-styles.js';
import { scenariosOf } from '../cascade/scenarios.js';
import { RuleIndex, type PageSheet } from '../cascade/style-rules.js';
import { readRules, type FontFaceDescriptors } from '../css/rules.js';
import { elementsWithin, type SiteElement } from '../html/document.js';
import { userAgentStyles } from '../../data/user-agent-styles.js';
import { drawnText } from './drawn-text.js';

/** What the cascade computes for text. */
export interface AskedStyle {
  /** The first of the stack that a rule of the page declares, else the first name of the stack. */
  family: string;
  weight: number;
  style: 'normal' | 'italic' | 'oblique';
  /** Percent. */
  stretch: number;
}

/** A rule that asks for a face. */
export interface AskingRule {
  file: string;
  line: number;
  selector: string;
  property: string;
}

/** What a page draws with one face. */
export interface PageFace {
  asked: AskedStyle;
  stack: readonly string[];
  drawn: Set<number>;
  possible: Set<number>;
  /** With how many pieces of text each rule stands behind. */
  rules: Map<string, AskingRule & { pieces: number }>;
  /** `font-synthesis` of some of its text. */
  synthesis: string;
}

let userAgentSheet: PageSheet | undefined;

function userAgent(): PageSheet {
  userAgentSheet ??= {
    origin: 'user-agent',
    rules: readRules(userAgentStyles, 'user-agent').rules,
    conditions: [],
    layers: [],
    layer: '',
  };
  return userAgentSheet;
}

/** Rules of the same stylesheets are put into an index once, whichever pages have them. */
export class IndexCache {
  private readonly known = new Map<string, RuleIndex>();
  private readonly numbers = new Map<unknown, number>();

  for(sheets: readonly PageSheet[]): RuleIndex {
    const key = sheets
      .map(({ rules, conditions, layer }) => `${this.numberOf(rules)} ${JSON.stringify(conditions)} ${layer}`)
      .join('|');
    let index = this.known.get(key);
    if (!index) this.known.set(key, (index = new RuleIndex([userAgent(), ...sheets])));
    return index;
  }

  private numberOf(rules: unknown): number {
    let number = this.numbers.get(rules);
    if (number === undefined) this.numbers.set(rules, (number = this.numbers.size));
    return number;
  }
}

/** Properties that decide which face is asked for. */
const deciding = ['font-family', 'font-weight', 'font-style', 'font-stretch'] as const;

/**
 * Which faces a page asks for, and for which characters, on all screens, on paper and in all states.
 *
 * @param file the page, as the user would write it
 */
export function pageFaces(
  root: SiteElement,
  file: string,
  sheets: readonly PageSheet[],
  fontFaces: readonly FontFaceDescriptors[],
  cache: IndexCache,
): { faces: Map<string, PageFace>; languages: string[] } {
  const declared = new Set(fontFaces.map(({ family }) => family.toLowerCase()));
  const index = cache.for(sheets);
  const faces = new Map<string, PageFace>();
  const atRest = new PageMatches(index, { states: false });
  const inStates = index.hasStates ? new PageMatches(index, { states: true }) : atRest;
  const languages = new Set<string>();
  for (const element of elementsWithin(root)) {
    const language = element.attributes.get('lang');
    if (language) languages.add(language);
    atRest.of(element);
    inStates.of(element);
  }
  const used = new Set([...atRest.conditions, ...inStates.conditions]);
  const hasStates = atRest.hasStates || inStates.hasStates;
  for (const { holding, states, certainty } of scenariosOf(index.conditionSets, used, hasStates)) {
    const styles = new PageStyles(index, states ? inStates : atRest, holding, file);
    const asked = new Map<ComputedStyle, { face: PageFace; pieces: number }>();
    drawnText(root, styles, ({ text, style, isShown }) => {
      let entry = asked.get(style);
      if (!entry) asked.set(style, (entry = { face: faceFor(style, declared, faces), pieces: 0 }));
      const target = certainty === 'drawn' && isShown ? entry.face.drawn : entry.face.possible;
      for (const character of text) target.add(character.codePointAt(0)!);
      if (isShown) entry.pieces++;
    });
    for (const [style, { face, pieces }] of asked) if (pieces > 0) noteRules(face, style, pieces);
  }
  return { faces, languages: [...languages] };
}

function faceFor(
  { families, weight, style, stretch, synthesis }: ComputedStyle,
  declared: ReadonlySet<string>,
  faces: Map<string, PageFace>,
): PageFace {
  const family = families.find((name) => declared.has(name.toLowerCase())) ?? families[0] ?? '';
  const key = JSON.stringify([family.toLowerCase(), weight, style, stretch]);
  let face = faces.get(key);
  if (!face) {
    const asked = { family, weight, style, stretch };
    face = { asked, stack: families, drawn: new Set(), possible: new Set(), rules: new Map(), synthesis };
    faces.set(key, face);
  }
  return face;
}

function noteRules(face: PageFace, { deciders }: ComputedStyle, pieces: number): void {
  for (const property of deciding) {
    const place = deciders.get(property)?.place;
    if (!place) continue;
    const key = `${place.file}:${place.line}:${place.selector}:${property}`;
    const known = face.rules.get(key);
    if (known) known.pieces += pieces;
    else face.rules.set(key, { ...place, property, pieces });
  }
}
