import { spawn } from 'node:child_process';
import { mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { run as runNow } from '#src/cli/program.js';
import { root } from './paths.js';

export interface CliResult {
  code: number | null;
  out: string;
  err: string;
}

export interface CliOptions {
  /** Variables of its environment, beside those of the tests. */
  env?: Readonly<Record<string, string>>;
}

const environment = {
  NO_COLOR: '1',
  XDG_CACHE_HOME: join(root, 'build/cache'),
  BROWSERSLIST_IGNORE_OLD_DATA: '1',
};

let loaded: Promise<{ run: typeof runNow }> | undefined;

/** Runs the program on streams of its own, in this process: with a folder for caches of the tests' own. */
export async function cli(
  args: readonly string[],
  folder: string,
  { env = {} }: CliOptions = {},
): Promise<CliResult> {
  // Asked by those that colour, as they are loaded.
  Object.assign(process.env, environment);
  loaded ??= import('#src/cli/program.js');
  const { run } = await loaded;
  const result: CliResult = { code: null, out: '', err: '' };
  result.code = await run(args, {
    out: (text) => (result.out += text),
    err: (text) => (result.err += text),
    interactive: false,
    asks: false,
    columns: 100,
    folder,
    environment: { ...process.env, ...env },
  });
  return result;
}

export interface ProcessOptions extends CliOptions {
  /** The folder that `dist/bin` is taken from. */
  programFolder?: string;
}

/** Runs the built program as a user would, in a process of its own. */
export function cliProcess(
  args: readonly string[],
  folder: string,
  { programFolder = join(root, 'dist/bin'), env = {} }: ProcessOptions = {},
): Promise<CliResult> {
  return new Promise((done, failed) => {
    const child = spawn(process.execPath, [join(programFolder, 'dense-glyph.js'), ...args], {
      cwd: folder,
      env: { ...process.env, ...environment, ...env },
    });
    const result: CliResult = { code: null, out: '', err: '' };
    child.stdout.on('data', (chunk) => (result.out += String(chunk)));
    child.stderr.on('data', (chunk) => (result.err += String(chunk)));
    child.on('error', failed);
    child.on('close', (code) => done({ ...result, code }));
  });
}

/** A temporary folder, removed when the test is over. */
export async function inFolder<Result>(use: (folder: string) => Promise<Result>): Promise<Result> {
  const folder = mkdtempSync(join(tmpdir(), 'dense-glyph-test-'));
  try {
    return await use(folder);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

/** All files below a folder, sorted. */
export const tree = (folder: string): string[] =>
  readdirSync(folder, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile())
    .map((entry) => join(entry.parentPath ?? entry.path, entry.name).slice(folder.length + 1))
    .sort();
