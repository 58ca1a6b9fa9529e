import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { openFont, writeFont } from '#src/core/containers/index.js';
import { withSteps } from '#src/core/variations/stepped-weights.js';
import { startEngine, testedEngines } from '../../test-support/engines.js';
import { readSample } from '../../test-support/paths.js';
import { DrawnFiles } from '../../test-support/drawn-files.js';

const weights = [300, 400, 600, 800];
let files: DrawnFiles;

beforeAll(async () => {
  files = await DrawnFiles.start();
  const { font } = openFont(readSample('FerrywakeSans-Variable.ttf'));
  files.keep('own.woff2', (await writeFont(font, 'woff2')).bytes);
  files.keep('steps.woff2', (await writeFont(withSteps(font, weights)!, 'woff2')).bytes);
});
afterAll(() => files.close());

describe.each(testedEngines())('%s', (engineName) => {
  test('one rule over an axis that stops draws what a rule for each weight draws', async () => {
    const engine = await startEngine(engineName, { unhinted: true });
    try {
      await engine.open(files.blank);
      const drawn = await engine.run<{ apart: number[]; together: number[]; free: number[] }>(
        `const weights = argument;
         const add = async (family, file, weight) => {
           const face = new FontFace(family, 'url(/' + file + ')', { weight });
           document.fonts.add(face);
           await face.load();
         };
         for (const weight of weights) await add('apart', 'own.woff2', String(weight));
         await add('together', 'steps.woff2', '300 800');
         await add('free', 'own.woff2', '300 800');
         const widths = (family) => [100, 300, 350, 399, 400, 450, 500, 501, 550, 600, 650, 700, 800, 900].map((weight) => {
           const span = document.createElement('span');
           span.textContent = 'Harbour office, Quay Street';
           span.style.cssText = 'position:absolute;white-space:nowrap;font:' + weight + ' 100px ' + family + ', monospace';
           document.body.append(span);
           return span.getBoundingClientRect().width;
         });
         return { apart: widths('apart'), together: widths('together'), free: widths('free') };`,
        weights,
      );
      expect(drawn.together).toEqual(drawn.apart);
      expect(new Set(drawn.apart).size).toBe(weights.length);
      expect(drawn.free).not.toEqual(drawn.apart);
    } finally {
      await engine.close();
    }
  });
});
