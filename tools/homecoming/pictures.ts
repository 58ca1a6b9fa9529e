// Pages as browsers draw them, held still, and what of two drawings differs.
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { PNG } from 'pngjs';
import puppeteer from 'puppeteer-core';
import { browserPath, type EngineName } from '../../test-support/engines.js';

/** Clocks, chance and what moves, held. */
const heldStill = `(() => {
  const Real = Date;
  const now = 1767225600000;
  globalThis.Date = class extends Real {
    constructor(...args) { if (args.length === 0) super(now); else super(...args); }
    static now() { return now; }
  };
  let seed = 1;
  Math.random = () => (seed = (seed * 16807) % 2147483647) / 2147483647;
  const still = () => {
    const style = document.createElement('style');
    style.textContent = '*, ::before, ::after { animation: none !important; transition: none !important; caret-color: transparent !important; scroll-behavior: auto !important } video { visibility: hidden !important }';
    (document.head ?? document.documentElement).append(style);
  };
  document.addEventListener('DOMContentLoaded', still);
})()`;

/** Scripts that measure the page are asked again once its faces are there: before, it is chance which of them had come. */
const settled = `(async () => {
  await document.fonts.ready;
  dispatchEvent(new Event('resize'));
  // They wait for the end of a resize themselves.
  await new Promise((done) => setTimeout(done, 400));
  await new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done)));
  await document.fonts.ready;
})()`;

/** Letters as they are drawn, not fitted to a grid. */
const unhinted = `<?xml version="1.0"?><!DOCTYPE fontconfig SYSTEM "fonts.dtd"><fontconfig>
<include ignore_missing="yes">${process.env.FONTCONFIG_FILE ?? '/etc/fonts/fonts.conf'}</include>
<match target="font"><edit name="hinting" mode="assign"><bool>false</bool></edit><edit name="autohint" mode="assign"><bool>false</bool></edit><edit name="hintstyle" mode="assign"><const>hintnone</const></edit><edit name="antialias" mode="assign"><bool>true</bool></edit></match>
<match target="pattern"><edit name="hinting" mode="assign"><bool>false</bool></edit><edit name="hintstyle" mode="assign"><const>hintnone</const></edit></match>
</fontconfig>`;

/** Looks at a page, after which it is taken as it is. */
const mostLooks = 12;

/** A page is drawn to here. */
const tallest = 6000;

export interface Photographer {
  /** @param patience milliseconds without a request, after which a page counts as loaded @returns a PNG of the whole page */
  shoot: (url: string, width: number, patience?: number) => Promise<Buffer>;
  close: () => Promise<void>;
}

