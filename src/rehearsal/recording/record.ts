import { basename, join, resolve } from 'node:path';
import type { OnProgress } from '../../app/progress.js';
import { manifestOfSite } from '../../app/project/kit-at-hand.js';
import type { Connection } from '../../config/connections.js';
import { DenseGlyphError } from '../../errors.js';
import type { Environment } from '../../io/browsers/environment.js';
import { launchChromium } from '../../io/browsers/launch.js';
import { isWebUrl } from '../../io/addresses.js';
import { isFolder, isReadable } from '../../io/read.js';
import { readSite } from '../../io/site-folder.js';
import { writeWhole } from '../../io/write-whole.js';
import type { Manifest } from '../../kit/files/manifest.js';
import { lineOf } from '../conditions.js';
import { startRehearsal } from '../server.js';
import { folderUpstream, serverUpstream, type Upstream } from '../upstream.js';
import { startPacingProxy } from './pacing-proxy.js';
import {
  withoutPictures,
  type RecordedPage,
  type RecordedState,
  type Recording,
  type Spread,
} from './recording.js';
import { reportPage } from './report.js';
import { recordVisit, type RecordedVisit } from './visit.js';

/** What is recorded. */
export interface RecordRequest {
  /** A folder, or the address of a running server. */
  site: string;
  /** The same in another state, for each moment beside it. */
  against?: string | undefined;
  /** Where relative paths start; absolute. */
  folder: string;
  /** Where the recording goes. */
  out: string;
  /** Below the site; its start page and others, if left out. */
  pages?: readonly string[] | undefined;
  lines: readonly string[];
  /** Visits to each page in each state, in turns. */
  repeat: number;
  environment: Environment;
}

const mostPages = 6;

/**
 * Visits pages on slow lines in an installed Chromium, in one state of the site or in two, and writes a report.
 *
 * @throws DenseGlyphError `browser-missing`, `file-unreadable`, `call-invalid`, `output-unwritable`
 */
export async function record(
  request: RecordRequest,
  progress?: OnProgress,
): Promise<{ recording: Recording; report: string }> {
  const { site, against, folder, repeat } = request;
  const lines = request.lines.flatMap((line) => lineOf({ line }) ?? []);
  const states = [
    ...(against === undefined ? [] : [{ state: 'before', site: against }]),
    { state: against === undefined ? 'as it is' : 'after', site },
  ];
  const pages = request.pages ?? (await pagesOf(site, folder));
  const browser = await launchChromium(request.environment);
  const recorded: RecordedPage[] = [];
  const servers: { close: () => Promise<void> }[] = [];
  let done = 0;
  const total = pages.length * lines.length * states.length * repeat;
  try {
    const served = await Promise.all(
      states.map(async (one) => {
        const upstream = upstreamFor(one.site, folder);
        // Paced by the proxy, with what comes from other hosts.
        const server = await startRehearsal({ upstream, port: 0, conditions: { line: 'none' } });
        servers.push(server);
        const manifest = isWebUrl(one.site) ? undefined : await manifestOfSite(resolve(folder, one.site));
        return { ...one, origin: server.origin, manifest };
      }),
    );
    for (const line of lines) {
      const proxy = await startPacingProxy(line);
      try {
        for (const page of pages) {
          const visits = served.map((): RecordedVisit[] => []);
          for (let i = 0; i < repeat; i++)
            for (const [state, { origin, state: name }] of served.entries()) {
              const item = `${page}, ${name}, ${line.name}`;
              progress?.({ task: 'recording', item, done, total, bytes: done++, totalBytes: total });
              proxy.reset();
              // Nothing is in the cache of a context; this machine's own addresses go through the proxy too.
              const context = await browser.createBrowserContext({
                proxyServer: `http://127.0.0.1:${proxy.port}`,
                proxyBypassList: ['<-loopback>'],
              });
              try {
                visits[state].push(await recordVisit(await context.newPage(), `${origin}/${page}`));
              } finally {
                await context.close();
              }
            }
          recorded.push({
            page,
            line,
            states: served.map((one, state) => stateOf(one, page, line, visits[state])),
          });
        }
      } finally {
        proxy.close();
      }
    }
  } finally {
    await Promise.all([browser.close(), ...servers.map((server) => server.close())]);
  }
  const recording: Recording = { recordingVersion: 1, pages: recorded, repeat };
  const out = resolve(folder, request.out);
  writeWhole(join(out, 'recording.json'), `${JSON.stringify(withoutPictures(recording), null, 2)}\n`);
  writeWhole(join(out, 'recording.html'), reportPage(recording));
  return { recording, report: join(out, 'recording.html') };
}

const upstreamFor = (site: string, folder: string): Upstream =>
  isWebUrl(site) ? serverUpstream(new URL(site)) : folderUpstream(resolve(folder, site));

/** Pages of a folder, the start page first; of a server its start page. */
async function pagesOf(site: string, folder: string): Promise<string[]> {
  if (isWebUrl(site)) return [''];
  const root = resolve(folder, site);
  if (!isFolder(root))
    throw new DenseGlyphError('file-unreadable', 'there is no such folder', { file: site });
  const all = (await readSite([root], folder)).pages
    .filter(({ address }) => isReadable(address))
    .map(({ page }) => page)
    .sort((a, b) => a.split('/').length - b.split('/').length || (a < b ? -1 : 1));
  const start = all.indexOf('index.html');
  const sorted = start < 0 ? all : ['index.html', ...all.filter((page) => page !== 'index.html')];
  return sorted.slice(0, mostPages);
}

const spreadOf = (values: readonly number[]): Spread => {
  const sorted = [...values].sort((a, b) => a - b);
  return { middle: sorted[sorted.length >> 1], least: sorted[0], most: sorted[sorted.length - 1] };
};

const lastFace = ({ arrivals, firstDrawing }: RecordedVisit): number =>
  Math.max(firstDrawing, ...arrivals.map(({ at }) => at));

function stateOf(
  { state, site, manifest }: { state: string; site: string; manifest: Manifest | undefined },
  page: string,
  line: Connection,
  visits: readonly RecordedVisit[],
): RecordedState {
  const of = (value: (visit: RecordedVisit) => number) => spreadOf(visits.map(value));
  const sorted = [...visits].sort((a, b) => a.firstDrawing - b.firstDrawing);
  const planned = manifest?.plan?.pages
    .find((one) => one.page === page)
    ?.lines.find(({ connection }) => connection === line.name)?.planned;
  return {
    state,
    site: basename(site),
    firstDrawing: of(({ firstDrawing }) => firstDrawing),
    faces: of(lastFace),
    shift: of(({ shift }) => shift),
    bytes: of(({ bytes }) => bytes),
    fontBytes: of(({ fontBytes }) => fontBytes),
    requests: of(({ fetched }) => fetched.length),
    visit: sorted[sorted.length >> 1],
    ...(planned ? { foretold: { firstText: planned.firstText, ownFaces: planned.ownFaces } } : {}),
  };
}
