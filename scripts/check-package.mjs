// Packs the package, installs it in an empty folder, and uses it from there.
import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const json = (name) => JSON.parse(readFileSync(join(root, name), 'utf8'));
const own = json('package.json');
const { version } = own;
const folder = mkdtempSync(join(tmpdir(), 'dense-glyph-package-'));
const env = { ...process.env, XDG_CACHE_HOME: join(folder, 'caches') };
const run = (command, args, cwd = folder) => execFileSync(command, args, { cwd, encoding: 'utf8', env });

function check(condition, message) {
  if (!condition) throw new Error(message);
  console.log(`package: ${message}`);
}

const locked = json('package-lock.json').packages[''];
for (const kind of ['dependencies', 'devDependencies']) {
  const sorted = (versions) => JSON.stringify(Object.entries(versions).sort());
  check(sorted(own[kind]) === sorted(locked[kind]), `package-lock.json has the ${kind} of package.json`);
}

try {
  const [{ filename, size }] = JSON.parse(
    run('npm', ['pack', '--json', '--ignore-scripts', '--pack-destination', folder], root),
  );
  console.log(`package: ${filename}, ${(size / 1000).toFixed(0)} kB`);
  run('npm', ['init', '-y']);
  run('npm', ['install', '--no-audit', '--no-fund', '--loglevel=error', join(folder, filename)]);
  check(
    run('npx', ['dense-glyph', '--version']).trim() === version,
    `npx dense-glyph --version prints ${version}`,
  );
  const font = join(folder, 'node_modules/dense-glyph/sample/fonts/TidelogMono-Regular.ttf');
  run('npx', ['dense-glyph', 'convert', font, '--to', 'woff2', '--out', 'out']);
  const before = statSync(font).size;
  const after = statSync(join(folder, 'out/TidelogMono-Regular.woff2')).size;
  check(after > 0 && after < before / 2, `a conversion takes ${before} bytes to ${after}`);
  const script = "import { core } from 'dense-glyph'; console.log(typeof core.openFont)";
  check(
    run('node', ['--input-type=module', '-e', script]).trim() === 'function',
    'the library can be imported',
  );
} finally {
  rmSync(folder, { recursive: true, force: true });
}
