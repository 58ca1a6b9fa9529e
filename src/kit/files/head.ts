import escapeHtml from 'escape-html';
import { mediaTypes } from '../../core/containers/index.js';
import { facesOf, type MadeKit } from '../kit.js';
import { fetchedPart } from '../planning/made.js';

/**
 * The elements for `<head>`: preloads first, then the stylesheet.
 *
 * @param preloads files of the kit, as its manifest lists them
 * @param base what URLs start with
 */
export function headMarkup(preloads: readonly string[], base: string): string {
  const url = (path: string) => escapeHtml(encodeURI(base + path));
  // Fonts are fetched in CORS mode without credentials; a preload that isn't is fetched a second time.
  const hints = preloads.map(
    (file) => `<link rel="preload" href="${url(file)}" as="font" type="${mediaTypes.woff2}" crossorigin>\n`,
  );
  return `${hints.join('')}<link rel="stylesheet" href="${url('kit.css')}">\n`;
}

/** Files to preload, in the order of the families. */
export const preloadsOf = (kit: MadeKit): string[] => [
  ...new Set(
    facesOf(kit)
      .filter(({ preload }) => preload)
      .map((face) => fetchedPart(face).file),
  ),
];

/** kit.head.html */
export function headFile(kit: MadeKit): string {
  const { url, fromRoot } = kit.address;
  const note = url
    ? '<!-- For <head>, before other stylesheets. -->\n'
    : '<!-- For <head> of pages in the site’s root folder, before other stylesheets. In a subfolder, put ../ before each\n' +
      '     path, or set output.url in the config for URLs that fit every page. -->\n';
  return note + headMarkup(preloadsOf(kit), url ?? fromRoot);
}
