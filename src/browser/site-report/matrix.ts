import { kilobytes } from '../amounts.js';
import { element } from '../elements.js';
import { codePointsIn, faceText, keyOf, type PageFace, type Report, type SiteFace } from './data.js';

/** Of more, those with most faces are shown. */
const mostPages = 60;

/** Faces in rows, pages in columns: how many characters one draws on the other. */
export function matrix(report: Report, choose: (key: string, page?: string) => void): Node[] {
  const pages = [...report.pages]
    .sort((a, b) => b.faces.length - a.faces.length)
    .slice(0, mostPages)
    .sort((a, b) => report.pages.indexOf(a) - report.pages.indexOf(b));
  const head = element(
    'tr',
    {},
    element('th', {}, 'Face'),
    element('th', {}, 'Drawn by'),
    element('th', { className: 'number' }, 'Pages'),
    ...pages.map(({ page }) => element('th', { className: 'page', title: page }, element('span', {}, page))),
  );
  const rows = report.faces.map((face) => row(face, pages, choose));
  const left = report.pages.length - pages.length;
  return [
    element('div', { className: 'scroll' }, element('table', {}, head, ...rows)),
    element(
      'p',
      { className: 'legend' },
      'Numbers are characters drawn on load, in brackets those that are drawn after something happens. ',
      element('b', { className: 'faked' }, 'Faked'),
      ' where the browser makes up a bold or a slant.',
      left > 0 ? ` ${left} more pages are not shown.` : '',
    ),
  ];
}

function row(face: SiteFace, pages: Report['pages'], choose: (key: string, page?: string) => void): Node {
  const key = keyOf(face);
  const name = element('button', { type: 'button', data: { face: key } }, faceText(face.asked));
  name.addEventListener('click', () => choose(key));
  const file = face.drawnBy?.url.replace(/^.*\//s, '').replace(/[?#].*$/s, '');
  const size = face.bytes === null ? '' : ` ${kilobytes(face.bytes)}`;
  return element(
    'tr',
    {},
    element('th', { scope: 'row' }, name),
    element(
      'td',
      { className: 'file', title: face.drawnBy?.url ?? '' },
      (file ?? 'a font of the system') + size,
    ),
    element('td', { className: 'number' }, String(face.pages)),
    ...pages.map(({ page, faces }) => cell(face, page, faces, choose)),
  );
}

function cell(
  face: SiteFace,
  page: string,
  faces: readonly PageFace[],
  choose: (key: string, page?: string) => void,
): Node {
  const key = keyOf(face);
  const own = faces.filter((one) => keyOf(one) === key);
  if (own.length === 0) return element('td', { className: 'number' });
  const count = (certainty: string) =>
    own
      .filter((one) => one.certainty === certainty)
      .reduce((sum, { characters }) => sum + codePointsIn(characters).length, 0);
  const [drawn, possible] = [count('drawn'), count('possible')];
  const isFaked = own.some(({ faked, certainty }) => certainty === 'drawn' && faked.length > 0);
  const button = element(
    'button',
    { type: 'button', className: isFaked ? 'faked' : '', data: { face: key, page } },
    drawn > 0 ? String(drawn) : `(${possible})`,
  );
  button.addEventListener('click', () => choose(key, page));
  const strength = drawn > 0 ? Math.min(1, 0.15 + drawn / 120) : 0;
  const cellElement = element('td', { className: 'number drawn' }, button);
  cellElement.style.setProperty('--strength', strength.toFixed(2));
  return cellElement;
}
