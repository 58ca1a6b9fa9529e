import { element } from '../elements.js';
import {
  codePointsIn,
  codePointText,
  faceText,
  keyOf,
  signOf,
  type PageFace,
  type Report,
  type SiteFace,
} from './data.js';

const rulesShown = 12;
const placesShown = 40;

/** Who asks for a face, its characters, and where each is drawn. @param page undefined for all pages */
export function chosenFace(report: Report, face: SiteFace, page: string | undefined): Node[] {
  const key = keyOf(face);
  const on = report.pages
    .filter((one) => page === undefined || one.page === page)
    .map((one) => ({ page: one.page, faces: one.faces.filter((other) => keyOf(other) === key) }))
    .filter(({ faces }) => faces.length > 0);
  const characters = [
    ...new Set(on.flatMap(({ faces }) => faces.flatMap((one) => codePointsIn(one.characters)))),
  ];
  characters.sort((a, b) => a - b);
  const places = element('ol', { className: 'places' });
  const buttons = characters.map((codePoint) => {
    const button = element('button', { type: 'button', title: codePointText(codePoint) }, signOf(codePoint));
    button.addEventListener('click', () => {
      for (const other of buttons) other.classList.toggle('chosen', other === button);
      places.replaceChildren(...placesOf(on, codePoint));
    });
    return button;
  });
  places.replaceChildren(...placesOf(on, undefined));
  const where = page === undefined ? `${face.pages} page${face.pages === 1 ? '' : 's'}` : page;
  return [
    element('h2', {}, `${faceText(face.asked)} on ${where}`),
    element('p', {}, face.drawnBy ? `drawn by ${face.drawnBy.url}` : 'drawn by a font of the system'),
    element(
      'div',
      { className: 'columns' },
      element('div', {}, element('h3', {}, 'Asked for by'), rulesOf(face)),
      element(
        'div',
        {},
        element('h3', {}, `${characters.length} characters`),
        element('div', { className: 'characters' }, ...buttons),
        element('h3', {}, 'First drawn in'),
        places,
      ),
    ),
  ];
}

function rulesOf({ rules }: SiteFace): Node {
  const grouped = new Map<string, { text: string; selector: string; properties: string[] }>();
  for (const { file, line, selector, property } of rules) {
    const text = line > 0 ? `${file}:${line}` : file;
    const known = grouped.get(text + selector);
    if (known) known.properties.push(property);
    else grouped.set(text + selector, { text, selector, properties: [property] });
  }
  const shown = [...grouped.values()].slice(0, rulesShown);
  const items = shown.map(({ text, selector, properties }) =>
    element(
      'li',
      {},
      element('code', {}, selector),
      element('span', { className: 'place' }, text),
      element('span', { className: 'properties' }, properties.join(', ')),
    ),
  );
  if (items.length === 0) items.push(element('li', {}, 'the browser’s own style'));
  if (grouped.size > rulesShown) items.push(element('li', {}, `and ${grouped.size - rulesShown} more`));
  return element('ul', { className: 'rules' }, ...items);
}

/** @param codePoint undefined for all characters */
function placesOf(on: readonly { page: string; faces: PageFace[] }[], codePoint: number | undefined): Node[] {
  const found = on.flatMap(({ page, faces }) =>
    faces.flatMap(({ places = [] }) =>
      places
        .filter(({ characters }) => codePoint === undefined || codePointsIn(characters).includes(codePoint))
        .map((place) => ({ page, ...place })),
    ),
  );
  const items = found
    .slice(0, placesShown)
    .map(({ page, line, element: name, text, characters }) =>
      element(
        'li',
        {},
        element('span', { className: 'place' }, line > 0 ? `${page}:${line}` : page),
        element('code', {}, name),
        element('q', {}, text),
        element(
          'span',
          { className: 'signs' },
          codePoint === undefined ? codePointsIn(characters).map(signOf).join(' ') : '',
        ),
      ),
    );
  if (found.length > placesShown) items.push(element('li', {}, `and ${found.length - placesShown} more`));
  return items;
}
