// Pages in Chromium whose faces come late: what moves then, and in how many lines each paragraph stands.
import type { Browser } from 'puppeteer-core';
import { setTimeout as pause } from 'node:timers/promises';
import { launchChromium } from '../../test-support/engines.js';
import { fileAt, serveCounting, type CountingServer } from './serve.js';

/** Milliseconds that faces are held back. */
const delay = 1200;

export interface DrawnParagraph {
  element: string;
  text: string;
  /** How long its lines may be, CSS pixels. */
  measure: number;
  lines: number;
}

export interface LateLoad {
  /** Sum of the layout shifts from the moment that the faces were let go (Layout Instability). */
  shift: number;
  /** What moved, as in `p.lead`. */
  sources: string[];
  /** How many faces were held back. */
  late: number;
  /** In what stands in, and in the faces. */
  waiting: DrawnParagraph[];
  paragraphs: DrawnParagraph[];
}

export interface LateLoader {
  /** The page of each folder. */
  load: (page: string, width: number) => Promise<LateLoad[]>;
  close: () => Promise<void>;
}

const observing = `(() => {
  globalThis.shifts = [];
  const named = (node) => node?.nodeType === 1
    ? node.localName + [...node.classList].map((name) => '.' + name).join('') : node?.parentElement ? 'text in ' + named(node.parentElement) : '';
  new PerformanceObserver((list) => {
    for (const entry of list.getEntries())
      if (!entry.hadRecentInput)
        shifts.push({ at: entry.startTime, value: entry.value, sources: entry.sources.map(({ node }) => named(node)) });
  }).observe({ type: 'layout-shift', buffered: true });
})()`;

/** Blocks of text alone, with the lines in which they stand. */
const paragraphs = `(() => {
  const isInline = (node) => node.nodeType === 3 || node.nodeType === 8 || (node.nodeType === 1 &&
    getComputedStyle(node).display === 'inline' && !/^(img|svg|video|canvas|input|select|textarea|iframe|object|br)$/i.test(node.localName) &&
    [...node.childNodes].every(isInline));
  return [...document.querySelectorAll('body *')].flatMap((element) => {
    const style = getComputedStyle(element);
    if (!/^(block|list-item|table-cell|flow-root)$/.test(style.display) || style.float !== 'none' && style.width === 'auto') return [];
    const text = element.textContent.trim();
    if (text === '' || ![...element.childNodes].every(isInline) || style.writingMode !== 'horizontal-tb') return [];
    const padding = parseFloat(style.paddingLeft) + parseFloat(style.paddingRight);
    const measure = element.getBoundingClientRect().width - padding - parseFloat(style.borderLeftWidth) - parseFloat(style.borderRightWidth);
    const range = document.createRange();
    range.selectNodeContents(element);
    const tops = [...range.getClientRects()].filter(({ width }) => width > 0).map(({ top, height }) => top + height / 2).sort((a, b) => a - b);
    const half = parseFloat(style.fontSize) / 2;
    const lines = tops.filter((top, i) => i === 0 || top - tops[i - 1] > half).length;
    return lines === 0 ? [] : [{ element: element.localName, text, measure, lines }];
  });
})()`;

/**
 * @param folders of the same site in several states
 * @param hosts other servers that send faces
 */
export async function startLateLoader(
  folders: readonly string[],
  hosts: readonly CountingServer[],
): Promise<LateLoader> {
  let late = 0;
  const servers = await Promise.all(folders.map((folder) => serveCounting((url) => fileAt(folder, url))));
  for (const server of [...servers, ...hosts])
    server.held = async (url) => {
      if (!/\.(woff2?|ttf|otf|eot)([?#]|$)/i.test(url)) return;
      late++;
      await pause(delay);
    };
  const browser = await launchChromium('--host-resolver-rules=MAP * ~NOTFOUND, EXCLUDE 127.0.0.1');
  return {
    load: async (page, width) => {
      const loads: LateLoad[] = [];
      for (const { origin } of servers) {
        late = 0;
        const found = await loadLate(browser, `${origin}/${page}`, width);
        loads.push({ ...found, late });
      }
      return loads;
    },
    close: async () => {
      await browser.close();
      await Promise.all(servers.map((server) => server.close()));
    },
  };
}

async function loadLate(browser: Browser, url: string, width: number): Promise<Omit<LateLoad, 'late'>> {
  // Faces of the page before must not be at hand.
  const context = await browser.createBrowserContext();
  try {
    const tab = await context.newPage();
    await tab.setViewport({ width, height: 800 });
    await tab.evaluateOnNewDocument(observing);
    await tab.goto(url, { waitUntil: 'domcontentloaded', timeout: 30_000 });
    await pause(delay / 4);
    const waiting = (await tab.evaluate(paragraphs)) as DrawnParagraph[];
    await tab.waitForFunction('document.readyState === "complete"');
    await tab.evaluate('document.fonts.ready.then(() => undefined)');
    await pause(300);
    await tab.evaluate(
      'new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(() => done())))',
    );
    const shifts = (await tab.evaluate('shifts')) as { at: number; value: number; sources: string[] }[];
    const own = shifts.filter(({ at }) => at >= delay - 50);
    return {
      shift: own.reduce((sum, { value }) => sum + value, 0),
      sources: [...new Set(own.flatMap(({ sources }) => sources))],
      waiting,
      paragraphs: (await tab.evaluate(paragraphs)) as DrawnParagraph[],
    };
  } finally {
    await context.close();
  }
}
