// Takes the faces of a site home in a copy of it, and measures in Chromium what moves when the faces arrive late, before and after;
// then counts the lines of each paragraph and compares them with those that the faces foretell at that width. Where the folder has
// a config of its own its kit is built, and before is the same kit without stand-ins.
//   npm run shift -- <site folder, or one with a config> [--pages <glob…>] [--most-pages <n>] [--scripts] [--widths 390 768 1280] [--hosted <folder>]
//     [--keep <folder>]
import { cpSync, existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, relative, resolve } from 'node:path';
import { siteParagraphs } from '#src/app/project/reading/site-paragraphs.js';
import { openSources } from '#src/app/project/open-sources.js';
import { loadConfig } from '#src/config/load.js';
import type { Source } from '#src/core/source/index.js';
import { readSite } from '#src/io/site-folder.js';
import { chosenFaces } from '#src/kit/planning/chosen.js';
import {
  FaceSetters,
  kitTextFaces,
  type KitTextFace,
  type SampleParagraph,
} from '#src/kit/stand-ins/index.js';
import { breakPlaces, lineStarts } from '#src/kit/stand-ins/lines.js';
import { joined, setMeasure, zeroOf } from '#src/kit/stand-ins/fitted-texts.js';
import { cliProcess } from '../../test-support/cli.js';
import { Arguments } from './arguments.js';
import { startLateLoader, type DrawnParagraph } from './late-loader.js';
import type { CountingServer } from './serve.js';
import { inBothStates, pagesOf, type BothStates, type Preparation } from './loop.js';

const args = new Arguments();
const { named } = args;
if (named === undefined) throw new Error('name the folder of a site');
const [most = '30'] = args.valuesOf('--most-pages');
const [hosted] = args.valuesOf('--hosted');
const [keep] = args.valuesOf('--keep');
const given = args.valuesOf('--widths').map(Number);
const widths = given.length > 0 ? given : [390, 768, 1280];
const folder = keep ?? mkdtempSync(join(tmpdir(), 'dense-glyph-shift-'));
const problems: string[] = [];

type States = Pick<BothStates, 'project' | 'before' | 'after' | 'pages'> & { hosts: CountingServer[] };

/** Paragraphs of a page by their text; the faces that set them. */
type Foretold = Map<string, SampleParagraph<KitTextFace>>;
const known = new Map<KitTextFace, FaceSetters>();
function settersOf(face: KitTextFace): FaceSetters {
  let setters = known.get(face);
  if (!setters) known.set(face, (setters = new FaceSetters(face)));
  return setters;
}

const keyOf = (element: string, text: string) =>
  `${element.replace(/[.#].*/s, '')} ${text.replace(/\s+/g, ' ').trim()}`;
/** CSS pixels: engines round each glyph to 1/64, and boxes around text are as wide as it is. */
const rounding = (text: string) => (text.length + 4) / 128;

async function foretold({ project, after }: States): Promise<Map<string, Foretold>> {
  const { config, base } = await loadConfig(project);
  const sources: Source[][] = [];
  for (const { files } of config.families) sources.push(await openSources(files, base));
  const faces = kitTextFaces(chosenFaces(config, sources));
  const pages = new Map<string, Foretold>();
  for (const { page, width, paragraphs } of await siteParagraphs(await readSite([after], project), faces))
    pages.set(
      `${page} ${width}`,
      new Map(paragraphs.map((one) => [keyOf(one.element, one.runs.map(({ text }) => text).join('')), one])),
    );
  return pages;
}

/** Lines of a paragraph at the width at which it was drawn. */
function linesOf({ runs }: SampleParagraph<KitTextFace>, width: number): number | undefined {
  const reaches = joined(runs, (run) => settersOf(run.face).reaches(run));
  const text = runs.map((run) => run.text).join('');
  return reaches && lineStarts(breakPlaces(text), reaches, width).length + 1;
}

let [stated, otherLength] = [0, 0];
/** Whether lines may be as long as what the rules come to. */
function judgeLength(
  where: string,
  { runs, measures, element }: SampleParagraph<KitTextFace>,
  drawn: number,
): void {
  const [{ px }] = measures;
  if (!Number.isFinite(px)) return;
  const zero = zeroOf(runs[0], (run) => settersOf(run.face).reaches(run));
  const { face } = setMeasure(measures[0], { face: zero, local: zero });
  stated++;
  if (Math.abs(face - drawn) <= 1) return;
  otherLength++;
  problems.push(`${where}: lines of ${drawn} px, ${Math.round(face)} foretold: ${element}`);
}

