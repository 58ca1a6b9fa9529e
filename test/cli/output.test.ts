import { describe, expect, test } from '@jest/globals';
import {
  cpSync,
  existsSync,
  lstatSync,
  mkdirSync,
  mkdtempSync,
  rmSync,
  symlinkSync,
  writeFileSync,
} from 'node:fs';
import { join } from 'node:path';
import { writingFailed } from '#src/io/write-whole.js';
import { cli, inFolder, tree } from '../../test-support/cli.js';
import { killBuilds } from '../../test-support/kills.js';
import { seeded } from '../../test-support/mutations.js';
import { sampleFonts } from '../../test-support/paths.js';
import { brokenIn, contentOf, hiddenIn, stateIn } from '../../test-support/whole-kit.js';
import { thoroughly } from '../../test-support/thoroughly.js';

/** A project with one family, whose kit goes to `output`. */
/** @param output keys of it */
const configure = (folder: string, output: string) =>
  writeFileSync(
    join(folder, 'dense-glyph.config.yaml'),
    `site: { root: site }\noutput: { ${output} }\nfamilies: [{ family: Tidelog Mono, files: fonts/TidelogMono-Regular.ttf }]\n`,
  );

function withProject(output: string, use: (folder: string) => Promise<void>): Promise<void> {
  return inFolder(async (folder) => {
    cpSync(sampleFonts, join(folder, 'fonts'), { recursive: true });
    mkdirSync(join(folder, 'site'));
    configure(folder, `folder: ${output}`);
    await use(folder);
  });
}

describe('what a build writes', () => {
  thoroughly('is a whole kit whenever it is killed, and nothing is left behind', async () => {
    const { whileWriting, problems } = await killBuilds(12, 4, seeded(Date.now() % 1e6));
    expect(problems).toEqual([]);
    expect(whileWriting).toBeGreaterThan(0);
  });

  test('goes where a link leads, and the link stays', () =>
    withProject('site/type', async (folder) => {
      mkdirSync(join(folder, 'elsewhere'));
      symlinkSync('../elsewhere', join(folder, 'site/type'));
      expect((await cli(['build'], folder)).code).toBe(0);
      expect(lstatSync(join(folder, 'site/type')).isSymbolicLink()).toBe(true);
      expect(brokenIn(join(folder, 'elsewhere'), join(folder, '.dense-glyph'))).toEqual([]);
    }));

  test('a link to nothing is told', () =>
    withProject('site/type', async (folder) => {
      symlinkSync('nowhere', join(folder, 'site/type'));
      const { code, err } = await cli(['build'], folder);
      expect([code, err]).toEqual([
        4,
        expect.stringMatching(/type: it is a link to nothing; make the folder\n$/),
      ]);
      expect(hiddenIn(join(folder, 'site'))).toEqual([]);
    }));

  test('two first builds at once come to one kit', () =>
    withProject('site/type', async (folder) => {
      const both = await Promise.all([cli(['build'], folder), cli(['build'], folder)]);
      expect(both.map(({ code, err }) => [code, err])).toEqual([
        [0, ''],
        [0, ''],
      ]);
      expect(brokenIn(join(folder, 'site/type'), join(folder, '.dense-glyph'))).toEqual([]);
      expect(stateIn(join(folder, '.dense-glyph'))).toEqual([]);
    }));

  test('may be on another file system', async () => {
    if (!existsSync('/dev/shm')) return;
    const other = mkdtempSync('/dev/shm/dense-glyph-');
    try {
      await withProject(other, async (folder) => {
        expect(await cli(['build', '--quiet'], folder)).toEqual({ code: 0, out: '', err: '' });
        const first = contentOf(other);
        // What a process that is gone left there is removed.
        writeFileSync(join(other, '.kit.css.new-999999999-abc'), 'half');
        expect((await cli(['build'], folder)).code).toBe(0);
        expect(contentOf(other)).toEqual(first);
      });
    } finally {
      rmSync(other, { recursive: true });
    }
  });

  test('facts that are lost come back, and files beside the kit’s own stop the build', () =>
    withProject('site/type', async (folder) => {
      await cli(['build', '--quiet'], folder);
      const [kit, facts] = [join(folder, 'site/type'), join(folder, '.dense-glyph')];
      const first = [contentOf(kit), contentOf(facts)];
      rmSync(facts, { recursive: true });
      expect((await cli(['wire'], folder)).err).toContain('there is no kit.json in .dense-glyph');
      expect((await cli(['build'], folder)).code).toBe(0);
      expect([contentOf(kit), contentOf(facts)]).toEqual(first);
      rmSync(facts, { recursive: true });
      writeFileSync(join(kit, 'faces/own-400n-whole-00000000.woff2'), 'mine');
      expect((await cli(['build'], folder)).err).toContain(
        'own-400n-whole-00000000.woff2, which no kit put there',
      );
    }));

  test('facts of one kit don’t replace those of another, nor files of somebody else', () =>
    withProject('site/type', async (folder) => {
      await cli(['build', '--quiet'], folder);
      const before = contentOf(folder);
      configure(folder, 'folder: site/other');
      const { code, err } = await cli(['build'], folder);
      expect([code, err]).toEqual([
        2,
        expect.stringMatching(/^\.dense-glyph: it says what is in the kit in site.type; name another folder/),
      ]);
      configure(folder, 'folder: site/type');
      expect(contentOf(folder)).toEqual(before);
      configure(folder, 'folder: site/other, facts: fonts');
      writeFileSync(join(folder, 'fonts/README.txt'), 'of the type foundry');
      expect((await cli(['build'], folder)).err).toContain('README.txt, which no kit put there');
      expect(existsSync(join(folder, 'site/other'))).toBe(false);
      configure(folder, 'folder: site/other, facts: facts');
      expect((await cli(['build'], folder)).code).toBe(0);
      expect(brokenIn(join(folder, 'site/other'), join(folder, 'facts'))).toEqual([]);
    }));

  test.each([
    ['a file', 'fonts/OFL.txt', /OFL\.txt: it is a file, not a folder/, 2],
    ['below a file', 'fonts/OFL.txt/type', /a file is where a folder is needed/, 4],
    ['a name that is too long', 'x'.repeat(300), /its name is too long/, 4],
    ['a place that nobody may write', '/proc/type', /proc.type: /, 4],
  ])('to %s is refused with a word, and nothing is lost', (_, output, message, expected) =>
    withProject(output, async (folder) => {
      const before = tree(folder);
      const { code, err } = await cli(['build'], folder);
      expect([code, err.split('\n').length]).toEqual([expected, 2]);
      expect(err).toMatch(message);
      expect(err).not.toContain('fault of ours');
      expect(tree(folder)).toEqual(before);
    }),
  );
});

test.each([
  ['ENOSPC', 'there is no space left'],
  ['EROFS', 'its file system is read-only'],
  ['EACCES', 'it may not be written'],
  ['EDQUOT', 'the quota is used up'],
  ['EIO', 'it cannot be written (EIO)'],
])('%s is told as %s', (code, reason) => {
  const cause = Object.assign(new Error(code), { code });
  expect(writingFailed(cause, 'type/kit.css')).toMatchObject({
    code: 'output-unwritable',
    reason,
    place: { file: 'type/kit.css' },
    cause,
  });
});

test('an error of the program itself stays what it is', () => {
  const cause = new TypeError('oops');
  expect(writingFailed(cause, 'type')).toBe(cause);
});
