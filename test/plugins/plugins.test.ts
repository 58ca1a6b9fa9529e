import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { copyFileSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { basename, dirname, join } from 'node:path';
import postcss from 'postcss';
import { rollup } from 'rollup';
import { build, createServer, type Logger, type Plugin } from 'vite';
import { appFamilies, writeApp } from '../../test-support/app.js';
import { cli, tree } from '../../test-support/cli.js';
import { pluginsOfPackage } from '../../test-support/library.js';
import { sampleFonts } from '../../test-support/paths.js';

const { denseGlyph, denseGlyphPostcss } = pluginsOfPackage;

let folder: string;
const lines: string[] = [];
const logger: Logger = {
  info: (text) => void lines.push(text),
  warn: (text) => void lines.push(text),
  warnOnce: (text) => void lines.push(text),
  error: (text) => void lines.push(text),
  clearScreen: () => undefined,
  hasErrorLogged: () => false,
  hasWarned: false,
};

const put = (file: string, text: string) => {
  mkdirSync(dirname(join(folder, file)), { recursive: true });
  writeFileSync(join(folder, file), text);
};
const config = (output: object, more: object = {}) =>
  put(
    'dense-glyph.config.json',
    JSON.stringify({
      site: { root: 'dist', scripts: true, demand: 'demand.json' },
      output,
      families: appFamilies,
      ...more,
    }),
  );

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'dense-glyph-plugins-'));
  writeApp(folder);
  config({ folder: 'public/type' });
  const { out } = await cli(['scan', '--json'], folder);
  put('kept.json', out);
  // A package with a face that the kit has, and one that it hasn't.
  put(
    'packages/icons.css',
    `@font-face { font-family: "Tidelog Mono"; src: url(whole.ttf) }
@font-face { font-family: "Tidelog Mono"; font-style: italic; src: url(whole.ttf?i) }
@font-face { font-family: "Tidelog Mono"; unicode-range: U+4E00-9FFF; src: url(ideographs.woff2) }`,
  );
  copyFileSync(join(sampleFonts, 'TidelogMono-Regular.ttf'), join(folder, 'packages/whole.ttf'));
  copyFileSync(join(sampleFonts, 'FerrywakeSans-Italic.ttf'), join(folder, 'packages/ideographs.woff2'));
  put(
    'packages/more.css',
    '@font-face { font-family: "Lampbuoy Slab"; font-weight: 700; src: url(other.otf) }',
  );
  copyFileSync(join(sampleFonts, 'LampbuoySlab-Bold.otf'), join(folder, 'packages/other.otf'));
  put(
    'main.css',
    '@import "./packages/more.css";\n:root { --text: Ferrywake Sans, Arial, sans-serif }\nh1 { font-weight: 700; font-family: "Lampbuoy Slab", serif }\n',
  );
  put('main.js', "import './packages/icons.css';\nimport './main.css';\n");
  put(
    'index.html',
    '<!doctype html><html lang=en><head><meta charset=utf-8><title>Pier</title></head><body><div id=root></div><script type=module src=/main.js></script></body></html>',
  );
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const demand = (isThere: boolean) =>
  isThere
    ? copyFileSync(join(folder, 'kept.json'), join(folder, 'demand.json'))
    : rmSync(join(folder, 'demand.json'), { force: true });

const plugins = (): Plugin[] => denseGlyph() satisfies Plugin[];

async function built(outDir: string, base = '/'): Promise<Map<string, string>> {
  lines.length = 0;
  await build({
    root: folder,
    base,
    configFile: false,
    publicDir: false,
    plugins: plugins(),
    customLogger: logger,
    build: { outDir, minify: false },
  });
  return new Map(
    tree(join(folder, outDir)).map((file) => [file, readFileSync(join(folder, outDir, file), 'latin1')]),
  );
}