let [counted, wrong] = [0, 0];
function judge(
  page: string,
  width: number,
  told: Foretold | undefined,
  drawn: readonly DrawnParagraph[],
): void {
  for (const { element, text, measure, lines } of drawn) {
    const paragraph = told?.get(keyOf(element, text));
    if (paragraph?.isMeasureKnown === true) judgeLength(`${page} at ${width}`, paragraph, measure);
    const count = paragraph && linesOf(paragraph, measure + rounding(text));
    if (count === undefined) continue;
    counted++;
    if (count === lines) continue;
    wrong++;
    problems.push(
      `${page} at ${width}: ${lines} lines, ${count} foretold, in ${measure} px: ${text.slice(0, 60)}`,
    );
  }
}

let moved = 0;
/** Which paragraphs have another number of lines until the faces are there. */
function compare(where: string, waiting: readonly DrawnParagraph[], drawn: readonly DrawnParagraph[]): void {
  for (const [i, { element, text, lines, measure }] of drawn.entries()) {
    const before = waiting[i] as DrawnParagraph | undefined;
    if (before?.text !== text || before.lines === lines) continue;
    moved++;
    problems.push(
      `${where}: ${before.lines} lines become ${lines}, in ${measure} px: ${element}: ${text.slice(0, 60)}`,
    );
  }
}

const comingHome = (
  request: Preparation,
  into: string,
  found: string[],
  use: (states: States) => Promise<void>,
): Promise<void> =>
  inBothStates(request, into, found, (states) => use({ ...states, hosts: [states.standIn] }));

/** A project with a config: its kit without stand-ins, and as it is. */
async function withAndWithoutStandIns(
  request: Preparation,
  into: string,
  found: string[],
  use: (states: States) => Promise<void>,
): Promise<void> {
  rmSync(into, { recursive: true, force: true });
  const project = join(into, 'project');
  cpSync(request.site, project, { recursive: true });
  for (const command of ['build', 'wire']) {
    const { code, err } = await cliProcess([command, '--quiet'], project);
    if (code !== 0) found.push(`${command}: ${err.trim()}`);
  }
  const { config, base } = await loadConfig(project);
  const after = resolve(base, config.site.root!);
  const before = join(into, 'before');
  cpSync(after, before, { recursive: true });
  const css = join(before, relative(after, resolve(base, config.output.folder)), 'kit.css');
  writeFileSync(css, readFileSync(css, 'utf8').replace(/@font-face \{[^}]*local\([^}]*\}\n/g, ''));
  await use({ project, before, after, pages: pagesOf(after, request), hosts: [] });
}

async function measured(states: States): Promise<void> {
  const told = await foretold(states);
  const loader = await startLateLoader([states.before, states.after], states.hosts);
  const all: number[][] = [[], []];
  try {
    for (const page of states.pages)
      for (const width of widths) {
        const shifts: number[] = [];
        for (const [i, { shift, sources, paragraphs, waiting, late }] of (
          await loader.load(page, width)
        ).entries()) {
          shifts.push(shift);
          all[i].push(shift);
          if (i === 1) judge(page, width, told.get(`${page} ${width}`), paragraphs);
          if (i === 1) compare(`${page} at ${width}`, waiting, paragraphs);
          if (i === 1 && shift > 0.01) problems.push(`${page} at ${width}: moved ${sources.join('; ')}`);
          if (i === 0 && late === 0) break;
        }
        console.log(`${page} | ${width} | ${shifts.map(round).join(' | ')}`);
      }
  } finally {
    await loader.close();
  }
  for (const [i, name] of ['before', 'after'].entries()) {
    const own = all[i].sort((a, b) => a - b);
    console.log(
      `${name}: median ${round(own[own.length >> 1] ?? 0)}, most ${round(own.at(-1) ?? 0)}, ` +
        `over 0.01 on ${own.filter((one) => one > 0.01).length} of ${own.length}`,
    );
  }
}

const round = (value: number) => value.toFixed(4);
try {
  const request = {
    site: named,
    pages: args.valuesOf('--pages'),
    mostPages: Number(most),
    runsScripts: args.has('--scripts'),
    hosted,
    say: (line: string) => console.log(line),
  };
  await (existsSync(join(named, 'dense-glyph.config.yaml')) ? withAndWithoutStandIns : comingHome)(
    request,
    folder,
    problems,
    measured,
  );
} finally {
  if (keep === undefined) rmSync(folder, { recursive: true, force: true });
}
for (const problem of problems) console.log(`! ${problem}`);
console.log(`moved: ${moved} paragraphs with another number of lines until their faces are there`);
console.log(`lengths: ${stated} that rules state, ${otherLength} otherwise`);
console.log(`lines: ${counted} paragraphs, ${wrong} otherwise than foretold`);