export async function startPhotographer(engine: Exclude<EngineName, 'webkit'>): Promise<Photographer> {
  const profile = mkdtempSync(join(tmpdir(), 'dense-glyph-photo-'));
  writeFileSync(join(profile, 'fonts.conf'), unhinted);
  const browser = await puppeteer.launch({
    browser: engine === 'chromium' ? 'chrome' : 'firefox',
    executablePath: browserPath(engine)!,
    headless: true,
    userDataDir: join(profile, 'profile'),
    env: { ...process.env, FONTCONFIG_FILE: join(profile, 'fonts.conf') },
    args:
      engine === 'chromium'
        ? [
            '--no-sandbox',
            '--disable-gpu',
            '--disable-background-networking',
            '--font-render-hinting=none',
            '--hide-scrollbars',
            '--host-resolver-rules=MAP * ~NOTFOUND, EXCLUDE 127.0.0.1',
          ]
        : [],
    ...(engine === 'firefox'
      ? {
          extraPrefsFirefox: {
            'network.dns.localDomains': '',
            'network.proxy.type': 1,
            'network.proxy.http': '127.0.0.1',
            'network.proxy.http_port': 9,
            'network.proxy.ssl': '127.0.0.1',
            'network.proxy.ssl_port': 9,
            'network.proxy.no_proxies_on': '127.0.0.1',
            'javascript.enabled': true,
          },
        }
      : {}),
  });
  return {
    shoot: async (url, width, patience = 120) => {
      // Each page as on a first visit.
      const context = await browser.createBrowserContext();
      const page = await context.newPage();
      await page.evaluateOnNewDocument(heldStill);
      try {
        // The stock Firefox knows no screen orientation, which is set after the size.
        await page.setViewport({ width, height: 800 }).catch(() => undefined);
        await page.goto(url, { waitUntil: 'load', timeout: 20_000 }).catch(ifLate);
        await page.waitForFunction('location.href !== "about:blank" && document.body !== null');
        await page.waitForNetworkIdle({ idleTime: patience, timeout: 10_000 }).catch(ifLate);
        await page.evaluate(settled);
        const shot = async () => {
          const height = Number(await page.evaluate('Math.max(document.documentElement.scrollHeight, 1)'));
          const clip = { x: 0, y: 0, width, height: Math.min(height, tallest) };
          return Buffer.from(await page.screenshot({ clip, captureBeyondViewport: true }));
        };
        // Scripts draw some things bit by bit: the picture is that of a page which has come to rest.
        let last = await shot();
        for (let looks = 1; looks < mostLooks; looks++) {
          await new Promise((done) => setTimeout(done, 300));
          const next = await shot();
          if (next.equals(last)) break;
          last = next;
        }
        return last;
      } finally {
        await context.close();
      }
    },
    close: async () => {
      await browser.close();
      rmSync(profile, { recursive: true, force: true, maxRetries: 5 });
    },
  };
}

/** A page that never comes to rest is drawn as it is; so is one that has another host in a frame, which Firefox calls an error. */
function ifLate(cause: unknown): void {
  if (!/timeout|Address rejected/i.test(String(cause))) throw cause;
}

export interface Difference {
  /** Pixels that differ; all of a picture where the sizes do. */
  pixels: number;
  /** The box around them. */
  box: [x: number, y: number, width: number, height: number];
}

/** What moves by itself: pixels that differ between two pictures of the same. */
export function differing(one: Buffer, other: Buffer): Set<number> | 'size' {
  if (one.equals(other)) return new Set();
  const [a, b] = [PNG.sync.read(one), PNG.sync.read(other)];
  if (a.width !== b.width || a.height !== b.height) return 'size';
  const found = new Set<number>();
  for (let i = 0; i < a.width * a.height; i++) {
    const at = i * 4;
    const most = Math.max(
      ...[0, 1, 2].map((channel) => Math.abs(a.data[at + channel] - b.data[at + channel])),
    );
    if (most > 2) found.add(i);
  }
  return found;
}

/** @param before two pictures each, of which only what stays the same counts */
export function difference(before: readonly Buffer[], after: readonly Buffer[]): Difference | undefined {
  const pairs = before.flatMap((one) => after.map((other) => differing(one, other)));
  // One pair that is the same is proof enough: the others moved by themselves.
  if (pairs.some((pair) => pair !== 'size' && pair.size === 0)) return undefined;
  const { width, height } = PNG.sync.read(before[0]);
  const sized = pairs.filter((pair) => pair !== 'size');
  if (sized.length === 0) return { pixels: width * height, box: [0, 0, width, height] };
  const own = [differing(before[0], before[1]), differing(after[0], after[1])];
  const moves = new Set(own.flatMap((one) => (one === 'size' ? [] : [...one])));
  const left = [...sized[0]].filter((pixel) => !moves.has(pixel) && sized.every((pair) => pair.has(pixel)));
  if (left.length === 0) return undefined;
  const xs = left.map((pixel) => pixel % width);
  const ys = left.map((pixel) => Math.floor(pixel / width));
  const least = (list: number[]) => list.reduce((a, b) => Math.min(a, b), Infinity);
  const most = (list: number[]) => list.reduce((a, b) => Math.max(a, b), 0);
  return {
    pixels: left.length,
    box: [least(xs), least(ys), most(xs) - least(xs) + 1, most(ys) - least(ys) + 1],
  };
}
