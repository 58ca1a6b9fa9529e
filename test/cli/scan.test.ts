import { describe, expect, test } from '@jest/globals';
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import type { ScanResult } from '#src/index.js';
import { cli, inFolder } from '../../test-support/cli.js';
import { readSample } from '../../test-support/paths.js';

/** A site with one defect of each kind. */
const site: Readonly<Record<string, string | Uint8Array>> = {
  'site/index.html': `<!doctype html><html lang=en><head>
<link rel=preconnect href="https://fonts.example">
<link rel=stylesheet href="css/ferry.css">
<link rel=stylesheet href="css/old.css">
</head><body><h1>Piers</h1><p>Boats <em>leave</em> <b>now</b></p><p class=old>Gone</p></body></html>
`,
  'site/pages/second.html': `<!doctype html><meta charset=utf-8><link rel=stylesheet href="/css/ferry.css"><p>é</p>`,
  'site/css/ferry.css': `@font-face { font-family: "Tidelog"; src: url("../fonts/tidelog.ttf") }
@font-face { font-family: "Tidelog"; font-weight: 900; src: url("../fonts/tidelog.ttf") }
@font-face { font-family: "Lost"; src: url("font/lost.woff2") }
@font-face { font-family: "Far"; src: url("https://fonts.example/far.woff2") }
p { font-family: "Tidelog", monospace }
h1 { font-family: "Lost"; font-weight: 400 }
b { font-weight: 700; font-family: "Far" }
.old { font-family: "Nobody Chose", serif }
`,
  'site/fonts/tidelog.ttf': readSample('TidelogMono-Regular.ttf'),
  'site/fonts/lost.woff2': readSample('TidelogMono-Regular.ttf'),
};

const inSite = (use: (folder: string) => Promise<void>) =>
  inFolder(async (folder) => {
    for (const [path, content] of Object.entries(site)) {
      mkdirSync(dirname(join(folder, path)), { recursive: true });
      writeFileSync(join(folder, path), content);
    }
    await use(folder);
  });

