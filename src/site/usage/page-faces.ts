import type { ComputedStyle } from '../cascade/computed.js';
import { IndexMatches, PageMatches, type RuleSet } from '../cascade/matches.js';
import { PageStyles, StyleCache } from '../cascade/page-styles.js';
import { scenariosOf } from '../cascade/scenarios.js';
import { ConditionSets, RuleIndex, type PageSheet } from '../cascade/style-rules.js';
import { readRules, type FontFaceDescriptors } from '../css/rules.js';
import { elementsWithin, treesWithin, type SiteElement } from '../html/document.js';
import { userAgentStyles } from '../../data/user-agent-styles.js';
import { rangesOf, unicodeRangeText } from '../../core/text/unicode-ranges.js';
import { tokensOf } from '../css/tokens.js';
import { featuresOfStyle } from './requested-features.js';
import { drawnText, type DrawnPiece } from './drawn-text.js';

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

/** An element that draws characters which none before it draws with the same face. */
export interface DrawnPlace {
  /** In the source of the page; 0 where it isn't known. */
  line: number;
  /** As a selector would name it: `p.lead`, `li::marker`. */
  element: string;
  /** The start of its text. */
  text: string;
  /** As `unicode-range` writes them. */
  characters: string;
}

/** What a page draws with one face. */
export interface PageFace {
  asked: AskedStyle;
  stack: readonly string[];
  drawn: Set<number>;
  possible: Set<number>;
  /** With how many pieces of text each rule stands behind. */
  rules: Map<string, AskingRule & { pieces: number }>;
  /** OpenType features that styles turn on where it is drawn. */
  features: Set<string>;
  /** `font-variation-settings` there, as they are written. */
  variations: Set<string>;
  /** Languages of fields that visitors type into with it. */
  typedIn: Set<string>;
  /** Elements that draw it: for each character the first one, where that was asked for. */
  places?: DrawnPlace[];
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

/** An index of rules with what was found by it so far. */
interface Known {
  atRest: IndexMatches;
  inStates: IndexMatches;
  hasStates: boolean;
}

/** What pages of a site share: rules of the same stylesheets are put into an index once, and matched once for what is alike. */
export class SiteStyles {
  readonly conditions = new ConditionSets();
  readonly cache = new StyleCache();
  private readonly known = new Map<string, Known>();
  private readonly numbers = new Map<unknown, number>();

  for(sheets: readonly PageSheet[]): Known {
    const key = sheets
      .map(({ rules, conditions, layer }) => `${this.numberOf(rules)} ${JSON.stringify(conditions)} ${layer}`)
      .join('|');
    let known = this.known.get(key);
    if (!known) {
      // A page with rules of its own has an index of its own; most are used once.
      if (this.known.size >= mostIndexes) this.known.clear();
      const index = new RuleIndex([userAgent(), ...sheets], this.conditions);
      const sets = new Map<string, RuleSet>();
      const atRest = new IndexMatches(index, false, sets);
      const inStates = index.hasStates ? new IndexMatches(index, true, sets) : atRest;
      this.known.set(key, (known = { atRest, inStates, hasStates: index.hasStates }));
    }
    return known;
  }

  private numberOf(rules: unknown): number {
    let number = this.numbers.get(rules);
    if (number === undefined) this.numbers.set(rules, (number = this.numbers.size));
    return number;
  }
}

const mostIndexes = 32;

/** Properties that decide which face is asked for. */
const deciding = ['font-family', 'font-weight', 'font-style', 'font-stretch'] as const;

/** A page that was read. */
export interface StyledPage {
  root: SiteElement;
  /** As the user would write it. */
  file: string;
  /** Stylesheets of the page, and of each shadow tree by its root. */
  sheets: ReadonlyMap<SiteElement | undefined, readonly PageSheet[]>;
  fontFaces: readonly FontFaceDescriptors[];
  /** Whether to note which elements draw a face. */
  withPlaces: boolean;
}

/** Which faces a page asks for, and for which characters, on all screens, on paper and in all states. */
export function pageFaces(
  { root, file, sheets, fontFaces, withPlaces }: StyledPage,
  site: SiteStyles,
): { faces: Map<string, PageFace>; languages: string[] } {
  const trees = [...sheets].map(([tree, list]) => [tree, site.for(list)] as const);
  const atRest = new PageMatches(new Map(trees.map(([tree, known]) => [tree, known.atRest])));
  const inStates = trees.some(([, known]) => known.hasStates)
    ? new PageMatches(new Map(trees.map(([tree, known]) => [tree, known.inStates])))
    : atRest;
  const languages = new Set<string>();
  for (const tree of treesWithin(root)) {
    for (const element of elementsWithin(tree)) {
      const language = element.attributes.get('lang');
      if (language) languages.add(language);
      atRest.of(element);
      inStates.of(element);
    }
  }
  const used = new Set([...atRest.conditions, ...inStates.conditions]);
  const hasStates = atRest.hasStates || inStates.hasStates;
  const faces = new FaceCollector(fontFaces, withPlaces);
  const screens = scenariosOf(site.conditions.all, used, hasStates).map(({ holding, states, certainty }) => ({
    styles: new PageStyles(states ? inStates : atRest, holding, file, site.cache),
    isDrawn: certainty === 'drawn',
  }));
  const varies = (element: SiteElement) => atRest.varies(element) || inStates.varies(element);
  drawnText(root, screens, varies, (piece) => faces.add(piece));
  return { faces: faces.finish(), languages: [...languages] };
}

/** A face while it is collected. */
interface Collected {
  face: PageFace;
  characters: { drawn: CharacterMarks; possible: CharacterMarks };
  /** Texts that were noted already, as the same ones come again. */
  known: { drawn: Set<string>; possible: Set<string> };
}

/** Most text is made of few letters, which are marked faster than put into a set. */
class CharacterMarks {
  private readonly marks = new Uint8Array(0x600);
  private readonly others = new Set<number>();

