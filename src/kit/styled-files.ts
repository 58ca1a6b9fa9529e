import { extname } from 'node:path';

/** Features by tag, each with the files that turn it on. */
export type RequestedFeatures = ReadonlyMap<string, readonly string[]>;

export const isPage = (path: string): boolean => /^\.x?html?$/i.test(extname(path));
const isStylesheet = (path: string) => extname(path).toLowerCase() === '.css';

/** Whether a file may turn features on; to read those takes libraries that others don't need. */
export const mayHaveStyles = (path: string): boolean => isPage(path) || isStylesheet(path);
