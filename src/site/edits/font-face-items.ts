import type { FontFaceDescriptors } from '../css/rules.js';
import { parseStyles, type ParsedItem, type ParsedRule } from '../css/structure.js';

/** At-rules whose blocks hold rules. */
export const groupingRules = /^(media|supports|layer|container|scope|starting-style)$/;

/** The `@font-face` rules of a stylesheet, wherever they are nested. */
export function fontFaceItems(css: string): ParsedRule[] {
  const found: ParsedRule[] = [];
  const visit = (items: readonly ParsedItem[]) => {
    for (const item of items) {
      if (item.kind !== 'at-rule') continue;
      if (item.name === 'font-face') found.push(item);
      else if (item.block && groupingRules.test(item.name)) visit(item.block);
    }
  };
  visit(parseStyles(css));
  return found;
}

/** Those of rules that were read, by where they stand: from the first line and column of the text. */
export function itemsByRule(
  css: string,
  rules: readonly FontFaceDescriptors[],
): Map<ParsedRule, FontFaceDescriptors> {
  const at = new Map(rules.map((rule) => [`${rule.line}:${rule.column}`, rule]));
  const found = new Map<ParsedRule, FontFaceDescriptors>();
  let [line, lineStart] = [1, 0];
  for (const item of fontFaceItems(css).sort((a, b) => a.offset - b.offset)) {
    for (
      let next = css.indexOf('\n', lineStart);
      next >= 0 && next < item.offset;
      next = css.indexOf('\n', lineStart)
    ) {
      line++;
      lineStart = next + 1;
    }
    const rule = at.get(`${line}:${item.offset - lineStart + 1}`);
    if (rule) found.set(item, rule);
  }
  return found;
}
