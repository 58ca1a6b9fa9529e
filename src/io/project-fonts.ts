import { existsSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { glob } from 'tinyglobby';

/** Folders where sites lie in projects, the likelier first. */
const siteFolders = ['site', 'public', 'dist', 'build', '_site', 'www', 'htdocs', 'out', 'docs', '.'];
const unwanted = ['**/node_modules/**', '**/.*/**'];

/** Font files below a folder, absolute and sorted; without those of packages and of kits. */
export async function projectFonts(folder: string): Promise<string[]> {
  const extensions = 'ttf,otf,woff,woff2,eot,zip,TTF,OTF,WOFF,WOFF2';
  const found = await glob(`**/*.{${extensions}}`, { cwd: folder, absolute: true, ignore: unwanted });
  return found.filter((path) => !existsSync(join(dirname(dirname(path)), 'kit.json'))).sort();
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