describe('in Vite', () => {
  test('files that it names: the kit’s rules are first, preloads name its files, and faces of packages are gone', async () => {
    config({ folder: 'public/type' });
    demand(true);
    const files = await built('out-bundled');
    const fonts = [...files.keys()].filter((file) => /\.(woff2|ttf|otf)$/.test(file));
    expect(fonts.filter((file) => /other|Lampbuoy.*otf/.test(file))).toEqual([]);
    // The italic of the package is none of the kit.
    expect(fonts.filter((file) => file.includes('whole'))).toHaveLength(1);
    // Nor are its ideographs.
    expect(fonts.filter((file) => file.includes('ideographs'))).toHaveLength(1);
    expect(fonts.filter((file) => file.includes('-drawn-'))).toHaveLength(3);
    const html = files.get('index.html')!;
    for (const [, href] of html.matchAll(/rel="preload" href="\/([^"]+)"/g)) expect(fonts).toContain(href);
    expect(html).toMatch(/rel="preload"[^>]+ferrywake-sans/);
    const [, css] = [...files].find(([file]) => file.endsWith('.css'))!;
    expect(css.indexOf('Ferrywake Sans')).toBeLessThan(css.indexOf('h1'));
    expect(css).not.toContain('other');
    expect(css).toMatch(/--text: Ferrywake Sans, "Ferrywake Sans stand-in", Arial/);
    expect(css).toMatch(/font-family: "?Lampbuoy Slab"?, "Lampbuoy Slab stand-in", serif/);
    for (const [, url] of css.matchAll(/url\("?\/?([^")]+)/g))
      expect(fonts).toContain(url.replace(/\?.*/, ''));
    expect(lines.join('\n')).toContain('cut to what 2 pages draw');
    expect(lines.join('\n')).toContain('Tidelog Mono 400 of packages/icons.css gave way to the kit');
    expect([...files.keys()].filter((file) => file.startsWith('type/'))).toEqual(['type/licences/OFL.txt']);
  });

  test('files as they are, below a base: what the page and the kit’s stylesheet name is there', async () => {
    config({ folder: 'public/type', url: '/type/' });
    demand(true);
    const files = await built('out-own', '/app/');
    const html = files.get('index.html')!;
    const named = [...html.matchAll(/href="\/app\/([^"]+)"/g)].map(([, path]) => path);
    expect(named).toContain('type/kit.css');
    for (const path of named) expect([...files.keys()]).toContain(path);
    for (const [, url] of files.get('type/kit.css')!.matchAll(/url\("\/app\/([^")]+)/g))
      expect([...files.keys()]).toContain(url);
    expect(html.indexOf('type/kit.css')).toBeLessThan(html.search(/assets\/[^"]+css/));
    expect([...files.keys()].filter((file) => /kit\.json|proof|kit\.head/.test(file))).toEqual([]);
  });

  test('below a relative base preloads start from the page', async () => {
    config({ folder: 'public/type' });
    demand(true);
    const files = await built('out-relative', './');
    const hrefs = [...files.get('index.html')!.matchAll(/rel="preload" href="([^"]+)"/g)].map(
      ([, href]) => href,
    );
    expect(hrefs.length).toBeGreaterThan(0);
    for (const href of hrefs) expect([...files.keys()]).toContain(href);
  });

  test('without a demand faces are whole, and the log says how to get one', async () => {
    config({ folder: 'public/type', url: '/type/' });
    demand(false);
    const files = await built('out-whole');
    expect([...files.keys()].filter((file) => /-(drawn|rest)-/.test(file))).toEqual([]);
    expect(lines.join('\n')).toMatch(/whole, as nobody has said yet what pages draw/);
  });

  test('a demand that can’t be read is told, and faces are whole', async () => {
    config({ folder: 'public/type', url: '/type/' });
    writeFileSync(join(folder, 'demand.json'), '{ "demandVersion": 1, "pages": [{ "page"');
    const files = await built('out-torn');
    demand(false);
    expect([...files.keys()].filter((file) => /-(drawn|rest)-/.test(file))).toEqual([]);
    expect(lines.join('\n')).toMatch(/demand\.json can't be used, and faces are whole: it is no JSON/);
  });

  test('what is wrong with a config is told with what to do, and ends the build', async () => {
    config({ folder: 'public/type' }, { rest: 'perhaps' });
    demand(true);
    await expect(built('out-wrong')).rejects.toThrow(/rest is "perhaps".*write keep or drop/s);
  });

  test('its server gives the same, and anew when the demand changes', async () => {
    config({ folder: 'public/type', url: '/type/' });
    demand(false);
    const server = await createServer({
      root: folder,
      configFile: false,
      plugins: plugins(),
      customLogger: logger,
      server: { port: 0, host: '127.0.0.1' },
    });
    try {
      await server.listen();
      const [origin] = server.resolvedUrls!.local;
      const text = async (path: string) => (await fetch(new URL(path, origin))).text();
      expect(await text('/')).toContain('href="/type/kit.css"');
      expect(await text('/type/kit.css')).not.toContain('-drawn-');
      // What a stylesheet imports of a package gives way as well.
      const sheet = await text('/main.css?import');
      expect(sheet).toContain('font-weight: 700');
      expect(sheet).toContain('\\"Lampbuoy Slab\\", \\"Lampbuoy Slab stand-in\\", serif');
      expect(sheet).not.toContain('other.otf');
      // What leads out of the kit is nobody's business.
      const secret = `${folder}-secret`;
      writeFileSync(secret, 'secret');
      expect(await text(`/type/..%2f..%2f..%2f..%2f${basename(secret)}`)).not.toBe('secret');
      rmSync(secret);
      demand(true);
      for (let i = 0; i < 100 && !(await text('/type/kit.css')).includes('-drawn-'); i++)
        await new Promise((done) => setTimeout(done, 100));
      const css = await text('/type/kit.css');
      const [, font] = /url\("([^")]+-drawn-[^")]+)/.exec(css)!;
      const answer = await fetch(new URL(font, origin));
      expect([answer.status, answer.headers.get('content-type')]).toEqual([200, 'font/woff2']);
      const facts = await server.ssrLoadModule('virtual:dense-glyph');
      expect((facts.faces as { url: string }[]).map(({ url }) => url)).toContain(font);
    } finally {
      await server.close();
    }
  });
});

