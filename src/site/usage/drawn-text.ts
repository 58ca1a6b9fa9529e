// HTML, section 15; CSS Generated Content 3, Lists 3, Pseudo-Elements 4: what text a page draws, and in which style

import { initialStyle, type ComputedStyle } from '../cascade/computed.js';
import type { PageStyles, StyledElement } from '../cascade/page-styles.js';
import { languageOf } from '../css/selectors/index.js';
import { elementsWithin, ownText, type SiteElement, type SiteNode } from '../html/document.js';
import { ellipsisText, emphasisText, hyphenText, securityMark } from './drawn-marks.js';
import { Counters, contentText, isShape, markerText, type CounterStyles } from './generated-content.js';
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
  /** Whether one of the screens is one on load. */
  isDrawn: boolean;
  /** Those on which it is drawn so, by number. */
  screens: readonly number[];
  /** The language of a field that visitors type into; what they type isn't known. */
  typedIn?: string;
}

/** What a walk through a page tells. */
export interface DrawnVisitor {
  text(piece: DrawnPiece): void;
  /**
   * A box that shows: browsers fetch the face that its lines are measured by, whether it has text of its own or not (CSS Fonts
   * 4, section 5.2; Inline Layout 3, section 4: the strut). Some do so for any block.
   */
  box(style: ComputedStyle, screens: readonly number[]): void;
  /** An element that shows, before what stands in it. */
  enter?(element: SiteElement, style: ComputedStyle): void;
  leave?(element: SiteElement): void;
  /** White space by itself between what is drawn. */
  space?(text: string, element: SiteElement, style: ComputedStyle): void;
}

/** CSS Text 3, section 4.1: white space that collapses; a no-break space and other wide ones are drawn. */
const isMoreThanSpace = /[^ \t\n\r\f]/;

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

/** A screen that a page is looked at on. */
export interface Screen {
  styles: PageStyles;
  /** Whether that is how it shows on load. */
  isDrawn: boolean;
  /** The language of a field that visitors type into; what they type isn't known. */
  typedIn?: string;
}

/**
 * Visits all text of a page, in the order of the document, on all screens at once: what is alike on several is visited once.
 *
 * @param varies whether an element may have other styles on other screens
 */
export function drawnText(
  root: SiteElement,
  screens: readonly Screen[],
  varies: (element: SiteElement) => boolean,
  visitor: DrawnVisitor,
  counterStyles: CounterStyles = new Map(),
  start: ComputedStyle = initialStyle,
): void {
  const all = screens.map((_, i) => i);
  new TextWalk(screens, varies, visitor, counterStyles).walk(root, [
    { style: start, isShown: true, screens: all },
  ]);
}

/** Screens on which the element around has the same style. */
interface Group {
  style: ComputedStyle;
  isShown: boolean;
  screens: readonly number[];
}

/** Screens on which an element has the same style. */
interface StyledGroup {
  styled: StyledElement;
  isParentShown: boolean;
  isShown: boolean;
  screens: number[];
}

class TextWalk {
  /** By screen. */
  private readonly counters: readonly Counters[];
  private hasCounters = false;

  constructor(
    private readonly screens: readonly Screen[],
    private readonly varies: (element: SiteElement) => boolean,
    private readonly visitor: DrawnVisitor,
    counterStyles: CounterStyles,
  ) {
    this.counters = screens.map(() => new Counters(counterStyles));
  }

  walk(element: SiteElement, around: readonly Group[]): void {
    const groups = this.groupsOf(element, around);
    if (notText.has(element.name)) return;
    const shown = groups.filter(({ isShown }) => isShown);
    this.enter(element, groups, shown);
    for (const group of groups) this.sayBefore(element, group);
    const isClosed = isClosedSelect(element);
    const inside: Group[] = groups.map(({ styled, isShown, screens }) => ({
      style: styled.style,
      isShown: isShown && !isClosed,
      screens,
    }));
    for (const child of flatChildren(element)) {
      if (child.kind === 'element') this.walk(child, inside);
      else if (isMoreThanSpace.test(child.text))
        this.sayText(child.text, element, isShut(element) ? hidden(groups) : groups);
      else for (const { styled } of shown) this.visitor.space?.(child.text, element, styled.style);
    }
    for (const group of groups) this.sayAfter(element, group);
    for (let i = 0; i < shown.length; i++) this.visitor.leave?.(element);
    if (this.hasCounters) for (const counters of this.counters) counters.leave(element);
  }

