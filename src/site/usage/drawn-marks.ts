// CSS Text Decoration 4, section 3; CSS Text 4, section 6.3: marks that browsers draw beside text, or in its place

import type { ComputedStyle } from '../cascade/computed.js';
import { stringsOf, tokensOf } from '../css/tokens.js';

/** By the shape that `text-emphasis-style` names; filled and open. */
export const emphasisMarks: ReadonlyMap<string, string> = new Map([
  ['dot', '•◦'],
  ['circle', '●○'],
  ['double-circle', '◉◎'],
  ['triangle', '▲△'],
  ['sesame', '﹅﹆'],
  ['filled', '●﹅'],
  ['open', '○﹆'],
]);

const stringIn = (value: string): string | undefined => stringsOf(tokensOf(value))[0];

/** What stands over the letters; empty for nothing. */
export function emphasisText({ emphasis }: ComputedStyle): string {
  if (emphasis === 'none') return '';
  const own = stringIn(emphasis);
  // Of a string browsers draw the first character.
  if (own !== undefined) return [...own][0] ?? '';
  const words = emphasis.toLowerCase().split(/\s+/);
  return words.map((word) => emphasisMarks.get(word) ?? '').join('');
}

/** What words end with where a line breaks in them; empty where the browser chooses. */
export const hyphenText = ({ hyphenCharacter }: ComputedStyle): string =>
  hyphenCharacter === 'auto' ? '' : (stringIn(hyphenCharacter) ?? '');

/** What stands where a line is cut off; empty for nothing. */
export function ellipsisText({ textOverflow }: ComputedStyle): string {
  return `${textOverflow.includes('ellipsis') ? '…' : ''}${stringIn(textOverflow) ?? ''}`;
}

const securityMarks: ReadonlyMap<string, string> = new Map([
  ['disc', '•'],
  ['circle', '◦'],
  ['square', '■'],
]);

/** What every character of a text is drawn as; undefined where it is drawn as itself. */
export const securityMark = ({ security }: ComputedStyle): string | undefined =>
  securityMarks.get(security.toLowerCase());
