// CSS Syntax 3, section 4

import { string, tokenize, tokenTypes } from 'css-tree';

export interface Token {
  type: number;
  /** As it is written. */
  text: string;
}

/** Without spaces and comments. Tokens and no tree: no input keeps them from coming to an end. */
export function tokensOf(css: string): Token[] {
  const tokens: Token[] = [];
  tokenize(css, (type, start, end) => {
    if (type !== tokenTypes.WhiteSpace && type !== tokenTypes.Comment)
      tokens.push({ type, text: css.slice(start, end) });
  });
  return tokens;
}

/** What stylesheets may draw stands in strings: of `content`, `quotes`, `list-style-type`. */
export const stringsOf = (css: string): string[] =>
  tokensOf(css).flatMap(({ type, text }) => (type === tokenTypes.String ? [string.decode(text)] : []));
