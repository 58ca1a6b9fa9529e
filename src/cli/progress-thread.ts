// Draws the progress bar in a thread of its own, as work on one large font keeps the other from drawing

import { writeSync } from 'node:fs';
import { parentPort, workerData } from 'node:worker_threads';
import type { Progress } from '../app/progress.js';
import { ProgressBar } from './progress-bar.js';
import { alone, Slot, type LineStart } from './progress-line.js';

const stderr = 2;
/** Milliseconds after which the line says that time goes by. */
const beat = 250;

const { shared, columns } = workerData as LineStart;
const slots = new Int32Array(shared);
const draw = (text: string) =>
  alone(slots, () => {
    if (slots[Slot.IsOver] !== 0) return;
    slots[Slot.IsShown] = 1;
    writeSync(stderr, text);
  });

const bar = new ProgressBar({ interactive: true, columns, err: draw });
let last: Progress | undefined;
parentPort?.on('message', (progress: Progress) => bar.show((last = progress)));
setInterval(() => last && bar.show(last), beat);
