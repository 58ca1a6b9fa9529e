// The package's modules: what its entries lead to, and nothing else of what the compiler wrote.
import { cpSync, existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join, relative } from 'node:path';
import { pathToFileURL } from 'node:url';
import { root } from './root.mjs';

const compiled = join(root, 'build/src');
/** The last one is started as a thread. */
const entries = [
  'index',
  'core/index',
  'site/index',
  'kit/index',
  'config/index',
  'plugins/vite',
  'plugins/postcss',
  'app/project/reading/scan-thread',
];

/** Relative imports of a module or of its types, as paths of that kind. */
function importsOf(path, extension) {
  const text = readFileSync(path, 'utf8');
  const found = text.matchAll(/(?:from|import)\s*\(?\s*['"](\.[^'"]+)\.js['"]/g);
  return Array.from(found, ([, specifier]) => join(dirname(path), specifier) + extension);
}

function reachable(extension) {
  const found = new Set();
  const waiting = entries.map((entry) => join(compiled, entry) + extension);
  for (let path = waiting.pop(); path !== undefined; path = waiting.pop()) {
    if (found.has(path)) continue;
    found.add(path);
    waiting.push(...importsOf(path, extension));
  }
  return found;
}

/** Writes the library and the config's JSON Schema into `dist`. */
export async function writeLibrary() {
  for (const path of [...reachable('.js'), ...reachable('.d.ts')]) {
    const target = join(root, 'dist', relative(compiled, path));
    mkdirSync(dirname(target), { recursive: true });
    // Types of what the pages' build makes stand beside its source.
    const source = existsSync(path) ? path : join(root, 'src', relative(compiled, path));
    cpSync(source, target);
  }
  const { configJsonSchema } = await import(pathToFileURL(join(compiled, 'config/json-schema.js')).href);
  writeFileSync(join(root, 'dist/config.schema.json'), `${JSON.stringify(configJsonSchema(), null, 2)}\n`);
}
