// Writes src/data/local-fonts.ts: how wide the letters of fonts are that systems bring, by open fonts of the same widths.
//   node tools/data/local-fonts.mjs     needs a build, and Debian's fonts-liberation, fonts-crosextra-carlito,
//   fonts-crosextra-caladea, fonts-roboto, fonts-urw-base35, fonts-dejavu-core and fonts-noto-core
import { readFileSync, writeFileSync } from 'node:fs';
import { openFont } from '../../build/src/core/containers/index.js';
import { cmap, head, hmtx } from '../../build/src/core/tables/index.js';
import { packedWidths } from './packed-widths.mjs';

const fonts = '/usr/share/fonts/';

/** Each with the names that systems answer to: full and PostScript names of the four styles. */
const groups = [
  {
    name: 'Arial',
    kind: 'sans-serif',
    systems: ['Windows', 'Apple', 'Linux'],
    from: 'Liberation Sans',
    files: 'truetype/liberation/LiberationSans-*.ttf',
    names: [
      ['Arial', 'ArialMT', 'Liberation Sans', 'LiberationSans'],
      ['Arial Bold', 'Arial-BoldMT', 'Liberation Sans Bold', 'LiberationSans-Bold'],
      ['Arial Italic', 'Arial-ItalicMT', 'Liberation Sans Italic', 'LiberationSans-Italic'],
      ['Arial Bold Italic', 'Arial-BoldItalicMT', 'Liberation Sans Bold Italic', 'LiberationSans-BoldItalic'],
    ],
  },
  {
    name: 'Times New Roman',
    kind: 'serif',
    systems: ['Windows', 'Apple', 'Linux'],
    from: 'Liberation Serif',
    files: 'truetype/liberation/LiberationSerif-*.ttf',
    names: [
      ['Times New Roman', 'TimesNewRomanPSMT', 'Liberation Serif', 'LiberationSerif'],
      ['Times New Roman Bold', 'TimesNewRomanPS-BoldMT', 'Liberation Serif Bold', 'LiberationSerif-Bold'],
      [
        'Times New Roman Italic',
        'TimesNewRomanPS-ItalicMT',
        'Liberation Serif Italic',
        'LiberationSerif-Italic',
      ],
      [
        'Times New Roman Bold Italic',
        'TimesNewRomanPS-BoldItalicMT',
        'Liberation Serif Bold Italic',
        'LiberationSerif-BoldItalic',
      ],
    ],
  },
  {
    name: 'Courier New',
    kind: 'monospace',
    systems: ['Windows', 'Apple', 'Linux'],
    from: 'Liberation Mono',
    files: 'truetype/liberation/LiberationMono-*.ttf',
    names: [
      ['Courier New', 'CourierNewPSMT', 'Liberation Mono', 'LiberationMono'],
      ['Courier New Bold', 'CourierNewPS-BoldMT', 'Liberation Mono Bold', 'LiberationMono-Bold'],
      ['Courier New Italic', 'CourierNewPS-ItalicMT', 'Liberation Mono Italic', 'LiberationMono-Italic'],
      [
        'Courier New Bold Italic',
        'CourierNewPS-BoldItalicMT',
        'Liberation Mono Bold Italic',
        'LiberationMono-BoldItalic',
      ],
    ],
  },
  {
    name: 'Calibri',
    kind: 'sans-serif',
    systems: ['Windows'],
    from: 'Carlito',
    files: 'truetype/crosextra/Carlito-*.ttf',
    names: [
      ['Calibri', 'Carlito'],
      ['Calibri Bold', 'Calibri-Bold', 'Carlito Bold', 'Carlito-Bold'],
      ['Calibri Italic', 'Calibri-Italic', 'Carlito Italic', 'Carlito-Italic'],
      ['Calibri Bold Italic', 'Calibri-BoldItalic', 'Carlito Bold Italic', 'Carlito-BoldItalic'],
    ],
  },
  {
    name: 'Cambria',
    kind: 'serif',
    systems: ['Windows'],
    from: 'Caladea',
    files: 'truetype/crosextra/Caladea-*.ttf',
    names: [
      ['Cambria', 'Caladea'],
      ['Cambria Bold', 'Cambria-Bold', 'Caladea Bold', 'Caladea-Bold'],
      ['Cambria Italic', 'Cambria-Italic', 'Caladea Italic', 'Caladea-Italic'],
      ['Cambria Bold Italic', 'Cambria-BoldItalic', 'Caladea Bold Italic', 'Caladea-BoldItalic'],
    ],
  },
  {
    name: 'Palatino',
    kind: 'serif',
    systems: ['Apple'],
    from: 'P052',
    files: 'opentype/urw-base35/P052-*.otf',
    suffixes: ['Roman', 'Bold', 'Italic', 'BoldItalic'],
    names: [
      ['Palatino', 'Palatino-Roman'],
      ['Palatino Bold', 'Palatino-Bold'],
      ['Palatino Italic', 'Palatino-Italic'],
      ['Palatino Bold Italic', 'Palatino-BoldItalic'],
    ],
  },
  {
    name: 'Roboto',
    kind: 'sans-serif',
    systems: ['Android'],
    from: 'Roboto',
    files: 'truetype/roboto/unhinted/RobotoTTF/Roboto-*.ttf',
    names: [
      ['Roboto', 'Roboto-Regular'],
      ['Roboto Bold', 'Roboto-Bold'],
      ['Roboto Italic', 'Roboto-Italic'],
      ['Roboto Bold Italic', 'Roboto-BoldItalic'],
    ],
  },
  {
    name: 'Noto Serif',
    kind: 'serif',
    systems: ['Android', 'Linux'],
    from: 'Noto Serif',
    files: 'truetype/noto/NotoSerif-*.ttf',
    names: [
      ['Noto Serif', 'Noto Serif Regular', 'NotoSerif-Regular', 'NotoSerif'],
      ['Noto Serif Bold', 'NotoSerif-Bold'],
      ['Noto Serif Italic', 'NotoSerif-Italic'],
      ['Noto Serif Bold Italic', 'NotoSerif-BoldItalic'],
    ],
  },
  {
    name: 'DejaVu Sans',
    kind: 'sans-serif',
    systems: ['Linux'],
    from: 'DejaVu Sans',
    files: 'truetype/dejavu/DejaVuSans*.ttf',
    suffixes: ['', '-Bold'],
    names: [
      ['DejaVu Sans', 'DejaVuSans'],
      ['DejaVu Sans Bold', 'DejaVuSans-Bold'],
    ],
  },
  {
    name: 'DejaVu Sans Mono',
    kind: 'monospace',
    systems: ['Linux'],
    from: 'DejaVu Sans Mono',
    files: 'truetype/dejavu/DejaVuSansMono*.ttf',
    suffixes: ['', '-Bold'],
    names: [
      ['DejaVu Sans Mono', 'DejaVuSansMono'],
      ['DejaVu Sans Mono Bold', 'DejaVuSansMono-Bold'],
    ],
  },
];

