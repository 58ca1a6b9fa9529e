// Writes src/data/languages.ts: the characters that languages are written with (CLDR exemplar characters).
//   node tools/data/languages.mjs     needs the packages cldr-core and cldr-misc-full
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import { packed } from './code-points.mjs';

const require = createRequire(import.meta.url);
const folder = dirname(require.resolve('cldr-misc-full/package.json'));
const { version } = require('cldr-misc-full/package.json');
const { likelySubtags } = require('cldr-core/supplemental/likelySubtags.json').supplemental;
const { territoryInfo } = require('cldr-core/supplemental/territoryInfo.json').supplemental;
const { region: currencies } = require('cldr-core/supplemental/currencyData.json').supplemental.currencyData;
const names = new Intl.DisplayNames('en', { type: 'language' });
/** Scripts with two cases that pages use; Georgian capitals exist, but no text has them. */
const cased = new Set(['Latn', 'Grek', 'Cyrl', 'Armn', 'Adlm', 'Osge', 'Cher', 'Dsrt', 'Copt', 'Glag']);

/** The code points of a UnicodeSet as CLDR writes it: "[a-z {ch} \\-]". */
function codePointsOf(set) {
  const found = new Set();
  const characters = [...set.slice(1, -1)];
  let previous;
  for (let i = 0; i < characters.length; i++) {
    let c = characters[i];
    if (c === ' ' || c === '{' || c === '}') continue;
    if (c === '-' && previous !== undefined) {
      let end = characters[++i];
      if (end === '\\') end = characters[++i];
      for (let p = previous; p <= end.codePointAt(0); p++) found.add(p);
      previous = undefined;
      continue;
    }
    if (c === '\\') {
      c = characters[++i];
      const digits = { u: 4, U: 8, x: 2 }[c];
      if (digits) {
        c = String.fromCodePoint(parseInt(characters.slice(i + 1, i + 1 + digits).join(''), 16));
        i += digits;
      }
    }
    previous = c.codePointAt(0);
    found.add(previous);
  }
  return found;
}

/** Quotation marks, which CLDR gives beside the punctuation. */
function quotesOf(tag) {
  const { delimiters } = JSON.parse(readFileSync(join(folder, 'main', tag, 'delimiters.json'), 'utf8')).main[
    tag
  ];
  return Object.values(delimiters).flatMap((quote) => [...quote].map((c) => c.codePointAt(0)));
}

/** Regions where a language is official, by the tag that CLDR has there (`sr`, `az_Cyrl`), and the likely one. */
function regionsOf(tag, script) {
  const language = tag.split('-')[0];
  const region = tag.split('-').find((subtag) => /^[A-Z]{2}$/.test(subtag));
  if (region) return [region];
  const likely = likelySubtags[tag] ?? likelySubtags[language] ?? '';
  const official = Object.entries(territoryInfo).filter(([, { languagePopulation = {} }]) =>
    [language, `${language}_${script}`].some((key) => languagePopulation[key]?._officialStatus),
  );
  return [...new Set([likely.split('-')[2], ...official.map(([code]) => code)].filter(Boolean))];
}

/** What the currencies of regions are written with, in the language itself: signs, or letters as in `zł`. */
function currencyCharacters(tag, regions) {
  const found = new Set();
  for (const code of regions) {
    const today = (currencies[code] ?? []).flatMap((entry) => Object.entries(entry));
    for (const [currency, use] of today) {
      if (use._to || use._tender === 'false') continue;
      for (const currencyDisplay of ['symbol', 'narrowSymbol']) {
        const format = new Intl.NumberFormat(tag, { style: 'currency', currency, currencyDisplay });
        const { value } = format.formatToParts(1).find(({ type }) => type === 'currency');
        for (const character of value) found.add(character.codePointAt(0));
      }
    }
  }
  return found;
}

/** Digits of the script itself, and those that it shares. */
function digitsOf(script) {
  const name = { Hans: 'Hani', Hant: 'Hani', Jpan: 'Hira', Kore: 'Hang' }[script] ?? script;
  let pattern;
  try {
    pattern = new RegExp(`^(?=\\p{Nd})\\p{Script_Extensions=${name}}$`, 'u');
  } catch {
    return [];
  }
  const found = [];
  for (let c = 0; c <= 0x1ffff; c++) if (pattern.test(String.fromCodePoint(c))) found.push(c);
  // Unicode counts these to no script.
  return script === 'Arab' ? [...found, ...Array.from({ length: 10 }, (_, i) => 0x6f0 + i)] : found;
}
const digits = new Map();

