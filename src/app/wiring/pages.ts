import { dirname, join, posix, relative, resolve } from 'node:path';
import { DenseGlyphError } from '../../errors.js';
import { finding, type Finding } from '../../findings.js';
import { pathOfAddress } from '../../io/addresses.js';
import type { EditedFile } from '../../io/edited-files.js';
import { isBelow, readBytes } from '../../io/read.js';
import type { SiteFolder } from '../../io/site-folder.js';
import { headMarkup, type HeadParts } from '../../kit/files/head.js';
import { relocated } from '../../kit/files/read-manifest.js';
import { blockIn, nonceOf, wiredPage, type PageWiring } from '../../site/edits/page-edits.js';
import { withStacks, type StackNames } from '../../site/edits/stack-edits.js';
import { baseOf } from '../../site/html/base-url.js';
import { readDocument, type SiteElement } from '../../site/html/document.js';
import { pageEncoding } from '../../site/html/encoding.js';
import { policiesOf, type PagePolicies } from '../../site/policies/content-security-policy.js';
import type { FoundOnSite, ScannedPage } from '../../site/scanning/page-scanner.js';
import { faceRuleOf, matchedFace } from '../../site/usage/declared-faces.js';
import type { PageFace } from '../../site/usage/page-face.js';
import { editableText } from './edited-text.js';
import { kitBase, type KitAtHand } from '../project/kit-at-hand.js';
import type { Replaced } from './replaced.js';

export interface PagesRequest {
  site: SiteFolder;
  found: FoundOnSite;
  kit: KitAtHand;
  replaced: Replaced;
  /** Pages that stay as they are. */
  held: ReadonlySet<string>;
  stacks: StackNames;
  /** How a file is called from the config's folder. */
  named: (path: string) => string;
}

/** What pages become, and those that are left to a person. */
export async function wiredPages(
  request: PagesRequest,
): Promise<{ files: EditedFile[]; findings: Finding[] }> {
  const { site, found } = request;
  const files: EditedFile[] = [];
  const findings: Finding[] = [];
  const scanned = new Map(found.pages.map((one) => [one.page, one]));
  for (const one of site.pages) {
    const { page } = one;
    const read = scanned.get(page);
    // A page that could not be read is told by whoever reads pages.
    if (!read || request.held.has(page)) continue;
    const result = await wiredOne(one, read, request);
    if ('reason' in result)
      findings.push(finding('page-left-alone', result.reason, { file: page, ...adviceOf(result) }));
    else files.push(result);
  }
  return { files, findings };
}

/** Encodings whose bytes read as ASCII and mean something else, or that aren't written in bytes of ASCII at all. */
const notEditable = /^(?:utf-16.*|iso-2022-.*|replacement|x-user-defined)$/;

/** Why a page is left alone. */
interface LeftAlone {
  reason: string;
  /** Where it isn't to put the kit in by hand. */
  advice?: string;
}

const adviceOf = ({ advice }: LeftAlone) => (advice === undefined ? {} : { advice });

async function wiredOne(
  { page, address, policies: headers }: SiteFolder['pages'][number],
  scanned: ScannedPage,
  { site, kit, replaced, stacks, named }: PagesRequest,
): Promise<EditedFile | LeftAlone> {
  if (!isBelow(address, site.root)) return { reason: 'it is a link to a place outside of the site' };
  let before: Uint8Array;
  try {
    before = readBytes(address, page);
  } catch (cause) {
    if (!(cause instanceof DenseGlyphError)) throw cause;
    return { reason: cause.reason };
  }
  const encoding = await pageEncoding(before);
  if (notEditable.test(encoding)) return { reason: `it is ${encoding.toUpperCase()}; save it as UTF-8` };
  const { text, bytesOf } = editableText(before);
  const fromRoot = relative(site.root, address).replaceAll('\\', '/');
  const isWired = needsKit(page, withoutBlock(scanned, text), kit, replaced);
  const root = readDocument(text, 'none');
  if (kit.url === undefined && isWired && baseOf(root) !== undefined)
    return { reason: 'it has a base element, which relative URLs start from; set output.url in the config' };
  if (isWired && isAmp(root)) return ofAmp;
  const policies = policiesOf(root, headers, site.otherHost);
  const pathOf = (url: string) => pathIn(url, fromRoot, site);
  const wiring: PageWiring = {
    markup: isWired
      ? headMarkup(
          allowedParts(headPartsOf(page, kit, kitBase(kit, fromRoot)), policies, nonceOf(text)),
          kitBase(kit, fromRoot),
        )
      : undefined,
    verdict: (kind, url, isAskedOtherwise) =>
      replaced.verdict(kind, url, { page: fromRoot, path: pathOf(url), isWired }, isAskedOtherwise),
    mayDeclare: (url) => {
      const path = pathOf(url);
      return replaced.mayDeclare(url, path && site.shown(path));
    },
    rules: {
      importVerdict: (url) => replaced.stylesheetVerdict(url, fromRoot),
      isFaceReplaced: (face) => replaced.isFaceReplaced(face, page),
    },
  };
  const wired = wiredPage(text, wiring);
  if (wired === undefined) return { reason: 'what stands around the place would be read otherwise' };
  const after = withStacks(wired, stacks);
  return { file: named(address), before, after: bytesOf(after) };
}

