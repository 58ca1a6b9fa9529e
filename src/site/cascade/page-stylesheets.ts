// HTML, sections 4.2.4 and 4.2.6; CSSOM 1: the stylesheets of a page, in their order

import type { PageSheet } from './style-rules.js';
import type { Condition, FontFaceDescriptors, StyleRules } from '../css/rules.js';
import { elementsWithin, ownText, type SiteElement } from '../html/document.js';
import { PagePolicies, type Forbidding } from '../policies/content-security-policy.js';

export interface LinkedSheet {
  file: string;
  /** Whether a host serves it; what it names is the host's then. */
  isOfHost?: boolean;
  rules: StyleRules;
}

/** Where stylesheets are had from. Reading is up to whoever knows the files. */
export interface StylesheetSource {
  /** What a link in a file stands for; undefined where it isn't there, which is told. */
  linked(address: string, from: string, place: { readonly line: number }): Promise<LinkedSheet | undefined>;
  /** The host that an address leads to, if that isn't the site itself. */
  hostOf?(address: string, from: string): string | undefined;
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
  /** What a policy of the page forbids. */
  forbidden: ForbiddenFile[];
}

/** A stylesheet or a font that the page names, and doesn't get. */
export interface ForbiddenFile {
  kind: 'font' | 'style';
  /** Empty for a style element. */
  url: string;
  file: string;
  line: number;
  /** Of a font. */
  family?: string;
  /** Of the file, if that isn't the site itself. */
  host: string | undefined;
  by: Forbidding;
}

/** How deep stylesheets may import each other. */
const deepest = 16;

/** @param root of a page, or of a shadow tree @param file the page @param policies of the page */
export async function stylesheetsOf(
  root: SiteElement,
  file: string,
  source: StylesheetSource,
  policies: PagePolicies = noPolicies,
): Promise<PageStylesheets> {
  const found: PageStylesheets = {
    sheets: [],
    files: new Set(),
    fontFaces: [],
    counterStyles: new Map(),
    namedFeatures: new Set(),
    forbidden: [],
  };
  const walk = { source, policies };
  for (const element of elementsWithin(root)) {
    const media = element.attributes.get('media') ?? '';
    const conditions: Condition[] = media.trim() === '' ? [] : [{ kind: 'media', text: media }];
    if (element.name === 'style') {
      const type = element.attributes.get('type')?.toLowerCase() ?? 'text/css';
      if (type !== '' && type !== 'text/css') continue;
      const nonce = element.attributes.get('nonce');
      const by = policies.forbidsText('style', { nonce, isKnown: true }, element);
      if (by) {
        found.forbidden.push({ kind: 'style', url: '', file, line: element.line, host: undefined, by });
        continue;
      }
      const rules = source.inline(ownText(element), file, element.line);
      await addSheet(found, { file, rules }, conditions, '', walk, []);
    } else if (element.name === 'link') {
      const address = element.attributes.get('href');
      if (address === undefined || !isStylesheet(element)) continue;
      const by = forbiddenStyle(address, file, walk, element);
      if (by) {
        found.forbidden.push({ kind: 'style', url: address, file, line: element.line, ...by });
        continue;
      }
      const sheet = await source.linked(address, file, element);
      // Loaded as one that doesn't block, and switched on by its own script.
      const isSwitched = /media/.test(element.attributes.get('onload') ?? '');
      if (!sheet) continue;
      found.files.add(sheet.file);
      await addSheet(found, sheet, isSwitched ? [] : conditions, '', walk, [sheet.file]);
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

const noPolicies = new PagePolicies([], () => undefined);

/** What stylesheets are read with. */
interface Walk {
  source: StylesheetSource;
  policies: PagePolicies;
}

function forbiddenStyle(
  url: string,
  from: string,
  { source, policies }: Walk,
  element?: SiteElement,
): Pick<ForbiddenFile, 'host' | 'by'> | undefined {
  if (!policies.isThere) return undefined;
  const host = source.hostOf?.(url, from);
  const by = policies.forbidsFile('style', { url, host, nonce: element?.attributes.get('nonce') }, element);
  return by && { host, by };
}

/** A face with those of its files that policies allow; what they don't is noted. */
function allowedFace(
  face: FontFaceDescriptors,
  found: PageStylesheets,
  { source, policies }: Walk,
): FontFaceDescriptors {
  const { file, line, family } = face;
  const sources = face.sources.map((one) => {
    const { url } = one;
    const host = url === undefined ? undefined : source.hostOf?.(url, file);
    const by = url === undefined ? undefined : policies.forbidsFile('font', { url, host });
    if (!by) return one;
    found.forbidden.push({ kind: 'font', url: url!, file, line, family, host, by });
    return { ...one, isMissing: true };
  });
  return sources.every((one, i) => one === face.sources[i]) ? face : { ...face, sources };
}

async function addSheet(
  found: PageStylesheets,
  { rules, isOfHost = false }: LinkedSheet,
  conditions: readonly Condition[],
  layer: string,
  walk: Walk,
  within: readonly string[],
): Promise<void> {
  const { source, policies } = walk;
  if (layer !== '') found.sheets.push({ origin: 'author', rules: [], conditions: [], layers: [], layer });
  for (const one of rules.imports) {
    const by = isOfHost ? undefined : forbiddenStyle(one.url, one.file, walk);
    if (by) {
      found.forbidden.push({ kind: 'style', url: one.url, file: one.file, line: one.line, ...by });
      continue;
    }
    const sheet = await source.linked(one.url, one.file, one);
    if (!sheet || within.includes(sheet.file) || within.length >= deepest) continue;
    found.files.add(sheet.file);
    const inner = [layer, one.layer].filter(Boolean).join('.');
    const inside = isOfHost ? { ...sheet, isOfHost } : sheet;
    await addSheet(found, inside, [...conditions, ...one.conditions], inner, walk, [...within, sheet.file]);
  }
  found.sheets.push({ origin: 'author', rules: rules.rules, conditions, layers: rules.layers, layer });
  for (const [name, descriptors] of rules.counterStyles) found.counterStyles.set(name, descriptors);
  for (const tag of rules.namedFeatures) found.namedFeatures.add(tag);
  for (const one of rules.fontFaces) {
    const face = policies.isThere && !isOfHost ? allowedFace(one, found, walk) : one;
    found.fontFaces.push(
      conditions.length === 0 ? face : { ...face, conditions: [...conditions, ...face.conditions] },
    );
  }
}
