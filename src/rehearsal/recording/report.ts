import { connectionText } from '../../kit/timeline/index.js';
import { readableAddress } from '../../io/addresses.js';
import { kilobytes } from '../../core/text/amounts.js';
import escapeHtml from 'escape-html';
import type { RecordedPage, RecordedState, Recording, Spread } from './recording.js';
import type { Fetched, Frame, RecordedVisit } from './visit.js';

const seconds = (ms: number): string => (Number.isFinite(ms) ? `${(ms / 1000).toFixed(2)} s` : 'never');
const shiftText = (shift: number): string => shift.toFixed(3);

/** Columns of a strip; moments closer to each other than this, milliseconds, are one. */
const [mostColumns, together] = [9, 90];
/** Milliseconds: so much later than it is told a change is in a picture. */
const drawingLag = 250;

/** A page that explains itself, also printed: strips on one axis, figures, and what changed in words. */
export function reportPage(recording: Recording): string {
  const { pages, repeat } = recording;
  const sections = pages.map((page) => section(page, repeat)).join('\n');
  const isBoth = pages.some(({ states }) => states.length > 1);
  return `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1">
<title>Recording</title>
<style>${styles}</style></head>
<body>
<header><h1>What a visitor sees, and when</h1>
<p>Recorded in Chromium on a window of 390 × 800 pixels, with nothing in its cache, over a line that is paced: ${lineTexts(pages)}. ${
    repeat === 1
      ? 'Each page was visited once in each state; figures of single visits differ by some hundredths of a second.'
      : `Each page was visited ${repeat} times in each state, in turns; figures are those of the middle visit, with the least and the most behind them.`
  }${isBoth ? ' «Before» and «after» stand under each other on one time axis; a faded picture is as the one before it.' : ''}</p></header>
${sections}
</body></html>
`;
}

const lineTexts = (pages: readonly RecordedPage[]): string =>
  [...new Set(pages.map(({ line }) => escapeHtml(connectionText(line))))].join(', ');

function section({ page, line, states }: RecordedPage, repeat: number): string {
  const moments = momentsOf(states.map(({ visit }) => visit));
  const strips = states.map(({ state, visit }) => strip(state, visit, moments)).join('');
  const name = page === '' ? 'Start page' : page;
  return `<section>
<h2>${escapeHtml(name)} <small>${escapeHtml(line.name)}</small></h2>
${states.length > 1 ? `<p class="words">${escapeHtml(changeText(states))}</p>` : ''}
<table class="strips"><thead><tr><td></td>${moments.map((at) => `<th scope="col">${seconds(at)}</th>`).join('')}</tr></thead><tbody>${strips}</tbody></table>
${figures(states, repeat)}
${bars(states)}
${moves(states)}
<details><summary>Requests</summary>${states.map((state) => requests(state)).join('')}</details>
</section>`;
}

/** First drawings, arrivals and rest of all visits, those that are close together once. */
function momentsOf(visits: readonly RecordedVisit[]): number[] {
  const all = visits
    .flatMap(({ firstDrawing, arrivals, frames, moved }) => [
      firstDrawing,
      ...arrivals.map(({ at }) => at),
      ...moved.map(({ at }) => at),
      Math.max(...frames.map(({ at }) => at)),
    ])
    .filter(Number.isFinite)
    .sort((a, b) => a - b);
  const apart = all.filter((at, i) => i === 0 || at - all[i - 1] > together);
  const moments = apart.map((at) => at + drawingLag);
  if (moments.length <= mostColumns) return moments;
  const step = (moments.length - 1) / (mostColumns - 1);
  return Array.from({ length: mostColumns }, (_, i) => moments[Math.round(i * step)]);
}

