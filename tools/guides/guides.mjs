// What each guide says, as a program: a project, the commands, and where the result is served.
import { spawn, spawnSync } from 'node:child_process';
import { createServer } from 'node:http';
import { cpSync, existsSync, readFileSync, statSync, symlinkSync, writeFileSync } from 'node:fs';
import { extname, join } from 'node:path';

const types = {
  '.html': 'text/html',
  '.css': 'text/css',
  '.js': 'text/javascript',
  '.mjs': 'text/javascript',
  '.woff2': 'font/woff2',
};

const listen = (handler) =>
  new Promise((done) => {
    const server = createServer(handler);
    server.listen(0, '127.0.0.1', () => {
      const end = () => (server.closeAllConnections(), new Promise((closed) => server.close(closed)));
      done({ url: `http://127.0.0.1:${server.address().port}/`, end });
    });
  });

/** Files of a folder, as the simplest host serves them. */
const serve = (folder) =>
  listen((request, response) => {
    const path = decodeURIComponent(request.url.replace(/[?#].*/, ''));
    const file = join(folder, path.endsWith('/') ? `${path}index.html` : path);
    if (!existsSync(file) || !statSync(file).isFile()) return response.writeHead(404).end();
    response.writeHead(200, { 'content-type': types[extname(file)] ?? 'application/octet-stream' });
    response.end(readFileSync(file));
  });

const page = (head = '', body = '') =>
  `<!doctype html>\n<html lang="en">\n<head>\n<meta charset="utf-8">\n<title>Pier</title>\n${head}</head>\n<body>\n<h1>Four boats</h1>\n<p>The first boat leaves at six.</p>\n${body}</body>\n</html>\n`;

const css =
  'body { font-family: "Ferrywake Sans", Arial }\nh1 { font-family: "Lampbuoy Slab", serif; font-weight: 700 }\n';

const config = (site, folder, url) => `site: { root: ${site} }
output: { folder: ${folder}${url ? `, url: ${url}` : ''} }
families:
  - { family: Ferrywake Sans, files: ["fonts/FerrywakeSans-Variable*.ttf"], role: body, stack: [Arial, sans-serif] }
  - { family: Lampbuoy Slab, files: [fonts/LampbuoySlab-Bold.otf], role: heading, stack: [Georgia, serif] }
`;

const notice = '<p>It does <em>not</em> sail tonight.</p>\n';

/** A kit whose faces arrive together. */
function noticeKit({ put, run }) {
  put('site/site.css', css);
  put(
    'dense-glyph.config.yaml',
    config('site', 'site/type', '/type/')
      .replace(/ \}$/gm, ', loading: { group: notice } }')
      .replace(/^(site|output): (.*), loading: \{ group: notice \} \}$/gm, '$1: $2 }'),
  );
  run('dense-glyph', 'build');
}

/** A program that serves, until it is ended. */
async function started(file, args, cwd, url, env = {}) {
  const child = spawn(file, args, { cwd, stdio: 'ignore', env: { ...process.env, ...env } });
  for (let i = 0; i < 60; i++) {
    await new Promise((done) => setTimeout(done, 100));
    if (await fetch(url).then(() => true, () => false)) break; // prettier-ignore
  }
  return { url, end: () => new Promise((done) => (child.once('exit', done), child.kill())) };
}

const freePort = async () => {
  const { url, end } = await listen(() => undefined);
  await end();
  return Number(new URL(url).port);
};

const versionOf = (folder, name) =>
  JSON.parse(readFileSync(join(folder, 'node_modules', name, 'package.json'), 'utf8')).version;

/** A project with a bundler that has no kit yet. */
function bundled(put, run) {
  put('package.json', '{ "type": "module" }');
  put('index.html', page('', '<script type="module" src="/src/main.js"></script>\n'));
  put('src/main.js', "import './site.css';\n");
  put('src/site.css', css);
  run('npm', 'install', '--silent', 'vite@5');
}

const appFolder = new URL('../../test-support/apps/pier/', import.meta.url).pathname;
/** Icon packages, whose own stylesheets declare whole fonts. */
const iconFonts = {
  'bootstrap-icons': 'node_modules/bootstrap-icons/font/fonts/bootstrap-icons.woff2',
  'material-icons': 'node_modules/material-icons/iconfont/material-icons.woff2',
};

/** The app of the tests, with this package as if it were installed. */
function reactApp({ folder, run }, vite, ...more) {
  cpSync(appFolder, folder, { recursive: true });
  run(
    'npm',
    'install',
    '--silent',
    `vite@${vite}`,
    'react@19',
    'react-dom@19',
    ...Object.keys(iconFonts),
    ...more,
  );
  symlinkSync(new URL('../..', import.meta.url).pathname, join(folder, 'node_modules/dense-glyph'));
}

/** The folder as a host of apps serves it: what is no file is the start page. */
const serveApp = (folder) =>
  listen((request, response) => {
    const path = decodeURIComponent(request.url.replace(/[?#].*/, ''));
    const named = join(folder, path.endsWith('/') ? `${path}index.html` : path);
    const isThere = existsSync(named) && statSync(named).isFile();
    if (!isThere && extname(path)) return response.writeHead(404).end();
    const file = isThere ? named : join(folder, 'index.html');
    response.writeHead(200, {
      'content-type': types[extname(file)] ?? 'application/octet-stream',
      'content-length': statSync(file).size,
    });
    response.end(readFileSync(file));
  });

/** Without a program between that would be ended in its place. */
const viteServer = (folder, port) =>
  started(
    process.execPath,
    ['node_modules/vite/bin/vite.js', '--port', String(port), '--strictPort'],
    folder,
    `http://localhost:${port}/`,
  );

const visit = (selector) => async (page) => {
  await page.click(selector);
  await new Promise((done) => setTimeout(done, 1200));
};

/** Dev server and build of one version, with files that the bundler names and with files as they are. */
const vitePlugin = (vite) => async (project) => {
  const { folder, put, read, run } = project;
  reactApp(project, vite);
  const version = `vite ${versionOf(folder, 'vite')}`;
  // The first command: the app as it runs says what it draws.
  const before = await viteServer(folder, await freePort());
  run(
    'dense-glyph',
    'init',
    'fonts/*Variable*.ttf',
    'fonts/*Mono*',
    'fonts/*.otf',
    ...Object.values(iconFonts),
    '--site',
    before.url,
  );
  await before.end();
  const config = read('dense-glyph.config.yaml');
  put(
    'vite.config.js',
    guideBlock('vite.md', 'js')
      .replace('[denseGlyph()', '[denseGlyph()')
      .replace('export default {', "export default { esbuild: { jsx: 'automatic' },"),
  );
  const looks = [];
  for (const [mode, text] of [
    ['names its files', config.replace(/^ {2}url: "\/type\/"\n/m, '')],
    ['as they are', config],
  ]) {
    put('dense-glyph.config.yaml', text);
    const port = await freePort();
    const dev = await viteServer(folder, port);
    const never = /bootstrap-icons\.woff2|material-icons\.woff2|(?:material|bootstrap)-icons-(?!400n)/;
    looks.push({
      ...dev,
      isDev: true,
      version: `${version}, dev, ${mode}`,
      never,
      most: 6,
      act: visit('a[href="/fares"]'),
    });
    const out = `dist-${looks.length}`;
    run('npx', 'vite', 'build', '--outDir', out);
    looks.push({
      ...(await serveApp(join(folder, out))),
      version: `${version}, build, ${mode}`,
      never,
      most: 6,
      act: visit('a[href="/fares"]'),
    });
  }
  // The same by itself: the kit of what was built follows its page.
  const built = `dist-${looks.length - 1}`;
  put(
    'dense-glyph.config.yaml',
    config.replace(/^ {2}url: "http.*\n/m, `  root: ${built}\n  scripts: true\n`),
  );
  await followed(folder, join(folder, built, 'index.html'), () => read('.dense-glyph/kit.json'));
  return looks;
};

/** A plain site with its kit. */
function wired(put, run) {
  put('site/index.html', page('<link rel="stylesheet" href="site.css">\n'));
  put('site/site.css', css);
  put('dense-glyph.config.yaml', config('site', 'site/type', '/type/'));
  run('dense-glyph', 'build');
  run('dense-glyph', 'wire');
}

/** React Router renders on a server; its pages have no index.html. */
const reactServer = async ({ folder, put, run }) => {
  put('package.json', '{ "type": "module" }');
  put(
    'app/routes.js',
    "import { index, route } from '@react-router/dev/routes';\nexport default [index('home.jsx'), route('fares', 'fares.jsx')];\n",
  );
  put(
    'app/home.jsx',
    'export default () => (<><h1>Four boats</h1><p>The first boat leaves at six.</p><a href="/fares">Fares</a></>);\n',
  );
  put('app/fares.jsx', 'export default () => (<><h1>Fares</h1><p>Skerry 9.80</p></>);\n');
  put('app/site.css', css);
  const page = (hints) => `import { Links, Meta, Outlet, Scripts } from 'react-router';
import './site.css';
${hints ? `import 'virtual:dense-glyph.css';\n${guideBlock('vite.md', 'jsx')}` : ''}
export default () => (
  <html lang="en">
    <head><title>Pier</title>${hints}<Meta /><Links /></head>
    <body><Outlet /><Scripts /></body>
  </html>
);
`;
  const config = (plugin) => `import { reactRouter } from '@react-router/dev/vite';
${plugin ? "import denseGlyph from 'dense-glyph/vite';" : ''}
export default { plugins: [${plugin}reactRouter()] };
`;
  put('app/root.jsx', page(''));
  put('vite.config.js', config(''));
  put('react-router.config.js', 'export default { ssr: true };\n');
  run(
    'npm',
    'install',
    '--silent',
    'vite@6',
    'react@19',
    'react-dom@19',
    ...['react-router', '@react-router/dev', '@react-router/node', '@react-router/serve'].map(
      (name) => `${name}@7.9.4`,
    ),
    'isbot@5',
  );
  symlinkSync(new URL('../..', import.meta.url).pathname, join(folder, 'node_modules/dense-glyph'));
  const port = await freePort();
  const dev = ['node_modules/@react-router/dev/bin.js', 'dev', '--port', String(port)];
  const url = `http://localhost:${port}/`;
  const before = await started(process.execPath, dev, folder, url);
  run('dense-glyph', 'init', 'fonts/*Variable*.ttf', 'fonts/*.otf', '--site', url);
  await before.end();
  // The bundler names the files.
  put(
    'dense-glyph.config.yaml',
    readFileSync(join(folder, 'dense-glyph.config.yaml'), 'utf8').replace(/^ {2}url: "\/type\/"\n/m, ''),
  );
  put('app/root.jsx', page('<Hints />'));
  put('vite.config.js', config('denseGlyph({ head: false }), '));
  const version = `react-router ${versionOf(folder, 'react-router')}`;
  const running = await started(process.execPath, dev, folder, url);
  const look = { ...running, version: `${version}, dev`, isDev: true, most: 2 };
  run(process.execPath, 'node_modules/@react-router/dev/bin.js', 'build');
  const other = await freePort();
  const served = await started(
    process.execPath,
    ['node_modules/@react-router/serve/bin.js', './build/server/index.js'],
    folder,
    `http://localhost:${other}/`,
    { PORT: String(other) },
  );
  return [look, { ...served, version: `${version}, build`, most: 2 }];
};

/** Astro makes static pages, and builds with Vite. */
const staticMaker = async ({ folder, put, run }) => {
  put('package.json', '{ "type": "module" }');
  put('src/site.css', css);
  const layout = (script, head) => `---
import '../site.css';
${script}---
<html lang="en">
  <head><meta charset="utf-8" /><title>Pier</title>${head}</head>
  <body><h1>Four boats</h1><p>The first boat leaves at six.</p></body>
</html>
`;
  put('src/pages/index.astro', layout('', ''));
  run('npm', 'install', '--silent', 'astro@5');
  symlinkSync(new URL('../..', import.meta.url).pathname, join(folder, 'node_modules/dense-glyph'));
  put(
    'dense-glyph.config.yaml',
    config('dist', 'public/type').replace('root: dist', 'root: dist, demand: dense-glyph.demand.json'),
  );
  run('npx', 'astro', 'build');
  put('dense-glyph.demand.json', run('dense-glyph', 'scan', '--json'));
  put('astro.config.mjs', guideBlock('vite.md', 'mjs'));
  put(
    'src/pages/index.astro',
    layout(
      "import 'virtual:dense-glyph.css';\nimport { preloads } from 'virtual:dense-glyph';\n",
      guideBlock('vite.md', 'astro').trim(),
    ),
  );
  run('npx', 'astro', 'build');
  return { ...(await serve(join(folder, 'dist'))), version: `astro ${versionOf(folder, 'astro')}`, most: 2 };
};

/** VitePress makes pages from texts with an app of its own, whose theme brings a face in partial files. */
const publicApp = async ({ folder, put, run }) => {
  put('package.json', '{ "type": "module" }');
  put('index.md', '# Four boats\n\nThe first boat leaves at six. [Fares](/fares)\n');
  put('fares.md', '# Fares\n\nSkerry: **9.80**, *not* on Sundays.\n');
  put('.vitepress/config.mjs', "export default { title: 'Pier' };\n");
  run('npm', 'install', '--silent', 'vitepress@1');
  symlinkSync(new URL('../..', import.meta.url).pathname, join(folder, 'node_modules/dense-glyph'));
  run('npx', 'vitepress', 'build');
  const dist = '.vitepress/dist';
  const fonts = 'node_modules/vitepress/dist/client/theme-default/fonts/*.woff2';
  run('dense-glyph', 'init', fonts, '--site', dist, '--run-scripts');
  const drafted = readFileSync(join(folder, 'dense-glyph.config.yaml'), 'utf8');
  put('dense-glyph.config.yaml', drafted.replace(/folder: .*$/m, 'folder: type'));
  put(
    '.vitepress/config.mjs',
    "import denseGlyph from 'dense-glyph/vite';\nexport default { title: 'Pier', vite: { plugins: [denseGlyph({ head: false })] } };\n",
  );
  put(
    '.vitepress/theme/index.js',
    "import theme from 'vitepress/theme';\nimport 'virtual:dense-glyph.css';\nexport default theme;\n",
  );
  run('npx', 'vitepress', 'build');
  const version = `vitepress ${versionOf(folder, 'vitepress')}`;
  const built = { ...(await serve(join(folder, dist))), version: `${version}, build`, expects: 'Inter' };
  await followed(folder, join(folder, dist, 'index.html'), () =>
    readFileSync(join(folder, '.dense-glyph/kit.json'), 'utf8'),
  );
  return [{ ...built, never: /inter-(?:roman|italic)-[a-z-]+\.[\w-]+\.woff2/ }];
};

/** A call of build --watch that makes the kit again when a page has changed, and is ended then. */
async function followed(folder, page, kit) {
  const config = join(folder, 'dense-glyph.config.yaml');
  const before = readFileSync(config, 'utf8');
  const text = readFileSync(page, 'utf8');
  // The pages themselves, not what was kept of them.
  writeFileSync(config, before.replace(/^ {2}demand: .*\n/m, ''));
  const program = new URL('../../dist/bin/dense-glyph.js', import.meta.url).pathname;
  const child = spawn(process.execPath, [program, 'build', '--watch'], { cwd: folder });
  let said = '';
  child.stdout.on('data', (chunk) => (said += chunk));
  const until = async (isThere) => {
    for (let i = 0; i < 1800 && !isThere(); i++) await new Promise((done) => setTimeout(done, 100));
    if (!isThere()) throw new Error(`build --watch says ${said}`);
  };
  try {
    await until(() => said.includes('Ctrl+C'));
    const first = kit();
    writeFileSync(page, text.replace('</body>', '<p>Žluťoučký kůň</p></body>'));
    await until(() => kit() !== first);
  } finally {
    child.kill('SIGINT');
    writeFileSync(config, before);
    writeFileSync(page, text);
  }
}

/** An app whose classes say which face it is: the fourth version of the framework has its own plugin for Vite. */
const utilityApp = async ({ folder, put, read, run }) => {
  put('package.json', '{ "type": "module" }');
  put('index.html', page('', '<div id="root"></div><script type="module" src="/src/main.js"></script>\n'));
  put(
    'src/main.js',
    "import './site.css';\ndocument.getElementById('root').innerHTML = '<p class=\"font-body hover:font-bold\">Skerry <b class=\"font-heading\">9.80</b></p>';\n",
  );
  put(
    'src/site.css',
    '@import "tailwindcss";\n@theme { --font-body: "Ferrywake Sans", Arial; --font-heading: "Lampbuoy Slab", serif; }\nbody { font-family: var(--font-body); }\n',
  );
  put(
    'vite.config.js',
    "import utilities from '@tailwindcss/vite';\nexport default { plugins: [utilities()] };\n",
  );
  run('npm', 'install', '--silent', 'vite@6', 'tailwindcss@4', '@tailwindcss/vite@4');
  symlinkSync(new URL('../..', import.meta.url).pathname, join(folder, 'node_modules/dense-glyph'));
  const port = await freePort();
  const before = await viteServer(folder, port);
  run('dense-glyph', 'init', 'fonts/*Variable*.ttf', 'fonts/*.otf', '--site', before.url);
  await before.end();
  put(
    'vite.config.js',
    read('vite.config.js')
      .replace('export', "import denseGlyph from 'dense-glyph/vite';\nexport")
      .replace('[', '[denseGlyph(), '),
  );
  run('npx', 'vite', 'build');
  return {
    ...(await serve(join(folder, 'dist'))),
    version: `tailwindcss ${versionOf(folder, 'tailwindcss')}, vite ${versionOf(folder, 'vite')}`,
    most: 2,
  };
};

/** PostCSS by its own command. */
const postcssPlugin = async ({ folder, put, run }) => {
  put('package.json', '{ "type": "module" }');
  put('site/index.html', page('<link rel="stylesheet" href="site.css">\n'));
  put('src/site.css', `@import "dense-glyph";\n${css}`);
  put('postcss.config.js', guideBlock('postcss.md', 'js'));
  put('dense-glyph.config.yaml', config('site', 'site/type'));
  run('npm', 'install', '--silent', 'postcss@8', 'postcss-cli@11');
  symlinkSync(new URL('../..', import.meta.url).pathname, join(folder, 'node_modules/dense-glyph'));
  // The pages have to have their styles before they say what they draw.
  put('site/site.css', css);
  put('kept.json', run('dense-glyph', 'scan', '--json'));
  put(
    'dense-glyph.config.yaml',
    config('site', 'site/type').replace('root: site', 'root: site, demand: kept.json'),
  );
  run('npx', 'postcss', 'src/site.css', '-o', 'site/site.css');
  return {
    ...(await serve(join(folder, 'site'))),
    version: `postcss ${versionOf(folder, 'postcss')}`,
    most: 2,
  };
};

export const guides = {
  'react-server': reactServer,
  'static-maker': staticMaker,
  'public-app': publicApp,
  'utility-app': utilityApp,
  postcss: postcssPlugin,
  'vite-5': vitePlugin(5),
  'vite-6': vitePlugin(6),
  'vite-7': vitePlugin(7),

  'plain-site': async ({ folder, put, run }) => {
    put('site/index.html', page('<link rel="stylesheet" href="site.css">\n'));
    put('site/site.css', css);
    run('dense-glyph', 'init', 'fonts', '--site', 'site');
    run('dense-glyph', 'build');
    run('dense-glyph', 'wire');
    return { ...(await serve(join(folder, 'site'))), version: 'files' };
  },

  'bundler-public': async ({ folder, put, run }) => {
    bundled(put, run);
    put('dense-glyph.config.yaml', config('dist', 'public/type', '/type/'));
    // The first build gives the pages that the faces are cut to.
    run('npx', 'vite', 'build');
    run('dense-glyph', 'build');
    const head = run('dense-glyph', 'wire', '--print', 'html').split('\n\nNext')[0];
    put('index.html', page(`${head}\n`, '<script type="module" src="/src/main.js"></script>\n'));
    run('npx', 'vite', 'build');
    return { ...(await serve(join(folder, 'dist'))), version: `vite ${versionOf(folder, 'vite')}` };
  },

  'bundler-hashed': async ({ folder, put, run }) => {
    bundled(put, run);
    put('dense-glyph.config.yaml', config('dist', 'src/type'));
    run('npx', 'vite', 'build');
    run('dense-glyph', 'build');
    put('src/main.js', "import './type/kit.css';\nimport './site.css';\n");
    run('npx', 'vite', 'build');
    return { ...(await serve(join(folder, 'dist'))), version: `vite ${versionOf(folder, 'vite')}` };
  },

  'server-rendered': async ({ folder, put, run }) => {
    put('site/index.html', page('<link rel="stylesheet" href="/site.css">\n'));
    put('site/site.css', css);
    put('dense-glyph.config.yaml', config('site', 'site/type', '/type/'));
    run('dense-glyph', 'build');
    const { head } = await import(join(folder, '.dense-glyph/kit.mjs'));
    put('hints.mjs', guideBlock('server-rendered.md', 'mjs'));
    const { hints } = await import(join(folder, 'hints.mjs'));
    const told = [];
    const files = await serve(join(folder, 'site'));
    const server = await listen(async (request, response) => {
      if (request.url === '/') {
        hints(request, response, () => told.push(request.url));
        response.writeHead(200, { 'content-type': 'text/html' });
        response.end(page(`${head('/type/')}<link rel="stylesheet" href="/site.css">\n`));
        return;
      }
      const answer = await fetch(new URL(request.url, files.url));
      response.writeHead(answer.status, { 'content-type': answer.headers.get('content-type') ?? '' });
      response.end(Buffer.from(await answer.arrayBuffer()));
    });
    const end = async () => (await server.end(), files.end());
    return { url: server.url, end, version: `node ${process.versions.node}` };
  },

  'utility-classes': async ({ folder, put, run }) => {
    put('package.json', '{ "type": "module" }');
    put('tailwind.config.js', guideBlock('utility-classes.md', 'js'));
    put('site/in.css', '@tailwind base;\n@tailwind utilities;\n');
    put(
      'site/index.html',
      page('<link rel="stylesheet" href="out.css">\n')
        .replace('<body>', '<body class="font-body">')
        .replace('<h1>', '<h1 class="font-heading font-bold hover:font-body">'),
    );
    run('npm', 'install', '--silent', 'tailwindcss@3');
    run('npx', 'tailwindcss', '-i', 'site/in.css', '-o', 'site/out.css');
    put('dense-glyph.config.yaml', config('site', 'site/type'));
    run('dense-glyph', 'build');
    run('dense-glyph', 'wire');
    return {
      ...(await serve(join(folder, 'site'))),
      version: `tailwindcss ${versionOf(folder, 'tailwindcss')}`,
    };
  },

  'component-frameworks': async ({ folder, put, run }) => {
    const layout = (head) => `import { Departures } from './departures.jsx';
export const Root = () => (
  <html lang="en">
    <head>
      <title>Pier</title>
${head}      <link rel="stylesheet" href="/site.css" />
    </head>
    <body>
      <h1>Four boats</h1>
      <p>The first boat leaves at six.</p>
      <Departures />
    </body>
  </html>
);
`;
    put('package.json', '{ "type": "module" }');
    put('vite.config.js', "export default { esbuild: { jsx: 'automatic' }, ssr: { noExternal: true } };");
    put('src/root.jsx', layout(''));
    put(
      'src/departures.jsx',
      "export const Departures = () => <p style={{ fontFamily: 'var(--type-times)' }}>06:40 21:15</p>;\n",
    );
    put(
      'src/pages.jsx',
      "import { writeFileSync } from 'node:fs';\nimport { renderToString } from 'react-dom/server';\nimport { Root } from './root.jsx';\nwriteFileSync('out/index.html', `<!doctype html>${renderToString(<Root />)}`);\n",
    );
    put('out/site.css', css);
    put(
      'dense-glyph.config.yaml',
      `${config('out', 'out/type', '/type/')}  - { family: Tidelog Mono, files: [fonts/TidelogMono-Regular.ttf], role: times, stack: [monospace], loading: { preload: none } }\n`,
    );
    run('npm', 'install', '--silent', 'vite@5', 'react@18', 'react-dom@18');
    const render = () => {
      run('npx', 'vite', 'build', '--ssr', 'src/pages.jsx', '--outDir', 'pages');
      run('node', 'pages/pages.js');
    };
    // The first pages are what the faces are cut to.
    render();
    run('dense-glyph', 'build');
    const head = run('dense-glyph', 'wire', '--print', 'html').split('\n\nNext')[0];
    put(
      'src/root.jsx',
      layout(`${head.replaceAll(' crossorigin>', ' crossOrigin="">').replace(/>$/gm, ' />')}\n`),
    );
    render();
    return {
      ...(await serve(join(folder, 'out'))),
      version: `react ${versionOf(folder, 'react')}, vite ${versionOf(folder, 'vite')}`,
    };
  },

  'arrival-dom': async ({ folder, put, run }) => {
    put('site/index.html', page('<link rel="stylesheet" href="site.css">\n', notice));
    noticeKit({ put, run });
    run('dense-glyph', 'wire');
    const script = guideBlock('arrival-groups.md', 'html');
    const made = readFileSync(join(folder, 'site/index.html'), 'utf8');
    // The page has no notice of its own, and no loader: the application draws it.
    put('site/index.html', made.replace(/<script data-base[^]*?<\/script>/, '').replace(notice, script));
    return { ...(await serve(join(folder, 'site'))), version: 'no framework', group: 'notice' };
  },

  'arrival-effect': async ({ folder, put, run }) => {
    put('package.json', '{ "type": "module" }');
    put('vite.config.js', "export default { esbuild: { jsx: 'automatic' } };");
    put('site/index.html', page('<link rel="stylesheet" href="site.css">\n', notice));
    noticeKit({ put, run });
    put('src/notice.jsx', guideBlock('arrival-groups.md', 'jsx').replace('./type/', '../site/type/'));
    put(
      'src/main.jsx',
      "import { createRoot } from 'react-dom/client';\nimport { Notice } from './notice.jsx';\ncreateRoot(document.getElementById('app')).render(<Notice>It does <em>not</em> sail tonight.</Notice>);\n",
    );
    put(
      'index.html',
      page(
        '<link rel="stylesheet" href="/type/kit.css"><link rel="stylesheet" href="/site.css">\n',
        '<div id="app"></div><script type="module" src="/src/main.jsx"></script>\n',
      ),
    );
    run('npm', 'install', '--silent', 'vite@5', 'react@18', 'react-dom@18');
    run('npx', 'vite', 'build');
    for (const name of ['type', 'site.css'])
      cpSync(join(folder, 'site', name), join(folder, 'dist', name), { recursive: true });
    const version = `react ${versionOf(folder, 'react')}, vite ${versionOf(folder, 'vite')}`;
    return { ...(await serve(join(folder, 'dist'))), version, group: 'notice' };
  },

  'arrival-server': async ({ folder, put, run }) => {
    put('site/index.html', page('<link rel="stylesheet" href="site.css">\n', notice));
    noticeKit({ put, run });
    put('render.mjs', guideBlock('arrival-groups.md', 'js'));
    const { render } = await import(join(folder, 'render.mjs'));
    put('site/index.html', render());
    const version = `node ${process.versions.node}`;
    return { ...(await serve(join(folder, 'site'))), version, group: 'notice' };
  },

  nginx: async ({ folder, put, run }) => {
    const port = await freePort();
    wired(put, run);
    const rules = guideBlock('static-hosts.md', 'nginx');
    put(
      'nginx.conf',
      `daemon off; pid ${folder}/pid; error_log ${folder}/error.log; events {}
http { access_log off; include /etc/nginx/mime.types; ${['client_body', 'proxy', 'fastcgi', 'uwsgi', 'scgi'].map((one) => `${one}_temp_path ${folder}/${one};`).join(' ')}
server { listen 127.0.0.1:${port}; root ${folder}/site;\n${rules}\n} }`,
    );
    run('chmod', '-R', 'a+rX', folder);
    const version =
      /nginx\/\S+/.exec(spawnSync('nginx', ['-v'], { encoding: 'utf8' }).stderr)?.[0] ?? 'nginx';
    return {
      ...(await started(
        'nginx',
        ['-c', `${folder}/nginx.conf`, '-p', folder],
        folder,
        `http://127.0.0.1:${port}/`,
      )),
      version,
    };
  },

  apache: async ({ folder, put, run }) => {
    const port = await freePort();
    wired(put, run);
    put('site/.htaccess', guideBlock('static-hosts.md', 'apache'));
    const modules = ['mpm_event', 'authz_core', 'mime', 'dir', 'headers'];
    put(
      'apache.conf',
      `ServerRoot ${folder}\nServerName localhost\nListen 127.0.0.1:${port}\nPidFile ${folder}/pid\nErrorLog ${folder}/error.log
${modules.map((one) => `LoadModule ${one}_module /usr/lib/apache2/modules/mod_${one}.so`).join('\n')}
TypesConfig /etc/mime.types\nDirectoryIndex index.html\nUser www-data\nGroup www-data\nDocumentRoot ${folder}/site\n<Directory ${folder}/site>\nAllowOverride All\nRequire all granted\n</Directory>\n`,
    );
    run('chmod', '-R', 'a+rX', folder);
    return {
      ...(await started(
        'apache2',
        ['-f', `${folder}/apache.conf`, '-DFOREGROUND'],
        folder,
        `http://127.0.0.1:${port}/`,
      )),
      version: /Apache\/\S+/.exec(spawnSync('apache2', ['-v'], { encoding: 'utf8' }).stdout)?.[0] ?? 'Apache',
    };
  },
};

/** A block of a guide, as a reader would copy it. @param language that it is marked with */
function guideBlock(file, language) {
  const text = readFileSync(new URL(`../../docs/guides/${file}`, import.meta.url), 'utf8');
  const block = new RegExp(`\`\`\`${language}\\n([\\s\\S]*?)\`\`\``).exec(text)?.[1];
  if (!block) throw new Error(`docs/guides/${file} has no block of ${language}`);
  return block;
}
