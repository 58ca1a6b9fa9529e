import type { FaceStyle } from '../face/style.js';
import { finding, type Finding } from '../../findings.js';

/** The weights × styles of a family, with who draws what. */
export interface FamilyGrid {
  family: string;
  /** Ascending, those that a file starts or stands at, and the ends of weight axes. */
  weights: number[];
  /** Columns: a slope, and a width where it isn't normal. */
  styles: string[];
  /** By weight, then by style: the files that draw it. */
  files: string[][][];
  findings: Finding[];
}

interface NamedFace {
  /** The file, as the user names it. */
  path: string;
  face: FaceStyle;
}

/** `italic`, `normal, 75%`. */
function columnOf({ style, stretch }: FaceStyle): string {
  const [narrow, wide] = stretch;
  if (narrow === 100 && wide === 100) return style;
  return `${style}, ${narrow === wide ? narrow : `${narrow}–${wide}`}%`;
}

const slopeOrder = ['normal', 'italic', 'oblique'];
/** Normal widths before others, upright before slanted. */
function byColumn(a: string, b: string): number {
  const [slopeA, widthA = ''] = a.split(', ');
  const [slopeB, widthB = ''] = b.split(', ');
  return (
    parseFloat(widthA || '0') - parseFloat(widthB || '0') ||
    slopeOrder.indexOf(slopeA) - slopeOrder.indexOf(slopeB)
  );
}

/** Puts faces together by family, and says where two files claim the same style. */
export function familiesOf(faces: readonly NamedFace[]): FamilyGrid[] {
  const byFamily = new Map<string, NamedFace[]>();
  for (const face of faces) {
    const list = byFamily.get(face.face.family);
    if (list) list.push(face);
    else byFamily.set(face.face.family, [face]);
  }
  return [...byFamily]
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([family, list]): FamilyGrid => {
      const weights = [...new Set(list.flatMap(({ face }) => face.weight))].sort((a, b) => a - b);
      const styles = [...new Set(list.map(({ face }) => columnOf(face)))].sort(byColumn);
      const files = weights.map((weight) =>
        styles.map((style) =>
          list.filter(
            ({ face }) => columnOf(face) === style && face.weight[0] <= weight && weight <= face.weight[1],
          ),
        ),
      );
      const paths = files.map((row) => row.map((faces) => faces.map(({ path }) => path)));
      return { family, weights, styles, files: paths, findings: sameStyle(weights, styles, files) };
    });
}

/** Of one style only one file should remain; a bold that says 400 hides behind the regular. */
function sameStyle(weights: number[], styles: string[], files: NamedFace[][][]): Finding[] {
  const found = new Map<string, Finding>();
  weights.forEach((weight, row) =>
    styles.forEach((style, column) => {
      const faces = files[row][column];
      const paths = faces.map(({ path }) => path);
      if (faces.length < 2 || found.has(paths.join())) return;
      const variable = faces.find(({ face }) => face.weight[0] < face.weight[1]);
      found.set(
        paths.join(),
        finding(
          'same-style',
          `${paths.join(' and ')} ${faces.length === 2 ? 'both' : 'all'} draw ${weight} ${style}`,
          variable ? { effect: `${variable.path} draws it already, so ship one or the other` } : {},
        ),
      );
    }),
  );
  return [...found.values()];
}
