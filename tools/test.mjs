// Runs the tests; their count goes into build/test-results.json, and into the last line.
//   npm test -- [--times] [--thorough] [paths and options of Jest]
// --times: how long each file took, the slowest first; --thorough: what a run leaves out, in the files that have such
import { spawnSync } from 'node:child_process';
import { existsSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { dirname, join, relative } from 'node:path';
import { fileURLToPath } from 'node:url';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const jest = join(root, 'node_modules/jest/bin/jest.js');
const flags = ['--experimental-vm-modules', '--disable-warning=ExperimentalWarning'];
const kept = join(root, 'build/test-results.json');
const switches = ['--times', '--thorough'];
const own = process.argv.slice(2);
const isThorough = own.includes('--thorough');
const options = own.filter((one) => !switches.includes(one));

/** Files with something that a run of every day leaves out. */
function thoroughFiles() {
  const folder = join(root, 'build/test');
  const files = readdirSync(folder, { recursive: true }).filter((file) => file.endsWith('.test.js'));
  return files.filter(
    (file) =>
      file.endsWith('.thorough.test.js') ||
      /thorough(?:ly)?\.js|testedEngines/.test(readFileSync(join(folder, file), 'utf8')),
  );
}
const paths = isThorough && options.length === 0 ? ['--runTestsByPath', ...thoroughFiles()] : [];

rmSync(kept, { force: true });
const { status } = spawnSync(
  process.execPath,
  [
    ...flags,
    jest,
    '--json',
    `--outputFile=${kept}`,
    ...paths.map((path) => path.replace(/^(?!-)/, 'build/test/')),
    ...options,
  ],
  {
    cwd: root,
    stdio: ['inherit', 'ignore', 'inherit'],
    env: { ...process.env, ...(isThorough ? { DENSE_GLYPH_TESTS: 'thorough' } : {}) },
  },
);
if (existsSync(kept)) {
  const { testResults, numPassedTests, numFailedTests, numRuntimeErrorTestSuites } = JSON.parse(
    readFileSync(kept, 'utf8'),
  );
  if (own.includes('--times')) {
    const times = testResults.map(({ name, startTime, endTime }) => ({
      file: relative(join(root, 'build'), name).replace(/\.js$/, '.ts'),
      seconds: (endTime - startTime) / 1000,
    }));
    for (const { file, seconds } of times.sort((a, b) => b.seconds - a.seconds))
      console.log(`${seconds.toFixed(1).padStart(7)} s  ${file}`);
  }
  console.log(`${numPassedTests} passed, ${numFailedTests + numRuntimeErrorTestSuites} failed`);
}
process.exit(status ?? 1);
