// HTML, section 15; CSS Generated Content 3, Lists 3, Pseudo-Elements 4: what text a page draws, and in which style

import { initialStyle, type ComputedStyle } from '../cascade/computed.js';
import type { PageStyles, StyledElement } from '../cascade/page-styles.js';
import { languageOf } from '../css/pseudo-classes.js';
import { elementsWithin, ownText, type SiteElement } from '../html/document.js';
import { Counters, contentText, markerText } from './generated-content.js';
import { isTextTransform, transformedPiece } from './transformed-text.js';

/** A piece of text as it is drawn. */
export interface DrawnPiece {
  text: string;
  style: ComputedStyle;
  element: SiteElement;
  /** Without colons, where it isn't the element's own text. */
  pseudo?: string;
  /** Whether it shows: what is in the document and hidden may be shown later. */
  isShown: boolean;
}

/** Elements whose text nodes aren't text. */
const notText: ReadonlySet<string> = new Set([
  'script',
  'style',
  'template',
  'title',
  'head',
  'meta',
  'link',
  'iframe',
  'object',
  'audio',
  'video',
  'canvas',
  'datalist',
]);

/** Visits all text of a page, in the order of the document. */
export function drawnText(root: SiteElement, styles: PageStyles, visit: (piece: DrawnPiece) => void): void {
  const counters = new Counters();
  const walk = (
    element: SiteElement,
    parent: ComputedStyle,
    isParentShown: boolean,
    quoteDepth: { depth: number },
  ) => {
    const styled = styles.styleOf(element, parent);
    const { style, pseudo } = styled;
    if (notText.has(element.name)) return;
    const isShown = isParentShown && style.display !== 'none' && !style.isContentHidden;
    const say = (text: string, own: ComputedStyle, name?: string, isOnLoad = true) => {
      if (text.trim() === '') return;
      const shown = transformed(text, own, element);
      const isSeen = isOnLoad && isShown && own.isVisible && own.display !== 'none';
      visit({ text: shown, style: own, element, isShown: isSeen, ...(name ? { pseudo: name } : {}) });
      if (/small-caps|petite-caps/.test(own.caps) && shown.toUpperCase() !== shown) {
        visit({ text: shown.toUpperCase(), style: own, element, isShown: false, pseudo: 'small capitals' });
      }
    };
    const leave = counters.enter(element, style);
    sayMarker(styled, element, counters, say);
    const generated = (name: 'before' | 'after') => {
      const its = pseudo.get(name);
      if (!its || its.content === 'normal' || its.content === 'none') return;
      counters.count(its);
      say(contentText(its, element, counters, languageOf(element), quoteDepth), its, name);
    };
    generated('before');
    sayField(styled, element, say);
    const isClosed = isClosedSelect(element);
    if (isClosed) say(chosenOption(element), style);
    for (const child of element.children) {
      if (child.kind === 'text') {
        say(child.text, style);
        sayFirst(child.text, styled, say);
      } else walk(child, style, isShown && !isClosed, quoteDepth);
    }
    generated('after');
    if (style.textOverflow.includes('ellipsis'))
      visit({ text: '…', style, element, isShown: false, pseudo: 'ellipsis' });
    leave();
  };
  walk(root, initialStyle, true, { depth: 0 });
}

function transformed(text: string, { transform }: ComputedStyle, element: SiteElement): string {
  let result = text;
  for (const word of transform.toLowerCase().split(/\s+/)) {
    if (isTextTransform(word)) result = transformedPiece(result, word, languageOf(element));
  }
  return result;
}

/** @param isOnLoad whether it is there before anybody does something */
type Say = (text: string, style: ComputedStyle, name?: string, isOnLoad?: boolean) => void;

function sayMarker(
  { style, pseudo }: StyledElement,
  element: SiteElement,
  counters: Counters,
  say: Say,
): void {
  if (style.display !== 'list-item') return;
  const marker = pseudo.get('marker') ?? style;
  if (marker.content !== 'normal' && pseudo.has('marker')) {
    say(contentText(marker, element, counters, languageOf(element), { depth: 0 }), marker, 'marker');
    return;
  }
  if (style.isListImage) return;
  const text = markerText(style.listStyle, counters.value('list-item'));
  if (text !== '') say(text, marker, 'marker');
}

/** Text that is drawn in the style of `::first-letter` or `::first-line` of the element or of one around it. */
function sayFirst(text: string, { pseudo }: StyledElement, say: Say): void {
  const letter = pseudo.get('first-letter');
  const found = letter && /^\s*[\p{P}\p{S}]*\p{L}?[\p{P}]*/u.exec(text)?.[0];
  if (letter && found) say(found, letter, 'first-letter');
  const line = pseudo.get('first-line');
  if (line) say(text, line, 'first-line');
}

/** A list that opens is drawn by the system; what shows is the option that is chosen. */
const isClosedSelect = ({ name, attributes }: SiteElement): boolean =>
  name === 'select' && !attributes.has('multiple') && !(Number(attributes.get('size')) > 1);

function chosenOption(select: SiteElement): string {
  const options = [...elementsWithin(select)].filter(({ name }) => name === 'option');
  const chosen = options.find(({ attributes }) => attributes.has('selected')) ?? options[0];
  return chosen === undefined ? '' : (chosen.attributes.get('label') ?? ownText(chosen));
}

const buttons: Readonly<Record<string, string>> = { submit: 'Submit', reset: 'Reset' };
const withoutText: ReadonlySet<string> = new Set(['checkbox', 'radio', 'range', 'color', 'hidden', 'image']);

/** What fields draw: values, placeholders, the words of the browser. */
function sayField({ style, pseudo }: StyledElement, element: SiteElement, say: Say): void {
  const { attributes, name } = element;
  const placeholder = attributes.get('placeholder');
  if (placeholder !== undefined && (name === 'input' || name === 'textarea'))
    say(placeholder, pseudo.get('placeholder') ?? style, 'placeholder');
  if (name === 'option' || name === 'optgroup') say(attributes.get('label') ?? '', style);
  if (name !== 'input') return;
  const type = attributes.get('type')?.toLowerCase() ?? 'text';
  const value = attributes.get('value');
  if (withoutText.has(type)) return;
  if (type === 'file') {
    say('Choose File', pseudo.get('file-selector-button') ?? style, 'file-selector-button');
    say('No file chosen', style);
  } else if (type === 'password') say('•'.repeat(value?.length ?? 0), style);
  else if (/^(date|datetime-local|month|time|week)$/.test(type))
    say('0123456789/:-,. dmy AMPM Week mm/dd/yyyy', style, 'date field', false);
  else say(value ?? buttons[type] ?? '', style);
}
