/** The report of a scan: the matrix of faces and pages, the face that is chosen, and the findings. */
import { element, find } from '../elements.js';
import { chosenFace } from './chosen-face.js';
import { faceText, keyOf, type Report } from './data.js';
import { findingCards } from './findings.js';
import { matrix } from './matrix.js';

const report = JSON.parse(find('#data').textContent) as Report;
const own = report.faces.filter(({ drawnBy }) => drawnBy !== null);
const files = new Map(own.flatMap(({ drawnBy, bytes }) => (drawnBy && bytes ? [[drawnBy.url, bytes]] : [])));
const bytes = [...files.values()].reduce((sum, one) => sum + one, 0);
const count = (number: number, noun: string) => `${number} ${noun}${number === 1 ? '' : 's'}`;
const bySeverity = (wanted: string) => report.findings.filter(({ severity }) => severity === wanted).length;

const detail = element('section', { className: 'detail' });
const choose = (key: string, page?: string) => {
  const face = report.faces.find((one) => keyOf(one) === key);
  if (face) detail.replaceChildren(...chosenFace(report, face, page));
  for (const one of document.querySelectorAll<HTMLElement>('[data-face]'))
    one.classList.toggle(
      'chosen',
      one.dataset.face === key && (page === undefined || !one.dataset.page || one.dataset.page === page),
    );
};

const facts = [
  count(report.pages.length, 'page'),
  `${count(own.length, 'face')} of their own`,
  `${report.faces.length - own.length} left to fonts of the system`,
  ...(bytes > 0 ? [`${count(files.size, 'font file')} with ${Math.round(bytes / 1000)} kB`] : []),
];
find('#report').append(
  element('header', {}, element('h1', {}, 'Fonts of the site'), element('p', {}, facts.join(' · '))),
  element(
    'main',
    {},
    element(
      'section',
      { className: 'matrix' },
      element('h2', {}, 'Which face draws on which page'),
      ...matrix(report, choose),
    ),
    detail,
    element(
      'section',
      { className: 'findings' },
      element(
        'h2',
        {},
        report.findings.length === 0
          ? 'Nothing is wrong with the fonts of these pages'
          : `What is wrong: ${[count(bySeverity('error'), 'error'), count(bySeverity('warning'), 'warning'), count(bySeverity('note'), 'note')].join(', ')}`,
      ),
      ...findingCards(report),
    ),
  ),
);
const [first] = report.faces;
if (first) choose(keyOf(first));
document.title = `Fonts of ${count(report.pages.length, 'page')}${first ? `: ${faceText(first.asked)} and others` : ''}`;
