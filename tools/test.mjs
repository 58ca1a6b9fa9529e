// Runs the tests; their count goes into build/test-results.json.
import { spawnSync } from 'node:child_process';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const jest = join(root, 'node_modules/jest/bin/jest.js');
const flags = ['--experimental-vm-modules', '--disable-warning=ExperimentalWarning'];
const results = ['--json', `--outputFile=${join(root, 'build/test-results.json')}`];
const { status } = spawnSync(process.execPath, [...flags, jest, ...results, ...process.argv.slice(2)], {
  cwd: root,
  stdio: ['inherit', 'ignore', 'inherit'],
});
process.exit(status ?? 1);
