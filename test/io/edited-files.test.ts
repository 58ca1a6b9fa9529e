import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { spawnSync } from 'node:child_process';
import {
  chmodSync,
  existsSync,
  lstatSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
  symlinkSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { basename, join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { EditedFiles } from '#src/io/edited-files.js';
import { root } from '../../test-support/paths.js';

let folder: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'dense-glyph-edits-'));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

const bytes = (text: string) => new TextEncoder().encode(text);
const names = ['a.html', 'b.html', 'c.css'];
const put = (file: string, text: string) => writeFileSync(join(folder, file), text);
const all = () => names.map((name) => readFileSync(join(folder, name), 'utf8'));
const edits = () => new EditedFiles(folder, join(folder, '.state'));
const edit = (to: string) =>
  names.map((file) => ({ file, before: readFileSync(join(folder, file)), after: bytes(`${file} ${to}`) }));

test('every file comes back, also after several edits, and nothing is left over', () => {
  for (const name of names) put(name, name);
  edits().write(edit('once'));
  edits().write(edit('twice'));
  expect(all()).toEqual(names.map((name) => `${name} twice`));
  expect(
    edits()
      .undo()
      .map(({ state }) => state),
  ).toEqual(['restored', 'restored', 'restored']);
  expect(all()).toEqual(names);
  expect(readdirSync(folder).sort()).toEqual(names);
  expect(edits().undo()).toEqual([]);
});

test.each([0, 1, 2, 3])('a process that was ended after %d files leaves what undo brings back', (done) => {
  for (const name of names) put(name, name);
  edits().write(edit('once'));
  for (const name of names.slice(done)) put(name, name);
  edits().undo();
  expect(all()).toEqual(names);
});

/** Ends the process by a signal that it can't catch, before its nth change of the file system. */
const ending = `
import fs from 'node:fs';
import { syncBuiltinESMExports } from 'node:module';
let left = Number(process.env.ENDS_AT);
for (const name of ['writeFileSync', 'writeSync', 'renameSync', 'mkdirSync', 'rmSync', 'rmdirSync', 'unlinkSync', 'chmodSync', 'fsyncSync']) {
  const own = fs[name];
  fs[name] = (...args) => {
    if (--left === 0) process.kill(process.pid, 'SIGKILL');
    return own(...args);
  };
}
syncBuiltinESMExports();
const { EditedFiles } = await import(process.env.MODULE);
const edits = new EditedFiles(process.cwd(), process.cwd() + '/.state');
const [undoes, ...names] = process.argv.slice(1);
if (undoes === 'undo') edits.undo();
else edits.write(names.map((file) => ({ file, before: fs.readFileSync(file), after: Buffer.from(file + ' once') })));
`;
const endedAt = (step: number, ...args: string[]) =>
  spawnSync(process.execPath, ['--input-type=module', '-e', ending, '--', ...args], {
    cwd: folder,
    env: {
      ...process.env,
      ENDS_AT: String(step),
      MODULE: pathToFileURL(join(root, 'build/src/io/edited-files.js')).href,
    },
  }).signal === 'SIGKILL';

test('a process that is ended at any step of its writing, or of its undoing, leaves what undo brings back', () => {
  const whole = (text: string, name: string) => [name, `${name} once`].includes(text);
  let steps = 0;
  for (let ended = true; ended; steps++) {
    for (const name of names) put(name, name);
    ended = endedAt(steps + 1, 'write', ...names);
    expect(all().every((text, i) => whole(text, names[i]))).toBe(true);
    edits().undo();
    expect([steps, all(), readdirSync(folder).sort()]).toEqual([steps, names, names]);
  }
  expect(steps).toBeGreaterThan(names.length * 2);
  let undone = 0;
  for (let ended = true; ended; undone++) {
    edits().write(edit('once'));
    ended = endedAt(undone + 1, 'undo');
    expect(all().every((text, i) => whole(text, names[i]))).toBe(true);
    edits().undo();
    expect([undone, all(), readdirSync(folder).sort()]).toEqual([undone, names, names]);
  }
  expect(undone).toBeGreaterThan(names.length);
}, 60_000);

test('after a second run that was ended halfway too', () => {
  for (const name of names) put(name, name);
  edits().write(edit('once'));
  const once = all();
  edits().write(edit('twice'));
  put('c.css', once[2]);
  edits().undo();
  expect(all()).toEqual(names);
});

test('a file that somebody changed since is left alone and told, and comes back once it is as it was', () => {
  for (const name of names) put(name, name);
  edits().write(edit('once'));
  put('b.html', 'mine');
  rmSync(join(folder, 'c.css'));
  expect(edits().undo()).toEqual([
    { file: 'a.html', state: 'restored' },
    { file: 'b.html', state: 'changed' },
    { file: 'c.css', state: 'gone' },
  ]);
  expect(readFileSync(join(folder, 'b.html'), 'utf8')).toBe('mine');
  put('b.html', 'b.html once');
  expect(edits().undo()).toEqual([{ file: 'b.html', state: 'restored' }]);
  expect(existsSync(join(folder, '.state'))).toBe(false);
});

test('permissions stay, and a link goes on leading to its file', () => {
  for (const name of names) put(name, name);
  chmodSync(join(folder, 'a.html'), 0o640);
  renameSync(join(folder, 'b.html'), join(folder, 'real.html'));
  symlinkSync('real.html', join(folder, 'b.html'));
  edits().write(edit('once'));
  expect(readFileSync(join(folder, 'real.html'), 'utf8')).toBe('b.html once');
  edits().undo();
  expect([
    statSync(join(folder, 'a.html')).mode & 0o777,
    lstatSync(join(folder, 'b.html')).isSymbolicLink(),
  ]).toEqual([0o640, true]);
  expect(all()).toEqual(names);
});

test('a journal that leads elsewhere changes nothing there', () => {
  for (const name of names) put(name, name);
  edits().write(edit('once'));
  const journal = join(folder, '.state/edits/journal.json');
  const outside = mkdtempSync(join(tmpdir(), 'dense-glyph-outside-'));
  writeFileSync(join(outside, 'a.html'), 'a.html once');
  for (const path of [join(outside, 'a.html'), `../${basename(outside)}/a.html`]) {
    writeFileSync(journal, readFileSync(journal, 'utf8').replace('"a.html"', JSON.stringify(path)));
    edits().undo();
    expect(readFileSync(join(outside, 'a.html'), 'utf8')).toBe('a.html once');
    edits().write(edit('once'));
  }
  rmSync(outside, { recursive: true });
});
