import { describe, expect, test } from '@jest/globals';
import { execFile } from 'node:child_process';
import { chmodSync, chownSync, cpSync, mkdirSync, readdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { inFolder } from '../../test-support/cli.js';
import { root, sampleFonts } from '../../test-support/paths.js';

const nobody = 65_534;
/** Whoever runs the tests as root may read everything: then somebody else makes the calls. */
const isRoot = process.getuid?.() === 0;

interface Ended {
  code: number;
  out: string;
  err: string;
}

const called = (args: readonly string[], cwd: string) =>
  new Promise<Ended>((done) => {
    const env = { ...process.env, HOME: cwd, XDG_CACHE_HOME: join(cwd, 'cache') };
    const as = isRoot ? { uid: nobody, gid: nobody } : {};
    execFile(
      process.execPath,
      [join(root, 'dist/bin/dense-glyph.js'), ...args],
      { cwd, env, ...as },
      (failed, out, err) => {
        done({ code: typeof failed?.code === 'number' ? failed.code : 0, out, err });
      },
    );
  });

/** A project of two fonts and three pages, of which one font, one page, a folder and a stylesheet may not be read. */
const inClosed = (use: (folder: string, call: (...args: string[]) => Promise<Ended>) => Promise<void>) =>
  inFolder(async (folder) => {
    mkdirSync(join(folder, 'site/closed'), { recursive: true });
    mkdirSync(join(folder, 'fonts'));
    for (const name of ['TidelogMono-Regular.ttf', 'LampbuoySlab-Bold.otf'])
      cpSync(join(sampleFonts, name), join(folder, 'fonts', name));
    writeFileSync(join(folder, 'fonts/Torn.ttf'), 'torn');
    const rules = '<style>@font-face { font-family: T; src: url(t.ttf) } p { font-family: T }</style>';
    for (const page of ['index.html', 'fares.html', 'closed/a.html'])
      writeFileSync(
        join(folder, 'site', page),
        `<!doctype html>${rules}<link rel=stylesheet href=a.css><p>Boats`,
      );
    writeFileSync(join(folder, 'site/a.css'), 'p { color: red }');
    cpSync(join(sampleFonts, 'TidelogMono-Regular.ttf'), join(folder, 'site/t.ttf'));
    if (isRoot)
      for (const path of ['.', ...readdirSync(folder, { recursive: true, encoding: 'utf8' })])
        chownSync(join(folder, path), nobody, nobody);
    // A clone that only root may read can't be called by anybody else.
    if (isRoot && (await called(['--version'], folder)).code !== 0) return;
    const closed = ['fonts/LampbuoySlab-Bold.otf', 'site/fares.html', 'site/a.css', 'site/closed'];
    for (const path of closed) chmodSync(join(folder, path), 0);
    try {
      await use(folder, (...args) => called(args, folder));
    } finally {
      for (const path of closed) chmodSync(join(folder, path), 0o700);
    }
  });

const refused =
  /^fonts\/(?:LampbuoySlab-Bold\.otf: it may not be read|Torn\.ttf: \d bytes are too few)[^\n]*\nfonts\/[LT][^\n]*\n$/;

describe.each([
  ['inspect', ['inspect', 'fonts'], /Tidelog Mono/],
  ['convert', ['convert', 'fonts', '--to', 'woff2', '--out', 'w'], /TidelogMono-Regular\.woff2/],
  ['subset', ['subset', 'fonts', '--chars', 'abc', '--out', 's'], /TidelogMono-Regular\.woff2/],
])('%s', (_, args, said) => {
  test('goes on with the fonts that it can read, names the others, and ends with 3', () =>
    inClosed(async (_folder, call) => {
      const { code, out, err } = await call(...args);
      expect([code, err]).toEqual([3, expect.stringMatching(refused)]);
      expect(out).toMatch(said);
      const told = JSON.parse((await call(...args, '--json')).out) as { refused: { code: string }[] };
      expect(told.refused.map((one) => one.code).sort()).toEqual(['file-unreadable', 'not-a-font']);
    }));
});

test('pages and folders that may not be read are named, and the others are read', () =>
  inClosed(async (_, call) => {
    const scanned = await call('scan', 'site', '--json');
    const { pages, findings } = JSON.parse(scanned.out) as {
      pages: { page: string }[];
      findings: { code: string; place: { file: string } }[];
    };
    expect([scanned.code, scanned.err, pages.map(({ page }) => page)]).toEqual([1, '', ['index.html']]);
    const unread = findings.filter(({ code }) => code === 'page-unreadable');
    expect(unread.map(({ place }) => place.file).sort()).toEqual(['closed', 'fares.html']);
    for (const [expected, ...args] of [
      [0, 'init', '--site', 'site'],
      [1, 'build'],
      [0, 'wire'],
      [2, 'adopt', 'site', '--out', 'f'],
    ] as const) {
      const { code, err } = await call(...args);
      expect([args[0], code, err]).toEqual([args[0], expected, expect.not.stringContaining('fault of ours')]);
    }
  }));
