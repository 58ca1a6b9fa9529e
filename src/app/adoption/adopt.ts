import { relative, resolve } from 'node:path';
import { fontFaceText, formatHints } from '../../core/face/index.js';
import { DenseGlyphError, withoutCredentials } from '../../errors.js';
import { finding, type Finding } from '../../findings.js';
import { projectBrowsers } from '../../io/browsers.js';
import { filesOf } from '../../io/earlier-files.js';
import { aloneIn } from '../../io/folder-lock.js';
import { HttpClient, type NamedHosts } from '../../io/http/index.js';
import { writeWhole } from '../../io/write-whole.js';
import { sha256 } from '../../kit/digest.js';
import { reachOf } from '../../kit/reach.js';
import { readRules, type FontFaceDescriptors } from '../../site/css/rules.js';
import { decodedStylesheet } from '../../site/html/encoding.js';
import { faceRuleOf } from '../../site/usage/declared-faces.js';
import { version } from '../../version.js';
import {
  adoptedLedger,
  type AdoptedFile,
  type AdoptedLedger,
  type AdoptedRule,
  type AdoptedStylesheet,
  type JoinedFile,
  type ReplacedFile,
} from '../project/ledger.js';
import { Bringer, type Brought } from './bringer.js';
import { HostedStylesheets, type HostedFace } from './hosted-stylesheets.js';
import { findHostedFaces } from './hosted-faces.js';
import { joinedFaces, type FaceInParts } from './joined-faces.js';
import { localSheets, type LocalSheets } from './local-sheets.js';
import { replacedFiles } from './replaced-files.js';
import type { OnProgress } from '../progress.js';

export type { AdoptedFile, AdoptedRule, AdoptedStylesheet };

export interface AdoptRequest {
  /** Pages, stylesheets, folders or URLs of them. */
  inputs: readonly string[];
  /** Where the faces go. */
  out: string;
  /** What paths start from. */
  folder: string;
  /** Whether to work from what is there. */
  offline?: boolean | undefined;
  /** Who says that the faces may be used, for those whose embedding bits forbid it. */
  rights?: string | undefined;
  /** Hosts on this machine or its network that may be asked: `intranet`, `localhost:8000`. */
  allowHosts?: readonly string[] | undefined;
  /** Files that a call brings at most; 2,000 if left out. */
  mostFiles?: number | undefined;
  /** Milliseconds that an answer may take, with what is tried again; 20,000 if left out. */
  time?: number | undefined;
}

export interface AdoptResult {
  adoptVersion: 2;
  /** As the user would write it. */
  folder: string;
  faces: AdoptedFile[];
  /** Stylesheets that came home, with what they say besides faces. */
  stylesheets: AdoptedStylesheet[];
  /** Faces of partial files that were joined to one, and those that go on in parts. */
  joined: JoinedFile[];
  inParts: FaceInParts[];
  /** Files of earlier calls in whose place others are now. */
  replaced: ReplacedFile[];
  /** Files that were fetched, and those that were there already. */
  fetched: number;
  kept: number;
  findings: Finding[];
}

/**
 * Brings hosted faces home: the files, their rules, and a ledger of where they came from.
 *
 * @throws DenseGlyphError `call-invalid`, `face-missing` where nothing is hosted, `rights-missing`, `output-unwritable`
 * @example await adopt({ inputs: ['site'], out: 'fonts', folder: process.cwd() });
 */
export async function adopt(request: AdoptRequest, progress?: OnProgress): Promise<AdoptResult> {
  const out = resolve(request.folder, request.out);
  const shown = relative(request.folder, out).replaceAll('\\', '/') || '.';
  if (request.offline) return fromWhatIsThere(adoptedLedger(out), out, shown);
  return aloneIn(out, () => adoptTo(out, shown, request, progress));
}

