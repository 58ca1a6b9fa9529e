import colors from 'picocolors';
import type { ScanResult } from '../../app/scanning/scan.js';
import { placeText } from '../../errors.js';
import { wrapped } from './words.js';

export type SiteFinding = ScanResult['findings'][number];

const findingsShown = 40;

/** Findings by what follows from them, each with its rule and its pages. @param total how many pages there are */
export const siteFindingLines = (
  findings: readonly SiteFinding[],
  total: number,
  width: number,
): string[] => [
  ...groupsOf(findings.slice(0, findingsShown)).flatMap((one) => groupLines(one, total, width)),
  ...(findings.length > findingsShown
    ? [`and ${findings.length - findingsShown} more findings: see --json`, '']
    : []),
];

const longestSelector = 36;
export const shortened = (selector: string) =>
  selector.length <= longestSelector ? selector : `${selector.slice(0, longestSelector - 1)}…`;

const severityColours = { error: colors.red, warning: colors.yellow, note: colors.dim };

/** Findings of one kind stand together; what follows from them is said once. */
function groupsOf(findings: readonly SiteFinding[]): SiteFinding[][] {
  const groups = new Map<string, SiteFinding[]>();
  for (const one of findings) {
    const key = `${one.code} ${one.effect}`;
    groups.set(key, [...(groups.get(key) ?? []), one]);
  }
  return [...groups.values()];
}

function groupLines(group: readonly SiteFinding[], total: number, width: number): string[] {
  const [{ severity, effect, advice }] = group;
  const isSameAdvice = group.every((one) => one.advice === advice);
  const indented = (text: string) =>
    wrapped(text.split(' '), width - 9, 0).map((line) => `${' '.repeat(9)}${line}`);
  const lines = group.flatMap((one) => {
    const { message, place, pages } = one;
    const head = [placeText(place), place.selector ? shortened(place.selector) : '']
      .filter(Boolean)
      .join('  ');
    const where = pages.length === total && total > 1 ? 'every page' : listedPages(pages);
    const isOwnPage = pages.length === 1 && pages[0] === place.file;
    return [
      `${' '.repeat(9)}${colors.bold(head || where)}`,
      ...indented(`${message}${head && !isOwnPage ? `, on ${where}` : ''}`),
      ...(isSameAdvice ? [] : indented(`→ ${one.advice}`)),
    ];
  });
  lines[0] = severityColours[severity](severity.padEnd(9)) + lines[0].slice(9);
  return [
    ...lines,
    ...indented(`${capitalised(effect)}.`),
    ...(isSameAdvice ? indented(`→ ${advice}`) : []),
    '',
  ];
}

const capitalised = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);
const pagesShown = 3;

function listedPages(pages: readonly string[]): string {
  const shown = pages.slice(0, pagesShown).join(', ');
  return pages.length > pagesShown ? `${shown} and ${pages.length - pagesShown} more` : shown;
}
