import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { cpSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createHash } from 'node:crypto';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { brotliCompressSync } from 'node:zlib';
import type { Manifest } from '#src/kit/index.js';
import { cli } from '../../test-support/cli.js';
import { testedEngines, launchChromium, startEngine, type Engine } from '../../test-support/engines.js';
import { config, manifestIn, project } from '../../test-support/project.js';
import { LoggingServer, type Late } from '../../test-support/server.js';

/** A notice whose italic word turns its meaning round. */
const markup = `<!doctype html><html lang=en><head><meta charset=utf-8><title>Notice</title>
<style>h1 { font: 700 40px "Lampbuoy Slab", monospace } p { font: 400 20px "Ferrywake Sans", sans-serif } em { font-style: italic }</style></head>
<body><h1>The last boat</h1><p>It does <em>not</em> sail tonight.</p></body></html>`;

/** Notes what is drawn in each frame: how wide the texts of the group are. Once it has drawn some, or what is
 * held back won't come any more, the page asks for it. */
const watching = `<script>
  window.frames2 = [];
  window.arrivals = [];
  document.addEventListener('type-arrival', ({ detail }) => {
    arrivals.push([detail.group, detail.state, document.documentElement.getAttribute('data-type-' + detail.group)]);
    // The driver of WebKitGTK waits for the load, which waits for what is held back.
    if (detail.state === 'failed') fetch('release');
  });
  const widthsOf = () => ['p', 'em', 'h1'].map((name) => {
    const range = document.createRange();
    range.selectNodeContents(document.querySelector(name).firstChild);
    return Math.round(range.getBoundingClientRect().width * 100) / 100;
  });
  // Asked for widths, WebKit sets text before its styles are there; it draws nothing then.
  const isStyled = () => document.querySelector('em') && getComputedStyle(document.querySelector('h1')).fontSize === '40px';
  let releaseAt = 12;
  const look = () => {
    if (!isStyled()) return;
    frames2.push([document.documentElement.getAttribute('data-type-notice'), ...widthsOf()].join(' '));
    if (--releaseAt === 0 && location.hash !== '#held') fetch('release');
  };
  const looking = () => { look(); requestAnimationFrame(looking); };
  requestAnimationFrame(looking);
  // Engines may draw nothing while a page loads.
  setInterval(look, 20);
  window.errors = [];
  addEventListener('error', ({ message }) => errors.push(message));
  addEventListener('unhandledrejection', ({ reason }) => errors.push(String(reason)));
</script>`;

/** An application that draws the notice later, and asks for its group by the module. */
const application = `<script type="module">
  import { load, stateOf, watch } from './type/kit.loader.mjs';
  window.states = [stateOf('notice')];
  document.body.innerHTML = ${JSON.stringify(/<body>([^]*)<\/body>/.exec(markup)![1])};
  const stop = watch('notice', (state) => states.push(state));
  // Some time after the page is there.
  await new Promise((done) => setTimeout(done, 500));
  window.outcome = Promise.all([load('notice'), load('notice'), load('another')]).then((all) => (stop(), all.join(' ')));
</script>`;

/** Milliseconds. */
const patient = 300_000;

let folder: string;
let made: string;
/** The same with italics that come after. */
let staged: string;
/** What its kit is known by. */
let manifest: Manifest;
/** Digests of the loader as it was built, and of the one that waits as long as a busy machine takes. */
let hash: string;
let patientHash: string;
const servers: LoggingServer[] = [];

async function served(late?: Late, root = made): Promise<LoggingServer> {
  const page = readFileSync(join(root, 'index.html'), 'utf8');
  const server = await LoggingServer.start(
    { '/': root },
    {
      '/app.html': page
        .replace(/<script data-base[^]*?<\/script>/, '')
        .replace('<meta charset=utf-8>', `<meta charset=utf-8>${watching}${application}`)
        .replace(/<body>[^]*<\/body>/, '<body></body>'),
      '/impatient.html': page
        .replace(`"patience":${patient}`, '"patience":400')
        .replace('<meta charset=utf-8>', `<meta charset=utf-8>${watching}`),
      '/watched.html': page.replace('<meta charset=utf-8>', `<meta charset=utf-8>${watching}`),
      '/policy.html': page.replace(
        '<meta charset=utf-8>',
        `<meta charset=utf-8><meta http-equiv=Content-Security-Policy content="default-src 'none'; font-src 'self'; style-src 'self' 'unsafe-inline'; script-src '${patientHash}'">`,
      ),
      '/no-script.html': page.replace(
        '<meta charset=utf-8>',
        `<meta charset=utf-8><meta http-equiv=Content-Security-Policy content="script-src 'none'">`,
      ),
    },
    late,
  );
  servers.push(server);
  return server;
}

