import { join } from 'node:path';
import type { SiteConfig } from '../../config/schema.js';
import { isFile } from '../../io/read.js';
import type { SiteRequest } from './reading/open-site.js';

/** What a config says of its site, as a request to open it. @param root its folder, absolute */
export function siteRequest(site: Partial<SiteConfig> = {}, root: string, runScripts = false): SiteRequest {
  const { url, pages = [], scripts = url !== undefined, states, policy } = site;
  const isRun = runScripts || scripts;
  const paths = pages.filter((page) => page.startsWith('/'));
  if (url !== undefined)
    return {
      site: [url],
      folder: root,
      runScripts: isRun,
      routes: pages.map((page) => (page.startsWith('/') ? page : `/${page}`)),
      states,
      policy,
    };
  const files = new Map(paths.map((path) => [path, fileOfPath(root, path)]));
  const routes = paths.filter((path) => files.get(path) === undefined);
  const named = [
    ...pages.filter((page) => !page.startsWith('/')).map((page) => join(root, page)),
    ...[...files.values()].filter((file) => file !== undefined),
  ];
  // Routes alone are drawn by the start page.
  const start = routes.length > 0 && named.length === 0 ? [join(root, 'index.html')] : [root];
  const opened = { folder: root, root, runScripts: isRun, routes, states, policy };
  return { site: named.length > 0 ? named : start, ...opened };
}

/** The page of a path of a URL, as servers find it; a query makes another page of it. */
const fileOfPath = (root: string, path: string): string | undefined =>
  [path, `${path}/index.html`, `${path}.html`]
    .map((one) => join(root, one))
    .find((file) => !path.includes('?') && /\.x?html?$/i.test(file) && isFile(file));
