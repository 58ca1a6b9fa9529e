import { slug } from '../../core/face/slug.js';
import { DenseGlyphError } from '../../errors.js';
import type { ReadingOptions } from '../project/config-site.js';
import type { OnProgress } from '../progress.js';
import { draftConfig, type DraftedConfig } from './draft-config.js';
import { foundFaces } from './found-faces.js';
import { pagesOf } from './init.js';
import { familyUses } from './uses.js';

export type { DraftedConfig };

/**
 * The config of a kit that has all the fonts which are named.
 *
 * @throws DenseGlyphError `file-unreadable`, also for a site without pages; `face-missing` where none can be read
 */
export async function draftForFonts(
  fonts: readonly string[],
  request: { folder: string; out: string; site?: string | undefined } & ReadingOptions,
  progress?: OnProgress,
): Promise<DraftedConfig> {
  const { folder, out, site } = request;
  const pages = site === undefined ? [] : await pagesOf(site, request, progress);
  const { faces, notes } = await foundFaces(fonts, pages, folder, true);
  if (faces.length === 0)
    throw new DenseGlyphError(
      'face-missing',
      'none of the fonts can be read',
      {},
      notes.slice(0, 3).join('; '),
    );
  const { config, reasons } = draftConfig(faces, { folder, out, site, uses: familyUses(pages) });
  // Several kits may be made from one folder, each with its facts.
  const output = { ...config.output, facts: `.dense-glyph/${slug(config.output.folder) || 'kit'}` };
  return { config: { ...config, output }, reasons: [...reasons, ...notes] };
}
