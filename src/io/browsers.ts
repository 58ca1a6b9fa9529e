import browserslist from 'browserslist';
import { DenseGlyphError } from '../errors.js';

/**
 * The browserslist queries of the project that a folder lies in, or undefined where it has none.
 *
 * @throws DenseGlyphError `config-invalid` where the project's list can't be read
 */
export function projectBrowsers(folder: string): string[] | undefined {
  try {
    return browserslist.loadConfig({ path: folder });
  } catch (cause) {
    const reason = (cause instanceof Error ? cause.message : String(cause)).split('\n')[0].replace(/\.$/, '');
    throw new DenseGlyphError(
      'config-invalid',
      `the project's list of browsers cannot be read: ${reason}`,
      {},
      'correct it, or write reach into the config',
      cause,
    );
  }
}
