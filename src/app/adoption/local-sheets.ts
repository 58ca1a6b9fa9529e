import { extname } from 'node:path';
import { fontFaceText, formatHints } from '../../core/face/index.js';
import { slug } from '../../core/face/slug.js';
import { withoutCredentials } from '../../errors.js';
import { finding, type Finding } from '../../findings.js';
import { readableAddress } from '../../io/addresses.js';
import type { HttpClient } from '../../io/http/index.js';
import { sha256 } from '../../kit/digest.js';
import type { FontFaceDescriptors } from '../../site/css/rules.js';
import { addressEdits, addressesIn } from '../../site/edits/address-edits.js';
import { applied } from '../../site/edits/edits.js';
import { itemsByRule } from '../../site/edits/font-face-items.js';
import { faceRuleOf } from '../../site/usage/declared-faces.js';
import type { Brought } from './bringer.js';
import { fetchFailure } from './fetch-failure.js';
import type { HostedSheet } from './hosted-stylesheets.js';
import { stylesFolder, type AdoptedAsset } from '../project/ledger.js';

/** A stylesheet of a host, with the addresses of what came home. */
export interface LocalSheet {
  /** In the folder of the adopted faces. */
  file: string;
  text: string;
  /** Whether it says anything besides faces. */
  hasOthers: boolean;
}

export interface LocalSheets {
  /** By the address that was asked. */
  sheets: Map<string, LocalSheet>;
  assets: { asset: AdoptedAsset; bytes: Uint8Array }[];
  findings: Finding[];
}

/** Files that stylesheets of a call may name besides fonts, and their bytes. */
const mostAssets = 500;
const mostBytes = 100_000_000;

/**
 * Writes each stylesheet anew so that it can be read from the folder: faces with the files that came home, everything else as it
 * was, with the files that it names.
 *
 * @param broughtOf what came home of a rule
 */
export async function localSheets(
  hosted: ReadonlyMap<string, HostedSheet>,
  broughtOf: ReadonlyMap<FontFaceDescriptors, Brought>,
  client: HttpClient,
): Promise<LocalSheets> {
  const assets = new Assets(client);
  const sheets = new Map<string, LocalSheet>();
  const make = async (url: string, around: readonly string[]): Promise<LocalSheet | undefined> => {
    const known = sheets.get(url);
    const sheet = hosted.get(url);
    if (known || !sheet || around.includes(url)) return known;
    const imports = new Map<string, LocalSheet | undefined>();
    for (const { url: inner } of sheet.rules.imports) {
      if (!URL.canParse(inner, sheet.address)) continue;
      const { href } = new URL(inner, sheet.address);
      imports.set(href, await make(href, [...around, url]));
    }
    const made = await madeSheet(url, sheet, imports, broughtOf, assets);
    sheets.set(url, made);
    return made;
  };
  for (const url of hosted.keys()) await make(url, []);
  return { sheets, assets: assets.all(), findings: assets.findings };
}

async function madeSheet(
  url: string,
  { css, address, rules }: HostedSheet,
  imports: ReadonlyMap<string, LocalSheet | undefined>,
  broughtOf: ReadonlyMap<FontFaceDescriptors, Brought>,
  assets: Assets,
): Promise<LocalSheet> {
  const items = itemsByRule(css, rules.fontFaces);
  const faces = [...items].map(([item, rule]) => ({
    start: item.offset,
    end: item.end,
    text: faceText(rule, address, broughtOf.get(rule)),
  }));
  const isInFace = (at: number) => faces.some(({ start, end }) => at >= start && at < end);
  const local = new Map<number, string>();
  for (const { address: named, start, isImport } of addressesIn(css)) {
    if (isInFace(start) || /^data:/i.test(named) || !URL.canParse(named, address)) continue;
    const { href, hash } = new URL(named, address);
    const inner = isImport ? imports.get(href) : undefined;
    const file = isImport ? inner?.file : await assets.bring(href, url);
    local.set(
      start,
      file === undefined ? href : `${file.slice(stylesFolder.length + 1)}${isImport ? '' : hash}`,
    );
  }
  const others = addressEdits(css, ({ start }) => local.get(start));
  const text = withCharset(applied(css, [...faces, ...others.filter(({ start }) => !isInFace(start))]));
  const hasOthers =
    rules.rules.length > 0 ||
    rules.hasOthers ||
    rules.counterStyles.size > 0 ||
    rules.layers.length > 0 ||
    [...imports.values()].some((one) => one === undefined || one.hasOthers);
  const name = new URL(address).pathname
    .split('/')
    .pop()
    ?.replace(/\.css$/i, '');
  const start = `${slug(new URL(url).hostname).slice(0, 40)}-${slug(name ?? '').slice(0, 40)}`;
  return { file: `${stylesFolder}/${start}-${digestOf(text)}.css`, text, hasOthers };
}