/** AMP documents take no stylesheet of their own site, and no script: their faces are declared in their own style element. */
const isAmp = ({ attributes }: SiteElement): boolean =>
  [...attributes.keys()].some((name) => /^(?:amp|⚡)(?:4ads|4email)?$/.test(name));

const ofAmp: LeftAlone = {
  reason: 'it is an AMP document, which takes no stylesheet of its own site',
  advice: 'copy the @font-face rules of kit.css into its <style amp-custom>, with URLs in full',
};

/** What policies of the page allow of a head, and the nonce that they ask for. */
function allowedParts(parts: HeadParts, policies: PagePolicies, nonce: string | undefined): HeadParts {
  const value = /^nonce\s*=\s*["']?([^"']*)/i.exec(nonce ?? '')?.[1];
  const own = { nonce: value, isKnown: false };
  const isData = policies.forbidsFile('font', { url: 'data:', host: undefined }) !== undefined;
  const hasNoStyle = isData || policies.forbidsText('style', own) !== undefined;
  const hasNoScript = policies.forbidsText('script', own) !== undefined;
  return {
    ...parts,
    ...(hasNoStyle ? { rules: undefined } : {}),
    ...(hasNoScript && parts.loader ? { loader: { faces: parts.loader.faces } } : {}),
    nonce,
  };
}

/** What the page has of its own, without the rules that an earlier call put into it. */
function withoutBlock(scanned: ScannedPage, html: string): ScannedPage {
  const block = blockIn(html);
  if (!block) return scanned;
  const lineAt = (place: number) => html.slice(0, place).split(/\r\n|[\r\n\f]/).length;
  const [first, last] = [lineAt(block.start), lineAt(block.end)];
  const isPut = ({ file, line }: ScannedPage['fontFaces'][number]) =>
    file === scanned.page && line >= first && line <= last;
  return { ...scanned, fontFaces: scanned.fontFaces.filter((face) => !isPut(face)) };
}

/**
 * Whether a page has a use for the kit: it draws or may draw something of it; or its rules declared a family of the kit, and a
 * script may bring text. Not where it has the kit's rules by a stylesheet of its own.
 */
function needsKit(
  page: string,
  { fontFaces, faces, hasScripts }: ScannedPage,
  { manifest }: KitAtHand,
  replaced: Replaced,
): boolean {
  if (replaced.hasKit(fontFaces)) return false;
  const isRead = manifest.pages.length + manifest.otherPages.length > 0;
  if (!isRead) return manifest.families.some(({ faces }) => faces.length > 0);
  if (manifest.pages.some((one) => one.page === page) || manifest.otherPages.includes(page)) return true;
  // A page that came since the kit was built.
  const rules = fontFaces.map(faceRuleOf);
  const draws = (face: PageFace) =>
    replaced.isOfKit([
      face.asked.family,
      ...matchedFace(face, rules).groups.flatMap((group) => group.face?.family ?? []),
    ]);
  if (Array.from(faces.values()).some(draws)) return true;
  return hasScripts && replaced.declaresFamily(fontFaces);
}

/** @param base what URLs of the kit start with on the page */
export const headPartsOf = (page: string, kit: KitAtHand, base: string): HeadParts => ({
  preloads: preloadsOf(page, kit),
  loader: loaderFor(page, kit),
  rules: rulesFor(page, kit, base),
});

/** Of the first part that the page carries. */
function rulesFor(page: string, { manifest, folder }: KitAtHand, base: string): string | undefined {
  const file = manifest.plan?.pages.find((one) => one.page === page)?.first?.file;
  if (file === undefined) return undefined;
  return relocated(new TextDecoder().decode(readBytes(join(folder, file), file)), base);
}

/** Those that are planned for the page, else those of the kit that it draws; all of them where the pages weren't read. */
function preloadsOf(page: string, { manifest: { preloads, pages, otherPages, plan } }: KitAtHand): string[] {
  const planned = plan?.pages.find((one) => one.page === page);
  if (planned) return planned.preloads;
  if (pages.length + otherPages.length === 0) return preloads;
  const files = pages.find((one) => one.page === page)?.files ?? [];
  return preloads.filter((file) => files.includes(file));
}

/** With the faces of groups that the page draws. */
function loaderFor(page: string, { loader, manifest }: KitAtHand): HeadParts['loader'] {
  if (loader === undefined || !manifest.loader) return undefined;
  const { pages, otherPages } = manifest;
  if (pages.length + otherPages.length === 0) return { text: loader };
  const { files = [], otherFiles = [] } = pages.find((one) => one.page === page) ?? {};
  const drawn = new Set([...files, ...otherFiles]);
  const all = manifest.loader.groups.flatMap((group) => group.files);
  return { text: loader, faces: all.flatMap((file, i) => (drawn.has(file) ? [i] : [])) };
}

/** Where a file is that an address of a page leads to, whether it is there or not; undefined for other hosts. */
export function pathIn(
  url: string,
  page: string,
  { root, otherHost }: Pick<SiteFolder, 'root' | 'otherHost'>,
): string | undefined {
  if (otherHost(url) !== undefined || /^[a-z][a-z0-9+.-]*:/i.test(url)) return undefined;
  const path = pathOfAddress(url);
  if (path === undefined) return undefined;
  return path.startsWith('/')
    ? join(root, path)
    : resolve(root, join('.', posix.join('/', dirname(page), path)));
}
