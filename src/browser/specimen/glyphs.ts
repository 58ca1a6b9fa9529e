import { find } from '../elements.js';

/** The name of a script and its characters, each with the glyph's name or none. */
type ScriptCharacters = [script: string, characters: [codePoint: number, name: string][]];

/** How many cells are shown at a time. */
const step = 800;

const numberOf = (codePoint: number) => `U+${codePoint.toString(16).toUpperCase().padStart(4, '0')}`;

/** Whether a character is meant: by itself, by its number, by a part of its name, or by its script. */
function matches(query: string, script: string, [codePoint, name]: [number, string]): boolean {
  if (query === '') return true;
  if (/^u\+[0-9a-f]{1,6}$/i.test(query)) return codePoint === parseInt(query.slice(2), 16);
  if ([...query].length === 1) return query.codePointAt(0) === codePoint;
  return name.toLowerCase().includes(query.toLowerCase()) || script.toLowerCase() === query.toLowerCase();
}

/** The grid of all characters of a font, and the field that searches it. @param pick what a click does */
export function showGlyphs(section: HTMLElement, pick: (character: string, title: string) => void): void {
  const groups = JSON.parse(find('.characters', section).textContent ?? '[]') as ScriptCharacters[];
  const total = groups.reduce((sum, [, characters]) => sum + characters.length, 0);
  const glyphs = find('.glyphs', section);
  const search = find<HTMLInputElement>('.find', section);
  let limit = step;

  const list = () => {
    const query = search.value.trim();
    let shown = 0;
    let found = 0;
    glyphs.replaceChildren();
    for (const [script, characters] of groups) {
      const hits = characters.filter((character) => matches(query, script, character));
      found += hits.length;
      const room = hits.slice(0, Math.max(0, limit - shown));
      shown += room.length;
      if (room.length > 0) glyphs.append(heading(script, hits.length), grid(room));
    }
    find<HTMLOutputElement>('.found', section).value = `${found} of ${total}`;
    if (found > shown) glyphs.append(more(Math.min(step, found - shown)));
  };
  const more = (count: number) => {
    const button = document.createElement('button');
    button.className = 'more';
    button.textContent = `Show ${count} more`;
    button.addEventListener('click', () => {
      limit += step;
      list();
    });
    return button;
  };

  search.addEventListener('input', () => {
    limit = step;
    list();
  });
  glyphs.addEventListener('click', ({ target }) => {
    if (target instanceof HTMLElement && target.dataset.code) pick(target.textContent ?? '', target.title);
  });
  list();
}

function heading(script: string, count: number): HTMLElement {
  const element = document.createElement('h4');
  element.textContent = `${script} ${count}`;
  return element;
}

function grid(characters: readonly [number, string][]): HTMLElement {
  const element = document.createElement('div');
  element.className = 'grid';
  for (const [codePoint, name] of characters) {
    const cell = document.createElement('button');
    cell.type = 'button';
    cell.textContent = String.fromCodePoint(codePoint);
    cell.dataset.code = numberOf(codePoint);
    cell.title = numberOf(codePoint) + (name ? ` ${name}` : '');
    element.append(cell);
  }
  return element;
}
