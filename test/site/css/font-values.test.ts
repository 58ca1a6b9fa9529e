import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { familiesIn, fontIn, stretchIn, styleIn, weightIn } from '#src/site/css/font-values.js';
import { variantsIn } from '#src/site/css/font-variants.js';
import { tokensOf } from '#src/site/css/tokens.js';
import { availableEngines, startEngine, type Engine } from '../../../test-support/engines.js';

/** Values whole and broken; a browser says which it takes, and as what. */
const values: Record<string, string[]> = {
  'font-weight': [
    '400', 'bold', 'NORMAL', '1', '1000', '0', '1001', '-1', '450.5', '"bold"', 'bolder', 'lighter', 'heavy', '400 700', '4e2', '+400', '',
  ],
  'font-style': [
    'normal', 'italic', 'oblique', 'oblique 10deg', 'oblique -10deg', 'oblique 0deg', 'oblique 10', 'italic 10deg', 'slanted', 'italic normal',
  ],
  'font-stretch': ['normal', 'condensed', '75%', '62.5%', '-1%', 'wide', '75', 'ultra-expanded', '75% 80%'],
  'font-family': [
    'A', 'A B', '"A"', "'A, B', C", 'A, B, serif', 'A "B"', '3px', 'A,', ',A', 'A,,B', '\\41 B', '-a', '--a', '1A', 'serif', '"",A', 'A!',
  ],
  font: [
    '12px A', '12px/1.5 A', '12px / 1.5 A', 'bold 12px A', 'italic bold small-caps condensed 12px/2 A, serif', '700 italic 1em "A B"', '12px',
    'A', 'bold', '12 A', 'normal normal normal normal 12px A', 'normal normal normal normal normal 12px A', 'large A', 'caption', '12px A B, "C"',
    'bold bold 12px A', 'oblique 10deg 12px A', '75% 12px A', 'calc(1px + 1em) A', '12px/ A', '1e3 12px A', '300 12PX a',
  ],
  'font-variant': [
    'normal', 'none', 'small-caps', 'small-caps tabular-nums', 'tabular-nums proportional-nums', 'no-common-ligatures discretionary-ligatures',
    'jis78 ruby', 'super', 'nonsense', 'small-caps nonsense', 'stylistic(a) historical-forms', 'normal small-caps',
  ],
}; // prettier-ignore

/** What we make of each, in the words of the longhands that a browser computes. */
const own: Record<string, (value: string) => string | undefined> = {
  'font-weight': (value) => weightIn(tokensOf(value), 400)?.toString(),
  'font-style': (value) => styleIn(tokensOf(value)),
  'font-stretch': (value) => {
    const stretch = stretchIn(tokensOf(value));
    return stretch === undefined ? undefined : `${stretch}%`;
  },
  'font-family': (value) => familiesIn(tokensOf(value))?.join('|'),
  font: (value) => {
    const font = fontIn(tokensOf(value));
    if (!font) return undefined;
    const weight = font.weight ? weightIn(font.weight, 400) : 400;
    return [font.families.join('|'), weight, font.style, `${font.stretch}%`, font.caps].join(' ');
  },
  'font-variant': (value) => {
    const variants = variantsIn(tokensOf(value));
    return variants && [variants.caps, variants.variantNumeric, variants.variantPosition].join(' ');
  },
};

const asked = `
  const element = document.createElement('p');
  document.body.append(element);
  const families = (text) => text.match(/"(\\\\.|[^"])*"|[^,]+/g).map((name) => name.trim().replace(/^"|"$/g, '')).join('|');
  const style = (text) => text.split(' ')[0];
  const said = {};
  for (const [property, values] of Object.entries(argument)) {
    said[property] = values.map((value) => {
      element.style.cssText = '';
      element.style.setProperty(property, value);
      if (element.style.getPropertyValue(property) === '') return null;
      const c = getComputedStyle(element);
      switch (property) {
        case 'font-weight': return c.fontWeight;
        case 'font-style': return style(c.fontStyle);
        case 'font-stretch': return c.fontStretch;
        case 'font-family': return families(c.fontFamily);
        case 'font': return [families(c.fontFamily), c.fontWeight, style(c.fontStyle), c.fontStretch, c.fontVariantCaps].join(' ');
        default: return [c.fontVariantCaps, c.fontVariantNumeric, c.fontVariantPosition].join(' ');
      }
    });
  }
  return said;
`;

/** Of a system font a browser says which one it is; here it is the system's, whichever. */
const isSystem = (value: string) => value === 'caption';

describe.each(availableEngines().filter((name) => name === 'chromium'))('values as %s takes them', (name) => {
  let engine: Engine;
  let said: Record<string, (string | null)[]>;
  beforeAll(async () => {
    engine = await startEngine(name);
    await engine.open('data:text/html,<!doctype html><body style="font-weight: 400">');
    said = await engine.run(asked, values);
  });
  afterAll(() => engine.close());

  test.each(Object.keys(values))('%s', (property) => {
    const list = values[property].filter((value) => !isSystem(value));
    const theirs = values[property].flatMap((value, i) => (isSystem(value) ? [] : [said[property][i]]));
    // Newer versions say italic of an oblique without an angle, which they draw alike.
    const inWords = (value: string, said: string | null) =>
      value === 'oblique' && said === 'italic' ? value : said;
    expect(list.map((value) => [value, own[property](value) ?? null])).toEqual(
      list.map((value, i) => [value, inWords(value, theirs[i])]),
    );
  });
});

test.each([
  [100, 'bolder', 400],
  [349, 'bolder', 400],
  [350, 'bolder', 700],
  [550, 'bolder', 900],
  [900, 'bolder', 900],
  [950, 'bolder', 950],
  [50, 'lighter', 50],
  [100, 'lighter', 100],
  [549, 'lighter', 100],
  [550, 'lighter', 400],
  [749, 'lighter', 400],
  [750, 'lighter', 700],
  [1000, 'lighter', 700],
])('from %d, %s is %d (CSS Fonts 4, section 2.2.1)', (parent, word, expected) => {
  expect(weightIn(tokensOf(word), parent)).toBe(expected);
});
