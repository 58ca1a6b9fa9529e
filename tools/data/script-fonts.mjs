// Writes src/data/script-fonts.ts: how wide letters of Arabic, Hebrew and Thai are in fonts that systems bring for these scripts.
//   node tools/data/script-fonts.mjs     needs a build, and Debian's fonts-noto-core
import { readFileSync, writeFileSync } from 'node:fs';
import { openFont } from '../../build/src/core/containers/index.js';
import { Shaper } from '../../build/src/core/shaping/index.js';
import { packedWidths } from './packed-widths.mjs';

const scripts = {
  Arabic: [
    [0x60c, 0x60c],
    [0x61b, 0x61b],
    [0x61f, 0x61f],
    [0x621, 0x63a],
    [0x640, 0x655],
    [0x660, 0x66d],
    [0x670, 0x6d5],
    [0x6f0, 0x6f9],
  ],
  Hebrew: [
    [0x591, 0x5c7],
    [0x5d0, 0x5ea],
    [0x5f0, 0x5f4],
  ],
  Thai: [
    [0xe01, 0xe3a],
    [0xe3f, 0xe5b],
  ],
};
/** Each with the names that systems answer to: full and PostScript names of the regular and the bold face. */
const fonts = [
  [
    'Noto Sans Arabic',
    'Arabic',
    'sans-serif',
    ['Linux'],
    [
      ['Noto Sans Arabic Regular', 'NotoSansArabic-Regular', 'Noto Sans Arabic'],
      ['Noto Sans Arabic Bold', 'NotoSansArabic-Bold'],
    ],
  ],
  [
    'Noto Naskh Arabic',
    'Arabic',
    'serif',
    ['Linux'],
    [
      ['Noto Naskh Arabic Regular', 'NotoNaskhArabic-Regular', 'Noto Naskh Arabic'],
      ['Noto Naskh Arabic Bold', 'NotoNaskhArabic-Bold'],
    ],
  ],
  [
    'Noto Naskh Arabic',
    'Arabic',
    'any',
    ['Android'],
    [
      ['Noto Naskh Arabic', 'NotoNaskhArabic', 'Noto Naskh Arabic Regular', 'NotoNaskhArabic-Regular'],
      ['Noto Naskh Arabic Bold', 'NotoNaskhArabic-Bold'],
    ],
  ],
  [
    'Noto Sans Hebrew',
    'Hebrew',
    'sans-serif',
    ['Android', 'Linux'],
    [
      ['Noto Sans Hebrew Regular', 'NotoSansHebrew-Regular', 'Noto Sans Hebrew'],
      ['Noto Sans Hebrew Bold', 'NotoSansHebrew-Bold'],
    ],
  ],
  [
    'Noto Serif Hebrew',
    'Hebrew',
    'serif',
    ['Android', 'Linux'],
    [
      ['Noto Serif Hebrew Regular', 'NotoSerifHebrew-Regular', 'Noto Serif Hebrew'],
      ['Noto Serif Hebrew Bold', 'NotoSerifHebrew-Bold'],
    ],
  ],
  [
    'Noto Sans Thai',
    'Thai',
    'sans-serif',
    ['Android', 'Linux'],
    [
      ['Noto Sans Thai Regular', 'NotoSansThai-Regular', 'Noto Sans Thai'],
      ['Noto Sans Thai Bold', 'NotoSansThai-Bold'],
    ],
  ],
  [
    'Noto Serif Thai',
    'Thai',
    'serif',
    ['Android', 'Linux'],
    [
      ['Noto Serif Thai Regular', 'NotoSerifThai-Regular', 'Noto Serif Thai'],
      ['Noto Serif Thai Bold', 'NotoSerifThai-Bold'],
    ],
  ],
];
const off = new Map(['kern', 'liga', 'clig', 'calt'].map((tag) => [tag, 0]));
const joiner = '\u200d';
/** A letter alone, at the end, in the middle, at the start of a word. */
const inForms = (text) => [text, joiner + text, joiner + text + joiner, text + joiner];
const lam = '\u0644';
const alefs = ['\u0622', '\u0623', '\u0625', '\u0627'];

const rows = fonts.map(([name, script, kind, systems, names]) => {
  const characters = scripts[script].flatMap(([first, last]) =>
    Array.from({ length: last - first + 1 }, (_, i) => String.fromCodePoint(first + i)),
  );
  const faces = ['Regular', 'Bold'].map((style, i) => {
    const file = `/usr/share/fonts/truetype/noto/${name.replaceAll(' ', '')}-${style}.ttf`;
    const shaper = new Shaper(openFont(new Uint8Array(readFileSync(file))).font);
    const unitsOf = (text) => shaper.advanceOf(text, { features: off });
    const formsOf = (text) => (script === 'Arabic' ? inForms(text) : [text]);
    const widths = characters.flatMap((one) =>
      formsOf(one).map((text) => (shaper.has(one.codePointAt(0)) ? unitsOf(text) : undefined)),
    );
    const ligatures =
      script === 'Arabic'
        ? alefs.flatMap((alef) =>
            inForms(lam + alef)
              .slice(0, 2)
              .map(unitsOf),
          )
        : [];
    return `      {
        isBold: ${i === 1},
        names: ${JSON.stringify(names[i])},
        unitsPerEm: ${shaper.unitsPerEm},
        widths:
          '${packedWidths([...widths, ...ligatures])}',
      },`;
  });
  return `  {
    name: '${name}',
    script: '${script}',
    kind: '${kind}',
    systems: ${JSON.stringify(systems)},
    faces: [
${faces.join('\n')}
    ],
  },`;
});
const text = `/**
 * Fonts that systems bring for scripts which their usual ones lack, with the advances of their letters; not with their kerning. Made
 * by tools/data/script-fonts.mjs.
 */
export interface ScriptFontData {
  name: string;
  script: 'Arabic' | 'Hebrew' | 'Thai';
  kind: 'sans-serif' | 'serif' | 'any';
  systems: readonly ('Windows' | 'Apple' | 'Android' | 'Linux')[];
  faces: readonly {
    isBold: boolean;
    /** What \`local()\` finds it by: full names and PostScript names. */
    names: readonly string[];
    unitsPerEm: number;
    /**
     * In the order of \`scriptFontRanges\`, base 36, with counts of what repeats; a dash for a letter that isn't there. Of Arabic ones each
     * alone, at the end, in the middle and at the start of a word; then lam with each of \`alefsOfLam\`, alone and at the end.
     */
    widths: string;
  }[];
}

export const scriptFontRanges: Readonly<Record<ScriptFontData['script'], readonly (readonly [first: number, last: number])[]>> = ${JSON.stringify(scripts)};

/** Alefs that lam makes one letter with. */
export const alefsOfLam: readonly number[] = ${JSON.stringify(alefs.map((one) => one.codePointAt(0)))};

export const scriptFonts: readonly ScriptFontData[] = [
${rows.join('\n')}
];
`;
writeFileSync(new URL('../../src/data/script-fonts.ts', import.meta.url), text);
console.log(`${fonts.length} fonts, ${text.length} bytes`);
