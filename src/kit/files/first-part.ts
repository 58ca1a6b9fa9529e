import { fontFaceText, fontFamilyList, formatHints, type Range } from '../../core/face/index.js';
import { CodePointSet } from '../../core/text/code-point-set.js';
import { unicodeRangeText } from '../../core/text/unicode-ranges.js';
import { firstPartMark } from '../../site/css/loading-mark.js';
import type { FirstPartFile } from '../planning/first-parts.js';
import { fetchedPart } from '../planning/made.js';
import { usualIn } from '../stand-ins/index.js';
import { block, isFirefox } from './stylesheet.js';

/**
 * The rules that a page carries behind the link to kit.css: the first part of a face, and once more that of its file, for the same
 * characters, so that it counts as soon as it is there (CSS Fonts 4, section 4.1: of rules alike the last one that has a character).
 * Alike are those of the same weights, for which kit.css has stand-ins; servers compress what is said for each of them.
 *
 * @param base what the URL of the face's file starts with
 */
export function firstPartRules({ face, weights, ...part }: FirstPartFile, base: string): string {
  const all = (each: readonly Range[]) =>
    each.map((weight) => rulesOf({ face, ...part }, weight, base)).join('');
  const isShared = face.standIns.length > 1;
  const forFirefox = `${isShared ? all([face.weight]) : ''}${loadingRules(face)}`;
  return [
    isShared ? block(`@supports not (${isFirefox})`, all(weights)) : all(weights),
    block(`@supports (${isFirefox})`, forFirefox),
  ].join('');
}

function rulesOf(
  { face, bytes, characters }: Omit<FirstPartFile, 'weights'>,
  weight: Range,
  base: string,
): string {
  const { family, style, stretch, slant, descriptors, display } = face;
  const shared = { family, weight, style, stretch, slant, descriptors };
  const rangeOf = (points: Iterable<number>) => unicodeRangeText(new CodePointSet(points).ranges());
  const data = `data:font/woff2;base64,${Buffer.from(bytes).toString('base64')}`;
  return (
    fontFaceText({
      ...shared,
      sources: [{ url: data, format: formatHints.woff2 }],
      unicodeRange: rangeOf([...characters.codePoints(), firstPartMark]),
    }) +
    fontFaceText({
      ...shared,
      display,
      sources: [{ url: base + fetchedPart(face).file, format: formatHints.woff2 }],
      unicodeRange: rangeOf(characters.codePoints()),
    })
  );
}

/** Firefox draws only what it has loaded before: an element that shows nothing asks for a character of the first part alone. */
function loadingRules({ family, style, weight }: FirstPartFile['face']): string {
  const slope = style === 'normal' ? '' : `${style} `;
  const font = `${slope}${usualIn(weight)} 1px ${fontFamilyList(['serif', family])}`;
  return `head {
  position: absolute;
  top: 0;
  left: 0;
  visibility: hidden;
}
head,
title {
  display: block;
  font-size: 0;
}
title::after {
  content: "\\${firstPartMark.toString(16).toUpperCase()}";
  font: ${font};
}
`;
}
