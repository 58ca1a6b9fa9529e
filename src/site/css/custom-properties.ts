// CSS Custom Properties for Cascading Variables 1

import { tokenTypes } from 'css-tree';
import type { Declaration, Token } from './stylesheet.js';

/** All values that styles give to custom properties, by name. */
export type CustomProperties = Map<string, (readonly Token[])[]>;

export function addCustomProperties(
  declarations: readonly Declaration[],
  properties: CustomProperties,
): void {
  for (const { property, value } of declarations) {
    if (!property.startsWith('--')) continue;
    const values = properties.get(property) ?? [];
    values.push(value);
    properties.set(property, values);
  }
}

/** How many tokens a value may come to: properties may stand for each other many times over. */
const mostTokens = 10_000;

/** A value, and after each `var()` in it all that it may stand for. */
export function expanded(value: readonly Token[], properties: CustomProperties): readonly Token[] {
  if (!value.some(isVar)) return value;
  const tokens: Token[] = [];
  const used = new Set<string>();
  const expand = (part: readonly Token[]) => {
    for (const [i, token] of part.entries()) {
      if (tokens.length >= mostTokens) return;
      tokens.push(token);
      const name = isVar(token) ? part[i + 1]?.text : undefined;
      if (name === undefined || used.has(name)) continue;
      used.add(name);
      for (const other of properties.get(name) ?? []) expand(other);
    }
  };
  expand(value);
  return tokens;
}

const isVar = ({ type, text }: Token) => type === tokenTypes.Function && text.toLowerCase() === 'var(';
