import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { FontFormat } from '#src/core/containers/index.js';
import type { Font } from '#src/core/sfnt/font.js';
import { cmap } from '#src/core/tables/index.js';
import type { SubsetDrawing } from './subsets.js';
import {
  compareDrawings,
  showLines,
  type Comparison,
  type DrawnPair,
  type SetLine,
} from '../../test-support/drawings.js';
import { startEngine, type Engine, type EngineName } from '../../test-support/engines.js';
import { LoggingServer } from '../../test-support/server.js';

/** A page is left after so many fonts, so that a browser doesn't hold all of a large corpus. */
const fontsOnAPage = 20;

/**
 * How much of the ink may lie elsewhere where outlines became another kind. They are drawn large, as rasterisers move the
 * edges of CFF outlines by their stem hints, which TrueType outlines have lost.
 */
const redrawnTolerance = 0.12;
const large = { sizes: [320], width: 1900, height: 520 };
const lettersDrawnLarge = 6;

/** Pixels of text; subsets are drawn at each of these. */
const textSizes = [13, 24, 60];
/**
 * Text that isn't level is drawn as outlines are. Otherwise systems fit it to the pixel grid, by instructions or by
 * letters of the same font, so that a glyph looks different in a font without those.
 */
const slightTurn = 0.01;

interface Job {
  name: string;
  pairs: JobPair[];
}

interface JobPair {
  /** What was made. */
  kind: string;
  pair: DrawnPair;
  /**
   * With instructions: for WebKitGTK, which takes advances from them, and where Chromium puts marks by the edges of
   * glyphs that instructions have moved.
   */
  hinted?: JobPair;
  /** With more letters: for WebKitGTK, which fits fonts without instructions to the pixel grid by those. */
  lettered?: JobPair;
  texts: string[];
  /** Lines as a page sets them; not for WebKitGTK, whose driver gives no pictures. */
  lines?: SetLine[];
  sizes: number[];
  /** Turns the text by so many radians. */
  turn?: number;
  /** Whether its outlines became another kind. */
  redrawn?: boolean;
  /** What is said to be drawn otherwise; each names the browsers that it is true of. */
  changes?: readonly string[];
}

/** What changes call the engines by. */
const engineWords: Readonly<Record<EngineName, RegExp>> = {
  chromium: /Chromium|Browsers/,
  firefox: /Firefox|Browsers/,
  webkit: /Safari|WebKitGTK|Browsers/,
};

export interface Drawn {
  same: number;
  /** Drawn the same only where instructions were kept. */
  hinted: number;
  /** Drawn the same only with letters that weren't asked for. */
  lettered: number;
  /** Drawn otherwise, as the subset says. */
  told: number;
  /** Outlines of another kind, drawn nearly the same. */
  alike: number;
  /** Fonts that the browser refuses as they come. */
  refused: number;
  /** Lines that were compared as a page sets them. */
  lines: number;
  problems: string[];
}

/** Draws fonts and what was made of them in browsers. */
export class Drawings {
  private readonly folder = mkdtempSync(join(tmpdir(), 'dense-glyph-corpus-'));
  private readonly jobs: Job[] = [];

  /** Keeps the files of a font until they are drawn. */
  add(
    name: string,
    source: Uint8Array,
    font: Font,
    made: ReadonlyMap<FontFormat, Uint8Array>,
    subsets: readonly SubsetDrawing[],
  ): void {
    const number = this.jobs.length;
    const keep = (kind: string, bytes: Uint8Array) => {
      writeFileSync(join(this.folder, `${number}-${kind}`), bytes);
      return `/${number}-${kind}`;
    };
    const url = keep('source', source);
    const pairOf = (kind: string, bytes: Uint8Array): DrawnPair => ({
      name,
      source: url,
      made: keep(kind, bytes),
      descriptors: {},
      weights: [400],
    });
    const drawable = (['woff2', 'woff', 'ttf'] as const).filter((format) => made.has(format));
    const texts = textsOf(font);
    const pairs = drawable.map((format): JobPair => {
      const pair = pairOf(format, made.get(format)!);
      return { kind: format, pair, texts, sizes: [40], redrawn: format === 'ttf' };
    });
    for (const subset of subsets) {
      const drawing = {
        kind: subset.name,
        texts: subset.texts,
        sizes: textSizes,
        turn: slightTurn,
        ...(subset.lines ? { lines: subset.lines } : {}),
        changes: subset.changes,
      };
      const hinted: JobPair = { ...drawing, pair: pairOf(`${subset.name}-hinted`, subset.hinted) };
      if (subset.lettered) {
        hinted.lettered = { ...drawing, pair: pairOf(`${subset.name}-lettered`, subset.lettered) };
      }
      pairs.push({ ...drawing, pair: pairOf(subset.name, subset.bytes), hinted });
    }
    this.jobs.push({ name, pairs });
  }

