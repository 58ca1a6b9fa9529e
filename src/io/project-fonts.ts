import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { glob } from 'tinyglobby';
import { entriesOf } from './read.js';

/** Folders where sites lie in projects, the likelier first. */
const siteFolders = ['site', 'public', 'dist', 'build', '_site', 'www', 'htdocs', 'out', 'docs', '.'];
const unwanted = ['**/node_modules/**', '**/.*/**'];

/** Font files below a folder, absolute and sorted; without those of packages. */
export async function projectFonts(folder: string): Promise<string[]> {
  const extensions = 'ttf,otf,woff,woff2,eot,zip,TTF,OTF,WOFF,WOFF2';
  const found = await glob(`**/*.{${extensions}}`, { cwd: folder, absolute: true, ignore: unwanted });
  return found.sort();
}

/** The folder below another one that is likely to be served, as it would be written; undefined where there are no pages. */
export async function projectSite(folder: string): Promise<string | undefined> {
  for (const name of siteFolders) {
    const path = join(folder, name);
    if (!existsSync(path)) continue;
    const pages = await glob('**/*.{html,htm}', { cwd: path, ignore: unwanted, deep: name === '.' ? 2 : 6 });
    if (pages.length > 0) return name;
  }
  return undefined;
}

/** Stylesheets below a folder, absolute and sorted. */
export async function stylesheetsBelow(folder: string): Promise<string[]> {
  return (await glob('**/*.css', { cwd: folder, absolute: true, ignore: unwanted })).sort();
}

const templates = 'hbs,handlebars,mustache,njk,liquid,twig,erb,php,ejs,pug,vue,svelte,astro,jsx,tsx,md,mdx';

/** Files below a folder that pages are made from, absolute and sorted. */
export async function projectTemplates(folder: string): Promise<string[]> {
  return (await glob(`**/*.{${templates}}`, { cwd: folder, absolute: true, ignore: unwanted })).sort();
}

/** How far below a folder, and in how many folders, ledgers are looked for: it may be the root of a whole disk. */
const deepestLedger = 5;
const mostFolders = 3000;

/** Files called ledger.json below a folder, absolute and sorted; not in packages, nor in folders that begin with a dot. */
export function ledgersBelow(folder: string): string[] {
  const found: string[] = [];
  let waiting = [folder];
  let looked = 0;
  for (let depth = 0; depth < deepestLedger && waiting.length > 0; depth++) {
    const next: string[] = [];
    for (const one of waiting) {
      if (++looked > mostFolders) return found.sort();
      for (const entry of entriesOf(one) ?? []) {
        const isLeftOut = entry.name.startsWith('.') || entry.name === 'node_modules';
        if (entry.isDirectory() && !isLeftOut) next.push(join(one, entry.name));
        else if (entry.isFile() && entry.name === 'ledger.json') found.push(join(one, entry.name));
      }
    }
    waiting = next;
  }
  return found.sort();
}
