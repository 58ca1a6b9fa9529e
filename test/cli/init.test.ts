import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { spawn, spawnSync } from 'node:child_process';
import { cpSync, mkdirSync, readdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { load } from 'js-yaml';
import type { BuildResult, WireResult } from '#src/index.js';
import { openFont } from '#src/core/containers/index.js';
import { writeSfnt } from '#src/core/sfnt/write.js';
import { fontOf } from '#src/core/sfnt/font.js';
import { cmap } from '#src/core/tables/index.js';
import { startFontHost, type FontHost } from '#src/rehearsal/font-host.js';
import { zipOf } from '../../test-support/archives.js';
import { cli, inFolder } from '../../test-support/cli.js';
import { readSample, root, sampleFonts } from '../../test-support/paths.js';

let host: FontHost;
beforeAll(async () => {
  const names = ['FerrywakeSans-Regular.ttf', 'FerrywakeSans-Bold.ttf', 'LampbuoySlab-Bold.otf'];
  host = await startFontHost(names.map((path) => ({ path, bytes: readSample(path) })));
});
afterAll(() => host.close());

const page = (css: string, body: string, lang = 'en') =>
  `<!doctype html><html lang=${lang}><meta charset=utf-8><style>${css}</style>${body}`;

/** A project with pages, where each command says what it gave. */
const inProject = (
  pages: Record<string, string>,
  use: (run: (...args: string[]) => ReturnType<typeof cli>, folder: string) => Promise<void>,
) =>
  inFolder(async (folder) => {
    mkdirSync(join(folder, 'public'));
    for (const [name, text] of Object.entries(pages)) writeFileSync(join(folder, 'public', name), text);
    await use((...args) => cli(args, folder), folder);
  });

const configIn = (folder: string) => {
  const text = readFileSync(join(folder, 'dense-glyph.config.yaml'), 'utf8');
  return { text, config: load(text) as { families: { family: string; files: unknown[]; role: string }[] } };
};

describe('init', () => {
  test('finds fonts and site, names families as stylesheets do, and leaves out what nobody draws', () =>
    inProject(
      {
        'index.html': page(
          '@font-face { font-family: Quay; src: url(q.ttf) } p { font: 400 16px Quay, Verdana } h1 { font-family: "Lampbuoy Slab", Georgia }',
          '<h1>Pier</h1><p>Boat',
        ),
        'el.html': page('p { font-family: Quay }', '<p>Boat', 'el'),
      },
      async (run, folder) => {
        cpSync(sampleFonts, join(folder, 'typefaces'), { recursive: true });
        cpSync(join(sampleFonts, 'FerrywakeSans-Italic.ttf'), join(folder, 'public/q.ttf'));
        const { code, out } = await run('init');
        const { text, config } = configIn(folder);
        expect([code, out.includes(text.trimEnd())]).toEqual([0, true]);
        expect(config).toEqual({
          site: { root: 'public' },
          output: { folder: 'public/type' },
          families: [
            {
              family: 'Quay',
              files: [{ file: 'public/q.ttf', face: '400' }],
              role: 'body',
              stack: ['Verdana'],
            },
            {
              family: 'Lampbuoy Slab',
              files: ['typefaces/LampbuoySlab-Bold.otf'],
              role: 'heading',
              stack: ['Georgia'],
            },
          ],
        });
        expect(text).toMatch(/Quay +# drawn: 400 on 2 pages/);
        expect(text).toMatch(/# characters: \{ languages: \[el, en\] \}/);
        expect(text).toMatch(/# Ferrywake Sans is left out: no page draws it/);
        const again = await run('init');
        expect([again.code, again.err]).toEqual([2, expect.stringContaining('there is a config already')]);
        expect(configIn(folder).text).toBe(text);
        expect((await run('build', '--quiet')).code).toBe(0);
      },
    ));

  // Other systems' script has other arguments.
  (process.platform === 'linux' ? test : test.skip)(
    'what is asked is what is written: families, roles, the URL',
    () =>
      inProject(
        { 'index.html': page('p { font-family: "Ferrywake Sans" }', '<p>Pier') },
        async (run, folder) => {
          cpSync(join(sampleFonts, 'FerrywakeSans-Regular.ttf'), join(folder, 'a.ttf'));
          cpSync(join(sampleFonts, 'TidelogMono-Regular.ttf'), join(folder, 'b.ttf'));
          const refused = await run('init', '--ask');
          expect([refused.code, refused.err]).toEqual([2, expect.stringContaining('--ask needs a terminal')]);
          const program = join(root, 'dist/bin/dense-glyph.js');
          // Down and space for the second family, which no page draws; the second role by its letters.
          const keys = ['\x1b[B', ' ', '\r', '\r', '\x7f\x7f\x7f\x7fnotes\r', '/type/\r'];
          const asked = spawn(
            'script',
            ['-qec', `stty cols 120 rows 40; ${process.execPath} ${program} init --ask`, '/dev/null'],
            {
              cwd: folder,
              env: { ...process.env, TERM: 'xterm' },
            },
          );
          const closed = new Promise((done) => asked.on('close', done));
          let seen = '';
          asked.stdout.on('data', (bytes: Buffer) => {
            seen += bytes.toString();
          });
          const questions = [
            /Which families/,
            /./,
            /./,
            /What is Ferrywake/,
            /What is Tidelog/,
            /By which URL/,
          ];
          for (const [i, key] of keys.entries()) {
            while (!questions[i].test(seen)) await new Promise((done) => setTimeout(done, 50));
            asked.stdin.write(key);
            await new Promise((done) => setTimeout(done, 300));
          }
          asked.stdin.end();
          await closed;
          const { config, text } = configIn(folder);
          expect(config).toMatchObject({
            output: { url: '/type/' },
            families: [
              { family: 'Ferrywake Sans', role: 'body' },
              { family: 'Tidelog Mono', role: 'notes' },
            ],
          });
          expect(text).not.toContain('is left out');
        },
      ),
    30_000,
  );

  test('a folder without fonts is told', () =>
    inProject({ 'index.html': '<p>Pier' }, async (run) => {
      const { code, err } = await run('init');
      expect([code, err]).toEqual([
        2,
        'there is no font file here; name the fonts: dense-glyph init <fonts…>\n',
      ]);
    }));

  test.each([
    ['today, from partial files that are joined', '["defaults"]', 'Ferrywake Sans', 1],
    ['today, from partial files that stay so', '["defaults"]', 'Lampbuoy Slab', 3],
    ['of old too, from whole files', '["defaults", "ie 11", "android 4.4"]', 'Lampbuoy Slab', 1],
  ])('a kit for browsers %s', (_, browserslist, family, files) =>
    inProject(
      {
        'index.html': page(
          `@import url("${host.styles}/css/${family.toLowerCase().replace(' ', '-')}.css?cut"); p { font: bold 1em "${family}", Arial }`,
          '<p>Boat źle Μώλος',
        ),
      },
      async (run, folder) => {
        writeFileSync(join(folder, 'package.json'), `{ "browserslist": ${browserslist} }`);
        const hosts = [host.styles, host.files].map((origin) => new URL(origin).host);
        const adopted = await run('adopt', 'public', '--out', 'fonts', '--allow-host', ...hosts);
        expect(adopted.code).toBe(0);
        // As where files can't be joined.
        if (files > 1) {
          for (const name of readdirSync(join(folder, 'fonts')))
            if (/^lampbuoy-slab-700n-\w{8}\./.test(name)) rmSync(join(folder, 'fonts', name));
        }
        await run('init');
        const { code, out, err } = await run('build', '--json');
        expect([code, err]).toEqual([0, '']);
        const { manifest } = JSON.parse(out) as { manifest: { families: { faces: object[] }[] } };
        const drawn = manifest.families[0].faces.filter((face) => 'demand' in face);
        expect(drawn).toHaveLength(files);
      },
    ),
  );

  test('rules of the site are the truth about a face, one for each that they declare', () =>
    inProject(
      {
        'index.html': page(
          `@font-face { font-family: quay; font-weight: 700; src: url(a.eot); src: url(a.eot?#x) format("embedded-opentype"), url(a.woff2) format("woff2") }
           @font-face { font-family: Quay; font-style: italic; size-adjust: 90%; src: url(a.woff2) }
           @font-face { font-family: Quay; src: url(a.woff2) }
           p { font: 1em Quay, Verdana }`,
          '<p>Boat <b>six</b> <i>to nine</i>',
        ),
      },
      async (run, folder) => {
        await run(
          'convert',
          join(sampleFonts, 'FerrywakeSans-Regular.ttf'),
          '--to',
          'woff2,eot',
          '--out',
          'public',
        );
        renameSync(join(folder, 'public/FerrywakeSans-Regular.woff2'), join(folder, 'public/a.woff2'));
        renameSync(join(folder, 'public/FerrywakeSans-Regular.eot'), join(folder, 'public/a.eot'));
        cpSync(join(sampleFonts, 'FerrywakeSans-Bold.ttf'), join(folder, 'public/Quay-Bold.ttf'));
        expect((await run('init')).code).toBe(0);
        const { text, config } = configIn(folder);
        expect(config.families).toMatchObject([
          {
            family: 'Quay',
            files: [
              { file: 'public/a.woff2', face: '700' },
              { file: 'public/a.woff2', face: '400 italic', 'size-adjust': '90%' },
              { file: 'public/a.woff2', face: '400' },
            ],
          },
        ]);
        expect(text).toContain('# public/a.eot is not used: browsers take a.woff2 from the same rule.');
        const { out } = await run('build', '--json');
        const { manifest } = JSON.parse(out) as BuildResult;
        const [{ faces }] = manifest.families;
        expect(faces.map(({ weight, style, descriptors }) => [weight, style, descriptors])).toEqual([
          ['400', 'normal', undefined],
          ['700', 'normal', undefined],
          ['400', 'italic', { 'size-adjust': '90%' }],
        ]);
        // One file to fetch, whatever rules declare of it.
        expect(new Set(faces.map(({ parts }) => parts[0].file)).size).toBe(1);
        expect(faces[1].findings.map(({ code }) => code)).toContain('rule-disagrees');
        const { out: wired } = await run('wire', '--json');
        expect((JSON.parse(wired) as WireResult).findings).toEqual([]);
      },
    ));

  test('fonts in an archive are built from; what cannot be read is told and passed over', () =>
    inProject({ 'index.html': page('p { font: 1em "Ferrywake Sans" }', '<p>Boat') }, async (run, folder) => {
      const put = (name: string, bytes: Uint8Array | string) => writeFileSync(join(folder, name), bytes);
      put('fonts.zip', await zipOf({ 'kit/Regular.ttf': readSample('FerrywakeSans-Regular.ttf') }));
      put('empty.zip', await zipOf({ 'a.txt': Buffer.from('x') }));
      put('broken.woff2', 'wOF2 and nothing else');
      put('ledger.json', '{"entries": 1}');
      mkdirSync(join(folder, 'pipes'));
      spawnSync('mkfifo', [join(folder, 'pipes/x.ttf')]);
      const { code } = await run('init');
      const { text, config } = configIn(folder);
      expect([code, config.families]).toMatchObject([0, [{ files: ['fonts.zip/kit/Regular.ttf'] }]]);
      expect(text.match(/^# .* is passed over/gm)?.sort()).toEqual([
        '# broken.woff2 is passed over',
        '# empty.zip is passed over',
      ]);
      expect((await run('build', '--quiet')).code).toBe(0);
      expect(
        (await run('build', 'fonts.zip', '--out', 'public/other', '--site', 'public', '--quiet')).code,
      ).toBe(0);
    }));

  test('icons have a role of their own; where no page draws any font, they are comments', () =>
    inProject(
      {
        'index.html': page(
          '.a::before { content: "\\e001"; font-family: Signs } p { font: 1em "Ferrywake Sans" }',
          '<p><i class=a></i>Boat',
        ),
      },
      async (run, folder) => {
        const { font } = openFont(readSample('FerrywakeSans-Bold.ttf'));
        const subtable = { format: 12, language: 0, groups: Uint32Array.of(0xe000, 0xe019, 40) } as const;
        const signs = { version: 0, encodingRecords: [{ platformID: 3, encodingID: 10, subtable }] };
        writeFileSync(
          join(folder, 'signs.ttf'),
          writeSfnt(fontOf(font.flavour, font.tables().set('cmap', cmap.serialise(signs)))),
        );
        cpSync(join(sampleFonts, 'FerrywakeSans-Regular.ttf'), join(folder, 'a.ttf'));
        const css = readFileSync(join(folder, 'public/index.html'), 'utf8');
        writeFileSync(
          join(folder, 'public/index.html'),
          css.replace('<style>', '<style>@font-face { font-family: Signs; src: url(../signs.ttf) }'),
        );
        cpSync(join(folder, 'signs.ttf'), join(folder, 'public/signs.ttf'));
        writeFileSync(
          join(folder, 'public/index.html'),
          css.replace(
            '<style>',
            '<style>@font-face { font-family: Signs; font-weight: 700; src: url(signs.ttf) }',
          ),
        );
        await run('init');
        expect(configIn(folder).config.families.map(({ family, role }) => [family, role])).toEqual([
          ['Signs', 'icons'],
          ['Ferrywake Sans', 'body'],
        ]);
        const { out } = await run('build', '--json');
        const { manifest } = JSON.parse(out) as BuildResult;
        expect(manifest.preloads).toEqual([expect.stringContaining('ferrywake-sans')]);
        expect(manifest.families[0].faces[0].display).toBe('block');

        rmSync(join(folder, 'dense-glyph.config.yaml'));
        writeFileSync(join(folder, 'public/index.html'), '<!doctype html><p>Boat');
        await run('init', 'a.ttf', '--site', 'public');
        expect(configIn(folder).text).toMatch(
          /^families: \[\] {3}# no page draws any of the fonts at hand\n# Ferrywake Sans is left out/m,
        );
        expect((await run('build', '--quiet')).code).toBe(0);
        expect((await run('wire')).out).toContain('0 files changed');
      },
    ));
});
