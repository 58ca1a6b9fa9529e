import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { readRules } from '#src/site/css/rules.js';
import { availableEngines, startEngine, type Engine } from '../../../test-support/engines.js';

/** Stylesheets whole and broken; a browser says which of their rules are there, with which values. */
const sheets: [name: string, css: string][] = [
  ['rules one after the other', 'p { font-weight: 300 } b, i { font-family: A } #x.y > q { content: "z" }'],
  ['without a last semicolon, and with too many', 'p { ; font-weight: 300 ;; font-family: A }'],
  ['comments in all places', '/* a */p/* b */{/* c */font-weight/* d */:/* e */300/* f */;/* g */}'],
  ['strings with brackets in them', 'p { content: "}{"; font-weight: 300 } b { font-weight: 400 }'],
  ['escapes', 'p\\.a { font-weight: 300 } .\\31 x { font-weight: 400 } .a\\:b { font-weight: 500 }'],
  ['a declaration that is none', 'p { font-weight; color; font-weight: 300; 12: 3; font-weight }'],
  ['a string that ends with its line', 'p { content: "a\n; font-weight: 300 } b { font-weight: 400 }'],
  ['a block that is not closed', 'p { font-weight: 300 } b { font-weight: 400'],
  ['brackets that are not closed', 'p { font-family: a(b; font-weight: 300 } b { font-weight: 400 }'],
  ['too many closing brackets', 'p { font-weight: 300 } } b { font-weight: 400 }'],
  ['a selector that is none', 'p { font-weight: 300 } b! { font-weight: 400 } i { font-weight: 500 }'],
  ['an empty selector', '{ font-weight: 300 } p { font-weight: 400 }'],
  ['a list with one that is none', 'p, b! { font-weight: 300 } i { font-weight: 400 }'],
  ['at-rules that nobody knows', '@unheard x { p { font-weight: 300 } } @unheard y; p { font-weight: 400 }'],
  ['comments of HTML', '<!-- p { font-weight: 300 } --> b { font-weight: 400 }'],
  ['conditions', '@media screen { p { font-weight: 300 } } @media print { b { font-weight: 400 } } @supports (color: red) { i { font-weight: 500 } }'],
  ['conditions in conditions', '@media screen { @media (min-width: 1px) { p { font-weight: 300 } } @supports (color: red) { b { font-weight: 400 } } }'],
  ['layers', '@layer a, b; @layer a { p { font-weight: 300 } @layer c { b { font-weight: 400 } } } @layer { i { font-weight: 500 } }'],
  ['nesting', 'p { font-weight: 300; & b { font-weight: 400 } > i { font-weight: 500 } .a &.b { font-weight: 600 } u { font-weight: 700 } }'],
  ['nested conditions', 'p { font-weight: 300; @media screen { font-weight: 400; & b { font-weight: 500 } } }'],
  ['importance', 'p { font-weight: 300 !important; font-family: A ! important; content: "!important" }'],
  ['names in capitals', 'P { FONT-WEIGHT: 300; Font-Family: A } @MEDIA screen { B { font-weight: 400 } }'],
  ['what is invalid leaves the valid one before it', 'p { font-weight: 300; font-weight: nonsense; font-family: A; font-family: 3 }'],
  ['keyframes hold no rules', '@keyframes a { from { font-weight: 300 } to { font-weight: 400 } } p { font-weight: 500 }'],
  ['faces hold no declarations of rules', '@font-face { font-family: A; src: url(a) } p { font-weight: 300 }'],
  ['an at-rule in a block that ends early', 'p { @media screen { font-weight: 300 } font-weight: 400 } b { font-weight: 500 }'],
  ['semicolons between rules', 'p { font-weight: 300 }; b { font-weight: 400 } i { font-weight: 500 }'],
  ['a null and controls', 'p\0 { font-weight: 300 } b { font-weight: 400 }'],
  ['custom properties hold anything', 'p { --a: { b: c; }; --d: "}" ; font-weight: 300 } b { font-weight: 400 }'],
]; // prettier-ignore

