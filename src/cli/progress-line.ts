import { extname, join } from 'node:path';
import { Worker } from 'node:worker_threads';
import type { Progress } from '../app/progress.js';
import type { Terminal } from './terminal.js';

/** What both sides know: who writes, whether it is over, and whether a line stands there. */
export const enum Slot {
  Lock,
  IsOver,
  IsShown,
}

/** What the thread starts with. */
export interface LineStart {
  shared: SharedArrayBuffer;
  columns: number;
}

/** Runs something while the other side doesn't write. */
export function alone(slots: Int32Array, use: () => void): void {
  while (Atomics.compareExchange(slots, Slot.Lock, 0, 1) !== 0) Atomics.wait(slots, Slot.Lock, 1, 20);
  try {
    use();
  } finally {
    Atomics.store(slots, Slot.Lock, 0);
    Atomics.notify(slots, Slot.Lock);
  }
}

/** A progress bar that a thread draws: it moves, too, while one large font takes a while. */
export class ProgressLine {
  private readonly shared = new SharedArrayBuffer(12);
  private readonly slots = new Int32Array(this.shared);
  private thread: Worker | undefined;

  constructor(private readonly terminal: Terminal) {}

  show(progress: Progress): void {
    if (!this.terminal.interactive || this.slots[Slot.IsOver] !== 0) return;
    this.thread ??= this.start();
    this.thread.postMessage(progress);
  }

  /** Takes the line away; what is told later isn't shown. */
  end(): void {
    alone(this.slots, () => Atomics.store(this.slots, Slot.IsOver, 1));
    if (this.slots[Slot.IsShown] !== 0) this.terminal.err('\r\x1b[2K');
    void this.thread?.terminate();
  }

  private start(): Worker {
    const workerData: LineStart = { shared: this.shared, columns: this.terminal.columns };
    const module = join(import.meta.dirname, `progress-thread${extname(import.meta.filename)}`);
    const thread = new Worker(module, { workerData, execArgv: [] });
    // A line that can't be drawn is no reason to end the work.
    thread.on('error', () => undefined);
    thread.unref();
    return thread;
  }
}