function scriptOf(tag) {
  const inTag = tag.split('-').find((subtag) => /^[A-Z][a-z]{3}$/.test(subtag));
  const likely = likelySubtags[tag] ?? likelySubtags[tag.split('-')[0]] ?? '';
  return inTag ?? likely.split('-')[1] ?? 'Zzzz';
}

const sets = [];
const index = new Map();
const indexOf = (text) => {
  if (!index.has(text)) index.set(text, sets.push(text) - 1);
  return index.get(text);
};

/** Regions pay with other currencies; `currency-signs.ts` knows which. */
const sameButForSigns = (a, b) => a.slice(0, 4).join() === b.slice(0, 4).join();

const languages = new Map();
for (const tag of readdirSync(join(folder, 'main')).sort((a, b) => a.length - b.length || (a < b ? -1 : 1))) {
  if (tag === 'root' || tag === 'und' || tag.includes('POSIX')) continue;
  const { characters } = JSON.parse(readFileSync(join(folder, 'main', tag, 'characters.json'), 'utf8')).main[
    tag
  ];
  if (!characters?.exemplarCharacters || characters.exemplarCharacters === '[]') continue;
  const script = scriptOf(tag);
  const main = codePointsOf(characters.exemplarCharacters);
  if (cased.has(script)) {
    for (const c of [...main]) {
      for (const upper of String.fromCodePoint(c).toLocaleUpperCase(tag)) main.add(upper.codePointAt(0));
    }
  }
  const [auxiliary, punctuation, numbersOf] = ['auxiliary', 'punctuation', 'numbers'].map((key) =>
    codePointsOf(characters[key] ?? '[]'),
  );
  for (const quote of quotesOf(tag)) punctuation.add(quote);
  const signs = new Set(
    ['numbers-auxiliary', 'punctuation-auxiliary', 'punctuation-person'].flatMap((key) => [
      ...codePointsOf(characters[key] ?? '[]'),
    ]),
  );
  if (!digits.has(script)) digits.set(script, digitsOf(script));
  for (const digit of digits.get(script)) signs.add(digit);
  for (const sign of currencyCharacters(tag, regionsOf(tag, script))) signs.add(sign);
  const row = [main, auxiliary, punctuation, numbersOf, signs];
  const texts = row.map(packed);
  // A variant that is written like its parent adds nothing.
  const parents = tag
    .split('-')
    .map((_, i, all) => all.slice(0, -i || undefined).join('-'))
    .slice(1);
  const parent = parents.map((p) => languages.get(p)).find(Boolean);
  if (parent && parent.script === script && sameButForSigns(parent.texts, texts)) continue;
  languages.set(tag, { name: names.of(tag), script, texts, numbers: texts.map(indexOf) });
}
const rows = [...languages]
  .sort(([a], [b]) => (a < b ? -1 : 1))
  .map(
    ([tag, { name, script, numbers }]) =>
      `  ['${tag}', '${name.replaceAll("'", '’')}', '${script}', ${numbers.join(', ')}],`,
  );
const text = `/**
 * CLDR ${version}: what languages are written with. Each row: the BCP 47 tag, the name in English, the ISO 15924 code of the script, and
 * the numbers of five sets in \`exemplarSets\`: main (capitals included), auxiliary, punctuation with quotation marks, numbers, and other signs: rarer
 * punctuation, digits of the script, currencies of the regions where the language is official. Variants that are written
 * like the language they vary are left out. Made by tools/data/languages.mjs.
 */
export type LanguageRow = readonly [
  tag: string,
  name: string,
  script: string,
  main: number,
  auxiliary: number,
  punctuation: number,
  numbers: number,
  signs: number,
];

export const languageRows: readonly LanguageRow[] = [
${rows.join('\n')}
];

/** Sets of code points, packed as \`unpackRanges\` reads them. */
export const exemplarSets: readonly string[] = [
${sets.map((set) => `  '${set}',`).join('\n')}
];
`;
writeFileSync(new URL('../../src/data/languages.ts', import.meta.url), text);
console.log(`${rows.length} languages, ${sets.length} sets, ${text.length} characters`);
