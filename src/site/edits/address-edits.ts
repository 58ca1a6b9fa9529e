// CSS Values 4, section 4.5: the addresses of a stylesheet, by position

import { string, tokenize, tokenTypes, url as urlToken } from 'css-tree';
import { cssString } from '../../core/face/index.js';
import type { Edit } from './edits.js';

/** An address that a stylesheet names. */
export interface NamedAddress {
  address: string;
  start: number;
  end: number;
  /** Whether it stands in `@import`. */
  isImport: boolean;
}

/** Addresses of `url()`, and of `@import` also as strings, in their order; not those that start with `#`. */
export function addressesIn(css: string): NamedAddress[] {
  const found: NamedAddress[] = [];
  let isImport = false;
  let isInFunction = false;
  let functionStart = 0;
  let pending: { address: string } | undefined;
  const add = (address: string, start: number, end: number) => {
    if (address !== '' && !address.startsWith('#')) found.push({ address, start, end, isImport });
  };
  tokenize(css, (type, start, end) => {
    if (type === tokenTypes.WhiteSpace || type === tokenTypes.Comment) return;
    const text = () => css.slice(start, end);
    if (isInFunction) {
      if (type === tokenTypes.String && !pending) pending = { address: string.decode(text()) };
      else {
        if (type === tokenTypes.RightParenthesis && pending) add(pending.address, functionStart, end);
        isInFunction = false;
        pending = undefined;
      }
      return;
    }
    if (type === tokenTypes.AtKeyword) isImport = text().toLowerCase() === '@import';
    else if (type === tokenTypes.Semicolon || type === tokenTypes.LeftCurlyBracket) isImport = false;
    else if (type === tokenTypes.Url) add(urlToken.decode(text()), start, end);
    else if (type === tokenTypes.Function && text().toLowerCase() === 'url(') {
      isInFunction = true;
      functionStart = start;
    } else if (isImport && type === tokenTypes.String) add(string.decode(text()), start, end);
  });
  return found;
}

/** @param instead what an address becomes; undefined where it stays */
export function addressEdits(css: string, instead: (named: NamedAddress) => string | undefined): Edit[] {
  return addressesIn(css).flatMap((named) => {
    const address = instead(named);
    return address === undefined
      ? []
      : [{ start: named.start, end: named.end, text: `url(${cssString(address)})` }];
  });
}
