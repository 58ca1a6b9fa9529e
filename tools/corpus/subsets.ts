import { openFont, writeFont } from '#src/core/containers/index.js';
import { layoutListsOf } from '#src/core/layout/common/feature-list.js';
import { outlinesOf, svgPathData } from '#src/core/outlines/index.js';
import type { Font } from '#src/core/sfnt/font.js';
import { subsetFont } from '#src/core/subset/index.js';
import { isWantedFeature, type FeatureChoice } from '#src/core/subset/features.js';
import { parseUnicodeRanges } from '#src/core/text/parse-ranges.js';
import { cmap, fvar, hmtx } from '#src/core/tables/index.js';
import { CodePointSet, eachPackedRange } from '#src/core/text/code-point-set.js';
import { mappedCharacters } from '#src/core/text/mapped-characters.js';
import { languagesOf } from '#src/core/text/languages.js';
import { scriptsOf } from '#src/core/text/scripts.js';
import { isAppliedByDefault } from '#src/data/feature-names.js';
import { exemplarSets, languageRows } from '#src/data/languages.js';
import { sampleSentences } from '#src/data/sample-sentences.js';
import type { SetLine } from '../../test-support/drawings.js';
import { Placer } from '../../test-support/placing.js';

/** A subset to draw beside its source. */
export interface SubsetDrawing {
  name: string;
  bytes: Uint8Array;
  /** With its instructions, for engines that take advances from them. */
  hinted: Uint8Array;
  /** Of fonts without instructions also with the letters that WebKitGTK fits such fonts to the pixel grid by. */
  lettered?: Uint8Array;
  texts: string[];
  /** Lines as a page sets them: in a language, with features on and off, along the axes. */
  lines?: SetLine[];
  /** What the subset says that browsers draw otherwise. */
  changes: readonly string[];
}

export interface SubsetTrial {
  problems: string[];
  drawings: SubsetDrawing[];
  bytes: { before: number; after: number };
}

/** Letters and digits of the alphabets that the automatic fit to the pixel grid measures. */
const measuredLetters =
  'U+21-24F, U+391-3C9, U+410-44F, U+531-586, U+5D0-5EA, U+621-64A, U+900-EFF, U+1000-109F, U+10D0-10FF, ' +
  'U+1780-17FF, U+1D2C-1DBF, U+A880-A8DF, U+2070-209C, U+FB50-FEFC';

/** Languages of one script that are tried; those with a sentence come first. */
const languagesTried = 3;

export interface TrialOptions {
  /** Of the random texts. */
  seed?: number;
  /** Those to try (ISO 15924); all if left out. */
  scripts?: readonly string[];
  /** Whether to make subsets with more letters as well. */
  lettered?: boolean;
  /** A subset for each language, not for a few of each script. */
  eachLanguage?: boolean;
  /** Also a subset of the first script with all features, which are turned on and off one by one, along all axes. */
  features?: boolean;
}

/**
 * Cuts a font down for each script it covers, and for a handful of its characters, and compares outlines, advances and
 * where GPOS puts each three glyphs of the texts.
 */
export async function trySubsets(
  font: Font,
  { seed = 1, scripts, lettered = false, eachLanguage = false, features = false }: TrialOptions = {},
): Promise<SubsetTrial> {
  const trial: SubsetTrial = { problems: [], drawings: [], bytes: { before: 0, after: 0 } };
  const random = randomFrom(seed);
  const wished = wishes(font, random, eachLanguage);
  if (features) wished.unshift(withFeatures(font, wished));
  for (const { name, wanted, texts, lines, choice } of wished) {
    if (scripts && !scripts.includes(name)) continue;
    try {
      const glyphOrder = name === 'random' ? 'advance' : 'font';
      const shared = { glyphOrder, ...(choice ? { features: choice } : {}) } as const;
      const subset = subsetFont(font, { characters: wanted, ...shared });
      const hinted = (characters: CodePointSet) =>
        subsetFont(font, { characters, ...shared, hinting: 'keep' }).font;
      const made = [subset.font, hinted(wanted)];
      if (lettered && font.has('glyf') && !font.has('fpgm') && !font.has('prep')) {
        const available = mappedCharacters(font);
        const more = new CodePointSet(
          codePointsIn(parseUnicodeRanges(measuredLetters)).filter((c) => available.has(c)),
        );
        more.addAll(wanted);
        made.push(hinted(more));
      }
      const files = await Promise.all(made.map((one) => writeFont(one, 'woff2')));
      const [bytes, withInstructions, withLetters] = files.map((file) => file.bytes);
      const again = openFont(bytes).font;
      const problems = [...compared(font, again, wanted), ...displaced(font, again, wanted, texts)];
      trial.problems.push(...problems.map((problem) => `${name}: ${problem}`));
      trial.drawings.push({
        name,
        bytes,
        hinted: withInstructions,
        ...(withLetters ? { lettered: withLetters } : {}),
        texts,
        ...(lines ? { lines } : {}),
        changes: subset.changes.map(({ message }) => message),
      });
      trial.bytes.after += bytes.length;
    } catch (cause) {
      trial.problems.push(`${name}: ${cause instanceof Error ? cause.message : String(cause)}`);
    }
  }
  return trial;
}