  has(character: number): boolean {
    return character < this.marks.length ? this.marks[character] === 1 : this.others.has(character);
  }

  add(text: string): void {
    const { marks, others } = this;
    for (let i = 0; i < text.length; i++) {
      const unit = text.charCodeAt(i);
      if (unit < marks.length) marks[unit] = 1;
      else {
        const character = text.codePointAt(i)!;
        others.add(character);
        if (character > 0xffff) i++;
      }
    }
  }

  addTo(target: Set<number>): void {
    this.marks.forEach((mark, character) => {
      if (mark) target.add(character);
    });
    for (const character of this.others) target.add(character);
  }
}

/** Notes which characters are drawn with which face. */
class FaceCollector {
  private readonly faces = new Map<string, Collected>();
  /** With how many pieces of text that show. */
  private readonly asked = new Map<ComputedStyle, { collected: Collected; pieces: number }>();
  private readonly declared: ReadonlySet<string>;

  constructor(
    fontFaces: readonly FontFaceDescriptors[],
    private readonly withPlaces: boolean,
  ) {
    this.declared = new Set(fontFaces.map(({ family }) => family.toLowerCase()));
  }

  add(piece: DrawnPiece): void {
    const { style, text, isShown, isDrawn } = piece;
    let asked = this.asked.get(style);
    if (!asked) this.asked.set(style, (asked = { collected: this.faceFor(style), pieces: 0 }));
    if (isShown) asked.pieces++;
    if (piece.typedIn) asked.collected.face.typedIn.add(piece.typedIn);
    const certainty = isDrawn && isShown ? 'drawn' : 'possible';
    const { known, characters } = asked.collected;
    if (known[certainty].has(text)) return;
    known[certainty].add(text);
    if (this.withPlaces) notePlace(asked.collected, piece);
    characters[certainty].add(text);
  }

  finish(): Map<string, PageFace> {
    for (const [style, { collected, pieces }] of this.asked) {
      if (pieces > 0) noteRules(collected.face, style, pieces);
      noteFeatures(collected.face, style);
    }
    const faces = new Map<string, PageFace>();
    for (const [key, { face, characters }] of this.faces) {
      characters.drawn.addTo(face.drawn);
      characters.possible.addTo(face.possible);
      faces.set(key, face);
    }
    return faces;
  }

  private faceFor({ families, weight, style, stretch, synthesis }: ComputedStyle): Collected {
    const family = families.find((name) => this.declared.has(name.toLowerCase())) ?? families[0] ?? '';
    const key = `${family.toLowerCase()}\n${weight} ${style} ${stretch}`;
    let collected = this.faces.get(key);
    if (!collected) {
      const asked = { family, weight, style, stretch };
      collected = {
        face: {
          asked,
          stack: families,
          drawn: new Set(),
          possible: new Set(),
          rules: new Map(),
          features: new Set(),
          variations: new Set(),
          typedIn: new Set(),
          synthesis,
        },
        characters: { drawn: new CharacterMarks(), possible: new CharacterMarks() },
        known: { drawn: new Set(), possible: new Set() },
      };
      this.faces.set(key, collected);
    }
    return collected;
  }
}

/** Keys of a style that turn features on, each with its property. */
const featureKeys = [
  ['featureSettings', 'font-feature-settings'],
  ['caps', 'font-variant-caps'],
  ['variantLigatures', 'font-variant-ligatures'],
  ['variantAlternates', 'font-variant-alternates'],
  ['variantNumeric', 'font-variant-numeric'],
  ['variantEastAsian', 'font-variant-east-asian'],
  ['variantPosition', 'font-variant-position'],
] as const;

function noteFeatures({ features, variations }: PageFace, style: ComputedStyle): void {
  for (const [key, property] of featureKeys) {
    if (style[key] === 'normal') continue;
    for (const tag of featuresOfStyle(property, tokensOf(style[key]))) features.add(tag);
  }
  if (style.variationSettings !== 'normal') variations.add(style.variationSettings);
}

const shownText = 80;
const mostPlaces = 40;

function notePlace({ face, characters }: Collected, { text, element, pseudo }: DrawnPiece): void {
  const places = (face.places ??= []);
  if (places.length >= mostPlaces) return;
  const { drawn, possible } = characters;
  const fresh = new Set<number>();
  for (const sign of text) {
    const character = sign.codePointAt(0)!;
    if (character > 0x20 && !drawn.has(character) && !possible.has(character)) fresh.add(character);
  }
  if (fresh.size === 0) return;
  const shown = text.replace(/\s+/g, ' ').trim();
  places.push({
    line: element.line,
    element: nameOf(element) + (pseudo === undefined ? '' : `::${pseudo}`),
    text: shown.length > shownText ? `${shown.slice(0, shownText - 1)}…` : shown,
    characters: unicodeRangeText(rangesOf([...fresh].sort((a, b) => a - b))),
  });
}

function nameOf({ name, attributes, classes }: SiteElement): string {
  const id = attributes.get('id');
  return name + (id ? `#${id}` : '') + [...classes].map((one) => `.${one}`).join('');
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
