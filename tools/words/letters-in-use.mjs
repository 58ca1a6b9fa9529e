// Writes test-support/data/letters-in-use.ts: letters that words of languages really have, counted in word lists and translations
// that Debian packages. Nothing of it comes from CLDR.
//   node tools/words/letters-in-use.mjs     needs Debian's apt-get and dpkg; the packages go into build/words
import { execFileSync } from 'node:child_process';
import { existsSync, mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { basename, join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import { root } from '../build/root.mjs';

const folder = join(root, 'build/words');
/** A letter that is rarer than one in so many words may be of a foreign one. */
const oneIn = 2000;
/** Fewer words of a language say too little. */
const leastWords = 3000;

const packages = [
  'libgtk-3-common',
  'libglib2.0-data',
  ...'af an ar be bg bn bo br bs ca cs da de-de dz el en-us es eu fr gd gl gu gug he hi hr hu id is it kk kmr ko lo lt lv ml mn ne nl no oc pl pt-br pt-pt ro ru si sk sl sr sv sw te th tr uk uz vi'
    .split(' ')
    .map((tag) => `hunspell-${tag}`),
  ...'cs da de el es fi fr hu id it ja mk nb nl pl pt-br ro ru sr sv tr uk vi zh'
    .split(' ')
    .map((tag) => `manpages-${tag}`),
];

/** What packages call languages, where BCP 47 calls them otherwise. */
const tags = {
  gug: 'gn',
  kmr: 'ku',
  'sr@latin': 'sr-Latn',
  'be@latin': 'be-Latn',
  'hunspell-uz': 'uz-Cyrl',
  'uz@cyrillic': 'uz-Cyrl',
  'ca@valencia': 'ca',
  'en@shaw': 'en-Shaw',
};

/** Words by language, and where they are from. */
const found = new Map();
function take(name, source, words) {
  const plain = name.replaceAll('_', '-').replace(/\..*$/, '');
  const tag = tags[source] ?? tags[plain] ?? plain;
  if (tag.includes('@')) return;
  const language = found.get(tag) ?? { byScript: new Map(), sources: new Set() };
  language.sources.add(source);
  for (const word of words) {
    const script = scriptOf(word);
    const counted = language.byScript.get(script) ?? { words: 0, counts: new Map() };
    language.byScript.set(script, counted);
    counted.words++;
    for (const character of new Set(word))
      counted.counts.set(character, (counted.counts.get(character) ?? 0) + 1);
  }
  found.set(tag, language);
}

const scripts = ['Latn', 'Cyrl', 'Grek', 'Arab', 'Hebr', 'Deva', 'Hang'].map((script) => ({
  script,
  pattern: new RegExp(`^\\p{M}*\\p{Script=${script}}`, 'u'),
}));
const scriptOf = (word) => scripts.find(({ pattern }) => pattern.test(word))?.script ?? 'other';

/** Some lists have names in scripts of other languages; fewer words than one in fifty are such. */
function together({ byScript }) {
  const total = [...byScript.values()].reduce((sum, { words }) => sum + words, 0);
  const all = { words: 0, counts: new Map() };
  for (const { words, counts } of byScript.values()) {
    if (words * 50 < total) continue;
    all.words += words;
    for (const [character, count] of counts)
      all.counts.set(character, (all.counts.get(character) ?? 0) + count);
  }
  return all;
}

const wordsOf = (text) => text.match(/[\p{L}\p{M}](?:[\p{L}\p{M}'’-]|\u200c|\u200d)*/gu) ?? [];

/** Translations of a compiled catalogue (GNU gettext, MO files). */
function translations(bytes) {
  const order = bytes.readUInt32LE(0) === 0x950412de ? 'LE' : 'BE';
  const at = (offset) => bytes[`readUInt32${order}`](offset);
  const texts = Array.from({ length: at(8) }, (_, i) => {
    const entry = at(16) + i * 8;
    return bytes.toString('utf8', at(entry + 4), at(entry + 4) + at(entry));
  });
  return texts.slice(1).map((text) => text.replace(/%[-\d$.]*[a-z]+|<[^>]+>|&\w+;|[_&](?=\p{L})/giu, ' '));
}

/** Text of a manual page without requests and escapes of roff. */
const manualText = (text) =>
  text
    .split('\n')
    .filter((line) => !/^[.'](?!B |I |SH |SS |BR |TP)/.test(line))
    .join('\n')
    .replace(/\\f(\[\w*\]|\w)|\\\(..|\\\[[^\]]*\]|\\./g, ' ');

/** The file is called by its language: `sr_Latn_RS.dic`. */
function readHunspell(path, source) {
  const [language, script] = basename(path, '.dic').split(/[-_]/);
  const affixes = readFileSync(path.replace(/\.dic$/, '.aff'), 'latin1');
  const encoding = /^(?:\xef\xbb\xbf)?\s*SET\s+(\S+)/m.exec(affixes)?.[1] ?? 'iso-8859-1';
  const text = new TextDecoder(
    encoding.replace(/^microsoft-cp/i, 'windows-').replace(/^ISO(\d)/, 'iso-$1'),
  ).decode(readFileSync(path));
  take(
    script?.length === 4 ? `${language}-${script}` : language,
    source,
    text
      .split(/\r?\n/)
      .slice(1)
      .flatMap((line) => wordsOf(line.split(/[/\t]/)[0])),
  );
}

function readPackage(name) {
  const target = join(folder, name);
  if (!existsSync(target)) {
    execFileSync('apt-get', ['download', name], { cwd: folder, stdio: ['ignore', 'ignore', 'inherit'] });
    const file = readdirSync(folder).find((entry) => entry.startsWith(`${name}_`));
    execFileSync('dpkg', ['-x', file, target], { cwd: folder });
  }
  for (const entry of readdirSync(target, { recursive: true, withFileTypes: true })) {
    const path = join(entry.parentPath ?? entry.path, entry.name);
    if (!entry.isFile()) continue;
    if (path.endsWith('.dic') && !/^hyph/.test(entry.name)) readHunspell(path, name);
    else if (path.endsWith('.mo')) {
      const language = /locale\/([^/]+)\//.exec(path)[1];
      take(language, name, translations(readFileSync(path)).flatMap(wordsOf));
    } else if (/\/man\/[^/]+\/man\d\/[^/]+\.gz$/.test(path)) {
      const language = /\/man\/([^/]+)\//.exec(path)[1];
      take(language, name, wordsOf(manualText(gunzipSync(readFileSync(path)).toString('utf8'))));
    }
  }
}

mkdirSync(folder, { recursive: true });
for (const name of packages) {
  try {
    readPackage(name);
  } catch (cause) {
    console.error(`${name}: ${cause.message.split('\n')[0]}`);
  }
}

const rows = [...found]
  .map(([tag, language]) => [tag, { ...together(language), sources: language.sources }])
  .filter(([, { words }]) => words >= leastWords)
  .sort(([a], [b]) => (a < b ? -1 : 1))
  .map(([tag, { words, counts, sources }]) => {
    const letters = [...counts].filter(([, count]) => count * oneIn >= words).map(([character]) => character);
    return { tag, words, sources: [...sources], letters: letters.sort() };
  });
/** Combining marks and joiners are written as escapes, so that an editor shows them. */
const written = (letters) =>
  letters.map((c) => (/[\p{M}\p{Cf}'\\]/u.test(c) ? `\\u{${c.codePointAt(0).toString(16)}}` : c)).join('');
const text = `/**
 * Letters that occur in at least one of ${oneIn} words, counted in word lists and translations of Debian's packages: the language, how many words
 * were counted, the packages, the letters. Made by ${`tools/words/${basename(import.meta.filename)}`}.
 */
export const lettersInUse: readonly (readonly [tag: string, words: number, sources: string, letters: string])[] = [
${rows.map(({ tag, words, sources, letters }) => `  ['${tag}', ${words}, '${sources.join(' ')}', '${written(letters)}'],`).join('\n')}
];
`;
writeFileSync(join(root, 'test-support/data/letters-in-use.ts'), text);
console.log(`${rows.length} languages, ${rows.reduce((sum, { words }) => sum + words, 0)} words`);
