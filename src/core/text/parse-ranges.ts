import { CodePointSet } from './code-point-set.js';
import { DenseGlyphError } from '../../errors.js';

/**
 * Code points in the syntax of CSS `unicode-range`: `U+26, U+0-7F, U+4??`.
 *
 * @throws DenseGlyphError `call-invalid`
 */
export function parseUnicodeRanges(text: string): CodePointSet {
  const found = new CodePointSet();
  for (const token of text.split(/[\s,]+/).filter(Boolean)) {
    const range = parseRange(token);
    if (!range) {
      throw new DenseGlyphError(
        'call-invalid',
        `"${token}" is not a range of characters`,
        {},
        'write U+20-7E, U+4?? or U+2019, separated by commas',
      );
    }
    found.addRange(...range);
  }
  return found;
}

const lastCodePoint = 0x10ffff;

/** CSS Fonts 4, section 4.5, and CSS Syntax 3, section 7. */
function parseRange(token: string): [first: number, last: number] | undefined {
  const wildcard = /^u\+([0-9a-f]{0,5})(\?{1,6})$/i.exec(token);
  const plain = /^u\+([0-9a-f]{1,6})(?:-(?:u\+)?([0-9a-f]{1,6}))?$/i.exec(token);
  let [first, last] = [NaN, NaN];
  if (wildcard && wildcard[1].length + wildcard[2].length <= 6) {
    const [, digits, marks] = wildcard;
    first = parseInt(digits + '0'.repeat(marks.length), 16);
    last = parseInt(digits + 'f'.repeat(marks.length), 16);
  } else if (plain) {
    first = parseInt(plain[1], 16);
    last = parseInt(plain[2] ?? plain[1], 16);
  }
  return first <= last && last <= lastCodePoint ? [first, last] : undefined;
}
