import { DenseGlyphError } from '../../errors.js';
import { withinTime } from '../../io/browsers/bounded-page.js';
import type { CDPSession, Page } from 'puppeteer-core';

/** A picture of the window. */
export interface Frame {
  /** Milliseconds since the page was asked for. */
  at: number;
  /** JPEG in base64. */
  picture: string;
}

/** What was fetched. */
export interface Fetched {
  url: string;
  kind: 'page' | 'stylesheet' | 'script' | 'font' | 'image' | 'other';
  start: number;
  end: number;
  /** As they came over the line. */
  bytes: number;
  failed: boolean;
}

/** Something that moved, as the browser tells it (Layout Instability). */
export interface Moved {
  at: number;
  value: number;
  /** What it was, as in `p.lead: We are the people`. */
  sources: string[];
}

/** One visit to a page, by the browser's own clock: milliseconds since the page was asked for. */
export interface RecordedVisit {
  firstDrawing: number;
  /** When each face could be drawn. */
  arrivals: { face: string; at: number }[];
  moved: Moved[];
  shift: number;
  fetched: Fetched[];
  bytes: number;
  fontBytes: number;
  frames: Frame[];
}

/** A telephone that is held upright. */
const window = { width: 390, height: 800, deviceScaleFactor: 1 };
/** Milliseconds: how long a page may take, and how long it is looked at once nothing comes any more. */
const [longest, quiet] = [90_000, 700];

/** Runs in the page, before anything else. */
const watching = `(() => {
  const told = (globalThis.__recorded = { arrivals: [], moved: [] });
  const seen = new WeakSet();
  const plain = (range) => (range || 'U+0-10FFFF').toUpperCase().replace(/\\s+/g, '').replace(/\\b0+(?=[0-9A-F])/g, '');
  const bare = (text) => text.trim().replace(/^["']|["']$/g, '');
  const keyOf = (family, weight, style, range) => [bare(family), weight.replace('normal', '400').replace('bold', '700') || '400', style.split(' ')[0] || 'normal', plain(range)].join('|');
  // Rules of local fonts alone: they stand in.
  const standIns = () => {
    const found = new Set();
    const visit = (rules) => {
      for (const rule of rules) {
        if (rule instanceof CSSFontFaceRule) {
          const value = (name) => rule.style.getPropertyValue(name);
          if (!/url\\(/.test(value('src'))) found.add(keyOf(value('font-family'), value('font-weight'), value('font-style'), value('unicode-range')));
        } else if (rule.styleSheet) visitSheet(rule.styleSheet);
        else if (rule.cssRules) visit(rule.cssRules);
      }
    };
    const visitSheet = (sheet) => {
      try { visit(sheet.cssRules); } catch { /* Of another host. */ }
    };
    for (const sheet of document.styleSheets) visitSheet(sheet);
    return found;
  };
  const look = () => {
    const fresh = [...document.fonts].filter((face) => face.status === 'loaded' && !seen.has(face));
    const local = fresh.length > 0 ? standIns() : undefined;
    for (const face of fresh) {
      if (local.has(keyOf(face.family, face.weight, face.style, face.unicodeRange))) { seen.add(face); continue; }
      seen.add(face);
      const style = face.style === 'normal' ? '' : ' ' + face.style;
      told.arrivals.push({ face: bare(face.family) + ' ' + face.weight.replace(' ', '–') + style, at: performance.now() });
    }
    setTimeout(look, 20);
  };
  look();
  const nameOf = (node) => {
    const element = node && node.nodeType === 3 ? node.parentElement : node;
    if (!element || !element.tagName) return 'something';
    const text = (element.textContent || '').trim().replace(/\\s+/g, ' ').slice(0, 60);
    const classes = typeof element.className === 'string' && element.className.trim() !== '' ? '.' + element.className.trim().split(/\\s+/).join('.') : '';
    return element.tagName.toLowerCase() + classes + (text === '' ? '' : ': ' + text);
  };
  new PerformanceObserver((list) => {
    for (const { value, hadRecentInput, sources, startTime } of list.getEntries())
      if (!hadRecentInput) told.moved.push({ at: startTime, value, sources: sources.map(({ node }) => nameOf(node)) });
  }).observe({ type: 'layout-shift', buffered: true });
})()`;

/** Visits a page and writes down what happens. @throws Error for a page that doesn't load */
export const recordVisit = (page: Page, url: string): Promise<RecordedVisit> =>
  withinTime(page, 2 * longest, () => visit(page, url));

