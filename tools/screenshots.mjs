// Takes the pictures in docs/screenshots from the demo data: pages in Chromium, terminal views in a window under Xvfb.
// Needs Xvfb, xterm, xdotool and ImageMagick's import.
import { execFileSync, spawn, spawnSync } from 'node:child_process';
import {
  cpSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readFileSync,
  rmSync,
  symlinkSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { fileURLToPath, pathToFileURL } from 'node:url';

import puppeteer from 'puppeteer-core';
import { startFontHost } from '../build/src/rehearsal/font-host.js';
import { rehearse } from '../build/src/rehearsal/rehearse.js';
import { findBrowser } from './browsers.mjs';
import { film } from './film.mjs';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const folder = mkdtempSync(join(tmpdir(), 'dense-glyph-shots-'));
const program = join(root, 'dist/bin/dense-glyph.js');
const pictures = join(root, 'docs/screenshots');

/** Pictures of commands that are named; without any all are taken. */
const wanted = process.argv.slice(2);

async function terminal(name, command, rows) {
  if (wanted.length > 0 && !wanted.includes(name)) {
    spawnSync('bash', ['-c', command], { cwd: folder });
    return;
  }
  // Ctrl+C and the prompt are left out: the picture shows what the command says.
  const script = join(folder, `${name}.sh`);
  const shown = command
    .replace(`node ${program}`, 'dense-glyph')
    .replace(/node \S+vite\.js/, 'npx vite')
    .replace(/ \| head .*/, '');
  writeFileSync(
    script,
    `cd ${folder}\nprintf '$ %s\\n' '${shown}'\n${command}\ntouch ${script}.over\nsleep 30\n`,
  );
  const display = `:${90 + Math.floor(process.pid % 100)}`;
  const server = spawn('Xvfb', [display, '-screen', '0', '1280x900x24'], { stdio: 'ignore' });
  await pause(1500);
  const look = ['-bg', '#10181e', '-fg', '#e6eaed', '-fa', 'Liberation Mono', '-fs', '11', '-b', '18', '+sb'];
  const window = spawn('xterm', ['-geometry', `128x${rows}+0+0`, ...look, '-e', 'bash', script], {
    stdio: 'ignore',
    env: { ...process.env, DISPLAY: display, FORCE_COLOR: '1' },
  });
  // What is drawn last comes a moment after the command's end; one that goes on is looked at as it stands.
  for (let looks = 0; looks < 300 && !existsSync(`${script}.over`); looks++) await pause(200);
  await pause(1000);
  const id = execFileSync('xdotool', ['search', '--class', 'xterm'], {
    env: { ...process.env, DISPLAY: display },
  });
  const window1 = String(id).trim().split('\n').pop();
  execFileSync('import', ['-window', window1, join(pictures, `${name}.png`)], {
    env: { ...process.env, DISPLAY: display },
  });
  window.kill();
  server.kill();
  await pause(500);
}

async function pages() {
  const browser = await puppeteer.launch({
    executablePath: findBrowser('chromium'),
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
  });
  const page = await browser.newPage();
  await page.setViewport({ width: 1280, height: 800 });
  const proof = pathToFileURL(join(folder, 'ferries/.dense-glyph/proof.html')).href;
  for (const [name, url, middle] of [
    ['specimen', pathToFileURL(join(folder, 'specimen.html')).href],
    ['scan-page', pathToFileURL(join(folder, 'scan.html')).href],
    ['proof', proof],
    ['until-it-arrives', proof, '.overlay'],
    ['when-text-is-there', proof, '#plan'],
  ]) {
    if (wanted.length > 0 && !wanted.includes(name)) continue;
    await page.goto(url, { waitUntil: 'networkidle0' });
    await page.evaluate('document.fonts.ready.then(() => undefined)');
    if (middle)
      await page.evaluate(`document.querySelector('${middle}').scrollIntoView({ block: 'center' })`);
    await page.screenshot({ path: join(pictures, `${name}.png`) });
  }
  if (wanted.length === 0 || wanted.includes('recording')) {
    // The demo's own, of its end.
    await page.setViewport({ width: 1280, height: 900 });
    await page.goto(pathToFileURL(join(folder, 'ferries/recording/recording.html')).href);
    await page.screenshot({ path: join(pictures, 'recording.png') });
    await page.setViewport({ width: 1280, height: 800 });
  }
  if (wanted.length === 0 || wanted.includes('rehearsal')) {
    const conditions = { line: 'slow phone', marked: true };
    const running = await rehearse({ site: join(folder, 'ferries/site'), folder, port: 0, conditions });
    await page.goto(`${running.origin}/notices.html`);
    await pause(5000);
    await page.screenshot({ path: join(pictures, 'rehearsal.png') });
    await running.close();
  }
  if (wanted.length === 0 || wanted.includes('arrival-group'))
    await film(browser, folder, program, join(pictures, 'arrival-group.png'));
  await browser.close();
}

/** The sample site as if a host served its faces, in pieces. */
async function broughtHome() {
  const names = ['FerrywakeSans-Variable.ttf', 'FerrywakeSans-VariableItalic.ttf', 'LampbuoySlab-Bold.otf'];
  const host = await startFontHost(
    names.map((path) => ({ path, bytes: readFileSync(join(root, 'sample/fonts', path)) })),
  );
  cpSync(join(root, 'sample/site'), join(folder, 'site'), { recursive: true });
  const links = ['ferrywake-sans', 'lampbuoy-slab'].map(
    (family) => `<link rel="stylesheet" href="${host.styles}/css/${family}.css?cut">`,
  );
  for (const page of ['index.html', 'el/index.html', 'pl/index.html', 'fares.html']) {
    const path = join(folder, 'site', page);
    const html = readFileSync(path, 'utf8');
    writeFileSync(path, html.replace('<link rel="stylesheet"', `${links.join('\n')}\n$&`));
  }
  const hosts = [host.styles, host.files].map((origin) => new URL(origin).host).join(' ');
  await terminal('adopt', `node ${program} adopt site --out adopted --allow-host ${hosts}`, 13);
  await terminal('init', `node ${program} init adopted --site site`, 25);
  await host.close();
}

try {
  await terminal('demo', `node ${program} demo --out ferries`, 33);
  const config = '--config ferries/dense-glyph.config.yaml';
  execFileSync('node', [program, 'wire', '--undo', '--quiet', ...config.split(' ')], { cwd: folder });
  await terminal('wire', `node ${program} wire --dry-run ${config} | tail -42`, 44);
  execFileSync('node', [program, 'wire', '--quiet', ...config.split(' ')], { cwd: folder });
  cpSync(join(root, 'sample/fonts'), join(folder, 'fonts'), { recursive: true });
  await terminal('build', `node ${program} build --config ferries/dense-glyph.config.yaml`, 46);
  await terminal(
    'fallback',
    `node ${program} fallback fonts/FerrywakeSans-Regular.ttf fonts/FerrywakeSans-Bold.ttf fonts/LampbuoySlab-Bold.otf --site ferries/site`,
    40,
  );
  await terminal('convert', `node ${program} convert fonts --to woff2,woff --out web`, 24);
  await terminal('inspect', `node ${program} inspect fonts/FerrywakeSans-Variable.ttf --weigh`, 45);
  const app = join(folder, 'app');
  cpSync(join(root, 'sample/site'), app, { recursive: true });
  cpSync(join(root, 'sample/fonts'), join(app, 'fonts'), { recursive: true });
  mkdirSync(join(app, 'node_modules'));
  symlinkSync(root, join(app, 'node_modules/dense-glyph'));
  writeFileSync(
    join(app, 'vite.config.js'),
    "import denseGlyph from 'dense-glyph/vite';\nexport default { plugins: [denseGlyph()] };\n",
  );
  const own = readFileSync(join(root, 'sample/dense-glyph.config.yaml'), 'utf8');
  writeFileSync(
    join(app, 'dense-glyph.config.yaml'),
    own
      .replace(/^site: .*$/m, 'site: { root: ., pages: [index.html], demand: dense-glyph.demand.json }')
      .replace(/^output: .*$/m, 'output: { folder: public/type }'),
  );
  spawnSync('bash', ['-c', `node ${program} scan --json > demand && mv demand dense-glyph.demand.json`], {
    cwd: app,
  });
  const vite = join(root, 'node_modules/vite/bin/vite.js');
  await terminal('vite', `cat app/vite.config.js; cd app; node ${vite} build`, 19);
  const variable = 'fonts/FerrywakeSans-VariableItalic.ttf';
  await terminal(
    'subset',
    `node ${program} subset fonts/FerrywakeSans-Regular.ttf --chars-from ferries/site --languages el,cy --chars ж --out type`,
    34,
  );
  cpSync(join(root, 'sample/before'), join(folder, 'before'), { recursive: true });
  await terminal('scan', `node ${program} scan before | head -45`, 47);
  // It ends with 1, as the site has what there is to find.
  spawnSync('node', [program, 'scan', 'before', '--page', 'scan.html', '--quiet'], { cwd: folder });
  execFileSync('node', [program, 'inspect', variable, '--page', 'specimen.html', '--quiet'], { cwd: folder });
  await pages();
  if (wanted.length === 0) {
    await broughtHome();
  }
} finally {
  rmSync(folder, { recursive: true, force: true });
}
process.exit(0);
