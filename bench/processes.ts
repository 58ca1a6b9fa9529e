import { spawn } from 'node:child_process';
import { readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** One run of a process, or of several at a time, seen from outside. */
interface Run {
  /** Wall time in milliseconds, from starting it until it is gone. */
  wall: number;
  /** Peak resident memory in bytes, of several the sum. */
  memory: number;
}

/** The first run of each command fills it, as everybody's first run does. */
const caches = join(tmpdir(), `dense-glyph-bench-caches-${process.pid}`);
process.on('exit', () => rmSync(caches, { recursive: true, force: true }));

/** How often memory is looked at, in milliseconds. */
const lookEvery = 10;

/** Runs Node with these arguments and measures it; output is thrown away. */
function runNode(args: readonly string[]): Promise<Run> {
  return new Promise((done, failed) => {
    const start = process.hrtime.bigint();
    const child = spawn(process.execPath, args, {
      stdio: ['ignore', 'ignore', 'inherit'],
      env: { ...process.env, XDG_CACHE_HOME: caches },
    });
    let memory = 0;
    const watch = setInterval(() => (memory = Math.max(memory, peakOf(child.pid!))), lookEvery);
    child.on('error', failed);
    child.on('exit', (code) => {
      const wall = Number(process.hrtime.bigint() - start) / 1e6;
      clearInterval(watch);
      if (code === 0) done({ wall, memory });
      else failed(new Error(`node ${args.join(' ')} ended with ${code}`));
    });
  });
}

/** The high-water mark of a process that still runs; 0 where the system doesn't tell. */
function peakOf(pid: number): number {
  try {
    const line = /^VmHWM:\s+(\d+) kB$/m.exec(readFileSync(`/proc/${pid}/status`, 'utf8'));
    return line ? Number(line[1]) * 1024 : 0;
  } catch {
    return 0;
  }
}

export const median = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[values.length >> 1];

export interface Comparison {
  /** Milliseconds: the median of ours and of the other. */
  wall: [number, number];
  /** The median of the ratios pair by pair, so that a machine that slows down slows both. */
  ratio: number;
  /** Bytes: the highest of ours, and of the other. */
  memory: [number, number];
}

/** Processes that run at the same time, each by its arguments of Node. */
export type Together = readonly (readonly string[])[];

async function runTogether(processes: Together): Promise<Run> {
  const start = process.hrtime.bigint();
  const runs = await Promise.all(processes.map(runNode));
  const wall = Number(process.hrtime.bigint() - start) / 1e6;
  return { wall, memory: runs.reduce((sum, run) => sum + run.memory, 0) };
}

/**
 * Runs several things in turn, so that a machine that slows down slows all of them.
 *
 * @param rounds the first one more warms the caches up and isn't counted, but where there is one round only
 * @returns by round, in the order given
 */
export async function inTurn(things: readonly Together[], rounds: number): Promise<Run[][]> {
  const all: Run[][] = [];
  for (let i = rounds > 1 ? -1 : 0; i < rounds; i++) {
    const round: Run[] = [];
    for (const thing of things) round.push(await runTogether(thing));
    if (i >= 0) all.push(round);
  }
  return all;
}

/** Runs two calls of Node in turn. */
export async function compare(
  ours: readonly string[],
  other: readonly string[],
  rounds: number,
): Promise<Comparison> {
  const pairs = await inTurn([[ours], [other]], rounds);
  const walls = (side: 0 | 1) => pairs.map((pair) => pair[side].wall);
  const highest = (side: 0 | 1) => Math.max(...pairs.map((pair) => pair[side].memory));
  return {
    wall: [median(walls(0)), median(walls(1))],
    ratio: median(pairs.map(([a, b]) => a.wall / b.wall)),
    memory: [highest(0), highest(1)],
  };
}
