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

/** @param facts where they lie, as `output.facts` says */
export const manifestIn = (folder: string, facts = '.dense-glyph') =>
  JSON.parse(readFileSync(join(folder, facts, 'kit.json'), 'utf8')) as Manifest;
export const factIn = (folder: string, file: string) =>
  readFileSync(join(folder, '.dense-glyph', file), 'utf8');
export const textIn = (folder: string, file: string) => readFileSync(join(folder, 'site/type', file), 'utf8');