  /** @returns what differs, in words, and how many drawings were the same */
  async drawIn(engineName: EngineName): Promise<Drawn> {
    const server = await LoggingServer.start(
      { '/': `${this.folder}/` },
      { '/blank': '<!doctype html><title>blank</title>' },
    );
    const engine = await startEngine(engineName);
    const result: Drawn = {
      same: 0,
      hinted: 0,
      lettered: 0,
      told: 0,
      alike: 0,
      refused: 0,
      lines: 0,
      problems: [],
    };
    for (const [i, job] of this.jobs.entries()) {
      if (i % fontsOnAPage === 0) await engine.open(`${server.origin}/blank`);
      for (const pair of job.pairs) {
        const drawn = engineName === 'webkit' ? (pair.hinted ?? pair) : pair;
        const problemOf = async (one: JobPair, counts: { same: number; alike: number }) =>
          (await drawPair(engine, one, counts)) ??
          (engineName === 'webkit' ? undefined : await linesProblem(engine, one, result));
        const counts = { same: 0, alike: 0 };
        const problem = await problemOf(drawn, counts);
        if (!problem) {
          result.same += counts.same;
          result.alike += counts.alike;
          continue;
        }
        if (problem === refusedSource) {
          result.refused++;
          continue;
        }
        const isSame = async (other: JobPair | undefined) =>
          other !== undefined && !(await problemOf(other, { same: 0, alike: 0 }));
        if (await isSame(drawn.hinted)) result.hinted++;
        else if (await isSame(drawn.lettered)) result.lettered++;
        else if (pair.changes?.some((change) => engineWords[engineName].test(change))) result.told++;
        else result.problems.push(`${engineName}: ${job.name}: ${pair.kind} ${problem}`);
      }
    }
    await engine.close();
    await server.close();
    return result;
  }

  remove(): void {
    rmSync(this.folder, { recursive: true, force: true });
  }
}

const refusedSource = 'not drawn: the browser refuses the source';

async function drawPair(
  engine: Engine,
  { texts, pair, sizes, turn, redrawn }: JobPair,
  result: { same: number; alike: number },
): Promise<string | undefined> {
  let comparison: Comparison;
  try {
    const drawing = redrawn
      ? { ...large, texts: texts.map((text) => [...text].slice(0, lettersDrawnLarge).join('')) }
      : { sizes, texts, turn };
    [comparison] = await engine.run<Comparison[]>(compareDrawings, { pairs: [pair], ...drawing });
  } catch (cause) {
    // Where the source is refused too, there is nothing to compare.
    const load = `const face = new FontFace('only', 'url(' + argument + ')'); return await face.load().then(() => true, () => false);`;
    if (!(await engine.run<boolean>(load, pair.source))) return refusedSource;
    return `is refused (${String(cause).slice(0, 120)})`;
  }
  const { equal, total, changed } = comparison;
  if (equal === total) result.same++;
  else if (redrawn && changed < redrawnTolerance) result.alike++;
  else
    return `differs in ${total - equal} of ${total} texts, ${(changed * 100).toFixed(1)}% of the ink: ${comparison.differing.slice(0, 2).join(' | ')}`;
  return undefined;
}

/** So many lines are seen at once. */
const linesOnAPage = 22;

/** Lines as a page sets them, source against what was made of it. */
async function linesProblem(
  engine: Engine,
  { pair, lines = [] }: JobPair,
  result: { lines: number },
): Promise<string | undefined> {
  const picture = async (file: string, shown: readonly SetLine[]) => {
    await engine.run(showLines, { file, lines: shown });
    return engine.screenshot();
  };
  const isSame = async (shown: readonly SetLine[]) =>
    (await picture(pair.source, shown)) === (await picture(pair.made, shown));
  for (let at = 0; at < lines.length; at += linesOnAPage) {
    const shown = lines.slice(at, at + linesOnAPage);
    result.lines += shown.length;
    if (await isSame(shown)) continue;
    for (const line of shown)
      if (!(await isSame([line]))) return `differs as a page sets it: ${JSON.stringify(line)}`;
    return 'differs as a page sets it';
  }
  return undefined;
}

/** Sixty characters spread over what the font maps, in two texts. */
function textsOf(font: Font): string[] {
  const table = font.optional(cmap);
  const all = table ? [...cmap.mappingsOf(table)].map(([codePoint]) => codePoint) : [];
  const visible = all.filter((c) => c > 0x20 && (c < 0xd800 || c > 0xf8ff) && (c < 0x7f || c > 0x9f));
  const picked = Array.from(
    { length: Math.min(60, visible.length) },
    (_, i) => visible[Math.floor((i * visible.length) / Math.min(60, visible.length))],
  );
  const text = (codePoints: number[]) => String.fromCodePoint(...codePoints);
  return [text(picked.slice(0, 30)), text(picked.slice(30))].filter(Boolean);
}
