import { spawn } from 'node:child_process';
import { mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { root } from './paths.js';

export interface CliResult {
  code: number | null;
  out: string;
  err: string;
}

export interface CliOptions {
  /** The folder that `dist/bin` is taken from. */
  programFolder?: string;
  /** Variables of its environment, beside those of the tests. */
  env?: Readonly<Record<string, string>>;
}

/** Runs the built program as a user would, with a folder for caches of the tests' own. */
export function cli(
  args: readonly string[],
  folder: string,
  { programFolder = join(root, 'dist/bin'), env = {} }: CliOptions = {},
): Promise<CliResult> {
  return new Promise((done, failed) => {
    const child = spawn(process.execPath, [join(programFolder, 'dense-glyph.js'), ...args], {
      cwd: folder,
      env: { ...process.env, NO_COLOR: '1', XDG_CACHE_HOME: join(root, 'build/cache'), ...env },
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
