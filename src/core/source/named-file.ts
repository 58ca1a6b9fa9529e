/** A file in memory. */
export interface NamedFile {
  /** Relative to the config or the call; inside an archive behind the archive's path. */
  path: string;
  bytes: Uint8Array;
}
