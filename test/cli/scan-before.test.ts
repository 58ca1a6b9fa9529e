import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { ScanResult } from '#src/index.js';
import { cli, inFolder } from '../../test-support/cli.js';
import { availableEngines } from '../../test-support/engines.js';
import { root } from '../../test-support/paths.js';
import { LoggingServer } from '../../test-support/server.js';

/** The sample site as it was before anybody cared. */
const before = join(root, 'sample/before');

/** Where something was planted: a text that stands in one line of a file. */
const planted: [code: string, file: string, line: string, selector: string | undefined, message: RegExp][] = [
  [
    'hosted-reference',
    'index.html',
    'ferrywake-sans.css"',
    undefined,
    /a stylesheet comes from .* faces\.example/,
  ],
  ['hosted-reference', 'index.html', 'preconnect', undefined, /a connection is made to/],
  ['hosted-reference', 'index.html', '<script>', undefined, /a script brings faces/],
  ['hosted-reference', 'styles/site.css', 'tidelog-mono.css', undefined, /is imported/],
  ['stylesheet-unneeded', 'styles/site.css', '"old-faces.css"', undefined, /only declares Gullwing/],
  ['stylesheet-missing', 'notices.html', 'style/print.css', undefined, /style\/print\.css is not there/],
  ['font-missing', 'styles/site.css', '@font-face#3', undefined, /fonts\/FerrywakeSans-Bold/],
  ['display-missing', 'styles/site.css', '@font-face#1', undefined, /Ferrywake Sans may stay invisible/],
  ['face-doubled', 'styles/site.css', '@font-face#1', undefined, /again in pl\/styles\/site\.css:2/],
  ['family-undeclared', 'styles/site.css', '.tides', '.tides', /"Marrow Grotesk"/],
  ['family-undeclared', 'el/styles/site.css', '.sea', '.sea', /"Pelagos Text"/],
  ['faked-bold', 'styles/site.css', '.total', '.total', /Lampbuoy Slab 800 is faked/],
  ['faked-bold', 'styles/site.css', 'h1, h2', 'h1, h2', /Lampbuoy Slab 700 is faked/],
  ['faked-slant', 'styles/site.css', 'em {', 'em', /Ferrywake Sans 400 italic is faked/],
  ['characters-lacking', 'el/styles/site.css', 'h1', 'h1', /Lampbuoy Slab 700 has no Τ ά .* Georgia/],
  ['preload-crossorigin', 'index.html', 'rel="preload"', undefined, /no crossorigin/],
  ['preload-differs', 'fares.html', 'rel="preload"', undefined, /woff2\?v=2/],
  ['preload-unused', 'notices.html', 'rel="preload"', undefined, /draws nothing with it/],
  ['encoding-missing', 'story.html', '', undefined, /names no encoding/],
  ['text-by-script', 'map.html', '', undefined, /hardly any text/],
];

/** @param text of the line; `#2` for the second one */
function lineOf(file: string, text: string): number | undefined {
  if (text === '') return undefined;
  const [wanted, number = '1'] = text.split('#');
  const lines = readFileSync(join(before, file), 'utf8').split('\n');
  const found = lines.flatMap((line, i) => (line.includes(wanted) ? [i + 1] : []));
  return found[Number(number) - 1];
}

const scanned = async (...args: string[]): Promise<ScanResult> =>
  JSON.parse((await cli(['scan', ...args, '--json'], before)).out) as ScanResult;

describe('the site before anybody cared', () => {
  let result: ScanResult;
  beforeAll(async () => {
    result = await scanned('.');
  });

  test.each(planted)('%s in %s at %s', (code, file, text, selector, message) => {
    const line = lineOf(file, text);
    const found = result.findings.filter(
      ({ place, ...one }) =>
        one.code === code && place.file === file && place.line === line && place.selector === selector,
    );
    expect(found.map((one) => message.test(one.message))).toEqual([true]);
    expect(found[0].pages.length).toBeGreaterThan(0);
  });

  test('nothing else is said of it', () => {
    const codes = (list: readonly string[]) => [...new Set(list)].sort();
    expect(codes(result.findings.map(({ code }) => code))).toEqual(codes(planted.map(([code]) => code)));
  });

  test('--page holds the demand, the places and lines of the sources', () =>
    inFolder(async (folder) => {
      await cli(['scan', before, '--page', 'report.html', '--quiet'], folder);
      const page = readFileSync(join(folder, 'report.html'), 'utf8');
      const data = /<script type="application\/json" id="data">(.*?)<\/script>/s.exec(page)![1];
      const report = JSON.parse(data) as ScanResult & { sources: Record<string, { lines: string[] }> };
      expect(report.faces).toEqual(result.faces);
      expect(report.sources['notices.html:7'].lines).toContain(
        '<link rel="stylesheet" href="style/print.css" media="print">',
      );
      const [place] = report.pages
        .find(({ page }) => page === 'fares.html')!
        .faces.find(({ asked }) => asked.weight === 800)!.places!;
      expect([place.element, place.text]).toEqual(['p.total', 'A family of four: £11.60']);
    }));

  test('--trace names the elements', async () => {
    const { out } = await cli(['scan', '.', '--trace', 'ś'], before);
    expect(out).toMatch(/pl\/index\.html:10 {2}p {2}“Pływamy/);
  });
});

