// CSS Cascade 5, section 4; Custom Properties 1: what an element's declarations come to

import { normalVariants, variantsIn, type FontVariants } from '../css/font-variants.js';
import { familiesIn, fontIn, stretchIn, styleIn, weightIn, type TextStyle } from '../css/font-values.js';
import { componentsOf, textOf, tokensOf, type Token } from '../css/tokens.js';
import { customProperties, substituted } from './substitution.js';

/** What of an element's style decides which face draws which characters. */
export interface ComputedStyle extends FontVariants {
  families: readonly string[];
  weight: number;
  style: TextStyle;
  /** Percent. */
  stretch: number;
  /** `font-feature-settings` and `font-variation-settings`, as they are written. */
  featureSettings: string;
  variationSettings: string;
  synthesis: string;
  transform: string;
  quotes: string;
  listStyle: string;
  isListImage: boolean;
  emphasis: string;
  hyphenCharacter: string;
  /** `text-security`, which browsers know with a prefix. */
  security: string;
  hyphens: string;
  isVisible: boolean;
  /** Values of custom properties, shared where nothing of them changes. */
  custom: ReadonlyMap<string, string>;
  /** Not inherited. */
  /** `boxless`: it draws no line of its own, as `contents`, flex and grid containers. */
  display: 'none' | 'list-item' | 'boxless' | 'box';
  content: string;
  counterReset: string;
  counterIncrement: string;
  counterSet: string;
  textOverflow: string;
  isContentHidden: boolean;
  /** The rules that decided the family, weight and style, by property. */
  deciders: ReadonlyMap<string, AppliedDeclaration>;
}

/** A declaration that matches an element. */
export interface AppliedDeclaration {
  property: string;
  value: string;
  origin: 'user-agent' | 'author';
  layer: string;
  /** Where it stands; undefined for the browser's own. */
  place: { file: string; line: number; selector: string } | undefined;
}

export const initialStyle: ComputedStyle = {
  // What browsers take where nobody says anything.
  families: ['Times New Roman'],
  weight: 400,
  style: 'normal',
  stretch: 100,
  ...normalVariants,
  featureSettings: 'normal',
  variationSettings: 'normal',
  synthesis: 'weight style small-caps',
  transform: 'none',
  quotes: 'auto',
  listStyle: 'disc',
  isListImage: false,
  emphasis: 'none',
  hyphenCharacter: 'auto',
  security: 'none',
  hyphens: 'manual',
  isVisible: true,
  custom: new Map(),
  display: 'box',
  content: 'normal',
  counterReset: 'none',
  counterIncrement: 'none',
  counterSet: 'none',
  textOverflow: 'clip',
  isContentHidden: false,
  deciders: new Map(),
};

/** The style of an element without declarations of its own. */
const inherited = (parent: ComputedStyle): ComputedStyle => ({
  ...parent,
  display: 'box',
  content: 'normal',
  counterReset: 'none',
  counterIncrement: 'none',
  counterSet: 'none',
  textOverflow: 'clip',
});

type Key = Exclude<keyof ComputedStyle, 'custom' | 'deciders'>;

/** @returns undefined for a value that isn't valid */
type Setter = (tokens: readonly Token[], target: ComputedStyle, parent: ComputedStyle) => true | undefined;

const word =
  (key: Key, valid?: RegExp): Setter =>
  (tokens, target) => {
    const text = textOf(tokens);
    if (valid && !valid.test(text)) return undefined;
    (target as unknown as Record<string, unknown>)[key] = text;
    return true;
  };

const set = <Value>(value: Value | undefined, apply: (value: Value) => void): true | undefined => {
  if (value === undefined) return undefined;
  apply(value);
  return true;
};

const variantKeys = Object.keys(normalVariants) as (keyof FontVariants)[];

