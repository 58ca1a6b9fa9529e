import { markedLetters } from '../../core/text/marked-letters.js';
import { rangesOf, unicodeRangeText } from '../../core/text/unicode-ranges.js';
import type { ComputedStyle } from '../cascade/computed.js';
import type { FontFaceDescriptors } from '../css/rules.js';
import { choosingFaces, featuresByProperty } from '../css/properties/index.js';
import type { SiteElement } from '../html/document.js';
import { CharacterMarks } from './character-marks.js';
import type { DrawnPiece, DrawnVisitor } from './drawn-text.js';
import type { AskingRule, DrawnPlace, LineFace, PageFace } from './page-face.js';

/** A face while it is collected. */
interface Collected {
  face: PageFace;
  characters: { drawn: CharacterMarks; possible: CharacterMarks };
  /** Texts that were noted already, as the same ones come again. */
  known: { drawn: Set<string>; possible: Set<string> };
}

/** Notes which characters are drawn with which face. */
export class FaceCollector implements DrawnVisitor {
  private readonly faces = new Map<string, Collected>();
  /** With how many pieces of text that show. */
  private readonly asked = new Map<ComputedStyle, { collected: Collected; pieces: number }>();
  private readonly declared: ReadonlySet<string>;
  /** The screens on load on which a style measures lines. */
  private readonly lines = new Map<ComputedStyle, Set<number>>();
  private readonly onLoad: ReadonlySet<number>;

  constructor(
    fontFaces: readonly FontFaceDescriptors[],
    private readonly withPlaces: boolean,
    screens: readonly { isDrawn: boolean }[],
    /** Features that have names on the page. */
    private readonly namedFeatures: ReadonlySet<string> = new Set(),
  ) {
    this.onLoad = new Set(screens.flatMap(({ isDrawn }, i) => (isDrawn ? [i] : [])));
    this.declared = new Set(fontFaces.map(({ family }) => family.toLowerCase()));
  }

  text(piece: DrawnPiece): void {
    const { style, text, isShown, isDrawn } = piece;
    if (isShown) this.box(style, piece.screens);
    let asked = this.asked.get(style);
    if (!asked) this.asked.set(style, (asked = { collected: this.faceFor(style), pieces: 0 }));
    if (isShown) asked.pieces++;
    if (piece.typedIn) asked.collected.face.typedIn.add(piece.typedIn);
    const certainty = isDrawn && isShown ? 'drawn' : 'possible';
    const { known, characters } = asked.collected;
    if (known[certainty].has(text)) return;
    known[certainty].add(text);
    if (this.withPlaces) notePlace(asked.collected, piece);
    const { marked } = asked.collected.face;
    if (characters[certainty].add(text)) for (const letter of markedLetters(text)) marked.add(letter);
  }

  box(style: ComputedStyle, screens: readonly number[]): void {
    let its = this.lines.get(style);
    if (!its) this.lines.set(style, (its = new Set()));
    if (its.size < this.onLoad.size) for (const i of screens) if (this.onLoad.has(i)) its.add(i);
  }

  /** @returns by what tells them apart: the stack and all that font matching goes by */
  finish(): { faces: Map<string, PageFace>; lines: LineFace[] } {
    for (const [style, { collected, pieces }] of this.asked) {
      noteStyle(collected.face, style, pieces);
      if (style.variantAlternates.includes('('))
        for (const tag of this.namedFeatures) collected.face.features.add(tag);
    }
    const lines = new Map<string, LineFace>();
    for (const [style, screens] of this.lines) {
      const { key } = factsOf(style);
      const face = this.faces.get(key)?.face ?? lines.get(key);
      if (face) for (const screen of screens) face.screens.add(screen);
      else lines.set(key, { ...this.askedBy(style), screens });
    }
    const faces = new Map<string, PageFace>();
    for (const [key, { face, characters }] of this.faces) {
      characters.drawn.addTo(face.drawn);
      characters.possible.addTo(face.possible);
      faces.set(key, face);
    }
    return { faces, lines: [...lines.values()] };
  }

  private askedBy({ families, weight, style, stretch }: ComputedStyle): Pick<PageFace, 'asked' | 'stack'> {
    const family = families.find((name) => this.declared.has(name.toLowerCase())) ?? families[0] ?? '';
    return { asked: { family, weight, style, stretch }, stack: families };
  }

  private faceFor(computed: ComputedStyle): Collected {
    const { key } = factsOf(computed);
    let collected = this.faces.get(key);
    if (!collected) {
      collected = {
        face: {
          ...this.askedBy(computed),
          drawn: new Set(),
          possible: new Set(),
          marked: new Set(),
          rules: new Map(),
          features: new Set(),
          variations: new Set(),
          typedIn: new Set(),
          mayFake: { bold: computed.synthesisWeight, slant: computed.synthesisStyle },
          screens: new Set(),
        },
        characters: { drawn: new CharacterMarks(), possible: new CharacterMarks() },
        known: { drawn: new Set(), possible: new Set() },
      };
      this.faces.set(key, collected);
    }
    return collected;
  }
}

/** What a style says of faces; many pages share one. */
interface StyleFacts {
  key: string;
  askers: readonly (readonly [key: string, rule: AskingRule])[];
  features: readonly string[];
}

const knownFacts = new WeakMap<ComputedStyle, StyleFacts>();

function factsOf(computed: ComputedStyle): StyleFacts {
  let facts = knownFacts.get(computed);
  if (!facts) {
    const { families, weight, style, stretch, synthesisWeight, synthesisStyle } = computed;
    const names = families.map((name) => name.toLowerCase());
    const key = JSON.stringify([names, weight, style, stretch, synthesisWeight, synthesisStyle]);
    facts = {
      key,
      askers: askersOf(computed),
      features: featuresByProperty(computed).flatMap(([, tags]) => tags),
    };
    knownFacts.set(computed, facts);
  }
  return facts;
}

const askersOf = ({ deciders }: ComputedStyle): StyleFacts['askers'] =>
  choosingFaces.flatMap((property) => {
    const place = deciders.get(property)?.place;
    const key = place && `${place.file}:${place.line}:${place.selector}:${property}`;
    return place && key !== undefined ? [[key, { ...place, property }] as const] : [];
  });

/** @param pieces of text that show */
function noteStyle({ rules, features, variations }: PageFace, style: ComputedStyle, pieces: number): void {
  const facts = factsOf(style);
  for (const tag of facts.features) features.add(tag);
  if (style.variationSettings !== 'normal') variations.add(style.variationSettings);
  if (pieces === 0) return;
  for (const [key, rule] of facts.askers) {
    const known = rules.get(key);
    if (known) known.pieces += pieces;
    else rules.set(key, { ...rule, pieces });
  }
}

const shownText = 80;
const mostPlaces = 40;

function notePlace({ face, characters }: Collected, { text, element, pseudo, style }: DrawnPiece): void {
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
    ...ruleOf(style),
  });
}

function ruleOf({ weight, style, deciders }: ComputedStyle): Pick<DrawnPlace, 'rule'> {
  const bold = weight === 400 ? undefined : deciders.get('font-weight')?.place;
  const slanted = style === 'normal' ? undefined : deciders.get('font-style')?.place;
  const rule = bold ?? slanted ?? deciders.get('font-family')?.place;
  return rule ? { rule: { file: rule.file, line: rule.line, selector: rule.selector } } : {};
}

function nameOf({ name, attributes, classes }: SiteElement): string {
  const id = attributes.get('id');
  return name + (id ? `#${id}` : '') + [...classes].map((one) => `.${one}`).join('');
}
