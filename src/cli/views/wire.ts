import colors from 'picocolors';
import type { WireResult } from '../../app/wiring/wire.js';
import { placeText } from '../../errors.js';
import type { Finding } from '../../findings.js';
import { count } from './words.js';

/**
 * What was changed, or would be, and what is left to do.
 *
 * @param asked the call that does what a dry run shows
 */
export function wireLines(result: WireResult, { isDry, asked }: { isDry: boolean; asked: string }): string[] {
  const { site, files, unchanged, findings, undone, printed, isHeld, held } = result;
  if (undone) return undoneLines(undone, isDry, asked);
  if (printed) return [...printed.text.trimEnd().split('\n'), '', `Next  put this into ${printed.where}.`];
  const isShown = isDry || isHeld;
  const diffs = isDry ? files.flatMap(({ diff }) => [...diffLines(diff), '']) : [];
  const same = unchanged > 0 ? `, ${unchanged} as they should be` : '';
  const left =
    held.length > 0 && !isHeld
      ? `, ${count(held.length, 'file')} left as ${held.length === 1 ? 'it was' : 'they were'}`
      : '';
  return [
    ...diffs,
    `${colors.bold('Wire')}  ${site}: ${count(files.length, 'file')} ${isShown ? 'would change' : 'changed'}${same}${left}`,
    ...(isDry ? [] : files.map(({ file }) => `      ${file}`)),
    ...held.map((file) => `      ${file}  ${colors.yellow('left as it was')}`),
    '',
    ...findingLines(findings),
    ...(isHeld
      ? [
          `Nothing ${isDry ? 'would be' : 'was'} written: ${count(held.length, 'file')} would make pages worse.`,
          '',
        ]
      : []),
    ...nextLines(result, isDry, asked),
  ];
}

function nextLines({ site, isHeld, held, findings }: WireResult, isDry: boolean, asked: string): string[] {
  if (isHeld)
    return [
      'Next  correct the config, build, and call it again; without --strict all other files are written.',
    ];
  if (isDry) return [`Next  ${asked}`];
  if (held.length > 0)
    return [
      'Next  correct the config, build, and call it again; wire --force writes those files too,',
      '      and wire --undo brings every file back.',
    ];
  const isOtherwise = findings.some(({ code }) => code === 'drawn-otherwise');
  return [
    isOtherwise
      ? 'Next  look at the pages that are drawn otherwise;'
      : `Next  dense-glyph scan ${site} says what still asks another host;`,
    '      dense-glyph wire --undo brings every file back.',
  ];
}

const marks = {
  'page-held': colors.red('left as it was'),
  'drawn-as-asked': colors.dim('as asked'),
  'drawn-otherwise': colors.red('otherwise'),
  'faces-left-out': colors.dim('goes'),
  'reference-stays': colors.yellow('stays'),
  'rule-stays': colors.yellow('stays'),
} as Partial<Record<Finding['code'], string>>;

/** So many lines of one kind are told each by itself. */
const mostAlike = 12;

/** The same thing in several files once; each kind in a block. */
function findingLines(findings: readonly Finding[]): string[] {
  const groups = new Map<string, { mark: string; text: string; places: string[] }>();
  for (const { code, message, place, advice } of findings) {
    const mark = marks[code] ?? colors.yellow('by hand');
    const isAdvised = marks[code] === undefined || code === 'page-held';
    const text = isAdvised ? `${message}; ${advice}` : message;
    const known = groups.get(mark + text) ?? { mark, text, places: [] };
    known.places.push(placeText(place));
    groups.set(mark + text, known);
  }
  const byMark = new Map<string, string[]>();
  for (const { mark, text, places } of groups.values()) {
    const [first, ...others] = places;
    const more = others.length > 0 ? ` (and ${others.length} more)` : '';
    byMark.set(mark, [...(byMark.get(mark) ?? []), `${mark}  ${first}${more}: ${text}`]);
  }
  const lines = [...byMark.values()].flatMap((list) =>
    list.length > mostAlike
      ? [...list.slice(0, mostAlike), `      and ${list.length - mostAlike} more; --json lists them`]
      : list,
  );
  return lines.length > 0 ? [...lines, ''] : [];
}

const words = {
  restored: 'brought back',
  merged: 'brought back, but for what somebody changed since',
  untouched: 'as it was',
  changed:
    'left alone, as somebody changed the same lines since: take the block between the dense-glyph comments out by hand',
  gone: 'not there now; it is remembered until it is',
  lost: 'left alone: what it was before is not kept any more',
} as const;

function undoneLines(undone: NonNullable<WireResult['undone']>, isDry: boolean, asked: string): string[] {
  if (undone.length === 0) return ['There is nothing to undo.'];
  const told = undone.map(({ file, state, lines }) => {
    const isLeft = state === 'changed' || state === 'lost' || state === 'gone';
    const where = lines && lines.length > 0 ? `${file}:${lines.join(', ')}` : file;
    return `${where}  ${isLeft ? colors.yellow(words[state]) : words[state]}`;
  });
  if (!isDry) return told;
  return [
    ...undone.flatMap(({ diff }) => (diff === undefined ? [] : [...diffLines(diff), ''])),
    ...told,
    '',
    `Next  ${asked}`,
  ];
}

/** A unified diff in colour, without its first line. */
const diffLines = (diff: string): string[] =>
  diff
    .trimEnd()
    .split('\n')
    .filter((line) => !/^(=====|Index: )/.test(line))
    .map((line) => {
      if (line.startsWith('+++') || line.startsWith('---')) return colors.bold(line.trimEnd());
      if (line.startsWith('+')) return colors.green(line);
      if (line.startsWith('-')) return colors.red(line);
      return line.startsWith('@@') ? colors.cyan(line) : line;
    });
