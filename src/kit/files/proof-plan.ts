// When text is there on each line, as bars on one axis

import { seconds } from '../../core/text/amounts.js';
import escapeHtml from 'escape-html';
import type { LoadingPlan } from '../planning/plan-loading.js';
import type { PagePlan, PageTimes } from '../timeline/index.js';

const states: readonly (readonly [
  name: keyof Omit<PagePlan['lines'][number], 'connection' | 'displays'>,
  words: string,
])[] = [
  ['hosted', 'the same bytes from other hosts'],
  ['plain', 'from the own server'],
  ['planned', 'with the preloads of the plan'],
  ['withEarlyHints', 'with early hints'],
];

const pagesShown = 12;

/** A section of the proof page; nothing where no pages were read. */
export function planSection(plan: LoadingPlan | undefined): string {
  if (!plan || plan.pages.length === 0) return '';
  const charts = plan.pages
    .slice(0, pagesShown)
    .map(
      (page, i) =>
        `<details${i === 0 ? ' open' : ''}><summary>${escapeHtml(page.page)}: ${preloadText(page)}</summary>${page.lines.map(lineChart).join('')}</details>`,
    );
  const more = plan.pages.length - charts.length;
  return `<section id="plan">
  <h2>When text is there <small>reckoned from bytes and lines, without what browsers and servers take for themselves</small></h2>
  <p class="legend"><span class="waiting">nothing yet</span> <span class="stand-in">text in its stand-in</span> <span class="own">text in its own faces</span></p>
  ${charts.join('\n  ')}${more > 0 ? `\n  <p>${more} more pages are in kit.json.</p>` : ''}
</section>`;
}

function preloadText({ preloads, effects }: PagePlan): string {
  if (preloads.length === 0) return 'no preload would bring anything';
  const [{ lines }] = effects;
  const [{ connection, gain }] = lines;
  const earlier = `${seconds(gain)} earlier on a ${escapeHtml(connection)}`;
  return preloads.length === 1
    ? `one preload, ${earlier}`
    : `${preloads.length} preloads, the first ${earlier}`;
}

function lineChart(line: PagePlan['lines'][number]): string {
  const shown = states.flatMap(([name, words]): { words: string; times: PageTimes }[] => {
    const times = line[name];
    return times ? [{ words, times }] : [];
  });
  // Beyond the last change everything stays as it is.
  const end = Math.max(...shown.map(({ times }) => times.ownFaces)) * 1.1;
  const percent = (value: number) => `${((value / end) * 100).toFixed(2)}%`;
  const rows = shown.map(({ words, times: { firstText, ownFaces } }) => {
    const own = Math.max(firstText, ownFaces);
    return `<tr><th scope="row">${words}</th><td><span class="bar"><span class="waiting" style="width: ${percent(firstText)}"></span><span class="stand-in" style="width: ${percent(own - firstText)}"></span><span class="own" style="width: ${percent(end - own)}"></span></span></td><td>${seconds(firstText)}</td><td>${seconds(own)}</td></tr>`;
  });
  return `<table class="chart"><caption>${escapeHtml(line.connection)}</caption><thead><tr><td></td><td></td><th scope="col">first text</th><th scope="col">own faces</th></tr></thead><tbody>${rows.join('')}</tbody></table>`;
}
