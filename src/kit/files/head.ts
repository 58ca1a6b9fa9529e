import escapeHtml from 'escape-html';
import { mediaTypes } from '../../core/containers/index.js';
import { facesOf, type MadeKit } from '../kit.js';
import { fetchedPart } from '../planning/made.js';
import { loaderFile } from './loader.js';

/** What a head has of a kit. */
export interface HeadParts {
  /** Files of the kit, as its manifest lists them. */
  preloads: readonly string[];
  /**
   * Where there is a loader: its text, or none where its letters could mean something else, and it is fetched; and the faces of
   * groups that the page draws, by their numbers, all if left out.
   */
  loader?: { text?: string; faces?: readonly number[] | undefined } | undefined;
  /** Rules for a first part of a face, which the page carries itself; with URLs that fit it. */
  rules?: string | undefined;
  /** What styles and scripts of the page bear for its policy, as it is written: `nonce="…"`. */
  nonce?: string | undefined;
}

/** The elements for `<head>`: preloads first, then the loader and the stylesheet. @param base what URLs start with */
export function headMarkup({ preloads, loader, rules, nonce }: HeadParts, base: string): string {
  const url = (path: string) => escapeHtml(encodeURI(base + path));
  // Fonts are fetched in CORS mode without credentials; a preload that isn't is fetched a second time.
  const hints = preloads.map(
    (file) => `<link rel="preload" href="${url(file)}" as="font" type="${mediaTypes.woff2}" crossorigin>\n`,
  );
  const own = nonce === undefined ? '' : ` ${nonce}`;
  const faces = loader?.faces ? ` data-faces="${loader.faces.join(' ')}"` : '';
  const script =
    loader && loader.faces?.length !== 0
      ? loader.text === undefined
        ? `<script src="${url('kit.loader.js')}" data-base="${url('')}"${faces}${own}></script>\n`
        : `<script data-base="${url('')}"${faces}${own}>${loader.text}</script>\n`
      : '';
  const style = rules === undefined ? '' : `<style${own}>\n${rules}</style>\n`;
  return `${hints.join('')}${script}<link rel="stylesheet" href="${url('kit.css')}"${own}>\n${style}`;
}

/** Files to preload, in the order of the families. */
export const preloadsOf = (kit: MadeKit): string[] => [
  ...new Set(
    facesOf(kit)
      .filter(({ preload }) => preload)
      .map((face) => fetchedPart(face).file),
  ),
];

export function loaderOf(kit: MadeKit): HeadParts['loader'] {
  const text = loaderFile(kit);
  return text === undefined ? undefined : { text };
}

/** head.html */
export function headFile(kit: MadeKit): string {
  const { url, fromRoot } = kit.address;
  const note = url
    ? '<!-- For <head>, before other stylesheets. -->\n'
    : '<!-- For <head> of pages in the site’s root folder, before other stylesheets. In a subfolder, put ../ before each\n' +
      '     path, or set output.url in the config for URLs that fit every page. -->\n';
  return note + headMarkup({ preloads: preloadsOf(kit), loader: loaderOf(kit) }, url ?? fromRoot);
}
