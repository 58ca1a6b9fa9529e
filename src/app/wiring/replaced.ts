import { basename, dirname, resolve } from 'node:path';
import { faceLabel } from '../../core/face/index.js';
import { finding, type Finding } from '../../findings.js';
import { plainAddress } from '../../io/addresses.js';
import { filesOf } from '../../io/earlier-files.js';
import { isBelow } from '../../io/read.js';
import type { SiteFolder } from '../../io/site-folder.js';
import { sha256 } from '../../kit/digest.js';
import type { Manifest } from '../../kit/files/manifest.js';
import { startsAsKit } from '../../kit/files/stylesheet.js';
import {
  ruleFate,
  ruleOwners,
  shippedIn,
  type OwnedRule,
  type RuleFate,
  type RuleOwner,
  type Shipped,
} from '../../kit/replacing/index.js';
import type { FontFaceDescriptors, FontFaceSource } from '../../site/css/rules.js';
import type { PageReference } from '../../site/edits/page-edits.js';
import type { Verdict } from '../../site/edits/stylesheet-edits.js';
import { faceRuleOf, type FaceRule } from '../../site/usage/declared-faces.js';
import { isOfHost, type AdoptedFolder } from '../project/adopted-sheets.js';
import { addSupplies, type KnownSupplies } from '../project/font-supplies.js';
import type { FoundOnSite } from '../project/reading/scan-threads.js';
import { isKitFolder, kitBase, type KitAtHand } from '../project/kit-at-hand.js';

export interface ReplacedRequest {
  /** On the pages as they are. */
  found: FoundOnSite;
  site: SiteFolder;
  kit: KitAtHand;
  folders: readonly AdoptedFolder[];
  /** Whether the kit has what its faces have beyond the pages. */
  keepsRest: boolean;
  /** Files that stay as they are, as scan names them. */
  held: ReadonlySet<string>;
  supplies: KnownSupplies;
}

/** What a kit replaces on a site: decided once, before anything is changed. */
export class Replaced {
  readonly findings: Finding[] = [];
  private readonly families: ReadonlySet<string>;
  /** Of rules, by file and content. */
  private readonly fates = new Map<string, 'goes' | 'stays' | 'is the kit’s'>();
  /** Files of the site that only rules name which go. */
  private readonly replacedFiles = new Set<string>();
  private readonly stayingFiles = new Set<string>();
  private readonly hosts: ReadonlySet<string>;
  private readonly stylesheets: ReadonlyMap<string, Manifest['stylesheets'][number]>;
  /** Stylesheets of the site in which rules of the kit's families stay, as scan names them. */
  private readonly declaring = new Set<string>();
  /** Of files, by where they are. */
  private readonly digests = new Map<string, string>();

  private constructor(
    private readonly site: SiteFolder,
    private readonly kit: KitAtHand,
    private readonly folders: readonly AdoptedFolder[],
  ) {
    const { manifest } = kit;
    this.families = new Set(manifest.families.map(({ family }) => family.toLowerCase()));
    this.stylesheets = new Map(manifest.stylesheets.map((one) => [plainAddress(one.url), one]));
    this.hosts = new Set(
      folders.flatMap(({ ledger }) =>
        [...ledger.stylesheets.map(({ url }) => url), ...ledger.adopted.map(({ from }) => from)].flatMap(
          (url) => hostOf(url) ?? [],
        ),
      ),
    );
  }

  static async on({
    found,
    site,
    kit,
    folders,
    keepsRest,
    held,
    supplies,
  }: ReplacedRequest): Promise<Replaced> {
    const replaced = new Replaced(site, kit, folders);
    const rules = new Map<string, FaceRule>();
    for (const { fontFaces } of found.pages)
      for (const face of fontFaces)
        if (replaced.families.has(face.family.toLowerCase()))
          rules.set(fateKey(face, face.file), faceRuleOf(face));
    const own = [...rules.values()];
    const read = (address: string) => site.read(address).catch(() => undefined);
    await addSupplies([{ rules: own }], { read }, supplies);
    const bySheet = new Map<string, FaceRule[]>();
    for (const rule of own) bySheet.set(rule.rule.file, [...(bySheet.get(rule.rule.file) ?? []), rule]);
    const shipped = shippedIn(kit.manifest, keepsRest);
    for (const [file, list] of bySheet) {
      const owners = replaced.ownersIn(file, list);
      for (const [i, rule] of list.entries()) replaced.note(rule, owners[i], shipped, held.has(file));
    }
    for (const file of held) replaced.declaring.add(file);
    for (const file of replaced.stayingFiles) replaced.replacedFiles.delete(file);
    for (const reference of found.hosted) if (!held.has(reference.file)) replaced.noteHosted(reference);
    return replaced;
  }

