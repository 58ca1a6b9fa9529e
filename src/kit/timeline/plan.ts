// What is asked for ahead, for each page: by what it brings on the lines that visitors have

import type { FontDisplay } from '../../core/face/index.js';
import type { Connection } from '../../config/connections.js';
import {
  shownBy,
  pageTimeline,
  type BlockingFile,
  type PageFiles,
  type PageFont,
  type PageTimeline,
} from './page-timeline.js';

/** A page as it asked hosts for its faces. */
export interface HostedBefore {
  stylesheets: readonly BlockingFile[];
  fontOrigin: string;
  /** Hosts that it connects to ahead. */
  preconnects: readonly string[];
}

/** What a visit to a page fetches before its first drawing, beside the kit. */
export interface PageVisit extends Omit<PageFiles, 'fonts' | 'preconnects'> {
  page: string;
  hosted?: HostedBefore | undefined;
}

/** The key of the stylesheet of the kit. */
export const kitStylesheet = 'kit.css';

/** A page on one line, in one state of its hints. */
export interface PageTimes {
  /** Milliseconds: the first drawing, whose text can be read. */
  firstText: number;
  /** When the first screenful is in its own faces. */
  ownFaces: number;
  /** Bytes before the first drawing. */
  bytesBefore: number;
}

/** What a display value would do to the first screenful, with the preloads that are planned. */
export interface DisplayEffect {
  /** Milliseconds for which text can't be seen that is drawn already, at most. */
  hidden: number;
  /** Of its letters, those that are in their own face in the end. */
  inOwnFaces: number;
}

export type DisplayValue = Exclude<FontDisplay, 'auto'>;
const displayValues: readonly DisplayValue[] = ['block', 'swap', 'fallback', 'optional'];

/** What one more preload changes, milliseconds on each line. */
export interface PreloadEffect {
  file: string;
  lines: {
    connection: string;
    /** Earlier by so much is its text in it. */ gain: number;
    /** Later by so much is the first drawing. */ cost: number;
  }[];
}

/** What was decided for a page, and by which numbers. */
export interface PagePlan {
  page: string;
  /** What it fetches, by which the times were reckoned. */
  files: PageFiles;
  /** Files of the kit, the most useful first. */
  preloads: string[];
  /** One for each preload, then what the next one would do. */
  effects: PreloadEffect[];
  next: PreloadEffect | undefined;
  first?: FirstPart | undefined;
  lines: {
    connection: string;
    hosted?: PageTimes;
    plain: PageTimes;
    planned: PageTimes;
    withEarlyHints: PageTimes;
    displays: Record<DisplayValue, DisplayEffect>;
  }[];
}

/** What less than this is worth isn't worth a line in the head: milliseconds, and a share. */
const worthwhile = { milliseconds: 20, share: 0.02 };

/** What the config says of the preloads of a page. */
export interface PreloadWishes {
  /** How many there may be. */
  most: number;
  /** Files that it lists. */
  listed: ReadonlySet<string>;
  /** Files that it keeps from it. */
  closed: ReadonlySet<string>;
}

/** The first part of a face in the page itself: what it draws of it, with which its text is there at once. */
export interface FirstPart {
  /** The file that has all of it. */
  of: string;
  /** As WOFF2. */
  bytes: number;
  lines: PreloadEffect['lines'];
  /** The file of the kit whose rules go into the page; undefined where it isn't wanted, and this says what it would bring. */
  file?: string | undefined;
}

/**
 * Preloads of a page: of the fonts that its first screenful draws those that bring its text into its faces earlier than they
 * hold up the first drawing, on the mean of the lines.
 *
 * @param inlined fonts of which a first part stands in the page, and its bytes
 */
