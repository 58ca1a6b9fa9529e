// CSS Syntax 3, section 5: rules and declarations, as far as the values of declarations need them

import { tokenTypes } from 'css-tree';
import { tokensOf, type Token } from './css-tokens.js';

export interface Declaration {
  /** In small letters. */
  property: string;
  value: readonly Token[];
  /** The at-rule whose block it stands in, in small letters; empty in a style rule. */
  atRule: string;
}

/**
 * The declarations of a stylesheet, wherever they are nested, or those of a style attribute.
 *
 * @returns nothing for what isn't CSS
 */
export function declarationsOf(css: string): Declaration[] {
  const found: Declaration[] = [];
  const blocks: string[] = [];
  let atRule = '';
  let property = '';
  let value: Token[] = [];
  const finish = () => {
    if (property !== '') found.push({ property, value, atRule: blocks.at(-1) ?? '' });
    [atRule, property, value] = ['', '', []];
  };
  for (const token of tokensOf(css)) {
    switch (token.type) {
      case tokenTypes.AtKeyword:
        atRule = token.text.slice(1).toLowerCase();
        break;
      case tokenTypes.LeftCurlyBracket:
        blocks.push(atRule); // what stood before it is a selector
        [atRule, property, value] = ['', '', []];
        break;
      case tokenTypes.RightCurlyBracket:
        finish();
        blocks.pop();
        break;
      case tokenTypes.Semicolon:
        finish();
        break;
      case tokenTypes.Colon:
        if (property === '') [property, value] = [value.at(-1)?.text.toLowerCase() ?? '', []];
        break;
      default:
        value.push(token);
    }
  }
  finish();
  return found;
}
