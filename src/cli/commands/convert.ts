import type { Command } from 'commander';
import { convert } from '../../app/fonts/convert.js';
import { fontFormats } from '../../core/containers/formats.js';
import { DenseGlyphError } from '../../errors.js';
import { tellRefused } from '../refused.js';
import { Reporter } from '../reporter.js';
import type { CommonOptions, Terminal } from '../terminal.js';
import { conversionLines } from '../views/convert.js';
import { ruleLines } from '../views/rules.js';
import { readFormats, required } from './options.js';

export const summary = 'convert font files between woff2, woff, ttf, otf, eot and svg';
/** In the order of the work. */
export const order = 20;

interface ConvertOptions extends CommonOptions {
  to?: string;
  out?: string;
  face?: string;
  tolerance?: string;
  smallest?: boolean;
  css?: string;
}

export function configure(command: Command, terminal: Terminal): void {
  command
    .argument('<fonts...>', 'font files, archives, folders or globs')
    .option('--to <formats>', `one or more of ${fontFormats.join(', ')}, separated by commas`)
    .option('--out <dir>', 'the folder to write to')
    .option('--css <file>', 'write the @font-face rules there; without it they are printed')
    .option('--face <which>', 'of a collection only this face: its number from 1, or its name')
    .option('--tolerance <em>', 'how far a curve may stray where CFF outlines become TrueType', '1/2000')
    .option('--smallest', 'search for the smallest woff; takes some ten seconds a font')
    .addHelpText('after', '\nExample:\n  dense-glyph convert fonts/*.ttf --to woff2 --out site/type\n')
    .action(async (fonts: string[], options: ConvertOptions) => {
      const reporter = new Reporter(terminal, options);
      const request = {
        fonts,
        folder: terminal.folder,
        formats: readFormats(required('convert', '--to', options.to)),
        out: required('convert', '--out', options.out),
        face: options.face,
        tolerance: readTolerance(options.tolerance),
        smallest: options.smallest === true,
        css: options.css,
      };
      const result = await convert(request, reporter.onProgress);
      reporter.result(result);
      reporter.say(...conversionLines(result), '', ...ruleLines(result.rules, options.css));
      tellRefused(result.refused);
    });
}

/** A part of the em, as a number or as a fraction. */
function readTolerance(text = ''): number {
  const [, over, under = '1'] = /^([\d.]+)(?:\/([\d.]+))?$/.exec(text.trim()) ?? [];
  const tolerance = Number(over) / Number(under);
  if (tolerance > 0 && tolerance <= 0.1) return tolerance;
  const reason = `--tolerance: "${text}" is not a part of the em`;
  throw new DenseGlyphError('call-invalid', reason, {}, 'write a fraction up to 1/10, as in 1/2000');
}
