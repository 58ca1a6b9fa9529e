import type { Progress } from '../app/progress.js';

/** Where a command's output goes; tests put their own in its place. */
export interface Terminal {
  out: (text: string) => void;
  err: (text: string) => void;
  /** Whether stderr is a terminal, which shows progress. */
  interactive: boolean;
  /** Characters in a line. */
  columns: number;
  /** The folder that the command was called in. */
  folder: string;
  /** Says to the caller that all was done, but that something found falls short. */
  fallShort: () => void;
}

/** Options that every command has. */
export interface CommonOptions {
  json?: boolean;
  quiet?: boolean;
  verbose?: boolean;
}

/** A command's view of the terminal under its options: what it says, what it returns, how far it is. */
export class Reporter {
  private shown = false;
  private readonly start = Date.now();

  constructor(
    readonly terminal: Terminal,
    private readonly options: CommonOptions,
  ) {}

  /** Whether anybody reads what is said. */
  get isHeard(): boolean {
    return !this.options.quiet && !this.options.json;
  }

  /** Lines for a person; left out with --quiet and --json. */
  say(...lines: string[]): void {
    if (!this.isHeard) return;
    this.clear();
    if (lines.length > 0) this.terminal.out(`${lines.join('\n')}\n`);
  }

  /** The result as one document, with --json only. */
  result(value: unknown): void {
    this.clear();
    if (this.options.json) this.terminal.out(`${JSON.stringify(value, null, 2)}\n`);
  }

  /** How far the work is, shown in a terminal once it has taken half a second. */
  readonly onProgress = ({ task, count, total, item }: Progress): void => {
    const steps = total > 1 ? `${count} of ${total}` : '';
    this.progress([[task, steps].filter(Boolean).join(', '), item].filter(Boolean).join(': '));
  };

  private progress(text: string): void {
    if (this.options.quiet || Date.now() - this.start < 500 || !this.terminal.interactive) return;
    this.clear();
    this.terminal.err(text.slice(0, this.terminal.columns - 1));
    this.shown = true;
  }

  clear(): void {
    if (this.shown) this.terminal.err('\r\x1b[K');
    this.shown = false;
  }
}
