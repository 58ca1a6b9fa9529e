import colors from 'picocolors';
import type { WireResult } from '../../app/wire.js';
import { count } from './words.js';

/**
 * What was changed, or would be, and what is left to do.
 *
 * @param asked the call that does what a dry run shows
 */
export function wireLines(
  { site, files, unchanged, byHand, undone, printed }: WireResult,
  { isDry, asked }: { isDry: boolean; asked: string },
): string[] {
  if (undone) return undoneLines(undone);
  if (printed) return [...printed.text.trimEnd().split('\n'), '', `Next  put this into ${printed.where}.`];
  const diffs = isDry ? files.flatMap(({ diff }) => [...diffLines(diff), '']) : [];
  const done = isDry ? 'would change' : 'changed';
  const same = unchanged > 0 ? `, ${unchanged} as they should be` : '';
  return [
    ...diffs,
    `${colors.bold('Wire')}  ${site}: ${count(files.length, 'file')} ${done}${same}`,
    ...(isDry ? [] : files.map(({ file }) => `      ${file}`)),
    '',
    ...byHand.map(({ file, line, what }) => `${colors.yellow('by hand')}  ${file}:${line}: ${what}`),
    ...(byHand.length > 0 ? [''] : []),
    ...(isDry
      ? [`Next  ${asked}`]
      : [
          `Next  dense-glyph scan ${site} says what still asks another host;`,
          '      dense-glyph wire --undo brings every file back.',
        ]),
  ];
}

const words = {
  restored: 'brought back',
  untouched: 'as it was',
  changed: 'changed since, so it was left alone: take the block between the dense-glyph comments out by hand',
  gone: 'not there any more',
} as const;

function undoneLines(undone: NonNullable<WireResult['undone']>): string[] {
  if (undone.length === 0) return ['There is nothing to undo.'];
  return undone.map(({ file, state }) => {
    const word = state === 'changed' ? colors.yellow(words[state]) : words[state];
    return `${file}  ${word}`;
  });
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
