import { openFonts, writeFont } from '../core/containers/index.js';
import { faceLabel, faceStyleOf } from '../core/face/index.js';
import { markedFont, type MarkShape } from '../core/marking/index.js';
import { DenseGlyphError } from '../errors.js';

/** A font whose letters are marked, or why they aren't. */
export interface MarkedFace {
  path: string;
  /** As CSS writes it; undefined where it has no mark. */
  color?: string;
  shape?: MarkShape;
  /** What the file says it is. */
  inside: string;
  reason?: string;
}

/** Told apart well, also by many who don't see all colours, and on white as on dark pages. */
const colors = [
  [230, 25, 75],
  [0, 130, 200],
  [60, 180, 75],
  [245, 130, 48],
  [145, 30, 180],
  [0, 190, 190],
  [240, 50, 230],
  [170, 110, 40],
  [128, 128, 0],
  [255, 190, 0],
] as const;

/** Marks fonts as they are asked for; each has a colour of its own, as long as there are colours. */
export class MarkedFonts {
  private readonly known = new Map<string, Promise<{ bytes: Uint8Array; face: MarkedFace }>>();
  private readonly told = new Map<string, MarkedFace>();

  /** The marked copy of a file, or the file itself where it can't be marked. */
  async of(path: string, bytes: Uint8Array): Promise<Uint8Array> {
    const key = `${path} ${bytes.length}`;
    let made = this.known.get(key);
    if (!made) {
      const color = colors[this.known.size % colors.length];
      this.known.set(key, (made = marked(path, bytes, color)));
    }
    const { bytes: after, face } = await made;
    this.told.set(path, face);
    return after;
  }

  /** Those that were asked for so far. */
  faces = (): MarkedFace[] => [...this.told.values()];
}

const isWoff2 = (bytes: Uint8Array): boolean =>
  Buffer.from(bytes.subarray(0, 4)).toString('latin1') === 'wOF2';

async function marked(
  path: string,
  bytes: Uint8Array,
  color: (typeof colors)[number],
): Promise<{ bytes: Uint8Array; face: MarkedFace }> {
  try {
    const [{ font }] = openFonts(bytes);
    const { face } = faceStyleOf(font);
    const shape = { slanted: face.style !== 'normal', bold: face.weight[1] >= 600 && face.weight[0] >= 500 };
    // As heavy as it was, so that a line takes as long.
    const copy = markedFont(font, { shape, color });
    const plain = copy.flavour === 'cff' ? 'otf' : 'ttf';
    const written = await writeFont(copy, isWoff2(bytes) ? 'woff2' : plain);
    const inside = `${face.family} ${faceLabel(face)}`;
    return { bytes: written.bytes, face: { path, color: `rgb(${color.join(' ')})`, shape, inside } };
  } catch (cause) {
    if (!(cause instanceof DenseGlyphError)) throw cause;
    return { bytes, face: { path, inside: '', reason: cause.reason } };
  }
}