function strip(state: string, visit: RecordedVisit, moments: readonly number[]): string {
  let before = '';
  let since = -Infinity;
  const cells = moments.map((at) => {
    const frame = frameAt(visit.frames, at, visit.firstDrawing);
    const events = eventsBetween(visit, since, at);
    since = at;
    const isSame = frame !== undefined && frame.picture === before;
    before = frame?.picture ?? '';
    const picture = frame
      ? `<img alt="" class="${isSame ? 'same' : 'new'}" src="data:image/jpeg;base64,${frame.picture}">`
      : '<span class="blank">nothing yet</span>';
    return `<td>${picture}<span class="event">${events.map((event) => escapeHtml(event)).join('<br>')}</span></td>`;
  });
  return `<tr><th scope="row">${escapeHtml(state)}</th>${cells.join('')}</tr>`;
}

/** What the window showed: the last picture until then. */
function frameAt(frames: readonly Frame[], at: number, firstDrawing: number): Frame | undefined {
  if (at < firstDrawing) return undefined;
  return frames.filter((frame) => frame.at <= at).at(-1) ?? frames.find((frame) => frame.at >= firstDrawing);
}

function eventsBetween({ firstDrawing, arrivals, moved }: RecordedVisit, from: number, to: number): string[] {
  const isIn = (at: number) => at > from && at <= to;
  const faces = withoutBands(arrivals.filter(({ at }) => isIn(at)).map(({ face }) => face));
  const shift = moved.filter(({ at }) => isIn(at)).reduce((sum, { value }) => sum + value, 0);
  return [
    ...(isIn(firstDrawing) ? ['first drawing'] : []),
    ...(faces.length > 2 ? [`${faces.length} faces arrive`] : faces.map((face) => `${face} arrives`)),
    ...(shift >= 0.001 ? [`moves by ${shiftText(shift)}`] : []),
  ];
}

/** Weights of a family that are rules of their own, as one: `Quay 300–350` and `Quay 351–800` are `Quay 300–800`. */
function withoutBands(faces: readonly string[]): string[] {
  const families = new Map<string, { weights: number[]; style: string; family: string }>();
  for (const face of faces) {
    const [, family, weights, style] = /^(.*) ([\d.]+(?:–[\d.]+)?|normal|bold)(.*)$/.exec(face) ?? [
      face,
      face,
      '',
      '',
    ];
    const known = families.get(family + style) ?? { weights: [], style, family };
    known.weights.push(...weights.split('–').map(Number).filter(Number.isFinite));
    families.set(family + style, known);
  }
  return [...families.values()].map(({ family, weights, style }) => {
    const [low, high] = [Math.min(...weights), Math.max(...weights)];
    const range = low === high ? ` ${low}` : ` ${low}–${high}`;
    return `${family}${weights.length === 0 ? '' : range}${style}`;
  });
}

/** As in `Text is seen 0.9 s earlier; …`. */
function changeText([before, after]: readonly RecordedState[]): string {
  const earlier = (name: string, was: number, is: number) => {
    const gain = was - is;
    if (!Number.isFinite(gain)) return `${name} after ${seconds(is)}, ${seconds(was)} before`;
    if (Math.abs(gain) < 30) return `${name} at the same time`;
    return `${name} ${seconds(Math.abs(gain))} ${gain > 0 ? 'earlier' : 'later'}`;
  };
  const bytes = before.bytes.middle - after.bytes.middle;
  const shift =
    Math.max(before.shift.middle, after.shift.middle) < 0.001
      ? 'nothing moves in either'
      : `layout shift ${shiftText(before.shift.middle)} before, ${shiftText(after.shift.middle)} after`;
  return `${[
    earlier('The page is seen', before.firstDrawing.middle, after.firstDrawing.middle),
    earlier('all faces are there', before.faces.middle, after.faces.middle),
    shift,
    `${kilobytes(Math.abs(bytes))} ${bytes >= 0 ? 'less' : 'more'} over the line`,
  ].join('; ')}.`;
}

