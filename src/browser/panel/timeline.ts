import { readable } from '../addresses.js';
import { kilobytes, seconds } from '../amounts.js';
import type { FaceNow } from './faces.js';
import { make } from './make.js';
import type { Recording } from './recording.js';

interface Bar {
  label: string;
  kind: string;
  start: number;
  end: number;
  drawn?: number | undefined;
  words: string;
}

const nameOf = (url: string) => readable(url.replace(/[?#].*$/, '').replace(/^.*\//, '')) || 'page';

/** What was fetched, on one axis: the page, what holds drawing up, and fonts; with the first drawing. */
export function timeline(faces: readonly FaceNow[], { firstPaint }: Recording): HTMLElement {
  const [page] = performance.getEntriesByType('navigation') as PerformanceNavigationTiming[];
  const resources = performance.getEntriesByType('resource') as PerformanceResourceTiming[];
  const others = resources.filter(
    ({ name, initiatorType }) =>
      !name.includes('/.rehearsal/') &&
      /^(link|script|css)$/.test(initiatorType) &&
      !/\.(woff2?|ttf|otf)(\?|$)/.test(name),
  );
  const isStyle = (name: string) => /\.css(\?|$)/.test(name);
  const bars: Bar[] = [
    {
      label: nameOf(page.name),
      kind: 'page',
      start: 0,
      end: page.responseEnd,
      words: kilobytes(page.encodedBodySize),
    },
    ...others.map(({ name, startTime, responseEnd, encodedBodySize }) => ({
      label: nameOf(name),
      kind: isStyle(name) ? 'style' : 'other',
      start: startTime,
      end: responseEnd,
      words: kilobytes(encodedBodySize),
    })),
    ...faces.flatMap(({ family, weight, style, asked, ended, drawn, bytes = 0, state }): Bar[] =>
      asked === undefined
        ? []
        : [
            {
              label: `${family} ${weight}${style === 'normal' ? '' : ` ${style}`}`,
              kind: state === 'failed' ? 'failed' : 'font',
              start: asked,
              end: ended || performance.now(),
              drawn,
              words: state === 'there' ? kilobytes(bytes) : state,
            },
          ],
    ),
  ];
  const end = Math.max(firstPaint ?? 0, ...bars.map((bar) => Math.max(bar.end, bar.drawn ?? 0))) * 1.04 || 1;
  const percent = (ms: number) => `${((ms / end) * 100).toFixed(2)}%`;
  const rows = bars.map(({ label, kind, start, end: stop, drawn, words }) =>
    make(
      'li',
      {},
      make('span', { class: 'label', title: label }, label),
      make(
        'span',
        { class: 'track' },
        make('i', { class: kind, style: `left: ${percent(start)}; width: ${percent(stop - start)}` }),
        drawn === undefined
          ? undefined
          : make('b', { title: `drawn at ${seconds(drawn)}`, style: `left: ${percent(drawn)}` }),
        firstPaint === undefined ? undefined : make('u', { style: `left: ${percent(firstPaint)}` }),
      ),
      make('span', { class: 'words' }, `${seconds(stop)} · ${words}`),
    ),
  );
  return make('ol', { class: 'timeline' }, ...rows);
}
