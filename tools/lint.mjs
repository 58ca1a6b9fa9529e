// Everything that is checked without running the code; stops at nothing, fails if one of them failed.
import { spawnSync } from 'node:child_process';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const checks = [
  ['eslint', 'node_modules/eslint/bin/eslint.js', ['.', '--max-warnings=0']],
  ['prettier', 'node_modules/prettier/bin/prettier.cjs', ['--check', '--log-level=warn', '.']],
  [
    'layers',
    'node_modules/dependency-cruiser/bin/dependency-cruise.mjs',
    ['src', 'test', 'test-support', 'tools', 'typefaces', 'bench', '--config', '.dependency-cruiser.cjs'],
  ],
  ['unused exports', 'node_modules/knip/bin/knip.js', []],
];
let failed = 0;
for (const [name, script, args] of checks) {
  const { status } = spawnSync(process.execPath, [join(root, script), ...args], {
    cwd: root,
    stdio: 'inherit',
  });
  console.log(`${name}: ${status === 0 ? 'passed' : 'failed'}`);
  if (status !== 0) failed++;
}
console.log(`lint: ${checks.length - failed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
