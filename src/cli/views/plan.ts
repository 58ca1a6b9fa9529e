import colors from 'picocolors';
import type { LoadingPlan, PagePlan, PageTimes } from '../../kit/index.js';
import { seconds, sizeText } from '../../core/text/amounts.js';
import { connectionText } from '../../kit/timeline/index.js';
import { table, wrapped } from './words.js';

const middleOf = (values: readonly number[]): number => [...values].sort((a, b) => a - b)[values.length >> 1];

type TimesOf = (line: PagePlan['lines'][number]) => PageTimes | undefined;

/** Of all pages, on one line. */
function middleTime(
  { pages }: LoadingPlan,
  i: number,
  of: TimesOf,
  name: keyof PageTimes,
): number | undefined {
  const values = pages.flatMap((page) => of(page.lines[i])?.[name] ?? []);
  return values.length === 0 ? undefined : middleOf(values);
}

/** On the first line, in a sentence; with what was before, where pages asked hosts. */
export function planText(plan: LoadingPlan): string {
  const [{ name }] = plan.connections;
  const time = (of: TimesOf, what: keyof PageTimes) => seconds(middleTime(plan, 0, of, what) ?? 0);
  const asHosted = middleTime(plan, 0, ({ hosted }) => hosted, 'ownFaces');
  const before =
    asHosted === undefined
      ? ''
      : `; the same bytes hosted: ${time(({ hosted }) => hosted, 'firstText')} and ${seconds(asHosted)}`;
  return `on a ${name} text can be read after ${time(({ planned }) => planned, 'firstText')} and is in its own faces after ${time(({ planned }) => planned, 'ownFaces')}${before}`;
}

/** When text is there on each line, over all pages, and what the preloads of the plan bring. */
export function planLines(plan: LoadingPlan | undefined, all: boolean): string[] {
  if (!plan || plan.pages.length === 0) return [];
  const { pages } = plan;
  const middle = (i: number, of: TimesOf, name: keyof PageTimes) => {
    const value = middleTime(plan, i, of, name);
    return value === undefined ? '' : seconds(value);
  };
  const isHosted = pages.some((page) => page.lines.some(({ hosted }) => hosted));
  const rows = plan.connections.map((line, i) => [
    connectionText(line),
    ...(isHosted
      ? [middle(i, ({ hosted }) => hosted, 'firstText'), middle(i, ({ hosted }) => hosted, 'ownFaces')]
      : []),
    colors.bold(middle(i, ({ planned }) => planned, 'firstText')),
    middle(i, ({ plain }) => plain, 'ownFaces'),
    colors.bold(middle(i, ({ planned }) => planned, 'ownFaces')),
    middle(i, ({ withEarlyHints }) => withEarlyHints, 'ownFaces'),
  ]);
  const right = (title: string) => ({ title, align: 'right' as const });
  const columns = [
    { title: 'line' },
    ...(isHosted ? [right('hosted: text'), right('own faces')] : []),
    right('first text'),
    right('in its faces'),
    right('with preloads'),
    right('early hints'),
  ];
  return [
    '',
    `${colors.bold('Plan')}  when text can be read, and when the first screenful is in its own faces; the middle of ${pages.length} pages,`,
    '      reckoned from bytes and lines, without what browsers and servers take for themselves',
    '',
    ...table(columns, rows),
    '',
    ...wrapped(displayText(plan).split(' '), 100),
    ...firstPartText(plan).flatMap((text) => ['', ...wrapped(text.split(' '), 100)]),
    ...(all ? ['', ...pages.flatMap(pageLines)] : []),
  ];
}

/** What other values of font-display would do on the first line, where it is worst. */
function displayText({ pages, connections: [{ name }] }: LoadingPlan): string {
  const worst = (value: keyof PagePlan['lines'][number]['displays']) => {
    const all = pages.map(({ lines: [{ displays }] }) => displays[value]);
    return {
      hidden: Math.max(...all.map(({ hidden }) => hidden)),
      share: Math.min(...all.map(({ inOwnFaces }) => inOwnFaces)),
    };
  };
  const { hidden } = worst('block');
  const [fallback, optional] = [worst('fallback'), worst('optional')].map(
    ({ share }) => `${Math.round(share * 100)}%`,
  );
  return `On a ${name} swap hides no text; block would hide it for ${seconds(hidden)}; on a first visit fallback draws ${fallback} of the first screenful in its own faces, optional ${optional}.`;
}

/** What pages carry of a face themselves, or what it would bring. */
function firstPartText({ pages, connections: [{ name }] }: LoadingPlan): string[] {
  const parts = pages.flatMap(({ page, first }) => (first ? [{ page, ...first }] : []));
  if (parts.length === 0) return [];
  const [offered] = parts.filter(({ file }) => file === undefined);
  const gains = parts.map(({ lines: [{ gain }] }) => gain).sort((a, b) => a - b);
  if (offered)
    return [
      `With loading: { inline: auto } pages carry what they draw of their main face themselves where that pays: ${offered.page} ${sizeText(offered.bytes)}, and its text would be in it ${seconds(gains[0])} earlier on a ${name}.`,
    ];
  const bytes = parts.map((one) => one.bytes);
  return [
    `${parts.length} of ${pages.length} pages carry what they draw of their main face themselves, ${sizeText(Math.min(...bytes))} to ${sizeText(Math.max(...bytes))}: their text is in it ${seconds(gains[gains.length >> 1])} earlier on a ${name}.`,
  ];
}

/** The preloads of a page, each with what it brings, and what the next would. */
function pageLines({ page, effects, next }: PagePlan): string[] {
  const told = ({ file, lines }: PagePlan['effects'][number], word: string) =>
    `  ${word} ${file}: ${lines.map(({ connection, gain, cost }) => `${gain < 5 ? 'nothing' : `${seconds(gain)} earlier`}${cost >= 10 ? `, first text ${seconds(cost)} later` : ''} on ${connection}`).join('; ')}`;
  return [
    page,
    ...effects.map((effect) => told(effect, 'preloads')),
    ...(next ? [told(next, 'not     ')] : []),
  ];
}
