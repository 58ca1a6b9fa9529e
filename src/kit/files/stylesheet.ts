import { svgFontId } from '../../core/containers/index.js';
import { fontFaceText, fontFamilyList, formatHints } from '../../core/face/index.js';
import { CodePointSet } from '../../core/text/code-point-set.js';
import { unicodeRangeText, type CodePointRanges } from '../../core/text/unicode-ranges.js';
import { standInFamily } from '../../site/css/stand-in-family.js';
import type { KitFace, KitFamily, MadeKit } from '../kit.js';
import { standInRules, usualIn } from '../stand-ins/index.js';
import { fetchedPart, olderParts, restOf, type MadeFace, type Part } from '../planning/made.js';
import type { ReachedFormat } from '../reach.js';
import { declaredTogether } from './declared-together.js';

const space = 0x20;

/** The order in `src`: the oldest Internet Explorer reads only the first, all others take the first that they know. */
const sourceOrder: readonly ReachedFormat['format'][] = ['eot', 'woff2', 'woff', 'ttf', 'svg'];

/**
 * The `@font-face` rules of a face: one for each part. The rest comes first, as of rules with one name browsers try the
 * last one first: Chromium else takes a letter apart that the site's part has, where the rest has its pieces.
 *
 * @param base what their URLs start with
 * @param isGrouped whether the loader declares it where there are scripts
 */
export function faceRules(face: KitFace, base: string, isGrouped = false): string {
  if (!isGrouped) return rulesOf(face, base, face.standIns.length > 0);
  const [part, rest] = [fetchedPart(face), restOf(face)];
  const alone = rulesOf({ ...face, parts: [part] }, base);
  const others = rest ? `${rulesOf({ ...face, parts: [rest] }, base)}\n` : '';
  return `${others}${block('@media (scripting: none)', alone)}`;
}

const block = (condition: string, rules: string) => `${condition} {\n${rules.replace(/^(?=.)/gm, '  ')}}\n`;

/** What stands in for a face: rules of a family of their own, so that its own family holds the face alone. */
function rulesOfStandIns(face: KitFace): string[] {
  const { family, style, stretch, slant } = face;
  const characters = standInCharacters(face);
  const rule = { family: standInFamily(family), style, stretch, slant, characters };
  return face.standIns.flatMap(({ weight, standIns }) => {
    const scripts = new Set(standIns.flatMap((one) => one.companions.map(({ script }) => script)));
    return standIns.flatMap((one) => standInRules({ ...rule, weight, scripts }, one));
  });
}

/** Blocks up to here are in the text of most languages: what pages may come to draw. */
const lastUsual = 0x17f;

/**
 * What the face has, so that other characters go on to the stack; of what lies further up where pages draw something, as each number
 * stands in each rule.
 */
function standInCharacters({ parts }: KitFace): CodePointRanges {
  const [all, drawn] = [new CodePointSet(), new CodePointSet()];
  for (const { characters, slice } of parts)
    for (const [first, last] of characters) {
      all.addRange(first, last);
      if (slice !== 'rest') drawn.addRange(first, last);
    }
  const isAsked = ([first, last]: readonly [number, number]) => {
    for (let codePoint = first; codePoint <= last; codePoint++) if (drawn.has(codePoint)) return true;
    return first <= lastUsual;
  };
  return withSpace(all.ranges().filter(isAsked));
}

/** The head and elements in it; of a page with fewer the first ones are loaded. */
const mostLoaded = 8;

/**
 * Firefox draws no stand-in that it hasn't loaded before, and loads none while the face is on its way. It loads what a length
 * is measured by (CSS Values 4, section 6.1): elements of the head, which show nothing, have lengths of stand-ins, those of
 * most text first. A rule of the page for such an element goes before these.
 */
function loadingRules(families: MadeKit['families']): string[] {
  const bands = families.flatMap(({ faces }) =>
    faces.flatMap(({ family, style, standIns }) =>
      standIns
        .filter((band) => band.standIns.length > 0)
        .map(({ weight, letters }) => ({ family, style, weight: usualIn(weight), letters })),
    ),
  );
  const rules = bands
    .sort((a, b) => b.letters - a.letters)
    .slice(0, mostLoaded)
    .map(({ family, style, weight }, i) => {
      const declarations = [
        ...(i === 0 ? ['display: contents;'] : []),
        `font-family: ${fontFamilyList([standInFamily(family)])};`,
        // What the head says is inherited by what is in it.
        ...(weight === 400 && i === 0 ? [] : [`font-weight: ${weight};`]),
        ...(style === 'normal' && i === 0 ? [] : [`font-style: ${style};`]),
        'scroll-margin: 1ex 1ch 1ic;',
      ];
      const lines = declarations.map((one) => `    ${one}\n`).join('');
      return `  :where(${i === 0 ? 'head' : `head > :nth-child(${i})`}) {\n${lines}  }\n`;
    });
  if (rules.length === 0) return [];
  return [`@supports (${isFirefox}) {\n${rules.join('')}}\n`];
}

