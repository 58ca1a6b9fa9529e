import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { openFont, writeFont } from '#src/core/containers/index.js';
import { subsetFont } from '#src/core/subset/index.js';
import { CodePointSet } from '#src/core/text/code-point-set.js';
import { requestedLanguage } from '#src/core/text/requested-language.js';
import { compareDrawings, type Comparison, type DrawnPair } from '../../test-support/drawings.js';
import { availableEngines, startEngine, type Engine } from '../../test-support/engines.js';
import { DrawnFiles } from '../../test-support/drawn-files.js';
import { wordsOfLanguages } from '../../test-support/words.js';

let files: DrawnFiles;
let pairs: { pair: DrawnPair; hinted: DrawnPair; texts: string[] }[];

beforeAll(async () => {
  files = await DrawnFiles.start();
  pairs = [];
  for (const [i, { language, file, words }] of wordsOfLanguages.entries()) {
    const { font } = openFont(readFileSync(file));
    const { characters, marks } = requestedLanguage(language);
    const made = async (hinting: 'keep' | 'drop') => {
      const { bytes } = await writeFont(subsetFont(font, { characters, marks, hinting }).font, 'woff2');
      return files.keep(`${i}-${hinting}`, bytes);
    };
    const source = files.keep(`${i}`, readFileSync(file));
    const pair = { name: `${i} ${language}`, source, descriptors: {}, weights: [400] };
    // Joiners have no shape of their own; that they do what they do is drawn below.
    const has = CodePointSet.ofText(words.replace(/\p{Cf}/gu, ''));
    expect([language, has.codePoints().filter((c) => !characters.has(c))]).toEqual([language, []]);
    pairs.push({
      pair: { ...pair, made: await made('drop') },
      hinted: { ...pair, made: await made('keep') },
      texts: [...new Set([words, words.normalize('NFC'), words.normalize('NFD')])],
    });
  }
});

afterAll(() => files.close());

describe.each(availableEngines())('%s', (engineName) => {
  let engine: Engine;
  beforeAll(async () => {
    engine = await startEngine(engineName);
    await engine.open(files.blank);
  });
  afterAll(() => engine.close());

  test('words of a language are drawn as by the whole font, composed, taken apart and with joiners', async () => {
    for (const { pair, hinted, texts } of pairs) {
      // WebKitGTK takes advances from instructions.
      const drawn = engineName === 'webkit' ? hinted : pair;
      const [result] = await engine.run<Comparison[]>(compareDrawings, {
        pairs: [drawn],
        texts,
        sizes: [24, 60],
        turn: 0.01,
      });
      expect([pair.name, result.differing]).toEqual([pair.name, []]);
    }
  });
});