const ranges = [
  [0x20, 0x7e],
  [0xa0, 0x17f],
  [0x192, 0x192],
  [0x1a0, 0x1b0],
  [0x218, 0x21b],
  [0x2c6, 0x2dd],
  [0x384, 0x3ce],
  [0x400, 0x45f],
  [0x490, 0x491],
  [0x1e80, 0x1e85],
  [0x1e9e, 0x1e9e],
  [0x1ea0, 0x1ef9],
  [0x2010, 0x2015],
  [0x2018, 0x2026],
  [0x2030, 0x2033],
  [0x2039, 0x203a],
  [0x20ac, 0x20ac],
  [0x2116, 0x2116],
  [0x2122, 0x2122],
  [0x2190, 0x2193],
  [0x2212, 0x2212],
];
const codePoints = ranges.flatMap(([first, last]) =>
  Array.from({ length: last - first + 1 }, (_, i) => first + i),
);
const styles = [
  [400, false],
  [700, false],
  [400, true],
  [700, true],
];

/** Widths in the order of the characters. */
function packed(font) {
  const table = font.table(cmap);
  return packedWidths(
    codePoints.map((codePoint) => {
      const glyph = cmap.glyphIdOf(table, codePoint);
      return glyph === 0 ? undefined : hmtx.advanceOf(font.table(hmtx), glyph);
    }),
  );
}

const rows = groups.map(({ name, kind, systems, from, files, names, suffixes }) => {
  const ends = suffixes ?? ['Regular', 'Bold', 'Italic', 'BoldItalic'];
  const faces = ends.map((end, i) => {
    const font = openFont(new Uint8Array(readFileSync(fonts + files.replace('*', end)))).font;
    const [weight, italic] = styles[i];
    return `      {
        weight: ${weight},
        italic: ${italic},
        names: ${JSON.stringify(names[i])},
        unitsPerEm: ${font.table(head).unitsPerEm},
        widths:
          '${packed(font)}',
      },`;
  });
  return `  {
    name: '${name}',
    kind: '${kind}',
    systems: ${JSON.stringify(systems)},
    measured: '${from}',
    faces: [
${faces.join('\n')}
    ],
  },`;
});
const text = `/**
 * Fonts that systems bring, with the advances of their letters, measured with open fonts of the same widths; not with their
 * kerning. Made by tools/data/local-fonts.mjs.
 */
export interface LocalFontData {
  name: string;
  kind: 'sans-serif' | 'serif' | 'monospace';
  systems: readonly ('Windows' | 'Apple' | 'Android' | 'Linux')[];
  /** The open font that was measured. */
  measured: string;
  faces: readonly {
    weight: number;
    italic: boolean;
    /** What \`local()\` finds it by: full names and PostScript names. */
    names: readonly string[];
    unitsPerEm: number;
    /** In the order of \`measuredRanges\`, base 36, with counts of what repeats; a dash for a letter that isn't there. */
    widths: string;
  }[];
}

export const measuredRanges: readonly (readonly [first: number, last: number])[] = ${JSON.stringify(ranges)};

export const localFonts: readonly LocalFontData[] = [
${rows.join('\n')}
];
`;
writeFileSync(new URL('../../src/data/local-fonts.ts', import.meta.url), text);
console.log(`${groups.length} fonts, ${codePoints.length} characters, ${text.length} bytes`);
