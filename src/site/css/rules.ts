// CSS Syntax 3, Nesting 1, Cascade 5: the rules of a stylesheet that say something of text, each with where it stands

import { blockFeatures } from './font-features.js';
import { markInRange } from './loading-mark.js';
import { isKept, ofFaces, type PropertySet } from './properties/index.js';
import { isSelectorList } from './selectors/index.js';
import { isStandInRule } from './stand-in-family.js';
import { parseStyles, type ParsedItem, type ParsedRule } from './structure.js';
import { componentsOf, nameOf, splitAt, stringOf, textOf, tokensOf, urlOf, type Token } from './tokens.js';

/** Where a rule stands, as findings and edits name it. */
export interface SourcePlace {
  /** As the user would write it, or a URL. */
  file: string;
  line: number;
  column: number;
}

/** A condition around rules; all of those around a rule have to hold. */
export interface Condition {
  kind: 'media' | 'supports' | 'container';
  text: string;
}

export interface StyleDeclaration {
  /** In small letters, without a vendor's prefix; custom properties as they are written. */
  property: string;
  value: string;
  important: boolean;
  line: number;
}

export interface StyleRule extends SourcePlace {
  /** As it is written; read when somebody asks what it matches, as a stylesheet may have many that nobody asks for. */
  prelude: string;
  /** The same in one line. */
  selectorText: string;
  /** For `&`: the rule that it is nested in. */
  outer: StyleRule | undefined;
  declarations: StyleDeclaration[];
  conditions: readonly Condition[];
  /** Names joined by dots; empty outside of layers. */
  layer: string;
  /** The prelude of `@scope`, where it stands in one. */
  scope: string | undefined;
}

export interface FontFaceSource {
  url?: string;
  /** Where the file is, once somebody looked; or that it isn't there. */
  address?: string;
  isMissing?: boolean;
  local?: string;
  format?: string;
}

export interface FontFaceDescriptors extends SourcePlace {
  family: string;
  /** As they are written; undefined where they aren't. */
  weight: string | undefined;
  style: string | undefined;
  stretch: string | undefined;
  unicodeRange: string | undefined;
  display: string | undefined;
  sources: FontFaceSource[];
  /** Descriptors that aren't named above, as they are written. */
  others?: ReadonlyMap<string, string>;
  conditions: readonly Condition[];
}

export interface ImportRule extends SourcePlace {
  url: string;
  conditions: readonly Condition[];
  /** undefined where it is in no layer of its own. */
  layer: string | undefined;
}

export interface StyleRules {
  /** Those that say something of text. */
  rules: StyleRule[];
  /** Whether there are others. */
  hasOthers: boolean;
  fontFaces: FontFaceDescriptors[];
  imports: ImportRule[];
  /** Layers in the order in which they are named. */
  layers: string[];
  counterStyles: Map<string, Map<string, string>>;
  /** Features that `@font-feature-values` gives names to. */
  namedFeatures: Set<string>;
}

interface Context {
  file: string;
  placeOf: (offset: number) => SourcePlace;
  conditions: readonly Condition[];
  layer: string;
  scope: string | undefined;
  outer: StyleRule | undefined;
  found: StyleRules;
  anonymous: { count: number };
  properties: PropertySet;
}

/**
 * @param file what its rules are said to stand in
 * @param firstLine of the text in that file
 * @param properties those that are kept
 */
export function readRules(css: string, file: string, firstLine = 1, properties = ofFaces): StyleRules {
  const found: StyleRules = {
    rules: [],
    hasOthers: false,
    fontFaces: [],
    imports: [],
    layers: [],
    counterStyles: new Map(),
    namedFeatures: new Set(),
  };
  const placeOf = placesIn(css, file, firstLine);
  const anonymous = { count: 0 };
  const context: Context = {
    file,
    placeOf,
    conditions: [],
    layer: '',
    scope: undefined,
    outer: undefined,
    found,
    anonymous,
    properties,
  };
  readItems(parseStyles(css), context);
  return found;
}

/** A style attribute. */
export function readDeclarations(css: string, line: number, properties = ofFaces): StyleDeclaration[] {
  return declarationsIn(parseStyles(css, true), placesIn(css, '', Math.max(1, line)), properties);
}