async function adoptTo(
  out: string,
  shown: string,
  request: AdoptRequest,
  progress?: OnProgress,
): Promise<AdoptResult> {
  const earlier = adoptedLedger(out);
  const options = {
    namedHosts: namedHosts(request),
    retries: 3,
    ...(request.time ? { time: request.time } : {}),
  };
  const formats = reachOf(undefined, projectBrowsers(request.folder)).formats.map(({ format }) => format);
  const hosted = new HostedStylesheets(formats, options);
  const client = new HttpClient({ userAgent: `dense-glyph/${version()}`, ...options });
  try {
    const byHand = await findHostedFaces(request, hosted, client, progress);
    const findings = [
      ...byHand,
      ...hosted.failures.map(({ url, reason }) => finding('host-failed', reason, { url })),
    ];
    if (hosted.faces.length === 0 && hosted.sheets.size === 0 && findings.length === 0)
      throw new DenseGlyphError(
        'face-missing',
        'nothing here asks another host for faces',
        { file: request.inputs.join(', ') },
        'name the pages, or the stylesheet, that do; dense-glyph scan says what pages draw',
      );
    const bringer = new Bringer(client, request.rights, earlier, out, request.mostFiles);
    const brought = await bringer.all(hosted.faces, progress);
    findings.push(...bringer.failures);
    bringer.checkRights();
    const broughtOf = new Map(brought.map(({ face, brought: one }) => [face.rule, one]));
    const sheets = await localSheets(hosted.sheets, broughtOf, client);
    findings.push(...sheets.findings);
    writeFiles(out, brought, sheets);
    const parts = brought.map(({ face, brought: { file, source } }) => ({
      face,
      file: file.file,
      font: source.font,
    }));
    const had = new Set(brought.map(({ face }) => face));
    const missing = hosted.faces.filter((face) => !had.has(face));
    const { joined, inParts } = await joinedFaces(parts, missing, out, earlier, progress);
    const ledger = writeLedger(out, { hosted, all: brought, sheets, joined, earlier });
    return {
      adoptVersion: 2,
      folder: shown,
      faces: ledger?.adopted ?? [],
      stylesheets: ledger?.stylesheets ?? [],
      joined: ledger?.joined ?? [],
      inParts,
      replaced: ledger?.replaced ?? [],
      fetched: bringer.fetched,
      kept: bringer.kept,
      findings,
    };
  } finally {
    await hosted.end();
    await client.end();
  }
}

/** Hosts that the user wrote, in a URL or by name. */
const namedHosts = ({ inputs, allowHosts = [] }: AdoptRequest): NamedHosts =>
  new Set([...inputs.flatMap((one) => (URL.canParse(one) ? [new URL(one).host] : [])), ...allowHosts]);

function fromWhatIsThere(ledger: AdoptedLedger | undefined, out: string, shown: string): AdoptResult {
  if (!ledger)
    throw new DenseGlyphError(
      'face-missing',
      'nothing was adopted to this folder',
      { file: shown },
      'call it once without --offline',
    );
  const read = filesOf(out);
  const findings = ledger.adopted.flatMap(({ file, sha256: digest, from }) => {
    const bytes = read(file);
    if (bytes && sha256(bytes) === digest) return [];
    const message = bytes ? 'it is not what was fetched any more' : 'it is not there any more';
    return [
      finding('adopted-file-changed', `${message}; it came from ${from}`, { file: `${shown}/${file}` }),
    ];
  });
  const kept = ledger.adopted.length - findings.length;
  const joined = ledger.joined ?? [];
  for (const { file, sha256: digest, from } of joined) {
    const bytes = read(file);
    if (bytes && sha256(bytes) === digest) continue;
    const message = `${bytes ? 'it is not what was joined' : 'it is not there any more'}; it was joined of ${from.length} files`;
    findings.push(finding('adopted-file-changed', message, { file: `${shown}/${file}` }));
  }
  const state = {
    faces: ledger.adopted,
    stylesheets: ledger.stylesheets,
    joined,
    inParts: [],
    replaced: ledger.replaced ?? [],
    fetched: 0,
    kept,
    findings,
  };
  return { adoptVersion: 2, folder: shown, ...state };
}

type BroughtFaces = readonly { face: HostedFace; brought: Brought }[];

