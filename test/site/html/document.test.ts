import { describe, expect, test } from '@jest/globals';
import { elementsWithin, readDocument, treesWithin, type SiteElement } from '#src/site/html/document.js';
import { pageLinks } from '#src/site/html/links.js';

const byId = (root: SiteElement, id: string): SiteElement =>
  treesWithin(root)
    .flatMap((tree) => [...elementsWithin(tree)])
    .find(({ attributes }) => attributes.get('id') === id)!;

describe('documents', () => {
  test('slots take children by name, and the first of a name wins', () => {
    const root = readDocument(
      '<div id=host><template shadowrootmode=open><slot id=plain></slot><slot id=named name=n></slot><slot id=second name=n></slot></template>x<b id=b slot=n>y</b><i id=i slot=none>z</i></div>',
    );
    const texts = (id: string) =>
      byId(root, id).assigned?.map((node) => (node.kind === 'text' ? node.text : node.name));
    expect([texts('plain'), texts('named'), texts('second')]).toEqual([['x'], ['b'], undefined]);
    expect([byId(root, 'b').slot, byId(root, 'i').slot]).toEqual([byId(root, 'named'), undefined]);
    expect(
      byId(root, 'host').children.some((node) => node.kind === 'element' && node.name === 'template'),
    ).toBe(false);
  });

  /** Whatever asks first, and whether the page has styles of its own, which are read with lines at once. */
  test.each([['noted'], ['on demand']] as const)('lines, %s', (lines) => {
    for (const style of ['', '<style>p { color: red }</style>']) {
      const html = `<!doctype html>\n${style}<main>\n<p id=a>x\n<p\n  id=b>y<table>\n<tr id=c><td>z</table>\n<template>\n<p id=no></template>\n<p id=d>`;
      const root = readDocument(html, lines);
      const found = ['d', 'a', 'b', 'c'].map((id) => byId(root, id).line);
      expect(found).toEqual([9, 3, 4, 6]);
    }
    expect(byId(readDocument('\n<p id=a>', 'none'), 'a').line).toBe(0);
  });

  test('links that lead to pages of the same origin', () => {
    const links = pageLinks(
      readDocument(
        '<a href=b.html#x>1</a><a href="/c/?q=1">2</a><a href="//other.example/">3</a><a href=d.pdf>4</a><a href="mailto:x@y.example">5</a><a href=e.html download>6</a><area href="../f"><a href="http://[">7</a><a href=b.html>8</a>',
      ),
      'https://ferries.example/a/index.html',
    );
    expect(links).toEqual([
      'https://ferries.example/a/b.html',
      'https://ferries.example/c/?q=1',
      'https://ferries.example/f',
    ]);
  });
});
