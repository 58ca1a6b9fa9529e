import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { openFont } from '#src/core/containers/index.js';
import { matchingFaces } from '#src/core/face/matching.js';
import { placeAt } from '#src/core/variations/place.js';
import { withSteps } from '#src/core/variations/stepped-weights.js';
import { readSample } from '../../test-support/paths.js';

// Its axis goes from 300 to 800, with 400 as its default.
const { font } = openFont(readSample('FerrywakeSans-Variable.ttf'));

// Browsers round places each in their own way.
test('whatever weight is asked for is drawn as by a rule for each weight, and so is what is near it', () =>
  fc.assert(
    fc.property(
      fc.uniqueArray(fc.integer({ min: 300, max: 800 }), { minLength: 1, maxLength: 5 }),
      fc.integer({ min: 1, max: 1000 }),
      fc.constantFrom(-0.1, 0, 0.1),
      (others, asked, rounding) => {
        const weights = [...new Set([400, ...others])].sort((a, b) => a - b);
        const stepped = withSteps(font, weights);
        if (weights.length < 2) {
          expect(stepped).toBeUndefined();
          return;
        }
        const alone = weights.map(
          (weight) => ({ weight: [weight, weight], style: 'normal', stretch: [100, 100] }) as const,
        );
        const [matched] = matchingFaces(alone, { weight: asked, style: 'normal', stretch: 100 });
        const together = Math.min(Math.max(asked, weights[0]), weights[weights.length - 1]);
        expect(placeAt(stepped!, { wght: together + rounding })).toEqual(
          placeAt(font, { wght: matched.weight[0] }),
        );
      },
    ),
  ));

test.each([
  ['a default between them that is none of them', [300, 700], 'FerrywakeSans-Variable.ttf'],
  ['a font without axes', [400, 700], 'FerrywakeSans-Regular.ttf'],
])('%s: none', (_, weights, file) => {
  expect(withSteps(openFont(readSample(file)).font, weights)).toBeUndefined();
});
