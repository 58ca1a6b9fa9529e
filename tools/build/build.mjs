// Builds everything: the compiled modules in build/, the package in dist/.
//   node tools/build/build.mjs [--watch]
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, readdirSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import { root } from './root.mjs';

const compiler = join(root, 'node_modules/typescript/bin/tsc');

/** Outputs in build/ of sources that are gone; tests among them would still be run. */
function removeStale() {
  const folder = join(root, 'build');
  if (!existsSync(folder)) return;
  for (const entry of readdirSync(folder, { recursive: true, withFileTypes: true })) {
    const path = join(entry.parentPath ?? entry.path, entry.name);
    const module = /^(.*?)\.(js|d\.ts|js\.map)$/.exec(relative(folder, path))?.[1];
    if (module === undefined || !/^(src|browser|test|test-support|tools|typefaces|bench)\//.test(module))
      continue;
    const source = module.startsWith('browser/') ? `src/${module}` : module;
    if (!['.ts', '.d.ts'].some((extension) => existsSync(join(root, source + extension)))) rmSync(path);
  }
}

/** What comes after the compiler. */
async function assemble() {
  const { bundlePages } = await import('./pages.mjs');
  const { bundleProgram } = await import('./program.mjs');
  const { writeLibrary } = await import('./library.mjs');
  await bundlePages();
  // What is compiled is run by tests as it lies, and asks for its version and the sample beside it.
  const { version, imports } = JSON.parse(readFileSync(join(root, 'package.json'), 'utf8'));
  const here = Object.fromEntries(
    Object.entries(imports).map(([name, path]) => [name, path.replace('./build/', './')]),
  );
  writeFileSync(join(root, 'build/package.json'), JSON.stringify({ type: 'module', version, imports: here }));
  rmSync(join(root, 'dist'), { recursive: true, force: true });
  await writeLibrary();
  await bundleProgram();
  if (!existsSync(join(root, 'build/sample')))
    symlinkSync(join(root, 'sample'), join(root, 'build/sample'), 'junction');
  writeFileSync(join(root, 'build/ready'), '');
}

function watch() {
  const child = spawn(process.execPath, [compiler, '-b', '--watch', '--preserveWatchOutput'], { cwd: root });
  child.stdout.on('data', (chunk) => {
    process.stdout.write(chunk);
    if (!String(chunk).includes('Found 0 errors')) return;
    assemble().then(
      () => console.log('dist is up to date'),
      (cause) => console.error(cause),
    );
  });
}

if (process.argv.includes('--watch')) watch();
else {
  removeStale();
  const { writeLists } = await import('./lists.mjs');
  writeLists();
  const { status } = spawnSync(process.execPath, [compiler, '-b'], { cwd: root, stdio: ['ignore', 2, 2] });
  if (status !== 0) process.exit(status ?? 1);
  await assemble();
}
