import { keyOf, unquoted, type Recording } from './recording.js';

/** A rule of the page with a file. */
export interface DeclaredFace {
  family: string;
  weight: string;
  style: string;
  display: string;
  /** As the browser asks for it; a `data:` URL is told as `in the page`. */
  url: string;
  /** As `keyOf` has it. */
  key: string;
}

/** What became of it. */
export interface FaceNow extends DeclaredFace {
  state: 'there' | 'on its way' | 'failed' | 'not asked for';
  /** Milliseconds; when it was asked for, when its file was there, when it could be drawn. */
  asked?: number;
  ended?: number;
  drawn?: number;
  bytes?: number;
}

/** The rules with files, also of imported stylesheets; those of other hosts can't be read. */
export function declaredFaces(): DeclaredFace[] {
  const found: DeclaredFace[] = [];
  const visit = (rules: CSSRuleList, base: string) => {
    for (const rule of rules) {
      if (rule instanceof CSSFontFaceRule) found.push(...declared(rule, base));
      else if (rule instanceof CSSImportRule && rule.styleSheet) visitSheet(rule.styleSheet);
      else if ('cssRules' in rule && (!('conditionText' in rule) || holds(rule)))
        visit(rule.cssRules as CSSRuleList, base);
    }
  };
  const visitSheet = (sheet: CSSStyleSheet) => {
    try {
      visit(sheet.cssRules, sheet.href ?? document.baseURI);
    } catch {
      // Of another host, which doesn't say that its rules may be read.
    }
  };
  for (const sheet of document.styleSheets) visitSheet(sheet);
  return found;
}

function holds(rule: CSSRule): boolean {
  if (rule instanceof CSSSupportsRule) return CSS.supports(rule.conditionText);
  if (rule instanceof CSSMediaRule) return matchMedia(rule.conditionText).matches;
  return true;
}

function declared({ style }: CSSFontFaceRule, base: string): DeclaredFace[] {
  const value = (name: string) => style.getPropertyValue(name).trim();
  const address = /url\(\s*(?:"([^"]*)"|'([^']*)'|([^)]*))\s*\)/.exec(value('src'));
  const url = address?.[1] ?? address?.[2] ?? address?.[3];
  if (url === undefined) return [];
  const family = unquoted(value('font-family'));
  const weight = value('font-weight') || '400';
  const slope = value('font-style') || 'normal';
  return [
    {
      family,
      weight,
      style: slope,
      display: value('font-display') || 'auto',
      url: url.startsWith('data:') ? 'in the page' : new URL(url.trim(), base).href,
      key: keyOf({ family, weight, style: slope, unicodeRange: value('unicode-range') }),
    },
  ];
}

/** The faces of a page, each file once, those that were asked for first. */
export function facesNow({ arrivals }: Recording): FaceNow[] {
  const timings = new Map(
    (performance.getEntriesByType('resource') as PerformanceResourceTiming[]).map((entry) => [
      entry.name,
      entry,
    ]),
  );
  const states = new Map([...document.fonts].map((face) => [keyOf(face), face.status]));
  const faces = new Map<string, FaceNow>();
  for (const face of declaredFaces()) {
    if (face.url === 'in the page') continue;
    const timing = timings.get(face.url);
    const status = states.get(face.key);
    const drawn = arrivals.get(face.key);
    const known = faces.get(face.url);
    const own = stateOf(status, drawn, timing);
    const state = known && order.indexOf(known.state) < order.indexOf(own) ? known.state : own;
    faces.set(face.url, {
      ...(known ?? face),
      weight: known ? together(known.weight, face.weight) : together(face.weight, face.weight),
      state,
      ...(timing
        ? { asked: timing.startTime, ended: timing.responseEnd, bytes: timing.encodedBodySize }
        : {}),
      ...(drawn === undefined ? {} : { drawn: Math.min(drawn, known?.drawn ?? Infinity) }),
    });
  }
  return [...faces.values()].sort((a, b) => (a.asked ?? Infinity) - (b.asked ?? Infinity));
}

/** Weights of rules over one file, as in `300–800`. */
function together(one: string, other: string): string {
  const numbers = [...one.split(/[ –]/), ...other.split(/[ –]/)].map((text) =>
    Number(text.replace('normal', '400').replace('bold', '700')),
  );
  const [low, high] = [Math.min(...numbers), Math.max(...numbers)];
  return low === high ? `${low}` : `${low}–${high}`;
}

/** What says most of a file comes first. */
const order: readonly FaceNow['state'][] = ['there', 'failed', 'on its way', 'not asked for'];

function stateOf(
  status: FontFaceLoadStatus | undefined,
  drawn: number | undefined,
  timing: PerformanceResourceTiming | undefined,
): FaceNow['state'] {
  if (drawn !== undefined || status === 'loaded') return 'there';
  if (status === 'error') return 'failed';
  if (status === 'loading') return 'on its way';
  return timing && timing.responseEnd > 0 && status === undefined ? 'there' : 'not asked for';
}
