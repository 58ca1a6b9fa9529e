import { describe, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { openFont } from '#src/core/containers/index.js';
import { fontOf } from '#src/core/sfnt/font.js';
import { convertEverywhere } from '../tools/corpus/formats.js';
import { sampleFonts, vendorFonts } from '../test-support/paths.js';

/** A fixed sample; `npm run corpus -- <folders>` takes any number of fonts the same way, and draws them. */
const files = [
  join(sampleFonts, 'LampbuoySlab-Bold.otf'),
  join(sampleFonts, 'FerrywakeSans-Variable.ttf'),
  join(vendorFonts, 'KaTeX_Fraktur-Bold.ttf'),
  join(vendorFonts, 'KaTeX_Main-Regular.woff'),
  join(vendorFonts, 'KaTeX_Size3-Regular.woff2'),
];

describe('every format and back', () => {
  test.each(files)('%s', async (file) => {
    const { problems, made } = await convertEverywhere(openFont(readFileSync(file)).font);
    expect(problems).toEqual([]);
    const redrawn = file.endsWith('.otf') ? ['ttf'] : [];
    expect([...made.keys()].sort()).toEqual(['eot', 'svg', ...redrawn, 'woff', 'woff2']);
  });

  test('bytes of glyf that no glyph uses don’t come back, and the script says so', async () => {
    const { font } = openFont(readFileSync(files[4]));
    const tables = font.tables().set('glyf', new Uint8Array([...font.bytesOf('glyf'), 0, 0, 0, 0]));
    const { problems, glyfAsItWas } = await convertEverywhere(fontOf(font.flavour, tables));
    expect([problems, glyfAsItWas]).toEqual([[], false]);
  });
});
