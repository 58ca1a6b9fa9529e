import colors from 'picocolors';

/** Longer ones are better in a file. */
const mostLines = 40;

/** Rules to paste, or where they were written. @param css the file that they were written to */
export function ruleLines(rules: string, css: string | undefined): string[] {
  if (css !== undefined) return [`${colors.bold('Rules')} ${css}`];
  const lines = rules.trimEnd().split('\n');
  if (lines.length > mostLines)
    return [
      `${colors.bold('Rules')} for ${rules.split('@font-face').length - 1} faces: --css <file> writes them`,
    ];
  return [`${colors.bold('Rules')} for a stylesheet beside the fonts:`, ...lines];
}
