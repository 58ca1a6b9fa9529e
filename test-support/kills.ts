import { spawn } from 'node:child_process';
import { cpSync, mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { cliProcess, inFolder } from './cli.js';
import { root, sampleFonts } from './paths.js';
import { brokenIn, contentOf, hiddenIn, stateIn } from './whole-kit.js';

/** What ending builds at random times came to. */
export interface KillReport {
  kills: number;
  /** Of those, how many met a build that was writing already. */
  whileWriting: number;
  /** What was found wrong, each with the number of its kill. */
  problems: string[];
}

const configs = ['Regular', 'Bold'].map(
  (style) => `site: { root: site }
output: { folder: site/type }
families:
  - { family: Ferrywake Sans, files: fonts/FerrywakeSans-${style}.ttf }
  - { family: Tidelog Mono, files: fonts/TidelogMono-Regular.ttf, role: times }
`,
);

/**
 * Ends builds with a changed input at random times, by a signal that no program can catch, and looks at the folder each time.
 *
 * @param every after so many kills a build runs to its end, and the folder has to be as a fresh one
 */
export function killBuilds(kills: number, every: number, random: () => number): Promise<KillReport> {
  return inFolder(async (folder) => {
    const site = join(folder, 'site');
    const kit = join(site, 'type');
    const facts = join(folder, '.dense-glyph');
    const report: KillReport = { kills, whileWriting: 0, problems: [] };
    cpSync(sampleFonts, join(folder, 'fonts'), { recursive: true });
    mkdirSync(site);
    const use = (i: number) => writeFileSync(join(folder, 'dense-glyph.config.yaml'), configs[i % 2]);
    const fresh: string[][] = [];
    for (const i of [0, 1]) {
      use(i);
      await cliProcess(['build'], folder);
      fresh.push(contentOf(kit));
    }
    for (let i = 0; i < kills; i++) {
      use(i);
      if (await killedWhileWriting(folder, random)) report.whileWriting++;
      const litter = hiddenIn(site);
      report.problems.push(...[...brokenIn(kit, facts), ...litter].map((problem) => `kill ${i}: ${problem}`));
      if ((i + 1) % every > 0) continue;
      const { code, err } = await cliProcess(['build'], folder);
      if (code !== 0) report.problems.push(`after kill ${i}: ${err}`);
      if (contentOf(kit).join() !== fresh[i % 2].join())
        report.problems.push(`after kill ${i}: not as fresh`);
      report.problems.push(...stateIn(facts).map((name) => `after kill ${i}: ${name} is left`));
    }
    return report;
  });
}

/** Half of the kills come at any time, half of them a little after the build has begun to write. */
async function killedWhileWriting(folder: string, random: () => number): Promise<boolean> {
  const child = spawn(process.execPath, [join(root, 'dist/bin/dense-glyph.js'), 'build'], {
    cwd: folder,
    stdio: 'ignore',
    env: { ...process.env, XDG_CACHE_HOME: join(root, 'build/cache') },
  });
  let isOver = false;
  const over = new Promise<void>((done) =>
    child.on('close', () => {
      isOver = true;
      done();
    }),
  );
  if (random() < 0.5) await pause(random() * 900);
  else {
    while (!isOver && !isWriting(folder)) await new Promise((done) => setImmediate(done));
    const end = performance.now() + random() * 6;
    while (performance.now() < end);
  }
  const wasWriting = isWriting(folder);
  child.kill('SIGKILL');
  await over;
  return wasWriting;
}

function isWriting(folder: string): boolean {
  try {
    const state = join(folder, '.dense-glyph');
    const journal = readdirSync(state).find((name) => /^[0-9a-f]{16}\.json$/.test(name));
    return journal !== undefined && readFileSync(join(state, journal), 'utf8').includes('kit.css');
  } catch {
    return false;
  }
}
