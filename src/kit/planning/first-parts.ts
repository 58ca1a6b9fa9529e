// What pages may carry of a face themselves: what they draw of it, so that it is there with them

import { writeFont } from '../../core/containers/index.js';
import { slug } from '../../core/face/slug.js';
import { forbidsSubsetting } from '../../core/face/licence.js';
import { subsetFont } from '../../core/subset/index.js';
import { CodePointSet } from '../../core/text/code-point-set.js';
import { sha256 } from '../digest.js';
import type { KitFace } from '../kit.js';
import { keyOf, type KitText } from '../stand-ins/index.js';
import {
  inlineShare,
  pageTimeline,
  planPage,
  usualDelivery,
  type Connection,
  type FirstPart,
  type PagePlan,
} from '../timeline/index.js';
import { fetchedPart, olderParts } from './made.js';
import type { LoadingPlan, PlannedVisits } from './plan-loading.js';

/** The first part of a face. */
export interface FirstPartFile {
  face: KitFace;
  /** As WOFF2. */
  bytes: Uint8Array;
  characters: CodePointSet;
}

/** What pages carry themselves. */
export interface FirstParts {
  plan: LoadingPlan;
  /** By the names of the kit's files that have their rules. */
  parts: ReadonlyMap<string, FirstPartFile>;
}

/** Milliseconds: for less a page isn't made heavier. */
const worthwhile = 100;
/** What its rules take, compressed. */
const bytesOfRules = 350;
const space = 0x20;

/**
 * Gives pages a first part of the face that draws most of what is seen first: where it brings its text 0.1 s earlier on the
 * slowest line, and stays within what a server sends before it hears from the browser.
 *
 * @param wanted otherwise the plan of the page that would gain most says what it would bring
 */
export async function withFirstParts(
  planned: PlannedVisits,
  plan: LoadingPlan,
  { faces, text, wanted }: { faces: readonly KitFace[]; text: KitText; wanted: boolean },
): Promise<FirstParts> {
  const parts = new Map<string, FirstPartFile>();
  const slowest = planned.connections.reduce((most, one, i, all) => (one.rtt > all[most].rtt ? i : most), 0);
  const waitOf = ({ lines }: PagePlan) => lines[slowest].planned.ownFaces - lines[slowest].planned.firstText;
  const most = plan.pages.reduce((top, page, i, all) => (waitOf(page) > waitOf(all[top]) ? i : top), 0);
  const cuts = new Map<string, Promise<Uint8Array>>();
  const pages: PagePlan[] = [];
  for (const [i, page] of plan.pages.entries()) {
    const candidate =
      (wanted || i === most) && waitOf(page) >= worthwhile ? mainFace(page, faces) : undefined;
    const characters = candidate && drawnOn(page.page, candidate, text);
    if (!candidate || !characters) {
      pages.push(page);
      continue;
    }
    const key = `${keyOf(candidate)} ${JSON.stringify(characters.toJSON())}`;
    if (!cuts.has(key)) cuts.set(key, cutOf(candidate, characters));
    const bytes = await cuts.get(key)!;
    const of = fetchedPart(candidate).file;
    const size = bytes.length + bytesOfRules;
    const inlined = new Map([[of, size]]);
    const then = planPage(planned.visits[i], planned.connections, planned.wishes, inlined);
    const first: FirstPart = {
      of,
      bytes: bytes.length,
      lines: effects(page, then, inlined, planned.connections),
    };
    const { gain, cost } = first.lines[slowest];
    if (gain - cost < worthwhile || !fits(page, size, planned.connections[slowest])) pages.push(page);
    else if (!wanted) pages.push({ ...page, first });
    else {
      const digest = sha256(bytes);
      const file = `first/${slug(candidate.family).slice(0, 80)}-${digest.slice(0, 8)}.css`;
      parts.set(file, { face: candidate, bytes, characters });
      pages.push({ ...then, first: { ...first, file } });
    }
  }
  return { plan: { ...plan, pages }, parts };
}

/**
 * The face that draws most of what is seen first, if it may be cut. Those of groups wait for each other; where old browsers are
 * served, they would read the page's rules too.
 */
function mainFace({ files }: PagePlan, faces: readonly KitFace[]): KitFace | undefined {
  const [main] = [...files.fonts].sort((a, b) => b.letters - a.letters);
  if (!main || main.letters === 0 || main.group !== undefined) return undefined;
  const face = faces.find((one) => fetchedPart(one).file === main.key);
  if (!face || olderParts(face).length > 0) return undefined;
  return forbidsSubsetting(face.source.font) ? undefined : face;
}

/** What a page draws of a face, not only of its first screenful: letters of two fonts in a word would be worse than none. */
function drawnOn(page: string, face: KitFace, { pages }: KitText): CodePointSet | undefined {
  const there = new CodePointSet();
  for (const [first, last] of fetchedPart(face).characters) there.addRange(first, last);
  const characters = new CodePointSet([space]);
  for (const { paragraphs } of pages.filter((one) => one.page === page))
    for (const run of paragraphs.flatMap(({ runs }) => runs)) {
      if (run.face.key !== keyOf(face)) continue;
      for (const one of run.text) if (there.has(one.codePointAt(0)!)) characters.add(one.codePointAt(0)!);
    }
  return characters.size > 1 ? characters : undefined;
}

async function cutOf(face: KitFace, characters: CodePointSet): Promise<Uint8Array> {
  const features = { keep: [...(face.cut?.features ?? [])], leave: [] };
  const { font } = subsetFont(face.source.font, { characters, features });
  return (await writeFont(font, 'woff2')).bytes;
}

/** What a page is answered with before the server has heard from the browser. */
const fits = ({ files }: PagePlan, bytes: number, line: Connection): boolean =>
  files.bytes + bytes * inlineShare <= line.firstWindow;

/** What a browser takes for itself before it draws a page: text can't be drawn sooner, and fonts come meanwhile. */
const usualWork = { start: 0, drawing: 250 };

/** What a page's first part changes, with the preloads that are planned without and with it. */
function effects(
  now: PagePlan,
  then: PagePlan,
  inlined: ReadonlyMap<string, number>,
  lines: readonly Connection[],
): FirstPart['lines'] {
  return lines.map((line) => {
    const timesOf = ({ files, preloads }: PagePlan, hints: { inlined?: ReadonlyMap<string, number> }) =>
      pageTimeline(files, { preloads, ...hints }, line, usualDelivery, usualWork);
    const [plain, carried] = [timesOf(now, {}), timesOf(then, { inlined })];
    return {
      connection: line.name,
      gain: Math.round(plain.meanDrawn - carried.meanDrawn),
      cost: Math.round(carried.firstPaint - plain.firstPaint),
    };
  });
}
