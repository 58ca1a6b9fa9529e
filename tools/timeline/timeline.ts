// Holds the timelines of a kit against Chromium behind lines that are paced: the first drawing, and when each face is there. Beside
// the last face stands its bound: when its bytes can be there by round trips and bytes alone, all faces named in the head.
//   npm run timeline -- <folder of a project with a config> [--pages <page…>] [--runs <n>] [--connections "slow phone" cable]
import { cpSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, relative, resolve } from 'node:path';
import { loadConfig } from '#src/config/load.js';
import {
  connections,
  pageTimeline,
  type BrowserWork,
  type Connection,
  type PageTimeline,
} from '#src/kit/timeline/index.js';
import type { Manifest } from '#src/kit/index.js';
import { cliProcess } from '../../test-support/cli.js';
import { Arguments } from '../homecoming/arguments.js';
import { fileAt, serveCounting } from '../homecoming/serve.js';
import { startPacingProxy } from '#src/rehearsal/recording/pacing-proxy.js';
import { median, visit, type Visit } from './visit.js';

const args = new Arguments();
const { named } = args;
if (named === undefined) throw new Error('name the folder of a project');
const [runs = '20'] = args.valuesOf('--runs');
const lines: Connection[] = Object.values(connections).filter(
  ({ name }) => args.valuesOf('--connections').length === 0 || args.valuesOf('--connections').includes(name),
);

const folder = mkdtempSync(join(tmpdir(), 'dense-glyph-timeline-'));
cpSync(named, folder, { recursive: true });
for (const command of ['build', 'wire']) await cliProcess([command, '--quiet'], folder);
const { config, base } = await loadConfig(folder);
const root = resolve(base, config.site.root!);
const facts = resolve(base, config.output.facts);
const manifest = JSON.parse(readFileSync(join(facts, 'kit.json'), 'utf8')) as Manifest;
const server = await serveCounting((url) => fileAt(root, url));
const differences: number[] = [];
/** The last face of each page, as shares of its bound. */
const bounds: number[] = [];
const lastFace = ({ fonts }: PageTimeline) => Math.max(...fonts.map(({ there }) => there));
/** What the browser takes for itself, whatever the line: seen on one without delay. */
async function workOn(page: string): Promise<BrowserWork> {
  const proxy = await startPacingProxy({ ...connections.cable, rtt: 0, down: 1e6 });
  try {
    const visits: Visit[] = [];
    for (let i = 0; i < Number(runs); i++) {
      proxy.reset();
      visits.push(await visit(`${server.origin}/${page}`, proxy.port));
    }
    return {
      start: median(visits.map((one) => one.page)),
      drawing: median(visits.map(({ paint, styles }) => paint - styles)),
    };
  } finally {
    proxy.close();
  }
}
const works = new Map<string, BrowserWork>();
try {
  for (const line of lines) {
    const proxy = await startPacingProxy(line);
    try {
      for (const { page, preloads, files } of manifest.plan?.pages ?? []) {
        const chosen = args.valuesOf('--pages');
        if (chosen.length > 0 && !chosen.includes(page)) continue;
        const visits: Visit[] = [];
        for (let i = 0; i < Number(runs); i++) {
          proxy.reset();
          visits.push(await visit(`${server.origin}/${page}`, proxy.port));
        }
        let work = works.get(page);
        if (!work) works.set(page, (work = await workOn(page)));
        const paced = { ...line, firstWindow: Infinity };
        const told = pageTimeline(files, { preloads }, paced, { http: '2', order: 'in turns' }, work);
        const rows: [string, number, number][] = [
          ['first drawing', median(visits.map(({ paint }) => paint)), told.firstPaint],
          ...told.fonts.map(({ key, there }): [string, number, number] => [
            key,
            median(visits.map(({ fonts }) => fonts.get(key) ?? NaN)),
            there,
          ]),
        ];
        const named = { preloads: files.fonts.map(({ key }) => key) };
        const bound = lastFace(pageTimeline(files, named, paced, { http: '2', order: 'in turns' }));
        const last = Math.max(...rows.slice(1).map(([, measured]) => measured));
        if (files.fonts.length > 0) bounds.push(last / bound);
        for (const [what, measured, foretold] of rows) {
          const share = foretold / measured - 1;
          if (!Number.isNaN(share)) differences.push(Math.abs(share));
          console.log(
            `${line.name} | ${page} | ${what} | ${measured.toFixed(0)} | ${foretold.toFixed(0)} | ${(share * 100).toFixed(1)} %`,
          );
        }
        if (files.fonts.length > 0)
          console.log(
            `${line.name} | ${page} | last face | ${last.toFixed(0)} | bound ${bound.toFixed(0)} | ${(last / bound).toFixed(2)} of it`,
          );
      }
    } finally {
      proxy.close();
    }
  }
} finally {
  await server.close();
  rmSync(folder, { recursive: true, force: true });
}
const within = differences.filter((one) => one <= 0.15).length;
console.log(
  `last faces: median ${median(bounds).toFixed(2)} of their bounds, most ${Math.max(...bounds).toFixed(2)}`,
);
console.log(
  `${relative('', named)}: ${within} of ${differences.length} within 15 %, median ${(median(differences) * 100).toFixed(1)} %`,
);
