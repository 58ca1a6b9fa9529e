// CSS Inline Layout 3, Text 3 (sections 3 and 4): the lines' content of each block, with its breaks

import type { LineStyle } from '../cascade/computed.js';
import { featuresByProperty } from '../css/properties/index.js';
import { languageOf } from '../css/selectors/index.js';
import type { SiteElement } from '../html/document.js';
import type { DrawnPiece, DrawnVisitor } from './drawn-text.js';
import { roomInside, type LineRoom } from './line-room.js';

/** How a piece of text is set. */
export interface TextStyle extends Pick<
  LineStyle,
  | 'families'
  | 'weight'
  | 'style'
  | 'stretch'
  | 'fontSize'
  | 'letterSpacing'
  | 'wordSpacing'
  | 'featureSettings'
  | 'variationSettings'
  | 'variantLigatures'
  | 'opticalSizing'
> {
  /** Features that other properties turn on. */
  features: readonly string[];
}

/** Text of one style. */
export interface TextRun {
  /** With white space as it is drawn; a forced break is a line feed. */
  text: string;
  style: TextStyle;
  language: string;
}

/** What is set in lines together. */
export interface TextBlock {
  /** As in `p.lead`. */
  element: string;
  /** In the source; 0 where that isn't known. */
  line: number;
  runs: readonly TextRun[];
  fontSize: number;
  lineHeight: LineStyle['lineHeight'];
  textAlign: string;
  writingMode: string;
  whiteSpace: LineStyle['whiteSpace'];
  /** How long its lines may be: on the screen that was asked for, then on others about as wide. */
  rooms: readonly LineRoom[];
  /** Whether something stands in its lines that isn't text: pictures, fields, boxes. */
  hasBoxes: boolean;
}

interface OpenBlock extends Omit<TextBlock, 'runs' | 'element' | 'line'> {
  element: SiteElement;
  runs: TextRun[];
}

/** Elements that are drawn as a box of their own, whatever stands in them. */
const replaced: ReadonlySet<string> = new Set(
  'img svg video audio canvas iframe object embed input select textarea meter progress math'.split(' '),
);

const ofTables: ReadonlySet<string> = new Set('table caption thead tbody tfoot tr td th'.split(' '));

function outerOf(
  { name }: SiteElement,
  { boxKind: { outer } }: LineStyle,
  isInFlex: boolean,
): LineStyle['boxKind']['outer'] {
  if (isInFlex) return 'block';
  if (outer !== 'inline') return outer;
  return name === 'button' ? 'atomic' : ofTables.has(name) ? 'block' : 'inline';
}

/** Pseudo-elements whose text stands in the lines. */
const inLine: ReadonlySet<string | undefined> = new Set([undefined, 'before', 'after']);

/** Collects the blocks of a page as they are set on one screen; what is hidden isn't set. */
export class BlockCollector implements DrawnVisitor {
  private readonly blocks: TextBlock[] = [];
  private readonly open: OpenBlock[] = [];
  /** In the elements around, the innermost last. */
  private readonly rooms: (readonly LineRoom[])[] = [];
  /** Styles of the elements around. */
  private readonly around: LineStyle[] = [];
  private readonly known = new Map<LineStyle, TextStyle>();
  private readonly styles = new Map<string, TextStyle>();

  /** @param widths of the screen, and of others to tell the room on; CSS pixels */
  constructor(private readonly widths: readonly number[]) {}

  enter(element: SiteElement, computed: DrawnPiece['style']): void {
    const style = computed as LineStyle;
    const around = this.open.at(-1);
    if (replaced.has(element.name) && around) around.hasBoxes = true;
    if (element.name === 'br') this.add('\n', style, element, true);
    const parent = this.around.at(-1)?.boxKind.inner;
    const outer = outerOf(element, style, parent === 'flex' || parent === 'grid');
    this.rooms.push(this.roomsIn(element, style, outer));
    this.around.push(style);
    if (outer === 'inline' && around) return;
    if (outer === 'atomic' && around) around.hasBoxes = true;
    // What came before it in the box around has lines of its own.
    else if (around) this.end(around);
    this.open.push({
      element,
      runs: [],
      fontSize: style.fontSize,
      lineHeight: style.lineHeight,
      textAlign: style.textAlign,
      writingMode: style.writingMode,
      whiteSpace: style.whiteSpace,
      rooms: this.rooms.at(-1)!,
      hasBoxes: false,
    });
  }

