import { ferrywakeSans, lampbuoySlab, tidelogMono } from './design.js';
import { staticCff, staticTrueType, variableTrueType } from './font-file.js';
import type { StyleNames } from './tables/metadata.js';

const sansOptions = { smallCapitals: true, ligatures: true, tabularFigures: true };
const slabOptions = { smallCapitals: false, ligatures: true, tabularFigures: true };
const monoOptions = { smallCapitals: false, ligatures: false, tabularFigures: false };

const descriptions = {
  sans: 'A plain sans for reading on ferries and in their timetables.',
  slab: 'A heavy slab serif for notices that have to be seen from the quay.',
  mono: 'A fixed-width sans for tables of times.',
};

function sans(subfamily: string, weight: number, italic: boolean): StyleNames {
  const postScriptName = `FerrywakeSans-${subfamily.replace(' ', '')}`;
  return {
    family: 'Ferrywake Sans',
    subfamily,
    weight,
    italic,
    postScriptName,
    description: descriptions.sans,
  };
}

function sansFile(subfamily: string, weight: number, italic: boolean): [string, () => Uint8Array] {
  const names = sans(subfamily, weight, italic);
  return [
    `${names.postScriptName}.ttf`,
    () => staticTrueType(names, ferrywakeSans(weight, italic), sansOptions),
  ];
}

/** The sample font files by name, each with the function that draws it. */
export const sampleFonts: ReadonlyMap<string, () => Uint8Array> = new Map([
  sansFile('Regular', 400, false),
  sansFile('Italic', 400, true),
  sansFile('Bold', 700, false),
  sansFile('Bold Italic', 700, true),
  ['FerrywakeSans-Variable.ttf', () => variableTrueType(sans('Regular', 400, false), false, sansOptions)],
  ['FerrywakeSans-VariableItalic.ttf', () => variableTrueType(sans('Italic', 400, true), true, sansOptions)],
  [
    'LampbuoySlab-Bold.otf',
    () =>
      staticCff(
        {
          family: 'Lampbuoy Slab',
          subfamily: 'Bold',
          weight: 700,
          italic: false,
          postScriptName: 'LampbuoySlab-Bold',
          description: descriptions.slab,
        },
        lampbuoySlab,
        slabOptions,
      ),
  ],
  [
    'TidelogMono-Regular.ttf',
    () =>
      staticTrueType(
        {
          family: 'Tidelog Mono',
          subfamily: 'Regular',
          weight: 400,
          italic: false,
          postScriptName: 'TidelogMono-Regular',
          description: descriptions.mono,
        },
        tidelogMono,
        monoOptions,
      ),
  ],
]);