  private enter(element: SiteElement, groups: readonly StyledGroup[], shown: readonly StyledGroup[]): void {
    for (const { styled, screens } of groups) {
      if (!isCounting(element, styled)) continue;
      this.hasCounters = true;
      for (const i of screens) this.counters[i].enter(element, styled.style);
    }
    for (const { styled, screens } of shown) {
      if (styled.style.display !== 'boxless') this.visitor.box(styled.style, screens);
      this.visitor.enter?.(element, styled.style);
    }
  }

  private groupsOf(element: SiteElement, around: readonly Group[]): StyledGroup[] {
    const groups: StyledGroup[] = [];
    const varies = this.varies(element);
    for (const { style: parent, isShown: isParentShown, screens } of around) {
      for (const screen of varies ? screens : screens.slice(0, 1)) {
        const styled = this.screens[screen].styles.styleOf(element, parent);
        const same = groups.find((one) => one.styled === styled && one.isParentShown === isParentShown);
        if (same) same.screens.push(screen);
        else {
          const { style } = styled;
          const isShown = isParentShown && style.display !== 'none' && !style.isContentHidden;
          groups.push({ styled, isParentShown, isShown, screens: varies ? [screen] : [...screens] });
        }
      }
    }
    return groups;
  }

  /** What says text of an element that has the same style on some screens. */
  private sayer(element: SiteElement, { isShown, screens }: StyledGroup): Say {
    const isDrawn = screens.some((i) => this.screens[i].isDrawn);
    const visit = (piece: Omit<DrawnPiece, 'element' | 'isDrawn' | 'screens'>) =>
      this.visitor.text({ ...piece, element, isDrawn, screens });
    return (text, own, name, isOnLoad = true) => {
      if (!isMoreThanSpace.test(text)) return;
      const shown = transformed(text, own, element);
      const isSeen = isOnLoad && isShown && own.isVisible && own.display !== 'none';
      const pseudo = name ? { pseudo: name } : {};
      const mark = securityMark(own);
      visit({ text: mark ?? shown, style: own, isShown: isSeen, ...pseudo });
      // What is hidden so may be shown by a click.
      if (mark !== undefined) visit({ text: shown, style: own, isShown: false, ...pseudo });
      const over = emphasisText(own);
      if (over !== '') visit({ text: over, style: own, isShown: isSeen, pseudo: 'emphasis' });
      const hyphen = hyphenText(own);
      if (hyphen !== '') visit({ text: hyphen, style: own, isShown: false, pseudo: 'hyphen' });
      if (/small-caps|petite-caps/.test(own.caps) && shown.toUpperCase() !== shown) {
        visit({ text: shown.toUpperCase(), style: own, isShown: false, pseudo: 'small capitals' });
      }
    };
  }

  private sayText(text: string, element: SiteElement, groups: readonly StyledGroup[]): void {
    for (const group of groups) {
      const say = this.sayer(element, group);
      say(text, group.styled.style);
      sayFirst(text, group.styled, say);
    }
  }

  private sayBefore(element: SiteElement, group: StyledGroup): void {
    const { style } = group.styled;
    const hasMarker = !isShape(style.listStyle) || group.styled.pseudo.has('marker');
    if (style.display === 'list-item' && hasMarker) {
      const say = this.sayer(element, group);
      for (const i of this.distinct(element, group)) sayMarker(group.styled, element, this.counters[i], say);
    }
    this.sayGenerated('before', element, group);
    if (isTypedInto(element)) {
      const typed = { text: '', style, element, isShown: false, isDrawn: false, screens: [] };
      this.visitor.text({ ...typed, typedIn: languageOf(element) });
    }
    if (isField(element)) sayField(group.styled, element, this.sayer(element, group));
    if (isClosedSelect(element)) this.sayer(element, group)(chosenOption(element), style);
  }

  private sayAfter(element: SiteElement, group: StyledGroup): void {
    this.sayGenerated('after', element, group);
    const { style } = group.styled;
    const ellipsis = ellipsisText(style);
    if (ellipsis !== '')
      this.visitor.text({
        text: ellipsis,
        style,
        element,
        isShown: false,
        isDrawn: false,
        screens: [],
        pseudo: 'ellipsis',
      });
  }

