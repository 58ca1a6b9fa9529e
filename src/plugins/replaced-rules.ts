// What stylesheets of packages declare of faces that the kit has

import { dirname, join } from 'node:path';
import { supplyOf } from '../app/project/font-supplies.js';
import { pathOfAddress } from '../io/addresses.js';
import { filesOf } from '../io/earlier-files.js';
import { ruleFate, type Shipped } from '../kit/replacing/index.js';
import { applied, removal, type Edit } from '../site/edits/edits.js';
import { itemsByRule } from '../site/edits/font-face-items.js';
import { readRules } from '../site/css/rules.js';
import { faceRuleOf } from '../site/usage/declared-faces.js';

/** A stylesheet without rules that the kit replaces. */
export interface Stripped {
  css: string;
  /** URLs that they named, as they are written, and the faces, in words. */
  urls: string[];
  faces: string[];
}

export interface StrippingRequest {
  shipped: Shipped;
  /** A file that a rule names, where it is at hand. */
  bytesOf: (url: string) => Uint8Array | undefined;
  /** Whether a rule is the kit's own, by the URLs that it names. */
  isOwn?: (urls: readonly string[]) => boolean;
}

/**
 * A stylesheet without the rules of faces that a kit has, with all that their files have.
 *
 * @returns undefined where there is none
 */
export function withoutReplaced(
  css: string,
  file: string,
  { shipped, bytesOf, isOwn = () => false }: StrippingRequest,
): Stripped | undefined {
  if (!/@font-face/i.test(css)) return undefined;
  const edits: Edit[] = [];
  const urls: string[] = [];
  const faces = new Set<string>();
  for (const [item, descriptors] of itemsByRule(css, readRules(css, file).fontFaces)) {
    const rule = faceRuleOf(descriptors);
    const named = descriptors.sources.flatMap(({ url }) => url ?? []);
    // A stand-in names no file.
    if (named.length === 0 || isOwn(named)) continue;
    const supply = rule.source?.url === undefined ? undefined : supplyOf(bytesOf(rule.source.url));
    if (ruleFate({ ...rule, supply }, 'the site', shipped).becomes === 'stays') continue;
    edits.push(removal(css, item.offset, item.end));
    urls.push(...named);
    faces.add(`${rule.family} ${rule.weight.join('–').replace(/^(\d+)–\1$/, '$1')}`);
  }
  return edits.length === 0 ? undefined : { css: applied(css, edits), urls, faces: [...faces] };
}

/** Files beside a stylesheet, or below a root, by the addresses that its rules name. */
export const filesBeside =
  (stylesheet: string, root: string) =>
  (url: string): Uint8Array | undefined => {
    const path = /^[a-z][a-z0-9+.-]*:|^\/\//i.test(url) ? undefined : pathOfAddress(url);
    if (path === undefined) return undefined;
    if (!path.startsWith('/')) return filesOf(dirname(stylesheet))(path);
    // As a server that develops names what lies outside of the root.
    return filesOf('/')(path.replace(/^\/@fs\//, '/')) ?? filesOf(root)(join('.', path));
  };
