import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { join } from 'node:path';
import puppeteer, { type Browser, type CDPSession } from 'puppeteer-core';
import { scan, type ScanResult } from '#src/index.js';
import { parseUnicodeRanges } from '#src/core/text/parse-ranges.js';
import { availableEngines, browserPath } from '../../test-support/engines.js';
import { root } from '../../test-support/paths.js';
import { LoggingServer } from '../../test-support/server.js';

/** Text that a browser shows, with the style that it computes and what it draws it with. */
interface Shown {
  family: string;
  weight: number;
  style: string;
  text: string;
  /** Whether one of the page's own fonts draws some of it. */
  isOwn: boolean;
}

/** Elements with text of their own that shows. */
const withText = (): Element[] =>
  [...document.querySelectorAll('body *')].filter(
    (element) =>
      [...element.childNodes].some((node) => node.nodeType === 3 && node.textContent?.trim() !== '') &&
      element.checkVisibility({ visibilityProperty: true }) &&
      !/^(script|style|noscript)$/i.test(element.tagName),
  );

/** What the browser computes for an element, and its own text after changes of case. */
const describeElement = (element: Element) => {
  const { fontFamily, fontWeight, fontStyle, textTransform } = getComputedStyle(element);
  const own = [...element.childNodes].filter((node) => node.nodeType === 3);
  const text = own.map((node) => node.textContent ?? '').join('');
  return {
    family: fontFamily.split(',')[0].replace(/["']/g, ''),
    weight: Number(fontWeight),
    style: fontStyle.split(' ')[0],
    text: textTransform === 'uppercase' ? text.toUpperCase() : text,
  };
};

async function shownOn(session: CDPSession): Promise<Shown[]> {
  await session.send('DOM.getDocument', { depth: 0 });
  const list = await session.send('Runtime.evaluate', { expression: `(${withText.toString()})()` });
  const { result } = await session.send('Runtime.getProperties', {
    objectId: list.result.objectId!,
    ownProperties: true,
  });
  const found: Shown[] = [];
  for (const { value } of result) {
    if (value?.subtype !== 'node') continue;
    const objectId = value.objectId!;
    const { result: said } = await session.send('Runtime.callFunctionOn', {
      objectId,
      functionDeclaration: `function () { return (${describeElement.toString()})(this); }`,
      returnByValue: true,
    });
    const { nodeId } = await session.send('DOM.requestNode', { objectId });
    const { fonts } = await session.send('CSS.getPlatformFontsForNode', { nodeId });
    const isOwn = fonts.some(({ isCustomFont }) => isCustomFont);
    found.push({ ...(said.value as Omit<Shown, 'isOwn'>), isOwn });
  }
  return found;
}

const sites = ['sample/site', 'sample/before'];
const hasChromium = availableEngines().includes('chromium');

(hasChromium ? describe : describe.skip).each(sites)('%s in Chromium', (name) => {
  const folder = join(root, name);
  let browser: Browser;
  let server: LoggingServer;
  let result: ScanResult;
  beforeAll(async () => {
    result = await scan({ site: [name], folder: root });
    server = await LoggingServer.start({ '/': folder });
    browser = await puppeteer.launch({
      executablePath: browserPath('chromium')!,
      args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
    });
  });
  afterAll(async () => {
    await browser.close();
    await server.close();
  });

  test.each([390, 1280])('nothing that it draws is missing, %d pixels wide', async (width) => {
    const page = await browser.newPage();
    await page.setJavaScriptEnabled(false);
    await page.setViewport({ width, height: 800 });
    const session = await page.createCDPSession();
    await session.send('DOM.enable');
    await session.send('CSS.enable');
    let looked = 0;
    for (const { page: file, faces } of result.pages) {
      await page.goto(`${server.origin}/${file}`, { waitUntil: 'load' });
      for (const shown of await shownOn(session)) {
        const own = faces.filter(({ asked }) => asked.weight === shown.weight && asked.style === shown.style);
        const told = own.map(({ characters }) => parseUnicodeRanges(characters));
        const missing = [...shown.text].filter(
          (sign) => sign.trim() !== '' && !told.some((set) => set.has(sign.codePointAt(0)!)),
        );
        expect([file, shown.family, missing.join('')]).toEqual([file, shown.family, '']);
        // What one of its own fonts draws is told to be drawn by one.
        if (shown.isOwn)
          expect([file, shown.text, own.some(({ drawnBy }) => drawnBy)]).toEqual([file, shown.text, true]);
        looked++;
      }
    }
    expect(looked).toBeGreaterThan(20);
    await page.close();
  });
});
