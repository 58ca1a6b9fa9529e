import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { copyFileSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { basename, join } from 'node:path';
import { sampleSentences } from '#src/data/sample-sentences.js';
import { cli } from '../../test-support/cli.js';
import { startEngine, systemFont, testedEngines, type Engine } from '../../test-support/engines.js';
import { LoggingServer } from '../../test-support/server.js';

/** Faces of scripts that the usual local fonts lack, each with a text in another face of that script. */
const scripts = [
  { language: 'fa', direction: 'rtl', file: 'NotoKufiArabic-Regular.ttf', local: 'Noto Sans Arabic Regular' },
  {
    language: 'he',
    direction: 'rtl',
    file: 'NotoRashiHebrew-Regular.ttf',
    local: 'Noto Sans Hebrew Regular',
  },
  { language: 'th', direction: 'ltr', file: 'NotoLoopedThai-Regular.ttf', local: 'Noto Sans Thai Regular' },
];

/** Notes, while faces are held back, how high paragraphs are and how long a line is. */
const script = `<script>
  window.look = () => ({
    heights: [...document.querySelectorAll('p')].map((one) => one.getBoundingClientRect().height),
    width: document.querySelector('span').getBoundingClientRect().width,
  });
  // Local fonts come a while after they are asked for.
  addEventListener('DOMContentLoaded', () => setTimeout(() => { window.held = window.look(); fetch('/release'); }, 900));
</script>`;

let folder: string;
beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'dense-glyph-script-stand-ins-'));
  mkdirSync(join(folder, 'site'));
  for (const { language, direction, file } of scripts) {
    copyFileSync(systemFont(file)!, join(folder, basename(file)));
    // These faces have no Latin.
    const text = sampleSentences[language].replace(/[ -~]+/g, ' ');
    const paragraphs = [26, 34, 41, 48, 57].map(
      (em, i) => `<p style="width: ${em * 10}px">${text.slice(i * 3)} ${text}</p>`,
    );
    writeFileSync(
      join(folder, `site/${language}.html`),
      `<!doctype html><html lang="${language}" dir="${direction}"><meta charset="utf-8"><title>${language}</title>
<style>body { font: 17px/1.5 "Face ${language}", sans-serif } span { white-space: nowrap; position: absolute }</style>
<body>${paragraphs.join('\n')}<p><span>${text}</span></p>${script}</body></html>`,
    );
  }
  writeFileSync(
    join(folder, 'dense-glyph.config.yaml'),
    `site: { root: site }
output: { folder: site/type }
families:
${scripts.map(({ language, file }) => `  - family: Face ${language}\n    files: [${basename(file)}]\n    role: ${language}\n    stack: [sans-serif]`).join('\n')}
`,
  );
  for (const command of ['build', 'wire']) expect((await cli([command, '--quiet'], folder)).err).toBe('');
});
afterAll(() => {
  rmSync(folder, { recursive: true, force: true });
});

interface Look {
  heights: number[];
  width: number;
}

describe.each(testedEngines())('%s', (engineName) => {
  let engine: Engine;
  beforeAll(async () => {
    engine = await startEngine(engineName, { unhinted: true });
  });
  afterAll(() => engine.close());

  test.each(scripts)('$language: lines are as long before the face is there', async ({ language, local }) => {
    expect(readFileSync(join(folder, 'site/type/kit.css'), 'utf8')).toContain(`local("${local}")`);
    const server = await LoggingServer.start({ '/': join(folder, 'site/') }, {}, { paths: /\.woff2$/ });
    try {
      await engine.open(`${server.origin}/${language}.html`);
      const { held, arrived } = await engine.run<{ held: Look; arrived: Look }>(`
        const pause = (time) => new Promise((done) => setTimeout(done, time));
        while (!window.held) await pause(50);
        await pause(100);
        await document.fonts.ready;
        await pause(300);
        return { held: window.held, arrived: window.look() };`);
      expect(arrived.width).not.toBe(held.width);
      // WebKitGTK sets each glyph in whole pixels.
      expect(Math.abs(held.width / arrived.width - 1)).toBeLessThan(engineName === 'webkit' ? 0.06 : 0.02);
      if (engineName !== 'webkit') expect(held.heights).toEqual(arrived.heights);
    } finally {
      await server.close();
    }
  });
});
