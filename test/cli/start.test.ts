import { expect, test } from '@jest/globals';
import {
  cpSync,
  existsSync,
  mkdirSync,
  readFileSync,
  readdirSync,
  statSync,
  utimesSync,
  writeFileSync,
} from 'node:fs';
import { join } from 'node:path';
import { cliProcess, inFolder, tree } from '../../test-support/cli.js';
import { root, sampleFonts } from '../../test-support/paths.js';

/** Runs `--help` with a folder for caches of its own. */
const help = (folder: string, more: Record<string, string> = {}, programFolder?: string) =>
  cliProcess(['--help'], folder, {
    env: { XDG_CACHE_HOME: join(folder, 'caches'), ...more },
    ...(programFolder ? { programFolder } : {}),
  });

test('what Node compiles is kept and used again, and no damage to it is seen', () =>
  inFolder(async (folder) => {
    const first = await help(folder);
    expect([first.code, first.err]).toEqual([0, '']);
    const [path] = tree(join(folder, 'caches'));
    expect(path).toMatch(/^dense-glyph\/other-[0-9a-f]{8}-v[\d.]+-\w+\.bin$/);
    const file = join(folder, 'caches', path);
    const written = statSync(file).mtimeMs;
    expect(await help(folder)).toEqual(first);
    expect(statSync(file).mtimeMs).toBe(written);
    const whole = readFileSync(file);
    const forgotten = join(folder, 'caches/dense-glyph/subset-0-v18.0.0-x64.bin');
    writeFileSync(forgotten, 'of a version that is gone');
    utimesSync(forgotten, 0, 0);
    for (const bytes of [Buffer.from('{"not": "ours"}\n'), whole.subarray(0, 30_000), Buffer.alloc(0)]) {
      writeFileSync(file, bytes);
      expect(await help(folder)).toEqual(first);
      expect(statSync(file).size).toBeGreaterThan(bytes.length); // written anew
    }
    expect(readdirSync(join(folder, 'caches/dense-glyph'))).toHaveLength(1);
  }));

test('what different calls of a command load is kept side by side', () =>
  inFolder(async (folder) => {
    const font = join(sampleFonts, 'FerrywakeSans-Regular.ttf');
    writeFileSync(join(folder, 'page.html'), '<p>a');
    const subset = (...args: string[]) =>
      cliProcess(['subset', font, ...args, '--out', 'type', '--quiet'], folder, {
        env: { XDG_CACHE_HOME: join(folder, 'caches') },
      });
    const written = () => {
      const [path] = tree(join(folder, 'caches'));
      return statSync(join(folder, 'caches', path)).mtimeMs;
    };
    await subset('--chars-from', 'page.html');
    const first = written();
    await subset('--languages', 'en');
    const second = written();
    expect(second).not.toBe(first);
    await subset('--chars-from', 'page.html');
    await subset('--languages', 'en');
    expect(written()).toBe(second);
  }));

test('nothing is kept where that is not wanted or cannot be', () =>
  inFolder(async (folder) => {
    const first = await help(folder, { NODE_DISABLE_COMPILE_CACHE: '1' });
    expect([first.code, existsSync(join(folder, 'caches'))]).toEqual([0, false]);
    writeFileSync(join(folder, 'caches'), 'a file');
    expect(await help(folder)).toEqual(first);
  }));

test('a program that has changed is not mixed up with what was kept of it', () =>
  inFolder(async (folder) => {
    const bin = join(folder, 'package/dist/bin');
    mkdirSync(bin, { recursive: true });
    cpSync(join(root, 'dist/bin'), bin, { recursive: true });
    cpSync(join(root, 'package.json'), join(folder, 'package/package.json'));
    const { out } = await help(folder, {}, bin);
    expect(out).toContain('Turns font files');
    const main = join(bin, 'main.js');
    writeFileSync(main, readFileSync(main, 'utf8').replace('Turns font files', 'Burns font files'));
    expect((await help(folder, {}, bin)).out).toBe(out.replace('Turns', 'Burns'));
  }));