function placesIn(css: string, file: string, firstLine: number): (offset: number) => SourcePlace {
  const lines = [0];
  for (let at = css.indexOf('\n'); at >= 0; at = css.indexOf('\n', at + 1)) lines.push(at + 1);
  return (offset) => {
    let [low, high] = [0, lines.length - 1];
    while (low < high) {
      const middle = (low + high + 1) >> 1;
      if (lines[middle] <= offset) low = middle;
      else high = middle - 1;
    }
    return { file, line: firstLine + low, column: offset - lines[low] + 1 };
  };
}

function readItems(items: readonly ParsedItem[], context: Context): void {
  for (const item of items) {
    if (item.kind === 'rule') readRule(item, context);
    else if (item.kind === 'at-rule')
      readAtRule(item.name.replace(/^-(webkit|moz)-/, ''), item.prelude, item, context);
  }
}

function readAtRule(name: string, prelude: string, node: ParsedRule, context: Context): void {
  const { found, conditions } = context;
  const body = node.block;
  switch (name) {
    case 'media':
    case 'supports':
    case 'container':
      if (body)
        readBody(node, body, { ...context, conditions: [...conditions, { kind: name, text: prelude }] });
      return;
    case 'layer': {
      const names = prelude
        .split(',')
        .map((one) => one.trim())
        .filter(Boolean);
      if (!body) {
        for (const one of names) found.layers.push(within(context.layer, one));
        return;
      }
      const layer = within(context.layer, names[0] ?? `(${++context.anonymous.count} of ${context.file})`);
      found.layers.push(layer);
      readBody(node, body, { ...context, layer });
      return;
    }
    case 'scope':
      if (body) readBody(node, body, { ...context, scope: prelude });
      return;
    case 'starting-style':
      return;
    case 'import':
      readImport(prelude, node, context);
      return;
    case 'font-face':
      if (body) readFontFace(body, node, context);
      return;
    case 'counter-style':
      if (body) {
        const descriptors = declarationsIn(body, context.placeOf, 'all').map(
          ({ property, value }) => [property, value] as const,
        );
        found.counterStyles.set(prelude, new Map(descriptors));
      }
      return;
    case 'font-feature-values':
      if (body) readFeatureNames(body, context);
      return;
    default:
    // What holds no rules, and what browsers don't know either.
  }
}

/** Names of features (CSS Fonts 4, section 6.9). */
function readFeatureNames(body: readonly ParsedItem[], { found, placeOf }: Context): void {
  for (const block of body) {
    if (block.kind !== 'at-rule' || !block.block) continue;
    for (const { value } of declarationsIn(block.block, placeOf, 'all'))
      for (const tag of blockFeatures(block.name, tokensOf(value))) found.namedFeatures.add(tag);
  }
}

/** Of a conditional rule, which may stand inside of a style rule and hold declarations itself. */
function readBody(node: ParsedRule, body: readonly ParsedItem[], context: Context): void {
  const { outer, layer, conditions, scope, placeOf, properties } = context;
  if (outer) {
    const declarations = declarationsIn(body, placeOf, properties);
    if (declarations.length > 0)
      context.found.rules.push({ ...outer, ...placeOf(node.offset), declarations, layer, conditions, scope });
  }
  readItems(body, context);
}

const within = (layer: string, name: string) => (layer === '' ? name : `${layer}.${name}`);

function readRule(node: ParsedRule, context: Context): void {
  const { layer, conditions, scope, outer, placeOf, properties } = context;
  if (!node.block || !isSelectorList(node.prelude)) return;
  const rule: StyleRule = {
    ...placeOf(node.offset),
    prelude: node.prelude,
    selectorText: node.prelude.replace(/\s+/g, ' '),
    outer,
    declarations: declarationsIn(node.block, placeOf, properties),
    conditions,
    layer,
    scope,
  };
  if (rule.declarations.length > 0) context.found.rules.push(rule);
  else context.found.hasOthers = true;
  readItems(node.block, { ...context, outer: rule });
}

