#!/usr/bin/env node
/**
 * Starts the program. Node compiles its files anew in every run, which takes a fifth of a short one; what comes of it is
 * kept in the user's folder for caches, one file a command, and used while the program's files are what they were.
 * Nothing of it shows: without a folder to write to, or with NODE_DISABLE_COMPILE_CACHE set, all files are compiled.
 */
import {
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { createRequire } from 'node:module';
import { homedir } from 'node:os';
import { dirname, join } from 'node:path';
import { Script } from 'node:vm';

const folder = import.meta.dirname;
const nodeRequire = createRequire(import.meta.filename);

/** What tells a file of the program from an earlier one of the same name; its content would take longer to compare. */
function keyOf(path: string): string {
  const { size, mtimeMs, ctimeMs } = statSync(path);
  return [path, size, mtimeMs, ctimeMs].join(' ');
}

/** Whether the file of a key is still there and the same. */
function isCurrent(key: string): boolean {
  const path = key.replace(/( [\d.]+){3}$/, '');
  return existsSync(path) && keyOf(path) === key;
}

/** A short text for this installation, as several of them may be used in turn (FNV-1a). */
function installation(): string {
  let hash = 0x811c9dc5;
  for (let i = 0; i < folder.length; i++) hash = Math.imul(hash ^ folder.charCodeAt(i), 0x01000193);
  return (hash >>> 0).toString(16).padStart(8, '0');
}

/** Of this command and this version of Node. V8 refuses by itself what another version or other flags have made. */
function cacheFile(): string {
  const { XDG_CACHE_HOME, LOCALAPPDATA } = process.env;
  const system: Partial<Record<NodeJS.Platform, string | undefined>> = {
    win32: LOCALAPPDATA,
    darwin: join(homedir(), 'Library', 'Caches'),
  };
  const caches = XDG_CACHE_HOME || (system[process.platform] ?? join(homedir(), '.cache'));
  const command = process.argv[2] ?? '';
  const name = /^[a-z]{1,20}$/.test(command) ? command : 'other';
  return join(caches, 'dense-glyph', `${name}-${installation()}-${process.version}-${process.arch}.bin`);
}

/** Compiled code by key: a line of keys and lengths, then the code itself. */
function readCache(path: string): Map<string, Uint8Array> {
  const cache = new Map<string, Uint8Array>();
  try {
    const bytes = readFileSync(path);
    let at = bytes.indexOf('\n') + 1;
    for (const [key, length] of JSON.parse(bytes.toString('utf8', 0, at)) as [string, number][]) {
      cache.set(key, bytes.subarray(at, at + length));
      at += length;
    }
  } catch {
    // There is none yet, or it is damaged; it will be written anew.
  }
  return cache;
}

/** @param earlier what was kept before; that of files which this run didn't load stays */
function writeCache(
  path: string,
  scripts: ReadonlyMap<string, Script>,
  earlier: ReadonlyMap<string, Uint8Array>,
): void {
  const code: (readonly [string, Uint8Array])[] = Array.from(scripts, ([key, script]) => [
    key,
    script.createCachedData(),
  ]);
  for (const [key, data] of earlier) if (!scripts.has(key) && isCurrent(key)) code.push([key, data]);
  const keys = code.map(([key, data]) => [key, data.length]);
  const bytes = Buffer.concat([Buffer.from(`${JSON.stringify(keys)}\n`), ...code.map(([, data]) => data)]);
  const temporary = `${path}.${process.pid}-${Math.random().toString(36).slice(2, 10)}`;
  const isWritten = succeeds(() => {
    mkdirSync(dirname(path), { recursive: true, mode: 0o700 });
    writeFileSync(temporary, bytes, { mode: 0o600, flag: 'wx' });
    renameSync(temporary, path);
  });
  if (!isWritten) succeeds(() => rmSync(temporary, { force: true }));
  succeeds(() => removeOld(dirname(path)));
}

/** What was written so many milliseconds ago may be of an installation that is gone; else it is written again. */
const longAgo = 90 * 24 * 3600 * 1000;

function removeOld(caches: string): void {
  for (const name of readdirSync(caches)) {
    const path = join(caches, name);
    if (Date.now() - statSync(path).mtimeMs > longAgo) rmSync(path);
  }
}

/** Without a folder to write to, the next run compiles the files again; nobody needs to know. */
function succeeds(act: () => void): boolean {
  try {
    act();
    return true;
  } catch {
    return false;
  }
}

/** A loader of the files beside this one, which are CommonJS. */
function cachingLoader(path: string): (file: string) => unknown {
  const cache = readCache(path);
  const scripts = new Map<string, Script>();
  const modules = new Map<string, { exports: unknown }>();
  let isStale = false;
  const load = (file: string): unknown => {
    const known = modules.get(file);
    if (known) return known.exports;
    const module = { exports: {} };
    modules.set(file, module);
    const filename = join(folder, file);
    const key = keyOf(filename);
    const cachedData = cache.get(key);
    const source = `(function (exports, require, module, __filename, __dirname) {${readFileSync(filename, 'utf8')}\n})`;
    const script = new Script(source, {
      filename,
      ...(cachedData ? { cachedData } : {}),
    });
    scripts.set(key, script);
    if (!cachedData || script.cachedDataRejected) isStale = true;
    const run = script.runInThisContext() as (...args: unknown[]) => void;
    const require = (id: string) => (id.startsWith('./') ? load(id.slice(2)) : (nodeRequire(id) as unknown));
    run.call(module.exports, module.exports, require, module, filename, folder);
    return module.exports;
  };
  // Functions that were compiled on the way are kept as well, so it is written last.
  process.once('exit', (code) => {
    if (isStale && code <= 1) writeCache(path, scripts, cache);
  });
  return load;
}

const { NODE_DISABLE_COMPILE_CACHE, NODE_V8_COVERAGE } = process.env;
if (NODE_DISABLE_COMPILE_CACHE || NODE_V8_COVERAGE) nodeRequire('./main.js');
else cachingLoader(cacheFile())('main.js');
