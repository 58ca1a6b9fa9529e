// CSS Fonts 4, section 4: the @font-face rule

import { cssString } from '../../core/face/index.js';
import type { FontFaceDescriptors } from './rules.js';

/**
 * A rule as it was, with other sources.
 *
 * @param sources URLs as they are to be written, with the word for `format()`, the first preferred
 */
export function declaredFaceText(
  face: FontFaceDescriptors,
  sources: readonly { url: string; format: string }[],
): string {
  const written: [name: string, value: string | undefined][] = [
    ['font-family', cssString(face.family)],
    ['font-style', face.style],
    ['font-weight', face.weight],
    ['font-stretch', face.stretch],
    ['font-display', face.display],
    ...(face.others ?? []),
    ['src', sources.map(({ url, format }) => `url(${cssString(url)}) format("${format}")`).join(',\n    ')],
    ['unicode-range', face.unicodeRange],
  ];
  const lines = written.flatMap(([name, value]) => (value === undefined ? [] : [`  ${name}: ${value};`]));
  return `@font-face {\n${lines.join('\n')}\n}\n`;
}
