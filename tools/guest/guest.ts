// What a kit does to a page besides its faces: the sample's page with plain rules (the kit without stand-ins), and with the kit, asked
// by its scripts in three engines.
//   npm run guest -- [--engines chromium firefox webkit] [--runs <n>]
import { appendFileSync, cpSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { brotliCompressSync } from 'node:zlib';
import { cliProcess } from '../../test-support/cli.js';
import {
  availableEngines,
  launchChromium,
  startEngine,
  type EngineName,
} from '../../test-support/engines.js';
import { LoggingServer } from '../../test-support/server.js';
import { Arguments } from '../homecoming/arguments.js';

const args = new Arguments();
const engines = args.valuesOf('--engines') as EngineName[];
const [runs = '15'] = args.valuesOf('--runs');
const folder = mkdtempSync(join(tmpdir(), 'dense-glyph-guest-'));

async function called(call: readonly string[], where: string): Promise<void> {
  const { code, err } = await cliProcess([...call, '--quiet'], where);
  if (code !== 0) throw new Error(err);
}
await called(['demo', '--out', 'kit'], folder);
cpSync(join(folder, 'kit'), join(folder, 'plain'), { recursive: true });
appendFileSync(join(folder, 'plain/dense-glyph.config.yaml'), '\nloading: { stand-ins: none }\n');
for (const command of ['build', 'wire']) await called([command], join(folder, 'plain'));

/** Faces come this much later than the page. */
const delay = 700;

/** Before anything of the page: what happens to its faces, and how often. */
const watching = `<script>
  window.seen = { loadingerror: 0, loadingdone: 0 };
  for (const name of Object.keys(seen)) document.fonts.addEventListener(name, ({ fontfaces }) => { seen[name] += name === 'loadingerror' ? fontfaces.length : 1; });
</script>`;

/** What scripts ask of a face by its own name; \`stack\` is what the cascade gives an element of the page. */
const asking = `
  const timed = async (promise) => {
    const start = performance.now();
    const end = await promise.then((faces) => 'resolves with ' + faces.length, (error) => 'rejects: ' + error.name);
    return end + (performance.now() - start > ${delay / 2} ? ', when it is there' : ', at once');
  };
  const face = '400 16px "Ferrywake Sans"';
  const first = document.fonts.check(face, 'Pier');
  const widthOf = (font, text = 'Skerrow Quernsay 14') => {
    const context = document.createElement('canvas').getContext('2d');
    context.font = font;
    return context.measureText(text).width;
  };
  const asked = [timed(document.fonts.load(face, 'Pier'))];
  const { fontStyle, fontWeight, fontSize, fontFamily } = getComputedStyle(document.body);
  const whole = [fontStyle, fontWeight, fontSize, fontFamily].join(' ');
  asked.push(timed(document.fonts.load(whole, 'Pier')));
  const [load, loadWhole] = await Promise.all(asked);
  const canvas = widthOf('400 32px "Ferrywake Sans", monospace');
  await document.fonts.ready;
  await new Promise((done) => setTimeout(done, 300));
  const late = widthOf('400 32px "Ferrywake Sans", monospace');
  const box = document.createElement('div');
  box.style.cssText = 'position:absolute;width:20ch;font:' + getComputedStyle(document.querySelector('h1')).font;
  document.body.append(box);
  return {
    'load(face)': load, 'load(whole font)': loadWhole,
    'check before, after': first + ', ' + document.fonts.check(face, 'Pier'),
    'canvas after load()': canvas === late && Math.abs(canvas - widthOf('400 32px monospace')) > 2 ? 'in the face' : 'otherwise',
    '20ch of a heading, px': box.getBoundingClientRect().width.toFixed(1),
    'loadingerror, faces': seen.loadingerror,
    'ready, status': document.fonts.status,
  };`;

const states = ['plain', 'kit'] as const;
const page = (state: string) =>
  readFileSync(join(folder, state, 'site/index.html'), 'utf8').replace(
    /<meta charset[^>]*>/i,
    `$&${watching}`,
  );
const server = await LoggingServer.start(
  { '/plain/': join(folder, 'plain/site/'), '/kit/': join(folder, 'kit/site/') },
  Object.fromEntries(states.map((state) => [`/${state}/index.html`, page(state)])),
  { paths: /\.woff2$/, delay },
);

const told: [engine: string, what: string, ...values: string[]][] = [];
for (const name of engines.length > 0 ? engines : availableEngines()) {
  const found: Record<string, unknown>[] = [];
  for (const state of states) {
    // A new one: caches and faces of the other state are gone.
    const engine = await startEngine(name);
    await engine.open(`${server.origin}/${state}/index.html`);
    found.push(await engine.run<Record<string, unknown>>(asking));
    await engine.close();
  }
  for (const what of Object.keys(found[0])) told.push([name, what, ...found.map((one) => String(one[what]))]);
}

/** Milliseconds for style and layout of the page once the stylesheet is put in, at a quarter of the speed; the median. */
async function layout(state: string): Promise<number> {
  const browser = await launchChromium();
  const times: number[] = [];
  for (let run = 0; run < Number(runs); run++) {
    const tab = await browser.newPage();
    const session = await tab.createCDPSession();
    await session.send('Emulation.setCPUThrottlingRate', { rate: 4 });
    await tab.goto(`${server.origin}/${state}/index.html`);
    times.push(
      await tab.evaluate(async () => {
        const link = document.querySelector<HTMLLinkElement>('link[href$="kit.css"]')!;
        const text = await (await fetch(link.href)).text();
        link.remove();
        document.body.getBoundingClientRect();
        const style = document.createElement('style');
        style.textContent = text.replaceAll('url("faces', 'url("type/faces');
        const start = performance.now();
        document.head.append(style);
        document.body.getBoundingClientRect();
        return performance.now() - start;
      }),
    );
    await tab.close();
  }
  await browser.close();
  return times.sort((a, b) => a - b)[times.length >> 1];
}
const layouts = [await layout('plain'), await layout('kit')];
told.push(['chromium', 'style and layout, ms', ...layouts.map((one) => one.toFixed(1))]);
const sheets = states.map((state) => readFileSync(join(folder, state, 'site/type/kit.css')));
told.push([
  '',
  'kit.css, bytes and with Brotli',
  ...sheets.map((one) => `${one.length}, ${brotliCompressSync(one).length}`),
]);

console.log('| engine | what a page asks | plain rules | kit |\n| --- | --- | --- | --- |');
for (const row of told) console.log(`| ${row.join(' | ')} |`);
await server.close();
rmSync(folder, { recursive: true, force: true });
