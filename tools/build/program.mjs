// The program in a few files instead of a hundred, so that it starts fast. A command's code stays in a file of its
// own, which is loaded when the command runs. They are CommonJS, which Node loads faster.
import { chmodSync, readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { join, relative } from 'node:path';
import commonjs from '@rollup/plugin-commonjs';
import resolve from '@rollup/plugin-node-resolve';
import terser from '@rollup/plugin-terser';
import { rollup } from 'rollup';
import { root } from './root.mjs';

/** Packages that most calls need; the others stay where they are and are loaded when they are used. */
const inlined = ['commander', 'p-map'];
/** Those that CommonJS can't load in every version of Node. */
const modulesOnly = ['parse5', 'entities'];
const packageOf = (id) => id.split('/')[0];
const isPackage = (id) => /^(@?[a-z]|node:)/.test(id) && !id.startsWith(root);

const fromPromises = ['cp', 'mkdir', 'mkdtemp', 'readFile', 'readdir', 'rename', 'rm', 'stat', 'writeFile']
  .map((name) => `export const ${name} = (...values) => fs.promises.${name}(...values);\n`)
  .join('');

const fromZlib = [
  'brotliCompress',
  'brotliCompressSync',
  'brotliDecompress',
  'brotliDecompressSync',
  'crc32',
  'createBrotliDecompress',
  'createGunzip',
  'createInflate',
  'deflateSync',
  'gunzip',
  'gzipSync',
  'inflate',
  'inflateRaw',
  'inflateSync',
]
  .map((name) => `export const ${name} = (...values) => require('node:zlib').${name}(...values);\n`)
  .join('');
/** Of a package that is one CommonJS file. */
const sourceOf = (name) => readFileSync(createRequire(import.meta.url).resolve(name), 'utf8');
const zlibConstants = 'new Proxy({}, { get: (_, name) => require("node:zlib").constants[name] })';
const { version } = JSON.parse(readFileSync(join(root, 'package.json'), 'utf8'));

/**
 * What takes time at every start and isn't always needed. Commander starts other programs for commands that we don't
 * have. A module of `process` makes all its streams.
 */
const lighter = {
  'node:child_process': 'export default {};',
  'node:process': 'export default globalThis.process;',
  // Where only a little of it is used, or not always, it is loaded when that is called.
  'node:fs/promises': `import fs from 'node:fs';\n${fromPromises}`,
  // It asks stdout whether it is a terminal, and calls with --quiet write nothing.
  picocolors: `let colors;
    function load() { const module = {}; ${sourceOf('picocolors')}; return module.exports; }
    export default new Proxy({}, { get: (_, name) => (colors ??= load())[name] });\n`,
  'node:zlib': `${fromZlib}export const constants = ${zlibConstants};\n`,
};
const lighterBuiltins = {
  name: 'lighter-builtins',
  resolveId: (id) => (id in lighter ? `\0${id}` : null),
  load: (id) =>
    /build\/src\/version\.js$/.test(id)
      ? `export const version = () => ${JSON.stringify(version)};`
      : (lighter[id.slice(1)] ?? null),
};

/** Less text takes less time to read. Functions keep their names, for those who report a fault. */
const shorter = terser({
  compress: false,
  mangle: { keep_fnames: true, keep_classnames: true },
  format: { semicolons: false },
});

/** The package's other files are modules. */
const asCommonJs = {
  name: 'as-commonjs',
  resolveImportMeta: (property) => ({ filename: '__filename', dirname: '__dirname' })[property] ?? null,
  generateBundle() {
    this.emitFile({ type: 'asset', fileName: 'package.json', source: '{ "type": "commonjs" }\n' });
  },
};

/** To find a file takes as long as to read some ten kilobytes: what is small and shared goes into one. */
const files = {
  errors: [/src\/(errors|version)\.js/, /commonjsHelpers/, /^\0node:fs/],
  fonts: [
    /src\/(findings|app\/fonts\/collisions|kit\/at-once)\.js/,
    /src\/cli\/(progress-bar|reporter|safe-text|terminal)\.js/,
    /src\/cli\/views\/words\.js/,
    /src\/cli\/commands\/options\.js/,
    /src\/core\/(face|sfnt|source|tables)\//,
    /src\/core\/text\/(code-point-set|unicode-ranges)\.js/,
    /src\/data\/feature-names\.js/,
    /src\/io\/(font-files|licence-texts|processors|read|write-whole)\.js/,
    /node_modules\/p-map\//,
  ],
  html: [/node_modules\/(parse5|entities)\//],
};
const fileOf = (id) => Object.keys(files).find((name) => files[name].some((pattern) => pattern.test(id)));

/** A file is called by the module that it was made for: `cli-views-inspect`; those of commands by the command alone. */
function nameOf({ name, facadeModuleId, moduleIds }) {
  if (name in files) return `${name}.js`;
  const own = moduleIds.filter((id) => id.startsWith(join(root, 'build/src')));
  const path = relative(join(root, 'build/src'), facadeModuleId ?? own.at(-1) ?? moduleIds.at(-1));
  return path.replace(/^cli\/commands\//, '').replace(/[^\w.]+/g, '-');
}

/** Writes `dist/bin` from the compiled modules. */
export async function bundleProgram() {
  const bundle = await rollup({
    // The first one loads the second.
    input: {
      'dense-glyph': join(root, 'build/src/bin/start.js'),
      main: join(root, 'build/src/bin/main.js'),
      'scan-thread': join(root, 'build/src/app/project/reading/scan-thread.js'),
      'progress-thread': join(root, 'build/src/cli/progress-thread.js'),
    },
    external: (id) =>
      isPackage(id) && ![...inlined, ...modulesOnly].includes(packageOf(id)) && !(id in lighter),
    plugins: [
      lighterBuiltins,
      resolve({ exportConditions: ['node'], preferBuiltins: true }),
      commonjs({ requireReturnsDefault: 'auto' }),
      shorter,
      asCommonJs,
    ],
    treeshake: { moduleSideEffects: false },
    onwarn: (warning) => {
      throw new Error(warning.message);
    },
  });
  await bundle.write({
    dir: join(root, 'dist/bin'),
    format: 'cjs',
    interop: 'auto',
    // Code that V8 has compiled earlier can't import modules; all packages that aren't joined can be required.
    dynamicImportInCjs: false,
    entryFileNames: '[name].js',
    chunkFileNames: nameOf,
    minifyInternalExports: false,
    manualChunks: fileOf,
  });
  await bundle.close();
  chmodSync(join(root, 'dist/bin/dense-glyph.js'), 0o755);
}
