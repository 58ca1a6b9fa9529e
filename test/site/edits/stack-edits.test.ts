import { describe, expect, test } from '@jest/globals';
import { applied } from '#src/site/edits/edits.js';
import { StackProperties } from '#src/site/edits/stack-properties.js';
import { stackEdits, withStacks, type StackNames } from '#src/site/edits/stack-edits.js';

const names: StackNames = {
  families: ['quay sans', 'quayside', 'quay display'],
  nameFor: (family) => ({ quayside: 'Quay Sans', 'quay display': 'Quay Sans' })[family.toLowerCase()],
  fallbackFor: (family) => (family.toLowerCase() === 'quay sans' ? ['Segoe UI', 'sans-serif'] : []),
  standInFor: () => undefined,
  holdsStack: () => false,
};
const changed = (css: string) => applied(css, stackEdits(css, names));
const behind = '"Segoe UI", sans-serif';

describe('stacks', () => {
  test.each([
    ['another name', 'a{font-family: Quayside, Arial}', 'a{font-family: "Quay Sans", Arial}'],
    ['in the middle', "a{font-family:Arial,'Quay Display' , b}", 'a{font-family:Arial,"Quay Sans" , b}'],
    ['nothing behind', 'a{font-family: "Quay Sans"}', `a{font-family: "Quay Sans", ${behind}}`],
    ['both', 'a{font-family:quay  display!important}', `a{font-family:"Quay Sans", ${behind}!important}`],
    [
      'a shorthand',
      'a{font:italic 700 1rem/1.5 Quayside}',
      `a{font:italic 700 1rem/1.5 "Quay Sans", ${behind}}`,
    ],
    [
      'a shorthand of words',
      'a{font: bold large Quay Display, serif}',
      'a{font: bold large "Quay Sans", serif}',
    ],
    [
      'within conditions',
      '@media print{a{b:c;font-family:Quayside,d}}',
      '@media print{a{b:c;font-family:"Quay Sans",d}}',
    ],
    [
      'a property of its own',
      ':root{--a: "Quayside"; --b: Quay Sans}',
      ':root{--a: "Quay Sans"; --b: Quay Sans}',
    ],
    ['a comment between', 'a{font-family:/* ; */ Quayside /* b */, c}', undefined],
    ['the name in any case', 'a{font-family: quay sans, serif}', undefined],
    ['other families', 'a{font-family: Quay, inherit; font: menu}', undefined],
    ['a variable', 'a{font-family: var(--a), Quayside}', undefined],
    ['rules that declare', '@font-face{font-family: Quayside; src: url(a)}', undefined],
    ['words that no list has', 'a{font: inherit Quayside}', undefined],
    ['no list', 'a{font-family: Quayside Arial 1; font: Quayside}', undefined],
  ])('%s', (_, css, expected = css) => {
    expect(changed(css)).toBe(expected);
    expect(changed(expected)).toBe(expected);
  });

  test('in style elements and attributes, with quotes that fit', () => {
    const page =
      '<style>a{font-family:Quayside,b}</style><p style="color:red;font-family: Quayside">a<p style=\'font-family:Quayside,b\'><p style=font-family:Quayside><p style="font-family:&quot;Quayside&quot;">Quayside';
    const wired = withStacks(page, names);
    expect(wired).toBe(
      `<style>a{font-family:"Quay Sans",b}</style><p style="color:red;font-family: 'Quay Sans', 'Segoe UI', sans-serif">a<p style='font-family:"Quay Sans",b'><p style=font-family:Quayside><p style="font-family:&quot;Quayside&quot;">Quayside`,
    );
    expect(withStacks(wired, names)).toBe(wired);
  });
});

describe('stand-ins', () => {
  const own: StackNames = {
    families: ['quay sans', 'harbour'],
    nameFor: () => undefined,
    standInFor: (family) => (/^(quay sans|harbour)$/i.test(family) ? `${family} stand-in` : undefined),
    fallbackFor: () => [],
    holdsStack: (property) => property === '--body',
  };
  test.each([
    ['behind the face', 'a{font-family:"Quay Sans",b}', 'a{font-family:"Quay Sans", "Quay Sans stand-in",b}'],
    ['without quotes', 'a{font-family:Quay  Sans}', 'a{font-family:Quay  Sans, "Quay Sans stand-in"}'],
    [
      'of each',
      'a{font-family:Harbour,Quay Sans}',
      'a{font-family:Harbour, "Harbour stand-in",Quay Sans, "Quay Sans stand-in"}',
    ],
    [
      'before what is important',
      'a{font-family:Harbour!important}',
      'a{font-family:Harbour, "Harbour stand-in"!important}',
    ],
    ['a shorthand', 'a{font:700 1em/1.2 Harbour,b}', 'a{font:700 1em/1.2 Harbour, "Harbour stand-in",b}'],
    [
      'a size that is counted',
      'a{font:calc(1em + 2px)/1 Harbour,b}',
      'a{font:calc(1em + 2px)/1 Harbour, "Harbour stand-in",b}',
    ],
    [
      'before a variable',
      'a{font-family:Harbour,var(--rest)}',
      'a{font-family:Harbour, "Harbour stand-in",var(--rest)}',
    ],
    [
      'in place of one',
      'a{font-family:var(--x,Harbour),b}',
      'a{font-family:var(--x,Harbour, "Harbour stand-in"),b}',
    ],
    [
      'a size by a variable',
      'a{font:700 var(--size)/1 "Harbour",b}',
      'a{font:700 var(--size)/1 "Harbour", "Harbour stand-in",b}',
    ],
    [
      'a stack of its own',
      ':root{--body:Harbour,b;--name:Harbour}',
      ':root{--body:Harbour, "Harbour stand-in",b;--name:Harbour}',
    ],
    [
      'behind a size by a variable',
      'a{font:var(--size) Harbour}',
      'a{font:var(--size) Harbour, "Harbour stand-in"}',
    ],
    ['other families', 'a{font-family:"Quay Sans Display",local("Harbour")}', undefined],
  ])('%s', (_, css, expected = css) => {
    expect(applied(css, stackEdits(css, own))).toBe(expected);
    expect(applied(expected, stackEdits(expected, own))).toBe(expected);
  });

  test('in attributes of pictures and of old pages', () => {
    const page =
      '<svg><text font-family="Harbour, b">a</text></svg><font face=\'Harbour\'>b</font><p face="Harbour">';
    expect(withStacks(page, own)).toBe(
      `<svg><text font-family="Harbour, 'Harbour stand-in', b">a</text></svg><font face='Harbour, "Harbour stand-in"'>b</font><p face="Harbour">`,
    );
  });

  test.each([
    ['that a rule uses', 'a{font-family:var(--x)}', true],
    ['by way of another', ':root{--y:var(--x),serif} a{font:1em var(--y)}', true],
    ['that nothing uses', 'a{color:var(--y)}', false],
    ['that is shown too', 'a{font-family:var(--x)} a::before{content:var(--x)}', false],
  ])('a custom property %s', (_, css, expected) => {
    const properties = new StackProperties();
    properties.add(css);
    expect(properties.holdsStack('--x')).toBe(expected);
  });
});
