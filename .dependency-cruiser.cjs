// The layers of docs/architecture.md: who may import whom.
const fileOrNetwork =
  '^(node:)?(fs|fs/promises|os|http|https|net|tls|dgram|child_process|worker_threads|process|readline|tty)$';

const root = '^src/(errors|findings|finding-codes)\\.ts$';
const built = '^src/browser/built/';

/** Own modules that a folder may import, besides packages and those of Node. */
const layers = {
  data: [],
  core: ['^src/core/', '^src/data/', root],
  site: ['^src/site/', '^src/core/(text|face)/', '^src/data/', root],
  config: ['^src/config/', '^src/core/face/', '^src/errors\\.ts$'],
  io: ['^src/io/', '^src/core/', '^src/errors\\.ts$'],
  kit: [
    '^src/kit/',
    '^src/(core|site|data)/',
    '^src/config/(schema|face-choice|connections)\\.ts$',
    root,
    built,
  ],
  app: ['^src/(app|kit|config|io|site|core|data)/', '^src/(errors|findings|version)\\.ts$', built],
  rehearsal: ['^src/(rehearsal|app|kit|config|io|site|core|data)/', root, built],
  plugins: ['^src/(plugins|app|kit|config|io|site|core|data)/', root],
  cli: ['^src/(cli|app|rehearsal|core|data|kit)/', '^src/(errors|findings|version)\\.ts$'],
  bin: ['^src/(bin|cli)/'],
  browser: ['^src/browser/'],
};

const isOwn = '^(src|test|test-support|tools|typefaces|bench)/';

/** @type {import('dependency-cruiser').IConfiguration} */
module.exports = {
  forbidden: [
    { name: 'no-cycles', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'rooms-import-one-way',
      comment: 'what two folders need of each other goes below both',
      severity: 'error',
      scope: 'folder',
      from: { path: '^src/' },
      to: { circular: true },
    },
    ...Object.entries(layers).map(([folder, allowed]) => ({
      name: `${folder}-imports-what-lies-below`,
      severity: 'error',
      from: { path: `^src/${folder}/`, pathNot: built },
      to: { path: isOwn, pathNot: allowed.length > 0 ? allowed : ['^src/data/'] },
    })),
    {
      name: 'use-cases-share-by-project',
      comment: 'a use case may call another one, by its entry; what both need is in project',
      severity: 'error',
      from: { path: '^src/app/([^/]+)/' },
      to: {
        path: '^src/app/[^/]+/',
        pathNot: ['^src/app/($1|project)/', '^src/app/(scanning/scan|drafting/draft-for-fonts)\\.ts$'],
      },
    },
    {
      name: 'project-knows-no-use-case',
      severity: 'error',
      from: { path: '^src/app/project/' },
      to: { path: '^src/app/', pathNot: '^src/app/(project/|progress\\.ts$)' },
    },
    {
      name: 'errors-and-findings-stand-alone',
      severity: 'error',
      from: { path: root },
      to: { path: isOwn, pathNot: [root] },
    },
    {
      name: 'core-has-no-packages',
      comment: 'core computes: of Node it takes compression only',
      severity: 'error',
      from: { path: '^src/(core|data)/' },
      to: { pathNot: ['^src/', '^(node:)?zlib$'] },
    },
    {
      name: 'files-and-network',
      comment:
        'only io, the loader of the config and rehearsal touch disk and network; what draws progress has a thread that writes to stderr',
      severity: 'error',
      from: {
        path: '^src/',
        pathNot: [
          '^src/(io|rehearsal|bin)/',
          '^src/config/load\\.ts$',
          '^src/cli/progress-(line|thread)\\.ts$',
        ],
      },
      to: { path: fileOrNetwork },
    },
    {
      name: 'only-known-packages',
      severity: 'error',
      from: { path: '^src' },
      to: {
        dependencyTypes: ['npm-no-pkg', 'npm-dev', 'unknown', 'undetermined'],
        // An optional peer that the tests use too.
        pathNot: 'node_modules/puppeteer-core/',
      },
    },
    {
      name: 'browser-code-only-built',
      severity: 'error',
      from: { path: '^src/', pathNot: '^src/browser/' },
      to: { path: '^src/browser/', pathNot: built },
    },
    {
      name: 'product-stands-alone',
      severity: 'error',
      from: { path: '^src/' },
      to: { path: '^(test|test-support|tools|typefaces|bench)/' },
    },
    {
      name: 'helpers-import-no-tests',
      severity: 'error',
      from: { path: '^(test-support|typefaces)/' },
      to: { path: '^(test|tools|bench)/' },
    },
    {
      name: 'typefaces-draw-by-core',
      severity: 'error',
      from: { path: '^typefaces/' },
      to: { path: '^(build/)?src/', pathNot: '^(build/)?src/(core|data)/' },
    },
    {
      name: 'tools-and-bench-stand-beside-each-other',
      severity: 'error',
      from: { path: '^(tools|bench)/' },
      to: { path: ['^test/', '^(build/)?src/(cli|bin)/'] },
    },
    {
      name: 'tests-of-a-layer-need-no-more-than-it',
      comment: 'core is tested by core, and so on; whole commands and pages are driven as built',
      severity: 'error',
      from: { path: '^test/core/' },
      to: { path: '^(build/)?src/', pathNot: '^(build/)?src/(core|data|errors|findings)' },
    },
  ],
  options: {
    // Tests and tools import #src/…, which Node takes from build/.
    doNotFollow: { path: ['node_modules', '^build/'] },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.base.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default'],
    },
  },
};
