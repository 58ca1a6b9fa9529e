import { isAppliedByDefault } from '../../data/feature-names.js';
import type { CodePointSet } from '../text/code-point-set.js';

/** Features by tag: those to keep and those to leave out, beside what browsers apply without being asked; or all. */
export type FeatureChoice = 'all' | { keep: readonly string[]; leave: readonly string[] };

/** The numbers of list items are set with it by the stylesheet of every browser (`::marker`). */
const listNumbers = 'tnum';
/** Zero stays to measure by. */
const [one, nine] = [0x31, 0x39];
/** Kana beside a word (`rt`) are set with it by the stylesheet of Firefox. */
const rubyForms = 'ruby';
const [firstKana, lastKana] = [0x3041, 0x30ff];
const fractionSlash = 0x2044;
/** Applied around a fraction slash. */
const fractionFeatures = ['frac', 'numr', 'dnom'];
/** Applied in vertical text; the last two with kerning, as Firefox does. */
const verticalFeatures = ['vert', 'vrt2', 'vkrn', 'vpal'];
/** Named by old fonts for what is applied everywhere. */
const alwaysApplied = ['rand', 'Harf', 'HARF', 'Buzz', 'BUZZ'];

/** @returns whether a feature stays, by its tag */
export function isWantedFeature(
  choice: FeatureChoice = { keep: [], leave: [] },
  characters: CodePointSet,
): (tag: string) => boolean {
  if (choice === 'all') return () => true;
  const keep = new Set([...choice.keep, ...alwaysApplied, ...verticalFeatures]);
  if (characters.has(fractionSlash)) for (const tag of fractionFeatures) keep.add(tag);
  if (characters.countIn(one, nine) > 0) keep.add(listNumbers);
  if (characters.countIn(firstKana, lastKana) > 0) keep.add(rubyForms);
  const leave = new Set(choice.leave);
  return (tag) => !leave.has(tag) && (keep.has(tag) || isAppliedByDefault(tag));
}
