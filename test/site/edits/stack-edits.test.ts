import { describe, expect, test } from '@jest/globals';
import { applied } from '#src/site/edits/edits.js';
import { stackEdits, withStacks, type StackNames } from '#src/site/edits/stack-edits.js';

const names: StackNames = {
  nameFor: (family) => ({ quayside: 'Quay Sans', 'quay display': 'Quay Sans' })[family.toLowerCase()],
  fallbackFor: (family) => (family.toLowerCase() === 'quay sans' ? ['Segoe UI', 'sans-serif'] : []),
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
