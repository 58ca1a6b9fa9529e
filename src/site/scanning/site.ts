/** A page of a site. */
export interface SitePage {
  /** As the user would write it: a path with slashes, or what follows the host. */
  page: string;
  /** Where it is: an absolute path, or a URL. */
  address: string;
  /** Bytes, as far as they are known. */
  size: number;
  /** Its bytes; its text where a browser gave it, with lines that aren't those of the source. */
  read(): Uint8Array | string;
  /** The encoding that the server names. */
  charset?: string | undefined;
  /** Content-Security-Policy headers that it comes with. */
  policies?: readonly string[] | undefined;
  /** What a server sends for it, where a browser gave its text. */
  sent?: (() => Uint8Array) | undefined;
  /** What it showed before, while it was loaded, and not any more. */
  earlier?: readonly string[] | undefined;
  /** Whether it shows what it does only after something happened on it. */
  isAfterSteps?: boolean | undefined;
}

/** A site, wherever it is; addresses in files are followed as browsers do. */
export interface Site {
  pages: readonly SitePage[];
  /** The host that an address leads to, if that isn't the site itself. */
  otherHost: (address: string, from: string) => string | undefined;
  /** Where a stylesheet of another host is at hand, as it came home. */
  adopted?: ((address: string) => string | undefined) | undefined;
  /**
   * Where the file is that an address stands for; undefined if it isn't there.
   *
   * @param from the address of the file that names it
   */
  addressOf(address: string, from: string): Promise<string | undefined>;
  /** Why an address that has no file couldn't be had, where that isn't because nothing is there. */
  unreadable?: ((address: string, from: string) => string | undefined) | undefined;
  /** What the user calls a file. */
  shown: (address: string) => string;
  /** A file by what it is called to the user. */
  named(file: string): Promise<Uint8Array | undefined>;
  /** A file by where it is. */
  read(address: string): Promise<Uint8Array | undefined>;
  /** A file of that name elsewhere in the site, as it would be written from another file. */
  nearest(address: string, from: string): string | undefined;
}
