import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { spawn } from 'node:child_process';
import { cpSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { load } from 'js-yaml';
import { startFontHost, type FontHost } from '#src/rehearsal/font-host.js';
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
});
