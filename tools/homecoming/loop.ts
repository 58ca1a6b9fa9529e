import { cpSync, existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { basename, join } from 'node:path';
import { globSync } from 'tinyglobby';
import { cli, tree } from '../../test-support/cli.js';
import { sampleFonts } from '../../test-support/paths.js';
import { difference, startPhotographer } from './pictures.js';
import { fileAt, serveCounting, type CountedRequest, type CountingServer } from './serve.js';
import { startStandIn, type HostedPackage } from './stand-in.js';

export interface HomecomingRequest {
  /** A folder that is served as a site. */
  site: string;
  /** Globs of its pages; all if none is named. */
  pages: readonly string[];
  mostPages: number;
  /** Whether the copy has no other pages. */
  isTrimmed?: boolean | undefined;
  runsScripts: boolean;
  engines: readonly ('chromium' | 'firefox')[];
  /** Of the window, in CSS pixels. */
  widths: readonly number[];
  /** What the hosts serve that its pages ask, by host: `hosted/faces.example/a.css`. */
  hosted?: string | undefined;
  /** Packages whose stylesheets they serve. */
  packages?: readonly HostedPackage[] | undefined;
  /** Whether some families are cut so that their partial files can't be joined. */
  isCutApart?: boolean | undefined;
  /** `cache-control` of all answers. */
  caching?: string | undefined;
  /** Where the copy and the pictures that differ stay. */
  keep?: string | undefined;
  say: (line: string) => void;
}

export interface HomecomingReport {
  pictures: number;
  differing: number;
  /** Of all pages at 1280 px in the first engine. */
  bytesBefore: number;
  bytesAfter: number;
  /** Hosts that its pages asked, and ask. */
  hostsBefore: number;
  hostsAfter: number;
  problems: string[];
}

interface Shot {
  pictures: Buffer[];
  requests: CountedRequest[];
}

/** A site as it was and as it came home, and what stands in for hosts. */
export interface BothStates {
  project: string;
  before: string;
  after: string;
  pages: readonly string[];
  standIn: CountingServer;
  /** Addresses of hosts that go on being asked, as the commands say. */
  stays: string;
}

export type Preparation = Pick<
  HomecomingRequest,
  | 'site'
  | 'pages'
  | 'mostPages'
  | 'isTrimmed'
  | 'runsScripts'
  | 'hosted'
  | 'packages'
  | 'isCutApart'
  | 'caching'
  | 'say'
>;

/** Adopt, init, build and wire in a copy. @param folder it is made in; emptied before */
export async function inBothStates(
  request: Preparation,
  folder: string,
  problems: string[],
  use: (states: BothStates) => Promise<void>,
): Promise<void> {
  rmSync(folder, { recursive: true, force: true });
  const project = join(folder, 'project');
  const after = join(project, 'site');
  mkdirSync(project, { recursive: true });
  cpSync(request.site, after, { recursive: true, filter: (path) => basename(path) !== 'node_modules' });
  if (request.isTrimmed) keepPages(after, request);
  const drawings = {
    upright: readFileSync(join(sampleFonts, 'FerrywakeSans-Variable.ttf')),
    italic: readFileSync(join(sampleFonts, 'FerrywakeSans-VariableItalic.ttf')),
  };
  const { hosted, packages, isCutApart, caching } = request;
  const families = familiesNamed(after);
  const standIn = await startStandIn({ folder: hosted, packages, families, drawings, isCutApart, caching });
  try {
    askStandIn(after, standIn.origin);
    const before = join(folder, 'before');
    cpSync(after, before, { recursive: true });
    const stays = await bringHome(project, folder, standIn, request, problems);
    await use({ project, before, after, pages: pagesOf(after, request), standIn, stays });
  } finally {
    await standIn.close();
  }
}

/** The loop in a copy: adopt, init, build, wire; pages before and after; then undo. */
export async function homecoming(request: HomecomingRequest): Promise<HomecomingReport> {
  const folder = request.keep ?? mkdtempSync(join(tmpdir(), 'dense-glyph-homecoming-'));
  const report: HomecomingReport = {
    pictures: 0,
    differing: 0,
    bytesBefore: 0,
    bytesAfter: 0,
    hostsBefore: 0,
    hostsAfter: 0,
    problems: [],
  };
  try {
    await inBothStates(request, folder, report.problems, async (states) => {
      if (request.engines.length > 0) await compare(states, request, report, folder);
      await cli(['wire', '--undo'], states.project);
      report.problems.push(...notUndone(states.before, states.after));
    });
    return report;
  } finally {
    if (!request.keep) rmSync(folder, { recursive: true, force: true });
  }
}

interface Told {
  files?: { file: string }[];
  findings?: { code: string; severity: string; message: string; place: { file?: string; url?: string } }[];
}

/** @returns addresses of hosts that go on being asked, as the commands say */
async function bringHome(
  project: string,
  folder: string,
  { origin, others = [] }: CountingServer,
  { runsScripts, say }: Preparation,
  problems: string[],
): Promise<string> {
  const run = async (...args: string[]) => {
    const started = Date.now();
    const { code, out, err } = await cli([...args, '--json'], project);
    writeFileSync(join(folder, `${args[0]}.json`), out + err);
    say(`${args.join(' ')}: ${code} (${((Date.now() - started) / 1000).toFixed(1)} s)`);
    return { code, err, told: (out === '' ? {} : JSON.parse(out)) as Told };
  };
  const hosts = [origin, ...others].map((one) => new URL(one).host);
  const scripts = runsScripts ? ['--run-scripts'] : [];
  const adopted = await run('adopt', 'site', '--out', 'fonts', '--allow-host', ...hosts);
  const isEmpty = /nothing here asks another host/.test(adopted.err);
  if (adopted.err !== '' && !isEmpty) problems.push(`adopt: ${adopted.code} ${adopted.err.trim()}`);
  const failed = (adopted.told.findings ?? [])
    .filter(({ code }) => code === 'host-failed')
    .map(({ place }) => place.url ?? '');
  const drafted = await run('init', '--site', 'site', ...scripts);
  if (drafted.code !== 0) {
    if (!/there is no font file here/.test(drafted.err))
      problems.push(`init: ${drafted.code} ${drafted.err.trim()}`);
    return failed.join(' ');
  }
  const built = await run('build', ...scripts);
  if (built.code !== 0) problems.push(`build: ${built.code} ${built.err.trim()}`);
  const wired = await run('wire', ...scripts);
  if (wired.code !== 0) problems.push(`wire: ${wired.code} ${wired.err.trim()}`);
  const findings = wired.told.findings ?? [];
  for (const { code, message, place } of findings)
    if (code === 'drawn-otherwise' || code === 'page-held')
      problems.push(`wire says: ${place.file}: ${message}`);
  const again = await run('wire', ...scripts);
  if ((again.told.files ?? []).length > 0)
    problems.push(`a second wire changes ${again.told.files?.map(({ file }) => file).join(', ')}`);
  return [
    ...failed,
    ...findings.filter(({ code }) => code === 'reference-stays').map(({ message }) => message),
  ].join(' ');
}

async function compare(
  { before, after, pages, standIn, stays }: BothStates,
  request: HomecomingRequest,
  report: HomecomingReport,
  folder: string,
): Promise<void> {
  const served = [
    await serveCounting((url) => fileAt(before, url), request.caching),
    await serveCounting((url) => fileAt(after, url), request.caching),
  ];
  const asked = [new Set<string>(), new Set<string>()];
  try {
    for (const engine of request.engines) {
      const photographer = await startPhotographer(engine);
      const shotOf = async (
        server: CountingServer,
        page: string,
        width: number,
        patience?: number,
      ): Promise<Shot> => {
        server.take();
        standIn.take();
        const picture = await photographer.shoot(`${server.origin}/${page}`, width, patience);
        const hosted = standIn.take().map((one) => ({ ...one, path: `host${one.path}` }));
        return { pictures: [picture], requests: [...server.take(), ...hosted] };
      };
      /** What moves by itself is looked at again, and left out. */
      const lasting = async (
        shots: readonly Shot[],
        servers: readonly CountingServer[],
        page: string,
        width: number,
      ) => {
        if (shots[0].pictures[0].equals(shots[1].pictures[0])) return undefined;
        for (const patience of [500, 2500]) {
          for (const [i, server] of servers.entries())
            shots[i].pictures.push(...(await shotOf(server, page, width, patience)).pictures);
          if (!difference(shots[0].pictures, shots[1].pictures)) return undefined;
        }
        return difference(shots[0].pictures, shots[1].pictures);
      };
      try {
        for (const page of pages) {
          for (const width of request.widths) {
            const shots: Shot[] = [];
            for (const server of served) shots.push(await shotOf(server, page, width));
            const found = await lasting(shots, served, page, width);
            const place = `${page} at ${width} px in ${engine}`;
            report.pictures++;
            if (found) {
              report.differing++;
              report.problems.push(`${place}: ${found.pixels} pixels differ, at ${found.box.join(' ')}`);
              const name = `${page.replace(/[^a-z0-9]+/gi, '-')}-${width}-${engine}`;
              writeFileSync(join(folder, `${name}-before.png`), shots[0].pictures[0]);
              writeFileSync(join(folder, `${name}-after.png`), shots[1].pictures[0]);
            }
            report.problems.push(...requestProblems(place, shots[0], shots[1], stays));
            if (engine === request.engines[0] && width === request.widths[0]) {
              report.bytesBefore += fetched(shots[0]);
              report.bytesAfter += fetched(shots[1]);
              for (const [i, hosts] of asked.entries())
                for (const { path } of shots[i].requests)
                  if (path.startsWith('host')) hosts.add(path.split('/')[1]);
            }
          }
        }
      } finally {
        await photographer.close();
      }
    }
  } finally {
    [report.hostsBefore, report.hostsAfter] = asked.map(({ size }) => size);
    await Promise.all(served.map((server) => server.close()));
  }
}

const isFile = /\.(css|woff2?|ttf|otf|eot)\b|^host/;

/** Bytes of stylesheets and fonts. */
const fetched = ({ requests }: Shot): number =>
  requests.filter(({ path }) => isFile.test(path)).reduce((sum, one) => sum + one.bytes, 0);

function requestProblems(place: string, before: Shot, after: Shot, stays: string): string[] {
  const problems: string[] = [];
  const missing = ({ requests }: Shot) =>
    new Set(requests.filter(({ status }) => status === 404).map(({ path }) => path));
  const known = missing(before);
  for (const path of missing(after)) if (!known.has(path)) problems.push(`${place}: ${path} is not there`);
  const hosted = after.requests
    .filter(({ path }) => path.startsWith('host'))
    .map(({ path }) => path.slice('host'.length))
    .filter((path) => !stays.includes(path));
  if (hosted.length > 0) problems.push(`${place}: still asks ${[...new Set(hosted)].join(', ')}`);
  const more = fetched(after) - fetched(before);
  const twice = (shot: Shot) => {
    const files = shot.requests.filter(({ path }) => isFile.test(path)).map(({ path }) => path);
    return files.filter((path, i) => files.indexOf(path) !== i);
  };
  if (twice(after).length > twice(before).length)
    problems.push(`${place}: fetches ${[...new Set(twice(after))].join(', ')} more than once`);
  if (more > 0) problems.push(`${place}: fetches ${more} bytes more (${fetched(before)} before)`);
  return problems;
}

/** Families that stylesheets and pages name. */
function familiesNamed(site: string): string[] {
  const found = new Set<string>();
  for (const text of textsIn(site)) {
    for (const [, value] of text.matchAll(/font(?:-family)?\s*:\s*([^;}]+)/gi))
      for (const [, quoted, plain] of value.matchAll(/["']([^"']+)["']|([A-Z][\w-]*(?: [A-Z][\w-]*)*)/g))
        found.add((quoted ?? plain).trim());
  }
  return [...found].filter((name) => name.length > 2);
}

