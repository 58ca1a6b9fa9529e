import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { PageWiring } from '#src/site/edits/page-edits.js';
import { wiredTemplate } from '#src/site/edits/template-edits.js';

const host = 'https://faces.example';
const wiring: PageWiring = {
  markup:
    '<link rel="preload" href="/type/a.woff2" as="font" crossorigin>\n<link rel="stylesheet" href="/type/kit.css">\n',
  verdict: (_, url) => (url.startsWith(host) ? 'goes' : 'stays'),
  mayDeclare: () => false,
  rules: { importVerdict: (url) => (url.startsWith(host) ? 'goes' : 'stays'), isFaceReplaced: () => false },
};
const link = `<link rel="stylesheet" href="${host}/quay.css">`;
const block = `<!-- dense-glyph: the kit, put here by wire -->
<link rel="preload" href="/type/a.woff2" as="font" crossorigin>
<link rel="stylesheet" href="/type/kit.css">
<!-- dense-glyph: end -->`;
const jsxBlock = `{/* dense-glyph: the kit, put here by wire */}
<link rel="preload" href="/type/a.woff2" as="font" crossOrigin="anonymous" />
<link rel="stylesheet" href="/type/kit.css" />
{/* dense-glyph: end */}`;

describe('a kit in a template', () => {
  test.each([
    [
      'hbs',
      `{{#if x}}a{{/if}}<head>\n<title>{{{title}}}</title>{{! a note }}\n${link}\n{{> scripts}}</head>`,
    ],
    ['mustache', `<head>\n<title>{{title}}</title>\n${link}\n{{#a}}<meta>{{/a}}</head>{{>foot}}`],
    [
      'njk',
      `{% extends "a" %}{% block b %}<head>{# note #}\n<title>{{ a | b }}</title>\n${link}\n</head>{% endblock %}`,
    ],
    [
      'liquid',
      `<html lang="{{ l }}"><head>\n<meta content="{{ a }}">\n${link}\n{% if a %}b{% endif %}</head>`,
    ],
    ['twig', `<head>\n<title>{{ a }}</title>{% set b = 1 %}\n${link}\n</head>`],
    [
      'erb',
      `<head>\n<title><%= yield :title %></title><%# note %>\n${link}\n<% if a %><meta><% end %></head>`,
    ],
    ['ejs', `<% const a = 1 > 0 %><head>\n<title><%- a %></title>\n${link}\n</head>`],
    [
      'php',
      `<?php $a = "<head"; if ($b->c > 1): ?><head >\n<title><?= $a->b ?></title>\n${link}\n</head><?php endif`,
    ],
    ['vue', `<template><html><head>\n<title>{{ a }}</title>\n${link}\n</head></html></template>`],
    ['svelte', `<head>\n<title>{a}</title>\n${link}\n{#if b}<meta>{/if}</head>`],
  ])('%s: in the place of what goes, once, and nothing else changes', (extension, source) => {
    const wired = wiredTemplate(source, extension, wiring);
    expect(wired).toEqual({ text: source.replace(link, block) });
    if ('text' in wired) expect(wiredTemplate(wired.text, extension, wiring)).toEqual(wired);
  });

  test.each(['njk', 'tsx'])('%s: the loader as a file, once', (extension) => {
    const script = '<script src="/type/kit.loader.js" data-base="/type/"></script>';
    const own = { ...wiring, markup: `${script}\n${wiring.markup}` };
    const source = `<html><head>\n<title>a</title>\n${link.replace('>', extension === 'tsx' ? ' />' : '>')}\n</head></html>`;
    const wired = wiredTemplate(source, extension, own);
    expect(wired).toEqual({ text: expect.stringContaining(`${script}\n`) });
    if ('text' in wired) expect(wiredTemplate(wired.text, extension, own)).toEqual(wired);
  });

  test('jsx: as JSX', () => {
    const jsxLink = link.replace('>', ' />');
    const source = `export default function Root({ a }) {\n  return (<html><head>\n{/* b */}<title>{a}</title>\n${jsxLink}\n{a && <meta />}</head><body>{a.map((b) => <p>{b}</p>)}</body></html>);\n}`;
    const wired = wiredTemplate(source, 'tsx', wiring);
    expect(wired).toEqual({ text: source.replace(jsxLink, jsxBlock) });
    if ('text' in wired) expect(wiredTemplate(wired.text, 'tsx', wiring)).toEqual(wired);
  });

  test.each([
    [
      'in a branch',
      'njk',
      `<head>{% if a %}\n${link}\n{% endif %}</head>`,
      'its head is not plain HTML up to there',
    ],
    [
      'behind a branch',
      'hbs',
      `<head>{{#if a}}<meta>{{/if}}\n${link}</head>`,
      'its head is not plain HTML up to there',
    ],
    [
      'behind a part of another file',
      'hbs',
      `<head>{{> meta}}\n${link}</head>`,
      'its head is not plain HTML up to there',
    ],
    [
      'behind a program',
      'php',
      `<head><?php foo(); ?>${link}</head>`,
      'its head is not plain HTML up to there',
    ],
    [
      'behind an expression',
      'jsx',
      `<head>{a && <meta />}${link}</head>`,
      'its head is not plain HTML up to there',
    ],
    [
      'made by the template',
      'njk',
      `<head><link rel="stylesheet" href="${host}/{{ a }}.css"></head>`,
      'the element that goes is made by the template',
    ],
    ['without a head', 'liquid', link, 'it has no whole head of its own'],
    ['with a head that others end', 'php', `<head>${link}`, 'it has no whole head of its own'],
    [
      'with an import alone',
      'twig',
      `<head><style>@import "${host}/a.css";</style></head>`,
      'no stylesheet link in its head shows where the kit would go',
    ],
    [
      'in a language without tags',
      'pug',
      `head\n  link(href="${host}/a.css")`,
      'it is written in a language that is not edited',
    ],
  ])('not %s', (_, extension, source, refusal) => {
    expect(wiredTemplate(source, extension, wiring)).toEqual({ refusal });
  });

  test('whatever stands around, it is as it was, or the template is left', () => {
    const pieces = [
      '{% if a %}',
      '{% endif %}',
      '{{ a }}',
      '{# b #}',
      '<meta name="a" content="{{ b > 1 }}">',
      '\n',
      '  ',
      link,
      '<style>a{}</style>',
      '<!-- c -->',
    ];
    const heads = fc.array(fc.constantFrom(...pieces), { maxLength: 12 }).map((list) => list.join(''));
    fc.assert(
      fc.property(heads, fc.constantFrom(...pieces, ''), (head, before) => {
        const source = `${before}<head>${head}</head>${before}`;
        const wired = wiredTemplate(source, 'njk', wiring);
        if ('refusal' in wired) return;
        const [start, end] = [`${before}<head>`, `</head>${before}`];
        expect([wired.text.startsWith(start), wired.text.endsWith(end)]).toEqual([true, true]);
        const made = wired.text.slice(start.length, -end.length);
        const bare = (text: string) => text.replace(/\s+/g, '');
        const without = (text: string) => bare(text).replace(bare(block), '').replaceAll(bare(link), '');
        expect(without(made)).toBe(without(head));
        expect(wiredTemplate(wired.text, 'njk', wiring)).toEqual(wired);
      }),
    );
  });
});