test('in Rollup, with a URL: the kit is beside what it makes', async () => {
  config({ folder: 'public/type', url: '/type/' });
  demand(true);
  put('entry.js', "import { stacks } from 'virtual:dense-glyph';\nexport default stacks.body;\n");
  const before = process.cwd();
  process.chdir(folder);
  try {
    const bundle = await rollup({ input: 'entry.js', plugins: denseGlyph() });
    const { output } = await bundle.generate({ format: 'es' });
    const names = output.map(({ fileName }) => fileName);
    expect(names).toContain('type/kit.css');
    expect(output[0].code).toContain('Ferrywake Sans');
  } finally {
    process.chdir(before);
  }
});

describe('in PostCSS', () => {
  const through = (css: string, to = 'public/app.css') =>
    postcss([denseGlyphPostcss({ config: join(folder, 'dense-glyph.config.json') })]).process(css, {
      from: join(folder, 'src/app.css'),
      to: join(folder, to),
    });

  test('rules stand where they are asked for, with URLs from the stylesheet, in the place of others', async () => {
    config({ folder: 'public/type' });
    demand(true);
    const before =
      '@import "dense-glyph";\nbody { margin: 0 }\n@font-face { font-family: "Tidelog Mono"; src: url(x.ttf) }\nh1 { color: red; font: 1em Ferrywake Sans }';
    const { css, messages } = await through(before);
    expect(css).toMatch(
      /^[^]*@font-face[^]*body[^]*h1 \{ color: red; font: 1em Ferrywake Sans, "Ferrywake Sans stand-in" \}$/,
    );
    expect(css).not.toMatch(/x\.ttf|@import/);
    const urls = [...css.matchAll(/url\("([^")]+)/g)].map(([, url]) => url);
    expect(urls.length).toBeGreaterThan(3);
    for (const url of urls) expect(readFileSync(join(folder, 'public', url)).length).toBeGreaterThan(100);
    const files = messages.filter(({ type }) => type === 'dependency').map(({ file }) => String(file));
    expect(files).toContain(join(folder, 'demand.json'));
    const [deeper] = /url\("[^"]+/.exec((await through(before, 'public/css/deep/app.css')).css)!;
    expect(deeper).toMatch(/^url\("\.\.\/\.\.\/type\/faces\//);
    // A stylesheet that doesn't ask is nobody's business.
    for (const other of ['h1 { color: red }', '@import "dense-glyph.css";', '@import "dense-glyph" print;'])
      expect((await through(other)).css).toBe(other);
  });

  test('what is wrong stands at the place that asks', async () => {
    config({ folder: 'public/type' }, { families: [{ ...appFamilies[0], files: 'fonts/none.ttf' }] });
    const failed = await through('/* a */\n@import url(dense-glyph);').catch(String);
    expect(failed).toMatch(/app\.css:2:1.*none\.ttf/s);
    // Each thing is said once.
    const said = String(failed).split('\n')[0].split('; ');
    expect(new Set(said).size).toBe(said.length);
  });

  test('a config that was wrong counts once it is mended', async () => {
    const asks = (name: string) =>
      postcss([denseGlyphPostcss({ config: join(folder, name) })]).process("@import 'dense-glyph'", {
        from: join(folder, 'src/app.css'),
        to: join(folder, 'public/app.css'),
      });
    put('late.json', '{ "output": { "folder": "public/type" }, "rest": "perhaps", "families": [] }');
    await expect(asks('late.json')).rejects.toThrow(/app\.css:1:1.*rest is "perhaps"/s);
    config({ folder: 'public/type' });
    put('late.json', readFileSync(join(folder, 'dense-glyph.config.json'), 'utf8'));
    expect((await asks('late.json')).css).toMatch(/@font-face/);
  });
});
