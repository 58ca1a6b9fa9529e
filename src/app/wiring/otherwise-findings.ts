import { parseUnicodeRanges } from '../../core/text/parse-ranges.js';
import { finding, type Finding } from '../../findings.js';
import type { Manifest } from '../../kit/files/manifest.js';
import type { DrawnOtherwise } from './second-reading.js';

/** So many lines are told of each kind. */
const mostTold = 20;

/** What is drawn otherwise than before, on pages that are written. */
export const otherwiseFindings = (all: readonly DrawnOtherwise[]): Finding[] =>
  byWhat(all, ({ family, face, before, after, judgement }) =>
    JSON.stringify([`${family} ${face}: drawn by ${before} before, and by ${after} then`, judgement]),
  ).map(({ what, one, pages, signs, others }) => {
    const [text] = JSON.parse(what) as [string];
    const code = one.judgement === 'better' ? 'drawn-as-asked' : 'drawn-otherwise';
    return finding(code, `${text}${signs}${others}`, { file: pages[0] });
  });

/**
 * Pages that stay as they were: what would be lost, and why.
 *
 * @param leftAlone why the kit can't be put into some pages
 */
export const heldFindings = (
  all: readonly DrawnOtherwise[],
  manifest: Manifest,
  leftAlone: ReadonlyMap<string, string>,
): Finding[] =>
  byWhat(
    all,
    ({ family, face, before, after }) => `${family} ${face} would be drawn by ${after}, not ${before}`,
  ).map(({ what, one, pages, signs, others }) =>
    finding('page-held', `${what}${signs}${others}: ${cause(one, manifest, leftAlone)}`, {
      file: pages[0],
      ...(one.forbidden?.advice === undefined ? {} : { advice: `${one.forbidden.advice}, then wire again` }),
    }),
  );

interface Told {
  what: string;
  one: DrawnOtherwise;
  pages: string[];
  /** Characters, and other pages, as they follow on what is said. */
  signs: string;
  others: string;
}

function byWhat(all: readonly DrawnOtherwise[], whatOf: (one: DrawnOtherwise) => string): Told[] {
  const found = new Map<string, { one: DrawnOtherwise; characters: Set<number>; pages: Set<string> }>();
  for (const one of all) {
    const what = whatOf(one);
    const known = found.get(what) ?? { one, characters: new Set(), pages: new Set() };
    known.characters.add(one.character);
    known.pages.add(one.page);
    found.set(what, known);
  }
  return [...found]
    .sort(([, a], [, b]) => b.pages.size - a.pages.size)
    .slice(0, mostTold)
    .map(([what, { one, characters, pages }]) => ({
      what,
      one,
      pages: [...pages],
      signs: signsOf(characters),
      others: pages.size > 1 ? `, and on ${pages.size - 1} more ${pages.size === 2 ? 'page' : 'pages'}` : '',
    }));
}

function signsOf(characters: ReadonlySet<number>): string {
  const signs = [...characters]
    .filter((one) => one > 0x20)
    .slice(0, 8)
    .map((one) => String.fromCodePoint(one))
    .join('');
  return signs === '' ? '' : ` (${signs}${characters.size > 8 ? ' …' : ''})`;
}

/** Why a page would be drawn worse. */
function cause(
  { page, family, character, judgement, forbidden }: DrawnOtherwise,
  { families }: Manifest,
  leftAlone: ReadonlyMap<string, string>,
): string {
  const why = leftAlone.get(page);
  if (why !== undefined) return `${why}, so the kit cannot be put in`;
  if (forbidden?.message !== undefined) return forbidden.message;
  const own = families.find((one) => one.family.toLowerCase() === family.toLowerCase());
  if (!own) return `the kit has no ${family}, and what declared it goes`;
  const faces = own.faces.map(
    ({ weight, style }) => `${weight.replace(' ', '–')}${style === 'normal' ? '' : ` ${style}`}`,
  );
  const has = `the kit has ${family} at ${[...new Set(faces)].join(', ')}`;
  if (judgement !== 'local font' && judgement !== 'another family')
    return judgement === 'another style' ? `${has}, as other rules declare it` : `${has} alone`;
  const isThere = own.faces.some(({ parts }) =>
    parts.some((part) => parseUnicodeRanges(part.characters).has(character)),
  );
  return `${has}, ${isThere ? 'and other rules of the page win' : 'without these characters'}`;
}