const digestOf = (content: string | Uint8Array): string =>
  sha256(typeof content === 'string' ? new TextEncoder().encode(content) : content).slice(0, 8);

/** It is written as UTF-8, whatever it was. */
const withCharset = (css: string): string => {
  const plain = css.replace(/^@charset "[^"]*";\s*/i, '');
  return /[^\p{ASCII}]/u.test(plain) ? `@charset "utf-8";\n${plain}` : plain;
};

/** A rule from what was read of it; with the addresses of the host where its files did not come. */
function faceText(rule: FontFaceDescriptors, address: string, brought: Brought | undefined): string {
  const { family, weight, style, stretch, characters, slant, display, descriptors } = faceRuleOf(rule);
  const { format = 'woff2' } = brought?.source ?? {};
  const sources = brought
    ? [{ url: `../${brought.file.file}`, format: formatHints[format] }]
    : rule.sources.flatMap(({ url, format: hint }) =>
        url === undefined || !URL.canParse(url, address)
          ? []
          : [{ url: readableAddress(new URL(url, address).href), format: hint ?? 'woff2' }],
      );
  const unicodeRange = characters?.toJSON();
  const text = fontFaceText({
    family,
    weight,
    style,
    stretch,
    slant,
    display,
    descriptors,
    sources,
    unicodeRange,
  });
  return text.trimEnd();
}

/** Files that stylesheets name besides fonts: each is asked for once. */
class Assets {
  readonly findings: Finding[] = [];
  private readonly brought = new Map<
    string,
    Promise<{ asset: AdoptedAsset; bytes: Uint8Array } | undefined>
  >();
  private readonly done = new Map<string, { asset: AdoptedAsset; bytes: Uint8Array }>();
  private bytes = 0;

  constructor(private readonly client: HttpClient) {}

  /** @returns its place in the folder; undefined where it did not come */
  async bring(address: string, stylesheet: string): Promise<string | undefined> {
    const url = address.replace(/#.*$/s, '');
    if (!/^https?:/i.test(url)) return undefined;
    let known = this.brought.get(url);
    if (!known) this.brought.set(url, (known = this.fetched(url, stylesheet)));
    return (await known)?.asset.file;
  }

  all() {
    return [...this.done.values()];
  }

  private async fetched(url: string, stylesheet: string) {
    if (this.brought.size >= mostAssets || this.bytes > mostBytes)
      return this.fail(url, stylesheet, 'so many files were brought already');
    const answer = await this.client.get(url, '*/*').catch((cause: unknown) => cause as Error);
    const reason = fetchFailure(answer);
    if (reason !== undefined || answer instanceof Error)
      return this.fail(url, stylesheet, reason ?? 'it gave nothing');
    const { bytes } = answer;
    this.bytes += bytes.length;
    const path = new URL(url).pathname;
    const extension = /^\.[a-z0-9]{1,5}$/i.test(extname(path)) ? extname(path).toLowerCase() : '';
    const name = slug(
      path
        .split('/')
        .pop()
        ?.replace(/\.[^.]*$/, '') ?? '',
    ).slice(0, 40);
    const file = `${stylesFolder}/files/${name}-${digestOf(bytes)}${extension}`;
    const brought = {
      asset: { file, sha256: sha256(bytes), bytes: bytes.length, from: withoutCredentials(url) },
      bytes,
    };
    this.done.set(url, brought);
    return brought;
  }

  private fail(url: string, stylesheet: string, reason: string): undefined {
    const effect = 'the stylesheet goes on asking its host for it';
    const message = `${withoutCredentials(stylesheet)} names it: ${reason}`;
    this.findings.push(finding('host-failed', message, { url: withoutCredentials(url), effect }));
  }
}
