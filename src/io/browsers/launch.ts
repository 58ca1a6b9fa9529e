import { existsSync } from 'node:fs';
import { userInfo } from 'node:os';
import { delimiter, join } from 'node:path';
import type { Browser } from 'puppeteer-core';
import { DenseGlyphError } from '../../errors.js';
import type { Environment } from './environment.js';

/** What Chromium is called, where it is on PATH. */
const names = ['chromium', 'chromium-browser', 'google-chrome', 'google-chrome-stable', 'microsoft-edge'];
const elsewhere = [
  '/Applications/Google Chrome.app/Contents/MacOS/Google Chrome',
  '/Applications/Chromium.app/Contents/MacOS/Chromium',
  'C:\\Program Files\\Google\\Chrome\\Application\\chrome.exe',
  'C:\\Program Files (x86)\\Microsoft\\Edge\\Application\\msedge.exe',
];

function findChromium(environment: Environment): string | undefined {
  const named = environment.DENSE_GLYPH_CHROMIUM;
  if (named) return named;
  const onPath = (environment.PATH ?? '')
    .split(delimiter)
    .flatMap((folder) => names.map((name) => join(folder, name)));
  return [...onPath, ...elsewhere].find((path) => existsSync(path));
}

/** Starts an installed Chromium without a window. @throws DenseGlyphError `browser-missing` */
export async function launchChromium(environment: Environment): Promise<Browser> {
  const { default: puppeteer } = await import('puppeteer-core').catch((cause: unknown) => {
    const advice = 'npm install --save-dev puppeteer-core';
    throw new DenseGlyphError('browser-missing', 'puppeteer-core is not installed', {}, advice, cause);
  });
  const executablePath = findChromium(environment);
  if (executablePath === undefined)
    throw new DenseGlyphError('browser-missing', 'no Chromium was found on PATH');
  // As root, in a container, there is no sandbox to be had.
  const isRoot = userInfo().uid === 0;
  const args = ['--disable-gpu', '--disable-background-networking', ...(isRoot ? ['--no-sandbox'] : [])];
  // By a pipe, whose end it hears however this program ends.
  return puppeteer.launch({ executablePath, headless: true, args, pipe: true }).catch((cause: unknown) => {
    const reason = `${executablePath} does not start`;
    throw new DenseGlyphError('browser-missing', reason, {}, undefined, cause);
  });
}
