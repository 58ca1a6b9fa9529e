import { expect, test } from '@jest/globals';
import { generate, parse } from 'css-tree';
import { CodePointSet } from '#src/core/text/code-point-set.js';
import { minified } from '#src/kit/files/minified.js';
import { faceRules } from '#src/kit/files/stylesheet.js';
import type { KitFace } from '#src/kit/kit.js';
import type { Part } from '#src/kit/planning/made.js';

const part = (slice: Part['slice'], characters: Part['characters'], format: Part['format'] = 'woff2') =>
  ({ file: `faces/${slice}.${format}`, slice, format, characters }) as Part;

const face = (parts: Part[], ranges?: CodePointSet) =>
  ({
    family: 'Buoy Signs',
    weight: [400, 400],
    style: 'normal',
    stretch: [100, 100],
    display: 'swap',
    parts,
    source: { ranges },
    standIns: [],
  }) as unknown as KitFace;

const rangesIn = (rules: string) =>
  [...rules.matchAll(/url\("faces\/(\w+).*?unicode-range: ([^;]*);/gs)].map(([, name, ranges]) => [
    name,
    ranges,
  ]);

test('the part that pages draw comes last, and names the space also where the font has none', () => {
  const made = [part('drawn', [[0xe001, 0xe002]]), part('rest', [[0xe003, 0xe010]])];
  expect(rangesIn(faceRules(face(made), ''))).toEqual([
    ['rest', 'U+E003-E010'],
    ['drawn', 'U+20, U+E001-E002'],
  ]);
});

test('a whole face has no ranges', () => {
  expect(faceRules(face([part('whole', [[0xe001, 0xe002]])]), '')).not.toContain('unicode-range');
});

test('a partial file names its own characters, and the space only where that is one of them', () => {
  const greek = [part('drawn', [[0x3b1, 0x3b3]]), part('rest', [[0x3b4, 0x3c9]])];
  expect(rangesIn(faceRules(face(greek, new CodePointSet([0x3b1, 0x3c9])), ''))).toEqual([
    ['rest', 'U+3B4-3C9'],
    ['drawn', 'U+3B1-3B3'],
  ]);
  const whole = [part('whole', [[0x20, 0x7e]])];
  expect(rangesIn(faceRules(face(whole, new CodePointSet([0x20])), ''))).toEqual([['whole', 'U+20-7E']]);
});

test('for old browsers there is a rule of the whole, in which newer ones find the part that they have', () => {
  const parts = [part('drawn', [[0x41, 0x5a]]), part('whole', [[0x41, 0x7a]], 'woff')];
  const rules = faceRules(face(parts), '');
  const [whole, block] = rules.split('@supports');
  expect(whole.match(/url\("[^"]*"\) format\("[^"]*"\)/g)).toEqual([
    'url("faces/drawn.woff2") format("woff2-variations")',
    'url("faces/whole.woff") format("woff")',
  ]);
  expect(whole).not.toContain('unicode-range');
  expect(block).toMatch(/^ \(font-variation-settings: normal\) \{\n {2}@font-face \{[^]*U\+20, U\+41-5A;/);
});

test('what a rule declares beside is declared again', () => {
  const declared = {
    ...face([part('whole', [[0x41, 0x41]])]),
    style: 'oblique',
    slant: [0, 10],
    descriptors: { 'size-adjust': '90%' },
  };
  expect(faceRules(declared as never, '')).toMatch(/font-style: oblique 0deg 10deg;[^]*size-adjust: 90%;/);
});

test.each(['Buoy Signs', 'A : B ; { C } , "D"', 'with /* no */ comment', 'Ζ\\'])(
  'rules of %j say the same without what only people read',
  (family) => {
    const rules = faceRules({ ...face([part('drawn', [[0x41, 0x5a]])]), family }, 'https://a.example/b c/');
    const css = `/*! whose it is */\n\n/* told */\n${rules}\n@supports (a: b) {\n  :where(head > :nth-child(1)) {\n    width: 1ch;\n  }\n}\n`;
    const short = minified(css);
    const said = (text: string) => generate(parse(text.replace(/\/\* told \*\//, '')));
    expect(said(short)).toBe(said(css));
    expect(short.startsWith('/*! whose it is */\n@')).toBe(true);
    expect(short.length).toBeLessThan(css.length - 30);
  },
);