/** Each property with what it sets, and the keys that `inherit` and the like mean. */
const properties: Readonly<Record<string, { keys: readonly Key[]; isInherited: boolean; set: Setter }>> = {
  'font-family': {
    keys: ['families'],
    isInherited: true,
    set: (tokens, target) => set(familiesIn(tokens), (value) => (target.families = value)),
  },
  'font-weight': {
    keys: ['weight'],
    isInherited: true,
    set: (tokens, target, parent) => set(weightIn(tokens, parent.weight), (value) => (target.weight = value)),
  },
  'font-style': {
    keys: ['style'],
    isInherited: true,
    set: (tokens, target) => set(styleIn(tokens), (value) => (target.style = value)),
  },
  'font-stretch': {
    keys: ['stretch'],
    isInherited: true,
    set: (tokens, target) => set(stretchIn(tokens), (value) => (target.stretch = value)),
  },
  'font-variant-caps': { keys: ['caps'], isInherited: true, set: word('caps', /^[a-z-]+$/i) },
  'font-variant': {
    keys: variantKeys,
    isInherited: true,
    set: (tokens, target) => set(variantsIn(tokens), (value) => Object.assign(target, value)),
  },
  'font-variant-ligatures': { keys: ['variantLigatures'], isInherited: true, set: word('variantLigatures') },
  'font-variant-alternates': {
    keys: ['variantAlternates'],
    isInherited: true,
    set: word('variantAlternates'),
  },
  'font-variant-numeric': { keys: ['variantNumeric'], isInherited: true, set: word('variantNumeric') },
  'font-variant-east-asian': { keys: ['variantEastAsian'], isInherited: true, set: word('variantEastAsian') },
  'font-variant-position': { keys: ['variantPosition'], isInherited: true, set: word('variantPosition') },
  'font-feature-settings': { keys: ['featureSettings'], isInherited: true, set: word('featureSettings') },
  'font-variation-settings': {
    keys: ['variationSettings'],
    isInherited: true,
    set: word('variationSettings'),
  },
  'font-synthesis': { keys: ['synthesis'], isInherited: true, set: word('synthesis') },
  font: {
    keys: ['families', 'weight', 'style', 'stretch', ...variantKeys, 'featureSettings', 'variationSettings'],
    isInherited: true,
    set: (tokens, target, parent) =>
      set(fontIn(tokens), ({ families, weight, style, stretch, caps }) => {
        const settings = { featureSettings: 'normal', variationSettings: 'normal' };
        Object.assign(target, { families, style, stretch, ...normalVariants, caps, ...settings });
        target.weight = weight ? weightIn(weight, parent.weight)! : 400;
      }),
  },
  'text-transform': { keys: ['transform'], isInherited: true, set: word('transform', /^[a-z -]+$/i) },
  quotes: { keys: ['quotes'], isInherited: true, set: word('quotes') },
  'list-style-type': { keys: ['listStyle'], isInherited: true, set: word('listStyle') },
  'list-style-image': {
    keys: ['isListImage'],
    isInherited: true,
    set: (tokens, target) => {
      target.isListImage = textOf(tokens).toLowerCase() !== 'none';
      return true;
    },
  },
  'list-style': {
    keys: ['listStyle', 'isListImage'],
    isInherited: true,
    set: (tokens, target) => {
      const parts = componentsOf(tokens).map(textOf);
      const isImage = (part: string) =>
        /^(url|image|image-set|linear-gradient|radial-gradient)\(/i.test(part);
      const types = parts.filter((part) => !/^(inside|outside)$/i.test(part) && !isImage(part));
      target.isListImage = parts.some(isImage);
      target.listStyle = types.find((part) => part.toLowerCase() !== 'none') ?? types[0] ?? 'disc';
      return true;
    },
  },
  'text-emphasis': { keys: ['emphasis'], isInherited: true, set: word('emphasis') },
  'text-emphasis-style': { keys: ['emphasis'], isInherited: true, set: word('emphasis') },
  'hyphenate-character': { keys: ['hyphenCharacter'], isInherited: true, set: word('hyphenCharacter') },
  'text-security': { keys: ['security'], isInherited: true, set: word('security') },
  hyphens: { keys: ['hyphens'], isInherited: true, set: word('hyphens') },
  visibility: {
    keys: ['isVisible'],
    isInherited: true,
    set: (tokens, target) => {
      target.isVisible = textOf(tokens).toLowerCase() === 'visible';
      return true;
    },
  },
  display: {
    keys: ['display'],
    isInherited: false,
    set: (tokens, target) => {
      const text = textOf(tokens).toLowerCase();
      if (!/^[a-z -]+$/.test(text)) return undefined;
      if (text === 'none') target.display = 'none';
      else if (/\blist-item\b/.test(text)) target.display = 'list-item';
      else
        target.display = /\b(?:contents|flex|grid|table-row|table)$|-group$/.test(text) ? 'boxless' : 'box';
      return true;
    },
  },
  'content-visibility': {
    keys: ['isContentHidden'],
    isInherited: true,
    set: (tokens, target) => {
      target.isContentHidden = textOf(tokens).toLowerCase() === 'hidden';
      return true;
    },
  },
  content: { keys: ['content'], isInherited: false, set: word('content') },
  'counter-reset': { keys: ['counterReset'], isInherited: false, set: word('counterReset') },
  'counter-increment': { keys: ['counterIncrement'], isInherited: false, set: word('counterIncrement') },
  'counter-set': { keys: ['counterSet'], isInherited: false, set: word('counterSet') },
  'text-overflow': { keys: ['textOverflow'], isInherited: false, set: word('textOverflow') },
};

/** Which shorthands set a longhand too. */
const shorthands: Readonly<Record<string, readonly string[]>> = {
  'font-family': ['font'],
  'font-weight': ['font'],
  'font-style': ['font'],
  'font-stretch': ['font'],
  'font-variant-caps': ['font', 'font-variant'],
  'font-variant-ligatures': ['font', 'font-variant'],
  'font-variant-alternates': ['font', 'font-variant'],
  'font-variant-numeric': ['font', 'font-variant'],
  'font-variant-east-asian': ['font', 'font-variant'],
  'font-variant-position': ['font', 'font-variant'],
  'font-feature-settings': ['font'],
  'font-variation-settings': ['font'],
  'list-style-type': ['list-style'],
  'list-style-image': ['list-style'],
  'text-emphasis-style': ['text-emphasis'],
};

/**
 * @param applied all that matches, the strongest last
 * @param parent the style that is inherited from
 */
export function computedStyle(applied: readonly AppliedDeclaration[], parent: ComputedStyle): ComputedStyle {
  const style = inherited(parent);
  if (applied.length === 0) return style;
  style.custom = customProperties(applied, parent.custom);
  const deciders = new Map(parent.deciders);
  const byProperty = new Map<string, AppliedDeclaration[]>();
  const add = (property: string, declaration: AppliedDeclaration) => {
    const list = byProperty.get(property);
    if (list) list.push(declaration);
    else byProperty.set(property, [declaration]);
  };
  for (const declaration of applied) {
    const { property } = declaration;
    if (property.startsWith('--')) continue;
    if (property === 'all') for (const one of longhands) add(one, declaration);
    else if (Object.hasOwn(longhandsOf, property))
      for (const one of longhandsOf[property]) add(one, declaration);
    else if (Object.hasOwn(properties, property === 'font-width' ? 'font-stretch' : property))
      add(property === 'font-width' ? 'font-stretch' : property, declaration);
  }
  for (const [longhand, declarations] of byProperty) {
    const decider = resolve(longhand, declarations, style, parent);
    if (decider) deciders.set(longhand, decider);
  }
  style.deciders = deciders;
  return style;
}

const longhandsOf: Record<string, string[]> = {};
for (const [longhand, names] of Object.entries(shorthands)) {
  for (const name of names) (longhandsOf[name] ??= []).push(longhand);
}
const longhands = Object.keys(properties).filter((name) => !Object.hasOwn(longhandsOf, name));

/** Sets one longhand by the strongest declaration that is valid. @returns which one that was */
function resolve(
  longhand: string,
  declarations: readonly AppliedDeclaration[],
  style: ComputedStyle,
  parent: ComputedStyle,
): AppliedDeclaration | undefined {
  const { keys, isInherited } = properties[longhand];
  const take = (from: ComputedStyle) => {
    for (const key of keys) (style as unknown as Record<string, unknown>)[key] = from[key];
  };
  for (let i = declarations.length - 1; i >= 0; i--) {
    const declaration = declarations[i];
    const hasVariables = /\bvar\(|\benv\(/i.test(declaration.value);
    const value = hasVariables ? substituted(declaration.value, style.custom) : declaration.value;
    const keyword = value?.trim().toLowerCase();
    if (keyword === 'revert' || keyword === 'revert-layer') {
      const weaker = declarations
        .slice(0, i)
        .filter(({ origin, layer }) =>
          keyword === 'revert'
            ? origin === 'user-agent'
            : origin !== declaration.origin || layer !== declaration.layer,
        );
      if (weaker.length > 0) return resolve(longhand, weaker, style, parent);
      take(isInherited ? parent : initialStyle);
      return declaration;
    }
    if (keyword === 'inherit' || (keyword === 'unset' && isInherited)) take(parent);
    else if (keyword === 'initial' || keyword === 'unset') take(initialStyle);
    else if (!setValue(longhand, declaration.property, value, style, parent)) {
      // What can't be read is dropped with its rule; with variables it is too late for that.
      if (!hasVariables) continue;
      take(isInherited ? parent : initialStyle);
    }
    return declaration;
  }
  return undefined;
}

/** A shorthand sets all of its longhands; only the one that is asked for is taken over. */
function setValue(
  longhand: string,
  property: string,
  value: string | undefined,
  style: ComputedStyle,
  parent: ComputedStyle,
): boolean {
  if (value === undefined) return false;
  const own = property === 'font-width' ? 'font-stretch' : property;
  const scratch = { ...style };
  if (!properties[own]?.set(tokensOf(value), scratch, parent)) return false;
  for (const key of properties[longhand].keys)
    (style as unknown as Record<string, unknown>)[key] = scratch[key];
  return true;
}

/** Whether two styles are alike, and decided by the same rules. */
export function isSameStyle(a: ComputedStyle, b: ComputedStyle): boolean {
  for (const key in a) {
    const [one, other] = [a[key as keyof ComputedStyle], b[key as keyof ComputedStyle]];
    if (one !== other && !isSameValue(one, other)) return false;
  }
  return true;
}

/** Of those values that aren't compared by themselves: lists and maps. */
function isSameValue(a: unknown, b: unknown): boolean {
  if (a instanceof Map && b instanceof Map) return isSameMap(a, b);
  return Array.isArray(a) && Array.isArray(b) && a.length === b.length && a.every((one, i) => one === b[i]);
}

function isSameMap(a: ReadonlyMap<unknown, unknown>, b: ReadonlyMap<unknown, unknown>): boolean {
  if (a.size !== b.size) return false;
  for (const [key, value] of a) if (b.get(key) !== value) return false;
  return true;
}
