import { relative } from 'node:path';
import type { RecordedState, Recording } from '../../rehearsal/recording/recording.js';
import { seconds, sizeText } from '../../core/text/amounts.js';
import { table } from './words.js';

/** When pages are seen and in their faces, and what moves; the middle of the visits. */
export function recordingLines({ pages, repeat }: Recording, report: string, folder: string): string[] {
  const right = (title: string) => ({ title, align: 'right' as const });
  const columns = [
    { title: 'page' },
    { title: 'line' },
    { title: '' },
    right('first drawing'),
    right('all faces'),
    right('shift'),
    right('fonts'),
    right('bytes'),
  ];
  const rowOf = (page: string, line: string, state: RecordedState): string[] => [
    page === '' ? '/' : page,
    line,
    state.state,
    seconds(state.firstDrawing.middle),
    seconds(state.faces.middle),
    state.shift.middle.toFixed(3),
    sizeText(state.fontBytes.middle),
    sizeText(state.bytes.middle),
  ];
  const rows = pages.flatMap(({ page, line, states }) =>
    states.map((state, i) => rowOf(i === 0 ? page : '  ', i === 0 ? line.name : '', state)),
  );
  return [
    ...table(columns, rows),
    '',
    ...(repeat === 1
      ? ['Single visits differ by some hundredths of a second; --repeat 5 gives the middle of five.', '']
      : []),
    `Seen    ${relative(folder, report) || report}`,
  ];
}
