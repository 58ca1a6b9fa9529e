import colors from 'picocolors';
import type { Finding } from '../../findings.js';
import { kilobytes } from '../../core/text/amounts.js';
import { count, listed, share, table, wrapped } from './words.js';
import type { InspectResult } from '../../app/fonts/inspect.js';
import type { InspectedFont } from '../../app/fonts/inspected-font.js';
import { languageItems } from './languages.js';

/** Where values start, behind the titles. */
const indent = 11;

/** One screen about one font. */
export function fontLines(font: InspectedFont, columns: number): string[] {
  const width = Math.max(60, Math.min(columns, 120));
  const row = (title: string, ...items: string[][]) =>
    items
      .filter((words) => words.length > 0)
      .flatMap((words, i) => {
        const [first, ...rest] = wrapped(words, width, indent);
        const start = i === 0 ? colors.dim(title.padEnd(indent)) : ' '.repeat(indent);
        return [start + first, ...rest];
      });
  const words = (text: string) => text.split(' ');
  return [
    `${colors.bold(titleOf(font))}  ${colors.dim(font.path)}`,
    '',
    ...row('CSS', words(cssText(font))),
    ...row('File', words(fileText(font)), words(makerText(font))),
    ...row('Glyphs', words(glyphText(font))),
    ...row('Axes', ...axisItems(font)),
    ...row('Features', ...featureItems(font)),
    ...row('Scripts', listed(font.scripts.slice(0, 12).map((s) => `${s.name} ${s.characters}`))),
    ...row('Languages', ...languageItems(font.languages)),
    ...row('Lines', words(lineText(font)), words(metricText(font))),
    ...row('Licence', ...licenceItems(font).map(words)),
    ...weightLines(font, width),
    '',
    ...(font.findings.length === 0
      ? [colors.green('Nothing in it disagrees.')]
      : font.findings.flatMap((finding) => findingLines(finding, width))),
  ];
}

const titleOf = ({ names, face, path }: InspectedFont) => names.fullName ?? (face.family || path);

const rangeWords = ([low, high]: readonly [number, number]) => (low === high ? `${low}` : `${low} ${high}`);

function cssText({ face }: InspectedFont): string {
  const stretch =
    face.stretch[0] === 100 && face.stretch[1] === 100 ? '' : ` font-stretch: ${rangeWords(face.stretch)}%;`;
  return `font-family: "${face.family}"; font-weight: ${rangeWords(face.weight)}; font-style: ${face.style};${stretch}`;
}

function fileText({ format, weight, names }: InspectedFont): string {
  const version = names.version ? `; ${names.version.replace(/^version/i, 'version').split(';')[0]}` : '';
  return `${format}, ${kilobytes(weight.file)}${version}`;
}

function makerText({ names }: InspectedFont): string {
  const maker = [...new Set([names.manufacturer, names.designer])].filter((name) => name !== undefined);
  const languages = [...new Set(names.all.map(({ language }) => language))];
  return [
    maker.length > 0 ? `by ${maker.join(', ').slice(0, 200)}` : '',
    names.vendorId ? `maker’s code ${names.vendorId}` : '',
    names.postScriptName ? `PostScript name ${names.postScriptName}` : '',
    languages.length > 1 ? `names in ${languages.join(', ')}` : '',
  ]
    .filter(Boolean)
    .join('; ');
}

const hintingWords = {
  none: 'no hinting',
  smoothing: 'no hinting, smoothing switched on',
  automatic: 'automatic hinting',
  'by hand': 'hinting by hand',
  stems: 'stem hints',
} as const;

function glyphText({ glyphs, characters, outlines, hinting, colour }: InspectedFont): string {
  const hints =
    hintingWords[hinting.kind] +
    (hinting.bytes > 0 ? ` (${kilobytes(hinting.bytes)} beside the glyphs)` : '');
  const colours = colour.length > 0 ? `; colours: ${colour.join(', ')}` : '';
  return `${glyphs} for ${count(characters, 'character')}; ${outlines} outlines, ${hints}${colours}`;
}

function axisItems({ axes, instances }: InspectedFont): string[][] {
  const items = axes.map(({ tag, name, minimum, start, maximum, hidden }) => [
    `${tag} ${minimum} to ${maximum}, starts at ${start}${name ? ` (${name})` : ''}${hidden ? ', hidden' : ''}`,
  ]);
  if (instances.length === 0) return items;
  const named = instances.map(({ name, coordinates }) => `${name} ${Object.values(coordinates).join('/')}`);
  return [...items, ['named:', ...listed(named)]];
}