/** @param properties those that are kept */
function declarationsIn(
  items: readonly ParsedItem[],
  placeOf: (offset: number) => SourcePlace,
  properties: PropertySet | 'all',
): StyleDeclaration[] {
  const found: StyleDeclaration[] = [];
  for (const item of items) {
    if (item.kind !== 'declaration') continue;
    const isCustom = item.name.startsWith('--');
    const property = isCustom ? item.name : item.name.toLowerCase().replace(/^-(webkit|moz|epub|ms)-/, '');
    if (properties !== 'all' && !isKept(property, properties)) continue;
    found.push({ property, value: item.value, important: item.important, line: placeOf(item.offset).line });
  }
  return found;
}

/** What an `@import` names. @param prelude what stands behind the word */
export function importedAddress(prelude: string): string | undefined {
  const [first] = componentsOf(tokensOf(prelude));
  return first && (urlOf(first) ?? stringOf(first));
}

/** CSS Cascade 5, section 2: `@import url() layer() supports() media`. */
function readImport(prelude: string, node: ParsedRule, context: Context): void {
  const rest = componentsOf(tokensOf(prelude)).slice(1);
  const address = importedAddress(prelude);
  if (address === undefined) return;
  let layer: string | undefined;
  const conditions = [...context.conditions];
  let at = 0;
  const word = () => (rest[at] ? textOf(rest[at]) : '');
  if (/^layer$/i.test(word())) layer = `(${++context.anonymous.count} of ${context.file})`;
  else if (/^layer\(/i.test(word())) layer = within(context.layer, word().slice(6, -1).trim());
  if (layer !== undefined) {
    context.found.layers.push(layer);
    at++;
  }
  if (/^supports\(/i.test(word())) conditions.push({ kind: 'supports', text: word().slice(8) });
  if (/^supports\(/i.test(word())) at++;
  const media = rest.slice(at).map(textOf).join(' ');
  if (media !== '') conditions.push({ kind: 'media', text: media });
  context.found.imports.push({ ...context.placeOf(node.offset), url: address, conditions, layer });
}

/** CSS Fonts 4, section 4. */
function readFontFace(body: readonly ParsedItem[], node: ParsedRule, context: Context): void {
  const values = new Map(
    declarationsIn(body, context.placeOf, 'all').map(({ property, value }) => [property, value]),
  );
  const [family] = componentsOf(tokensOf(values.get('font-family') ?? ''));
  const name = family && nameOf(tokensOf(values.get('font-family') ?? ''));
  const source = values.get('src');
  if (!name || source === undefined) return;
  const sources = splitAt(tokensOf(source), ',').flatMap((part): FontFaceSource[] => readSource(part));
  // What stands in for a face of a kit, or is the start of one, is none of its own.
  const urls = sources.flatMap(({ url }) => url ?? []);
  if (markInRange.test(values.get('unicode-range') ?? '') || isStandInRule(name, urls)) return;
  const others = new Map([...values].filter(([property]) => !namedDescriptors.has(property)));
  context.found.fontFaces.push({
    ...context.placeOf(node.offset),
    family: name,
    weight: values.get('font-weight'),
    style: values.get('font-style'),
    stretch: values.get('font-stretch') ?? values.get('font-width'),
    unicodeRange: values.get('unicode-range'),
    display: values.get('font-display'),
    sources,
    ...(others.size > 0 ? { others } : {}),
    conditions: context.conditions,
  });
}

const namedDescriptors: ReadonlySet<string> = new Set([
  'font-family',
  'src',
  'font-weight',
  'font-style',
  'font-stretch',
  'font-width',
  'unicode-range',
  'font-display',
]);

function readSource(part: readonly Token[]): FontFaceSource[] {
  const [first, ...rest] = componentsOf(part);
  if (!first) return [];
  const address = urlOf(first);
  if (address !== undefined) {
    const hint = rest.map(textOf).find((text) => /^format\(/i.test(text));
    return [{ url: address, ...(hint ? { format: hint.slice(7, -1).replace(/["']/g, '').trim() } : {}) }];
  }
  const text = textOf(first);
  return /^local\(/i.test(text) ? [{ local: text.slice(6, -1).replace(/^["'\s]+|["'\s]+$/g, '') }] : [];
}