  /** Whether a rule of a stylesheet goes. @param file as scan names it */
  isFaceReplaced(face: FontFaceDescriptors, file: string): boolean {
    return this.fates.get(fateKey(face, file)) === 'goes';
  }

  /** Whether the rules of a page have the whole kit by a stylesheet of its own, as where a bundle imported it. */
  hasKit(faces: readonly FontFaceDescriptors[]): boolean {
    const digests = new Set(
      faces
        .filter(
          (face) =>
            this.fates.get(fateKey(face, face.file)) === 'is the kit’s' &&
            !isBelow(resolve(this.site.base, face.file), this.kit.folder),
        )
        .flatMap(({ sources }) => this.digestsOf(sources)),
    );
    return digests.size > 0 && [...this.kit.digests].every((one) => digests.has(one));
  }

  /** Whether one of some families is the kit's. */
  isOfKit = (families: readonly string[]): boolean =>
    families.some((family) => this.families.has(family.toLowerCase()));

  /** Whether a page declared a family of the kit. */
  declaresFamily = (faces: readonly FontFaceDescriptors[]): boolean =>
    this.isOfKit(faces.map(({ family }) => family));

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

  /** Whose the rules of one stylesheet, or of a page itself, are. */
  private ownersIn(file: string, rules: readonly FaceRule[]): RuleOwner[] {
    const path = resolve(this.site.base, file);
    const sheet = {
      isHosted: this.folders.some((folder) => isOfHost(folder, path)),
      isMarked: /\.css$/i.test(path) && startsAsKit(textAt(path)),
      rules: rules.map(({ rule }) => ({
        leadsTo: this.leadsTo(rule.sources),
        digests: this.digestsOf(rule.sources),
      })),
    };
    return ruleOwners(sheet, this.kit.digests);
  }

  /** Of files that are here, and of those that a rule holds itself. */
  private digestsOf(sources: readonly FontFaceSource[]): string[] {
    return sources.flatMap(({ url = '', address }) => {
      const data = /^data:[^,]*;base64,([A-Za-z0-9+/=]+)$/i.exec(url)?.[1];
      if (data !== undefined) return [sha256(Buffer.from(data, 'base64'))];
      if (address === undefined) return [];
      let digest = this.digests.get(address);
      if (digest === undefined)
        this.digests.set(address, (digest = sha256(bytesAt(address) ?? new Uint8Array())));
      return [digest];
    });
  }

  private leadsTo(sources: readonly FontFaceSource[]): OwnedRule['leadsTo'] {
    const { folder, url: base } = this.kit;
    const files = sources.flatMap(({ address }) => address ?? []);
    const isOfKit = sources.some(({ url }) => base !== undefined && url?.startsWith(`${base}faces/`));
    if (isOfKit || files.some((file) => isBelow(file, folder))) return 'the kit';
    return files.length > 0 && files.every(isInSomeKit) ? 'another kit' : 'elsewhere';
  }

  private note(rule: FaceRule, owner: RuleOwner, shipped: Shipped, isHeld: boolean): void {
    const { file, line } = rule.rule;
    const key = fateKey(rule.rule, file);
    if (this.fates.has(key)) return;
    const { becomes, why }: RuleFate = isHeld ? { becomes: 'stays' } : ruleFate(rule, owner, shipped);
    this.fates.set(key, owner === 'the kit' ? 'is the kit’s' : becomes);
    const files = rule.rule.sources.flatMap(({ address }) => address ?? []);
    for (const one of files) (becomes === 'goes' ? this.replacedFiles : this.stayingFiles).add(one);
    if (becomes === 'stays' && owner === 'the site') this.declaring.add(file);
    if (why === undefined) return;
    const name = `${rule.family} ${faceLabel(rule)}`;
    this.findings.push(
      becomes === 'goes'
        ? finding('faces-left-out', `the rule for ${name} goes: ${why}`, { file, line })
        : finding('rule-stays', `the rule for ${name} stays: ${why}`, { file, line }),
    );
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
const isInSomeKit = (path: string): boolean => isKitFolder(dirname(dirname(path)));

const bytesAt = (path: string): Uint8Array | undefined => filesOf(dirname(path))(basename(path));
const textAt = (path: string): string => new TextDecoder().decode(bytesAt(path));

export const hostOf = (url: string): string | undefined => {
  const address = url.trim().startsWith('//') ? `https:${url.trim()}` : url.trim();
  return /^https?:/i.test(address) && URL.canParse(address) ? new URL(address).host : undefined;
};