const rows: readonly (readonly [
  name: string,
  of: (state: RecordedState) => Spread,
  text: (value: number) => string,
])[] = [
  ['First drawing', ({ firstDrawing }) => firstDrawing, seconds],
  ['All faces there', ({ faces }) => faces, seconds],
  ['Layout shift', ({ shift }) => shift, shiftText],
  ['Bytes', ({ bytes }) => bytes, kilobytes],
  ['of them fonts', ({ fontBytes }) => fontBytes, kilobytes],
  ['Requests', ({ requests: all }) => all, String],
];

function figures(states: readonly RecordedState[], repeat: number): string {
  const cell = ({ middle, least, most }: Spread, text: (value: number) => string) =>
    `<td>${text(middle)}${repeat > 1 && text(least) !== text(most) ? ` <small>${text(least)} – ${text(most)}</small>` : ''}</td>`;
  const foretold = states.some((state) => state.foretold)
    ? [
        ['First text, as the plan foretold', (state: RecordedState) => state.foretold?.firstText],
        ['Own faces, as the plan foretold', (state: RecordedState) => state.foretold?.ownFaces],
      ]
        .map(
          ([name, of]) =>
            `<tr><th scope="row">${name as string}</th>${states
              .map((state) => {
                const value = (of as (state: RecordedState) => number | undefined)(state);
                return `<td>${value === undefined ? '' : seconds(value)}</td>`;
              })
              .join('')}</tr>`,
        )
        .join('')
    : '';
  return `<table class="figures"><thead><tr><td></td>${states.map(({ state }) => `<th scope="col">${escapeHtml(state)}</th>`).join('')}</tr></thead><tbody>${rows
    .map(
      ([name, of, text]) =>
        `<tr><th scope="row">${name}</th>${states.map((state) => cell(of(state), text)).join('')}</tr>`,
    )
    .join('')}${foretold}</tbody></table>`;
}

/** Two times of each state on one axis. */
function bars(states: readonly RecordedState[]): string {
  const end = Math.max(...states.map(({ faces }) => faces.middle).filter(Number.isFinite), 1) * 1.05;
  const percent = (ms: number) => `${((Math.min(ms, end) / end) * 100).toFixed(2)}%`;
  const one = ({ state, firstDrawing, faces }: RecordedState) =>
    `<tr><th scope="row">${escapeHtml(state)}</th><td><span class="bar"><i class="waiting" style="width: ${percent(firstDrawing.middle)}"></i><i class="between" style="width: ${percent(faces.middle - firstDrawing.middle)}"></i><i class="own" style="width: ${percent(end - faces.middle)}"></i></span></td></tr>`;
  return `<table class="bars"><caption><i class="waiting"></i> nothing to read yet <i class="between"></i> faces on their way <i class="own"></i> all in its faces</caption><tbody>${states.map(one).join('')}</tbody></table>`;
}

function moves(states: readonly RecordedState[]): string {
  const lists = states.flatMap(({ state, visit }) => {
    const most = [...visit.moved].sort((a, b) => b.value - a.value).slice(0, 4);
    if (most.length === 0) return [];
    const items = most.map(
      ({ at, value, sources }) =>
        `<li>${seconds(at)}: ${shiftText(value)}, ${escapeHtml(sources.slice(0, 3).join(' · ') || 'something')}</li>`,
    );
    return [`<div><h3>What moves ${escapeHtml(state)}</h3><ol>${items.join('')}</ol></div>`];
  });
  return lists.length === 0 ? '' : `<div class="moves">${lists.join('')}</div>`;
}

