// CSS Syntax 3, section 4

import { tokenize, tokenTypes } from 'css-tree';

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
