import { describe, expect, test } from '@jest/globals';
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { cli } from '../../test-support/cli.js';
import { project, sans, slab } from '../../test-support/project.js';

describe('a page that would be drawn worse', () => {
  const host = 'https://faces.example';
  const url = `${host}/a.css`;
  const ledger = JSON.stringify({
    ledgerVersion: 2,
    stylesheets: [{ url, families: ['Ferrywake Sans'], file: 'styles/a.css' }],
    adopted: [],
  });
  const files = ['worse.html', 'shared.css', 'good.html'];
  const page = (own: string) =>
    `<!doctype html><meta charset=utf-8><link rel=stylesheet href=shared.css>${own}`;
  /** Faces of a host that came home, whose files nobody can read. */
  const hosted = (faces: string) =>
    faces
      .split(';')
      .map(
        (face) =>
          `@font-face { font-family: Ferrywake Sans; ${face.replaceAll(',', ';')}; src: url(${host}/b.woff2) }`,
      )
      .join('\n');
  const basic = { characters: { fromSite: true, ranges: 'U+20-7E' } };
  const regular = [{ ...sans, files: 'fonts/FerrywakeSans-Regular.ttf', ...basic }, slab];
  const plain = 'font-weight: 400';

  test.each<[reason: string, faces: string, families: object[], style: string, text: string, said: RegExp]>([
    [
      'by a local font',
      plain,
      [{ ...sans, characters: { fromSite: true } }, slab],
      'font-family: Ferrywake Sans',
      'Пристань',
      /Ferrywake Sans 400 would be drawn by a local font, not Ferrywake Sans 400 \(Паинрсть\): the kit has Ferrywake Sans at 400.*, without these characters/,
    ],
    [
      'by another family',
      plain,
      [
        { ...sans, characters: { fromSite: true, ranges: 'U+61-7A' } },
        { ...slab, characters: { fromSite: true, ranges: 'U+41-5A' } },
      ],
      'font-family: Ferrywake Sans, Lampbuoy Slab',
      'PIER',
      /would be drawn by Lampbuoy Slab 700, not Ferrywake Sans 400 \(EIPR\): .* without these characters/,
    ],
    [
      'by a bold that browsers make up',
      `${plain};font-weight: 700`,
      regular,
      'font: bold 1em Ferrywake Sans',
      'Pier',
      /700 would be drawn by Ferrywake Sans 400, bold faked, not Ferrywake Sans 700 \(Peir\): the kit has Ferrywake Sans at 400 alone/,
    ],
    [
      'in another weight',
      `${plain};font-weight: 300`,
      regular,
      'font: 300 1em Ferrywake Sans',
      'Pier',
      /300 would be drawn by Ferrywake Sans 400, not Ferrywake Sans 300 .* at 400 alone/,
    ],
    [
      'in another style',
      `${plain};font-style: italic, font-weight: 400`,
      regular,
      'font: italic 1em Ferrywake Sans; font-synthesis: none',
      'Pier',
      /400 italic would be drawn by Ferrywake Sans 400, not Ferrywake Sans 400 italic/,
    ],
  ])(
    '%s stays as it was, and so does the stylesheet it needs; others are wired',
    (_, faces, families, style, text, said) =>
      project(
        { output: { folder: 'site/type' }, site: { root: 'site' }, families, rest: 'drop' },
        async (folder) => {
          const dense = (...args: string[]) => cli(args, folder);
          const put = (name: string, content: string) => {
            mkdirSync(dirname(join(folder, name)), { recursive: true });
            writeFileSync(join(folder, name), content);
          };
          const texts = () => files.map((name) => readFileSync(join(folder, 'site', name), 'utf8'));
          put('fonts/ledger.json', ledger);
          put('fonts/styles/a.css', hosted(faces));
          put('site/shared.css', `@import url(${url});`);
          put('site/good.html', page('<p style="font-family: Ferrywake Sans">abc'));
          await dense('build', '--quiet');
          // As somebody writes it after the build.
          put('site/worse.html', page(`<link rel=preconnect href=${host}><p style="${style}">${text}`));
          const before = texts();

          const strict = await dense('wire', '--strict');
          expect([strict.code, strict.out]).toEqual([1, expect.stringContaining('Nothing was written')]);
          const dry = await dense('wire', '--dry-run');
          expect([dry.code, dry.out]).toEqual([1, expect.stringMatching(said)]);
          expect(texts()).toEqual(before);

          const { code, out } = await dense('wire');
          expect([code, out]).toEqual([1, expect.stringMatching(/left as it was {2}worse.html: /)]);
          expect(out).toMatch(said);
          expect(out).toMatch(/build again, or write it all the same with wire --force/);
          expect(texts()).toEqual([before[0], before[1], expect.stringContaining('type/kit.css')]);

          const forced = await dense('wire', '--force');
          expect([forced.code, forced.out]).toEqual([0, expect.stringMatching(/otherwise {2}worse.html: /)]);
          const [worse, shared] = texts();
          expect([worse, shared]).toEqual([expect.stringContaining('type/kit.css'), '']);
          await dense('wire', '--undo');
          expect(texts()).toEqual(before);
        },
      ),
  );
});
