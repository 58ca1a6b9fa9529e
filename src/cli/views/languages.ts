import type { ExemplarKind, LanguageCoverage } from '../../core/text/languages.js';
import { commonLanguages } from '../../data/common-languages.js';
import { characterText, listed } from './words.js';

/** How many languages are named before the rest is only counted. */
const namedLanguages = 24;
const nearlyShown = 4;
const missingShown = 12;
const groupsShown = 2;
const namedInGroup = 6;

/** Further than this from complete, a language isn't named as one that a few letters are missing for. */
const nearly = 0.25;

const kindWords: readonly [ExemplarKind, string][] = [
  ['punctuation', 'punctuation'],
  ['numbers', 'signs with numbers'],
  ['auxiliary', 'letters of loan words'],
];

/** What a person wants to know first of the languages a font covers, as items of words. */
export function languageItems(languages: readonly LanguageCoverage[]): string[][] {
  const rank = (tag: string) => (commonLanguages.indexOf(tag) + 1 || 1000) - 1;
  const plain = languages
    .filter(({ tag }) => !/-[A-Z]{2}$/.test(tag))
    .sort((a, b) => rank(a.tag) - rank(b.tag));
  const complete = plain.filter((language) => language.complete);
  const common = plain.filter(({ tag }) => commonLanguages.includes(tag));
  const nearlyComplete = common.filter((language) => !language.complete && language.missingShare <= nearly);
  const names = complete.slice(0, namedLanguages).map(({ name }) => name);
  const more = complete.length - names.length;
  return [
    [
      `${complete.length} with all main letters${names.length > 0 ? ':' : ''}`,
      ...listed(names),
      ...(more > 0 ? [`and ${more} more`] : []),
    ],
    ...nearlyComplete
      .slice(0, nearlyShown)
      .map(({ name, missing }) => [`${name} lacks ${missing.main.length}:`, ...characters(missing.main)]),
    ...kindWords.flatMap(([kind, words]) => lackingItems(common, kind, words)),
  ];
}

/** Which complete languages lack the same signs, said once for all of them. */
function lackingItems(languages: readonly LanguageCoverage[], kind: ExemplarKind, words: string): string[][] {
  const groups = new Map<string, { missing: number[]; names: string[] }>();
  for (const { complete, missing, name } of languages) {
    const signs = complete ? missing[kind] : [];
    if (signs.length === 0) continue;
    const key = signs.join();
    const group = groups.get(key);
    if (group) group.names.push(name);
    else groups.set(key, { missing: signs, names: [name] });
  }
  return [...groups.values()].slice(0, groupsShown).map(({ missing, names }) => {
    const shown = names.slice(0, namedInGroup);
    const rest = names.length - shown.length;
    const whose = rest > 0 ? [...shown.map((name) => `${name},`), `and ${rest} more`] : listed(shown);
    return [`no ${words}`, ...characters(missing), 'for', ...whose];
  });
}

function characters(missing: readonly number[]): string[] {
  const rest = missing.length > missingShown ? ['…'] : [];
  return [...missing.slice(0, missingShown).map(characterText), ...rest];
}
