import { describe, expect, test } from '@jest/globals';
import { cpSync, mkdirSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { manifestVersion } from '#src/kit/files/manifest.js';
import { cli } from '../../test-support/cli.js';
import { stateIn } from '../../test-support/whole-kit.js';
import { config, project } from '../../test-support/project.js';

const pages: Record<string, string> = {
  'index.html':
    '\ufeff<!doctype html>\r\n<meta charset=utf-8>\r\n<link rel=stylesheet href=a.css>\r\n<h1 style="font-family: Lampbuoy Slab">Pier</h1>\r\n',
  'el/index.html':
    '<!doctype html><meta charset=utf-8><link rel=preload as=font href=../old.woff2 crossorigin><style>@font-face { font-family: "Ferrywake Sans"; src: url(../old.woff2) } p { font-family: Ferrywake Sans }</style><p>Μώλος',
  'a.css':
    '\ufeff@font-face { font-family: "Lampbuoy Slab"; font-weight: 700; src: url(old.woff2) }\np { color: red }\n',
  'old.woff2': '',
};

const inSite = (
  use: (folder: string, dense: (...args: string[]) => ReturnType<typeof cli>) => Promise<void>,
  more: object = {},
) =>
  project({ ...config, site: { root: 'site' }, ...more }, async (folder) => {
    for (const [name, text] of Object.entries(pages)) {
      mkdirSync(dirname(join(folder, 'site', name)), { recursive: true });
      writeFileSync(join(folder, 'site', name), text);
    }
    await use(folder, (...args) => cli(args, folder));
  });

const textsIn = (folder: string) =>
  Object.fromEntries(
    Object.keys(pages).map((name) => [name, readFileSync(join(folder, 'site', name), 'latin1')]),
  );

describe('wire', () => {
  test('changes what it shows, once, and takes it back to the last byte', () =>
    inSite(async (folder, dense) => {
      await dense('build', '--quiet');
      const before = textsIn(folder);
      const dry = await dense('wire', '--dry-run');
      expect(dry.out).toContain('+++ site/el/index.html');
      expect(dry.out).toMatch(/-@font-face \{ font-family: "Lampbuoy Slab"/);
      expect(textsIn(folder)).toEqual(before);

      expect((await dense('wire')).out).toContain('3 files changed');
      const after = textsIn(folder);
      expect(after['index.html']).toMatch(
        /^\u00ef\u00bb\u00bf<!doctype html>\r\n<meta charset=utf-8>\r\n<!-- dense-glyph/,
      );
      expect(after['index.html']).not.toMatch(/[^\r]\n/);
      expect(after['el/index.html']).toContain('href="../type/kit.css"');
      expect(after['el/index.html']).toContain(
        '<style> p { font-family: Ferrywake Sans, "Ferrywake Sans stand-in" }</style>',
      );
      expect(after['el/index.html']).not.toContain('old.woff2');
      expect(after['a.css']).toBe('\u00ef\u00bb\u00bfp { color: red }\n');

      expect((await dense('wire')).out).toContain('0 files changed');
      expect(textsIn(folder)).toEqual(after);
      expect((await dense('wire', '--undo')).out.match(/brought back/g)).toHaveLength(3);
      expect(textsIn(folder)).toEqual(before);
      expect((await dense('wire', '--undo')).out).toContain('There is nothing to undo.');
      expect(stateIn(join(folder, '.dense-glyph'))).toEqual([]);
    }));

  test('of a page that somebody changed since just what was put in goes; lines that both changed are told', () =>
    inSite(async (folder, dense) => {
      await dense('build', '--quiet');
      const before = textsIn(folder);
      await dense('wire');
      const path = join(folder, 'site/index.html');
      const wired = readFileSync(path, 'utf8');
      writeFileSync(path, wired.replace('Pier', 'Quay'));
      const dry = await dense('wire', '--undo', '--dry-run');
      expect([dry.code, dry.out]).toEqual([
        0,
        expect.stringMatching(
          /-<link rel="stylesheet" href="type\/kit.css">[^]*Next {2}dense-glyph wire --undo/,
        ),
      ]);
      expect(readFileSync(path, 'utf8')).toContain('kit.css');
      expect((await dense('wire', '--undo')).out).toContain(
        'brought back, but for what somebody changed since',
      );
      expect(textsIn(folder)).toEqual({
        ...before,
        'index.html': before['index.html'].replace('Pier', 'Quay'),
      });

      await dense('wire');
      writeFileSync(
        path,
        readFileSync(path, 'utf8').replace(/<link rel="stylesheet" href="type.*>/, '<mine>'),
      );
      const { code, out } = await dense('wire', '--undo');
      expect([code, out]).toEqual([
        1,
        expect.stringMatching(/site\/index.html:\d+ {2}left alone, as somebody changed the same lines/),
      ]);
      expect(readFileSync(path, 'utf8')).toContain('<mine>');
    }));

  test('a kit is never edited, wherever a copy of it lies, nor a bundle that imported it', () =>
    inSite(async (folder, dense) => {
      await dense('build', '--quiet');
      const site = join(folder, 'site');
      const kit = readFileSync(join(site, 'type/kit.css'), 'utf8');
      cpSync(join(site, 'type'), join(site, 'copy/assets'), { recursive: true });
      // As a bundler does: comments go, files get other names.
      const faces = [...kit.matchAll(/url\("(faces\/[^"]+)"\)/g)].map(([, file]) => file);
      let bundle = kit.replace(/\/\*[^]*?\*\//g, '');
      for (const [i, file] of faces.entries()) {
        cpSync(join(site, 'type', file), join(site, `b${i}.woff2`));
        bundle = bundle.replace(file, `b${i}.woff2`);
      }
      writeFileSync(join(site, 'bundle.css'), `${bundle}\np { color: red }`);
      const texts = { 'copy.html': 'copy/assets/kit.css', 'bundled.html': 'bundle.css' };
      for (const [name, href] of Object.entries(texts))
        writeFileSync(
          join(site, name),
          `<!doctype html><link rel=stylesheet href=${href}><h1 style="font-family: Lampbuoy Slab">Pier</h1>`,
        );
      const kept = () =>
        ['type/kit.css', 'copy/assets/kit.css', 'bundle.css', 'bundled.html'].map((name) =>
          readFileSync(join(site, name), 'utf8'),
        );
      const before = kept();
      await dense('wire');
      // What stands in for it is for the page to ask for.
      const standIn = ", 'Lampbuoy Slab stand-in'";
      expect(kept().map((text) => text.replace(standIn, ''))).toEqual(before);
    }));

  test('a page that draws nothing of the kit is left without it; one that cannot be read is told', () =>
    inSite(async (folder, dense) => {
      const plain = '<!doctype html><title>a</title><p>Nobody’s face';
      writeFileSync(join(folder, 'site/plain.html'), plain);
      symlinkSync('nowhere', join(folder, 'site/gone.html'));
      mkdirSync(join(folder, 'elsewhere'));
      writeFileSync(join(folder, 'elsewhere/x.html'), pages['index.html']);
      symlinkSync('../elsewhere/x.html', join(folder, 'site/linked.html'));
      await dense('build', '--quiet');
      const { code, out } = await dense('wire');
      expect([code, out]).toEqual([
        1,
        expect.stringMatching(
          /left as it was {2}linked.html: .*: it is a link to a place outside of the site, so the kit cannot be put in/,
        ),
      ]);
      expect(out).toMatch(/gone.html: there is no such file/);
      expect(readFileSync(join(folder, 'site/plain.html'), 'utf8')).toBe(plain);
      expect(readFileSync(join(folder, 'elsewhere/x.html'), 'utf8')).toBe(pages['index.html']);
    }));

  test.each<[string, (kit: string, facts: string) => void, RegExp]>([
    [
      'a face that is gone',
      (kit) => rmSync(join(kit, 'faces'), { recursive: true }),
      /faces\/\S+ of the kit is not there; call dense-glyph build/,
    ],
    [
      'a damaged kit.json',
      (_, facts) => writeFileSync(join(facts, 'kit.json'), '{'),
      /its kit.json is damaged, or no kit’s/,
    ],
    ['another program’s kit.json', (_, facts) => writeFileSync(join(facts, 'kit.json'), '[1]'), /no kit’s/],
    [
      'an earlier kit.json',
      (_, facts) => writeFileSync(join(facts, 'kit.json'), '{"manifestVersion": 2}'),
      new RegExp(`of version 2, and this program reads version ${manifestVersion}; call dense-glyph build`),
    ],
  ])('%s is told', (_, spoil, said) =>
    inSite(async (folder, dense) => {
      await dense('build', '--quiet');
      spoil(join(folder, 'site/type'), join(folder, '.dense-glyph'));
      const before = textsIn(folder);
      const { code, err } = await dense('wire');
      expect([code, err]).toEqual([2, expect.stringMatching(said)]);
      expect(textsIn(folder)).toEqual(before);
    }),
  );

  test('where no page can reach the kit, or its URL leads elsewhere, it is told', async () => {
    await inSite(
      async (_, dense) => {
        await dense('build', '--quiet');
        const { code, err } = await dense('wire');
        expect([code, err]).toEqual([
          2,
          expect.stringMatching(/output.folder \(type\) lies outside of site.root/),
        ]);
      },
      { output: { folder: 'type' } },
    );
    await inSite(
      async (_, dense) => {
        await dense('build', '--quiet');
        expect((await dense('wire')).out).toMatch(
          /pages ask \/t\/, and below site.root the kit lies at \/type\//,
        );
      },
      { output: { folder: 'site/type', url: '/t/' } },
    );
  });

  test.each<[string, object, string | Uint8Array, RegExp]>([
    [
      'a base element',
      {},
      '<base href="/x/"><p style="font-family: Lampbuoy Slab">a',
      /base element, which relative URLs start from; set output.url/,
    ],
    ['UTF-16', {}, new Uint8Array(Buffer.from('\ufeff<p>a', 'utf16le')), /it is UTF-16LE; save it as UTF-8/],
    [
      'ISO-2022-JP',
      {},
      new Uint8Array([...Buffer.from('<meta charset=iso-2022-jp><p>'), 0x1b, 0x24, 0x42, 0x46, 0x7c]),
      /it is ISO-2022-JP; save it as UTF-8/,
    ],
    [
      'a hosted stylesheet that nobody brought home',
      {},
      '<link rel=stylesheet href=https://faces.example/a.css><p>a',
      /stays {2}odd.html:1: https:\/\/faces.example\/a.css stays: it was not brought home; call dense-glyph adopt/,
    ],
    [
      'a script that brings faces',
      {},
      '<script>new FontFace("A", "url(https://faces.example/a.woff2)")</script><p>a',
      /a script asks https:\/\/faces.example/,
    ],
  ])('%s is for a person', (_, more, page, said) =>
    inSite(async (folder, dense) => {
      writeFileSync(join(folder, 'site/odd.html'), page);
      await dense('build', '--quiet');
      expect((await dense('wire')).out).toMatch(said);
    }, more),
  );

  test('templates whose heads are HTML get the kit too, once, and back; the others are listed', () =>
    inSite(
      async (folder, dense) => {
        writeFileSync(
          join(folder, 'fonts/ledger.json'),
          '{ "ledgerVersion": 2, "stylesheets": [{ "url": "https://faces.example/a.css", "families": ["Ferrywake Sans"], "file": "a.css" }], "adopted": [] }',
        );
        writeFileSync(
          join(folder, 'fonts/a.css'),
          '@font-face { font-family: "Ferrywake Sans"; src: url(b) }',
        );
        mkdirSync(join(folder, 'views'));
        const link = '<link rel="stylesheet" href="https://faces.example/a.css">';
        const base = `{% extends "x" %}<html><head><title>{{ title }}</title>\n${link}\n{% block more %}{% endblock %}</head>`;
        writeFileSync(join(folder, 'views/base.njk'), base);
        writeFileSync(join(folder, 'views/head.njk'), `<title>{{ title }}</title>\n${link}\n`);
        await dense('build', '--quiet');
        const { out } = await dense('wire');
        expect(out.match(/by hand.*/g)).toEqual([
          expect.stringMatching(
            /views\/head.njk:2: a template asks https:\/\/faces.example\/a.css, and it has no whole head of its own; put in its place/,
          ),
        ]);
        expect(out).toContain('views/base.njk');
        const wired = readFileSync(join(folder, 'views/base.njk'), 'utf8');
        expect(wired).toMatch(
          /<\/title>\n<!-- dense-glyph[^]*href="\/type\/kit.css">\n<!-- dense-glyph: end -->\n\{% block/,
        );
        expect((await dense('wire')).out).not.toContain('views/base.njk');
        await dense('wire', '--undo');
        expect(readFileSync(join(folder, 'views/base.njk'), 'utf8')).toBe(base);
      },
      { output: { folder: 'site/type', url: '/type/' } },
    ));

  test('a stylesheet whose digest a page states stays as it is', () =>
    inSite(async (folder, dense) => {
      const site = join(folder, 'site');
      const css = 'p { font-family: Ferrywake Sans, serif }';
      writeFileSync(join(site, 'sealed.css'), css);
      const link = '<link rel=stylesheet href=sealed.css integrity=sha384-AAAA>';
      writeFileSync(join(site, 'sealed.html'), `<!doctype html><title>Pier</title>${link}<p>Pier`);
      await dense('build', '--quiet');
      expect((await dense('wire')).out).toMatch(/sealed\.css: pages link it with an integrity/);
      expect(readFileSync(join(site, 'sealed.css'), 'utf8')).toBe(css);
      expect(readFileSync(join(site, 'sealed.html'), 'utf8')).toContain('type/kit.css');
    }));

  test('with --stacks, other names for a family, and stacks with nothing behind it', () =>
    inSite(async (folder, dense) => {
      const path = join(folder, 'site/b.css');
      const css =
        'b { font: bold 1em/2 FerrywakeSans } i { font-family: Ferrywake Sans, Georgia } u { font-family: Other }';
      writeFileSync(path, css);
      await dense('build', '--quiet');
      await dense('wire');
      expect(readFileSync(path, 'utf8')).toBe(
        css.replace('Ferrywake Sans,', 'Ferrywake Sans, "Ferrywake Sans stand-in",'),
      );
      expect((await dense('wire', '--stacks', '--dry-run')).out).toContain('+++ site/b.css');
      await dense('wire', '--stacks');
      expect(readFileSync(path, 'utf8')).toMatch(
        /^b \{ font: bold 1em\/2 "Ferrywake Sans", "Ferrywake Sans stand-in", .+ \} i \{ font-family: Ferrywake Sans, "Ferrywake Sans stand-in", Georgia \} u \{ font-family: Other \}$/,
      );
      expect(readFileSync(join(folder, 'site/index.html'), 'utf8')).toMatch(
        /style="font-family: Lampbuoy Slab, 'Lampbuoy Slab stand-in', Georgia, serif"/,
      );
      expect((await dense('wire', '--stacks')).out).toContain('0 files changed');
      await dense('wire', '--undo');
      expect(readFileSync(path, 'utf8')).toBe(css);
    }));

  test.each<[string, RegExp, RegExp]>([
    [
      'html',
      /^(<link rel="preload" href="\/type\/faces\/.*\n)+<link rel="stylesheet" href="\/type\/kit.css">/,
      /the root layout/,
    ],
    ['css', /src: url\("\/type\/faces\//, /before other rules/],
    [
      'link-header',
      /^Link: <\/type\/faces\/\S+>; rel=preload; as=font; type="font\/woff2"; crossorigin/,
      /response headers/,
    ],
    ['early-hints', /^HTTP\/1.1 103 Early Hints\nLink: <\//, /8297/],
    ['header-file', /^\/el\/\n {2}Link: <\/type\/faces\/\S+>; rel=preload; as=font/m, /static host/],
    ['module', /head\("\/type\/"\)/, /renders pages/],
  ])('--print %s says what to paste, and where', (form, text, where) =>
    inSite(async (folder, dense) => {
      writeFileSync(join(folder, 'package.json'), '{"dependencies": {"next": "1"}}');
      await dense('build', '--quiet');
      const { out } = await dense('wire', '--print', form);
      const [printed, next] = out.split('\nNext  ');
      expect([printed, next]).toEqual([expect.stringMatching(text), expect.stringMatching(where)]);
      expect(textsIn(folder)['index.html']).not.toContain('kit.css');
    }),
  );

  test('addresses below the kit’s that lead nowhere, or out of it, stop nothing', () =>
    inSite(
      async (folder, dense) => {
        await dense('build', '--quiet');
        const path = join(folder, 'site/index.html');
        const rules = ['%zz.woff2', '../../package.json', 'faces-of-others/x.woff2'].map(
          (url) => `@font-face { font-family: Quay; src: url(/type/${url}) }`,
        );
        const own = '<link rel=preload as=font crossorigin href=/type/faces-of-others/x.woff2>';
        const page = `${readFileSync(path, 'utf8')}${own}<link rel=stylesheet href=/type/%zz.css><style>${rules.join(' ')}</style><p style="font-family: Quay">Q`;
        writeFileSync(path, page);
        const { code, err } = await dense('wire');
        expect([code, err]).toEqual([0, '']);
        expect(readFileSync(path, 'utf8')).toContain(own);
      },
      { output: { folder: 'site/type', url: '/type/' } },
    ));

  test('a kit that is not there is told; with output.url every page has the same address', () =>
    inSite(
      async (folder, dense) => {
        expect((await dense('wire')).err).toBe('site/type: there is no kit in it; call dense-glyph build\n');
        await dense('build', '--quiet');
        await dense('wire');
        for (const page of ['index.html', 'el/index.html'])
          expect(textsIn(folder)[page]).toContain('href="/type/kit.css"');
      },
      { output: { folder: 'site/type', url: '/type' } },
    ));
});
