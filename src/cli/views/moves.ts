import type { PageMoves } from '../../kit/index.js';

/** Paragraphs that move in spite of stand-ins, each once, as in `index.html:21 h1 at 548 px: 3 instead of 2 lines: Four boats`. */
export function movedParagraphs(pages: readonly PageMoves[]): string[] {
  const told = pages
    .flatMap(({ moved }) => moved)
    .map(
      ({ page, line, element, text, measure, lines }) =>
        `${page}:${line} ${element} at ${Math.round(measure)} px: ${lines.standIn} instead of ${lines.face} lines: ${text}`,
    );
  return [...new Set(told)];
}
