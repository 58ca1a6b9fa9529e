import type { Finding } from '../../findings.js';
import colors from 'picocolors';
import { CodePointSet } from '../../core/text/code-point-set.js';
import { featureWords, isAppliedByDefault } from '../../data/feature-names.js';
import type { CutFont, SubsetResult } from '../../app/fonts/subset.js';
import { kilobytes } from '../../core/text/amounts.js';
import { characterText, count, lineWidth, listed, share, table, wrapped } from './words.js';
import type { Terminal } from '../terminal.js';

const indent = 12;

/** Loaded where something is missing. */
export type CharacterNames = (codePoint: number) => string | undefined;

/** Sizes of all; for one font also what stayed and what went. */
export function subsetLines(result: SubsetResult, terminal: Terminal, nameOf: CharacterNames): string[] {
  const { subsets } = result;
  const width = lineWidth(terminal);
  const lines = sizeLines(subsets);
  const asked = languageLines(result, width);
  const about =
    subsets.length === 1
      ? detailLines(subsets[0], result, width, nameOf)
      : summaryLines(result, width, nameOf);
  return [...lines, '', ...asked, ...about, ...row('Licences', listed(result.licences), width)];
}

function sizeLines(subsets: readonly CutFont[]): string[] {
  const rows = subsets.flatMap(({ input, inputBytes, outputs, glyphs }) =>
    outputs.map(({ path, bytes }) => [
      input,
      kilobytes(inputBytes),
      path,
      colors.bold(kilobytes(bytes)),
      share(bytes, inputBytes),
      `${glyphs.before}`,
      `${glyphs.after}`,
    ]),
  );
  const right = (title: string) => ({ title, align: 'right' as const });
  const columns = [
    { title: 'from' },
    right(''),
    { title: 'to' },
    right(''),
    right(''),
    right('glyphs'),
    right('left'),
  ];
  const total = subsets.flatMap(({ outputs }) => outputs).reduce((sum, { bytes }) => sum + bytes, 0);
  return [
    ...table(columns, rows),
    ...(subsets.length > 1
      ? ['', `${count(subsets.length, 'face')} come to ${colors.bold(kilobytes(total))}`]
      : []),
  ];
}

function row(title: string, words: readonly string[], width: number): string[] {
  if (words.length === 0) return [];
  const [first, ...rest] = wrapped(words, width, indent);
  return [colors.dim(title.padEnd(indent)) + first, ...rest];
}

function detailLines(subset: CutFont, result: SubsetResult, width: number, nameOf: CharacterNames): string[] {
  const { characters, tables, features, absent, leftOut, changes, legal, outputs } = subset;
  const before = tables.reduce((sum, one) => sum + one.before, 0);
  const after = tables.reduce((sum, one) => sum + one.after, 0);
  const shown = tables.filter((one) => one.before >= before / 200 || one.after >= after / 50);
  const gone = [...leftOut, ...outputs.flatMap(({ findings }) => findings)];
  return [
    ...row('Characters', hadWords(characters), width),
    ...missingLines(characters.missing, result, width, nameOf),
    ...besidesLines(characters, result, width),
    ...row('Also', companionWords(characters.companions), width),
    ...row(
      'Tables',
      [
        `${kilobytes(before)} → ${kilobytes(after)} before compression:`,
        ...listed(shown.map((t) => `${t.tag} ${kilobytes(t.before)} → ${kilobytes(t.after)}`)),
      ],
      width,
    ),
    ...row('Features', featureItems(features), width),
    ...absent.flatMap(({ message }) => row('', words(colors.yellow(message)), width)),
    ...row('', turnedOnItems(result.turnedOn, features), width),
    ...goneLines(gone, width),
    ...changes.flatMap(({ message }, i) => row(i === 0 ? 'Changed' : '', words(message), width)),
    ...legal.map(({ message }) => `${colors.yellow('licence')}     ${message}`),
  ];
}

const words = (text: string) => text.split(' ');

const goneLines = (gone: readonly Finding[], width: number): string[] =>
  gone.flatMap(({ message }, i) => row(i === 0 ? 'Note' : '', words(message), width));

