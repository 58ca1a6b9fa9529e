import { expect, test } from '@jest/globals';
import { spawn } from 'node:child_process';
import { cpSync, mkdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Manifest } from '#src/kit/index.js';
import { parseUnicodeRanges } from '#src/core/text/parse-ranges.js';
import { cli, inFolder, tree } from '../../test-support/cli.js';
import { root, sampleFonts } from '../../test-support/paths.js';
import { manifestIn, project, slab, textIn } from '../../test-support/project.js';

const page = (text: string) =>
  `<!doctype html><html lang=en><meta charset=utf-8><link rel=stylesheet href=site.css><h1>${text}</h1>`;

const watched = { site: { root: 'site' }, output: { folder: 'type' }, families: [slab] };
const styled = (text: string) =>
  `<!doctype html><html lang=en><meta charset=utf-8><style>h1 { font: 700 30px 'Lampbuoy Slab', serif }</style><h1>${text}</h1>`;

/** Of the part that pages draw. */
const lettersOf = (folder: string): string => {
  const { families } = JSON.parse(readFileSync(join(folder, '.dense-glyph/kit.json'), 'utf8')) as Manifest;
  const ranges = families[0].faces[0].parts.find(({ slice }) => slice === 'drawn')?.characters ?? '';
  return String.fromCodePoint(...parseUnicodeRanges(ranges).codePoints());
};

/** The lines that a call says, as it says them. */
function watching(folder: string): {
  next: (line: RegExp) => Promise<string>;
  end: () => Promise<number | null>;
} {
  const child = spawn(process.execPath, [join(root, 'dist/bin/dense-glyph.js'), 'build', '--watch'], {
    cwd: folder,
    env: { ...process.env, NO_COLOR: '1' },
  });
  let said = '';
  let wake = () => undefined as void;
  child.stdout.on('data', (chunk) => {
    said += String(chunk);
    wake();
  });
  return {
    next: async (line) => {
      for (;;) {
        const found = line.exec(said);
        if (found) {
          said = said.slice(found.index + found[0].length);
          return found[0];
        }
        await new Promise<void>((done) => (wake = done));
      }
    },
    end: () =>
      new Promise((done) => {
        child.once('exit', (_, signal) => done(signal === 'SIGINT' ? 0 : 1));
        child.kill('SIGINT');
      }),
  };
}

test('a kit follows its pages, stylesheets and config, and is in the end as if made at once', async () => {
  const config = { site: { root: 'site' }, output: { folder: 'site/type' }, families: [slab] };
  await project(config, async (folder) => {
    const put = (file: string, text: string) => writeFileSync(join(folder, file), text);
    mkdirSync(join(folder, 'site'));
    put('site/index.html', page('Boats'));
    put('site/site.css', `h1 { font: 700 30px 'Lampbuoy Slab', serif }`);
    /** Letters, beside what comes along with any text. */
    const drawn = () => {
      const { parts } = manifestIn(folder).families[0].faces[0];
      const ranges = parts.find(({ slice }) => slice === 'drawn')?.characters ?? '';
      return String.fromCodePoint(...parseUnicodeRanges(ranges).codePoints()).replace(/[^\p{L}Ä]/gu, '');
    };
    const { next, end } = watching(folder);
    await next(/Ctrl\+C ends it/);
    expect(drawn()).toBe('Baost');
    put('site/index.html', page('Quay'));
    await next(/site\/index\.html: site\/type {2}1 face, .*stand-ins follow.*\n/);
    expect(drawn()).toBe('Qauy');
    await next(/Kit {3}site\/type .*\n/);
    put('site/site.css', `h1 { font: 700 30px 'Lampbuoy Slab', serif; text-transform: uppercase }`);
    await next(/site\/site\.css: site\/type.*\n/);
    expect(drawn()).toBe('AQUY');
    const before = textIn(folder, 'kit.css');
    put('dense-glyph.config.json', '{ "families": ');
    expect(await next(/wait[^]*JSON.*\n/)).toContain('the kit stays as it was');
    expect(textIn(folder, 'kit.css')).toBe(before);
    put('dense-glyph.config.json', JSON.stringify({ ...config, characters: { also: 'Ä' } }));
    await next(/config\.json: site\/type.*\n/);
    expect(drawn()).toContain('Ä');
    await end();
    const kit = () => tree(join(folder, 'site/type')).map((file) => [file, textIn(folder, file)]);
    const watched = kit();
    rmSync(join(folder, 'site/type'), { recursive: true });
    expect(await cli(['build', '--quiet'], folder)).toMatchObject({ code: 0 });
    expect(kit()).toEqual(watched);
  });
});

test('what keeps the first kit from being made ends the call', async () => {
  await inFolder(async (folder) => {
    const { code, err } = await cli(['build', '--watch'], folder);
    expect(code).toBe(2);
    expect(err).toContain('no config');
  });
});

test.each<[string, (folder: string) => void, (folder: string) => void]>([
  [
    'its site is taken away and made anew',
    (folder) => rmSync(join(folder, 'site'), { recursive: true }),
    (folder) => {
      mkdirSync(join(folder, 'site'));
      writeFileSync(join(folder, 'site/index.html'), styled('Quay'));
    },
  ],
  [
    'its site is renamed, and another one comes in its place',
    (folder) => renameSync(join(folder, 'site'), join(folder, 'old')),
    (folder) => {
      cpSync(join(folder, 'old'), join(folder, 'site'), { recursive: true });
      writeFileSync(join(folder, 'site/index.html'), styled('Quay'));
    },
  ],
  [
    'a font and the config are deleted and come back',
    (folder) => {
      rmSync(join(folder, 'fonts/LampbuoySlab-Bold.otf'));
      rmSync(join(folder, 'dense-glyph.config.json'));
    },
    (folder) => {
      cpSync(join(sampleFonts, 'LampbuoySlab-Bold.otf'), join(folder, 'fonts/LampbuoySlab-Bold.otf'));
      writeFileSync(join(folder, 'site/index.html'), styled('Quay'));
      writeFileSync(join(folder, 'dense-glyph.config.json'), JSON.stringify(watched));
    },
  ],
])('a kit goes on being made when %s', async (_, takeAway, bringBack) => {
  await project(watched, async (folder) => {
    mkdirSync(join(folder, 'site'));
    writeFileSync(join(folder, 'site/index.html'), styled('Boats'));
    const { next, end } = watching(folder);
    await next(/Ctrl\+C ends it/);
    takeAway(folder);
    expect(await next(/wait[^]*?\n.*\n/)).toContain('the kit stays as it was');
    bringBack(folder);
    await next(/Kit {3}.*1 face/);
    while (!lettersOf(folder).includes('Q')) await next(/Kit {3}.*1 face/);
    writeFileSync(join(folder, 'site/index.html'), styled('Wharf'));
    while (!lettersOf(folder).includes('W')) await next(/Kit {3}.*1 face/);
    await end();
  });
});