function requests({ state, visit }: RecordedState): string {
  const end = Math.max(...visit.fetched.map((one) => one.end), 1);
  const percent = (ms: number) => `${((Math.max(0, ms) / end) * 100).toFixed(2)}%`;
  const row = ({ url, kind, start, end: stop, bytes, failed }: Fetched) => {
    const { pathname, hostname, port } = new URL(url);
    const name = readableAddress(pathname.replace(/^.*\//, '')) || pathname;
    return `<tr><th scope="row" title="${escapeHtml(url)}">${escapeHtml(name)} <small>${escapeHtml(hostname)}${port === '' ? '' : `:${port}`}</small></th><td><span class="bar"><i class="${failed ? 'failed' : kind}" style="margin-left: ${percent(start)}; width: ${percent(stop - start)}"></i></span></td><td>${seconds(stop)}</td><td>${kilobytes(bytes)}</td></tr>`;
  };
  return `<table class="requests"><caption>${escapeHtml(state)}</caption><tbody>${visit.fetched.map(row).join('')}</tbody></table>`;
}

const styles = `
:root { color-scheme: light; --ink: #14202b; --quiet: #5b6873; --line: #d9dcd8; --wait: #c9ccc7; --between: #d98324; --own: #1f7a5c; }
* { box-sizing: border-box; }
body { margin: 0 auto; padding: 0 24px 40px; max-width: 1280px; color: var(--ink); background: #fbfbf8; font: 14px/1.45 system-ui, sans-serif; }
header { padding: 18px 0 6px; } h1 { margin: 0; font-size: 22px; } header p { margin: 4px 0 0; color: var(--quiet); max-width: 62em; }
section { border-top: 1px solid var(--line); padding: 14px 0 20px; break-inside: avoid; }
h2 { margin: 0; font-size: 18px; } h2 small { color: var(--quiet); font-weight: 400; } h3 { margin: 0; font-size: 13px; }
.words { margin: 4px 0 10px; font-size: 16px; }
table { border-collapse: collapse; font-variant-numeric: tabular-nums; }
th { font-weight: 400; text-align: left; color: var(--quiet); } td { vertical-align: top; }
.strips { table-layout: fixed; width: 100%; } .strips th { font-size: 12px; } .strips tbody th { color: var(--ink); font-weight: 600; vertical-align: top; }
.strips thead td, .strips tbody th { width: 64px; } .strips td { padding: 0 6px 8px 0; }
.strips img, .blank { display: block; width: 100%; aspect-ratio: 390 / 800; border: 1px solid var(--line); background: #fff; object-fit: cover; }
.strips .same { opacity: 0.45; } .blank { display: grid; place-items: center; color: var(--quiet); font-size: 12px; background: #f0f1ee; }
.event { display: block; font-size: 11px; line-height: 1.25; color: #8a4a00; min-height: 2.5em; overflow-wrap: anywhere; }
.figures { margin: 6px 0; } .figures td, .figures th { padding: 2px 22px 2px 0; } .figures thead th { font-weight: 600; color: var(--ink); } .figures small { color: var(--quiet); }
.bars { width: 100%; margin: 8px 0; } .bars th { width: 64px; color: var(--ink); } .bars caption { text-align: left; font-size: 12px; color: var(--quiet); caption-side: bottom; } .bars caption i { display: inline-block; width: 10px; height: 10px; margin-left: 10px; }
.bar { display: flex; height: 12px; margin: 4px 0; print-color-adjust: exact; -webkit-print-color-adjust: exact; } .bar i { display: block; height: 100%; min-width: 1px; }
.waiting { background: var(--wait); } .between { background: var(--between); } .own { background: var(--own); }
.moves { display: flex; flex-wrap: wrap; gap: 12px 40px; } .moves ol { margin: 2px 0 6px; padding-left: 20px; font-size: 12px; }
.requests { width: 100%; margin: 6px 0; font-size: 12px; } .requests caption { text-align: left; font-weight: 600; } .requests th { width: 320px; overflow-wrap: anywhere; } .requests td + td { width: 70px; text-align: right; } .requests .bar { height: 9px; } .requests i { background: #7d8c98; } .requests .font { background: var(--own); } .requests .stylesheet { background: #8a5a9c; } .requests .failed { background: #b3402a; }
@media print { body { max-width: none; padding: 0; background: #fff; } details { display: none; } }
`;
