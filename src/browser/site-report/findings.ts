import { element } from '../elements.js';
import type { Finding, Report } from './data.js';

const pagesShown = 6;

/** Findings, each with the lines of its source. */
export const findingCards = (report: Report): Node[] => report.findings.map((one) => card(one, report));

function card({ severity, message, effect, advice, place, pages }: Finding, report: Report): Node {
  const { file, line, selector } = place;
  const where = file === undefined ? '' : line ? `${file}:${line}` : file;
  const more = pages.length - pagesShown;
  const listed = pages.length === report.pages.length ? 'every page' : pages.slice(0, pagesShown).join(', ');
  const source = report.sources[where];
  return element(
    'article',
    { className: severity },
    element(
      'p',
      { className: 'head' },
      element('b', {}, severity),
      ' ',
      element('span', { className: 'place' }, where),
      ' ',
      element('code', {}, selector ?? ''),
    ),
    element('h3', {}, capitalised(message)),
    ...(source
      ? [element('pre', {}, ...source.lines.map((text, i) => sourceLine(text, source.first + i, line)))]
      : []),
    element('p', {}, `${capitalised(effect)}. `, element('strong', {}, `${capitalised(advice)}.`)),
    element(
      'p',
      { className: 'on' },
      `On ${listed}${more > 0 && listed !== 'every page' ? ` and ${more} more` : ''}.`,
    ),
  );
}

const sourceLine = (text: string, number: number, wanted: number | undefined): Node =>
  element(
    'span',
    { className: number === wanted ? 'wanted' : '' },
    element('i', {}, String(number)),
    `${text}\n`,
  );

/** What begins with a file's name stays as it is. */
const capitalised = (text: string): string =>
  /^[^\s]*[./]/.test(text) ? text : text.charAt(0).toUpperCase() + text.slice(1);
