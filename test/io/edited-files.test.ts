import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { spawnSync } from 'node:child_process';
import {
  chmodSync,
  existsSync,
  linkSync,
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
import { withoutFirst } from '#src/site/edits/three-way.js';
import { root } from '../../test-support/paths.js';
import { isThorough } from '../../test-support/thorough.js';

let folder: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'dense-glyph-edits-'));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

const bytes = (text: string) => new TextEncoder().encode(text);
const names = ['a.html', 'b.html', 'c.css'];
const put = (file: string, text: string) => writeFileSync(join(folder, file), text);
const all = () => names.map((name) => readFileSync(join(folder, name), 'utf8'));
const none = () => ({ lines: [1] });
const edits = () => new EditedFiles(folder, join(folder, '.state'), none);
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

/** Of the steps at which a process may end every one, or some. */
const stride = isThorough ? 1 : 6;

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
const edits = new EditedFiles(process.cwd(), process.cwd() + '/.state', () => ({ lines: [1] }));
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
  for (let ended = true; ended; steps += stride) {
    for (const name of names) put(name, name);
    ended = endedAt(steps + 1, 'write', ...names);
    expect(all().every((text, i) => whole(text, names[i]))).toBe(true);
    edits().undo();
    expect([steps, all(), readdirSync(folder).sort()]).toEqual([steps, names, names]);
  }
  expect(steps).toBeGreaterThan(names.length * 2);
  let undone = 0;
  for (let ended = true; ended; undone += stride) {
    edits().write(edit('once'));
    ended = endedAt(undone + 1, 'undo');
    expect(all().every((text, i) => whole(text, names[i]))).toBe(true);
    edits().undo();
    expect([undone, all(), readdirSync(folder).sort()]).toEqual([undone, names, names]);
  }
  expect(undone).toBeGreaterThan(names.length);
});

test('after an undo that was ended anywhere, writing again comes to what it comes to at once, and undo to what was', () => {
  for (const name of names) put(name, name);
  linkSync(join(folder, 'b.html'), join(folder, 'b.link'));
  let steps = 0;
  for (let ended = true; ended; steps += stride) {
    edits().write(edit('once'));
    ended = endedAt(steps + 1, 'undo');
    // As wire does: what was begun is finished first.
    edits().finish();
    expect([
      steps,
      ended ? 'any' : 'none',
      all().every((text, i) => [names[i], `${names[i]} once`].includes(text)),
    ]).toEqual([steps, ended ? 'any' : 'none', true]);
    edits().write(edit('again'));
    expect(all()).toEqual(names.map((name) => `${name} again`));
    ended = endedAt(steps + 1, 'undo') || ended;
    edits().undo();
    expect([steps, all(), readdirSync(folder).sort()]).toEqual([steps, names, [...names, 'b.link'].sort()]);
  }
  expect(steps).toBeGreaterThan(names.length * 2);
});

test('after a writing that was ended anywhere, the next one finishes it, and undo brings all back', () => {
  for (const name of names) put(name, name);
  let steps = 0;
  for (let ended = true; ended; steps += stride) {
    ended = endedAt(steps + 1, 'write', ...names);
    edits().finish();
    const texts = all();
    expect([steps, texts]).toEqual([
      steps,
      texts[0] === 'a.html' ? names : names.map((name) => `${name} once`),
    ]);
    edits().write(edit('again'));
    edits().undo();
    expect([steps, all(), readdirSync(folder).sort()]).toEqual([steps, names, names]);
  }
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

test('a file that somebody changed is told, one that is gone is remembered, and both come back once they are as they were', () => {
  for (const name of names) put(name, name);
  edits().write(edit('once'));
  put('b.html', 'mine');
  rmSync(join(folder, 'c.css'));
  const states = () =>
    edits()
      .undo()
      .map(({ file, state }) => [file, state]);
  expect(states()).toEqual([
    ['a.html', 'restored'],
    ['b.html', 'changed'],
    ['c.css', 'gone'],
  ]);
  expect(readFileSync(join(folder, 'b.html'), 'utf8')).toBe('mine');
  put('b.html', 'b.html once');
  put('c.css', 'c.css once');
  expect(states()).toEqual([
    ['b.html', 'restored'],
    ['c.css', 'restored'],
  ]);
  expect(existsSync(join(folder, '.state'))).toBe(false);
});

test('what somebody changed beside stays, and what was put in goes; also where it was written again', () => {
  const merging = () =>
    new EditedFiles(folder, join(folder, '.state'), (wired, now, original) => {
      const result = withoutFirst(
        ...([wired, now, original].map((one) => new TextDecoder().decode(one)) as [string, string, string]),
      );
      return 'text' in result ? { merged: bytes(result.text) } : result;
    });
  const wired = '<head>\n<kit>\n</head>\n<p>Pier</p>\n';
  const write = (from: string, to: string) =>
    merging().write([{ file: 'a.html', before: bytes(from), after: bytes(to) }]);
  for (const again of [false, true]) {
    put('a.html', '<head>\n<old>\n</head>\n<p>Pier</p>\n');
    write('<head>\n<old>\n</head>\n<p>Pier</p>\n', wired);
    const mine = wired.replace('Pier', 'Quay');
    put('a.html', mine);
    if (again) write(mine, mine.replace('<kit>', '<kit v=2>'));
    expect(merging().undo(true)).toMatchObject([{ state: again ? 'restored' : 'merged' }]);
    expect(readFileSync(join(folder, 'a.html'), 'utf8')).toContain('<kit');
    merging().undo();
    expect(readFileSync(join(folder, 'a.html'), 'utf8')).toBe('<head>\n<old>\n</head>\n<p>Quay</p>\n');
    expect(readdirSync(folder)).toEqual(['a.html']);
  }
  put('a.html', '<old>');
  write('<old>', '<kit>');
  put('a.html', '<mine>');
  expect(merging().undo()).toMatchObject([{ state: 'changed', lines: [1] }]);
});

test('a file that is another than the one that was read stops the writing before any is touched', () => {
  for (const name of names) put(name, name);
  const planned = edit('once');
  put('b.html', 'mine');
  expect(() => edits().write(planned)).toThrow(/somebody changed it since/);
  expect(all()).toEqual(['a.html', 'mine', 'c.css']);
  expect(readdirSync(folder).sort()).toEqual(names);
});

test('what is not kept any more is told, and stops nothing else', () => {
  for (const name of names) put(name, name);
  edits().write(edit('once'));
  for (const file of readdirSync(join(folder, '.state/edits')))
    if (readFileSync(join(folder, '.state/edits', file), 'utf8') === 'a.html')
      writeFileSync(join(folder, '.state/edits', file), 'b');
  expect(
    edits()
      .undo()
      .map(({ state }) => state),
  ).toEqual(['lost', 'restored', 'restored']);
  expect(all()).toEqual(['a.html once', 'b.html', 'c.css']);
});

test.each(['{', '{"files": 1}', '[]', 'null'])('a journal that is damaged is told: %s', (text) => {
  for (const name of names) put(name, name);
  edits().write(edit('once'));
  writeFileSync(join(folder, '.state/edits/journal.json'), text);
  expect(() => edits().undo()).toThrow('this is no list of what wire changed, or it is damaged');
});

test('other names of a file go on being names of it', () => {
  for (const name of names) put(name, name);
  linkSync(join(folder, 'a.html'), join(folder, 'same.html'));
  edits().write(edit('once'));
  expect(readFileSync(join(folder, 'same.html'), 'utf8')).toBe('a.html once');
  edits().undo();
  expect(readFileSync(join(folder, 'same.html'), 'utf8')).toBe('a.html');
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
