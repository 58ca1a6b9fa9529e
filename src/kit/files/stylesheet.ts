import { svgFontId } from '../../core/containers/index.js';
import { fontFaceText, fontFamilyList, formatHints, type Range } from '../../core/face/index.js';
import { CodePointSet } from '../../core/text/code-point-set.js';
import { unicodeRangeText, type CodePointRanges } from '../../core/text/unicode-ranges.js';
import { loadingMarks } from '../../site/css/loading-mark.js';
import type { KitFace, MadeKit } from '../kit.js';
import {
  kindsApart,
  mainBand,
  standInRules,
  usualIn,
  type CharacterKind,
  type StandInBand,
} from '../stand-ins/index.js';
import { fetchedPart, olderParts, restOf, type MadeFace, type Part } from '../planning/made.js';
import type { ReachedFormat } from '../reach.js';

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
  const ofFace = (weight: Range, hasRange = false) => {
    if (!isGrouped) return rulesOf(face, base, weight, hasRange);
    const [part, rest] = [fetchedPart(face), restOf(face)];
    const alone = rulesOf({ ...face, parts: [part] }, base, weight, hasRange);
    const others = rest ? `${rulesOf({ ...face, parts: [rest] }, base, weight)}\n` : '';
    return `${others}${block('@media (scripting: none)', alone)}`;
  };
  if (face.standIns.length === 0) return ofFace(face.weight);
  const characters = standInCharacters(face);
  const of = (band: StandInBand) =>
    [...rulesOfBand(face, band, characters), ofFace(band.weight, true)].join('\n');
  const [first, ...others] = face.standIns;
  if (others.length === 0) return of(first);
  return [
    // Rules of several weights share a file, which Firefox fetches once for each of them.
    block(`@supports (${isFirefox})`, of({ ...mainBand(face.standIns), weight: face.weight })),
    block(`@supports not (${isFirefox})`, face.standIns.map(of).join('\n')),
  ].join('\n');
}

export const block = (condition: string, rules: string) =>
  `${condition} {\n${rules.replace(/^(?=.)/gm, '  ')}}\n`;

/**
 * What stands in for a face: the same family and the same descriptors, so that browsers draw it while the face is on its way and
 * where it never comes, without a change of any stack (CSS Fonts 4, section 4.1: of rules alike the last one that has a
 * character).
 */
function rulesOfBand(
  face: KitFace,
  { weight, standIns }: StandInBand,
  characters: CodePointRanges,
): string[] {
  const { family, style, stretch, slant } = face;
  const rule = { family, weight, style, stretch, slant, characters, isLoadedAhead: true };
  return standIns.flatMap((one) => standInRules(rule, one));
}

/** What the face has, so that other characters go on to the stack. */
function standInCharacters({ parts }: KitFace): CodePointRanges {
  const all = new CodePointSet();
  for (const { characters } of parts) for (const [first, last] of characters) all.addRange(first, last);
  return withSpace(all.ranges());
}

/** Pseudo-elements that come before the body and that pages hardly ever use. */
const loadingPlaces: readonly string[] = [
  'html::before',
  'head::before',
  'head::after',
  'title::before',
  'title::after',
];

/**
 * Firefox draws no stand-in that it hasn't loaded before, and loads none while the face is on its way. Elements that show nothing
 * ask for a character that only stand-ins name, those of the most used weights first; other browsers don't read the rules. Their
 * first family is one of the system, so that no face is fetched to measure their lines.
 */
function loadingRules(kit: MadeKit): string[] {
  const families = kit.families.filter(({ faces }) =>
    faces.some((face) => face.standIns.length > 0 && olderParts(face).length === 0),
  );
  const letters = new Map<string, number>();
  for (const face of families.flatMap(({ faces }) => [...faces])) {
    if (face.standIns.length === 0) continue;
    const { weight, letters: own } = mainBand(face.standIns);
    const key = `${face.style === 'normal' ? '' : `${face.style} `}${usualIn(weight)}`;
    letters.set(key, (letters.get(key) ?? 0) + own);
  }
  const standIns = families.flatMap(({ faces }) =>
    faces.flatMap((face) => face.standIns.flatMap((band) => band.standIns)),
  );
  const kinds = new Set(standIns.flatMap(({ scales }) => kindsApart(scales)));
  const marks = Object.entries(loadingMarks).flatMap(([kind, mark]) =>
    kinds.has(kind as CharacterKind) ? [mark] : [],
  );
  const content = marks.map((code) => `\\${code.toString(16).toUpperCase()}`).join('');
  const stack = fontFamilyList(['serif', ...families.map(({ family }) => family)]);
  const rules = [...letters]
    .sort(([a, most], [b, other]) => other - most || (a < b ? -1 : 1))
    .slice(0, loadingPlaces.length)
    .map(
      ([font], i) =>
        `  ${loadingPlaces[i]} {\n    content: "${content}";\n    font: ${font} 1px ${stack};\n  }\n`,
    );
  if (rules.length === 0) return [];
  const hidden = `  html::before,\n  head {\n    position: absolute;\n    top: 0;\n    left: 0;\n    visibility: hidden;\n  }\n  head,\n  title {\n    display: block;\n    font-size: 0;\n  }\n`;
  return [`@supports (${isFirefox}) {\n${hidden}${rules.join('')}}\n`];
}

export const isFirefox = '-moz-appearance: none';

/** @param hasRange whether a rule for all of its characters names them, so that others don't fetch it */
function rulesOf(face: MadeFace, base: string, weight: Range, hasRange = false): string {
  const { family, style, stretch, slant, descriptors, display, source } = face;
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

/** kit.css: faces, a custom property and a class for each role. */
export function stylesheetFile(kit: MadeKit): string {
  // Relative URLs in a stylesheet start from the stylesheet, which lies at the top of the kit.
  const base = kit.address.url ?? '';
  const faces = kit.families.flatMap(({ group, faces: own }) =>
    own.map((face) => faceRules(face, base, group !== undefined)),
  );
  const properties = kit.families.map(({ role, stack }) => `  --type-${role}: ${fontFamilyList(stack)};\n`);
  const classes = kit.families.map(({ role }) => `.type-${role} {\n  font-family: var(--type-${role});\n}\n`);
  return [
    `${kitMark}: made by build. Changes belong in the config, as the next build writes this file again. */\n`,
    ...faces,
    ...loadingRules(kit),
    `:root {\n${properties.join('')}}\n`,
    ...classes,
  ].join('\n');
}
