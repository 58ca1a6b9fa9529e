import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { openFont, writeFont } from '#src/core/containers/index.js';
import type { Font } from '#src/core/sfnt/font.js';
import { subsetFont } from '#src/core/subset/index.js';
import { CodePointSet } from '#src/core/text/code-point-set.js';
import { mappedCharacters } from '#src/core/text/mapped-characters.js';
import { charactersByScript } from '#src/core/text/scripts.js';
import { unicodeRangeText } from '#src/core/text/unicode-ranges.js';
import type { Part } from '#src/kit/planning/made.js';
import { cutParts } from '#src/kit/planning/parts.js';
import { compareDrawings, type Comparison, type DividedPair } from '../../test-support/drawings.js';
import { testedEngines, startEngine, type Engine } from '../../test-support/engines.js';
import { inPart, plannedFace, wantedOf } from '../../test-support/parts.js';
import { readSample } from '../../test-support/paths.js';
import { DrawnFiles } from '../../test-support/drawn-files.js';
import { wordsOfLanguages } from '../../test-support/words.js';
import { isThorough } from '../../test-support/thorough.js';

/** Texts of a face that is cut to some of them. */
interface DividedFace {
  pair: DividedPair;
  /** Drawn with its kerning. */
  ofSite: string;
  /** What visitors may type: letters of one part, letters of both, marks on any of them. */
  typed: string[];
  /** Those of them that one part draws. */
  typedInOne: string[];
}

const isMark = (character: number) => /^\p{M}$/u.test(String.fromCodePoint(character));
const fail = (name: string) => {
  throw new Error(`${name}: nothing is divided`);
};

let files: DrawnFiles;
const faces: DividedFace[] = [];

/** @param seed the same texts for the same number */
async function divideFace(file: string, words: string, name: string, seed: number): Promise<DividedFace> {
  const keep = (part: string, bytes: Uint8Array) => files.keep(`${seed}-${part}`, bytes);
  const { font } = openFont(readFileSync(file));
  const available = mappedCharacters(font);
  // Without instructions, as the parts are: what they do to advances isn't asked here.
  const whole = await writeFont(subsetFont(font, { characters: available }).font, 'woff2');
  const [chosen] = fc.sample(fc.subarray(words.split(' '), { minLength: 1 }), { seed, numRuns: 1 });
  // A font of one script that joins letters stays whole for a site that has words of it.
  const { text: ofSite, cut } =
    (await divideFor(font, chosen.join(' '))) ?? (await divideFor(font, '21 ₪')) ?? fail(name);
  const partOf = (part: Part) => ({
    url: keep(part.slice, part.bytes),
    range: unicodeRangeText(part.characters),
  });
  const all = [inPart(cut.drawn), inPart(cut.rest)];
  const [{ name: script }] = charactersByScript(CodePointSet.ofText(words));
  const ofScript = charactersByScript(available).find((one) => one.name === script)!;
  const [letters, marks] = [ofScript.codePoints.filter((one) => !isMark(one)), all.flat().filter(isMark)];
  const oneOf = (list: number[]) => fc.constantFrom(...list.map((one) => String.fromCodePoint(one)));
  const word = fc.string({ unit: oneOf(letters), minLength: 1, maxLength: 9 });
  // A letter of one part with a mark of the other comes from the next font of the stack.
  const isTogether = all.some((part) => [...letters, ...marks].every((one) => part.includes(one)));
  const marked = fc.string({ unit: oneOf([...letters, ...marks]), minLength: 1, maxLength: 9 });
  const typed = fc.sample(isTogether ? fc.oneof(word, marked) : word, { seed, numRuns: 60 });
  const isInOne = (text: string) =>
    all.some((part) => [...text].every((one) => part.includes(one.codePointAt(0)!)));
  return {
    pair: {
      name,
      source: keep('whole', whole.bytes),
      // In the order of the stylesheet.
      made: [partOf(cut.rest), partOf(cut.drawn)],
      descriptors: {},
      weights: [400],
    },
    ofSite,
    typed,
    typedInOne: typed.filter(isInOne),
  };
}

async function divideFor(font: Font, text: string) {
  const cut = await cutParts(plannedFace(font), wantedOf(text));
  return 'wholeReason' in cut || !cut.rest ? undefined : { text, cut: { drawn: cut.drawn, rest: cut.rest } };
}

beforeAll(async () => {
  files = await DrawnFiles.start();
  for (const [i, { language, file, words }] of wordsOfLanguages.entries())
    if (isThorough || i % 8 === 0) faces.push(await divideFace(file, words, `${i} ${language}`, i));
});

afterAll(() => files.close());

/** How many pairs of a letter of each list are nearer or farther than their advances say. */
const countKernedPairs = `
  const { url, one, other } = argument;
  const face = new FontFace('kerned', 'url(' + url + ')');
  await face.load();
  document.fonts.add(face);
  const context = document.createElement('canvas').getContext('2d');
  context.font = '1000px kerned';
  const widthOf = (text, kerning) => { context.fontKerning = kerning; return context.measureText(text).width; };
  let count = 0;
  for (const a of one) for (const b of other)
    for (const text of [String.fromCodePoint(a, b), String.fromCodePoint(b, a)])
      if (Math.abs(widthOf(text, 'normal') - widthOf(text, 'none')) > 0.5) count++;
  return count;
`;

describe.each(testedEngines())('%s', (engineName) => {
  let engine: Engine;
  beforeAll(async () => {
    engine = await startEngine(engineName);
    await engine.open(files.blank);
  });
  afterAll(() => engine.close());

  test('the parts of a face draw what the whole draws: text of the site, and what visitors type', async () => {
    for (const { pair, ofSite, typed, typedInOne } of faces) {
      const differing = async (texts: string[], options: object) => {
        const drawing = { pairs: [pair], texts, sizes: [40], turn: 0.01, ...options };
        const [found] = await engine.run<Comparison[]>(compareDrawings, drawing);
        return found.differing;
      };
      expect([pair.name, await differing([ofSite], {})]).toEqual([pair.name, []]);
      // Letters of two parts aren't kerned with each other, and may land a fraction of a pixel aside. WebKitGTK kerns
      // whatever a canvas asks for.
      const texts = engineName === 'webkit' ? typedInOne : typed;
      expect(texts.length).toBeGreaterThan(5);
      const across = await differing(texts, { kerning: 'none', tolerance: 0.1 });
      expect([pair.name, across]).toEqual([pair.name, []]);
    }
  });

  // WebKitGTK kerns in a canvas whatever is asked for.
  (engineName === 'webkit' ? test.skip : test)(
    'as many kerning pairs are said to be divided as the browser kerns across the parts',
    async () => {
      const { font } = openFont(readSample('FerrywakeSans-Regular.ttf'));
      const cut = await cutParts(plannedFace(font), wantedOf('Waterways to Tyne, 4:10'));
      if ('wholeReason' in cut) throw new Error(cut.wholeReason);
      files.keep('kerned', readSample('FerrywakeSans-Regular.ttf'));
      const [one, other] = [inPart(cut.drawn), inPart(cut.rest!)].map((part) =>
        part.filter((character) => !isMark(character)),
      );
      const kerned = await engine.run<number>(countKernedPairs, { url: '/kerned', one, other });
      expect(kerned).toBeGreaterThan(500);
      expect(cut.rest!.apart).toEqual({ kernedPairs: kerned, ligatures: 0 });
    },
  );
});
