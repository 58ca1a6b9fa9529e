// The notice whose italic word turns its meaning round, frame by frame while its faces come, without and with an arrival group.
import { spawnSync } from 'node:child_process';
import { createServer } from 'node:http';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { extname, join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';

const types = { '.html': 'text/html', '.css': 'text/css', '.js': 'text/javascript', '.woff2': 'font/woff2' };
/** Milliseconds after which each face is sent; the italic last. */
const delays = [
  [/300-800n|400n/, 300],
  [/slab/, 600],
  [/300-800i|400i/, 1100],
];
const moments = [200, 450, 800, 1400];

const notice = `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><title>Notice</title>
<style>
body { margin: 0; padding: 16px 20px; background: #f6f4ee; color: #17252c; font: 400 21px/1.45 "Ferrywake Sans", sans-serif }
h1 { margin: 0 0 8px; font: 700 27px/1.2 "Lampbuoy Slab", serif } p { margin: 0 }
em { font-style: italic; font-weight: 700; color: #b4431f }
</style></head>
<body><h1>The last boat</h1><p>It does <em>not</em> sail tonight.</p></body></html>
`;

const config = (group) => `site: { root: site }
output: { folder: site/type }
families:
  - { family: Ferrywake Sans, files: ["../fonts/FerrywakeSans-Variable*.ttf"], role: body, stack: [sans-serif]${group} }
  - { family: Lampbuoy Slab, files: ["../fonts/LampbuoySlab-Bold.otf"], role: heading, stack: [serif]${group} }
`;

/** @returns what is seen at each moment, as PNG in base64 */
async function frames(browser, folder) {
  const server = createServer(async (request, response) => {
    const file = join(folder, request.url === '/' ? 'index.html' : request.url);
    if (!existsSync(file)) return response.writeHead(404).end();
    const late = delays.find(([which]) => which.test(request.url) && request.url.endsWith('.woff2'));
    if (late) await pause(late[1]);
    response.writeHead(200, { 'content-type': types[extname(file)] ?? 'application/octet-stream' });
    response.end(readFileSync(file));
  });
  await new Promise((done) => server.listen(0, '127.0.0.1', done));
  const context = await browser.createBrowserContext();
  try {
    const page = await context.newPage();
    await page.setViewport({ width: 300, height: 120, deviceScaleFactor: 2 });
    await page.goto(`http://127.0.0.1:${server.address().port}/`, { waitUntil: 'domcontentloaded' });
    const start = Date.now();
    const seen = [];
    for (const moment of moments) {
      await pause(Math.max(0, start + moment - Date.now()));
      seen.push(await page.screenshot({ encoding: 'base64' }));
    }
    return seen;
  } finally {
    await context.close();
    server.closeAllConnections();
    server.close();
  }
}

/**
 * @param folder one with the sample's fonts in `fonts`
 * @param program the built command
 * @param file the picture
 */
export async function film(browser, folder, program, file) {
  const rows = [];
  for (const [name, group, words] of [
    ['alone', ', loading: { display: block }', 'display: block, each face by itself'],
    ['swapped', '', 'display: swap, each face by itself'],
    ['together', ', loading: { group: notice }', 'group: notice'],
  ]) {
    const project = join(folder, name);
    mkdirSync(join(project, 'site'), { recursive: true });
    writeFileSync(join(project, 'site/index.html'), notice);
    writeFileSync(join(project, 'dense-glyph.config.yaml'), config(group));
    for (const command of ['build', 'wire']) {
      const { status, stderr } = spawnSync(process.execPath, [program, command, '--quiet'], { cwd: project });
      if (status !== 0) throw new Error(String(stderr));
    }
    // Without stand-ins, so that it is seen which face is there.
    const css = join(project, 'site/type/kit.css');
    writeFileSync(css, readFileSync(css, 'utf8').replace(/@font-face \{[^}]*local\([^}]*\}\n/g, ''));
    rows.push({ words, seen: await frames(browser, join(project, 'site')) });
  }
  const cells = rows
    .map(
      ({ words, seen }) =>
        `<h2>${words}</h2><div>${seen.map((png, i) => `<figure><img src="data:image/png;base64,${png}"><figcaption>${moments[i]} ms</figcaption></figure>`).join('')}</div>`,
    )
    .join('');
  const page = await browser.newPage();
  await page.setViewport({ width: 1280, height: 640 });
  await page.setContent(`<style>
    body { margin: 0; padding: 20px 24px; font: 15px sans-serif; background: #fff; color: #17252c }
    h2 { font: 600 16px monospace; margin: 8px 0 10px } div { display: flex; gap: 12px; margin-bottom: 18px }
    figure { margin: 0 } img { width: 298px; border: 1px solid #d6d2c6; display: block } figcaption { color: #52646c; padding-top: 4px }
  </style>${cells}`);
  await page.screenshot({ path: file });
  await page.close();
}
