import { fontFormats, type FontFormat } from '../../core/containers/index.js';
import { DenseGlyphError } from '../../errors.js';

/** Formats as --to names them: `woff2, woff`. @throws DenseGlyphError `call-invalid` */
export function readFormats(text: string): FontFormat[] {
  const wanted = text.split(',').map((name) => name.trim().toLowerCase().replace(/^\./, ''));
  for (const name of wanted) {
    if (fontFormats.includes(name as FontFormat)) continue;
    throw new DenseGlyphError(
      'call-invalid',
      `--to: "${name}" is not a format`,
      {},
      `choose from ${fontFormats.join(', ')}`,
    );
  }
  return [...new Set(wanted)] as FontFormat[];
}

/** What reads an option that counts something from 1. */
export const countFor =
  (option: string) =>
  (text: string): number => {
    const count = Number(text);
    if (Number.isInteger(count) && count > 0) return count;
    const reason = `${option}: "${text}" is no count`;
    throw new DenseGlyphError('call-invalid', reason, {}, 'write a number from 1');
  };

/** The port of `--port`; 0 for any that is free. @throws DenseGlyphError `call-invalid` */
export function readPort(text: string): number {
  const port = Number(text);
  if (Number.isInteger(port) && port >= 0 && port <= 65_535) return port;
  const reason = `--port: "${text}" is not a port`;
  throw new DenseGlyphError('call-invalid', reason, {}, 'give a number up to 65535');
}

/** Checked after misspelt options, which are the likelier mistake. */
export function required(command: string, option: string, value: string | undefined): string {
  if (value) return value;
  throw new DenseGlyphError('call-invalid', `${option} is missing`, {}, `see dense-glyph ${command} --help`);
}

/** Names a config that isn't in this folder, as another one may have been meant. */
export const elsewhere = (config: string | undefined): string[] =>
  config !== undefined && /[\\/]/.test(config) ? [`Config  ${config}`, ''] : [];