interface Wish {
  name: string;
  wanted: CodePointSet;
  texts: string[];
  lines?: SetLine[];
  choice?: FeatureChoice;
}

/** At most so many features are turned on by themselves; a few fonts have a hundred. */
const featuresTried = 60;

/** The first wish once more, for a subset with all features. */
function withFeatures(font: Font, wished: readonly Wish[]): Wish {
  const [{ wanted, texts, lines: languages = [] }] = wished;
  const [text] = texts;
  const tags = new Set(layoutListsOf(font).features.map(({ tag }) => tag.trim()));
  const settings = Array.from(tags)
    .slice(0, featuresTried)
    .map((tag) => `"${tag}" ${isAppliedByDefault(tag) ? 0 : 1}`);
  const axes = font.optional(fvar)?.axes ?? [];
  const places = axes.flatMap(({ axisTag, minValue, defaultValue, maxValue }) =>
    [minValue, (minValue + defaultValue * 2) / 3, (defaultValue + maxValue * 2) / 3, maxValue].map(
      (value) => `"${axisTag}" ${value}`,
    ),
  );
  const corners = [
    axes.map((a) => `"${a.axisTag}" ${a.minValue}`),
    axes.map((a) => `"${a.axisTag}" ${a.maxValue}`),
  ];
  const variations = axes.length === 0 ? [] : [...places, ...corners.map((corner) => corner.join())];
  const digits = '0123456789 1/2';
  const line = `${text} ${digits}`;
  return {
    name: 'features',
    wanted: new CodePointSet([...codePointsIn(wanted), ...Array.from(digits, (c) => c.codePointAt(0)!)]),
    texts,
    lines: [
      ...languages,
      ...settings.map((features) => ({ text: line, features })),
      ...variations.flatMap((variations) => [
        { text: line, variations },
        { text: texts[1] ?? line, variations, features: '"kern" 0' },
      ]),
    ],
    choice: 'all',
  };
}

function wishes(font: Font, random: () => number, eachLanguage: boolean): Wish[] {
  const available = mappedCharacters(font);
  const languages = languagesOf(available, scriptsOf(available)).filter(({ complete }) => complete);
  const found: Wish[] = [];
  const byScript = [...new Set(languages.map((language) => language.script))].map((script) => ({
    name: script,
    tried: languages
      .filter((language) => language.script === script)
      .sort((a, b) => Number(b.tag in sampleSentences) - Number(a.tag in sampleSentences))
      .slice(0, languagesTried),
  }));
  const groups = eachLanguage ? languages.map((one) => ({ name: one.tag, tried: [one] })) : byScript;
  for (const { name, tried } of groups) {
    const wanted = new CodePointSet([0x20]);
    const texts: string[] = [];
    const lines: SetLine[] = [];
    for (const { tag } of tried) {
      const [, , , main, , punctuation, numbers] = languageRows.find(([other]) => other === tag)!;
      const letters = codePointsOf(main);
      for (const c of [...letters, ...codePointsOf(punctuation), ...codePointsOf(numbers)]) wanted.add(c);
      const sentence = sampleSentences[tag];
      for (const c of sentence ?? '') wanted.add(c.codePointAt(0)!);
      if (sentence) texts.push(sentence.slice(0, 60));
      texts.push(randomText(letters, random), randomText(letters, random));
      for (const text of texts.slice(-3)) lines.push({ text, language: tag });
    }
    found.push({ name, wanted, texts, lines });
  }
  const all = codePointsIn(available).filter((c) => !/\p{Cc}/u.test(String.fromCodePoint(c)));
  const few = Array.from({ length: 40 }, () => all[Math.floor(random() * all.length)]);
  found.push({ name: 'random', wanted: new CodePointSet([0x20, ...few]), texts: [randomText(few, random)] });
  return found;
}