function hadWords({ had, missing }: CutFont['characters']): string[] {
  return words(`${had.length} of ${count(had.length + missing.length, 'character')} asked for are there`);
}

function featureItems({ kept, left }: CutFont['features']): string[] {
  const items = kept.length > 0 ? ['kept', ...listed(kept.map((tag) => tag.trim()))] : [];
  if (left.length === 0) return items;
  return [
    ...items.slice(0, -1),
    ...(items.length > 0 ? [`${items[items.length - 1]};`] : []),
    'left out',
    ...listed(runsOf(left).map(namedRun)),
    ...words(`– --features ${left[0].trim()} keeps one`),
  ];
}

/** Features with numbers that follow each other are told together; some fonts have a hundred of them. */
function runsOf(tags: readonly string[]): string[][] {
  const runs: string[][] = [];
  for (const tag of tags) {
    const run = runs[runs.length - 1];
    if (run && nextNumbered(run[run.length - 1]) === tag) run.push(tag);
    else runs.push([tag]);
  }
  return runs.flatMap((run) => (run.length > 2 ? [run] : run.map((tag) => [tag])));
}

function nextNumbered(tag: string): string | undefined {
  const [, kind, number] = /^(ss|cv)(\d\d)$/.exec(tag) ?? [];
  return kind && `${kind}${`${Number(number) + 1}`.padStart(2, '0')}`;
}

function namedRun(run: readonly string[]): string {
  const [first, last] = [run[0], run[run.length - 1]];
  const text = featureWords(first) ?? 'its own';
  if (run.length === 1) return `${text} (${first.trim()})`;
  return `${text.replace(/ (\d+)$/, 's $1')} to ${Number(last.slice(2))} (${first} to ${last})`;
}

/** Which of those that pages turn on the font has, by file. */
function turnedOnItems(turnedOn: SubsetResult['turnedOn'], { kept }: CutFont['features']): string[] {
  const tags = Object.keys(turnedOn).filter((tag) => !isAppliedByDefault(tag));
  const there = new Map<string, string[]>();
  for (const tag of tags.filter((one) => kept.includes(one))) {
    const [file] = turnedOn[tag];
    there.set(file, [...(there.get(file) ?? []), tag]);
  }
  const lacking = tags.filter((tag) => !kept.includes(tag));
  const items = Array.from(there, ([file, found]) => [...words(`turned on in ${file}:`), ...listed(found)]);
  if (lacking.length > 0)
    items.push([
      ...words('turned on without effect:'),
      ...listed(lacking.map((tag) => `${tag} in ${turnedOn[tag][0]}`)),
    ]);
  return items.flatMap((part, i) =>
    i < items.length - 1 ? [...part.slice(0, -1), `${part[part.length - 1]};`] : part,
  );
}

/** What styles and elements of pages draw that their text doesn't hold; then what of it the font lacks. */
function besidesLines(
  { optional, had, missing }: CutFont['characters'],
  { besides }: SubsetResult,
  width: number,
): string[] {
  const there = new Set(optional);
  const asked = new Set([...had, ...missing]);
  const lines: string[][] = [];
  const all = new CodePointSet();
  for (const { by, files, characters, asSmallCapitals } of besides) {
    if (!asSmallCapitals) all.addAll(characters);
    const drawn = characters.codePoints().filter((codePoint) => there.has(codePoint));
    if (drawn.length > 0) lines.push([...shortList(drawn), ...words(`by ${by} in ${files[0]}`)]);
  }
  if (lines.length > 0) lines[0].unshift('also', 'draw');
  // Characters for private use are icons of other fonts.
  const lacking = all.codePoints().filter((c) => !there.has(c) && !asked.has(c) && !isPrivate(c));
  if (lacking.length > 0) lines.push([...words('missing of these:'), ...shortList(lacking)]);
  return lines.flatMap((line, i) => row(i === 0 ? 'Pages' : '', line, width));
}

const isPrivate = (codePoint: number) => (codePoint >= 0xe000 && codePoint <= 0xf8ff) || codePoint >= 0xf0000;

