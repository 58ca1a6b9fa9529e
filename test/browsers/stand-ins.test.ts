import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { cli } from '../../test-support/cli.js';
import { testedEngines, startEngine, type Engine } from '../../test-support/engines.js';
import { root } from '../../test-support/paths.js';
import { LoggingServer } from '../../test-support/server.js';
import { isThorough } from '../../test-support/thorough.js';

const pages = ['index.html', 'story.html', 'timetable.html', 'pl/notices.html'];
const probes = ['400', '700', 'italic 400'];
const probed = 'Tickets are sold on board, in cash or by card; dogs travel free of charge.';

/** Notes, while faces are held back, how high blocks are and how long a line is. */
const script = `<script>
  const probes = ${JSON.stringify(probes)}.map((font) => {
    const span = document.createElement('span');
    span.textContent = ${JSON.stringify(probed)};
    span.style.cssText = 'position:absolute;visibility:hidden;white-space:nowrap;font:' + font + ' 17px "Ferrywake Sans", "Ferrywake Sans stand-in", monospace';
    document.body.append(span);
    return span;
  });
  const zeros = document.createElement('i');
  zeros.style.cssText = 'position:absolute;visibility:hidden;font-style:inherit;width:20ch';
  document.querySelector('h1').append(zeros);
  window.look = () => ({
    zeros: zeros.getBoundingClientRect().width,
    heights: [...document.querySelectorAll('h1, h2, p, td, li, .notice, footer')].map((one) => one.getBoundingClientRect().height),
    widths: probes.map((one) => one.getBoundingClientRect().width),
  });
  // Local fonts come a while after they are asked for.
  addEventListener('DOMContentLoaded', () => setTimeout(() => { window.held = window.look(); fetch('/release'); }, 900));
</script>`;

interface Look {
  /** How wide twenty zeros of the heading are. */
  zeros: number;
  heights: number[];
  widths: number[];
}

let folder: string;
/** Pages that note what is drawn, by their paths. */
let extra: Record<string, string>;

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'dense-glyph-stand-ins-'));
  for (const one of ['fonts', 'site', 'dense-glyph.config.yaml'])
    cpSync(join(root, 'sample', one), join(folder, one), { recursive: true });
  for (const command of ['build', 'wire']) expect((await cli([command, '--quiet'], folder)).err).toBe('');
  // The same without stand-ins.
  cpSync(join(folder, 'site'), join(folder, 'plain'), { recursive: true });
  const css = readFileSync(join(folder, 'plain/type/kit.css'), 'utf8');
  const without = css.replace(/@font-face \{[^}]*local\([^}]*\}\n/g, '');
  expect(without).not.toContain('local(');
  writeFileSync(join(folder, 'plain/type/kit.css'), without);
  extra = Object.fromEntries(
    ['site', 'plain'].flatMap((state) =>
      pages.map((page): [string, string] => [
        `/${state}/${page}`,
        readFileSync(join(folder, state, page), 'utf8').replace('</body>', `${script}</body>`),
      ]),
    ),
  );
});
afterAll(() => {
  rmSync(folder, { recursive: true, force: true });
});

describe.each(testedEngines())('%s', (engineName) => {
  let engine: Engine;
  beforeAll(async () => {
    engine = await startEngine(engineName, { unhinted: true });
  });
  afterAll(() => engine.close());

  async function looks(state: string, page: string): Promise<{ held: Look; arrived: Look }> {
    const folders = { '/site/': join(folder, 'site/'), '/plain/': join(folder, 'plain/') };
    const server = await LoggingServer.start(folders, extra, { paths: /\.woff2$/ });
    await engine.open(`${server.origin}/${state}/${page}`);
    const seen = await engine.run<{ held: Look; arrived: Look }>(
      `const pause = (time) => new Promise((done) => setTimeout(done, time));
       while (!window.held) await pause(50);
       await pause(100);
       await document.fonts.ready;
       await pause(300);
       return { held: window.held, arrived: window.look() };`,
    );
    await server.close();
    return seen;
  }

  const off = ({ held, arrived }: { held: Look; arrived: Look }) =>
    held.heights.filter((height, i) => Math.abs(height - arrived.heights[i]) > 1).length;

  test('lines are as long, in each weight and slope, before the face is there', async () => {
    const { held, arrived } = await looks('site', 'index.html');
    const plain = await looks('plain', 'index.html');
    const away = (look: { held: Look; arrived: Look }) =>
      look.held.widths.map((width, i) => Math.abs(width / look.arrived.widths[i] - 1));
    expect(Math.min(...away(plain))).toBeGreaterThan(0.1);
    const expected = {
      chromium: [0.02, 0.02, 0.02],
      firefox: [0.02, 0.02, 0.02],
      // Here it sets each glyph in whole pixels.
      webkit: [0.08, 0.05, 0.08],
    }[engineName];
    away({ held, arrived }).forEach((share, i) => {
      expect(share).toBeLessThan(expected[i]);
    });
  });

  test('what is as wide as so many zeros stays so', async () => {
    const { held, arrived } = await looks('site', 'index.html');
    // WebKitGTK sets each glyph in whole pixels.
    const most = engineName === 'webkit' ? 0.06 : 0.01;
    expect(Math.abs(held.zeros / arrived.zeros - 1)).toBeLessThan(most);
  });

  test.each(isThorough ? pages : pages.slice(1, 2))('%s hardly moves when the faces arrive', async (page) => {
    const tuned = await looks('site', page);
    const plain = await looks('plain', page);
    expect(tuned.held.heights.length).toBeGreaterThan(3);
    // WebKit knows size-adjust, and none of the metric overrides.
    if (engineName === 'webkit') return;
    expect(off(tuned)).toBeLessThanOrEqual(Math.min(1, off(plain)));
  });
});