const codePointsIn = (set: CodePointSet): number[] =>
  set.ranges().flatMap(([first, last]) => Array.from({ length: last - first + 1 }, (_, i) => first + i));

function codePointsOf(set: number): number[] {
  const found: number[] = [];
  eachPackedRange(exemplarSets[set], (first, last) => {
    for (let c = first; c <= last; c++) found.push(c);
  });
  return found;
}

/**
 * Letters in any order, so that pairs, ligatures and broken syllables are met that no sentence has. No word starts with
 * a mark: on a space, engines draw it in ways that depend on how they cut text into words.
 */
function randomText(letters: readonly number[], random: () => number): string {
  const pick = (from: readonly string[]) => from[Math.floor(random() * from.length)];
  const all = letters.map((letter) => String.fromCodePoint(letter));
  const firsts = all.filter((letter) => !/[\p{M}\p{C}]/u.test(letter));
  if (firsts.length === 0) return all.join('');
  const words = Array.from(
    { length: 8 },
    () => pick(firsts) + Array.from({ length: 1 + Math.floor(random() * 5) }, () => pick(all)).join(''),
  );
  return words.join(' ');
}

/** The same numbers for the same seed (a linear congruential generator). */
function randomFrom(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return state / 2 ** 32;
  };
}

/** Outline and advance of each wanted character. */
function compared(source: Font, made: Font, wanted: CodePointSet): string[] {
  const problems: string[] = [];
  const [before, after] = [source, made].map((font) => ({
    map: font.table(cmap),
    advances: font.table(hmtx),
    outlines: outlinesOf(font),
  }));
  for (const [first, last] of wanted.ranges()) {
    for (let c = first; c <= last; c++) {
      const old = cmap.glyphIdOf(before.map, c);
      const now = cmap.glyphIdOf(after.map, c);
      const shown = `U+${c.toString(16).toUpperCase()}`;
      if ((old === 0) !== (now === 0)) problems.push(`${shown} ${old === 0 ? 'came' : 'went'}`);
      if (old === 0 || now === 0) continue;
      if (hmtx.advanceOf(before.advances, old) !== hmtx.advanceOf(after.advances, now)) {
        problems.push(`${shown} has another advance`);
      }
      if (svgPathData(before.outlines.outlineOf(old), 3) !== svgPathData(after.outlines.outlineOf(now), 3)) {
        problems.push(`${shown} has another outline`);
      }
    }
  }
  return problems.slice(0, 5);
}

/** Letters of the texts, three in a row, that GPOS doesn't put where it did. */
function displaced(source: Font, made: Font, wanted: CodePointSet, texts: readonly string[]): string[] {
  const isWanted = isWantedFeature(undefined, wanted);
  const [before, after] = [source, made].map((font) => new Placer(font, isWanted));
  const [map, mapNow] = [source, made].map((font) => font.table(cmap));
  const rows = new Map<string, number[]>();
  for (const text of texts) {
    const characters = Array.from(text, (c) => c.codePointAt(0)!).filter((c) => cmap.glyphIdOf(map, c) !== 0);
    characters.forEach((_, i) => rows.set(characters.slice(i, i + 3).join(), characters.slice(i, i + 3)));
  }
  const problems: string[] = [];
  for (const language of before.languages) {
    for (const row of rows.values()) {
      const place = (placer: Placer, from: cmap.Cmap) =>
        placer.place(
          row.map((c) => cmap.glyphIdOf(from, c)),
          language,
        );
      const [old, now] = [place(before, map), place(after, mapNow)].map((placements) =>
        JSON.stringify(placements),
      );
      if (old !== now) problems.push(`${String.fromCodePoint(...row)} (${language}) at ${now}, not ${old}`);
    }
  }
  return problems.slice(0, 5);
}