async function visit(page: Page, url: string): Promise<RecordedVisit> {
  await page.setViewport(window);
  await page.evaluateOnNewDocument(watching);
  const session = await page.createCDPSession();
  const screen = await filmed(session);
  const network = await followed(session);
  const answer = await page
    .goto(url, { waitUntil: 'networkidle0', timeout: longest })
    .catch((cause: unknown) => {
      throw new DenseGlyphError(
        'site-unreachable',
        `the page does not load (${(cause as Error).message})`,
        { url },
        undefined,
        cause,
      );
    });
  if (answer && answer.status() >= 400)
    throw new DenseGlyphError('site-unreachable', `the server answers ${answer.status()}`, { url });
  await page.evaluate('document.fonts.ready.then(() => undefined)');
  await new Promise((done) => setTimeout(done, quiet));
  const told = (await page.evaluate(`({
    ...globalThis.__recorded,
    origin: performance.timeOrigin,
    paint: performance.getEntriesByName('first-contentful-paint')[0]?.startTime,
  })`)) as {
    arrivals: RecordedVisit['arrivals'];
    moved: Moved[];
    origin: number;
    paint: number | undefined;
  };
  // What doesn't move any more sends no frame: the last one is asked for.
  const last = Buffer.from(await page.screenshot({ type: 'jpeg', quality: 60 })).toString('base64');
  const fetched = network(told.origin);
  const firstDrawing = told.paint ?? Infinity;
  const settled = Math.max(
    firstDrawing,
    ...told.arrivals.map(({ at }) => at),
    ...fetched.map(({ end }) => end),
  );
  return {
    firstDrawing,
    arrivals: told.arrivals,
    moved: told.moved,
    shift: told.moved.reduce((sum, { value }) => sum + value, 0),
    fetched,
    bytes: fetched.reduce((sum, { bytes }) => sum + bytes, 0),
    fontBytes: fetched.reduce((sum, { kind, bytes }) => sum + (kind === 'font' ? bytes : 0), 0),
    frames: [...screen(told.origin), { at: settled + quiet, picture: last }],
  };
}

/** Pictures whenever something changes. @returns those so far, since the page was asked for */
async function filmed(session: CDPSession): Promise<(origin: number) => Frame[]> {
  const frames: Frame[] = [];
  session.on('Page.screencastFrame', ({ data, metadata, sessionId }) => {
    frames.push({ at: (metadata.timestamp ?? 0) * 1000, picture: data });
    void session.send('Page.screencastFrameAck', { sessionId }).catch(() => undefined);
  });
  await session.send('Page.startScreencast', { format: 'jpeg', quality: 60, everyNthFrame: 1 });
  return (origin) =>
    frames.flatMap(({ at, picture }) => (at >= origin ? [{ at: at - origin, picture }] : []));
}

const kinds: Readonly<Record<string, Fetched['kind']>> = {
  Document: 'page',
  Stylesheet: 'stylesheet',
  Script: 'script',
  Font: 'font',
  Image: 'image',
};

/** @returns what was fetched so far, by the clock of the page */
async function followed(session: CDPSession): Promise<(origin: number) => Fetched[]> {
  const all = new Map<string, Fetched & { isOwn: boolean }>();
  /** Between the two clocks of the protocol, milliseconds. */
  let offset = 0;
  session.on('Network.requestWillBeSent', ({ requestId, request, timestamp, wallTime, type }) => {
    offset = wallTime * 1000 - timestamp * 1000;
    const kind = kinds[type ?? ''] ?? 'other';
    const isOwn = /^https?:/.test(request.url);
    const start = timestamp * 1000;
    all.set(requestId, { url: request.url, kind, start, end: start, bytes: 0, failed: false, isOwn });
  });
  session.on('Network.loadingFinished', ({ requestId, timestamp, encodedDataLength }) => {
    const one = all.get(requestId);
    if (one) Object.assign(one, { end: timestamp * 1000, bytes: encodedDataLength });
  });
  session.on('Network.loadingFailed', ({ requestId, timestamp }) => {
    const one = all.get(requestId);
    if (one) Object.assign(one, { end: timestamp * 1000, failed: true });
  });
  await session.send('Network.enable');
  return (origin) =>
    [...all.values()]
      .filter(({ isOwn }) => isOwn)
      .map(({ isOwn: _, ...one }) => ({
        ...one,
        start: one.start + offset - origin,
        end: one.end + offset - origin,
      }));
}
