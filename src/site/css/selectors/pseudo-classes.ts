// Selectors 4: what pseudo-classes ask of an element

import { ident, string, type CssNode } from 'css-tree';
import type { SiteElement } from '../../html/document.js';
import { UnknownSelector, type Matcher } from './matcher.js';

/** States that need an event, or that scripts and visitors bring about. */
export const stateNames =
  /^(hover|active|focus|focus-visible|focus-within|visited|target|target-within|user-valid|user-invalid|popover-open|modal|fullscreen|picture-in-picture|playing|paused|seeking|buffering|stalled|muted|volume-locked|autofill|-webkit-autofill|interest-source|interest-target|current|past|future|invalid|valid|in-range|out-of-range|state|blank)$/;

export const siblingsOf = (element: SiteElement) => element.parent?.elements ?? [element];

/** Of the children of an element the first and the last of each type. */
const endsByParent = new WeakMap<SiteElement, Map<string, [first: SiteElement, last: SiteElement]>>();

function endsOfType(element: SiteElement): [first: SiteElement, last: SiteElement] {
  const { parent } = element;
  if (!parent) return [element, element];
  let ends = endsByParent.get(parent);
  if (!ends) {
    endsByParent.set(parent, (ends = new Map<string, [SiteElement, SiteElement]>()));
    for (const one of parent.elements) ends.set(one.name, [ends.get(one.name)?.[0] ?? one, one]);
  }
  return ends.get(element.name)!;
}
const isLink = ({ name, attributes }: SiteElement) =>
  (name === 'a' || name === 'area') && attributes.has('href');
const isField = ({ name }: SiteElement) =>
  /^(input|select|textarea|button|fieldset|optgroup|option)$/.test(name);

/** Those that look at siblings, or at what is in the element. */
export const around: Readonly<Record<string, Matcher>> = {
  empty: (element) =>
    element.elements.length === 0 &&
    element.children.every((child) => child.kind === 'text' && child.text === ''),
  'first-child': (element) => element.index === 0,
  'last-child': (element) => element.index === siblingsOf(element).length - 1,
  'only-child': (element) => siblingsOf(element).length === 1,
  'first-of-type': (element) => endsOfType(element)[0] === element,
  'last-of-type': (element) => endsOfType(element)[1] === element,
  'only-of-type': (element) => endsOfType(element).every((one) => one === element),
};

/** Those that look at the element itself, with the attributes that they ask for. */
export const own: Readonly<Record<string, readonly [matches: Matcher, ...attributes: string[]]>> = {
  root: [(element) => element.parent === undefined && !element.host],
  scope: [(element, { scope }) => (scope ? element === scope : element.parent === undefined)],
  'any-link': [isLink, 'href'],
  link: [isLink, 'href'],
  '-webkit-any-link': [isLink, 'href'],
  checked: [isChecked, 'checked', 'selected'],
  default: [isChecked, 'checked', 'selected'],
  disabled: [(element) => isField(element) && element.attributes.has('disabled'), 'disabled'],
  enabled: [(element) => isField(element) && !element.attributes.has('disabled'), 'disabled'],
  required: [(element) => isField(element) && element.attributes.has('required'), 'required'],
  optional: [(element) => isField(element) && !element.attributes.has('required'), 'required'],
  'read-only': [(element) => !isWritable(element), 'readonly', 'disabled', 'contenteditable'],
  'read-write': [(element) => isWritable(element), 'readonly', 'disabled', 'contenteditable'],
  'placeholder-shown': [
    ({ attributes }) => attributes.has('placeholder') && !attributes.get('value'),
    'placeholder',
    'value',
  ],
  indeterminate: [({ name, attributes }) => name === 'progress' && !attributes.has('value'), 'value'],
  open: [({ attributes }) => attributes.has('open'), 'open'],
  defined: [({ name }) => !name.includes('-')],
};

function isChecked({ attributes }: SiteElement): boolean {
  return attributes.has('checked') || attributes.has('selected');
}

const isWritable = ({ name, attributes }: SiteElement): boolean =>
  (/^(input|textarea)$/.test(name) && !attributes.has('readonly') && !attributes.has('disabled')) ||
  attributes.has('contenteditable');

/** The language of an element, by the nearest attribute. */
export function languageOf(element: SiteElement): string {
  for (let at: SiteElement | undefined = element; at; at = at.parent ?? at.host) {
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
    const its = languageOf(element).toLowerCase();
    return wanted.some((range) => its === range || its.startsWith(`${range}-`));
  };
}

export function dir(inner: readonly CssNode[]): Matcher {
  const [wanted] = wordsOf(inner);
  return (element) => {
    for (let at: SiteElement | undefined = element; at; at = at.parent ?? at.host) {
      const value = at.attributes.get('dir')?.toLowerCase();
      if (value === 'ltr' || value === 'rtl') return value === wanted;
    }
    return wanted === 'ltr';
  };
}
