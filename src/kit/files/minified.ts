// CSS Syntax 3, section 4.3: rules of a kit without what only people read

import { tokenize, tokenTypes } from 'css-tree';

const { Comment, WhiteSpace } = tokenTypes;

/** Before and behind these white space means nothing, in what a kit writes; before a colon it may be a selector's. */
const separators: ReadonlySet<string> = new Set(['{', '}', ';', ',']);

/** A stylesheet of a kit, as short as it can be said; of its comments the first one, which says whose it is, and marks stay. */
export function minified(css: string): string {
  const tokens: { text: string; isSpace: boolean }[] = [];
  tokenize(css, (type, start, end) => {
    const text = css.slice(start, end);
    if (type === Comment && !text.startsWith('/*!')) return;
    const isSpace = type === WhiteSpace;
    if (isSpace && tokens.at(-1)?.isSpace) return;
    tokens.push({ text: isSpace ? ' ' : text, isSpace });
  });
  let made = '';
  for (const [i, { text, isSpace }] of tokens.entries()) {
    const next = tokens[i + 1]?.text ?? '}';
    const last = made.at(-1) ?? '{';
    if (isSpace && (separators.has(last) || last === ':' || separators.has(next) || made.endsWith('*/')))
      continue;
    if (text === ';' && /^ ?\}/.test(next + (tokens[i + 2]?.text ?? '}'))) continue;
    made += text;
  }
  return `${made.replace(/^(\/\*![^]*?\*\/)/, '$1\n')}\n`;
}
