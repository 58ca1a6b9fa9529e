// CSS Cascade 5, section 4; Custom Properties 1: what an element's declarations come to

import type { LengthContext } from '../css/lengths.js';
import {
  initialLines,
  initialValues,
  ofFaces,
  type AnyLonghand,
  type LineValues,
  type PropertySet,
  type PropertyValues,
} from '../css/properties/index.js';
import { fontSize as fontSizeProperty } from '../css/properties/font-size.js';
import { tokensOf } from '../css/tokens.js';
import { customProperties, CustomProperties, substituted } from './substitution.js';

/** What of an element's style decides which face draws which characters. */
export interface ComputedStyle extends Readonly<PropertyValues> {
  /** Values of custom properties, shared where nothing of them changes. */
  custom: CustomProperties;
  /** The rules that decided its properties, by their names. */
  deciders: ReadonlyMap<string, AppliedDeclaration>;
}

/** The same with what it says of lines. */
export interface LineStyle extends ComputedStyle, Readonly<LineValues> {
  /** The font size of the root element, CSS pixels. */
  rootSize: number;
  /** Whether its size, or that which it goes by, is a length that rules state. */
  isSizeAbsolute: boolean;
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
  ...initialValues,
  custom: new CustomProperties(),
  deciders: new Map(),
};

/** What the root element starts from where lines are asked for. */
export const initialLineStyle: LineStyle = {
  ...initialStyle,
  ...initialLines,
  rootSize: 0,
  isSizeAbsolute: false,
};

type Key = keyof (PropertyValues & LineValues);
type Values = Record<Key, unknown> & Pick<LineStyle, 'custom' | 'deciders' | 'rootSize' | 'isSizeAbsolute'>;
type Writable<Of> = { -readonly [Name in keyof Of]: Of[Name] };

/** What is computed, and for which screen. */
export interface Computing {
  properties: PropertySet;
  viewport: LengthContext['viewport'];
}

/** What decides faces; no length matters to them. */
export const forFaces: Computing = { properties: ofFaces, viewport: { width: 0, height: 0 } };

/**
 * @param applied all that matches, the strongest last
 * @param parent the style that is inherited from
 */
export function computedStyle(
  applied: readonly AppliedDeclaration[],
  parent: ComputedStyle,
  computing: Computing = forFaces,
): ComputedStyle {
  const { properties } = computing;
  // The style of an element without declarations of its own.
  const values = { ...parent, ...properties.ownValues } as unknown as Writable<Values>;
  if (applied.length > 0) apply(applied, values, parent as LineStyle, computing);
  // Of the root element, which all others go by.
  if (values.rootSize === 0) values.rootSize = values.fontSize as number;
  return values as unknown as ComputedStyle;
}

function apply(
  applied: readonly AppliedDeclaration[],
  values: Writable<Values>,
  parent: LineStyle,
  { properties, viewport }: Computing,
): void {
  values.custom = customProperties(applied, parent.custom);
  const deciders = new Map(parent.deciders);
  const byLonghand = new Map<AnyLonghand, AppliedDeclaration[]>();
  const add = (longhand: AnyLonghand, declaration: AppliedDeclaration) => {
    const list = byLonghand.get(longhand);
    if (list) list.push(declaration);
    else byLonghand.set(longhand, [declaration]);
  };
  for (const declaration of applied) {
    const { property } = declaration;
    if (property.startsWith('--')) continue;
    if (property === 'all') for (const longhand of properties.longhands) add(longhand, declaration);
    for (const longhand of properties.shorthandNamed.get(property)?.longhands ?? [])
      add(longhand as AnyLonghand, declaration);
    for (const longhand of properties.longhandsNamed.get(property) ?? []) add(longhand, declaration);
  }
  const context: LengthContext = {
    fontSize: parent.fontSize,
    rootSize: parent.rootSize || initialLines.fontSize,
    viewport,
  };
  const resolving: Resolving = { values, parent, properties, context, read: new Map() };
  const decide = (longhand: AnyLonghand, declarations: readonly AppliedDeclaration[]) => {
    const decider = resolve(longhand, declarations, resolving);
    if (decider) deciders.set(longhand.name, decider);
    return decider;
  };
  // Other lengths go by the size of the element's own font.
  const fontSize = fontSizeProperty as unknown as AnyLonghand;
  const sizes = byLonghand.get(fontSize);
  byLonghand.delete(fontSize);
  const sized = sizes && decide(fontSize, sizes);
  if (values.fontSize !== undefined) context.fontSize = values.fontSize as number;
  for (const [longhand, declarations] of byLonghand) decide(longhand, declarations);
  values.deciders = deciders;
  if (values.fontSize === undefined) return;
  if (sized) values.isSizeAbsolute = isAbsolute(sized, parent.isSizeAbsolute);
  if (!values.isSizeAbsolute) scaleMonospace(values, parent);
}