export function planPage(
  { page, hosted, ...files }: PageVisit & { fonts: readonly PageFont[] },
  lines: readonly Connection[],
  { most, listed, closed }: PreloadWishes,
  inlined?: ReadonlyMap<string, number>,
): PagePlan {
  const timesWith = (preloads: readonly string[], early = false) =>
    lines.map((line) => pageTimeline(files, { preloads, early, inlined }, line));
  const sorted = [...files.fonts].sort((a, b) => b.letters - a.letters);
  const fixed = sorted.filter(({ key }) => listed.has(key));
  const open = sorted.filter(
    ({ key, letters }) => letters > 0 && !listed.has(key) && !closed.has(key) && inlined?.has(key) !== true,
  );
  const plain = lines.map((line) => pageTimeline(files, { preloads: [] }, line));
  let preloads: string[] = [];
  let now = timesWith([]);
  const effects: PreloadEffect[] = [];
  let next: PreloadEffect | undefined;
  for (const { key } of [...fixed, ...open]) {
    const then = timesWith([...preloads, key]);
    const effect = effectOf(key, lines, now, then);
    if (!listed.has(key) && (preloads.length >= most || !isWorthIt(effect, now))) {
      next ??= effect;
      continue;
    }
    preloads = [...preloads, key];
    effects.push(effect);
    now = then;
  }
  const hinted = timesWith(preloads, true);
  const before = hosted && lines.map((line) => hostedTimeline({ ...files, hosted }, line));
  return {
    page,
    files,
    preloads,
    effects,
    next,
    lines: lines.map(({ name }, i) => ({
      connection: name,
      ...(before ? { hosted: timesOf(before[i]) } : {}),
      plain: timesOf(plain[i]),
      planned: timesOf(now[i]),
      withEarlyHints: timesOf(hinted[i]),
      displays: displaysOf(files.fonts, now[i]),
    })),
  };
}

/** The page as it was, with stylesheets and fonts of other hosts. */
function hostedTimeline(
  { hosted, ...files }: Omit<PageFiles, 'fonts'> & { fonts: readonly PageFont[]; hosted: HostedBefore },
  line: Connection,
): PageTimeline {
  const { stylesheets, fontOrigin, preconnects } = hosted;
  const fonts = files.fonts.map((font) => ({ ...font, origin: fontOrigin }));
  const blocking = [...stylesheets, ...files.blocking.filter(({ key }) => key !== kitStylesheet)];
  return pageTimeline({ ...files, blocking, fonts, preconnects }, { preloads: [] }, line);
}

function displaysOf(
  fonts: readonly PageFont[],
  { firstPaint, fonts: times }: PageTimeline,
): Record<DisplayValue, DisplayEffect> {
  const letters = fonts.reduce((sum, font) => sum + font.letters, 0);
  const effectWith = (value: DisplayValue): DisplayEffect => {
    let [hidden, inOwnFaces] = [0, 0];
    for (const [i, { there }] of times.entries()) {
      if (fonts[i].letters === 0) continue;
      const { visible, drawn } = shownBy(value, firstPaint, there);
      hidden = Math.max(hidden, visible - firstPaint);
      if (drawn !== undefined) inOwnFaces += fonts[i].letters;
    }
    return { hidden: Math.round(hidden), inOwnFaces: letters === 0 ? 1 : inOwnFaces / letters };
  };
  return Object.fromEntries(displayValues.map((value) => [value, effectWith(value)])) as Record<
    DisplayValue,
    DisplayEffect
  >;
}

const effectOf = (
  file: string,
  lines: readonly Connection[],
  now: readonly PageTimeline[],
  then: readonly PageTimeline[],
): PreloadEffect => ({
  file,
  lines: lines.map(({ name }, i) => ({
    connection: name,
    gain: Math.round(now[i].meanDrawn - then[i].meanDrawn),
    cost: Math.round(then[i].firstPaint - now[i].firstPaint),
  })),
});

/** On the mean of the lines, each by its own measure, and nowhere much worse. */
function isWorthIt({ lines }: PreloadEffect, now: readonly PageTimeline[]): boolean {
  const net = lines.map(({ gain, cost }) => gain - cost);
  const shares = net.map((value, i) => value / Math.max(1, now[i].meanDrawn));
  const mean = shares.reduce((sum, share) => sum + share, 0) / shares.length;
  return mean >= worthwhile.share && Math.max(...net) >= worthwhile.milliseconds;
}

const timesOf = ({ firstPaint, meanDrawn, bytesBefore, fonts }: PageTimeline): PageTimes => ({
  firstText: Math.round(fonts.reduce((latest, { visible }) => Math.max(latest, visible), firstPaint)),
  ownFaces: Math.round(meanDrawn),
  bytesBefore,
});
