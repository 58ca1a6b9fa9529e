import { expect, test } from '@jest/globals';
import { CodePointSet } from '#src/core/text/code-point-set.js';
import { faceRules } from '#src/kit/files/stylesheet.js';
import type { MadeFace, Part } from '#src/kit/made.js';

const part = (name: Part['name'], characters: Part['characters']) =>
  ({ file: `faces/${name}.woff2`, name, format: 'woff2', characters }) as Part;

const face = (own: Pick<MadeFace, 'part' | 'rest'>, ranges?: CodePointSet) =>
  ({
    family: 'Buoy Signs',
    weight: [400, 400],
    style: 'normal',
    stretch: [100, 100],
    display: 'swap',
    older: [],
    source: { ranges },
    ...own,
  }) as unknown as MadeFace;

const rangesIn = (rules: string) =>
  [...rules.matchAll(/url\("faces\/(\w+).*?unicode-range: ([^;]*);/gs)].map(([, name, ranges]) => [
    name,
    ranges,
  ]);

test('the part that pages draw comes last, and names the space also where the font has none', () => {
  const made = { part: part('site', [[0xe001, 0xe002]]), rest: part('rest', [[0xe003, 0xe010]]) };
  expect(rangesIn(faceRules(face(made), ''))).toEqual([
    ['rest', 'U+E003-E010'],
    ['site', 'U+20, U+E001-E002'],
  ]);
});

test('a whole face has no ranges', () => {
  expect(faceRules(face({ part: part('full', [[0xe001, 0xe002]]) }), '')).not.toContain('unicode-range');
});

test('a partial file names its own characters, and the space only where that is one of them', () => {
  const greek = { part: part('site', [[0x3b1, 0x3b3]]), rest: part('rest', [[0x3b4, 0x3c9]]) };
  expect(rangesIn(faceRules(face(greek, new CodePointSet([0x3b1, 0x3c9])), ''))).toEqual([
    ['rest', 'U+3B4-3C9'],
    ['site', 'U+3B1-3B3'],
  ]);
  const whole = { part: part('full', [[0x20, 0x7e]]) };
  expect(rangesIn(faceRules(face(whole, new CodePointSet([0x20])), ''))).toEqual([['full', 'U+20-7E']]);
});
