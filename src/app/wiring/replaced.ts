import { dirname, resolve } from 'node:path';
import { faceKey, faceLabel } from '../../core/face/index.js';
import { parseUnicodeRanges } from '../../core/text/parse-ranges.js';
import { finding, type Finding } from '../../findings.js';
import { plainAddress } from '../../io/addresses.js';
import { filesOf } from '../../io/earlier-files.js';
import { sha256 } from '../../kit/digest.js';
import type { Manifest, ManifestFace } from '../../kit/files/manifest.js';
import type { FontFaceDescriptors } from '../../site/css/rules.js';
import type { PageReference } from '../../site/edits/page-edits.js';
import type { Verdict } from '../../site/edits/stylesheet-edits.js';
import { faceRuleOf, type FaceRule } from '../../site/usage/declared-faces.js';
import type { AdoptedFolder } from '../adoption/adopted-sheets.js';
import { addSupplies } from '../scanning/font-supplies.js';
import type { FoundOnSite } from '../scanning/scan-threads.js';
import { kitBase, type KitAtHand } from './kit-at-hand.js';

/** What a rule of the site is to the kit. */
type RuleFate = 'goes' | 'stays' | 'is the kit’s' | 'is another’s';

/** What a kit replaces on a site: decided once, before anything is changed. */
export class Replaced {
  readonly findings: Finding[] = [];
  private readonly families: ReadonlyMap<string, string>;
  private readonly shipped = new Map<string, ManifestFace[]>();
  private readonly leftOut: ReadonlySet<string>;
  /** Of rules, by file and content. */
  private readonly fates = new Map<string, RuleFate>();
  /** Files of the site that only rules name which go. */
  private readonly replacedFiles = new Set<string>();
  private readonly stayingFiles = new Set<string>();
  private readonly hosts: ReadonlySet<string>;
  private readonly stylesheets: ReadonlyMap<string, Manifest['stylesheets'][number]>;
  /** Stylesheets of the site in which rules of the kit's families stay. */
  private readonly declaring = new Set<string>();

  private constructor(
    private readonly kit: KitAtHand,
    private readonly keepsRest: boolean,
    folders: readonly AdoptedFolder[],
  ) {
    const { manifest } = kit;
    this.families = new Map(manifest.families.map(({ family }) => [family.toLowerCase(), family]));
    for (const { family, faces } of manifest.families)
      for (const face of faces) {
        const key = keyOf({ family, ...face });
        this.shipped.set(key, [...(this.shipped.get(key) ?? []), face]);
      }
    this.leftOut = new Set(manifest.leftOut.map(keyOf));
    this.stylesheets = new Map(manifest.stylesheets.map((one) => [plainAddress(one.url), one]));
    this.hosts = new Set(
      folders.flatMap(({ ledger }) =>
        [...ledger.stylesheets.map(({ url }) => url), ...ledger.adopted.map(({ from }) => from)].flatMap(
          (url) => hostOf(url) ?? [],
        ),
      ),
    );
  }

  /**
   * @param found on the pages as they are @param read a file of the site
   * @param keepsRest whether the kit has what its faces have beyond the pages
   */
  static async on(
    found: FoundOnSite,
    kit: KitAtHand,
    folders: readonly AdoptedFolder[],
    read: (address: string) => Promise<Uint8Array | undefined>,
    keepsRest: boolean,
  ): Promise<Replaced> {
    const replaced = new Replaced(kit, keepsRest, folders);
    const rules = found.pages.flatMap(({ fontFaces }) => fontFaces.map(faceRuleOf));
    const own = rules.filter(({ family }) => replaced.families.has(family.toLowerCase()));
    await addSupplies([{ rules: own }], { read });
    for (const rule of own) replaced.note(rule);
    for (const file of replaced.stayingFiles) replaced.replacedFiles.delete(file);
    for (const reference of found.hosted) replaced.noteHosted(reference);
    return replaced;
  }

  /** Whether a rule of a stylesheet goes. @param file as scan names it */
  isFaceReplaced(face: FontFaceDescriptors, file: string): boolean {
    return this.fates.get(fateKey(face, file)) === 'goes';
  }

  /** Whether the rules of a page have the kit already, as where a bundle imported it. */
  hasKit(faces: readonly FontFaceDescriptors[]): boolean {
    const fates = faces.map((face) => this.fates.get(fateKey(face, face.file)));
    return fates.includes('is the kit’s');
  }

  /** Whether a page declared a family of the kit. */
  declaresFamily = (faces: readonly FontFaceDescriptors[]): boolean =>
    faces.some(({ family }) => this.families.has(family.toLowerCase()));

  /** What becomes of a link to a stylesheet, or of an import. @param page from the root: what its URL starts from */
  stylesheetVerdict(url: string, page: string): Verdict {
    const known = this.stylesheets.get(plainAddress(url));
    if (!known || known.stays !== undefined) return 'stays';
    return known.file === undefined ? 'goes' : { becomes: kitBase(this.kit, page) + known.file };
  }

  /** @param path where the file is that the URL leads to, if that is here */
  verdict(
    kind: PageReference,
    url: string,
    { page, path, isWired }: { page: string; path: string | undefined; isWired: boolean },
    isAskedOtherwise: (host: string) => boolean,
  ): Verdict {
    const host = hostOf(url);
    if (kind === 'hint')
      return host !== undefined && this.hosts.has(host) && !isAskedOtherwise(host) ? 'goes' : 'stays';
    if (kind === 'stylesheet') {
      const verdict = this.stylesheetVerdict(url, page);
      if (verdict !== 'stays') return verdict;
      // A link to the kit that somebody put in by hand.
      return isWired && path === resolve(this.kit.folder, 'kit.css') ? 'goes' : 'stays';
    }
    if (host !== undefined) return this.hosts.has(host) ? 'goes' : 'stays';
    if (path === undefined) return 'stays';
    const isKits = isWired && dirname(path) === resolve(this.kit.folder, 'faces');
    return isKits || this.replacedFiles.has(path) ? 'goes' : 'stays';
  }