describe('a site behind a URL', () => {
  let server: LoggingServer;
  beforeAll(async () => {
    server = await LoggingServer.start(
      { '/': before },
      {
        '/far.html':
          '<!doctype html><meta charset=utf-8><a href="https://elsewhere.example/">x</a><p>Far</p>',
      },
    );
  });
  afterAll(() => server.close());

  test('the pages that links lead to say the same as the files', async () => {
    const [online, files] = [await scanned(`${server.origin}/index.html`), await scanned('.')];
    // The server names the encoding.
    const told = (result: ScanResult) =>
      result.findings
        .filter(({ code }) => code !== 'encoding-missing')
        .map(({ code, place }) => `${code} ${place.file?.replace(/^\//, '')}:${place.line}`)
        .sort();
    expect(online.pages.map(({ page }) => page.slice(1)).sort()).toEqual(
      files.pages.map(({ page }) => page).sort(),
    );
    expect(told(online)).toEqual(told(files));
    expect(server.take().filter(({ path }) => path === '/styles/site.css')).toHaveLength(1);
  });

  test('--most-pages ends it', async () => {
    const { pages } = await scanned(`${server.origin}/index.html`, '--most-pages', '3');
    expect(pages).toHaveLength(3);
  });

  test('other origins are left alone', async () => {
    const { pages } = await scanned(`${server.origin}/far.html`);
    expect(pages.map(({ page }) => page)).toEqual(['/far.html']);
  });

  test.each([
    ['a page that is not there', (origin: string) => `${origin}/none.html`, /it is not there \(status 404\)/],
    ['nobody there', () => 'http://127.0.0.1:9/', /nobody answers/],
    ['what is no page', (origin: string) => `${origin}/styles/site.css`, /it is no page but text\/css/],
  ])('%s is told', async (_, urlOf, message) => {
    const { code, err } = await cli(['scan', urlOf(server.origin)], before);
    expect(code).toBe(3);
    expect(err).toMatch(message);
  });
});

const hasChromium = availableEngines().includes('chromium');

(hasChromium ? describe : describe.skip)('--run-scripts', () => {
  test('what scripts write is counted', async () => {
    const [without, withScripts] = [await scanned('map.html'), await scanned('map.html', '--run-scripts')];
    const characters = (result: ScanResult) => result.faces.map(({ characters }) => characters).join();
    expect(characters(without)).toBe('');
    expect(characters(withScripts)).toContain('U+54'); // Tarrow Holm
    expect(withScripts.findings.map(({ code }) => code)).not.toContain('text-by-script');
  });

  test('addresses that scripts write in full are those of the site', () =>
    inFolder(async (folder) => {
      const files = {
        'in/page.html': `<!doctype html><meta charset=utf-8><p>x</p><script>
          document.head.innerHTML += '<base href="' + location.origin + '/in/"><link rel=stylesheet href="' + location.origin + '/a.css"><link rel=stylesheet href="b.css">';
          </script>`,
        'a.css': 'p { font-family: "From A" }',
        'in/b.css': 'p { font-weight: 700 }',
      };
      mkdirSync(join(folder, 'in'));
      for (const [name, text] of Object.entries(files)) writeFileSync(join(folder, name), text);
      const { out } = await cli(['scan', '.', '--run-scripts', '--json'], folder);
      const { faces, findings } = JSON.parse(out) as ScanResult;
      expect(faces.map(({ asked }) => `${asked.family} ${asked.weight}`)).toEqual(['From A 700']);
      expect(findings.map(({ code }) => code)).toEqual(['family-undeclared']);
    }));

  test('without a browser it says what to install', async () => {
    const { code, err } = await cli(['scan', 'map.html', '--run-scripts'], before, {
      env: { DENSE_GLYPH_CHROMIUM: '/nowhere/chromium' },
    });
    expect(code).toBe(2);
    expect(err).toMatch(/\/nowhere\/chromium does not start; install Chromium/);
  });
});