const isMonospace = (families: unknown): boolean =>
  Array.isArray(families) && families.length === 1 && /^monospace$/i.test(String(families[0]));

function isAbsolute({ property, value }: AppliedDeclaration, isParent: boolean): boolean {
  const text = value.trim().toLowerCase();
  const size = property === 'font' ? (/\b\d[\w.%]*/.exec(text.replace(/\b[1-9]00\b/g, ''))?.[0] ?? '') : text;
  if (/^[\d.]+(?:e[mx]|ch|%)$|^(?:smaller|larger|inherit|unset)$/.test(size)) return isParent;
  return /\d|^var\(/.test(size);
}

/** Browsers set `monospace` alone in 13 px where other text has 16, unless a size is stated (HTML, section 15.3.1). */
function scaleMonospace(values: Writable<Values>, parent: LineStyle): void {
  const [is, was] = [isMonospace(values.families), isMonospace(parent.families)];
  if (is !== was) values.fontSize = (values.fontSize as number) * (is ? 13 / 16 : 16 / 13);
}

/** Of the element whose style is computed. */
interface Resolving {
  values: Writable<Values>;
  parent: LineStyle;
  properties: PropertySet;
  context: LengthContext;
  /** What shorthands came to, which all of their longhands ask for; by their text. */
  read: Map<string, Record<string, unknown> | undefined>;
}

/** Sets one longhand by the strongest declaration that is valid. @returns which one that was */
function resolve(
  longhand: AnyLonghand,
  declarations: readonly AppliedDeclaration[],
  resolving: Resolving,
): AppliedDeclaration | undefined {
  const { key, initial, isInherited } = longhand;
  const { values, parent } = resolving;
  const unset = () => (isInherited ? parent[key] : initial);
  for (let i = declarations.length - 1; i >= 0; i--) {
    const declaration = declarations[i];
    const hasVariables = /\bvar\(|\benv\(/i.test(declaration.value);
    const text = hasVariables ? substituted(declaration.value, values.custom) : declaration.value;
    const keyword = text?.trim().toLowerCase();
    if (keyword === 'revert' || keyword === 'revert-layer') {
      const weaker = declarations
        .slice(0, i)
        .filter(({ origin, layer }) =>
          keyword === 'revert'
            ? origin === 'user-agent'
            : origin !== declaration.origin || layer !== declaration.layer,
        );
      if (weaker.length > 0) return resolve(longhand, weaker, resolving);
      values[key] = unset();
      return declaration;
    }
    if (keyword === 'unset') values[key] = unset();
    else if (keyword === 'inherit') values[key] = parent[key];
    else if (keyword === 'initial') values[key] = initial;
    else {
      const value = text === undefined ? undefined : valueOf(longhand, declaration.property, text, resolving);
      // What can't be read is dropped with its rule; with variables it is too late for that.
      if (value === undefined && !hasVariables) continue;
      values[key] = value ?? unset();
    }
    return declaration;
  }
  return undefined;
}

/** What a declaration says of a longhand, by itself or by a shorthand; undefined where it isn't valid. */
function valueOf(
  longhand: AnyLonghand,
  property: string,
  text: string,
  { parent, properties, context, read }: Resolving,
): unknown {
  const shorthand = properties.shorthandNamed.get(property);
  if (!shorthand) return longhand.read(tokensOf(text), parent[longhand.key], context);
  const key = `${property}:${text}`;
  if (!read.has(key))
    read.set(
      key,
      shorthand.read(tokensOf(text), (one) => parent[one.key as Key] as never, {
        ...context,
        fontSize: parent.fontSize,
      }),
    );
  return read.get(key)?.[longhand.key];
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
  if (a instanceof CustomProperties && b instanceof CustomProperties) return a.isSame(b);
  if (a instanceof Map && b instanceof Map) return isSameMap(a, b);
  return Array.isArray(a) && Array.isArray(b) && a.length === b.length && a.every((one, i) => one === b[i]);
}

function isSameMap(a: ReadonlyMap<unknown, unknown>, b: ReadonlyMap<unknown, unknown>): boolean {
  if (a.size !== b.size) return false;
  for (const [key, value] of a) if (b.get(key) !== value) return false;
  return true;
}
