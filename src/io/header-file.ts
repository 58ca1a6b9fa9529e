// A file beside pages that says which headers a static host sends with them: paths, and below each its headers, further in

import { join } from 'node:path';
import { isFile, readBytes } from './read.js';

const name = '_headers';

interface PathHeaders {
  path: RegExp;
  policies: string[];
}

/** In paths `*` stands for anything, and `:name` for anything within a folder. */
function pathPattern(text: string): RegExp {
  const path = text.replace(/^https?:\/\/[^/]*/i, '');
  const parts = path.split(/(\*|:[A-Za-z]\w*)/);
  const source = parts.map((part, i) =>
    i % 2 === 0 ? part.replace(/[.*+?^${}()|[\]\\]/g, '\\$&') : part === '*' ? '.*' : '[^/]+',
  );
  return new RegExp(`^${source.join('')}$`, 's');
}

function readHeaders(text: string): PathHeaders[] {
  const found: PathHeaders[] = [];
  for (const line of text.split(/\r\n|[\r\n]/)) {
    if (line.trim() === '' || line.trimStart().startsWith('#')) continue;
    if (!/^\s/.test(line)) found.push({ path: pathPattern(line.trim()), policies: [] });
    const [, policy] = /^\s+content-security-policy\s*:\s*(.*)$/i.exec(line) ?? [];
    if (policy !== undefined) found.at(-1)?.policies.push(policy);
  }
  return found;
}

/**
 * The Content-Security-Policy headers of pages.
 *
 * @param root of the site, absolute
 * @returns for a path from the root, with slashes; pages are also asked for without index.html and .html
 */
export function policiesBelow(root: string): (path: string) => string[] {
  const file = join(root, name);
  if (!isFile(file)) return () => [];
  const all = readHeaders(new TextDecoder().decode(readBytes(file, name)));
  return (path) => {
    const forms = [path, path.replace(/(^|\/)index\.html?$/i, '$1'), path.replace(/\.html?$/i, '')];
    return all.flatMap(({ path: pattern, policies }) =>
      forms.some((form) => pattern.test(`/${form}`)) ? policies : [],
    );
  };
}