  leave(element: SiteElement): void {
    this.rooms.pop();
    this.around.pop();
    const block = this.open.at(-1);
    if (block?.element !== element) return;
    this.end(block);
    this.open.pop();
  }

  text({ text, style, element, pseudo, isShown }: DrawnPiece): void {
    if (isShown && inLine.has(pseudo) && !replaced.has(element.name))
      this.add(text, style as LineStyle, element);
  }

  /** White space between elements, which may be drawn as one space. */
  space(text: string, element: SiteElement, style: DrawnPiece['style']): void {
    this.add(text, style as LineStyle, element);
  }

  box(): void {
    // Lines without text say nothing.
  }

  finish(): TextBlock[] {
    return this.blocks;
  }

  private roomsIn(
    { name }: SiteElement,
    style: LineStyle,
    outer: LineStyle['boxKind']['outer'],
  ): readonly LineRoom[] {
    const around = this.rooms.at(-1) ?? this.widths.map((px) => ({ px, isKnown: true }));
    if (outer === 'inline') return around;
    let at = this.around.length - 1;
    while (at > 0 && this.around[at].boxKind.outer === 'inline') at--;
    const container = this.around.at(at);
    const isPart = name === 'button' || ofTables.has(name);
    return around.map((room) => roomInside(room, style, container, isPart));
  }

  private add(text: string, style: LineStyle, element: SiteElement, isBreak = false): void {
    const block = this.open.at(-1);
    if (!block) return;
    const last = block.runs.at(-1);
    const before = last?.text.at(-1) ?? '\n';
    const drawn = isBreak ? text : collapsed(text, style.whiteSpace, before);
    // Spaces before a forced break aren't drawn.
    if (last && drawn.startsWith('\n')) last.text = last.text.replace(/ +$/, '');
    if (drawn === '') return;
    const known = this.styleOf(style);
    const language = languageOf(element);
    if (last?.style === known && last.language === language) last.text += drawn;
    else block.runs.push({ text: drawn, style: known, language });
  }

  private styleOf(computed: LineStyle): TextStyle {
    let style = this.known.get(computed);
    if (!style) {
      const { families, weight, style: slope, stretch, fontSize, letterSpacing, wordSpacing } = computed;
      const { featureSettings, variationSettings, variantLigatures, opticalSizing } = computed;
      const features = featuresByProperty(computed)
        .filter(([property]) => property !== 'font-feature-settings')
        .flatMap(([, tags]) => tags);
      const facts = { families, weight, style: slope, stretch, fontSize, letterSpacing, wordSpacing };
      const all = { ...facts, featureSettings, variationSettings, variantLigatures, opticalSizing, features };
      // Others may come to the same.
      const key = JSON.stringify(all);
      style = this.styles.get(key) ?? all;
      this.styles.set(key, style);
      this.known.set(computed, style);
    }
    return style;
  }

  private end(block: OpenBlock): void {
    const last = block.runs.at(-1);
    if (last) last.text = last.text.replace(/[ \n]$/, '');
    const runs = block.runs.filter(({ text }) => text !== '');
    if (runs.some(({ text }) => text.trim() !== '')) {
      const { name, classes, line } = block.element;
      this.blocks.push({ ...block, element: [name, ...classes].join('.'), line, runs });
    }
    block.runs = [];
    block.hasBoxes = false;
  }
}

/** CSS Text 3, section 4.1.1. @param before the character that it follows */
function collapsed(text: string, mode: LineStyle['whiteSpace'], before: string): string {
  if (mode === 'pre' || mode === 'pre-wrap' || mode === 'break-spaces') return text.replace(/\r\n?/g, '\n');
  const lines =
    mode === 'pre-line'
      ? text.replace(/[ \t]*\r?\n[ \t]*/g, '\n').replace(/[ \t]+/g, ' ')
      : text.replace(/[ \t\n\r\f]+/g, ' ');
  return /[ \n]/.test(before) ? lines.replace(/^ /, '') : lines;
}
