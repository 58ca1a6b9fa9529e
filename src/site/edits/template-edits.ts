// What a kit changes in a file that pages are made from, where its head is plain HTML

import { applied, type Edit } from './edits.js';
import {
  blockIn,
  htmlMarkers as html,
  insertion,
  markerTexts,
  merged,
  referenceEdits,
  type Block,
  type Markers,
  type PageWiring,
} from './page-edits.js';

/** What a template becomes, or why it is left to a person. */
export type WiredTemplate = { text: string } | { refusal: string };

/** How a language marks what isn't HTML. */
interface TemplateSyntax {
  /** What a program makes of it nobody knows; also across lines. */
  constructs: RegExp;
  /** Those of them that put a value where they stand, or nothing; all others may leave out or repeat what stands around. */
  isValue: (construct: string) => boolean;
  markers: Markers;
  /** Whether elements are those of JSX. */
  isJsx?: true;
}

const mustache: TemplateSyntax = {
  constructs: /\{\{[^]*?\}\}\}?/g,
  isValue: (construct) =>
    !/^\{\{[~-]?\s*(?:[#/^>&*]|else\b)/.test(construct) || /^\{\{[~-]?\s*&/.test(construct),
  markers: html,
};
const tags: TemplateSyntax = {
  constructs: /\{\{[^]*?\}\}|\{%[^]*?%\}|\{#[^]*?#\}/g,
  isValue: (construct) =>
    !construct.startsWith('{%') || /^\{%-?\s*(?:set|assign|comment|import|from)\b/.test(construct),
  markers: html,
};
const angle: TemplateSyntax = {
  constructs: /<%[^]*?%>/g,
  isValue: (construct) => /^<%[-_]?[=#-]/.test(construct),
  markers: html,
};
const php: TemplateSyntax = {
  constructs: /<\?[^]*?(?:\?>|$)/g,
  isValue: (construct) => /^<\?(?:=|php\s+(?:echo|print)\b[^;]*;?\s*\?>$)/.test(construct),
  markers: html,
};
const braces: TemplateSyntax = {
  constructs: /\{(?:[^{}]|\{(?:[^{}]|\{[^{}]*\})*\})*\}/g,
  isValue: (construct) => !/^\{\s*[#/:@]|[<?]|&&|\|\||=>/.test(construct),
  markers: html,
};

/** By file extension. Those whose heads aren't HTML (Pug, Markdown) aren't listed. */
const syntaxes: Readonly<Record<string, TemplateSyntax>> = {
  hbs: mustache,
  handlebars: mustache,
  mustache,
  vue: mustache,
  njk: tags,
  liquid: tags,
  twig: tags,
  erb: angle,
  ejs: angle,
  php,
  svelte: braces,
  astro: braces,
  jsx: { ...braces, markers: commentsOf('{/* ', ' */}'), isJsx: true },
  tsx: { ...braces, markers: commentsOf('{/* ', ' */}'), isJsx: true },
};

function commentsOf(start: string, end: string): Markers {
  return {
    opening: `${start}${markerTexts.opening}${end}`,
    closing: `${start}${markerTexts.closing}${end}`,
  };
}

/**
 * A template with a kit in its head, in the place of the stylesheets that it replaces. Only where everything from the start of
 * the head to the last change is HTML that every page gets: values may stand there, but nothing that leaves out or repeats.
 *
 * @param source decoded so that every byte that isn't ASCII is some character
 * @param extension of the file, without a dot
 */
export function wiredTemplate(source: string, extension: string, wiring: PageWiring): WiredTemplate {
  const syntax = syntaxes[extension.toLowerCase()];
  if (!syntax) return { refusal: 'it is written in a language that is not edited' };
  const start = source.search(/<head(?=[\s>])/i);
  const length = start < 0 ? -1 : source.slice(start).search(/<\/head\s*>/i);
  if (length < 0) return { refusal: 'it has no whole head of its own' };
  const head = source.slice(start, start + length);
  const edited = wiredHead(head, syntax, wiring);
  return typeof edited === 'string'
    ? { text: source.slice(0, start) + edited + source.slice(start + length) }
    : edited;
}

function wiredHead(
  head: string,
  syntax: TemplateSyntax,
  { markup, ...replaced }: PageWiring,
): string | { refusal: string } {
  const known = syntax.isJsx ? textBlock(head, syntax.markers) : blockIn(head);
  const constructs = Array.from(head.matchAll(syntax.constructs), ({ index, 0: text }) => ({
    start: index,
    end: index + text.length,
    isValue: syntax.isValue(text) || isComment(text),
  }));
  const { edits, place, after } = referenceEdits(maskedText(head, constructs), replaced, known);
  if ((edits.length === 0 && !known) || markup === undefined) return head;
  if (!known && place === undefined)
    return { refusal: 'no stylesheet link in its head shows where the kit would go' };
  const last = Math.max(...edits.map(({ end }) => end), known?.end ?? 0);
  const isWithin = (edit: Edit, at: number) => edit.start < at && at < edit.end;
  const isOwn = (at: number) => known !== undefined && at >= known.start && at < known.end;
  for (const { start, end, isValue } of constructs) {
    if (edits.some((edit) => isWithin(edit, start) || isWithin(edit, end)))
      return { refusal: 'the element that goes is made by the template' };
    if (!isValue && !isOwn(start) && start < last)
      return { refusal: 'its head is not plain HTML up to there' };
  }
  const own = syntax.isJsx ? jsxMarkup(markup) : markup;
  const at = Math.max(place ?? 0, after ?? 0);
  return applied(head, merged([...edits, insertion(head, own, syntax.markers, known, at)]));
}

/** Comments of JSX are none of HTML. */
function textBlock(text: string, { opening, closing }: Markers): Block | undefined {
  const start = text.indexOf(opening);
  const end = text.indexOf(closing, start);
  const inner = text.slice(start + opening.length, end);
  if (
    start < 0 ||
    end < 0 ||
    !/^(?:\s|<link\b[^>]*>|<script\b[^>]* data-base=[^>]*><\/script>)*$/.test(inner)
  )
    return undefined;
  return { start, end: end + closing.length };
}

const isComment = (construct: string): boolean =>
  /^(?:\{\{[~-]?!|\{#|<%#|\{\s*\/\*[^]*\*\/\s*\}$)/.test(construct);

/** Of the same length, with something in the place of what isn't HTML that reads as a value in a tag, and as nothing outside. */
function maskedText(source: string, constructs: readonly { start: number; end: number }[]): string {
  let masked = '';
  let at = 0;
  for (const { start, end } of constructs) {
    masked += source.slice(at, start);
    const isInTag = masked.lastIndexOf('<') > masked.lastIndexOf('>');
    masked += source.slice(start, end).replace(/[^\r\n]/g, isInTag ? 'x' : ' ');
    at = end;
  }
  return masked + source.slice(at);
}

const jsxMarkup = (markup: string): string =>
  markup.replace(/ crossorigin>/g, ' crossOrigin="anonymous">').replace(/(?<!<\/script)>$/gm, ' />');