  /** Whether a stylesheet that stays may declare a family of the kit. @param file as scan names it, if it is here */
  mayDeclare(url: string, file: string | undefined): boolean {
    if (hostOf(url) === undefined) return file !== undefined && this.declaring.has(file);
    const known = this.stylesheets.get(plainAddress(url));
    return known ? known.families.some((family) => this.families.has(family.toLowerCase())) : true;
  }

  private note(rule: FaceRule): void {
    const { file, line } = rule.rule;
    const key = fateKey(rule.rule, file);
    if (this.fates.has(key)) return;
    const fate = this.fateOf(rule);
    this.fates.set(key, fate.fate);
    const files = rule.rule.sources.flatMap(({ address }) => address ?? []);
    for (const one of files) (fate.fate === 'goes' ? this.replacedFiles : this.stayingFiles).add(one);
    if (fate.fate === 'stays') this.declaring.add(file);
    if (fate.why !== undefined) {
      const name = `${rule.family} ${faceLabel(rule)}`;
      this.findings.push(
        fate.fate === 'goes'
          ? finding('faces-left-out', `the rule for ${name} goes: ${fate.why}`, { file, line })
          : finding('rule-stays', `the rule for ${name} stays: ${fate.why}`, { file, line }),
      );
    }
  }

  private fateOf(rule: FaceRule): { fate: RuleFate; why?: string } {
    const { sources } = rule.rule;
    if (sources.some((source) => this.isOwnFile(source.url ?? '', source.address)))
      return { fate: 'is the kit’s' };
    const files = sources.flatMap(({ address }) => address ?? []);
    if (files.length > 0 && files.every((file) => isOfKit(file))) return { fate: 'is another’s' };
    const faces = this.shipped.get(faceKey(rule));
    if (!faces) {
      if (this.leftOut.has(faceKey(rule))) return { fate: 'goes', why: 'no page draws it' };
      return { fate: 'stays', why: 'the kit does not have it' };
    }
    const lacking = this.keepsRest ? lackingIn(faces, rule) : 0;
    if (lacking > 0)
      return {
        fate: 'stays',
        why: `it has ${lacking === 1 ? 'a character' : `${lacking} characters`} that the kit lacks`,
      };
    return { fate: 'goes' };
  }

  /** By what is in it: a bundler gives files names of its own. */
  private isOwnFile(url: string, address: string | undefined): boolean {
    const data = /^data:[^,]*;base64,([A-Za-z0-9+/=]+)$/i.exec(url)?.[1];
    const bytes =
      data !== undefined
        ? Buffer.from(data, 'base64')
        : address === undefined
          ? undefined
          : filesOf(dirname(address))(address.slice(dirname(address).length + 1));
    return bytes !== undefined && this.kit.digests.has(sha256(bytes));
  }

  private noteHosted({ kind, url, file, line }: FoundOnSite['hosted'][number]): void {
    if (kind === 'script')
      this.findings.push(finding('hosted-by-script', `a script asks ${url} for a face`, { file, line }));
    if (kind !== 'stylesheet' && kind !== 'import') return;
    const known = this.stylesheets.get(plainAddress(url));
    if (!known || known.stays !== undefined) {
      const why = known?.stays ?? 'it was not brought home; call dense-glyph adopt, or leave it';
      this.findings.push(finding('reference-stays', `${url} stays: ${why}`, { file, line }));
    } else if (known.undrawn.length > 0) {
      const faces = `${known.undrawn.slice(0, 6).join(', ')}${known.undrawn.length > 6 ? ` and ${known.undrawn.length - 6} more` : ''}`;
      this.findings.push(
        finding('faces-left-out', `with ${url} go ${faces}, which no page draws`, { file, line }),
      );
    }
  }
}

const numbers = (text: string): [number, number] => {
  const [low, high = low] = text.split(' ').map(parseFloat);
  return [low, high];
};

const keyOf = ({
  family,
  weight,
  style,
  stretch,
}: {
  family: string;
  weight: string;
  style: string;
  stretch: string;
}): string =>
  faceKey({ family, weight: numbers(weight), style: style as 'normal', stretch: numbers(stretch) });

/** What tells a rule from others of its file: what it says, as the same rule may stand in lines of other numbers. */
function fateKey(face: FontFaceDescriptors, file: string): string {
  const { family, weight, style, stretch, unicodeRange, sources } = face;
  return JSON.stringify([
    file,
    family.toLowerCase(),
    weight,
    style,
    stretch,
    unicodeRange,
    sources.map(({ url, local }) => url ?? local),
  ]);
}

/** Whether a file lies in the folder of some kit. */
const isOfKit = (path: string): boolean => filesOf(dirname(dirname(path)))('kit.json') !== undefined;

/** How many characters a rule draws that no part of a face has. */
function lackingIn(faces: readonly ManifestFace[], { supply, characters }: FaceRule): number {
  if (!supply) return 0;
  const has = faces.flatMap(({ parts }) => parts.map((part) => parseUnicodeRanges(part.characters)));
  return supply.characters
    .codePoints()
    .filter((one) => (characters?.has(one) ?? true) && !has.some((set) => set.has(one))).length;
}

export const hostOf = (url: string): string | undefined => {
  const address = url.trim().startsWith('//') ? `https:${url.trim()}` : url.trim();
  return /^https?:/i.test(address) && URL.canParse(address) ? new URL(address).host : undefined;
};
