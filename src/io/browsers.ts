import browserslist from 'browserslist';

/** The browserslist queries of the project that a folder lies in, or undefined where it has none. */
export const projectBrowsers = (folder: string): string[] | undefined =>
  browserslist.loadConfig({ path: folder });
