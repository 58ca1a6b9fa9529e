import { describe, expect, test } from '@jest/globals';
import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Finding } from '#src/findings.js';
import type { Manifest } from '#src/kit/index.js';
import { cli } from '../../test-support/cli.js';
import { config, manifestIn, project, sans, slab, textIn } from '../../test-support/project.js';

describe('a kit that is cut to its site', () => {
  const page = (body: string, lang = 'en') =>
    `<!doctype html><html lang=${lang}><meta charset=utf-8><style>
body { font-family: "Ferrywake Sans", Arial } h1 { font-family: "Lampbuoy Slab", serif; font-weight: 700 }
b { font-weight: 700 } .n { font-variant-numeric: tabular-nums } input { font: inherit }</style><body>${body}`;
  const cutConfig = { ...config, site: { root: 'site' } };

  const inSite = <Result>(
    pages: Record<string, string>,
    use: (folder: string) => Promise<Result>,
    more: object = {},
  ) =>
    project({ ...cutConfig, ...more }, async (folder) => {
      mkdirSync(join(folder, 'site'), { recursive: true });
      for (const [name, text] of Object.entries(pages)) writeFileSync(join(folder, 'site', name), text);
      return use(folder);
    });

  const facesIn = ({ families }: Manifest) =>
    families.flatMap(({ family, faces }) =>
      faces.map(({ weight, style, parts, demand }) => ({
        name: `${family} ${weight} ${style}`,
        parts: parts.map(({ slice, characters }) => `${slice} ${characters.slice(0, 40)}`),
        pages: demand?.pages,
      })),
    );

  test('what pages ask for and no face of the kit has is told with its rule; --strict ends with 1', () =>
    inSite(
      {
        'a.html': page('<h1>Pier</h1><p>Паром <b>six</b> 😀'),
        'b.html': page('<p>Boat'),
        // Another font that the page declares may have them.
        'c.html': page(
          '<style>@font-face { font-family: Signs; src: url(s.woff2) } p { font-family: "Ferrywake Sans", Signs }</style><p>Ж',
        ),
      },
      async (folder) => {
        const { code, out } = await cli(['build', '--json'], folder);
        expect(code).toBe(0);
        const { findings } = JSON.parse(out) as { findings: (Finding & { pages?: string[] })[] };
        expect(
          findings.map((one) => [one.code, one.message, one.place.file, one.place.line, one.pages]),
        ).toEqual([
          ['faked-bold', expect.stringMatching(/^Ferrywake Sans 700 is faked/), 'a.html', 3, ['a.html']],
          [
            'characters-lacking',
            expect.stringMatching(/^Ferrywake Sans 400 has no П а м о р; Arial /),
            'a.html',
            2,
            ['a.html'],
          ],
        ]);
        const shown = await cli(['build', '--strict'], folder);
        expect(shown.code).toBe(1);
        expect(shown.out).toMatch(/^warning +a\.html:3 +b\n +Ferrywake Sans 700 is faked/m);
      },
      { families: [{ ...sans, faces: [400] }, slab] },
    ));

  test('each face has what its pages draw, and the rest; what nobody draws is left out', () =>
    inSite({ 'a.html': page('<h1>Pier</h1><p>Boat <b>six</b>'), 'b.html': page('<p>No') }, async (folder) => {
      const { code, out, err } = await cli(['build'], folder);
      expect([code, err]).toEqual([0, '']);
      expect(out).toMatch(
        /left out, as no page draws it: Ferrywake Sans 400 italic \(would fetch \d\.\d kB\), Ferrywake Sans 700 italic/,
      );
      const manifest = manifestIn(folder);
      expect(facesIn(manifest).map(({ name, pages }) => [name, pages])).toEqual([
        ['Ferrywake Sans 400 normal', 2],
        ['Ferrywake Sans 700 normal', 1],
        ['Lampbuoy Slab 700 normal', 1],
      ]);
      const [regular] = facesIn(manifest);
      expect(regular.parts.map((part) => part.split(' ')[0])).toEqual(['drawn', 'rest']);
      expect(manifest.pages.map(({ page: name, files }) => [name, files.length])).toEqual([
        ['a.html', 3],
        ['b.html', 1],
      ]);
      expect(manifest.families[0].faces[0].demand?.rules[0]).toMatchObject({
        file: 'a.html',
        selector: 'body',
      });
      const css = textIn(folder, 'kit.css');
      expect(css.match(/@font-face[^}]*url\([^}]*unicode-range: /g)).toHaveLength(6);
    }));

  test('where visitors type, the language of the page comes in', () =>
    inSite({ 'a.html': page('<p>Βάρκα <input>', 'el') }, async (folder) => {
      await cli(['build', '--quiet'], folder);
      const { parts } = manifestIn(folder).families[0].faces[0];
      expect(parts[0].characters).toContain('U+3A3-3CE');
    }));

  test.each<[string, object, string[]]>([
    ['rest: drop', { rest: 'drop' }, ['drawn']],
    ['fromSite: false', { characters: { fromSite: false } }, ['whole']],
    ['old browsers, which get the whole', { reach: 'ie 11' }, ['drawn', 'rest', 'whole']],
  ])('%s', (_, more, expected) =>
    inSite(
      { 'a.html': page('<h1>Pier</h1><p>Boat') },
      async (folder) => {
        await cli(['build', '--quiet'], folder);
        const { parts } = manifestIn(folder).families[0].faces[0];
        expect(parts.map(({ slice }) => slice)).toEqual(expected);
      },
      more,
    ),
  );

  test('a second build takes over what is the same, and cuts anew what another page changes', () =>
    inSite({ 'a.html': page('<h1>Pier</h1><p>Boat') }, async (folder) => {
      await cli(['build', '--quiet'], folder);
      const files = () => Object.keys(manifestIn(folder).files);
      const first = files();
      expect((await cli(['build'], folder)).out).toContain('(unchanged)');
      writeFileSync(join(folder, 'site/a.html'), page('<h1>Pier</h1><p>Boats'));
      await cli(['build', '--quiet'], folder);
      const changed = files().filter((file) => !first.includes(file));
      expect(changed.every((file) => file.startsWith('faces/ferrywake-sans-400n-'))).toBe(true);
      expect(changed.length).toBeGreaterThan(0);
    }));

  test('over its budget it ends with 1 and says what weighs', () =>
    inSite(
      { 'a.html': page('<h1>Pier</h1><p>Boat') },
      async (folder) => {
        const { code, out } = await cli(['build'], folder);
        expect(code).toBe(1);
        expect(out).toMatch(
          /over {2}a\.html fetches .* over 1\.0 kB for a page; do without one of Ferrywake Sans 400/,
        );
      },
      { budget: { page: '1 kB' } },
    ));

  test('from fonts that are named, with roles from the site; the config that is printed gives the same', () =>
    inSite({ 'a.html': page('<h1>Pier</h1><p>Boat') }, async (folder) => {
      const fonts = ['fonts/FerrywakeSans-Regular.ttf', 'fonts/LampbuoySlab-Bold.otf'];
      const args = ['build', ...fonts, '--out', 'site/type', '--site', 'site', '--print-config'];
      const { code, out } = await cli(args, folder);
      expect(code).toBe(0);
      expect(out).toContain('Lampbuoy Slab: role heading, as headings ask for it');
      const made = textIn(folder, 'kit.css');
      const [, printed] = /# dense-glyph\.config\.yaml\n([^]*?)\n\n/.exec(out)!;
      writeFileSync(join(folder, 'printed.yaml'), printed);
      expect((await cli(['build', '--config', 'printed.yaml'], folder)).out).toContain('(unchanged)');
      expect(textIn(folder, 'kit.css')).toBe(made);
    }));

  test.each([
    [['build', 'fonts'], /--out is missing/],
    [['build', '--out', 'x'], /--out is for fonts that are named/],
    [['build', 'fonts', '--out', 'x', '--config', 'dense-glyph.config.json'], /both fonts and a config/],
  ])('%j is refused', (args, message) =>
    project(config, async (folder) => {
      const { code, err } = await cli(args, folder);
      expect([code, err]).toEqual([2, expect.stringMatching(message)]);
    }),
  );
});
