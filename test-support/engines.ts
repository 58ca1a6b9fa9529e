import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { createServer, type AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import puppeteer, { type Browser } from 'puppeteer-core';
import { root } from './paths.js';
import { isThorough } from './thorough.js';

interface BrowserFinder {
  findBrowser: (engine: EngineName) => string | undefined;
  findMiniBrowser: () => string | undefined;
  findFont: (file: string) => string | undefined;
  missingNote: (engine: EngineName) => string;
}

const { findBrowser, findFont, findMiniBrowser, missingNote } = (await import(
  pathToFileURL(join(root, 'tools/browsers.mjs')).href
)) as BrowserFinder;

export type EngineName = 'chromium' | 'firefox' | 'webkit';

/** A browser with one page. */
export interface Engine {
  open(url: string): Promise<void>;
  /** @param body of an async function in the page; what it returns goes through JSON */
  run<Result>(body: string, argument?: unknown): Promise<Result>;
  /** What the window shows, as a PNG in base64; the same pixels give the same text. */
  screenshot(): Promise<string>;
  close(): Promise<void>;
}

export const engineNames: readonly EngineName[] = ['chromium', 'firefox', 'webkit'];

/** The engines that are here. A missing one is named; where CI is set, all of them have to be here. */
export function availableEngines(): EngineName[] {
  return engineNames.filter((name) => {
    if (findBrowser(name)) return true;
    if (process.env.CI) throw new Error(missingNote(name));
    process.stderr.write(`${missingNote(name)}\n`);
    return false;
  });
}

/** Those that a run looks at: `npm test` the first one, the thorough run the others. */
export const testedEngines = (): EngineName[] =>
  availableEngines().filter((name) => (name === 'chromium') !== isThorough);

/** Where an engine's program lies. */
export const browserPath = (name: EngineName): string | undefined => findBrowser(name);

/** Chromium by its driver, for what only that tells. @param more arguments of the program */
export const launchChromium = (...more: readonly string[]): Promise<Browser> =>
  puppeteer.launch({
    executablePath: browserPath('chromium')!,
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', ...more],
  });

/** The path of a font that the system packages. Where CI is set it has to be here. */
export function systemFont(file: string): string | undefined {
  const path = findFont(file);
  if (!path && process.env.CI) throw new Error(`${file} is not here`);
  return path;
}

interface EngineOptions {
  /** Whether glyphs stand between pixels, as on screens of high resolution. */
  unhinted?: boolean;
}

export function startEngine(name: EngineName, options: EngineOptions = {}): Promise<Engine> {
  return name === 'webkit' ? startWebKit() : startPuppeteer(name, options);
}

async function startPuppeteer(
  name: 'chromium' | 'firefox',
  { unhinted = false }: EngineOptions,
): Promise<Engine> {
  const profile = mkdtempSync(join(tmpdir(), `dense-glyph-${name}-`));
  const browser = await puppeteer.launch({
    browser: name === 'chromium' ? 'chrome' : 'firefox',
    executablePath: findBrowser(name)!,
    headless: true,
    userDataDir: profile,
    args:
      name === 'chromium'
        ? [
            '--no-sandbox',
            '--disable-gpu',
            '--disable-background-networking',
            ...(unhinted ? ['--font-render-hinting=none'] : []),
          ]
        : [],
  });
  const page = await browser.newPage();
  // The size is set first; some versions of Firefox don't know the orientation, which follows.
  await page.setViewport({ width: 1280, height: 800 }).catch((cause: unknown) => {
    if (name !== 'firefox' || !/setScreenOrientationOverride/.test(String(cause))) throw cause;
  });
  return {
    open: async (url) => {
      await page.goto(url, { waitUntil: 'load' });
    },
    run: async <Result>(body: string, argument?: unknown) => {
      const call = `(async (argument) => { ${body} })(${JSON.stringify(argument ?? null)}).then((r) => JSON.stringify(r ?? null))`;
      return JSON.parse((await page.evaluate(call)) as string) as Result;
    },
    screenshot: () => page.screenshot({ encoding: 'base64' }),
    close: async () => {
      await browser.close();
      rmSync(profile, { recursive: true, force: true, maxRetries: 10, retryDelay: 200 });
    },
  };
}

/** By how many pixels a served page is too wide for a telephone. */
export async function overflowOnTelephone(engine: Engine, url: string): Promise<number> {
  await engine.open(url);
  return engine.run<number>(
    `const frame = document.createElement('iframe');
     frame.style.cssText = 'width: 390px; height: 844px; border: 0';
     const loaded = new Promise((done) => frame.addEventListener('load', done));
     frame.src = location.href;
     document.body.replaceChildren(frame);
     await loaded;
     const { scrollWidth, clientWidth } = frame.contentDocument.documentElement;
     return scrollWidth - clientWidth;`,
  );
}

function freePort(): Promise<number> {
  return new Promise((done) => {
    const server = createServer().listen(0, '127.0.0.1', () => {
      const { port } = server.address() as AddressInfo;
      server.close(() => done(port));
    });
  });
}

/** WebKitGTK over the W3C WebDriver protocol. */
async function startWebKit(): Promise<Engine> {
  const port = await freePort();
  const driver = spawn('xvfb-run', ['-a', findBrowser('webkit')!, `--port=${port}`], {
    detached: true, // so that the display and the browser end with it
    stdio: 'ignore',
    env: {
      ...process.env,
      WEBKIT_DISABLE_COMPOSITING_MODE: '1',
      LIBGL_ALWAYS_SOFTWARE: '1',
      WEBKIT_DISABLE_SANDBOX_THIS_IS_DANGEROUS: '1',
    },
  });
  const call = async <Result>(method: string, path: string, body?: unknown): Promise<Result> => {
    const response = await fetch(`http://127.0.0.1:${port}${path}`, {
      method,
      ...(body !== undefined
        ? { body: JSON.stringify(body), headers: { 'content-type': 'application/json' } }
        : {}),
    });
    const { value } = (await response.json()) as { value: Result & { error?: string; message?: string } };
    if (!response.ok) throw new Error(`${method} ${path}: ${value.error} ${value.message}`);
    return value;
  };
  await untilReady(() => call('GET', '/status'), driver);
  const options = { binary: findMiniBrowser(), args: ['--automation'] };
  const { sessionId } = await call<{ sessionId: string }>('POST', '/session', {
    capabilities: { alwaysMatch: { 'webkitgtk:browserOptions': options } },
  });
  const session = `/session/${sessionId}`;
  await call('POST', `${session}/timeouts`, { script: 60_000, pageLoad: 60_000 });
  return {
    open: (url) => call('POST', `${session}/url`, { url }),
    screenshot: () => call<string>('GET', `${session}/screenshot`),
    run: async <Result>(body: string, argument?: unknown) => {
      const script = `const done = arguments[arguments.length - 1];
        (async (argument) => { ${body} })(arguments[0]).then((r) => done(JSON.stringify([r ?? null])), (e) => done(JSON.stringify({ error: String(e) })));`;
      const answer = JSON.parse(
        await call<string>('POST', `${session}/execute/async`, { script, args: [argument ?? null] }),
      ) as [Result] | { error: string };
      if (!Array.isArray(answer)) throw new Error(answer.error);
      return answer[0];
    },
    close: async () => {
      await call('DELETE', session).catch(() => undefined);
      process.kill(-driver.pid!, 'SIGTERM');
    },
  };
}

async function untilReady(ask: () => Promise<unknown>, driver: ChildProcess): Promise<void> {
  const end = Date.now() + 20_000;
  for (;;) {
    try {
      await ask();
      return;
    } catch (cause) {
      if (Date.now() > end || driver.exitCode !== null) throw cause;
      await new Promise((done) => setTimeout(done, 100));
    }
  }
}
