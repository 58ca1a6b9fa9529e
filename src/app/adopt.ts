import { basename, relative, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { formatHints } from '../core/face/index.js';
import { sourcesOf, type Source } from '../core/source/index.js';
import { DenseGlyphError } from '../errors.js';
import { finding, type Finding } from '../findings.js';
import { projectBrowsers } from '../io/browsers.js';
import { filesOf } from '../io/earlier-files.js';
import { readBytes } from '../io/read.js';
import { HttpClient, type NamedHosts } from '../io/http/index.js';
import { writeWhole } from '../io/write-whole.js';
import { sha256 } from '../kit/digest.js';
import { reachOf } from '../kit/reach.js';
import { declaredFaceText } from '../site/css/font-face-text.js';
import { readRules } from '../site/css/rules.js';
import { decodedStylesheet } from '../site/html/encoding.js';
import { version } from '../version.js';
import { adoptedLedger, type AdoptedFile, type AdoptedLedger, type JoinedFile } from './adopted-ledger.js';
import { adoptedName } from './adopted-names.js';
import { fetchFailure } from './fetch-failure.js';
import { HostedStylesheets, type HostedFace } from './hosted-stylesheets.js';
import { findHostedFaces } from './hosted-faces.js';
import { joinedFaces, type FaceInParts } from './joined-faces.js';
import { Steps, type OnProgress } from './progress.js';

export type { AdoptedFile };

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
  /** Milliseconds that an answer may take, with what is tried again; 20,000 if left out. */
  time?: number | undefined;
}

export interface AdoptResult {
  adoptVersion: 1;
  /** As the user would write it. */
  folder: string;
  faces: AdoptedFile[];
  /** Faces of partial files that were joined to one, and those that go on in parts. */
  joined: JoinedFile[];
  inParts: FaceInParts[];
  /** Files that were fetched, and those that were there already. */
  fetched: number;
  kept: number;
  findings: Finding[];
}

/** A font file as a host gave it. */
interface Brought {
  bytes: Uint8Array;
  source: Source;
  file: AdoptedFile;
}

/**
 * Brings hosted faces home: the files, their rules, and a ledger of where they came from.
 *
 * @throws DenseGlyphError `call-invalid`, `face-missing` where nothing is hosted, `rights-missing`, `output-unwritable`
 * @example await adopt({ inputs: ['site'], out: 'fonts', folder: process.cwd() });
 */