function writeFiles(out: string, all: BroughtFaces, { assets, sheets }: LocalSheets): void {
  for (const { brought } of all) writeWhole(resolve(out, brought.file.file), brought.bytes);
  for (const { asset, bytes } of assets) writeWhole(resolve(out, asset.file), bytes);
  for (const { file, text } of sheets.values()) writeWhole(resolve(out, file), text);
}

interface LedgerParts {
  hosted: HostedStylesheets;
  all: BroughtFaces;
  sheets: LocalSheets;
  joined: readonly JoinedFile[];
  earlier: AdoptedLedger | undefined;
}

/** What names the files, which are there already. @returns what was there before where nothing came */
function writeLedger(
  out: string,
  { hosted, all, sheets, joined, earlier }: LedgerParts,
): AdoptedLedger | undefined {
  if (all.length === 0 && sheets.sheets.size === 0) return earlier;
  const files = new Map(all.map(({ brought }) => [brought.file.file, brought]));
  const adopted = [...files.values()].map(({ file }) => file);
  const asked = [...hosted.stylesheets.values()].map(({ url, families }): AdoptedStylesheet => {
    const sheet = sheets.sheets.get(url);
    const own = { url: withoutCredentials(url), families: [...families] };
    return sheet ? { ...own, file: sheet.file, hasOthers: sheet.hasOthers } : own;
  });
  // What other calls brought stays, and what a stylesheet had named that could not be had today.
  const isAsked = (stylesheet: string) => asked.some(({ url }) => url === stylesheet);
  const others = (earlier?.adopted ?? []).filter(
    ({ stylesheet, file }) => !isAsked(stylesheet) && !files.has(file),
  );
  const rules = [
    ...rulesOf(out, new Set(others.map(({ file }) => file))),
    ...all.map(({ face, brought }) => ruleText(face, brought.file.file, hintOf(brought.source.format))),
  ];
  const head = '/* Brought home by dense-glyph adopt; ledger.json says where from. */\n';
  writeWhole(resolve(out, 'faces.css'), [head, ...new Set(rules)].join('\n'));
  const ledger: AdoptedLedger = {
    ledgerVersion: 2,
    stylesheets: [...(earlier?.stylesheets ?? []).filter(({ url }) => !isAsked(url)), ...asked],
    adopted: [...adopted, ...others],
  };
  const assets = new Map((earlier?.assets ?? []).map((one) => [one.file, one]));
  for (const { asset } of sheets.assets) assets.set(asset.file, asset);
  if (assets.size > 0) ledger.assets = [...assets.values()];
  const isThere = new Set(ledger.adopted.map(({ file }) => file));
  const kept = (earlier?.joined ?? []).filter(
    ({ file, from }) => !joined.some((one) => one.file === file) && from.every((part) => isThere.has(part)),
  );
  if (joined.length + kept.length > 0) ledger.joined = [...joined, ...kept];
  const read = filesOf(out);
  const replaced = replacedFiles(earlier, ledger, (file) => read(file) !== undefined);
  if (replaced.length > 0) ledger.replaced = replaced;
  writeWhole(resolve(out, 'ledger.json'), `${JSON.stringify(ledger, null, 2)}\n`);
  return ledger;
}

/** The rules of an earlier call for some of its files. */
function rulesOf(out: string, files: ReadonlySet<string>): string[] {
  const css = filesOf(out)('faces.css');
  if (!css || files.size === 0) return [];
  return readRules(decodedStylesheet(css), 'faces.css').fontFaces.flatMap((face) => {
    const [{ url = '', format = '' } = {}] = face.sources;
    return files.has(url) ? [ruleText(face, url, format)] : [];
  });
}

/** From what was read of it: nothing that a host wrote stands in it as it was. */
function ruleText(face: FontFaceDescriptors, url: string, format: string): string {
  const { characters, ...rule } = faceRuleOf(face);
  return fontFaceText({ ...rule, sources: [{ url, format }], unicodeRange: characters?.toJSON() });
}

const hintOf = (format: string): string =>
  formatHints[format as keyof typeof formatHints] ?? (format === 'otf' ? 'opentype' : format);