describe('scan', () => {
  test('--save keeps the demand whole, and leaves a file where the scan fails', () =>
    inSite(async (folder) => {
      const kept = () => readFileSync(join(folder, 'kept.json'), 'utf8');
      const { out } = await cli(['scan', 'site', '--save', 'kept.json'], folder);
      expect(out).toContain('Kept  kept.json: ');
      expect(JSON.parse(kept())).toEqual(JSON.parse((await cli(['scan', 'site', '--json'], folder)).out));
      const before = kept();
      expect((await cli(['scan', 'http://127.0.0.1:9/', '--save', 'kept.json'], folder)).code).toBe(3);
      expect(kept()).toBe(before);
    }));

  test('each defect by its rule, line and pages, and what to write instead', () =>
    inSite(async (folder) => {
      const { code, out, err } = await cli(['scan', 'site', '--json'], folder);
      expect([code, err]).toEqual([1, '']);
      const { demandVersion, findings } = JSON.parse(out) as ScanResult;
      expect(demandVersion).toBe(1);
      const told = findings.map(
        ({ code, place, advice, pages }) =>
          `${code} ${place.file}:${place.line} ${place.selector ?? ''} ${advice} [${pages.length}]`,
      );
      expect(told.sort()).toEqual(
        [
          'font-missing css/ferry.css:3  write ../fonts/lost.woff2 [2]',
          'stylesheet-missing index.html:4  put the file there, or take the link out [1]',
          'face-unused css/ferry.css:2  take the rule and its files out [2]',
          'faked-bold css/ferry.css:7 b declare Far 700, or ask for a weight that is there [1]',
          'faked-slant css/ferry.css:5 p declare Tidelog 400 italic, or leave the slant out [1]',
          'family-undeclared css/ferry.css:8 .old declare the family, or take the rule out [1]',
          'display-missing css/ferry.css:1  write font-display: swap into the rule [2]',
          'display-missing css/ferry.css:4  write font-display: swap into the rule [1]',
          'hosted-reference css/ferry.css:4  bring the faces home, and take the reference out [2]',
          'hosted-reference index.html:2  bring the faces home, and take the reference out [1]',
        ].sort(),
      );
    }));

  test('the demand: what is asked, which rule draws it, and its characters', () =>
    inSite(async (folder) => {
      const { pages } = JSON.parse((await cli(['scan', 'site', '--json'], folder)).out) as ScanResult;
      expect(pages.map(({ page, languages }) => [page, languages])).toEqual([
        ['index.html', ['en']],
        ['pages/second.html', []],
      ]);
      const faces = pages.flatMap(({ faces }) => faces);
      expect(
        faces.map(({ asked, drawnBy, faked, characters }) => [
          `${asked.family} ${asked.weight} ${asked.style}`,
          drawnBy?.url ?? null,
          faked.join(),
          characters,
        ]),
      ).toEqual([
        ['Lost 400 normal', null, '', 'U+50, U+65, U+69, U+72-73'],
        ['Tidelog 400 normal', '../fonts/tidelog.ttf', '', 'U+20, U+42, U+61, U+6F, U+73-74'],
        ['Tidelog 400 italic', '../fonts/tidelog.ttf', 'slant', 'U+61, U+65, U+6C, U+76'],
        ['Far 700 normal', 'https://fonts.example/far.woff2', 'bold', 'U+6E-6F, U+77'],
        ['Nobody Chose 400 normal', null, '', 'U+47, U+65, U+6E-6F'],
        ['Tidelog 400 normal', '../fonts/tidelog.ttf', '', 'U+E9'],
      ]);
    }));

  test.each([
    ['Far 700', [/^Far 700$/m, /on index\.html$/m, /css\/ferry\.css:7 {2}b {2}font-family/]],
    ['é', [/^Tidelog 400$/m, /css\/ferry\.css:5 {2}p {2}font-family/]],
    ['Ж', [/^No page asks for Ж\.$/m]],
  ])('--trace %s says who asks for it', (what, lines) =>
    inSite(async (folder) => {
      const { out } = await cli(['scan', 'site', '--trace', what], folder);
      for (const line of lines) expect(out).toMatch(line);
    }),
  );

  test('a folder without pages and one that is not there are told', () =>
    inSite(async (folder) => {
      for (const name of ['site/fonts', 'sight']) {
        const { code, err } = await cli(['scan', name], folder);
        expect([name, code]).toEqual([name, 3]);
        expect(err).toContain(name);
      }
    }));

  /** Each would take hours if nothing bounded it. */
  test.each<[string, string]>([
    [
      'properties that stand for each other twice',
      `:root { ${Array.from({ length: 60 }, (_, i) => `--v${i}: var(--v${i + 1}) var(--v${i + 1});`).join('')} }`,
    ],
    [
      'a cycle of them, with fallbacks',
      `:root { ${Array.from({ length: 60 }, (_, i) => `--v${i}: var(--v${(i + 1) % 60}, x) var(--v${(i + 1) % 60}, x);`).join('')} }`,
    ],
    [
      'thousands of breakpoints',
      Array.from(
        { length: 1000 },
        (_, i) => `@media (min-width: ${2 * i}px) { p { font-weight: 400 } }`,
      ).join(''),
    ],
    ['a value of thousands of them', `p { font-family: ${'var(--a) '.repeat(11_000)} } :root { --a: x }`],
    ['fallbacks in fallbacks', `p { font-family: ${'var(--a, '.repeat(9000)}serif${')'.repeat(9000)} }`],
    ['rules in rules', `${'p, q, .r {'.repeat(40)}font-weight: 400`],
  ])('comes to an end: %s', (_, css) =>
    inFolder(async (folder) => {
      writeFileSync(
        join(folder, 'index.html'),
        `<!doctype html><style>${css} p { font-family: Arial }</style><p>x`,
      );
      const { code, err } = await cli(['scan', '.', '--json'], folder);
      expect([code, err]).toEqual([0, '']);
    }),
  );
});
