/** How far a use case is, told to whoever shows it. */
export interface Progress {
  /** What is being done, as in `measuring WOFF2`. */
  task: string;
  /** Items that are done. */
  done: number;
  total: number;
  /** Bytes of those that are done, and of all. */
  bytes: number;
  totalBytes: number;
  /** What was begun last, as the user would write it. */
  item: string;
}

export type OnProgress = (progress: Progress) => void;

/** Tells how far the work on some items is, each time one is begun or done. */
export class Steps {
  private readonly progress: Progress;

  /** @param sizes bytes of each item, in any order */
  constructor(
    task: string,
    sizes: readonly number[],
    private readonly tell: OnProgress | undefined,
  ) {
    const totalBytes = sizes.reduce((sum, size) => sum + size, 0);
    this.progress = { task, done: 0, total: sizes.length, bytes: 0, totalBytes, item: '' };
  }

  begin(item: string): void {
    this.progress.item = item;
    this.tell?.({ ...this.progress });
  }

  end(bytes: number): void {
    this.progress.done++;
    this.progress.bytes += bytes;
    this.tell?.({ ...this.progress });
  }
}
