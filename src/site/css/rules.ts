// CSS Syntax 3, Nesting 1, Cascade 5: the rules of a stylesheet that say something of text, each with where it stands

import { parse, type CssNode, type Rule, type SelectorList } from 'css-tree';
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
  /** As it is written. */
  selectorText: string;
  selectors: SelectorList;
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
  conditions: readonly Condition[];
}

export interface ImportRule extends SourcePlace {
  url: string;
  conditions: readonly Condition[];
  /** undefined where it is in no layer of its own. */
  layer: string | undefined;
}

export interface StyleRules {
  rules: StyleRule[];
  fontFaces: FontFaceDescriptors[];
  imports: ImportRule[];
  /** Layers in the order in which they are named. */
  layers: string[];
  counterStyles: Map<string, Map<string, string>>;
}

/** What decides which face draws which characters. */
const textProperties =
  /^(--.*|all|font|font-(family|weight|style|stretch|width|variant|variant-caps|synthesis(-.*)?|feature-settings|variation-settings|size)|text-transform|content|quotes|list-style(-type|-image)?|display|visibility|content-visibility|counter-(reset|increment|set)|text-overflow|hyphens|hyphenate-character|text-emphasis(-style)?|block-ellipsis|text-security)$/s;

/** How deep blocks may lie in each other. */
const deepest = 64;

interface Context {
  css: string;
  file: string;
  conditions: readonly Condition[];
  layer: string;
  scope: string | undefined;
  outer: StyleRule | undefined;
  depth: number;
  found: StyleRules;
  anonymous: { count: number };
}

/** @param file what its rules are said to stand in @param firstLine of the text in that file */
export function readRules(css: string, file: string, firstLine = 1): StyleRules {
  const found: StyleRules = { rules: [], fontFaces: [], imports: [], layers: [], counterStyles: new Map() };
  const options = {
    positions: true,
    line: firstLine,
    parseValue: false,
    parseCustomProperty: false,
    parseAtrulePrelude: false,
    onParseError: () => undefined,
  } as const;
  const tree = parse(css, options);
  const context: Context = {
    css,
    file,
    conditions: [],
    layer: '',
    scope: undefined,
    outer: undefined,
    depth: 0,
    found,
    anonymous: { count: 0 },
  };
  if (tree.type === 'StyleSheet') readNodes(tree.children, context);
  return found;
}

/** A style attribute. */
export function readDeclarations(css: string, line: number): StyleDeclaration[] {
  const tree = parse(css, {
    context: 'declarationList',
    positions: true,
    line: Math.max(1, line),
    parseValue: false,
    parseCustomProperty: false,
    onParseError: () => undefined,
  });
  return tree.type === 'DeclarationList' ? declarationsIn(tree.children) : [];
}

const placeOf = (node: CssNode, { file }: Context): SourcePlace => ({
  file,
  line: node.loc?.start.line ?? 0,
  column: node.loc?.start.column ?? 0,
});

const textIn = ({ loc }: CssNode, { css }: Context): string =>
  loc ? css.slice(loc.start.offset, loc.end.offset).replace(/\s+/g, ' ').trim() : '';

function readNodes(nodes: Iterable<CssNode>, context: Context): void {
  if (context.depth > deepest) return;
  for (const node of nodes) {
    if (node.type === 'Rule') readRule(node, context);
    else if (node.type === 'Atrule') {
      const prelude = node.prelude?.type === 'Raw' ? node.prelude.value.trim() : '';
      readAtRule(node.name.toLowerCase().replace(/^-(webkit|moz)-/, ''), prelude, node, context);
    }
  }
}

function readAtRule(
  name: string,
  prelude: string,
  node: Extract<CssNode, { type: 'Atrule' }>,
  context: Context,
): void {
  const { found, conditions } = context;
  const body = node.block?.children;
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
        const descriptors = declarationsIn(body, true).map(
          ({ property, value }) => [property, value] as const,
        );
        found.counterStyles.set(prelude, new Map(descriptors));
      }
      return;
    default:
      if (
        body &&
        !['page', 'keyframes', 'property', 'font-feature-values', 'font-palette-values'].includes(name)
      )
        readNodes(body, { ...context, depth: context.depth + 1 });
  }
}

/** Of a conditional rule, which may stand inside of a style rule and hold declarations itself. */
function readBody(node: CssNode, body: Iterable<CssNode>, context: Context): void {
  const { outer } = context;
  if (outer) {
    const declarations = declarationsIn(body);
    const { layer, conditions, scope } = context;
    if (declarations.length > 0)
      context.found.rules.push({
        ...outer,
        ...placeOf(node, context),
        declarations,
        layer,
        conditions,
        scope,
      });
  }
  readNodes(body, { ...context, depth: context.depth + 1 });
}

const within = (layer: string, name: string) => (layer === '' ? name : `${layer}.${name}`);

function readRule(node: Rule, context: Context): void {
  if (node.prelude.type !== 'SelectorList') return;
  const { layer, conditions, scope, outer } = context;
  const rule: StyleRule = {
    ...placeOf(node, context),
    selectorText: textIn(node.prelude, context),
    selectors: node.prelude,
    outer,
    declarations: declarationsIn(node.block.children),
    conditions,
    layer,
    scope,
  };
  if (rule.declarations.length > 0) context.found.rules.push(rule);
  readNodes(node.block.children, { ...context, outer: rule, depth: context.depth + 1 });
}

/** @param all whether to keep what says nothing of text too */
function declarationsIn(nodes: Iterable<CssNode>, all = false): StyleDeclaration[] {
  const found: StyleDeclaration[] = [];
  for (const node of nodes) {
    if (node.type !== 'Declaration') continue;
    const isCustom = node.property.startsWith('--');
    const property = isCustom
      ? node.property
      : node.property.toLowerCase().replace(/^-(webkit|moz|epub|ms)-/, '');
    if (!all && !textProperties.test(property)) continue;
    const value = node.value.type === 'Raw' ? node.value.value.trim() : '';
    found.push({ property, value, important: node.important !== false, line: node.loc?.start.line ?? 0 });
  }
  return found;
}

/** CSS Cascade 5, section 2: `@import url() layer() supports() media`. */
function readImport(prelude: string, node: CssNode, context: Context): void {
  const [first, ...rest] = componentsOf(tokensOf(prelude));
  const address = first && (urlOf(first) ?? stringOf(first));
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
  context.found.imports.push({ ...placeOf(node, context), url: address, conditions, layer });
}

/** CSS Fonts 4, section 4. */
function readFontFace(body: Iterable<CssNode>, node: CssNode, context: Context): void {
  const values = new Map(declarationsIn(body, true).map(({ property, value }) => [property, value]));
  const [family] = componentsOf(tokensOf(values.get('font-family') ?? ''));
  const name = family && nameOf(tokensOf(values.get('font-family') ?? ''));
  const source = values.get('src');
  if (!name || source === undefined) return;
  context.found.fontFaces.push({
    ...placeOf(node, context),
    family: name,
    weight: values.get('font-weight'),
    style: values.get('font-style'),
    stretch: values.get('font-stretch') ?? values.get('font-width'),
    unicodeRange: values.get('unicode-range'),
    display: values.get('font-display'),
    sources: splitAt(tokensOf(source), ',').flatMap((part): FontFaceSource[] => readSource(part)),
    conditions: context.conditions,
  });
}

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
