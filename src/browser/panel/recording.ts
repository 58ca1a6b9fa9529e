/** What happened while a page was drawn, as the browser tells it. */

/** Something that moved when a face arrived. */
export interface Move {
  at: number;
  /** Where it is now, in the window. */
  box: DOMRect;
}

/** Milliseconds since the page was asked for. */
export interface Recording {
  firstPaint: number | undefined;
  /** Of layout shifts that no input caused (Layout Instability); undefined where the browser doesn't tell. */
  shift: number | undefined;
  moves: Move[];
  /** When faces came, by what says which they are. */
  arrivals: Map<string, number>;
}

interface LayoutShift extends PerformanceEntry {
  value: number;
  hadRecentInput: boolean;
  sources: { currentRect: DOMRectReadOnly; previousRect: DOMRectReadOnly; node?: Node | null }[];
}

/** Which face it is, as `document.fonts` and rules say it alike. */
export const keyOf = ({
  family,
  weight,
  style,
  unicodeRange,
}: Pick<FontFace, 'family' | 'weight' | 'style' | 'unicodeRange'>): string =>
  [unquoted(family), inNumbers(weight), style.split(' ')[0] || 'normal', plainRange(unicodeRange)].join('|');

export const unquoted = (text: string) => text.trim().replace(/^["']|["']$/g, '');
const inNumbers = (text: string) => text.replace('normal', '400').replace('bold', '700') || '400';
const plainRange = (text: string) =>
  (text || 'U+0-10FFFF')
    .toUpperCase()
    .replace(/\s+/g, '')
    .replace(/\b0+(?=[0-9A-F])/g, '')
    .replace(/U\+0+(?=[0-9A-F])/g, 'U+');

const isTold = (type: string) => PerformanceObserver.supportedEntryTypes?.includes(type) ?? false;

/** Begins to write down; has to be called before anything is drawn. */
export function record(): Recording {
  const recording: Recording = {
    firstPaint: undefined,
    shift: isTold('layout-shift') ? 0 : undefined,
    moves: [],
    arrivals: new Map(),
  };
  const observe = (type: string, use: (entry: PerformanceEntry) => void) => {
    if (!isTold(type)) return;
    new PerformanceObserver((list) => list.getEntries().forEach(use)).observe({ type, buffered: true });
  };
  observe('paint', ({ name, startTime }) => {
    if (name === 'first-contentful-paint') recording.firstPaint = startTime;
  });
  observe('layout-shift', (entry) => {
    const { value, hadRecentInput, sources, startTime } = entry as LayoutShift;
    if (hadRecentInput) return;
    recording.shift = (recording.shift ?? 0) + value;
    for (const { currentRect } of sources)
      recording.moves.push({ at: startTime, box: DOMRect.fromRect(currentRect) });
  });
  watchFaces(recording);
  if (recording.shift === undefined) watchBoxes(recording);
  return recording;
}

/** Frame by frame, as not every browser says when a face of a rule is there. */
function watchFaces({ arrivals }: Recording): void {
  const look = () => {
    for (const face of document.fonts)
      if (face.status === 'loaded' && !arrivals.has(keyOf(face)))
        arrivals.set(keyOf(face), performance.now());
    if (performance.now() < 60_000) setTimeout(look, 25);
  };
  look();
}

const mostBoxes = 600;

/** Where the browser doesn't tell what moves: texts are looked at again and again until the faces are there. */
function watchBoxes(recording: Recording): void {
  const { moves } = recording;
  let before = new Map<Element, DOMRect>();
  const look = () => {
    const now = new Map<Element, DOMRect>();
    const all = document.querySelectorAll(
      'h1,h2,h3,h4,h5,h6,p,li,td,th,dt,dd,figcaption,blockquote,footer,nav',
    );
    for (const element of [...all].slice(0, mostBoxes)) {
      const box = element.getBoundingClientRect();
      now.set(element, box);
      const old = recording.firstPaint === undefined ? undefined : before.get(element);
      if (old && (Math.abs(old.top - box.top) > 1 || Math.abs(old.height - box.height) > 1) && scrollY === 0)
        moves.push({ at: performance.now(), box });
    }
    before = now;
    if (performance.now() < 20_000) setTimeout(look, 100);
  };
  addEventListener('DOMContentLoaded', () => setTimeout(look, 100));
}
