import { spawn } from 'node:child_process';
import { readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** One run of a process, seen from outside. */
interface Run {
  /** Wall time in milliseconds, from starting it until it is gone. */
  wall: number;
  /** Peak resident memory in bytes. */
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

/** Runs two calls of Node in turn. The first pair warms the caches up and isn't counted. */
export async function compare(
  ours: readonly string[],
  other: readonly string[],
  runs: number,
): Promise<Comparison> {
  const pairs: [Run, Run][] = [];
  for (let i = runs > 1 ? -1 : 0; i < runs; i++) {
    const pair: [Run, Run] = [await runNode(ours), await runNode(other)];
    if (i >= 0) pairs.push(pair);
  }
  const highest = (side: 0 | 1) => Math.max(...pairs.map((pair) => pair[side].memory));
  return {
    wall: [median(pairs.map(([a]) => a.wall)), median(pairs.map(([, b]) => b.wall))],
    ratio: median(pairs.map(([a, b]) => a.wall / b.wall)),
    memory: [highest(0), highest(1)],
  };
}
