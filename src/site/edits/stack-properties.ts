// CSS Variables 1: which custom properties hold stacks

import { parseStyles, type ParsedItem } from '../css/structure.js';

const variables = /\bvar\(\s*(--[^\s,)]+)/g;

/** Custom properties that the rules of a site use for `font-family`, straight or by way of others, and for nothing else that is a text. */
export class StackProperties {
  /** By what uses them: `font` for what says families, `text` for what shows them, else another custom property. */
  private readonly users = new Map<string, Set<string>>();

  /** @param css a stylesheet, or the value of a style attribute */
  add(css: string, isDeclarations = false): void {
    if (!css.includes('var(')) return;
    const waiting: ParsedItem[] = [...parseStyles(css, isDeclarations)];
    for (let item = waiting.pop(); item; item = waiting.pop()) {
      if (item.kind !== 'declaration') {
        if (item.block) waiting.push(...item.block);
        continue;
      }
      const property = item.name.toLowerCase();
      const isFont = property === 'font' || property === 'font-family';
      const user = isFont ? 'font' : property === 'content' ? 'text' : item.name;
      for (const [, name] of item.value.matchAll(variables)) {
        if (user !== 'font' && user !== 'text' && !user.startsWith('--')) continue;
        this.users.set(name, (this.users.get(name) ?? new Set()).add(user));
      }
    }
  }

  holdsStack(name: string): boolean {
    const found = new Set<string>();
    const waiting = [name];
    for (let one = waiting.pop(); one !== undefined; one = waiting.pop()) {
      if (found.has(one)) continue;
      found.add(one);
      waiting.push(...(this.users.get(one) ?? []));
    }
    return found.has('font') && !found.has('text');
  }
}
