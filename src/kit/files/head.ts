import escapeHtml from 'escape-html';
import { mediaTypes } from '../../core/containers/index.js';
import type { MadeKit } from '../made.js';

/** The elements for `<head>`: preloads first, then the stylesheet. @param base what URLs start with */
export function headMarkup(kit: Pick<MadeKit, 'families'>, base: string): string {
  const url = (path: string) => escapeHtml(encodeURI(base + path));
  const preloads = kit.families.flatMap(({ faces }) =>
    faces
      .filter(({ preload }) => preload)
      // Fonts are fetched in CORS mode without credentials; a preload that isn't is fetched a second time.
      .map(
        ({ part }) =>
          `<link rel="preload" href="${url(part.file)}" as="font" type="${mediaTypes.woff2}" crossorigin>\n`,
      ),
  );
  return `${preloads.join('')}<link rel="stylesheet" href="${url('kit.css')}">\n`;
}

/** kit.head.html */
export function headFile(kit: MadeKit): string {
  const { url, fromRoot } = kit.address;
  const note = url
    ? '<!-- For <head>, before other stylesheets. -->\n'
    : '<!-- For <head> of pages in the site’s root folder, before other stylesheets. In a subfolder, put ../ before each\n' +
      '     path, or set output.url in the config for URLs that fit every page. -->\n';
  return note + headMarkup(kit, url ?? fromRoot);
}