function digestOfLoader(site: string): string {
  const head = readFileSync(join(site, 'index.html'), 'utf8');
  const script = /<script data-base="type\/" data-faces="[\d ]+">([^]*?)<\/script>/.exec(head)![1];
  return `sha256-${createHash('sha256').update(script).digest('base64')}`;
}

/** Builds the notice's kit and wires it. @returns the folder of its site */
async function builtSite(name: string, italic: 'with' | 'after'): Promise<string> {
  const families = config.families.map((family) => ({ ...family, loading: { group: 'notice', italic } }));
  const site = join(folder, name);
  await project({ ...config, families, site: { root: 'site' } }, async (project) => {
    mkdirSync(join(project, 'site'));
    writeFileSync(join(project, 'site/index.html'), markup);
    for (const command of ['build', 'wire']) expect((await cli([command, '--quiet'], project)).code).toBe(0);
    manifest = manifestIn(project);
    hash = manifest.loader!.hash;
    cpSync(join(project, 'site'), site, { recursive: true });
    expect(digestOfLoader(site)).toBe(hash);
    for (const file of ['index.html', 'type/kit.loader.js', 'type/kit.loader.mjs']) {
      const text = readFileSync(join(site, file), 'utf8');
      expect(text).toContain('"patience":3000');
      writeFileSync(join(site, file), text.replaceAll('"patience":3000', `"patience":${patient}`));
    }
    patientHash = digestOfLoader(site);
    // Without stand-ins, which are about as wide as the faces.
    const css = join(site, 'type/kit.css');
    writeFileSync(css, readFileSync(css, 'utf8').replace(/@font-face \{[^}]*local\([^}]*\}\n/g, ''));
  });
  return site;
}

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'dense-glyph-loader-'));
  staged = await builtSite('staged', 'after');
  made = await builtSite('site', 'with');
});
afterAll(async () => {
  await Promise.all(servers.map((server) => server.close()));
  rmSync(folder, { recursive: true, force: true });
});

test('the loader is small', () => {
  const text = readFileSync(join(made, 'type/kit.loader.js'), 'utf8');
  expect(brotliCompressSync(text).length).toBeLessThan(1000);
});

test('on a server the module asks for nothing', async () => {
  const { load, stateOf, watch } = (await import(join(made, 'type/kit.loader.mjs'))) as {
    load: (group: string) => Promise<string>;
    stateOf: (group: string) => string;
    watch: (group: string, onState: (state: string) => void) => () => void;
  };
  const states: string[] = [];
  watch('notice', (state) => states.push(state))();
  expect([await load('notice'), stateOf('notice'), states]).toEqual(['failed', 'none', ['none']]);
  expect(readFileSync(join(staged, 'type/kit.loader.d.mts'), 'utf8')).toContain(
    'export type Group = "notice" | "notice-italic";',
  );
});

