import colors from 'picocolors';
import { choices, type Conditions } from '../../rehearsal/conditions.js';

/** Keys of the terminal, and what each moves on to its next value. */
const keys: Readonly<Record<string, Exclude<keyof typeof choices, never>>> = {
  l: 'line',
  p: 'paced',
  f: 'fonts',
  d: 'display',
  s: 'standIns',
  m: 'marked',
};

export const keyLines: readonly string[] = [
  '',
  `Keys    ${colors.bold('l')} line  ${colors.bold('p')} what it holds up  ${colors.bold('f')} font files  ${colors.bold('d')} font-display  ${colors.bold('s')} stand-ins  ${colors.bold('m')} marks  ${colors.bold('q')} ends it`,
];

/** What a key changes; undefined for one without a meaning. */
export function nextCondition(key: string, conditions: Conditions): Partial<Conditions> | undefined {
  if (!Object.hasOwn(keys, key)) return undefined;
  const name = keys[key];
  const values: readonly unknown[] = choices[name];
  return { [name]: values[(values.indexOf(conditions[name]) + 1) % values.length] };
}

/** As in `slow phone for everything, font files as they are, swap, stand-ins tuned`. */
export function conditionsLine({ line, paced, fonts, display, standIns, marked, files }: Conditions): string {
  const apart = Object.values(files).filter((how) => how !== 'as they are').length;
  return [
    line === 'none' ? 'as fast as it goes' : `${line} for ${paced}`,
    `font files ${fonts}${apart > 0 ? ` (${apart} otherwise)` : ''}`,
    `font-display ${display}`,
    `stand-ins ${standIns}`,
    ...(marked ? ['faces marked'] : []),
  ].join(', ');
}

export function rehearsalLines({
  origin,
  site,
  beside,
  conditions,
}: {
  origin: string;
  site: string;
  beside?: string;
  conditions: () => Conditions;
}): string[] {
  return [
    `Site    ${colors.bold(`${origin}/`)}  ${site}`,
    ...(beside === undefined ? [] : [`Both    ${colors.bold(beside)}`]),
    `Now     ${conditionsLine(conditions())}`,
    '        each page has a panel with what happened and the same switches; nothing is written into the site',
  ];
}