export async function adopt(request: AdoptRequest, progress?: OnProgress): Promise<AdoptResult> {
  const out = resolve(request.folder, request.out);
  const earlier = adoptedLedger(out);
  const shown = relative(request.folder, out).replaceAll('\\', '/') || '.';
  if (request.offline) return fromWhatIsThere(earlier, out, shown);
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
    if (hosted.faces.length === 0 && findings.length === 0)
      throw new DenseGlyphError('face-missing', 'nothing here asks another host for faces', {
        file: request.inputs.join(', '),
      });
    const bringer = new Bringer(client, request.rights, earlier, out);
    const brought = await bringer.all(hosted.faces, progress);
    findings.push(...bringer.failures);
    bringer.checkRights();
    writeFiles(out, brought);
    const parts = brought.map(({ face, brought: { file, source } }) => ({
      face,
      file: file.file,
      font: source.font,
    }));
    const had = new Set(brought.map(({ face }) => face));
    const missing = hosted.faces.filter((face) => !had.has(face));
    const { joined, inParts } = await joinedFaces(parts, missing, out, earlier, progress);
    const ledger = writeLedger(out, hosted, brought, joined, earlier);
    return {
      adoptVersion: 1,
      folder: shown,
      faces: ledger?.adopted ?? [],
      joined: ledger?.joined ?? [],
      inParts,
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
  const state = { faces: ledger.adopted, joined, inParts: [], fetched: 0, kept, findings };
  return { adoptVersion: 1, folder: shown, ...state };
}

/** The better first: what has lost least, and is smallest. SVG fonts are no source for anything. */
const formatOrder = ['woff2', 'woff', 'otf', 'ttf', 'eot'];

/** Fetches the files of faces, and checks what is inside. */
class Bringer {
  readonly failures: Finding[] = [];
  fetched = 0;
  kept = 0;
  private readonly brought = new Map<string, Promise<Brought | undefined>>();
  private readonly forbidden: Brought[] = [];
  private readonly earlier: ReadonlyMap<string, AdoptedFile>;
  private readonly read: (file: string) => Uint8Array | undefined;

  constructor(
    private readonly client: HttpClient,
    private readonly rights: string | undefined,
    earlier: AdoptedLedger | undefined,
    out: string,
  ) {
    this.earlier = new Map(earlier?.adopted.map((one) => [one.from, one]));
    this.read = filesOf(out);
  }

  async all(
    faces: readonly HostedFace[],
    progress?: OnProgress,
  ): Promise<{ face: HostedFace; brought: Brought }[]> {
    const steps = new Steps(
      'bringing faces home',
      faces.map(() => 1),
      progress,
    );
    const found: { face: HostedFace; brought: Brought }[] = [];
    for (const face of faces) {
      steps.begin(face.family);
      const brought = await this.best(face);
      if (brought) found.push({ face, brought });
      steps.end(1);
    }
    return found;
  }

  /** @throws DenseGlyphError `rights-missing` where embedding bits forbid what nobody has the right to */
  checkRights(): void {
    const [first] = this.forbidden;
    if (!first || this.rights !== undefined) return;
    throw new DenseGlyphError(
      'rights-missing',
      `${first.file.family}: the font forbids embedding (fsType), so nothing was written`,
      { url: first.file.from },
      'if you have bought the right, say so: --rights "<who allows it>"; otherwise choose another font',
    );
  }

  private async best(face: HostedFace): Promise<Brought | undefined> {
    const order = ({ format, url }: { format?: string; url: string }) =>
      formatOrder.indexOf(plainFormat(format, url));
    const sources = face.sources.filter((one) => order(one) >= 0).sort((a, b) => order(a) - order(b));
    for (const { url } of sources) {
      let known = this.brought.get(url);
      if (!known) this.brought.set(url, (known = this.bring(url, face)));
      const brought = await known;
      if (brought) return brought;
    }
    return undefined;
  }

  private async bring(address: string, face: HostedFace): Promise<Brought | undefined> {
    if (address.startsWith('file:')) return this.bringLocal(fileURLToPath(address), face);
    const url = withoutCredentials(address);
    if (!/^https?:/.test(url)) return this.fail(face, url, 'only http and https addresses are asked');
    const before = this.earlier.get(url);
    const there = this.whatIsThere(before);
    const answer = await this.client
      .get(url, '*/*', there ? before?.validators : {})
      .catch((cause: unknown) => cause as Error);
    if (there && before && !(answer instanceof Error) && answer.status === 304)
      return this.again(there, before, face, url);
    const reason = fetchFailure(answer);
    if (reason === undefined && !(answer instanceof Error)) {
      try {
        const [source] = sourcesOf({ path: url, bytes: answer.bytes }, []);
        const file = this.describe(source, answer.bytes, face, url, answer.validators);
        return this.note({ bytes: answer.bytes, source, file }, false);
      } catch (cause) {
        if (!(cause instanceof DenseGlyphError)) throw cause;
        this.fail(face, url, answer.mediaType === 'text/html' ? 'it gave a page, not a font' : cause.reason);
      }
    } else this.fail(face, url, reason ?? 'it gave nothing');
    // What was there before stays.
    return there && before ? this.again(there, before, face, url) : undefined;
  }

  private again(bytes: Uint8Array, before: AdoptedFile, face: HostedFace, url: string): Brought {
    const [source] = sourcesOf({ path: url, bytes }, []);
    const file = this.describe(source, bytes, face, url, before.validators);
    return this.note({ bytes, source, file: { ...file, fetched: before.fetched } }, true);
  }

  /** What an earlier call brought, if it is whole. */
  private whatIsThere(before: AdoptedFile | undefined): Uint8Array | undefined {
    const bytes = before && this.read(before.file);
    return bytes && sha256(bytes) === before.sha256 ? bytes : undefined;
  }

  private fail({ family }: HostedFace, url: string, reason: string): undefined {
    this.failures.push(finding('host-failed', `${family}: ${reason}`, { url }));
  }

  private note(brought: Brought, wasThere: boolean): Brought {
    if (wasThere) this.kept++;
    else this.fetched++;
    if (brought.source.licence.restricted) this.forbidden.push(brought);
    return brought;
  }

  /** What lies in a package, beside the stylesheet that the user named. */
  private bringLocal(path: string, face: HostedFace): Brought {
    const bytes = readBytes(path, path);
    const [source] = sourcesOf({ path, bytes }, []);
    const file = this.describe(source, bytes, face, basename(path), {});
    return this.note({ bytes, source, file }, this.read(file.file) !== undefined);
  }

  private describe(
    source: Source,
    bytes: Uint8Array,
    face: HostedFace,
    from: string,
    validators: AdoptedFile['validators'],
  ): AdoptedFile {
    const digest = sha256(bytes);
    const { copyright, licence, licenceUrl, embedding } = source.licence;
    return {
      file: adoptedName(face, digest, source.format),
      sha256: digest,
      bytes: bytes.length,
      from,
      stylesheet: withoutCredentials(face.stylesheet),
      fetched: new Date().toISOString().slice(0, 10),
      ...(validators && Object.keys(validators).length > 0 ? { validators } : {}),
      family: face.family,
      ...definedOf({ weight: face.weight, style: face.style, stretch: face.stretch }),
      ...definedOf({ unicodeRange: face.unicodeRange }),
      stated: { ...definedOf({ copyright, licence, licenceUrl }), embedding },
      rights: this.rights ?? null,
    };
  }
}

type Defined<Values> = { [Name in keyof Values]?: Exclude<Values[Name], undefined> };

const definedOf = <Values extends object>(values: Values): Defined<Values> =>
  Object.fromEntries(Object.entries(values).filter(([, value]) => value !== undefined)) as Defined<Values>;

const plainFormat = (format: string | undefined, url: string): string => {
  const hint = format?.toLowerCase().replace(/-variations$/, '') ?? /\.(\w+)(?:[?#]|$)/.exec(url)?.[1] ?? '';
  return (
    { truetype: 'ttf', opentype: 'otf', 'embedded-opentype': 'eot' }[hint] ?? (hint === '' ? 'ttf' : hint)
  );
};

/** Credentials are nobody's business who reads a ledger. */
function withoutCredentials(address: string): string {
  if (!URL.canParse(address)) return address;
  const url = new URL(address);
  url.username = '';
  url.password = '';
  return url.href;
}

type BroughtFaces = readonly { face: HostedFace; brought: Brought }[];

function writeFiles(out: string, all: BroughtFaces): void {
  for (const { brought } of all) writeWhole(resolve(out, brought.file.file), brought.bytes);
}

/** What names the files, which are there already. @returns what was there before where nothing came */
function writeLedger(
  out: string,
  hosted: HostedStylesheets,
  all: BroughtFaces,
  joined: readonly JoinedFile[],
  earlier: AdoptedLedger | undefined,
): AdoptedLedger | undefined {
  if (all.length === 0) return earlier;
  const files = new Map(all.map(({ brought }) => [brought.file.file, brought]));
  const adopted = [...files.values()].map(({ file }) => file);
  const asked = [...hosted.stylesheets.values()].map(({ url, families }) => ({
    url: withoutCredentials(url),
    families,
  }));
  // What other calls brought stays, and what a stylesheet had named that could not be had today.
  const isAsked = (stylesheet: string) => asked.some(({ url }) => url === stylesheet);
  const others = (earlier?.adopted ?? []).filter(
    ({ stylesheet, file }) => !isAsked(stylesheet) && !files.has(file),
  );
  const rules = [
    ...rulesOf(out, new Set(others.map(({ file }) => file))),
    ...all.map(({ face, brought }) =>
      declaredFaceText(face, [{ url: brought.file.file, format: hintOf(brought.source.format) }]),
    ),
  ];
  const head = '/* Brought home by dense-glyph adopt; ledger.json says where from. */\n';
  writeWhole(resolve(out, 'faces.css'), [head, ...new Set(rules)].join('\n'));
  const ledger: AdoptedLedger = {
    ledgerVersion: 1,
    stylesheets: [...(earlier?.stylesheets ?? []).filter(({ url }) => !isAsked(url)), ...asked],
    adopted: [...adopted, ...others],
  };
  const isThere = new Set(ledger.adopted.map(({ file }) => file));
  const kept = (earlier?.joined ?? []).filter(
    ({ file, from }) => !joined.some((one) => one.file === file) && from.every((part) => isThere.has(part)),
  );
  if (joined.length + kept.length > 0) ledger.joined = [...joined, ...kept];
  writeWhole(resolve(out, 'ledger.json'), `${JSON.stringify(ledger, null, 2)}\n`);
  return ledger;
}

/** The rules of an earlier call for some of its files. */
function rulesOf(out: string, files: ReadonlySet<string>): string[] {
  const css = filesOf(out)('faces.css');
  if (!css || files.size === 0) return [];
  return readRules(decodedStylesheet(css), 'faces.css').fontFaces.flatMap((face) => {
    const [{ url = '', format = '' } = {}] = face.sources;
    return files.has(url) ? [declaredFaceText(face, [{ url, format }])] : [];
  });
}

const hintOf = (format: string): string =>
  formatHints[format as keyof typeof formatHints] ?? (format === 'otf' ? 'opentype' : format);
