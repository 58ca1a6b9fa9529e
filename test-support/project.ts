import { cpSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Manifest } from '#src/kit/index.js';
import { inFolder } from './cli.js';
import { sampleFonts } from './paths.js';

/** A project with the sample fonts and a config. */
export async function project<Result>(
  config: object,
  use: (folder: string) => Promise<Result>,
): Promise<Result> {
  return inFolder(async (folder) => {
    cpSync(sampleFonts, join(folder, 'fonts'), { recursive: true });
    writeFileSync(join(folder, 'dense-glyph.config.json'), JSON.stringify(config));
    return use(folder);
  });
}

export const sans = {
  family: 'Ferrywake Sans',
  files: 'fonts/FerrywakeSans-{Regular,Bold,Italic,BoldItalic}.ttf',
  role: 'body',
  rights: 'OFL-1.1',
};
export const slab = {
  family: 'Lampbuoy Slab',
  files: ['fonts/LampbuoySlab-Bold.otf'],
  role: 'heading',
  stack: ['Georgia', 'serif'],
};
export const config = { output: { folder: 'site/type' }, families: [sans, slab] };

export const manifestIn = (folder: string) =>
  JSON.parse(readFileSync(join(folder, 'site/type/kit.json'), 'utf8')) as Manifest;
export const textIn = (folder: string, file: string) => readFileSync(join(folder, 'site/type', file), 'utf8');
