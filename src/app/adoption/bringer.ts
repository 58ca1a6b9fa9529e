import { basename } from 'node:path';
import { fileURLToPath } from 'node:url';
import pMap from 'p-map';
import { sourcesOf, type Source } from '../../core/source/index.js';
import { DenseGlyphError, withoutCredentials } from '../../errors.js';
import { finding, type Finding } from '../../findings.js';
import { filesOf } from '../../io/earlier-files.js';
import { readBytes } from '../../io/read.js';
import type { Fetched, HttpClient, Validators } from '../../io/http/index.js';
import { sha256 } from '../../kit/digest.js';
import {
  adoptedRule,
  ruleKey,
  withoutGaps,
  type AdoptedFile,
  type AdoptedLedger,
} from '../project/ledger.js';
import { adoptedName } from './names.js';
import { fetchFailure } from './fetch-failure.js';
import type { HostedFace } from './hosted-stylesheets.js';
import { Steps, type OnProgress } from '../progress.js';
import { spannedFace } from './spanned-face.js';

/** A font file as a host gave it. */
export interface Brought {
  bytes: Uint8Array;
  source: Source;
  file: AdoptedFile;
}

/** The better first: what has lost least, and is smallest. SVG fonts are no source for anything. */
const formatOrder = ['woff2', 'woff', 'otf', 'ttf', 'eot'];

/** Files that are asked for at a time; the client has few connections to each host. */
const atOnce = 8;

/** What a call brings unless it is told otherwise: the partial files of some large families. */
export const bringing = {
  files: 2000,
  bytes: 1_000_000_000,
  /** Milliseconds. */
  time: 900_000,
} as const;

/** Fetches the files of faces, and checks what is inside. */
export class Bringer {
  readonly failures: Finding[] = [];
  fetched = 0;
  kept = 0;
  private readonly start = Date.now();
  private bytes = 0;
  private begun = 0;
  /** Files that a bound kept from being asked for, by what it is. */
  private readonly left = new Map<string, number>();
  private readonly brought = new Map<string, Promise<Brought | undefined>>();
  private readonly answers = new Map<string, Promise<Fetched | Error>>();
  /** Rules by the files that they name. */
  private readonly rulesOf = new Map<string, HostedFace[]>();
  private readonly forbidden: Brought[] = [];
  private readonly earlier: ReadonlyMap<string, AdoptedFile>;
  private readonly read: (file: string) => Uint8Array | undefined;

  constructor(
    private readonly client: HttpClient,
    private readonly rights: string | undefined,
    earlier: AdoptedLedger | undefined,
    out: string,
    private readonly mostFiles: number = bringing.files,
  ) {
    this.earlier = new Map(earlier?.adopted.map((one) => [one.from, one]));
    this.read = filesOf(out);
  }

  async all(
    faces: readonly HostedFace[],
    progress?: OnProgress,
  ): Promise<{ face: HostedFace; brought: Brought }[]> {
    const named = new Set(
      faces.flatMap((face) =>
        this.sourcesOf(face)
          .slice(0, 1)
          .map(({ url }) => url),
      ),
    ).size;
    const bounded = named > this.mostFiles ? ` (${this.mostFiles} of ${named} files)` : '';
    const steps = new Steps(
      `bringing faces home${bounded}`,
      faces.map(() => 1),
      progress,
    );
    for (const face of faces) {
      for (const { url } of face.sources) {
        const key = sharedKey(url, face);
        this.rulesOf.set(key, [...(this.rulesOf.get(key) ?? []), face]);
      }
    }
    const found = await pMap(
      faces,
      async (face) => {
        steps.begin(face.family);
        const brought = await this.best(face);
        steps.end(1);
        return brought ? [{ face, brought }] : [];
      },
      { concurrency: atOnce },
    );
    for (const [bound, count] of this.left) {
      const message = `${count} more ${count === 1 ? 'file is' : 'files are'} named than a call brings: ${bound}`;
      this.failures.push(finding('call-bounded', message));
    }
    return found.flat();
  }

  /** @throws DenseGlyphError `rights-missing` where embedding bits forbid what nobody has the right to */
  checkRights(): void {
    const [first] = this.forbidden;
    if (!first || this.rights !== undefined) return;
    throw new DenseGlyphError(
      'rights-missing',
      `${first.file.rules[0].family}: the font forbids embedding (fsType), so nothing was written`,
      { url: first.file.from },
      'if you have bought the right, say so: --rights "<who allows it>"; otherwise choose another font',
    );
  }

  private async best(face: HostedFace): Promise<Brought | undefined> {
    for (const { url } of this.sourcesOf(face)) {
      const key = sharedKey(url, face);
      let known = this.brought.get(key);
      const bound = known ? undefined : this.bound();
      if (bound !== undefined) {
        this.left.set(bound, (this.left.get(bound) ?? 0) + 1);
        return undefined;
      }
      if (!known) this.brought.set(key, (known = this.bring(url, this.rulesOf.get(key) ?? [face])));
      const brought = await known;
      if (brought) return brought;
    }
    return undefined;
  }

