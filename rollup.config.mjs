// The program in a few files instead of a hundred, so that it starts fast. A command's code stays in a file of its
// own, which is loaded when the command runs.
import commonjs from '@rollup/plugin-commonjs';
import resolve from '@rollup/plugin-node-resolve';

/** Packages that most calls need; the others stay where they are and are loaded when they are used. */
const inlined = ['commander', 'picocolors', 'p-map'];
const isPackage = (id) => /^(@?[a-z]|node:)/.test(id) && !id.startsWith('dist/');

/** Commander starts other programs for commands that we don't have; loading what that takes would slow every start. */
const childProcess = 'node:child_process';
const withoutChildProcesses = {
  name: 'without-child-processes',
  resolveId: (id) => (id === childProcess ? '\0no-child-processes' : null),
  load: (id) => (id === '\0no-child-processes' ? 'export default {};' : null),
};

export default {
  input: { 'dense-glyph': 'dist/cli/main.js' },
  external: (id) => isPackage(id) && !inlined.includes(id) && id !== childProcess,
  plugins: [withoutChildProcesses, resolve({ exportConditions: ['node'], preferBuiltins: true }), commonjs()],
  output: {
    dir: 'dist/bin',
    format: 'esm',
    entryFileNames: '[name].js',
    chunkFileNames: '[name].js',
    minifyInternalExports: false,
  },
  treeshake: { moduleSideEffects: false },
  onwarn: (warning) => {
    throw new Error(warning.message);
  },
};