function featureItems({ features }: InspectedFont): string[][] {
  const of = (byDefault: boolean) =>
    features
      .filter((feature) => feature.byDefault === byDefault)
      .map(({ tag, words }) => `${words} (${tag.trim()})`);
  const titled = (title: string, items: string[]) => (items.length > 0 ? [title, ...listed(items)] : []);
  return [titled('on by default:', of(true)), titled('to turn on:', of(false))];
}

function lineText({ metrics }: InspectedFont): string {
  const heights = new Set(metrics.platforms.map(({ lineHeight }) => lineHeight.toFixed(2)));
  const lines =
    heights.size === 1
      ? `${[...heights][0]} em on every system`
      : metrics.platforms
          .map(({ platform, lineHeight }) => `${lineHeight.toFixed(2)} em on ${platform}`)
          .join(', ');
  const { xHeight, capHeight } = metrics;
  const letters = [
    xHeight && `x-height ${xHeight.toFixed(2)}`,
    capHeight && `capitals ${capHeight.toFixed(2)}`,
  ];
  return [lines, ...letters.filter(Boolean)].join('; ');
}

/** The three sets of metrics, each as ascent, descent and gap. */
function metricText({ metrics: { hhea, typo, win, useTypoMetrics } }: InspectedFont): string {
  const sets = Object.entries({ hhea, typo, win }).flatMap(([name, set]) => {
    if (!set) return [];
    const gap = set.lineGap === 0 ? '' : ` and ${set.lineGap.toFixed(2)} between`;
    return [`${name} ${set.ascent.toFixed(2)} up, ${set.descent.toFixed(2)} down${gap}`];
  });
  return `${sets.join('; ')}${useTypoMetrics ? '; typo is meant (fsSelection bit 7)' : ''}`;
}

function licenceItems({ licence, licenceTexts, rights }: InspectedFont): string[] {
  const known = licence.recognised;
  const found = licenceTexts.length > 0 ? `; ${licenceTexts.join(', ')} beside it` : '';
  const head = known
    ? `${colors.bold(known.spdx)}, by its wording${found}`
    : `no open licence recognised${licence.licence ? `: ${licence.licence.slice(0, 160)}` : ''}${found}`;
  const embedding = licence.restricted ? colors.red(licence.embedding) : licence.embedding;
  return [
    head,
    `the file allows ${embedding}`,
    ...(known?.reservedFontNames ? [`reserved font name: ${known.reservedFontNames.join(', ')}`] : []),
    ...[
      licence.copyright?.split('\n')[0].slice(0, 200),
      licence.licenceUrl,
      licence.trademark?.slice(0, 120),
    ].filter((text) => text !== undefined),
    ...(rights !== undefined ? [`rights, as the config states: ${rights}`] : []),
  ];
}

const barWidth = 32;
const tablesShown = 8;

function weightLines({ weight, woff2Bytes }: InspectedFont, width: number): string[] {
  const largest = weight.tables[0]?.bytes ?? 1;
  const total = weight.tables.reduce((sum, { bytes }) => sum + bytes, 0);
  const longest = Math.min(barWidth, width - indent - 24);
  const shown = weight.tables.slice(0, tablesShown);
  const rest = weight.tables.slice(tablesShown);
  const restBytes = rest.reduce((sum, { bytes }) => sum + bytes, 0);
  const rows = [...shown, ...(rest.length > 0 ? [{ tag: `${rest.length} more`, bytes: restBytes }] : [])];
  const lines = rows.map(({ tag, bytes }, i) => {
    const bar = '█'.repeat(Math.max(bytes > 0 ? 1 : 0, Math.round((bytes / largest) * longest)));
    const title = i === 0 ? 'Tables' : '';
    const amount = `${kilobytes(bytes).padStart(9)} ${share(bytes, total).padStart(4)}`;
    return `${colors.dim(title.padEnd(indent))}${tag.padEnd(8)}${amount}  ${colors.cyan(bar)}`;
  });
  return woff2Bytes === undefined ? lines : [...lines, woff2Line(weight.file, woff2Bytes)];
}

/** What the font weighs as WOFF2. */
export function woff2Line(file: number, woff2Bytes: number): string {
  return `${colors.dim('WOFF2'.padEnd(indent))}${colors.bold(kilobytes(woff2Bytes))}, ${share(woff2Bytes, file)} of the file`;
}

