// HTML, sections 4.2.4 and 4.2.6; CSSOM 1: the stylesheets of a page, in their order

import type { PageSheet } from './style-rules.js';
import type { Condition, FontFaceDescriptors, StyleRules } from '../css/rules.js';
import { elementsWithin, ownText, type SiteElement } from '../html/document.js';

export interface LinkedSheet {
  file: string;
  rules: StyleRules;
}

/** Where stylesheets are had from. Reading is up to whoever knows the files. */
export interface StylesheetSource {
  /** What a link in a file stands for; undefined where it isn't there, which is told. */
  linked(address: string, from: string, place: { readonly line: number }): Promise<LinkedSheet | undefined>;
  /** The rules of a style element. */
  inline(css: string, file: string, line: number): StyleRules;
}

export interface PageStylesheets {
  sheets: PageSheet[];
  /** Files of those that are linked or imported. */
  files: Set<string>;
  /** Rules that declare faces, with the conditions that they stand under. */
  fontFaces: FontFaceDescriptors[];
  /** Descriptors of `@counter-style` rules by their names; of rules alike the last one. */
  counterStyles: Map<string, ReadonlyMap<string, string>>;
  /** Features that `@font-feature-values` gives names to. */
  namedFeatures: Set<string>;
}

/** How deep stylesheets may import each other. */
const deepest = 16;

/** @param root of a page, or of a shadow tree @param file the page */
export async function stylesheetsOf(
  root: SiteElement,
  file: string,
  source: StylesheetSource,
): Promise<PageStylesheets> {
  const found: PageStylesheets = {
    sheets: [],
    files: new Set(),
    fontFaces: [],
    counterStyles: new Map(),
    namedFeatures: new Set(),
  };
  for (const element of elementsWithin(root)) {
    const media = element.attributes.get('media') ?? '';
    const conditions: Condition[] = media.trim() === '' ? [] : [{ kind: 'media', text: media }];
    if (element.name === 'style') {
      const type = element.attributes.get('type')?.toLowerCase() ?? 'text/css';
      if (type !== '' && type !== 'text/css') continue;
      const rules = source.inline(ownText(element), file, element.line);
      await addSheet(found, rules, conditions, '', source, []);
    } else if (element.name === 'link') {
      const address = element.attributes.get('href');
      if (address === undefined || !isStylesheet(element)) continue;
      const sheet = await source.linked(address, file, element);
      // Loaded as one that doesn't block, and switched on by its own script.
      const isSwitched = /media/.test(element.attributes.get('onload') ?? '');
      if (!sheet) continue;
      found.files.add(sheet.file);
      await addSheet(found, sheet.rules, isSwitched ? [] : conditions, '', source, [sheet.file]);
    }
  }
  return found;
}

function isStylesheet({ attributes }: SiteElement): boolean {
  const words = attributes.get('rel')?.toLowerCase().split(/\s+/) ?? [];
  if (attributes.has('disabled') || words.includes('alternate')) return false;
  if (words.includes('stylesheet')) return true;
  // Preloaded, and made a stylesheet once it is there.
  return (
    words.includes('preload') &&
    attributes.get('as') === 'style' &&
    /stylesheet/.test(attributes.get('onload') ?? '')
  );
}

async function addSheet(
  found: PageStylesheets,
  rules: StyleRules,
  conditions: readonly Condition[],
  layer: string,
  source: StylesheetSource,
  within: readonly string[],
): Promise<void> {
  if (layer !== '') found.sheets.push({ origin: 'author', rules: [], conditions: [], layers: [], layer });
  for (const one of rules.imports) {
    const sheet = await source.linked(one.url, one.file, one);
    if (!sheet || within.includes(sheet.file) || within.length >= deepest) continue;
    found.files.add(sheet.file);
    const inner = [layer, one.layer].filter(Boolean).join('.');
    await addSheet(found, sheet.rules, [...conditions, ...one.conditions], inner, source, [
      ...within,
      sheet.file,
    ]);
  }
  found.sheets.push({ origin: 'author', rules: rules.rules, conditions, layers: rules.layers, layer });
  for (const [name, descriptors] of rules.counterStyles) found.counterStyles.set(name, descriptors);
  for (const tag of rules.namedFeatures) found.namedFeatures.add(tag);
  for (const face of rules.fontFaces)
    found.fontFaces.push(
      conditions.length === 0 ? face : { ...face, conditions: [...conditions, ...face.conditions] },
    );
}
