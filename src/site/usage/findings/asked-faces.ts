import { rangeText } from '../../../core/face/index.js';
import { finding } from '../../../findings.js';
import { fakedBy, needsNoGlyph, type FaceRule, type MatchedFace } from '../declared-faces.js';
import type { PageFace } from '../page-face.js';
import { placeOf, ruleFor, type Collector } from './collector.js';

/** A face that a page asks for, and the rules that the page has. */
export interface AskedOnPage {
  page: string;
  face: MatchedFace;
  rules: readonly FaceRule[];
}

/** Families that systems have, or that CSS defines; nobody declares them. */
const systemFamilies =
  /^(serif|sans-serif|monospace|cursive|fantasy|system-ui|ui-.*|math|emoji|fangsong|-apple-system|blinkmacsystemfont|arial|arial black|helvetica|helvetica neue|times|times new roman|georgia|verdana|tahoma|trebuchet ms|courier|courier new|lucida .*|consolas|menlo|monaco|segoe ui.*|roboto|ubuntu.*|cantarell|oxygen.*|fira sans|droid sans|noto .*|liberation .*|sfmono-regular|sf mono|calibri|cambria|palatino.*|garamond|apple color emoji|impact|comic sans ms|hiragino .*|yu .*|meiryo|ms .*|simsun|simhei|microsoft .*|pingfang .*|malgun gothic)$/i;

/** The first of a stack is meant; where nobody declares it, visitors see another one. */
export function undeclaredFamily({ page, face, rules }: AskedOnPage, collected: Collector): void {
  const [first] = face.stack;
  if (first === undefined || systemFamilies.test(first)) return;
  if (rules.some(({ family }) => family.toLowerCase() === first.toLowerCase())) return;
  const instead = face.stack.slice(1).join(', ') || 'the browser’s own font';
  for (const rule of [...face.rules.values()].filter(({ property }) => property === 'font-family')) {
    const message = `"${first}" is asked for, and no rule declares it; ${instead} is drawn instead`;
    collected.add(finding('family-undeclared', message, placeOf(rule)), [page]);
  }
}

/** What is made up of each kind: the finding, the property that asks for it, and what to do else. */
const fakes = {
  bold: ['faked-bold', 'font-weight', 'ask for a weight that is there'],
  slant: ['faked-slant', 'font-style', 'leave the slant out'],
} as const;

export function fakedStyles({ page, face }: AskedOnPage, collected: Collector): void {
  const { asked, groups } = face;
  const rule = groups.find((group) => group.face && group.drawn.length > 0)?.face;
  if (!rule) return;
  const has = `${rangeText(rule.weight).replace(' ', ' to ')} ${rule.style}`;
  for (const fake of fakedBy(rule, face)) {
    const [code, property, otherwise] = fakes[fake];
    const wanted = `${asked.family} ${asked.weight}${fake === 'slant' ? ` ${asked.style}` : ''}`;
    const message = `${wanted} is faked: the nearest face that is declared is ${has}`;
    const place = placeOf(ruleFor(face, property) ?? ruleFor(face, 'font-family'));
    collected.add(finding(code, message, { ...place, advice: `declare ${wanted}, or ${otherwise}` }), [page]);
  }
}

/** Characters that a face should draw and hasn't, on all pages together. */
export class LackingCharacters {
  private readonly found = new Map<
    string,
    { face: PageFace; instead: string; characters: Set<number>; pages: Set<string> }
  >();

  /** Each goes to the next family of the stack, or to the system. */
  look({ page, face }: AskedOnPage): void {
    const { asked, stack } = face;
    const isOwn = (rule: FaceRule | undefined) => rule?.family.toLowerCase() === asked.family.toLowerCase();
    const groups = face.groups.filter(({ drawn }) => drawn.length > 0);
    if (!groups.some((group) => isOwn(group.face) && group.face?.supply)) return;
    for (const { face: other, drawn } of groups) {
      const told = drawn.filter(
        (character) => !needsNoGlyph(character) && !emoji.test(String.fromCodePoint(character)),
      );
      if (isOwn(other) || told.length === 0) continue;
      const next = stack[stack.indexOf(asked.family) + 1];
      const instead =
        other?.family ??
        (next === undefined ? 'a font of the system' : `${next} or another font of the system`);
      const key = JSON.stringify([asked, instead, placeOf(ruleFor(face, 'font-family'))]);
      let known = this.found.get(key);
      if (!known) this.found.set(key, (known = { face, instead, characters: new Set(), pages: new Set() }));
      for (const character of told) known.characters.add(character);
      known.pages.add(page);
    }
  }

  tell(collected: Collector): void {
    for (const { face, instead, characters, pages } of this.found.values()) {
      const { family, weight } = face.asked;
      const message = `${family} ${weight} has no ${signsOf([...characters])}; ${instead} draws ${characters.size === 1 ? 'it' : 'them'}`;
      collected.add(finding('characters-lacking', message, placeOf(ruleFor(face, 'font-family'))), pages);
    }
  }
}

/** Nobody expects these of a font for text. */
const emoji = /^\p{Emoji_Presentation}$/u;
const signsShown = 12;

function signsOf(characters: readonly number[]): string {
  const sorted = [...characters].sort((a, b) => a - b);
  const signs = sorted.slice(0, signsShown).map((character) => String.fromCodePoint(character));
  const rest = sorted.length - signs.length;
  return signs.join(' ') + (rest > 0 ? ` and ${rest} more` : '');
}
