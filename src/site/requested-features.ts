// CSS Fonts 4, section 6: the font features that styles turn on

import { parse, walk, type CssNode, type Declaration } from 'css-tree';

/** What the values of `font-variant` and its longhands turn on (CSS Fonts 4, sections 6.3 to 6.10). */
const featuresOfValues: Readonly<Record<string, readonly string[]>> = {
  'discretionary-ligatures': ['dlig'],
  'historical-ligatures': ['hlig'],
  'small-caps': ['smcp'],
  'all-small-caps': ['smcp', 'c2sc'],
  'petite-caps': ['pcap'],
  'all-petite-caps': ['pcap', 'c2pc'],
  unicase: ['unic'],
  'titling-caps': ['titl'],
  'lining-nums': ['lnum'],
  'oldstyle-nums': ['onum'],
  'proportional-nums': ['pnum'],
  'tabular-nums': ['tnum'],
  'diagonal-fractions': ['frac', 'numr', 'dnom'],
  'stacked-fractions': ['afrc'],
  ordinal: ['ordn'],
  'slashed-zero': ['zero'],
  sub: ['subs'],
  super: ['sups'],
  'historical-forms': ['hist'],
  jis78: ['jp78'],
  jis83: ['jp83'],
  jis90: ['jp90'],
  jis04: ['jp04'],
  simplified: ['smpl'],
  traditional: ['trad'],
  'full-width': ['fwid'],
  'proportional-width': ['pwid'],
  ruby: ['ruby'],
};

/** Rules inside `@font-feature-values` (section 6.9), and what a number in them stands for. */
const featuresOfNames: Readonly<Record<string, (number: number) => readonly string[]>> = {
  stylistic: () => ['salt'],
  swash: () => ['swsh', 'cswh'],
  ornaments: () => ['ornm'],
  annotation: () => ['nalt'],
  styleset: (number) => [`ss${padded(number)}`],
  'character-variant': (number) => [`cv${padded(number)}`],
};

const padded = (number: number) => String(number).padStart(2, '0');

/**
 * Features that styles turn on, wherever they do; those that they turn off again elsewhere are among them. Values of custom
 * properties count too, as a feature may be turned on through one.
 *
 * @param css a stylesheet, or the declarations of a style attribute
 * @returns tags; nothing for what isn't CSS
 */
export function requestedFeatures(css: string, context: 'stylesheet' | 'declarationList'): Set<string> {
  const found = new Set<string>();
  // A list of declarations with a brace too many would never end.
  const rules = context === 'stylesheet' ? css : `a{${css}}`;
  const tree = parse(withoutComments(rules), { parseCustomProperty: true, onParseError: () => undefined });
  walk(tree, function (node) {
    if (node.type === 'Declaration') {
      const rule = this.atrule?.name.toLowerCase() ?? '';
      for (const tag of featuresOf(node, featuresOfNames[rule])) found.add(tag);
    } else if (node.type === 'Raw' && node.value.includes('{') && node.value.length < rules.length) {
      // A nested rule whose selector starts with a letter is taken for a declaration that fails.
      for (const tag of requestedFeatures(node.value, 'stylesheet')) found.add(tag);
    }
  });
  return found;
}

function featuresOf(
  { property, value }: Declaration,
  ofNames: ((number: number) => readonly string[]) | undefined,
): string[] {
  const parts = value.type === 'Value' ? value.children.toArray() : [];
  if (ofNames) return parts.flatMap((part) => (part.type === 'Number' ? ofNames(Number(part.value)) : []));
  const name = property.toLowerCase();
  if (name === 'font-feature-settings') return settingsOf(parts);
  if (name === 'font' || name.startsWith('font-variant')) return valuesOf(parts);
  return name.startsWith('--') ? [...settingsOf(parts), ...valuesOf(parts)] : [];
}

const valuesOf = (parts: readonly CssNode[]): string[] =>
  parts.flatMap((part) =>
    part.type === 'Identifier' ? (featuresOfValues[part.name.toLowerCase()] ?? []) : [],
  );

/** `"smcp", "ss01" 2, "liga" off`: each tag but those that are off. */
function settingsOf(parts: readonly CssNode[]): string[] {
  return parts.flatMap((part, i) => {
    if (part.type !== 'String' || !/^[\x20-\x7e]{4}$/.test(part.value)) return [];
    const next = parts[i + 1] as CssNode | undefined;
    const isOff =
      (next?.type === 'Number' && Number(next.value) === 0) ||
      (next?.type === 'Identifier' && next.name.toLowerCase() === 'off');
    return isOff ? [] : [part.value];
  });
}

/** HTML comments mean nothing in CSS; inside a block the parser never gets past the start of one. */
const withoutComments = (css: string) => css.replace(/<!--|-->/g, ' ');

/** What a stylesheet imports, as it writes it. */
export function importsOf(css: string): string[] {
  const found: string[] = [];
  const tree = parse(withoutComments(css), {
    parseRulePrelude: false,
    parseValue: false,
    onParseError: () => undefined,
  });
  walk(tree, {
    visit: 'Atrule',
    enter({ name, prelude }) {
      if (name.toLowerCase() !== 'import' || prelude?.type !== 'AtrulePrelude') return;
      const [first] = prelude.children.toArray();
      if (first?.type === 'String' || first?.type === 'Url') found.push(first.value);
    },
  });
  return found;
}
