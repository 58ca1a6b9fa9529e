import { slug } from '../../core/face/slug.js';
import { parseUnicodeRanges } from '../../core/text/parse-ranges.js';
import { scriptsOf } from '../../core/text/scripts.js';
import type { FontFaceDescriptors } from '../../site/css/rules.js';

/**
 * Family, weight and style, the script that a partial file is of, and the start of its digest. Nothing of it comes from a
 * URL.
 */
export function adoptedName(
  { family, weight = '400', style = 'normal', unicodeRange }: FontFaceDescriptors,
  digest: string,
  extension: string,
): string {
  const numbers = weight.replace('normal', '400').replace('bold', '700').trim().replace(/\s+/g, '-');
  const letter = /^italic/.test(style) ? 'i' : /^oblique/.test(style) ? 'o' : 'n';
  const start = `${slug(family)}-${slug(numbers)}${letter}`;
  return `${[start, ...partName(unicodeRange), digest.slice(0, 8)].join('-')}.${extension}`;
}

function partName(unicodeRange: string | undefined): string[] {
  if (unicodeRange === undefined) return [];
  const [script] = scriptsOf(parseUnicodeRanges(unicodeRange.replace(/\?/g, '0')));
  return [script ? script.code.toLowerCase() : 'part'];
}
