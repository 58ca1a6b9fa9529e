// The sample site behind paced lines in Chromium: as a host served its faces before, with its kit under several choices of
// preloads, and with pages that carry a first part of their main face, in turns. Says when text is seen first, and when the first screenful is in its own faces; and how far the plan's choice
// is from the best of those that were measured.
//   npm run choices -- [--pages <page…>] [--runs <n>] [--connections "slow phone" cable]
import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { DemoResult } from '#src/app/demo.js';
import { connections } from '#src/kit/timeline/index.js';
import { startFontHost } from '#src/rehearsal/font-host.js';
import { cliProcess } from '../../test-support/cli.js';
import { filesIn, readSample, sampleFonts } from '../../test-support/paths.js';
import { manifestIn } from '../../test-support/project.js';
import { Arguments } from '../homecoming/arguments.js';
import { fileAt, serveCounting } from '../homecoming/serve.js';
import { startPacingProxy } from '#src/rehearsal/recording/pacing-proxy.js';
import { median, visit, type Visit } from './visit.js';

const args = new Arguments();
const [runs = '20'] = args.valuesOf('--runs');
const wanted = args.valuesOf('--connections');
const lines = Object.values(connections).filter(({ name }) => wanted.length === 0 || wanted.includes(name));
const chosenPages = args.valuesOf('--pages');

