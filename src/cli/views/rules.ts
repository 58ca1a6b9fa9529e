import colors from 'picocolors';
import { wrapped } from './words.js';

/** Longer ones are better in a file. */
const mostLines = 40;

/** Rules to paste, or where they were written. @param css the file that they were written to */
export function ruleLines(rules: string, css: string | undefined): string[] {
  if (css !== undefined) return [`${colors.bold('Rules')} ${css}`];
  const lines = rules.trimEnd().split('\n').flatMap(folded);
  if (lines.length > mostLines)
    return [
      `${colors.bold('Rules')} ${rules.split('@font-face').length - 1} in all: --css <file> writes them`,
    ];
  return [`${colors.bold('Rules')} for a stylesheet beside the fonts:`, ...lines];
}

const widest = 100;

/** A long descriptor, as a list of ranges, in several lines. */
function folded(line: string): string[] {
  if (line.length <= widest) return [line];
  const [start] = /^ */.exec(line)!;
  return wrapped(
    [start + line.trim().split(' ')[0], ...line.trim().split(' ').slice(1)],
    widest,
    start.length + 2,
  );
}
