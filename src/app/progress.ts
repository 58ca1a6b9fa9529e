/** How far a use case is, told to whoever shows it. */
export interface Progress {
  /** What is being done, as in `measuring WOFF2`; empty where the item says enough. */
  task: string;
  /** Items that are done, or, with an item, which one is being worked on. */
  count: number;
  total: number;
  /** What is being worked on, as the user would write it. */
  item?: string;
}

export type OnProgress = (progress: Progress) => void;
