import { fontFaceText, fontFamilyList, formatHints } from '../../core/face/index.js';
import { CodePointSet } from '../../core/text/code-point-set.js';
import { unicodeRangeText } from '../../core/text/unicode-ranges.js';
import { firstPartMark } from '../../site/css/loading-mark.js';
import type { FirstPartFile } from '../planning/first-parts.js';
import { fetchedPart } from '../planning/made.js';
import { measuredIdeograph, usualIn } from '../stand-ins/index.js';
import { isFirefox } from './stylesheet.js';

/**
 * The rules that a page carries behind the link to kit.css: the first part of a face, and once more that of its file, for the same
 * characters, so that it counts as soon as it is there (CSS Fonts 4, section 4.1: of rules alike the last one that has a character).
 *
 * @param base what the URL of the face's file starts with
 */
export function firstPartRules({ face, bytes, characters }: FirstPartFile, base: string): string {
  const { family, weight, style, stretch, slant, descriptors, display } = face;
  const shared = { family, weight, style, stretch, slant, descriptors };
  const rangeOf = (points: Iterable<number>) => unicodeRangeText(new CodePointSet(points).ranges());
  const data = `data:font/woff2;base64,${Buffer.from(bytes).toString('base64')}`;
  return [
    fontFaceText({
      ...shared,
      sources: [{ url: data, format: formatHints.woff2 }],
      unicodeRange: rangeOf([...characters.codePoints(), measuredIdeograph, firstPartMark]),
    }),
    fontFaceText({
      ...shared,
      display,
      sources: [{ url: base + fetchedPart(face).file, format: formatHints.woff2 }],
      unicodeRange: rangeOf(characters.codePoints()),
    }),
    loadingRules(face),
  ].join('');
}

/** Firefox draws only what it has loaded before: a length of the head is measured by a character of the first part alone. */
function loadingRules({ family, style, weight }: FirstPartFile['face']): string {
  const slope = style === 'normal' ? '' : `\n    font-style: ${style};`;
  return `@supports (${isFirefox}) {
  :where(head) {
    display: contents;
    font-family: ${fontFamilyList([family])};
    font-weight: ${usualIn(weight)};${slope}
    scroll-margin: 1ic;
  }
}
`;
}
