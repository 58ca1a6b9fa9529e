import type { SingleBar } from 'cli-progress';
import type { Progress } from '../app/progress.js';
import { safeLine } from './safe-text.js';
import type { Terminal } from './terminal.js';
import { sizeText } from '../core/text/amounts.js';

/** Milliseconds of work that nobody needs to be told of. */
const patience = 500;
/** Milliseconds after which one asks how long it is going on. */
const longWork = 2000;
const barWidth = 24;

/** One line that says how far long work is: what, how many, how many bytes, how long it will take, and which item. */
export class ProgressBar {
  private readonly start = Date.now();
  private bar: SingleBar | undefined;
  private task = '';
  private isLoading = false;
  private isOver = false;

  constructor(private readonly terminal: Pick<Terminal, 'interactive' | 'columns' | 'err'>) {}

  show(progress: Progress): void {
    if (Date.now() - this.start < patience || !this.terminal.interactive || this.isOver) return;
    if (this.bar && this.task === progress.task) this.update(this.bar, progress);
    else void this.begin(progress);
  }

  /** Takes the line away; what is told later isn't shown. */
  end(): void {
    this.isOver = true;
    this.bar?.stop();
    this.bar = undefined;
  }

  private async begin(progress: Progress): Promise<void> {
    if (this.isLoading) return;
    this.isLoading = true;
    const { SingleBar: Bar } = await import('cli-progress');
    this.isLoading = false;
    if (this.isOver) return;
    this.bar?.stop();
    this.task = progress.task;
    const { terminal } = this;
    const stream = {
      isTTY: true,
      columns: terminal.columns,
      write: (text: string) => terminal.err(text),
    } as unknown as NodeJS.WritableStream;
    this.bar = new Bar({
      format: '{task}  {bar}  {counted}{left}  {item}',
      barsize: barWidth,
      barCompleteChar: '█',
      barIncompleteChar: '░',
      stream,
      clearOnComplete: true,
      gracefulExit: false,
      linewrap: true,
      forceRedraw: true,
    });
    this.bar.start(Math.max(1, progress.totalBytes), progress.bytes, this.words(progress));
  }

  private update(bar: SingleBar, progress: Progress): void {
    bar.update(progress.bytes, this.words(progress));
  }

  /** What the line says, cut so that it stays one line. */
  private words({ task, done, total, bytes, totalBytes, item }: Progress): Record<string, string> {
    const counted = `${done} of ${total}, ${sizeText(bytes)} of ${sizeText(totalBytes)}`;
    const left = timeLeft(Date.now() - this.start, bytes, totalBytes);
    const room = this.terminal.columns - task.length - barWidth - counted.length - left.length - 7;
    const shown = safeLine(item);
    return {
      task,
      counted,
      left,
      item: shown.length <= room ? shown : `…${shown.slice(shown.length - room + 1)}`,
    };
  }
}

/** As long as what is left took so far, byte by byte; before there is something to go by how long it took. */
function timeLeft(elapsed: number, bytes: number, totalBytes: number): string {
  if (bytes === 0) return elapsed < longWork ? '' : `, ${Math.round(elapsed / 1000)} s`;
  if (bytes >= totalBytes) return '';
  const seconds = Math.ceil((elapsed / bytes) * (totalBytes - bytes)) / 1000;
  if (seconds < 1) return '';
  return seconds < 90 ? `, ${Math.round(seconds)} s left` : `, ${Math.round(seconds / 60)} min left`;
}
