import { afterEach, beforeEach, expect, test } from '@jest/globals';
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
import { EditedFiles } from '#src/io/edited-files.js';

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
