/** Shows each face's load state and switches the kit's stylesheet off and on. */
import { readable } from '../addresses.js';
import { find, findAll } from '../elements.js';
import { startOverlays } from './overlay.js';

type State = FontFaceLoadStatus | 'off';

const stylesheet = find<HTMLStyleElement>('#kit');
const toggle = find<HTMLInputElement>('#switch');

const unquoted = (text: string) => text.replace(/^["']|["']$/g, '');
const inNumbers = (text: string) => text.replace('normal', '400').replace('bold', '700');

/** What says most of the parts of a face comes first. */
const order: readonly FontFaceLoadStatus[] = ['error', 'loading', 'loaded', 'unloaded'];

function stateOf({ family, weight, style }: DOMStringMap): FontFaceLoadStatus {
  const parts = [...document.fonts].filter(
    (face) =>
      unquoted(face.family) === family &&
      inNumbers(face.weight) === weight &&
      face.style.split(' ')[0] === style,
  );
  return order.find((state) => parts.some(({ status }) => status === state)) ?? 'loading';
}

function timeOf(file: string): string {
  const entry = performance.getEntriesByType('resource').find(({ name }) => readable(name).endsWith(file));
  return entry ? ` in ${Math.round(entry.duration)} ms` : '';
}

const words = (state: State, file: string): string =>
  ({
    loaded: `loaded${timeOf(file)}`,
    loading: 'loading',
    unloaded: 'not asked for',
    error: 'failed: the browser draws the fallback',
    off: 'off: the browser draws the fallback',
  })[state];

function show(): void {
  const articles = findAll('article');
  let loaded = 0;
  for (const article of articles) {
    const state: State = toggle.checked ? stateOf(article.dataset) : 'off';
    if (state === 'loaded') loaded++;
    const output = find<HTMLOutputElement>('.state', article);
    output.dataset.state = state;
    output.textContent = words(state, article.dataset.file ?? '');
  }
  find('#summary').textContent = toggle.checked
    ? `${loaded} of ${articles.length} loaded.`
    : 'Web fonts are off.';
}

/** Some engines send no event for a face that comes back from their cache, or call it failed until it is there again. */
function settle(looks: number): void {
  show();
  const isWaiting = findAll('.state').some(
    ({ dataset }) => dataset.state !== 'loaded' && dataset.state !== 'off',
  );
  if (looks > 0 && isWaiting) setTimeout(() => settle(looks - 1), 150);
}

toggle.addEventListener('change', () => {
  stylesheet.disabled = !toggle.checked;
  document.documentElement.classList.toggle('without', !toggle.checked);
  settle(60);
});
for (const event of ['loading', 'loadingdone', 'loadingerror']) document.fonts.addEventListener(event, show);
void document.fonts.ready.then(show);
addEventListener('load', show);
startOverlays();
show();
