// Content Security Policy 3: what a page may fetch, and which text in it may be a style or a script

import { elementsWithin, type SiteElement } from '../html/document.js';

/** What may be forbidden, with the directives that say so: the first one of them that a policy has (section 6.8.3). */
const directives = {
  font: ['font-src', 'default-src'],
  style: ['style-src-elem', 'style-src', 'default-src'],
  script: ['script-src-elem', 'script-src', 'default-src'],
} as const;
export type PolicyKind = keyof typeof directives;

/** A policy: source expressions by directive, of which the first of a name holds (section 2.2.1). */
export type Policy = ReadonlyMap<string, readonly string[]>;

/** @param text as a header or a meta element has it */
export function readPolicy(text: string): Policy {
  const policy = new Map<string, readonly string[]>();
  for (const directive of text.split(';')) {
    const [name, ...sources] = directive.trim().split(/[\t\n\f\r ]+/);
    const key = name.toLowerCase();
    if (key !== '' && !policy.has(key)) policy.set(key, sources);
  }
  return policy;
}

/** What an element asks for. */
export interface Asked {
  /** As it is written. */
  url: string;
  /** The host, if that isn't the site itself. */
  host: string | undefined;
  nonce?: string | undefined;
}

/** A directive that forbids something. */
export interface Forbidding {
  directive: string;
  /** Its source expressions. */
  sources: readonly string[];
}

/** The policies of a page, all of which are to allow what it does. */
export class PagePolicies {
  /**
   * @param all with the elements before each, which it says nothing of
   * @param hostOf the host of an address, if that isn't the site itself
   */
  constructor(
    private readonly all: readonly { policy: Policy; before: ReadonlySet<SiteElement> }[],
    private readonly hostOf: (url: string) => string | undefined,
  ) {}

  /** Whether there is any. */
  get isThere(): boolean {
    return this.all.length > 0;
  }

  /** The directive that forbids a file; undefined where none does. @param element that asks for it */
  forbidsFile(kind: PolicyKind, asked: Asked, element?: SiteElement): Forbidding | undefined {
    return this.forbids(kind, element, (sources) =>
      sources.some((source) => this.matches(source, asked, sources)),
    );
  }

  /**
   * The same of a style or a script in the page itself.
   *
   * @param isKnown whether its text stood in the page when the policy was written: then a digest in it is one of this text
   */
  forbidsText(
    kind: 'style' | 'script',
    { nonce, isKnown }: { nonce?: string | undefined; isKnown: boolean },
    element?: SiteElement,
  ): Forbidding | undefined {
    return this.forbids(kind, element, (sources) => {
      const has = (pattern: RegExp) => sources.some((source) => pattern.test(source));
      if (nonce !== undefined && nonce !== '' && sources.includes(`'nonce-${nonce}'`)) return true;
      const [hasNonces, hasDigests] = [has(/^'nonce-/i), has(/^'sha(?:256|384|512)-/i)];
      if (hasDigests && isKnown) return true;
      // Section 6.7.3.2: with either of them, unsafe-inline is only there for old browsers.
      return has(/^'unsafe-inline'$/i) && !hasNonces && !hasDigests;
    });
  }

  private forbids(
    kind: PolicyKind,
    element: SiteElement | undefined,
    isAllowed: (sources: readonly string[]) => boolean,
  ): Forbidding | undefined {
    for (const { policy, before } of this.all) {
      const directive = directives[kind].find((one) => policy.has(one));
      if (directive === undefined || (element && before.has(element))) continue;
      const sources = policy.get(directive)!;
      if (!isAllowed(sources)) return { directive, sources };
    }
    return undefined;
  }

  /** Sections 6.7.2.6 to 6.7.2.11. */
  private matches(source: string, { url, host, nonce }: Asked, all: readonly string[]): boolean {
    const text = source.toLowerCase();
    const scheme = /^([a-z][a-z0-9+.-]*):/i.exec(url)?.[1].toLowerCase();
    const isFile = scheme === undefined || scheme === 'http' || scheme === 'https';
    if (nonce !== undefined && nonce !== '' && source === `'nonce-${nonce}'`) return true;
    if (all.some((one) => /^'strict-dynamic'$/i.test(one))) return false;
    if (text === '*') return isFile;
    if (text === "'self'") return isFile && host === undefined;
    if (/^[a-z][a-z0-9+.-]*:$/.test(text))
      return isFile ? text === 'https:' || text === 'http:' : text === `${scheme}:`;
    if (text.startsWith("'") || !isFile) return false;
    return this.matchesHost(text, url, host);
  }

  private matchesHost(source: string, url: string, host: string | undefined): boolean {
    const found = /^(?:[a-z][a-z0-9+.-]*:\/\/)?([^/:]+)(?::(?:\d+|\*))?(\/.*)?$/.exec(source);
    if (!found) return false;
    const [, pattern, path = ''] = found;
    // The site may well know its own name.
    if (host === undefined) return this.hostOf(`https://${pattern}/`) === undefined;
    const name = host.toLowerCase().replace(/:\d+$/, '');
    const isHost = pattern.startsWith('*.') ? name.endsWith(pattern.slice(1)) : name === pattern;
    if (!isHost || path === '' || path === '/') return isHost;
    const asked = /^(?:[a-z]+:)?\/\/[^/?#]*([^?#]*)/i.exec(url)?.[1].toLowerCase() ?? '';
    return path.endsWith('/') ? asked.startsWith(path) : asked === path;
  }
}

/**
 * The policies of a page: by meta elements in its head, which hold from there on (HTML, section 4.2.5.3), and by headers.
 *
 * @param headers values of Content-Security-Policy
 * @param hostOf the host of an address, if that isn't the site itself
 */
export function policiesOf(
  root: SiteElement,
  headers: readonly string[],
  hostOf: (url: string) => string | undefined,
): PagePolicies {
  // A header holds several with commas between them.
  const all: { policy: Policy; before: ReadonlySet<SiteElement> }[] = headers
    .flatMap((header) => header.split(','))
    .map((text) => ({ policy: readPolicy(text), before: new Set() }));
  const head = root.elements.find(({ name }) => name === 'head');
  const before: SiteElement[] = [];
  for (const element of head ? elementsWithin(head) : []) {
    before.push(element);
    const { name, attributes } = element;
    if (name !== 'meta' || !/^content-security-policy$/i.test(attributes.get('http-equiv') ?? '')) continue;
    all.push({ policy: readPolicy(attributes.get('content') ?? ''), before: new Set(before) });
  }
  return new PagePolicies(all, hostOf);
}

/** What a directive lacks to allow the site's own files, in words. */
export const withSelf = ({ directive, sources }: Forbidding): string => {
  const others = sources.filter((source) => !/^'none'$/i.test(source));
  return `${directive} ${["'self'", ...others].join(' ')}`;
};
