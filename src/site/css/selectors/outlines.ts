// Selectors 4: what an index of rules asks for, read off the text of plain selectors

import { aroundOf, parsedList } from './compile.js';
import type { CompiledSelector } from './matcher.js';
import { stateNames } from './pseudo-classes.js';

/** A selector that isn't compiled yet. */
export interface SelectorOutline extends Pick<CompiledSelector, 'key' | 'around'> {
  text: string;
  ids: readonly string[];
  /** Whether it depends on a state. */
  hasState: boolean;
}

const name = String.raw`(?:-?[A-Za-z_]|--)[\w-]*`;
const part = String.raw`(?:[.#]${name}|:(?!:)[A-Za-z][a-z-]*(?!\())`;
const compound = String.raw`(?:(?:\*|${name})${part}*|${part}+)`;
const plain = new RegExp(`^${compound}(?:(?:\\s*[>+~]\\s*|\\s+)${compound})*$`);
const pieces = new RegExp(`\\s*([>+~\\s])\\s*|[.#:]?(?:\\*|${name})`, 'g');

/**
 * Of a list of selectors that have types, classes, ids, states and combinators alone: most rules of a large stylesheet have such, and match
 * nothing on a page. Others have to be compiled to be known.
 *
 * @returns undefined for a list that has others
 */
export function outlinesOf(text: string): SelectorOutline[] | undefined {
  const found: SelectorOutline[] = [];
  for (const part of text.split(',')) {
    const selector = part.trim();
    const outline = plain.test(selector) ? outlineOf(selector) : undefined;
    if (!outline) return undefined;
    found.push(outline);
  }
  return found;
}

/** Whether a text is a list of selectors, known ones or not; without one browsers drop the rule (CSS Syntax 3, section 9.1). */
export const isSelectorList = (text: string): boolean =>
  text !== '' && (text.split(',').every((part) => plain.test(part.trim())) || parsedList(text) !== undefined);

/** @returns undefined where it has a pseudo-class that is no state */
function outlineOf(text: string): SelectorOutline | undefined {
  const ids: string[] = [];
  let hasState = false;
  const compounds: { combinator: string; key: CompiledSelector['key'] }[] = [{ combinator: ' ', key: {} }];
  for (const [piece, combinator] of text.matchAll(pieces)) {
    const { key } = compounds[compounds.length - 1];
    if (combinator !== undefined) compounds.push({ combinator: piece.trim() || ' ', key: {} });
    else if (piece.startsWith('#')) ids.push((key.id = piece.slice(1)));
    else if (piece.startsWith(':')) {
      if (!stateNames.test(piece.slice(1).toLowerCase())) return undefined;
      hasState = true;
    } else if (piece.startsWith('.')) key.className = piece.slice(1);
    else if (piece !== '*') key.type = piece.toLowerCase();
  }
  return { text, ids, hasState, key: compounds[compounds.length - 1].key, around: aroundOf(compounds) };
}
