import { describe, expect, test } from '@jest/globals';
import { mkdirSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import type { ScanResult } from '#src/index.js';
import { denseGlyph } from '../../test-support/library.js';
import { inFolder } from '../../test-support/cli.js';
import { availableEngines, browserPath } from '../../test-support/engines.js';
import { isThorough } from '../../test-support/thorough.js';
import { thoroughly } from '../../test-support/thoroughly.js';

const { scan } = denseGlyph;

const writeSite = (folder: string, files: Record<string, string>): void => {
  for (const [name, text] of Object.entries(files)) {
    mkdirSync(dirname(join(folder, name)), { recursive: true });
    writeFileSync(join(folder, name), text);
  }
};

/** Faces of a page as `family weight: characters`. */
const facesOn = ({ pages }: ScanResult, wanted: string): string[] =>
  pages
    .find(({ page }) => page === wanted)!
    .faces.map(({ asked, characters }) => `${asked.family} ${asked.weight}: ${characters}`);

describe('a large site', () => {
  /** Enough for several threads; pages of a kind and pages of their own. */
  const pages = Object.fromEntries(
    Array.from({ length: 90 }, (_, i) => [
      `p${i}.html`,
      `<!doctype html><meta charset=utf-8><link rel=stylesheet href=${i % 3 === 0 ? 'none' : 'site'}.css><style>.own { font-weight: ${100 + (i % 9) * 100} }</style>${`<p class=k${i % 5}>text of a pier <b>${i}</b></p>\n`.repeat(isThorough ? 900 : 60)}<p class=own>${String.fromCodePoint(0x410 + i)}</p>`,
    ]),
  );
  const css = Array.from({ length: 5 }, (_, i) => `.k${i} { font-family: "Family ${i}" }`).join('\n');

  thoroughly('is read by threads as by one', () =>
    inFolder(async (folder) => {
      writeSite(folder, { ...pages, 'site.css': css });
      const items: string[] = [];
      const all = await scan({ site: ['.'], folder }, ({ item }) => items.push(item));
      expect(all.pages.map(({ page }) => page)).toEqual(Object.keys(pages).sort());
      for (const name of ['p0.html', 'p1.html', 'p44.html', 'p89.html']) {
        const alone = await scan({ site: [name], folder });
        expect(facesOn(all, name)).toEqual(facesOn(alone, name));
        expect(facesOn(all, name).join()).toContain(
          (0x410 + Number(name.slice(1, -5))).toString(16).toUpperCase(),
        );
      }
      const missing = all.findings.filter(({ code }) => code === 'stylesheet-missing');
      expect(missing.map(({ pages: where }) => where.length).reduce((a, b) => a + b)).toBe(30);
      expect(new Set(items).size).toBeGreaterThan(80);
    }),
  );

  test('a page that cannot be read is told, and the others are read', () =>
    inFolder(async (folder) => {
      writeSite(folder, { ...pages, 'site.css': css });
      rmSync(join(folder, 'p45.html'));
      symlinkSync('nowhere', join(folder, 'p45.html'));
      const { pages: read, findings } = await scan({ site: ['.'], folder });
      expect(read).toHaveLength(Object.keys(pages).length - 1);
      const told = findings.filter(({ code }) => code === 'page-unreadable');
      expect(told.map(({ place, message }) => [place.file, message])).toEqual([
        ['p45.html', expect.stringContaining('there is no such file')],
      ]);
    }));
});

describe('stylesheets as browsers find them', () => {
  test.each<[string, Record<string, string>, string[]]>([
    ['base', { 'a.html': '<base href="css/"><link rel=stylesheet href=s.css><p>x', 'css/s.css': 'p { font-family: A }' }, ['A 400: U+78']],
    ['a slash is the root', { 'a.html': '<link rel=stylesheet href="/in/s.css"><p>x', 'in/s.css': '@import "t.css";', 'in/t.css': 'p { font-family: A }' }, ['A 400: U+78']],
    ['imports in a circle', { 'a.html': '<link rel=stylesheet href=s.css><p>x', 's.css': '@import "t.css"; p { font-weight: 300 }', 't.css': '@import "s.css"; p { font-family: A }' }, ['A 300: U+78']],
    ['imports into a layer, under a condition', { 'a.html': '<style>@import "s.css" layer(l) screen; @import "t.css" print; @layer l { p { font-weight: 200 } } p { font-weight: 300 }</style><p>x', 's.css': 'p { font-weight: 900; font-family: A }', 't.css': 'p { font-family: B }' }, ['A 300: U+78', 'B 300: U+78']],
    ['alternates and disabled ones are left out', { 'a.html': '<link rel="alternate stylesheet" title=x href=s.css><link rel=stylesheet disabled href=s.css><p>x', 's.css': 'p { font-family: A }' }, ['Times New Roman 400: U+78']],
    ['those that are switched on when they are there', { 'a.html': `<link rel=preload as=style href=s.css onload="this.rel='stylesheet'"><link rel=stylesheet media=print href=t.css onload="this.media='all'"><p>x`, 's.css': 'p { font-family: A }', 't.css': 'p { font-weight: 300 }' }, ['A 300: U+78']],
    ['an encoding of its own', { 'a.html': '<meta charset=utf-8><link rel=stylesheet href=s.css><p>', 's.css': '@charset "utf-8"; p::before { content: "é"; font-family: A }' }, ['A 400: U+E9']],
    ['a type that is no CSS', { 'a.html': '<style type="text/template">p { font-family: A }</style><p>x' }, ['Times New Roman 400: U+78']],
    ['a query behind the name', { 'a.html': '<link rel=stylesheet href="s.css?v=3"><p>x', 's.css': 'p { font-family: A }' }, ['A 400: U+78']],
  ])('%s', (_, files, expected) =>
    inFolder(async (folder) => {
      writeSite(folder, files);
      expect(facesOn(await scan({ site: ['.'], folder }), 'a.html')).toEqual(expected);
    }),
  ); // prettier-ignore
});

const hasChromium = availableEngines().includes('chromium');

test('documents that stand in a page are read with it, each by its own styles', () =>
  inFolder(async (folder) => {
    const inner = `<style>p { font-family: Inner }</style><p>z</p><iframe srcdoc="<b style='font-family: Deep'>q</b>"></iframe>`;
    const attribute = inner.replaceAll('&', '&amp;').replaceAll('"', '&quot;');
    writeSite(folder, {
      'a.html': `<!doctype html><style>p { font-family: Outer }</style><p>a</p><iframe srcdoc="${attribute}"></iframe>`,
    });
    const faces = facesOn(await scan({ site: ['.'], folder }), 'a.html');
    expect(faces.filter((face) => /Outer|Inner|Deep/.test(face)).sort()).toEqual([
      'Deep 700: U+71',
      'Inner 400: U+7A',
      'Outer 400: U+61',
    ]);
  }));

(hasChromium ? describe : describe.skip)('what scripts make', () => {
  test.each<[string, string, string[]]>([
    ['elements', `document.body.append(Object.assign(document.createElement('b'), { textContent: 'y' }))`, ['Times New Roman 700: U+79']],
    ['rules that are inserted', `const s = document.createElement('style'); document.head.append(s); s.sheet.insertRule('p { font-family: A }')`, ['A 400: U+78']],
    ['stylesheets that are constructed', `const s = new CSSStyleSheet(); s.replaceSync('p { font-family: A }'); document.adoptedStyleSheets = [s]`, ['A 400: U+78']],
    ['stylesheets that are disabled', `const s = document.createElement('style'); s.textContent = 'p { font-family: A }'; document.head.append(s); s.sheet.disabled = true`, ['Times New Roman 400: U+78']],
    ['shadow trees with styles of their own', `const h = document.createElement('div'); document.body.append(h); const r = h.attachShadow({ mode: 'open' }); r.innerHTML = '<p>z</p>'; const s = new CSSStyleSheet(); s.replaceSync('p { font-family: S }'); r.adoptedStyleSheets = [s]`, ['S 400: U+7A']],
    ['values of fields', `const i = document.createElement('input'); document.body.append(i); i.style.fontFamily = 'F'; i.value = 'v'`, ['F 400: U+76']],
    ['attributes with quotes in them', `document.documentElement.setAttribute('data-a', '"<b>'); document.body.className = 'c'`, ['Times New Roman 400: U+78']],
  ])('%s', (_, script, expected) =>
    inFolder(async (folder) => {
      writeSite(folder, { 'a.html': `<!doctype html><meta charset=utf-8><p>x</p><script>${script}</script>` });
      const environment = { DENSE_GLYPH_CHROMIUM: browserPath('chromium') };
      const result = await scan({ site: ['a.html'], folder, runScripts: true, environment });
      for (const face of expected) expect(facesOn(result, 'a.html')).toContain(face);
    }),
  ); // prettier-ignore

  test('a page that does not load is told, and the others are read', () =>
    inFolder(async (folder) => {
      const away = '<meta charset=utf-8><script>location.replace("data:text/html,gone")</script>';
      const elsewhere = '<meta charset=utf-8><script>location.replace("about:blank")</script>';
      writeSite(folder, { 'a.html': '<meta charset=utf-8><p>x', 'b.html': away, 'c.html': elsewhere });
      const environment = { DENSE_GLYPH_CHROMIUM: browserPath('chromium') };
      const { pages, findings } = await scan({ site: ['.'], folder, runScripts: true, environment });
      expect(pages.map(({ page }) => page)).toContain('a.html');
      const told = findings.filter(({ code }) => code === 'page-unreadable').map(({ place }) => place.file);
      // Browsers follow no script to an address with data.
      expect(told).toEqual(['c.html']);
    }));
});