  /** The best first. */
  private sourcesOf({ sources }: HostedFace): HostedFace['sources'] {
    const order = ({ format, url }: { format?: string; url: string }) =>
      formatOrder.indexOf(plainFormat(format, url));
    return sources.filter((one) => order(one) >= 0).sort((a, b) => order(a) - order(b));
  }

  /** Why no more is asked for. */
  private bound(): string | undefined {
    if (this.begun >= this.mostFiles) return `${this.mostFiles} files (--most-files)`;
    if (this.bytes >= bringing.bytes) return `${bringing.bytes / 1_000_000} MB`;
    if (Date.now() - this.start >= bringing.time) return `what comes in ${bringing.time / 60_000} minutes`;
    this.begun++;
    return undefined;
  }

  /** @param rules all that name the file for a family */
  private async bring(address: string, rules: readonly HostedFace[]): Promise<Brought | undefined> {
    const [face] = rules;
    if (address.startsWith('file:'))
      return this.bringLocal(fileURLToPath(address.replace(/[?#].*$/s, '')), rules);
    const url = withoutCredentials(address);
    if (!/^https?:/.test(url)) return this.fail(face, url, 'only http and https addresses are asked');
    const before = this.earlier.get(url);
    const there = this.whatIsThere(before);
    const answer = await this.ask(url, there ? before?.validators : {});
    if (there && before && !(answer instanceof Error) && answer.status === 304)
      return this.again(there, before, rules, url);
    const reason = fetchFailure(answer);
    if (reason === undefined && !(answer instanceof Error)) {
      try {
        const [source] = sourcesOf({ path: url, bytes: answer.bytes }, []);
        const file = this.describe(source, answer.bytes, rules, url, answer.validators);
        return this.note({ bytes: answer.bytes, source, file }, false);
      } catch (cause) {
        if (!(cause instanceof DenseGlyphError)) throw cause;
        this.fail(face, url, answer.mediaType === 'text/html' ? 'it gave a page, not a font' : cause.reason);
      }
    } else this.fail(face, url, reason ?? 'it gave nothing');
    // What was there before stays.
    return there && before ? this.again(there, before, rules, url) : undefined;
  }

  /** Once a file, also where rules of several families name it. */
  private ask(url: string, validators: Validators | undefined): Promise<Fetched | Error> {
    let known = this.answers.get(url);
    if (!known) {
      known = this.client.get(url, '*/*', validators).catch((cause: unknown) => cause as Error);
      this.answers.set(url, known);
    }
    return known;
  }

  private again(bytes: Uint8Array, before: AdoptedFile, rules: readonly HostedFace[], url: string): Brought {
    const [source] = sourcesOf({ path: url, bytes }, []);
    const file = this.describe(source, bytes, rules, url, before.validators);
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
    this.bytes += brought.bytes.length;
    if (wasThere) this.kept++;
    else this.fetched++;
    if (brought.source.licence.restricted) this.forbidden.push(brought);
    return brought;
  }

  /** What lies in a package, beside the stylesheet that the user named. */
  private bringLocal(path: string, rules: readonly HostedFace[]): Brought | undefined {
    try {
      const bytes = readBytes(path, path);
      const [source] = sourcesOf({ path, bytes }, []);
      const file = this.describe(source, bytes, rules, basename(path), {});
      return this.note({ bytes, source, file }, this.read(file.file) !== undefined);
    } catch (cause) {
      if (!(cause instanceof DenseGlyphError)) throw cause;
      return this.fail(rules[0], path, cause.reason);
    }
  }

  private describe(
    source: Source,
    bytes: Uint8Array,
    rules: readonly HostedFace[],
    from: string,
    validators: AdoptedFile['validators'],
  ): AdoptedFile {
    const [face] = rules;
    const digest = sha256(bytes);
    const { copyright, licence, licenceUrl, embedding } = source.licence;
    return {
      file: adoptedName(spannedFace(face, rules), digest, source.format),
      sha256: digest,
      bytes: bytes.length,
      from,
      stylesheet: withoutCredentials(face.stylesheet),
      fetched: new Date().toISOString().slice(0, 10),
      ...(validators && Object.keys(validators).length > 0 ? { validators } : {}),
      rules: [...new Map(rules.map(adoptedRule).map((rule) => [ruleKey(rule), rule])).values()],
      stated: { ...withoutGaps({ copyright, licence, licenceUrl }), embedding },
      rights: this.rights ?? null,
    };
  }
}

/** Rules with this in common share a file. */
const sharedKey = (url: string, { family }: HostedFace): string =>
  JSON.stringify([withoutCredentials(url), family.toLowerCase()]);

const plainFormat = (format: string | undefined, url: string): string => {
  const hint = format?.toLowerCase().replace(/-variations$/, '') ?? /\.(\w+)(?:[?#]|$)/.exec(url)?.[1] ?? '';
  return (
    { truetype: 'ttf', opentype: 'otf', 'embedded-opentype': 'eot' }[hint] ?? (hint === '' ? 'ttf' : hint)
  );
};