function shortList(codePoints: readonly number[]): string[] {
  const rest = codePoints.length - charactersNamed;
  const shown = codePoints.slice(0, charactersNamed).map(characterText);
  return rest > 0 ? [...shown, `and ${rest} more`] : shown;
}

function companionWords(companions: readonly number[]): string[] {
  if (companions.length === 0) return [];
  return [
    ...companions.slice(0, charactersShown).map(characterText),
    ...(companions.length > charactersShown ? ['…'] : []),
    ...words('which browsers draw or measure besides those asked for'),
  ];
}

const charactersShown = 16;
/** Up to so many, each is called by its name. */
const charactersNamed = 8;

/** What a font lacks of each language, then of what was asked for otherwise. */
function missingLines(
  missing: readonly number[],
  result: SubsetResult,
  width: number,
  nameOf: CharacterNames,
): string[] {
  const lines: string[] = [];
  const tell = (title: string, lacking: readonly number[]) => {
    if (lacking.length > 0)
      lines.push(...row('', [...words(title), ...characterItems(lacking, nameOf)], width));
  };
  for (const { name, letters } of result.languages) {
    const lacking = missing.filter((c) => letters.has(c));
    tell(colors.yellow(`${name} lacks ${lacking.length} of its ${count(letters.size, 'letter')}:`), lacking);
  }
  const isLetter = (c: number) => result.languages.some(({ letters }) => letters.has(c));
  const isOfLanguage = (c: number) => result.languages.some(({ characters }) => characters.has(c));
  const rarer = missing.filter((c) => isOfLanguage(c) && !isLetter(c));
  tell(`without ${rarer.length} rarer:`, rarer);
  const others = missing.filter((c) => !isOfLanguage(c));
  tell(`missing ${others.length}:`, others);
  return lines;
}

/** What languages came to. */
function languageLines({ languages }: SubsetResult, width: number): string[] {
  return languages.flatMap(({ name, letters, moreLetters, signs }, i) => {
    const more = moreLetters.size > 0 ? `${moreLetters.size} more for names and loan words, ` : '';
    const text = `${name}: ${count(letters.size, 'letter')}, ${more}${count(signs.size, 'sign')}`;
    return row(i === 0 ? 'Languages' : '', words(text), width);
  });
}

/** Each with its name, or many of them by themselves. */
function characterItems(codePoints: readonly number[], nameOf: CharacterNames): string[] {
  const rest = codePoints.length - charactersShown;
  const shown = codePoints.slice(0, charactersShown);
  if (codePoints.length > charactersNamed) {
    return [...shown.map(characterText), ...(rest > 0 ? [`and ${rest} more`] : [])];
  }
  return listed(shown.map((c) => [characterText(c), nameOf(c)].filter(Boolean).join(' ')));
}

/** What several faces have in common is said once. */
function summaryLines(result: SubsetResult, width: number, nameOf: CharacterNames): string[] {
  const groups = new Map<string, { inputs: string[]; lines: string[] }>();
  for (const { input, characters, features, absent, leftOut, changes, legal } of result.subsets) {
    const lines = [
      ...row('Characters', hadWords(characters), width),
      ...missingLines(characters.missing, result, width, nameOf),
      ...besidesLines(characters, result, width),
      ...row('Features', featureItems(features), width),
      ...absent.flatMap(({ message }) => row('', words(colors.yellow(message)), width)),
      ...row('', turnedOnItems(result.turnedOn, features), width),
      ...goneLines(leftOut, width),
      ...changes.flatMap(({ message }, i) => row(i === 0 ? 'Changed' : '', words(message), width)),
      ...legal.map(({ message }) => `${colors.yellow('licence')}     ${message}`),
    ];
    const key = lines.join('\n');
    const group = groups.get(key);
    if (group) group.inputs.push(input);
    else groups.set(key, { inputs: [input], lines });
  }
  return [...groups.values()].flatMap(({ inputs, lines }, i) => [
    ...(i > 0 ? [''] : []),
    ...(groups.size > 1 ? wrapped(listed(inputs), width).map((line) => colors.bold(line)) : []),
    ...lines,
  ]);
}
