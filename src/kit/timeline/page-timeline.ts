// When a page shows its text, and when each face is there

import type { FontDisplay } from '../../core/face/index.js';
import type { Connection } from '../../config/connections.js';
import { fetchTimes, usualDelivery, type Delivery, type Fetch } from './transfers.js';

/** What stands in the way of a page's first drawing. */
export interface BlockingFile {
  key: string;
  origin: string;
  bytes: number;
  kind: 'stylesheet' | 'script';
  /** The file that names it; the page itself if left out. */
  from?: string | undefined;
}

/** A font file that a page draws. */
export interface PageFont {
  key: string;
  origin: string;
  bytes: number;
  display: FontDisplay;
  /** The arrival group that it is in: it is asked for at once, and drawn when all of them are there. */
  group?: string | undefined;
  /** The group that has to be there before it is asked for. */
  after?: string | undefined;
  /** How much of what is seen first it draws: letters. */
  letters: number;
}

/** A page as far as its timeline goes. */
export interface PageFiles {
  origin: string;
  /** Of its HTML, as they are sent. */
  bytes: number;
  blocking: readonly BlockingFile[];
  fonts: readonly PageFont[];
  /** Servers that the page connects to ahead. */
  preconnects?: readonly string[] | undefined;
}

/** How the fonts of a page are asked for. */
export interface Hints {
  /** Keys of fonts that the head names. */
  preloads: readonly string[];
  /** Whether the server names them, and stylesheets of its own, before the page is made (RFC 8297). */
  early?: boolean;
  /** Fonts of which a first part stands in the page itself, and its bytes. */
  inlined?: ReadonlyMap<string, number> | undefined;
}

/** What a browser takes for itself on a machine, milliseconds. */
export interface BrowserWork {
  /** Until it has asked for the page and begun to read it. */
  start: number;
  /** From the last file that holds drawing up until something is drawn and fonts are asked for. */
  drawing: number;
}

const noWork: BrowserWork = { start: 0, drawing: 0 };

/** Milliseconds since the page was asked for. */
export interface FontTimes {
  key: string;
  /** When it is there. */
  there: number;
  /** From when on its text can be read, in the face or in what stands in for it. */
  visible: number;
  /** From when on its text is in the face; `undefined` where the display value keeps it from that. */
  drawn: number | undefined;
}

export interface PageTimeline {
  firstPaint: number;
  /** Bytes that had to come before it. */
  bytesBefore: number;
  fonts: FontTimes[];
  /** Text in its own faces, by letters: the mean of when. */
  meanDrawn: number;
}

const priorities = { page: 0, stylesheet: 1, script: 2, font: 3 } as const;

/** Of a page so many bytes are read before anything is drawn. */
const mostBefore = 16_000;
/** Base64 (RFC 4648), compressed with the page around it. */
export const inlineShare = 1.02;
/** Where in a page its head ends: stylesheets and hints are named before. */
const headEnd = 1400;

/** Simulates a page on a line. @throws nothing; what never comes is `Infinity` */
export function pageTimeline(
  page: PageFiles,
  hints: Hints,
  line: Connection,
  delivery: Delivery = usualDelivery,
  work: BrowserWork = noWork,
): PageTimeline {
  const { inlined = new Map<string, number>(), early = false } = hints;
  const inlineBytes = [...inlined.values()].reduce((sum, bytes) => sum + bytes * inlineShare, 0);
  const html: Fetch = {
    key: 'page',
    origin: page.origin,
    bytes: Math.round(page.bytes + inlineBytes),
    priority: priorities.page,
    after: [],
  };
  // The drawing needs the start of the page; the rest comes meanwhile.
  const before = Math.min(html.bytes, mostBefore + inlineBytes);
  const start: Fetch = { ...html, key: 'start of the page', bytes: before };
  const rest: Fetch = { ...html, key: 'page', bytes: Math.max(0, html.bytes - before), after: [start.key] };
  const inHead = { key: start.key, at: Math.min(headEnd, before) };
  const hint: Fetch = { ...html, key: 'early hints', bytes: 200, priority: -1 };
  const named = (origin: string) => (early && origin === page.origin ? { key: hint.key, at: 200 } : inHead);
  const blocking = page.blocking.map(({ key, origin, bytes, kind, from }): Fetch => ({
    key,
    origin,
    bytes,
    priority: priorities[kind],
    after: from === undefined ? [] : [from],
    namedIn: from === undefined ? (kind === 'stylesheet' ? named(origin) : inHead) : undefined,
  }));
  const gates = [start.key, ...page.blocking.map(({ key }) => key)];
  const fonts = page.fonts.map(({ key, origin, bytes, group, after }): Fetch => {
    const isHinted = group !== undefined || hints.preloads.includes(key);
    const before =
      after === undefined ? [] : page.fonts.flatMap((font) => (font.group === after ? [font.key] : []));
    return {
      key,
      origin,
      bytes,
      priority: priorities.font,
      after: isHinted ? before : gates,
      namedIn: isHinted && before.length === 0 ? named(origin) : undefined,
      waits: isHinted ? 0 : work.drawing,
    };
  });
  const fetches = [...(early ? [hint] : []), start, ...(rest.bytes > 0 ? [rest] : []), ...blocking, ...fonts];
  const ahead = (page.preconnects ?? []).map((origin) => ({ origin, namedIn: start.key }));
  const times = fetchTimes(fetches, line, delivery, ahead);
  const end = (key: string) => (times.get(key)?.end ?? Infinity) + work.start;
  const firstPaint = Math.max(...gates.map(end)) + work.drawing;
  const ends = page.fonts.map(({ key }) => (inlined.has(key) ? end(start.key) : end(key)));
  const told = page.fonts.map(({ key, display, group }, i): FontTimes => {
    const together = page.fonts.map((other, j) => (other.group === group ? ends[j] : 0));
    const there = group === undefined ? ends[i] : Math.max(...together);
    return { key, there, ...shownBy(display, firstPaint, there) };
  });
  const letters = page.fonts.reduce((sum, font) => sum + font.letters, 0);
  const mean = page.fonts.reduce((sum, font, i) => sum + font.letters * (told[i].drawn ?? told[i].there), 0);
  const blockingBytes = page.blocking.reduce((sum, { bytes }) => sum + bytes, before);
  return {
    firstPaint,
    bytesBefore: Math.round(blockingBytes),
    fonts: told,
    meanDrawn: letters === 0 ? firstPaint : mean / letters,
  };
}

/** The block period of each value in milliseconds, and how long a face is swapped in after it (CSS Fonts 4, section 4.9). */
const periods: Readonly<Record<FontDisplay, readonly [block: number, swap: number]>> = {
  auto: [3000, Infinity],
  block: [3000, Infinity],
  swap: [0, Infinity],
  fallback: [100, 3000],
  optional: [100, 0],
};

/** When text is seen, and when in its face. @param paint when it is drawn first @param there when the face is */
export function shownBy(
  display: FontDisplay,
  paint: number,
  there: number,
): Pick<FontTimes, 'visible' | 'drawn'> {
  const [block, swap] = periods[display];
  const blocked = paint + block;
  return {
    visible: Math.min(Math.max(paint, there), blocked),
    drawn: there <= blocked + swap ? Math.max(paint, there) : undefined,
  };
}
