// Installs and builds what is missing or stale, then runs a script. Needs nothing but Node.
//   node tools/ready.mjs [--browsers] [--then <script> [arguments…]]
import { spawnSync } from 'node:child_process';
import { existsSync, readdirSync, statSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const program = 'dist/bin/dense-glyph.js';
const args = process.argv.slice(2);
const then = args.indexOf('--then');
const own = then < 0 ? args : args.slice(0, then);

if (Number(process.versions.node.split('.')[0]) < 20) {
  console.error(`Node ${process.versions.node} is too old; install Node 20 or later`);
  process.exit(2);
}

const time = (path) => (existsSync(join(root, path)) ? statSync(join(root, path)).mtimeMs : 0);

function newest(folder) {
  return readdirSync(join(root, folder), { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile() && /\.(ts|mjs|json|css)$/.test(entry.name))
    .reduce(
      (latest, entry) => Math.max(latest, statSync(join(entry.parentPath ?? entry.path, entry.name)).mtimeMs),
      0,
    );
}

function run(command, commandArgs, options = {}) {
  const result = spawnSync(command, commandArgs, { cwd: root, stdio: ['ignore', 2, 2], ...options });
  if (result.error) throw result.error;
  if (result.status !== 0) process.exit(result.status ?? 1);
}

if (time('node_modules/.package-lock.json') < time('package-lock.json')) {
  console.error('Installing packages …');
  run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], {
    shell: process.platform === 'win32',
  });
}

const sources = Math.max(
  ...['src', 'typefaces', 'tools', 'test', 'test-support', 'bench'].map(newest),
  time('tsconfig.base.json'),
  time('tsconfig.dev.json'),
  time('package.json'), // its version is put into the program
);
if (!existsSync(join(root, program)) || time('build/ready') < sources) {
  console.error('Building …');
  run(process.execPath, ['tools/build/build.mjs']);
}

if (own.includes('--browsers')) {
  const { installBrowsers } = await import('./browsers.mjs');
  installBrowsers();
}

if (then >= 0) {
  const result = spawnSync(process.execPath, [join(root, args[then + 1]), ...args.slice(then + 2)], {
    stdio: 'inherit',
  });
  process.exit(result.status ?? 1);
}