  private sayGenerated(name: 'before' | 'after', element: SiteElement, group: StyledGroup): void {
    const its = group.styled.pseudo.get(name);
    if (!its || its.content === 'normal' || its.content === 'none') return;
    if (group.isShown && its.display !== 'none') this.visitor.box(its, group.screens);
    const say = this.sayer(element, group);
    for (const i of this.distinct(element, group)) {
      this.counters[i].count(its, element);
      say(contentText(its, element, this.counters[i], languageOf(element)), its, name);
    }
  }

  /** Screens that may say something different. */
  private distinct(element: SiteElement, { styled, screens }: StyledGroup): readonly number[] {
    return isCounting(element, styled) ? screens : screens.slice(0, 1);
  }
}

/** Whether it counts; lists do for what is in them. */
const isCounting = ({ name }: SiteElement, { counts }: StyledElement): boolean =>
  counts || name === 'ol' || name === 'ul' || name === 'menu';

/** What stands in a closed `details` beside its summary isn't shown (HTML, section 4.11.1). */
const isShut = ({ name, attributes }: SiteElement): boolean => name === 'details' && !attributes.has('open');
const hidden = (groups: readonly StyledGroup[]): StyledGroup[] =>
  groups.map((group) => ({ ...group, isShown: false }));

/** The children that are drawn: of a host those of its shadow tree, of a slot what is put into it (DOM, section 4.2.2). */
const flatChildren = ({ shadow, assigned, children }: SiteElement): readonly SiteNode[] =>
  shadow?.children ?? assigned ?? children;

function transformed(text: string, { transform }: ComputedStyle, element: SiteElement): string {
  if (transform === 'none') return text;
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
    say(contentText(marker, element, counters, languageOf(element)), marker, 'marker');
    return;
  }
  if (style.isListImage) return;
  const text = markerText(style.listStyle, counters.value('list-item'), counters.styles);
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
  const options = elementsWithin(select).filter(({ name }) => name === 'option');
  const chosen = options.find(({ attributes }) => attributes.has('selected')) ?? options[0];
  return chosen === undefined ? '' : (chosen.attributes.get('label') ?? ownText(chosen));
}

const buttons: Readonly<Record<string, string>> = { submit: 'Submit', reset: 'Reset' };
const withoutText: ReadonlySet<string> = new Set(['checkbox', 'radio', 'range', 'color', 'hidden', 'image']);

const knownTimes = new WeakMap<ComputedStyle, ComputedStyle>();

/** WebKit sets fields for times with them, by its own stylesheet. */
function withTimeFeatures(style: ComputedStyle): ComputedStyle {
  let known = knownTimes.get(style);
  if (!known) {
    const featureSettings = `"tnum", "ss03"${style.featureSettings === 'normal' ? '' : `, ${style.featureSettings}`}`;
    knownTimes.set(style, (known = { ...style, featureSettings }));
  }
  return known;
}

/** Fields for text, and what can be edited in place. */
const isTypedInto = ({ name, attributes }: SiteElement): boolean => {
  const editable = attributes.get('contenteditable');
  if (editable !== undefined && editable.toLowerCase() !== 'false') return true;
  if (attributes.has('readonly') || attributes.has('disabled')) return false;
  const isText = /^(text|search|email|url)$/i.test(attributes.get('type') ?? 'text');
  return name === 'textarea' || (name === 'input' && isText);
};

const isField = ({ name, attributes }: SiteElement): boolean =>
  name === 'input' || name === 'option' || name === 'optgroup' || attributes.has('placeholder');

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
    say('No file chosen', style, 'file name');
  } else if (type === 'password') {
    say('•'.repeat(value?.length ?? 0), style, 'password');
    // What visitors type.
    say('•●', style, 'password', false);
  } else if (/^(date|datetime-local|month|time|week)$/.test(type))
    say('0123456789/:-,. dmy AMPM Week mm/dd/yyyy', withTimeFeatures(style), 'date field', false);
  else if (value === undefined) say(buttons[type] ?? '', style, 'button');
  else say(value, style);
}
