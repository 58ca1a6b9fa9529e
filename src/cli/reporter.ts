import colors from 'picocolors';
import { jsonText } from '../core/text/json-text.js';
import { withoutCredentials } from '../errors.js';
import type { Progress } from '../app/progress.js';
import { ProgressLine } from './progress-line.js';
import { safeLine } from './safe-text.js';
import type { CommonOptions, Terminal } from './terminal.js';

/** A command's view of the terminal under its options: what it says, what it returns, how far it is. */
export class Reporter {
  private line: ProgressLine | undefined;

  constructor(
    readonly terminal: Terminal,
    private readonly options: CommonOptions,
  ) {
    if (!options.quiet) this.line = new ProgressLine(terminal);
  }

  /** Whether anybody reads what is said. */
  get isHeard(): boolean {
    return !this.options.quiet && !this.options.json;
  }

  /** Lines for a person; left out with --quiet and --json. */
  say(...lines: string[]): void {
    if (!this.isHeard) return;
    this.clear();
    if (lines.length > 0)
      this.terminal.out(`${lines.map((line) => safeLine(line, colors.isColorSupported)).join('\n')}\n`);
  }

  /** The result as one document, with --json only. */
  result(value: unknown): void {
    this.clear();
    if (!this.options.json) return;
    // JSON leaves these as they are, and a terminal may act on them.
    const text = withoutCredentials(jsonText(value)).replace(
      /[\x7f-\x9f\u202a-\u202e\u2066-\u2069]/g,
      (c) => `\\u${c.charCodeAt(0).toString(16).padStart(4, '0')}`,
    );
    this.terminal.out(`${text}\n`);
  }

  /** How far the work is, shown in a terminal once it has taken half a second. */
  readonly onProgress = (progress: Progress): void => this.line?.show(progress);

  /** Takes the line away; work that follows has one of its own. */
  clear(): void {
    this.line?.end();
    if (this.line) this.line = new ProgressLine(this.terminal);
  }
}
