// Packs the package in a fresh copy of the project, installs it in an empty folder, and uses it from there.
import { execFileSync } from 'node:child_process';
import { cpSync, mkdtempSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
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
  // As a clone is: nothing installed, nothing built.
  const fresh = join(folder, 'fresh');
  for (const file of run('git', ['ls-files', '-z', '--cached', '--others', '--exclude-standard'], root).split(
    '\0',
  ))
    if (file !== '') cpSync(join(root, file), join(fresh, file));
  console.log(`package: ${run('npm', ['run', '--silent', 'package', '--', '--to', folder], fresh).trim()}`);
  rmSync(fresh, { recursive: true });
  const [filename] = readdirSync(folder).filter((file) => file.endsWith('.tgz'));
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
  for (const [entry, name] of [
    ['dense-glyph', 'convert'],
    ['dense-glyph/core', 'openFont'],
    ['dense-glyph/site', 'PageScanner'],
    ['dense-glyph/kit', 'makeKit'],
    ['dense-glyph/config', 'kitConfig'],
    ['dense-glyph/vite', 'default'],
    ['dense-glyph/postcss', 'default'],
  ]) {
    const script = `import { ${name} as offered } from '${entry}'; console.log(typeof offered)`;
    const kind = run('node', ['--input-type=module', '-e', script]).trim();
    check(kind === 'function', `${entry} can be imported`);
  }
  const convert = `import { convert } from 'dense-glyph';
    const { conversions } = await convert({ fonts: [process.argv[1]], folder: '.', formats: ['woff'], out: 'out' });
    console.log(conversions[0].outputs[0].bytes);`;
  const bytes = Number(run('node', ['--input-type=module', '-e', convert, font]));
  check(bytes === statSync(join(folder, 'out/TidelogMono-Regular.woff')).size, 'convert works as a function');
  // A project of TypeScript that has only us, and Node's types.
  run('npm', [
    'install',
    '--no-audit',
    '--no-fund',
    '--loglevel=error',
    `@types/node@${own.devDependencies['@types/node']}`,
  ]);
  writeFileSync(
    join(folder, 'use.mts'),
    [
      "export * from 'dense-glyph';",
      ...['core', 'site', 'kit', 'vite', 'postcss'].map(
        (name) => `export * as ${name} from 'dense-glyph/${name}';`,
      ),
    ].join('\n'),
  );
  const compiler = join(root, 'node_modules/typescript/bin/tsc');
  const strictly = [
    '--strict',
    '--skipLibCheck',
    'false',
    '--noEmit',
    '--target',
    'es2023',
    '--lib',
    'es2023',
  ];
  run('node', [compiler, ...strictly, '--module', 'nodenext', '--types', 'node', 'use.mts']);
  console.log('package: its types check with no others than Node’s');
  const schema = JSON.parse(
    readFileSync(join(folder, 'node_modules/dense-glyph/dist/config.schema.json'), 'utf8'),
  );
  check('families' in schema.properties, 'the config has a JSON Schema');
  const unused = readdirSync(join(folder, 'node_modules/dense-glyph/dist')).filter((name) =>
    ['cli', 'rehearsal', 'test', 'tools'].includes(name),
  );
  check(unused.length === 0, 'modules that nothing leads to are left out');
} finally {
  rmSync(folder, { recursive: true, force: true });
}