export const isFirefox = '-moz-appearance: none';

/** @param hasRange whether a rule for all of its characters names them, so that others don't fetch it */
function rulesOf(face: MadeFace, base: string, hasRange = false): string {
  const { family, weight, style, stretch, slant, descriptors, display, source } = face;
  const part = fetchedPart(face);
  const rest = restOf(face);
  const older = olderParts(face);
  const rule = (sources: readonly { url: string; format: string }[], unicodeRange?: string) =>
    fontFaceText({ family, weight, style, stretch, slant, descriptors, display, sources, unicodeRange });
  const files = (parts: readonly Part[]) =>
    [...parts]
      .sort((a, b) => sourceOrder.indexOf(a.format) - sourceOrder.indexOf(b.format))
      .map(({ file, format }) => ({ url: base + file + urlEnds[format], format: formatHints[format] }));
  const { ranges } = source;
  if (part.slice === 'whole') {
    const named = hasRange && older.length === 0 ? withSpace(part.characters) : undefined;
    const own = ranges ? part.characters : named;
    return rule(files([part, ...older]), own && unicodeRangeText(own));
  }
  // Of partial files one alone stands for the face without ranges: the one that had the space.
  const measures = ranges === undefined || ranges.has(space);
  const parts = [...(rest ? [rest] : []), part]
    .map((one) =>
      rule(
        files([one]),
        unicodeRangeText(one.slice !== 'rest' && measures ? withSpace(one.characters) : one.characters),
      ),
    )
    .join('\n');
  if (older.length === 0) return parts;
  const [first, ...others] = files(older);
  const known = { url: base + part.file, format: knowsPartsHint };
  // Internet Explorer before 9 reads the first one only.
  const whole = first.format === formatHints.eot ? [first, known, ...others] : [known, first, ...others];
  const inside = parts.replace(/^(?=.)/gm, '  ');
  return `${rule(whole, ranges && unicodeRangeText(part.characters))}\n@supports (${knowsParts}) {\n${inside}}\n`;
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
 * whole face from the rule before. For a character that no part has, newer ones look at that rule too: there they find the
 * part that they have already, by a format that they know and that older ones pass over.
 */
const knowsParts = 'font-variation-settings: normal';
const knowsPartsHint = 'woff2-variations';

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

/** What a kit's stylesheet begins with; tools that take comments out leave this kind. */
const kitMark = '/*! dense-glyph kit';
/** What it began with once. */
const earlierMark = '/* Made by dense-glyph build.';

/** Whether a stylesheet begins as a kit's does, this one's or a copy of any. */
export function startsAsKit(css: string): boolean {
  const start = css.replace(/^\ufeff|^ï»¿/, '').replace(/^@charset "[^"]*";\s*/i, '');
  return start.startsWith(kitMark) || start.startsWith(earlierMark);
}

/** The families of a stack: behind that of the faces what stands in for them. */
export function stackOf({ family, stack, faces }: KitFamily): string[] {
  const hasStandIns = faces.some(({ standIns }) => standIns.some((band) => band.standIns.length > 0));
  return hasStandIns ? [family, standInFamily(family), ...stack.slice(1)] : [...stack];
}

/** kit.css: faces, then what stands in for them, a custom property and a class for each role. */
export function stylesheetFile(kit: Pick<MadeKit, 'families' | 'address'>): string {
  // Relative URLs in a stylesheet start from the stylesheet, which lies at the top of the kit.
  const base = kit.address.url ?? '';
  const faces = kit.families.flatMap(({ group, faces: own }) =>
    declaredTogether(own).map((face) => faceRules(face, base, group !== undefined)),
  );
  const standIns = kit.families.flatMap(({ faces: own }) => own.flatMap(rulesOfStandIns));
  const properties = kit.families.map(
    (family) => `  --type-${family.role}: ${fontFamilyList(stackOf(family))};\n`,
  );
  const classes = kit.families.map(({ role }) => `.type-${role} {\n  font-family: var(--type-${role});\n}\n`);
  return [
    `${kitMark}: made by build. Changes belong in the config, as the next build writes this file again. */\n`,
    ...faces,
    ...(standIns.length === 0 ? [] : ['/* Local fonts that stand in for the faces until these arrive. */\n']),
    ...standIns,
    `:root {\n${properties.join('')}}\n`,
    ...classes,
    ...loadingRules(kit.families),
  ].join('\n');
}
