// The layers of docs/architecture.md: who may import whom.
const fileOrNetwork =
  '^(node:)?(fs|fs/promises|path|os|http|https|net|tls|dgram|child_process|worker_threads|process|readline|tty)$';

/** @type {import('dependency-cruiser').IConfiguration} */
module.exports = {
  forbidden: [
    {
      name: 'no-cycles',
      severity: 'error',
      from: {},
      to: { circular: true },
    },
    {
      name: 'core-is-pure',
      comment: 'core imports nothing outside core and data, and no files, network or process',
      severity: 'error',
      from: { path: '^src/core' },
      to: { pathNot: '^(src/(core|data)/|(node:)?zlib$)' },
    },
    {
      name: 'data-stands-alone',
      severity: 'error',
      from: { path: '^src/data' },
      to: { pathNot: '^src/data' },
    },
    {
      name: 'core-has-no-io',
      severity: 'error',
      from: { path: '^src/(core|data)' },
      to: { path: fileOrNetwork },
    },
    {
      name: 'site-below-kit',
      severity: 'error',
      from: { path: '^src/site' },
      to: { path: '^src/(kit|rehearsal|cli)' },
    },
    {
      name: 'kit-below-cli',
      severity: 'error',
      from: { path: '^src/kit' },
      to: { path: '^src/(rehearsal|cli)' },
    },
    {
      name: 'nobody-imports-cli',
      severity: 'error',
      from: { pathNot: '^src/cli' },
      to: { path: '^src/cli' },
    },
    {
      name: 'only-known-packages',
      severity: 'error',
      from: { path: '^src' },
      to: { dependencyTypes: ['npm-no-pkg', 'npm-dev', 'unknown', 'undetermined'] },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.base.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default'],
    },
  },
};
