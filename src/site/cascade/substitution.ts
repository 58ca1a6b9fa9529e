// CSS Custom Properties 1, section 3: what `var()` stands for

import { splitAt, textOf, tokensOf } from '../css/tokens.js';

/** Characters that a value may come to: properties may stand for each other many times over. */
const mostCharacters = 100_000;

/**
 * The custom properties of an element: what its own rules say, and behind that what it inherits. Sites have hundreds, and most
 * elements change few of them.
 */
export class CustomProperties {
  /** @param own undefined for what is nothing from here on */
  constructor(
    private readonly own: ReadonlyMap<string, string | undefined> = new Map(),
    private readonly inherited?: CustomProperties,
  ) {}

  get(name: string): string | undefined {
    return this.own.has(name) ? this.own.get(name) : this.inherited?.get(name);
  }

  isSame(other: CustomProperties): boolean {
    if (this.inherited !== other.inherited || this.own.size !== other.own.size) return false;
    for (const [name, value] of this.own)
      if (!other.own.has(name) || other.own.get(name) !== value) return false;
    return true;
  }
}

/** The custom properties of an element, with what their `var()` stand for. */
export function customProperties(
  applied: readonly { property: string; value: string }[],
  parent: CustomProperties,
): CustomProperties {
  const own = new Map<string, string | undefined>();
  for (const { property, value } of applied) {
    if (!property.startsWith('--')) continue;
    const keyword = value.toLowerCase();
    if (keyword === 'initial') own.set(property, undefined);
    else if (keyword === 'inherit' || keyword === 'unset' || keyword.startsWith('revert'))
      own.delete(property);
    else own.set(property, value);
  }
  if (own.size === 0) return parent;
  const written = new CustomProperties(own, parent);
  const work = newWork();
  const resolved = Array.from(own.keys(), (name) => [name, valueOf(name, written, work)] as const);
  return new CustomProperties(new Map(resolved), parent);
}

/** What substitution has come to, so that properties which name each other many times over come to an end. */
interface Substitution {
  /** The properties whose values are being found. */
  names: Set<string>;
  /** Values that were found without meeting a cycle. */
  known: Map<string, string | undefined>;
  cycles: number;
  depth: number;
  left: number;
}

/** How many `var()` are followed for one element; stylesheets of thousands of properties need some thousand. */
const mostSteps = 50_000;
const newWork = (): Substitution => ({
  names: new Set(),
  known: new Map(),
  cycles: 0,
  depth: 0,
  left: mostSteps,
});

function valueOf(name: string, all: CustomProperties, work: Substitution): string | undefined {
  const value = all.get(name);
  if (value === undefined || !/\bvar\(/i.test(value)) return value;
  if (work.known.has(name)) return work.known.get(name);
  if (work.names.has(name)) {
    work.cycles++;
    return undefined;
  }
  if (work.depth >= mostDepth) return undefined;
  const before = work.cycles;
  work.names.add(name);
  const result = within(work, () => substituted(value, all, work));
  work.names.delete(name);
  if (work.cycles === before) work.known.set(name, result);
  return result;
}

/** A value with what its `var()` stand for; undefined where one stands for nothing. */
export function substituted(value: string, custom: CustomProperties, work = newWork()): string | undefined {
  let result = '';
  let left = value;
  for (let start = left.search(reference); start >= 0; start = left.search(reference)) {
    if (left.length > mostCharacters || work.left-- <= 0) return undefined;
    const open = left.indexOf('(', start);
    const close = closing(left, open);
    const found = referenced(left.slice(start, close), open - start, custom, work);
    if (found === undefined) return undefined;
    result += `${left.slice(0, start)}${found}`;
    left = left.slice(close + 1);
    if (result.length + left.length > mostCharacters) return undefined;
  }
  return result + left;
}

const reference = /\b(var|env)\(/i;

/** What one `var()` or `env()` stands for, or its fallback does. */
function referenced(
  text: string,
  open: number,
  custom: CustomProperties,
  work: Substitution,
): string | undefined {
  const [first, ...rest] = splitAt(tokensOf(text.slice(open + 1)), ',');
  const found = /^var/i.test(text) ? valueOf(textOf(first).trim(), custom, work) : undefined;
  if (found !== undefined || rest.length === 0) return found;
  return work.depth >= mostDepth
    ? undefined
    : within(work, () => substituted(rest.map(textOf).join(','), custom, work));
}

/** Fallbacks in fallbacks and properties in properties; more is taken as none. */
const mostDepth = 500;

function within<Result>(work: Substitution, use: () => Result): Result {
  work.depth++;
  const result = use();
  work.depth--;
  return result;
}

function closing(text: string, open: number): number {
  let depth = 0;
  let quote = '';
  for (let at = open; at < text.length; at++) {
    const c = text[at];
    if (quote !== '') {
      if (c === '\\') at++;
      else if (c === quote) quote = '';
    } else if (c === '"' || c === "'") quote = c;
    else if (c === '(') depth++;
    else if (c === ')' && --depth === 0) return at;
  }
  return text.length;
}
