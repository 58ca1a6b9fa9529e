import { relative } from 'node:path';
import { useText, type FamilyUses } from './uses.js';
import type { DraftedConfig, DraftedFamily, DraftedFile } from './draft-config.js';

/** What a drafted config tells beside itself. */
export interface ConfigNotes {
  reasons: readonly string[];
  notes: readonly string[];
  /** Families that no page draws, and what they would be in the config. */
  undrawn: readonly DraftedFamily[];
  /** Languages of the pages. */
  languages: readonly string[];
  uses: FamilyUses;
  /** Whether the project names its browsers. */
  hasBrowsers: boolean;
  /** Undefined where nobody said. */
  url: string | undefined;
}

/** The config as a file in YAML, with what it was drafted from as comments; nothing in it that equals a default. */
export function configText(
  { site, output, families }: DraftedConfig['config'],
  { reasons, notes, undrawn, languages, uses, hasBrowsers, url }: ConfigNotes,
): string {
  const lines = [
    '# Drafted by dense-glyph init from the fonts and pages at hand; docs/config.md says what else there is.',
    ...(site
      ? [
          'site:',
          ...(site.root === undefined ? [] : [`  root: ${quoted(site.root)}`]),
          ...(site.url === undefined ? [] : [`  url: ${quoted(site.url)}`]),
          ...(site.scripts ? ['  scripts: true'] : []),
          ...(site.demand === undefined
            ? []
            : [
                `  demand: ${quoted(site.demand)}   # what pages drew; taken again by: dense-glyph scan --save ${site.demand}`,
              ]),
        ]
      : ['# site: { root: site }   # where the pages are, so that faces are cut to them']),
    'output:',
    `  folder: ${quoted(output.folder)}`,
    url === undefined
      ? `  # url: ${urlGuess(site?.root, output.folder)}   # the same URL on every page, in the place of relative ones`
      : `  url: ${quoted(url)}`,
    ...(hasBrowsers ? [] : ['# reach: "defaults"   # a browserslist query; the project names none']),
    ...(languages.length > 0
      ? [
          `# characters: { languages: [${languages.join(', ')}] }   # all that these languages are written with, beside what pages draw`,
        ]
      : []),
    families.length === 0 ? 'families: []   # no page draws any of the fonts at hand' : 'families:',
    ...families.flatMap((family) => familyLines(family, reasons, uses)),
    ...undrawn.flatMap((family) => [
      `# ${family.family} is left out: no page draws it.`,
      ...(families.length === 0 ? familyLines(family, [], uses).map((line) => `#${line}`) : []),
    ]),
    ...notes.map((note) => `# ${note}.`),
  ];
  return `${lines.map(inOneLine).join('\n')}\n`;
}

export const urlGuess = (root: string | undefined, folder: string): string =>
  `/${relative(root ?? '.', folder).replaceAll('\\', '/')}/`;

/** A name may hold what ends a comment. */
const inOneLine = (text: string): string => text.replace(/[\p{Cc}\u2028\u2029]+/gu, ' ');

function familyLines(
  { family, files, role, stack, loading }: DraftedFamily,
  reasons: readonly string[],
  uses: FamilyUses,
): string[] {
  const use = useText(uses.get(family.toLowerCase()));
  const reason = reasons.find((one) => one.startsWith(`${family}: role ${role}, `));
  const why = reason?.slice(`${family}: role ${role}, `.length);
  return [
    `  - family: ${quoted(family)}${use ? `   # ${use}` : ''}`,
    ...(files.length === 1 && typeof files[0] === 'string'
      ? [`    files: [${quoted(files[0])}]`]
      : ['    files:', ...files.map((file) => `      - ${fileText(file)}`)]),
    `    role: ${quoted(role)}${why ? `   # ${why}` : ''}`,
    `    stack: [${stack.map(quoted).join(', ')}]`,
    ...(loading
      ? [
          `    loading: { ${Object.entries(loading)
            .map(([key, value]) => `${key}: ${value}`)
            .join(', ')} }`,
        ]
      : []),
  ];
}

function fileText(file: DraftedFile): string {
  if (typeof file === 'string') return quoted(file);
  const entries = Object.entries(file).map(([name, value]) => `${name}: ${quoted(value ?? '')}`);
  return `{ ${entries.join(', ')} }`;
}

/** A YAML scalar; plain where it can't be read as anything else. */
const quoted = (text: string): string =>
  /^[A-Za-z][\w ./-]*$/.test(text) && !/^(true|false|yes|no|on|off|null)$/i.test(text) && !/\s$/.test(text)
    ? text
    : JSON.stringify(text);