describe.each(testedEngines())('%s', (engineName) => {
  let engine: Engine;
  beforeAll(async () => {
    engine = await startEngine(engineName, { unhinted: true });
  });
  afterAll(() => engine.close());

  const until = (condition: string) =>
    engine.run(
      `for (let i = 0; i < 100 && !(${condition}); i++) await new Promise((done) => setTimeout(done, 60)); return ${condition};`,
    );
  const state = 'document.documentElement.dataset.typeNotice';
  interface Seen {
    frames: string[];
    arrivals: string[][];
    errors: string[];
    faces: number;
  }
  const seen = () =>
    engine.run<Seen>(
      'await new Promise((done) => setTimeout(done, 300)); return { frames: [...new Set(frames2)], arrivals, errors, faces: [...document.fonts].filter(({ status }) => status === "loaded").length }',
    );

  test('faces of a group come in one frame, however late one of them is', async () => {
    const server = await served({ paths: /i-drawn|slab/ });
    await engine.open(`${server.origin}/watched.html`);
    expect(await until(`${state} === 'ready'`)).toBe(true);
    const { frames, arrivals, errors } = await seen();
    expect(errors).toEqual([]);
    expect(arrivals).toEqual([
      ['notice', 'pending', 'pending'],
      ['notice', 'ready', 'ready'],
    ]);
    // What is drawn in the frame of the change may have either name.
    const looks = new Set(frames.map((frame) => frame.replace(/^\S+ /, '')));
    const [before, after] = [frames.filter((one) => one.startsWith('pending')).at(-1), frames.at(-1)].map(
      (one) => one!.split(' ').slice(1),
    );
    for (const [i, width] of before.entries()) expect([i, width]).not.toEqual([i, after[i]]);
    for (const look of looks) {
      const widths = look.split(' ');
      const arrived = widths.filter((width, i) => width === after[i]).length;
      expect([look, arrived === 0 || arrived === widths.length]).toEqual([look, true]);
    }
  });

  test.each([
    ['stalls', { paths: /i-drawn/, most: 1 }],
    ['fails', undefined],
  ])('where one of them %s the others don’t come either', async (how, late) => {
    const broken = join(folder, 'broken');
    cpSync(made, broken, { recursive: true });
    const [italic] = manifestFiles().filter((file) => file.includes('i-drawn'));
    if (how === 'fails') writeFileSync(join(broken, 'type', italic), 'no font');
    const server = await served(late, broken);
    await engine.open(`${server.origin}/${how === 'stalls' ? 'impatient' : 'watched'}.html#held`);
    expect(await until(`${state} === 'failed'`)).toBe(true);
    const { frames, arrivals, errors } = await seen();
    expect(errors).toEqual([]);
    expect(arrivals.map(([, one]) => one)).toEqual(['pending', 'failed']);
    const looks = new Set(frames.map((frame) => frame.replace(/^\S+ /, '')));
    expect([...looks]).toHaveLength(1);
    if (how === 'fails') return;
    // Once the line is there again, they come together.
    await engine.run('await fetch(argument)', `type/${italic}`);
    await engine.run('dispatchEvent(new Event("online"))');
    expect(await until(`${state} === 'ready'`)).toBe(true);
  });

  test.each([
    ['once the upright faces are there', 'watched.html', 'ready'],
    ['not at all where these don’t come', 'impatient.html#held', 'failed'],
  ])('italics that come after are asked for %s', async (_, page, outcome) => {
    const server = await served({ paths: /slab/ }, staged);
    await engine.open(`${server.origin}/${page}`);
    expect(await until(`arrivals.length === 4`)).toBe(true);
    const { arrivals } = await seen();
    expect(arrivals).toEqual([
      ['notice', 'pending', 'pending'],
      ['notice-italic', 'pending', 'pending'],
      ['notice', outcome, outcome],
      ['notice-italic', outcome, outcome],
    ]);
    const times = await engine.run<[string, number, number][]>(
      'return performance.getEntriesByType("resource").map(({ name, startTime, responseEnd }) => [name, startTime, responseEnd])',
    );
    const [slab, italic] = [/slab/, /i-drawn/].map((which) => times.find(([name]) => which.test(name)));
    if (outcome === 'ready') expect(italic![1]).toBeGreaterThanOrEqual(slab![2] - 5);
    if (outcome === 'failed')
      expect(server.take().filter(({ path }) => path.includes('i-drawn'))).toEqual([]);
  });

  test('an application asks for a group when it draws it, and hears how far it is', async () => {
    const server = await served({ paths: /slab/ });
    await engine.open(`${server.origin}/app.html`);
    expect(await until('window.outcome')).toBeTruthy();
    expect(await engine.run('return [await outcome, states]')).toEqual([
      'ready ready failed',
      ['none', 'none', 'pending', 'ready'],
    ]);
    const { frames, errors, faces } = await seen();
    expect(errors).toEqual([]);
    expect(faces).toBeGreaterThanOrEqual(3);
    expect([...new Set(frames.map((frame) => frame.replace(/^\S* /, '')))]).toHaveLength(2);
    const files = server.take().flatMap(({ path }) => (path.endsWith('.woff2') ? [path] : []));
    expect(files).toHaveLength(new Set(files).size);
  });

  test('it runs under a policy that names its digest; where a policy forbids it the page still reads', async () => {
    const server = await served();
    await engine.open(`${server.origin}/policy.html`);
    expect(await until(`${state} === 'ready'`)).toBe(true);
    await engine.open(`${server.origin}/no-script.html`);
    expect(
      await engine.run(`return [${state} ?? 'none', document.querySelector('p').offsetHeight > 0]`),
    ).toEqual(['none', true]);
  });

  const manifestFiles = () => manifest.loader!.groups.flatMap(({ files }) => files);
});

const chromium = testedEngines().includes('chromium') ? test : test.skip;
chromium('without scripts each face comes by itself', async () => {
  const server = await served();
  const browser = await launchChromium();
  try {
    const tab = await browser.newPage();
    await tab.setJavaScriptEnabled(false);
    await tab.goto(`${server.origin}/index.html`, { waitUntil: 'networkidle0' });
    const fetched = server.take().filter(({ path }) => path.endsWith('.woff2'));
    expect(fetched.map(({ path }) => path).filter((path) => /-drawn-|slab/.test(path))).toHaveLength(3);
  } finally {
    await browser.close();
  }
});
