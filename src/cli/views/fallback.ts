import colors from 'picocolors';
import type { FallbackResult } from '../../app/stand-ins/fallback.js';
import type { Moves, PageMoves, StandIn } from '../../kit/stand-ins/index.js';
import { movedParagraphs } from './moves.js';
import { count, table, wrapped, type Column } from './words.js';

type Face = FallbackResult['faces'][number];

const columns: readonly Column[] = [
  { title: 'face' },
  { title: 'stand-in' },
  { title: 'on' },
  { title: 'size', align: 'right' },
  { title: 'but' },
  { title: 'ascent', align: 'right' },
  { title: 'descent', align: 'right' },
  { title: 'other lines', align: 'right' },
  { title: 'tuned', align: 'right' },
];

const pagesShown = 7;
const movedShown = 4;
const widest = 110;

const prose = (text: string): string[] => wrapped(text.split(' '), widest);

/** The stand-ins of each face, and what still moves. @param all whether all pages are shown */
export function fallbackLines({ faces, pages, findings }: FallbackResult, all = false): string[] {
  return [
    ...table(columns, faces.flatMap(rowsOf)),
    '',
    ...wordsOf(faces, pages),
    ...pageLines(pages, all),
    ...findings.map(({ message, advice }) => `${colors.yellow('note')}  ${message}: ${advice}`),
    '',
    `${colors.bold('Next')}  paste the rules, and name what they declare behind the face: ${exampleOf(faces)};`,
    '      kits of build have them already, and wire writes the names into the stacks of a site.',
  ];
}

/** A stack, as the rules are for. */
const exampleOf = ([first]: readonly Face[]): string =>
  first ? `"${first.family}", "${first.standIn}", …` : '…';

function rowsOf({ family, face, bands }: Face): string[][] {
  return bands.flatMap(({ weight: [low, high], standIns }) =>
    [...standIns].reverse().flatMap((one, i) => {
      const weights = bands.length > 1 ? ` (${low}–${high})` : '';
      return standInRows(i === 0 ? `${family} ${face}${weights}` : '', one);
    }),
  );
}

const percent = (scale: number) => `${(scale * 100).toFixed(1)}%`;

/** A row, and one more for each further kind of characters of another size. */
function standInRows(
  face: string,
  { local, systems, scales, ascent, descent, untuned, tuned }: StandIn,
): string[][] {
  const [first = '', ...more] = Object.entries(scales).flatMap(([kind, scale]) =>
    scale === scales.letters ? [] : [`${kind} ${Math.round(scale * 100)}%`],
  );
  return [
    [
      face,
      local,
      systems.join(', '),
      percent(scales.letters),
      first,
      `${ascent.toFixed(1)}%`,
      `${descent.toFixed(1)}%`,
      shareText(untuned),
      colors.bold(shareText(tuned)),
    ],
    ...more.map((kind) => ['', '', '', '', kind, '', '', '', '']),
  ];
}

/** Paragraphs with another number of lines. */
const shareText = ({ otherCount, paragraphs }: Moves): string =>
  paragraphs === 0 ? '–' : `${((otherCount / paragraphs) * 100).toFixed(1)}%`;

/** What the shares are of. */
function wordsOf(faces: readonly Face[], pages: readonly PageMoves[]): string[] {
  const bands = faces.flatMap((face) => face.bands);
  const own = bands.filter(({ isOfSite }) => isOfSite).length;
  const measured = [
    ...new Set(bands.flatMap(({ standIns }) => standIns.map((one) => `${one.local} by ${one.measured}`))),
  ];
  const text =
    pages.length === 0
      ? 'sentences set in lines of several lengths'
      : own === bands.length
        ? 'the text of the site, in its own lines'
        : 'the text of the site, in its own lines; sentences where it has hardly any in a face';
  return [
    ...prose(`Other lines: paragraphs that have another number of lines until the face arrives, of ${text}.`),
    ...prose(`Widths: ${measured.join(', ')}; stand-ins are drawn without kerning.`),
  ];
}

function pageLines(pages: readonly PageMoves[], all: boolean): string[] {
  if (pages.length === 0) return [];
  const sum = (of: (page: PageMoves) => number) => pages.reduce((total, page) => total + of(page), 0);
  const moving = pages
    .filter(({ untuned, tuned }) => untuned > 0 || tuned > 0)
    .sort((a, b) => b.tuned - a.tuned || b.untuned - a.untuned);
  const shown = all ? moving : moving.slice(0, pagesShown);
  const rows = shown.map(({ page, width, paragraphs, untuned, tuned }) => [
    page,
    `${width}`,
    `${paragraphs}`,
    `${untuned}`,
    colors.bold(`${tuned}`),
  ]);
  const total = `${count(
    sum(({ paragraphs }) => paragraphs),
    'paragraph',
  )} on ${count(new Set(pages.map(({ page }) => page)).size, 'page')} at ${[...new Set(pages.map(({ width }) => width))].join(', ')} px: ${sum(({ untuned }) => untuned)} have other lines with local fonts as they are, ${sum(({ tuned }) => tuned)} tuned.`;
  const moved = movedParagraphs(moving)
    .slice(0, all ? Infinity : movedShown)
    .map((line) => `  ${line}`);
  return [
    '',
    ...table(
      [
        { title: 'page' },
        { title: 'px', align: 'right' },
        { title: 'paragraphs', align: 'right' },
        { title: 'move', align: 'right' },
        { title: 'tuned', align: 'right' },
      ],
      rows,
    ),
    ...(moving.length > shown.length
      ? [`and ${moving.length - shown.length} more; --verbose lists them`]
      : []),
    ...prose(total),
    ...moved,
  ];
}