function findingLines({ message, effect }: Finding, width: number, about = ''): string[] {
  const start = `${colors.yellow('finding')}  `;
  const lines = wrapped(
    [...(about ? [colors.bold(`${about}:`)] : []), ...`${message}; ${effect}`.split(' ')],
    width,
    9,
  );
  return [start + lines[0], ...lines.slice(1)];
}

/** A line for each of many fonts. */
export function tableLines(fonts: readonly InspectedFont[], columns: number): string[] {
  const weighed = fonts.some(({ woff2Bytes }) => woff2Bytes !== undefined);
  const rows = fonts.map(({ path, face, characters, weight, licence, findings, woff2Bytes, outlines }) => [
    path.length > 44 && columns < 140 ? `…${path.slice(-43)}` : path,
    face.family,
    rangeWords(face.weight).replace(' ', '–'),
    face.style + (face.stretch[0] === 100 && face.stretch[1] === 100 ? '' : ` ${rangeWords(face.stretch)}%`),
    outlines,
    `${characters}`,
    kilobytes(weight.file),
    ...(weighed ? [woff2Bytes === undefined ? '' : colors.bold(kilobytes(woff2Bytes))] : []),
    licence.restricted ? colors.red('restricted') : (licence.recognised?.spdx ?? '–'),
    findings.length > 0 ? colors.yellow(`${findings.length}`) : '–',
  ]);
  const right = (title: string) => ({ title, align: 'right' as const });
  return table(
    [
      { title: 'font' },
      { title: 'family' },
      { title: 'weight' },
      { title: 'style' },
      { title: 'outlines' },
      right('characters'),
      right('size'),
      ...(weighed ? [right('woff2')] : []),
      { title: 'licence' },
      right('findings'),
    ],
    rows,
  );
}

/** Families as grids of weights and styles, and everything that was found. */
export function familyLines(
  { fonts, families }: Pick<InspectResult, 'fonts' | 'families'>,
  columns: number,
): string[] {
  const width = Math.max(60, Math.min(columns, 120));
  const grids = families.flatMap(({ family, weights, styles, files }) => {
    // Pages ask for regular and bold; it has to show where one of them isn't there.
    const rows = [...new Set([...weights, 400, 700])].sort((a, b) => a - b);
    const cell = (paths: string[] | undefined) => {
      if (!paths || paths.length === 0) return colors.dim('·');
      return paths.length === 1 ? colors.green('●') : colors.yellow(`● ${paths.length} files`);
    };
    return [
      ...table(
        [{ title: family || 'no family name' }, ...styles.map((title) => ({ title }))],
        rows.map((weight) => [
          `  ${weight}`,
          ...styles.map((_, column) =>
            cell(files[weights.indexOf(weight)]?.[column] ?? covering(files, weights, weight, column)),
          ),
        ]),
      ),
      '',
    ];
  });
  const ofFamilies = families.flatMap(({ family, findings }) =>
    findings.flatMap((f) => findingLines(f, width, family)),
  );
  const ofFonts = groupedFindings(fonts).flatMap(({ about, finding }) => findingLines(finding, width, about));
  const all = [...ofFamilies, ...ofFonts];
  const legend = colors.dim(
    '● a file draws it   · no file does: browsers take the nearest and fake the bold or the slant',
  );
  return [...grids, legend, '', ...(all.length > 0 ? all : [colors.green('Nothing in them disagrees.')])];
}

/** What several fonts have in common is said once. */
function groupedFindings(fonts: readonly InspectedFont[]): { about: string; finding: Finding }[] {
  const groups = new Map<string, { paths: string[]; finding: Finding }>();
  for (const { path, findings } of fonts) {
    for (const finding of findings) {
      const key = `${finding.message}; ${finding.effect}`;
      const group = groups.get(key);
      if (group) group.paths.push(path);
      else groups.set(key, { paths: [path], finding });
    }
  }
  return [...groups.values()].map(({ paths, finding }) => ({
    about: paths.length > 3 ? `${paths[0]} and ${paths.length - 1} more` : paths.join(', '),
    finding,
  }));
}

/** The files of a variable face that spans a weight between the rows of the grid. */
function covering(files: string[][][], weights: number[], weight: number, column: number): string[] {
  const above = weights.findIndex((value) => value > weight);
  if (above < 1) return [];
  return files[above - 1][column].filter((path) => files[above][column].includes(path));
}
