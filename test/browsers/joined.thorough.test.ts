import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { basename, join } from 'node:path';
import fc from 'fast-check';
import { openFont, writeFont } from '#src/core/containers/index.js';
import { joinFonts } from '#src/core/join/index.js';
import type { Font } from '#src/core/sfnt/font.js';
import { subsetFont } from '#src/core/subset/index.js';
import { CodePointSet } from '#src/core/text/code-point-set.js';
import { mappedCharacters } from '#src/core/text/mapped-characters.js';
import { charactersByScript } from '#src/core/text/scripts.js';
import { rangesOf as runsOf, unicodeRangeText } from '#src/core/text/unicode-ranges.js';
import {
  compareDrawings,
  type Comparison,
  type DividedPair,
  type DrawnPair,
} from '../../test-support/drawings.js';
import { availableEngines, startEngine } from '../../test-support/engines.js';
import { sampleFonts, variableVendorFont } from '../../test-support/paths.js';
import { DrawnFiles } from '../../test-support/drawn-files.js';
import { wordsOfLanguages } from '../../test-support/words.js';

/** A face that was cut as hosts do, and put together again. */
interface JoinedFace {
  /** With what it was cut from, for texts of the characters of one cut, also those that several cuts have. */
  whole: DrawnPair;
  texts: string[];
  /** With the cuts, for texts that one of them draws. */
  cuts: DividedPair;
  textsOfOne: string[];
}

let files: DrawnFiles;
const faces: JoinedFace[] = [];

/** Characters that hosts give to several cuts, some of which are kerned with each other. */
const common = CodePointSet.ofText(',.’”“');
for (const [first, last] of [
  [0x20, 0x20],
  [0x300, 0x304],
  [0x2010, 0x2014],
])
  common.addRange(first, last);

/** Cuts by script, of which large ones are cut in two, and what scripts have in common in its own. */
function rangesOf(available: CodePointSet): number[][] {
  const shared = available.codePoints().filter((character) => common.has(character));
  return charactersByScript(available).flatMap(({ name, codePoints }) => {
    const own = codePoints.filter((character) => !common.has(character));
    const middle = name === 'Latin' || name === 'Cyrillic' ? Math.ceil(own.length / 2) : own.length;
    return [own.slice(0, middle), own.slice(middle)]
      .filter((half) => half.length > 0)
      .map((half) => [...half, ...shared]);
  });
}

async function cutAndJoin(file: string, seed: number, weights: number[]): Promise<void> {
  const { font } = openFont(readFileSync(file));
  const cuts = rangesOf(mappedCharacters(font)).map((characters) => {
    const ranges = new CodePointSet(characters);
    return { characters, ranges, font: subsetFont(font, { characters: ranges, features: 'all' }).font };
  });
  const joined = joinFonts(cuts);
  if ('hindrance' in joined) throw new Error(`${file}: ${joined.hindrance}`);
  const keep = async (name: string, made: Font) => {
    const { bytes } = await writeFont(made, made.flavour === 'cff' ? 'otf' : 'ttf');
    return files.keep(`${seed}-${name}`, bytes);
  };
  const made = [];
  for (const [i, { font: cut, characters }] of cuts.entries())
    made.push({ url: await keep(`${i}`, cut), range: unicodeRangeText(runsOf(characters)) });
  const everything = mappedCharacters(font);
  const descriptors: Record<string, string> = weights.length > 1 ? { weight: '1 1000' } : {};
  const about = { name: basename(file), descriptors, weights };
  faces.push({
    whole: {
      ...about,
      source: await keep('whole', subsetFont(font, { characters: everything, features: 'all' }).font),
      made: await keep('joined', joined.font),
    },
    texts: cuts.flatMap(({ characters }) => textsOf(characters.filter(isSeen), seed)),
    cuts: { ...about, source: `/${seed}-joined`, made },
    textsOfOne: cuts.flatMap(({ characters }) =>
      textsOf(
        characters.filter((one) => isSeen(one) && !common.has(one) && !isMark(one)),
        seed,
      ),
    ),
  });
}

const isMark = (character: number) => /^\p{M}$/u.test(String.fromCodePoint(character));
const isSeen = (character: number) =>
  character > 0x20 && !/^[\p{C}\p{Zl}\p{Zp}]$/u.test(String.fromCodePoint(character));

function textsOf(characters: readonly number[], seed: number): string[] {
  if (characters.length < 3) return [];
  const unit = fc.constantFrom(...characters.map((character) => String.fromCodePoint(character)));
  return fc.sample(fc.string({ unit, minLength: 6, maxLength: 24 }), { seed, numRuns: 12 });
}

beforeAll(async () => {
  files = await DrawnFiles.start();
  const tried: [string, number[]][] = [
    ...[
      ...new Set(
        wordsOfLanguages
          .filter(({ language }) => ['fr', 'fa', 'hi'].includes(language))
          .map(({ file }) => file),
      ),
    ].map((file): [string, number[]] => [file, [400]]),
    [join(sampleFonts, 'LampbuoySlab-Bold.otf'), [400]],
    [join(sampleFonts, 'FerrywakeSans-Variable.ttf'), [300, 640]],
    [variableVendorFont, [300, 640]],
  ];
  for (const [seed, [file, weights]] of tried.entries()) await cutAndJoin(file, seed, weights);
});

afterAll(() => files.close());

describe.each(availableEngines())('%s', (engineName) => {
  test('a joined face draws what the whole one does, and what its partial files do', async () => {
    const engine = await startEngine(engineName);
    try {
      await engine.open(files.blank);
      for (const { whole, texts, cuts, textsOfOne } of faces) {
        const compare = async (pair: DrawnPair | DividedPair, list: string[]) => {
          const drawing = { pairs: [pair], texts: list, sizes: [40], turn: 0.01 };
          const [{ name, differing, unlikeFallback }] = await engine.run<Comparison[]>(
            compareDrawings,
            drawing,
          );
          expect([name, differing]).toEqual([name, []]);
          expect(unlikeFallback).toBeGreaterThan(list.length / 4);
        };
        await compare(whole, texts);
        // In a canvas of WebKitGTK, signs of faces with a unicode-range are neither kerned nor placed as those without one.
        if (engineName !== 'webkit') await compare(cuts, textsOfOne);
      }
    } finally {
      await engine.close();
    }
  });
});
