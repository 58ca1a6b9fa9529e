// Selectors 4: what pseudo-classes ask of an element

import { ident, string, type CssNode } from 'css-tree';
import type { SiteElement } from '../html/document.js';

/** What a selector is matched under. */
export interface MatchContext {
  /** Whether states that need an event (`:hover`, `:checked` by hand, …) count as reached. */
  states: boolean;
}

export type Matcher = (element: SiteElement, context: MatchContext) => boolean;

/** A selector that browsers drop, or that isn’t known here. */
export class UnknownSelector extends Error {}

/** States that need an event, or that scripts and visitors bring about. */
export const stateNames =
  /^(hover|active|focus|focus-visible|focus-within|visited|target|target-within|user-valid|user-invalid|popover-open|modal|fullscreen|picture-in-picture|playing|paused|seeking|buffering|stalled|muted|volume-locked|autofill|-webkit-autofill|interest-source|interest-target|current|past|future|invalid|valid|in-range|out-of-range|state|blank)$/;

const isOfType = (element: SiteElement) => (other: SiteElement) => other.name === element.name;
export const siblingsOf = (element: SiteElement) => element.parent?.elements ?? [element];
const isLink = ({ name, attributes }: SiteElement) =>
  (name === 'a' || name === 'area') && attributes.has('href');
const isField = ({ name }: SiteElement) =>
  /^(input|select|textarea|button|fieldset|optgroup|option)$/.test(name);

export const structure: Readonly<Record<string, Matcher>> = {
  root: (element) => element.parent === undefined && element.name !== 'template',
  scope: (element) => element.parent === undefined,
  host: () => false,
  empty: (element) =>
    element.elements.length === 0 &&
    element.children.every((child) => child.kind === 'text' && child.text === ''),
  'first-child': (element) => element.index === 0,
  'last-child': (element) => element.index === siblingsOf(element).length - 1,
  'only-child': (element) => siblingsOf(element).length === 1,
  'first-of-type': (element) => siblingsOf(element).find(isOfType(element)) === element,
  'last-of-type': (element) => siblingsOf(element).filter(isOfType(element)).at(-1) === element,
  'only-of-type': (element) => siblingsOf(element).filter(isOfType(element)).length === 1,
  'any-link': isLink,
  link: isLink,
  '-webkit-any-link': isLink,
  checked: ({ attributes }) => attributes.has('checked') || attributes.has('selected'),
  default: ({ attributes }) => attributes.has('checked') || attributes.has('selected'),
  disabled: (element) => isField(element) && element.attributes.has('disabled'),
  enabled: (element) => isField(element) && !element.attributes.has('disabled'),
  required: (element) => isField(element) && element.attributes.has('required'),
  optional: (element) => isField(element) && !element.attributes.has('required'),
  'read-only': (element) => !isWritable(element),
  'read-write': (element) => isWritable(element),
  'placeholder-shown': ({ attributes }) => attributes.has('placeholder') && !attributes.get('value'),
  indeterminate: ({ name, attributes }) => name === 'progress' && !attributes.has('value'),
  open: ({ attributes }) => attributes.has('open'),
  defined: ({ name }) => !name.includes('-'),
};

const isWritable = ({ name, attributes }: SiteElement): boolean =>
  (/^(input|textarea)$/.test(name) && !attributes.has('readonly') && !attributes.has('disabled')) ||
  attributes.has('contenteditable');

/** The language of an element, by the nearest attribute. */
export function languageOf(element: SiteElement): string {
  for (let at: SiteElement | undefined = element; at; at = at.parent) {
    const value = at.attributes.get('lang') ?? at.attributes.get('xml:lang');
    if (value !== undefined) return value;
  }
  return '';
}

function wordsOf(inner: readonly CssNode[]): string[] {
  return inner.flatMap((node): string[] => {
    if (node.type === 'Identifier') return [ident.decode(node.name)];
    if (node.type === 'String') return [node.value];
    if (node.type === 'Raw') {
      return node.value
        .split(',')
        .map((part) => (/^\s*["']/.test(part) ? string.decode(part.trim()) : part.trim()));
    }
    return 'children' in node && node.children ? wordsOf([...node.children]) : [];
  });
}

/** Extended filtering (RFC 4647, section 3.3.2), as far as ranges begin with a language. */
export function lang(inner: readonly CssNode[]): Matcher {
  const wanted = wordsOf(inner).map((word) => word.toLowerCase().replace(/^\*-/, ''));
  if (wanted.length === 0) throw new UnknownSelector();
  return (element) => {
    const own = languageOf(element).toLowerCase();
    return wanted.some((range) => own === range || own.startsWith(`${range}-`));
  };
}

export function dir(inner: readonly CssNode[]): Matcher {
  const [wanted] = wordsOf(inner);
  return (element) => {
    for (let at: SiteElement | undefined = element; at; at = at.parent) {
      const value = at.attributes.get('dir')?.toLowerCase();
      if (value === 'ltr' || value === 'rtl') return value === wanted;
    }
    return wanted === 'ltr';
  };
}
