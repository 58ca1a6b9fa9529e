import { svgFontId } from '../../core/containers/index.js';
import { fontFaceText, fontFamilyList, formatHints } from '../../core/face/index.js';
import { CodePointSet } from '../../core/text/code-point-set.js';
import { unicodeRangeText, type CodePointRanges } from '../../core/text/unicode-ranges.js';
import type { MadeFace, MadeKit, Part } from '../made.js';
import type { ReachedFormat } from '../reach.js';

const space = 0x20;

/** The order in `src`: the oldest Internet Explorer reads only the first, all others take the first that they know. */
const sourceOrder: readonly ReachedFormat['format'][] = ['eot', 'woff2', 'woff', 'ttf', 'svg'];

/**
 * The `@font-face` rules of a face: one for each part. The rest comes first, as of rules with one name browsers try the
 * last one first: Chromium else takes a letter apart that the site's part has, where the rest has its pieces.
 *
 * @param base what their URLs start with
 */
export function faceRules(face: MadeFace, base: string): string {
  const { family, weight, style, stretch, display, part, rest, older } = face;
  const rule = (files: readonly Part[], unicodeRange?: string) => {
    const sources = [...files]
      .sort((a, b) => sourceOrder.indexOf(a.format) - sourceOrder.indexOf(b.format))
      .map(({ file, format }) => ({ url: base + file + urlEnds[format], format: formatHints[format] }));
    return fontFaceText({ family, weight, style, stretch, display, sources, unicodeRange });
  };
  const { ranges } = face.source;
  if (part.name === 'full') return rule([part, ...older], ranges && unicodeRangeText(part.characters));
  // Of partial files one alone stands for the face without ranges: the one that had the space.
  const measures = ranges === undefined || ranges.has(space);
  const parts = [...(rest ? [rest] : []), part]
    .map((one) =>
      rule([one], unicodeRangeText(one === part && measures ? withSpace(one.characters) : one.characters)),
    )
    .join('\n');
  if (older.length === 0) return parts;
  const inside = parts.replace(/^(?=.)/gm, '  ');
  return `${rule(older)}\n@supports (${knowsParts}) {\n${inside}}\n`;
}

/**
 * Browsers measure lines by the first face of a stack whose range names the space, whether it has one or not (CSS Fonts 4,
 * section 5.2): so does a face without ranges, which this one stands for.
 */
function withSpace(characters: CodePointRanges): CodePointRanges {
  const all = new CodePointSet([space]);
  for (const [first, last] of characters) all.addRange(first, last);
  return all.ranges();
}

/**
 * What browsers know that take WOFF2 and fetch parts by their characters. Older ones read nothing inside of it, and have the
 * whole face from the rule before; newer ones have no use for that, as the parts come later and are all of the face.
 */
const knowsParts = 'font-variation-settings: normal';

/**
 * Internet Explorer before 9 takes everything from the first bracket to the last one for the URL; behind a question
 * mark the rest of it does no harm. An SVG font is named by its id.
 */
const urlEnds: Record<ReachedFormat['format'], string> = {
  eot: '?',
  woff2: '',
  woff: '',
  ttf: '',
  svg: `#${svgFontId}`,
};

/** kit.css: faces, a custom property and a class for each role. */
export function stylesheetFile(kit: MadeKit): string {
  // Relative URLs in a stylesheet start from the stylesheet, which lies at the top of the kit.
  const base = kit.address.url ?? '';
  const faces = kit.families.flatMap(({ faces: list }) => list.map((face) => faceRules(face, base)));
  const properties = kit.families.map(({ role, stack }) => `  --type-${role}: ${fontFamilyList(stack)};\n`);
  const classes = kit.families.map(({ role }) => `.type-${role} {\n  font-family: var(--type-${role});\n}\n`);
  return [
    '/* Made by dense-glyph build. Changes belong in the config: the next build writes this file again. */\n',
    ...faces,
    `:root {\n${properties.join('')}}\n`,
    ...classes,
  ].join('\n');
}