/** Each rule that says something of text: how many selectors it has, and what it declares of weight. */
const asked = `
  const found = [];
  const visit = (rules) => {
    for (const rule of rules) {
      if (rule.style && rule.selectorText !== undefined && rule.style.fontWeight) found.push(rule.style.fontWeight + (rule.style.getPropertyPriority('font-weight') ? '!' : ''));
      else if (rule.style && rule.selectorText === undefined && rule.style.fontWeight && rule.constructor.name === 'CSSNestedDeclarations') found.push(rule.style.fontWeight);
      if (rule.cssRules && !(rule instanceof CSSKeyframesRule)) visit(rule.cssRules);
    }
  };
  const style = document.createElement('style');
  style.textContent = argument;
  document.head.append(style);
  visit(style.sheet.cssRules);
  style.remove();
  return found.sort();
`;

const weight = /^([1-9]\d{0,2}|1000|normal|bold|bolder|lighter)$/;

describe.each(availableEngines().filter((name) => name === 'chromium'))('stylesheets as in %s', (name) => {
  let engine: Engine;
  beforeAll(async () => {
    engine = await startEngine(name);
    await engine.open('data:text/html,<!doctype html><title>x</title>');
  });
  afterAll(() => engine.close());

  test.each(sheets)('%s', async (_, css) => {
    const said = await engine.run<string[]>(asked, css);
    const own = readRules(css, 'a.css').rules.flatMap(({ declarations }) => {
      const valid = declarations.filter(
        ({ property, value }) => property === 'font-weight' && weight.test(value),
      );
      const last = valid.filter(({ important }) => important).at(-1) ?? valid.at(-1);
      return last ? [last.value + (last.important ? '!' : '')] : [];
    });
    expect(own.sort()).toEqual(said);
  });
});

describe('where rules stand', () => {
  test.each<[string, string, [string, number, number][]]>([
    [
      'each by its line and column',
      'p{font-weight:1}\n\n  b{font-weight:1}',
      [
        ['p', 1, 1],
        ['b', 3, 3],
      ],
    ],
    ['behind comments and other rules', '/*\n*/ p{color:red} b{font-weight:1}', [['b', 2, 17]]],
    [
      'in conditions and layers',
      '@media screen {\n p{font-weight:1}\n @layer a{\n  b{font-weight:1}}}',
      [
        ['p', 2, 2],
        ['b', 4, 3],
      ],
    ],
    ['nested', 'p{\n & b{font-weight:1}\n}', [['& b', 2, 2]]],
    [
      'with other ends of lines',
      'i{font-weight:1}\r\np{font-weight:1}',
      [
        ['i', 1, 1],
        ['p', 2, 1],
      ],
    ],
  ])('%s', (_, css, expected) => {
    const { rules } = readRules(css, 'a.css');
    expect(rules.map(({ selectorText, line, column }) => [selectorText, line, column])).toEqual(expected);
  });

  test('lines of a style element start from its own', () => {
    expect(readRules('\np{font-weight:1}', 'a.html', 7).rules[0].line).toBe(8);
  });
});

describe('faces', () => {
  const face = (descriptors: string) => readRules(`@font-face { ${descriptors} }`, 'a.css').fontFaces[0];

  test.each([
    ['a name in quotes', 'font-family: "A  B"; src: url(a)', 'A  B'],
    ['words', 'font-family: A   B; src: url(a)', 'A B'],
    ['an escape', 'font-family: \\41; src: url(a)', 'A'],
  ])('%s', (_, descriptors, family) => {
    expect(face(descriptors).family).toBe(family);
  });

  test.each(['font-family: A', 'src: url(a)', 'font-family: ; src: url(a)'])('%s is none', (descriptors) => {
    expect(face(descriptors)).toBeUndefined();
  });

  test('sources in their order, with formats, tech and local names', () => {
    const { sources } = face(
      'font-family: A; src: local("A B"), local(C D), url(a.woff2) format("woff2"), url("b.ttf") format(truetype) tech(variations), url(c)',
    );
    expect(sources).toEqual([
      { local: 'A B' },
      { local: 'C D' },
      { url: 'a.woff2', format: 'woff2' },
      { url: 'b.ttf', format: 'truetype' },
      { url: 'c' },
    ]);
  });
});
