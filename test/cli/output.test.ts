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
import { brokenIn, contentOf, hiddenIn } from '../../test-support/whole-kit.js';
import { thoroughly } from '../../test-support/thoroughly.js';

/** A project with one family, whose kit goes to `output`. */
function withProject(output: string, use: (folder: string) => Promise<void>): Promise<void> {
  return inFolder(async (folder) => {
    cpSync(sampleFonts, join(folder, 'fonts'), { recursive: true });
    mkdirSync(join(folder, 'site'));
    writeFileSync(
      join(folder, 'dense-glyph.config.yaml'),
      `site: { root: site }\noutput: { folder: ${output} }\nfamilies: [{ family: Tidelog Mono, files: fonts/TidelogMono-Regular.ttf }]\n`,
    );
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
      expect(brokenIn(join(folder, 'elsewhere'))).toEqual([]);
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
      expect(brokenIn(join(folder, 'site/type'))).toEqual([]);
      expect(existsSync(join(folder, '.dense-glyph'))).toBe(false);
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