const isText = (path: string) => /\.(x?html?|css)$/i.test(path);
const textsIn = (site: string) =>
  tree(site)
    .filter(isText)
    .map((path) => readFileSync(join(site, path), 'latin1'));

const hostedUrl = /(?:https?:)?\/\/([a-z0-9.-]+\.[a-z]{2,})(\/[^"'\s)>]*)?/gi;

/** Links of stylesheets, and imports, ask the stand-in in the place of hosts. */
function askStandIn(site: string, origin: string): void {
  for (const path of tree(site).filter(isText)) {
    const text = readFileSync(join(site, path), 'latin1');
    const atStandIn = (part: string) =>
      part.replace(hostedUrl, (_, host: string, rest = '') => `${origin}/${host}${rest}`);
    const changed = text
      .replace(/<link\b[^>]*>/gi, (link) =>
        /rel\s*=\s*["']?[^"'>]*(stylesheet|preconnect|dns-prefetch|preload)/i.test(link)
          ? // What it serves has other digests (SRI, section 3.5).
            atStandIn(link).replace(/\s+integrity\s*=\s*(?:"[^"]*"|'[^']*'|\S+)/i, '')
          : link,
      )
      .replace(/@import[^;]*;/gi, atStandIn);
    if (changed !== text) writeFileSync(join(site, path), changed, 'latin1');
  }
}

export function pagesOf(site: string, { pages, mostPages }: Preparation): string[] {
  const globs = pages.length > 0 ? [...pages] : ['**/*.{html,htm,xhtml}'];
  const chosen = globSync(globs, { cwd: site, ignore: ['**/type/**', '**/node_modules/**'] }).sort();
  const step = Math.max(1, chosen.length / mostPages);
  return chosen.filter((_, i) => Math.floor(i / step) !== Math.floor((i - 1) / step)).slice(0, mostPages);
}

/** Takes other pages out of a copy. */
function keepPages(site: string, request: Preparation): void {
  const kept = new Set(pagesOf(site, request));
  for (const page of globSync(['**/*.{html,htm,xhtml}'], { cwd: site }))
    if (!kept.has(page)) rmSync(join(site, page));
}

/** What of the site isn't as it was, but for the kit. */
function notUndone(before: string, after: string): string[] {
  const isKit = (path: string) => path.startsWith('type/') || path.includes('/type/');
  const [was, is] = [tree(before), tree(after).filter((path) => !isKit(path))];
  const problems = is.filter((path) => !was.includes(path)).map((path) => `undo: ${path} is left over`);
  for (const path of was) {
    if (isKit(path)) continue;
    if (!existsSync(join(after, path))) problems.push(`undo: ${path} is gone`);
    else if (!readFileSync(join(before, path)).equals(readFileSync(join(after, path))))
      problems.push(`undo: ${path} is not as it was`);
  }
  return problems;
}
