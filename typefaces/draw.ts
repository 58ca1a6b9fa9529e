/** Draws the sample typefaces and writes them to sample/fonts. */
import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { sampleFonts } from './families.js';

const folder = 'sample/fonts';
mkdirSync(folder, { recursive: true });
for (const [file, draw] of sampleFonts) {
  const bytes = draw();
  writeFileSync(join(folder, file), bytes);
  console.log(`${file}  ${bytes.length} bytes`);
}
