// CSS Cascade 5, section 4; Custom Properties 1: what an element's declarations come to

import {
  initialValues,
  longhandNamed,
  longhands,
  ownValues,
  shorthandNamed,
  type Longhand,
  type PropertyValues,
} from '../css/properties/index.js';
import { tokensOf } from '../css/tokens.js';
import { customProperties, CustomProperties, substituted } from './substitution.js';

/** What of an element's style decides which face draws which characters. */
export interface ComputedStyle extends Readonly<PropertyValues> {
  /** Values of custom properties, shared where nothing of them changes. */
  custom: CustomProperties;
  /** The rules that decided its properties, by their names. */
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
  ...initialValues,
  custom: new CustomProperties(),
  deciders: new Map(),
};

type Key = keyof PropertyValues;
type Values = Record<Key, unknown>;

/**
 * @param applied all that matches, the strongest last
 * @param parent the style that is inherited from
 */
export function computedStyle(applied: readonly AppliedDeclaration[], parent: ComputedStyle): ComputedStyle {
  // The style of an element without declarations of its own.
  const values: Values & Omit<ComputedStyle, Key> = { ...parent, ...ownValues };
  if (applied.length === 0) return values as ComputedStyle;
  values.custom = customProperties(applied, parent.custom);
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
    if (property === 'all') for (const { name } of longhands) add(name, declaration);
    const shorthand = shorthandNamed.get(property);
    for (const { name } of shorthand?.longhands ?? []) add(name, declaration);
    const longhand = longhandNamed.get(property);
    if (longhand) add(longhand.name, declaration);
  }
  const read: ReadShorthands = new Map();
  for (const [name, declarations] of byProperty) {
    const decider = resolve(longhandNamed.get(name)!, declarations, values, parent, read);
    if (decider) deciders.set(name, decider);
  }
  values.deciders = deciders;
  return values as ComputedStyle;
}

type Property = Longhand<string, Key, unknown>;

/** What shorthands came to, which all of their longhands ask for; by their text. */
type ReadShorthands = Map<string, Record<string, unknown> | undefined>;

/** Sets one longhand by the strongest declaration that is valid. @returns which one that was */
function resolve(
  longhand: Property,
  declarations: readonly AppliedDeclaration[],
  values: Values & Pick<ComputedStyle, 'custom'>,
  parent: ComputedStyle,
  read: ReadShorthands,
): AppliedDeclaration | undefined {
  const { key, initial, isInherited } = longhand;
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
      if (weaker.length > 0) return resolve(longhand, weaker, values, parent, read);
      values[key] = unset();
      return declaration;
    }
    if (keyword === 'unset') values[key] = unset();
    else if (keyword === 'inherit') values[key] = parent[key];
    else if (keyword === 'initial') values[key] = initial;
    else {
      const value =
        text === undefined ? undefined : valueOf(longhand, declaration.property, text, parent, read);
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
  longhand: Property,
  property: string,
  text: string,
  parent: ComputedStyle,
  read: ReadShorthands,
): unknown {
  const shorthand = shorthandNamed.get(property);
  if (!shorthand) return longhand.read(tokensOf(text), parent[longhand.key]);
  const key = `${property}:${text}`;
  if (!read.has(key))
    read.set(
      key,
      shorthand.read(tokensOf(text), (one) => parent[one.key as Key] as never),
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
