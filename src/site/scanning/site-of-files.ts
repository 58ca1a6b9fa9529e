import type { Site } from './site.js';

/** Where a site in memory is; nothing is ever asked there. */
const home = 'https://site.invalid/';

const isPage = (path: string) => /\.x?html?$/i.test(path);

/**
 * A site whose files are in memory.
 *
 * @param files by their paths below the root of the site, as in `css/site.css`; those that end with .html or the like are its
 *   pages
 */
export function siteOf(files: ReadonlyMap<string, Uint8Array>): Site {
  const addresses = new Map(Array.from(files.keys(), (path) => [addressOf(path), path]));
  const read = (address: string) => Promise.resolve(files.get(addresses.get(address) ?? ''));
  return {
    pages: Array.from(files, ([page, content]) => ({
      page,
      address: addressOf(page),
      size: content.length,
      read: () => content,
    })).filter(({ page }) => isPage(page)),
    otherHost: (address, from) => {
      const url = URL.canParse(address, from) ? new URL(address, from) : undefined;
      return url?.href.startsWith(home) === false ? url.host : undefined;
    },
    addressOf: (address, from) => {
      if (!URL.canParse(address, from)) return Promise.resolve(undefined);
      const url = new URL(address, from);
      url.search = '';
      url.hash = '';
      return Promise.resolve(addresses.has(url.href) ? url.href : undefined);
    },
    shown: (address) => addresses.get(address) ?? address,
    named: (file) => Promise.resolve(files.get(file)),
    read,
    nearest: (address, from) => {
      const [name] = address
        .replace(/[?#].*$/, '')
        .split('/')
        .slice(-1);
      const found = [...files.keys()].find((path) => path.split('/').at(-1) === name);
      return found && relativePath(found, addresses.get(from) ?? '');
    },
  };
}

const addressOf = (path: string): string =>
  new URL(path.split('/').map(encodeURIComponent).join('/'), home).href;

function relativePath(path: string, from: string): string {
  const [to, start] = [path.split('/'), from.split('/').slice(0, -1)];
  let shared = 0;
  while (shared < start.length && shared < to.length - 1 && to[shared] === start[shared]) shared++;
  return [...start.slice(shared).map(() => '..'), ...to.slice(shared)].join('/');
}
