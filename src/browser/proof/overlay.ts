/** Shows a paragraph in a face and in what stands in for it, and counts its lines in each. */
import { find, findAll } from '../elements.js';

function linesOf(paragraph: HTMLElement): number {
  const range = document.createRange();
  range.selectNodeContents(paragraph);
  const middles = [...range.getClientRects()].map(({ top, height }) => top + height / 2);
  return new Set(middles.map((one) => Math.round(one / 4))).size;
}

/** The first of the local fonts that is on this system. */
function drawnLocal(overlay: HTMLElement): string | undefined {
  const locals = JSON.parse(overlay.dataset.locals ?? '[]') as [family: string, local: string][];
  const isThere = (family: string) =>
    [...document.fonts].some(
      (face) => face.family.replace(/^["']|["']$/g, '') === family && face.status === 'loaded',
    );
  return locals.find(([family]) => isThere(family))?.[1];
}

const lines = (number: number) => `${number} line${number === 1 ? '' : 's'}`;

function say(overlay: HTMLElement): void {
  const local = drawnLocal(overlay);
  const count = (layer: string) => lines(linesOf(find(`.${layer}`, overlay)));
  const output = find<HTMLOutputElement>('output', overlay);
  overlay.classList.toggle('without', local === undefined);
  output.textContent =
    local === undefined
      ? 'None of the local fonts that stand in for it is on this system.'
      : `${count('face')} in the face, ${count('tuned')} in ${local} as the kit has it, ${count('as-is')} in ${local} as it is.`;
}

/** Starts all overlays of the page. */
export function startOverlays(): void {
  const overlays = findAll('.overlay');
  for (const overlay of overlays)
    overlay.addEventListener('change', ({ target }) => {
      overlay.dataset.shows = (target as HTMLInputElement).value;
    });
  const all = () => overlays.forEach(say);
  document.fonts.addEventListener('loadingdone', all);
  addEventListener('resize', all);
  addEventListener('load', all);
  void document.fonts.ready.then(all);
}