const folder = mkdtempSync(join(tmpdir(), 'dense-glyph-choices-'));
const host = await startFontHost(
  [...filesIn(sampleFonts, '.ttf'), ...filesIn(sampleFonts, '.otf')].map((path) => ({
    path,
    bytes: readSample(path),
  })),
);
const { out, err } = await cliProcess(['demo', '--out', 'demo', '--json'], folder);
if (out === '') throw new Error(err);
const { site, before, manifest } = JSON.parse(out) as DemoResult;
const preloadTags = /<link rel="preload"[^>]*as="font"[^>]*>\n?/g;
/** By the first part of a path: what is preloaded there, instead of what the plan says. */
let preloads: readonly string[] = [];
const kitServer = await serveCounting((url) => {
  const found = fileAt(site, url);
  if (found?.type !== 'text/html') return found;
  const text = new TextDecoder().decode(found.bytes).replace(preloadTags, '');
  const up = '../'.repeat(new URL(url, 'http://a').pathname.split('/').length - 2);
  const tags = preloads.map(
    (file) => `<link rel="preload" href="${up}type/${file}" as="font" type="font/woff2" crossorigin>\n`,
  );
  return {
    ...found,
    bytes: new TextEncoder().encode(
      text.replace('<link rel="stylesheet"', `${tags.join('')}<link rel="stylesheet"`),
    ),
  };
});
/** The same with pages that carry what they draw of their main face. */
const inlined = join(folder, 'inlined');
cpSync(join(folder, 'demo'), inlined, { recursive: true });
const configFile = join(inlined, 'dense-glyph.config.yaml');
writeFileSync(configFile, `${readFileSync(configFile, 'utf8')}\nloading: { inline: auto }\n`);
for (const command of ['build', 'wire']) {
  const called = await cliProcess([command, '--quiet'], inlined);
  if (called.code !== 0) throw new Error(called.err);
}
const inlinedManifest = manifestIn(inlined);
const inlinedServer = await serveCounting((url) => fileAt(join(inlined, 'site'), url));
/** The demo's own host has ended. */
const beforeServer = await serveCounting((url) => {
  const found = fileAt(before, url);
  if (!found || !/^text\//.test(found.type)) return found;
  const text = new TextDecoder().decode(found.bytes).replace(/http:\/\/127\.0\.0\.1:\d+/g, host.styles);
  return { ...found, bytes: new TextEncoder().encode(text) };
});

interface Choice {
  name: string;
  server: { origin: string };
  preloads: readonly string[];
  /** The file of a face that the page carries a part of. */
  first?: string | undefined;
  visits: Visit[];
}

let [earlier, pairs, best, all, parts, partsEarlier] = [0, 0, 0, 0, 0, 0];
const lateBy: number[] = [];
try {
  for (const line of lines) {
    const proxy = await startPacingProxy(line);
    try {
      for (const { page, preloads: planned, files } of manifest.plan?.pages ?? []) {
        if (chosenPages.length > 0 && !chosenPages.includes(page)) continue;
        const drawn = files.fonts.filter(({ letters }) => letters > 0);
        const sorted = [...drawn].sort((a, b) => b.letters - a.letters).map(({ key }) => key);
        const sets = [planned, [], ...sorted.map((one) => [one]), sorted.slice(0, 2), sorted];
        const known = new Set<string>();
        const choices: Choice[] = [{ name: 'hosted', server: beforeServer, preloads: [], visits: [] }];
        for (const [i, set] of sets.entries()) {
          const key = [...set].sort().join(' ');
          if (known.has(key)) continue;
          known.add(key);
          const name = i === 0 ? 'planned' : `${set.length} preloads`;
          choices.push({ name, server: kitServer, preloads: set, visits: [] });
        }
        const first = inlinedManifest.plan?.pages.find((one) => one.page === page)?.first?.of;
        if (first !== undefined)
          choices.push({ name: 'first part', server: inlinedServer, preloads: [], first, visits: [] });
        for (let i = 0; i < Number(runs); i++)
          for (const choice of choices) {
            proxy.reset();
            preloads = choice.preloads;
            choice.visits.push(await visit(`${choice.server.origin}/${page}`, proxy.port));
          }
        const last = (own: string | undefined, { paint, fonts }: Visit) =>
          Math.max(paint, ...[...fonts].flatMap(([key, end]) => (key === own ? [] : [end])));
        const letters = drawn.reduce((sum, font) => sum + font.letters, 0);
        // A face of which the page carries a part is there with it.
        const mean = (own: string | undefined, { paint, fonts }: Visit) =>
          drawn.reduce((sum, { key, letters: count }) => {
            const there = key === own ? paint : (fonts.get(key) ?? paint);
            return sum + count * Math.max(paint, there);
          }, 0) / Math.max(1, letters);
        const rows = choices.map(({ name, server, first: own, visits }) => ({
          name,
          paint: median(visits.map(({ paint }) => paint)),
          last: median(visits.map((one) => last(own, one))),
          mean: server === beforeServer ? NaN : median(visits.map((one) => mean(own, one))),
        }));
        for (const { name, paint, last: end, mean: own } of rows)
          console.log(
            `${line.name} | ${page} | ${name} | ${paint.toFixed(0)} | ${Number.isNaN(own) ? '' : own.toFixed(0)} | ${end.toFixed(0)}`,
          );
        const [hosted, plan, ...others] = rows.filter(({ name }) => name !== 'first part');
        const part = rows.find(({ name }) => name === 'first part');
        if (part && part.last < hosted.last) partsEarlier++;
        if (part) parts++;
        pairs++;
        if (plan.last < hosted.last) earlier++;
        // What the first drawing loses counts as what faces win.
        const cost = (row: (typeof rows)[number]) =>
          row.mean + Math.max(0, row.paint - Math.min(...rows.slice(1).map(({ paint }) => paint)));
        const least = Math.min(cost(plan), ...others.map(cost));
        all++;
        lateBy.push(cost(plan) / least - 1);
        if (cost(plan) <= least * 1.05) best++;
      }
    } finally {
      proxy.close();
    }
  }
} finally {
  await Promise.all([kitServer, beforeServer, inlinedServer, host].map((server) => server.close()));
  rmSync(folder, { recursive: true, force: true });
}
console.log(`in its own faces earlier than hosted: ${earlier} of ${pairs}`);
console.log(`and with a first part in the page: ${partsEarlier} of ${parts}`);
console.log(
  `the plan’s preloads are the best that were measured, or within 5 %: ${best} of ${all}; most ${(Math.max(...lateBy) * 100).toFixed(1)} % later`,
);
