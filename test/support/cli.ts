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

/** Runs the built program as a user would. */
export function cli(args: readonly string[], folder: string): Promise<CliResult> {
  return new Promise((done, failed) => {
    const child = spawn(process.execPath, [join(root, 'dist/bin/dense-glyph.js'), ...args], {
      cwd: folder,
      env: { ...process.env, NO_COLOR: '1' },
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
