// HTML, sections 4.2.4, 4.6.7 and 4.12.1: what a page fetches for its first drawing, and what waits for it

import type { Condition } from '../css/rules.js';
import { elementsWithin, type SiteElement } from '../html/document.js';

/** What a page or a stylesheet asks for. */
export interface AskedRequest {
  kind: 'stylesheet' | 'script' | 'connection' | 'font';
  /** As it is written. */
  url: string;
  line: number;
  /** `drawing`: nothing after it is drawn before it has come; `parsing`: nothing after it is read either. */
  holdsUp: 'drawing' | 'parsing' | 'nothing';
  /** Whether it is only fetched ahead. */
  isHint: boolean;
  conditions: readonly Condition[];
  /** Whether it stands before what the page draws. */
  isInHead: boolean;
}

/** The same with where it leads. */
export interface PageRequest extends AskedRequest {
  /** Where the file is; undefined where it isn't, or isn't here. */
  address: string | undefined;
  /** Of another host. */
  host: string | undefined;
  /** As the file lies there. */
  bytes: number | undefined;
  /** The request whose answer names it, by its place in the list; undefined for the page itself. */
  from: number | undefined;
}

const hinted: Readonly<Record<string, AskedRequest['kind'] | undefined>> = {
  style: 'stylesheet',
  script: 'script',
  font: 'font',
};

/** What the markup of a page asks for, in its order. */
export function requestsIn(root: SiteElement): AskedRequest[] {
  const found: AskedRequest[] = [];
  let isInHead = true;
  for (const element of elementsWithin(root)) {
    if (element.name === 'body') isInHead = false;
    const one =
      element.name === 'link' ? linked(element) : element.name === 'script' ? scripted(element) : [];
    for (const request of one) found.push({ ...request, line: element.line, isInHead });
  }
  return found;
}

type Asked = Omit<AskedRequest, 'line' | 'isInHead'>;

function linked({ attributes }: SiteElement): Asked[] {
  const url = attributes.get('href');
  const words = attributes.get('rel')?.toLowerCase().split(/\s+/) ?? [];
  if (url === undefined || attributes.has('disabled') || words.includes('alternate')) return [];
  const media = attributes.get('media')?.trim() ?? '';
  const conditions: Condition[] = media === '' ? [] : [{ kind: 'media', text: media }];
  const one = { url, conditions, isHint: false, holdsUp: 'nothing' } as const;
  if (words.includes('stylesheet')) return [{ ...one, kind: 'stylesheet', holdsUp: 'drawing' }];
  if (words.includes('modulepreload')) return [{ ...one, kind: 'script', isHint: true }];
  if (words.includes('preconnect')) return [{ ...one, kind: 'connection', isHint: true }];
  const kind = words.includes('preload') ? hinted[attributes.get('as')?.toLowerCase() ?? ''] : undefined;
  return kind ? [{ ...one, kind, isHint: true }] : [];
}

function scripted({ attributes }: SiteElement): Asked[] {
  const url = attributes.get('src');
  const type = attributes.get('type')?.trim().toLowerCase() ?? '';
  if (url === undefined || !/^(?:|module|(?:text|application)\/(?:x-)?(?:java|ecma)script)$/.test(type))
    return [];
  if (attributes.has('nomodule')) return [];
  const isLater = type === 'module' || attributes.has('async') || attributes.has('defer');
  return [{ kind: 'script', url, conditions: [], isHint: false, holdsUp: isLater ? 'nothing' : 'parsing' }];
}
