import { expect, test } from '@jest/globals';
import { openFont } from '#src/core/containers/index.js';
import { faceStyleOf } from '#src/core/face/index.js';
import { linkStyle, type StyleLink } from '#src/core/face/link-style.js';
import { head, name, os2 } from '#src/core/tables/index.js';
import { readSample } from '../../test-support/paths.js';

const { font } = openFont(readSample('FerrywakeSans-Regular.ttf'));
const { bold, italic, regular, useTypoMetrics } = os2.fsSelection;

test.each<[StyleLink, [family: string, style: string, full: string], number]>([
  [{ family: 'Harbour', weight: 400, style: 'normal' }, ['Harbour', 'Regular', 'Harbour'], regular],
  [
    { family: 'Harbour', weight: 700, style: 'italic' },
    ['Harbour', 'Bold Italic', 'Harbour Bold Italic'],
    bold | italic,
  ],
  [{ family: 'Harbour', weight: 300, style: 'normal' }, ['Harbour 300', 'Regular', 'Harbour 300'], regular],
  [
    { family: 'Harbour', weight: 900, style: 'oblique' },
    ['Harbour 900', 'Bold Italic', 'Harbour 900 Bold Italic'],
    bold | italic,
  ],
])('%j: names, OS/2 and head agree with the rule', (link, names, selection) => {
  const { font: linked, changes } = linkStyle(font, link);
  const table = linked.table(name);
  expect([1, 2, 4].map((id) => name.nameOf(table, id))).toEqual(names);
  expect(names[2].startsWith(names[0])).toBe(true);
  const { usWeightClass, fsSelection } = linked.table(os2);
  expect([usWeightClass, fsSelection & ~useTypoMetrics]).toEqual([link.weight, selection]);
  const mac = linked.table(head).macStyle;
  expect(mac).toBe(
    (selection & bold ? head.macStyle.bold : 0) | (selection & italic ? head.macStyle.italic : 0),
  );
  // The weight of a family of its own stands in OS/2 alone; the style name has no word for it.
  const codes = faceStyleOf(linked).findings.map(({ code }) => code);
  expect(codes).toEqual(link.weight % 300 === 100 ? [] : ['weight-disagrees']);
  expect(changes).toContain(`name 1: "Ferrywake Sans" became "${names[0]}"`);
});

test('a font that agrees already stays as it is', () => {
  const { font: same, changes } = linkStyle(font, { family: 'Ferrywake Sans', weight: 400, style: 'normal' });
  expect([same === font, changes]).toEqual([true, []]);
});
