import { expect, test } from '@jest/globals';
import { PageScanner, siteOf } from '#src/site/index.js';

const wide = 400;

/** The room of the first block on a screen of 400 px: its px, zeros and what is taken off, `~` where the layout decides. */
async function roomOf(css: string, body: string): Promise<string> {
  const html = `<style>* { margin: 0 } ${css}</style>${body}`;
  const site = siteOf(new Map([['index.html', new TextEncoder().encode(html)]]));
  const [{ blocks }] = await new PageScanner(site, { widths: [wide] }).scanned(site.pages[0]);
  const [{ rooms }] = blocks!.get(wide)!;
  const { px, zeros, less, isKnown } = rooms[0];
  return `${isKnown ? '' : '~'}${px}${zeros === undefined ? '' : ` ${zeros}z-${less}`}`;
}

test.each<[css: string, body: string, expected: string]>([
  ['', '<p>a', '400'],
  ['body { margin: 8px 10px }', '<p>a', '380'],
  ['main { padding: 0 1.5rem }', '<main><p>a', '352'],
  ['main { padding-inline: 10px 20px; border: 1px solid }', '<main><p>a', '368'],
  ['main { border-left: 5px }', '<main><p>a', '400'],
  ['main { max-width: 300px; padding: 0 20px }', '<main><p>a', '300'],
  ['* { box-sizing: border-box } main { max-width: 300px; padding: 0 20px }', '<main><p>a', '260'],
  ['main { width: 50%; padding: 0 10px }', '<main><p>a', '200'],
  ['main { width: calc(100% - 2rem) }', '<main><p>a', '368'],
  ['p { max-width: 20ch; font-size: 20px }', '<p>a', '400 400z-0'],
  ['main { max-width: 20ch } p { padding-left: 30px }', '<main><p>a', '370 320z-30'],
  ['ul { list-style: none }', '<ul><li>a', '360'],
  [
    '.row { margin: 0 -15px } .col { width: 50%; padding: 0 15px; box-sizing: border-box }',
    '<div class=row><div class=col>a',
    '185',
  ],
  ['nav { display: flex }', '<nav><p>a', '~400'],
  ['nav { display: flex } p { width: 150px }', '<nav><p>a', '150'],
  ['nav { display: flex } p { max-width: 50% }', '<nav><p>a', '200'],
  ['body { display: flex; flex-flow: column nowrap }', '<p>a', '400'],
  ['main { display: flex; flex-direction: column; align-items: center }', '<main><p>a', '~400'],
  ['main { display: grid }', '<main><p>a', '400'],
  ['main { display: grid; grid-template-columns: 1fr 2fr }', '<main><p>a', '~400'],
  ['p { float: left }', '<p>a', '~400'],
  ['p { position: absolute }', '<p>a', '~400'],
  ['p { display: inline-block; width: 90px }', '<p>a', '90'],
  ['td { padding: 0 5px }', '<table><td>a', '~390'],
  ['main { display: flex } div { width: 50% }', '<main><section><div>a', '~400'],
])('%s %s', async (css, body, expected) => {
  expect(await roomOf(css, body)).toBe(expected);
});
