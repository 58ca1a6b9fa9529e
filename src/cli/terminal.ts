/** Where a command's output goes; tests put their own in its place. */
export interface Terminal {
  out: (text: string) => void;
  err: (text: string) => void;
  /** Whether stderr is a terminal, which shows progress. */
  interactive: boolean;
  /** Whether somebody can be asked: input and output are terminals. */
  asks: boolean;
  /** Characters in a line. */
  columns: number;
  /** The folder that the command was called in. */
  folder: string;
  /** Variables by name. */
  environment: Readonly<Record<string, string | undefined>>;
  /** Says to the caller that all was done, but that something found falls short. */
  fallShort: () => void;
}

/** Options that every command has. */
export interface CommonOptions {
  json?: boolean;
  quiet?: boolean;
  verbose?: boolean;
}
