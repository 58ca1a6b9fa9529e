import type { KitConfig } from '../../config/schema.js';
import type { Source } from '../../core/source/index.js';
import type { ScannedPage } from '../../site/scanning/page-scanner.js';
import { chosenFaces, type ChosenFamily } from './chosen.js';
import { cutToDemand, type CutFamilies } from './cut.js';
import { demandOnKit, type DemandingPage } from './demand.js';

/** A page as far as it asks for faces. */
export const demandingPage = ({
  page,
  languages,
  faces,
  lines,
  fontFaces,
  scripts,
  hasScripts,
}: Pick<
  ScannedPage,
  'page' | 'languages' | 'faces' | 'lines' | 'fontFaces' | 'scripts' | 'hasScripts'
>): DemandingPage => ({
  page,
  languages,
  faces,
  lines,
  scripts,
  hasScripts,
  declared: fontFaces.map(({ family }) => family),
});

/**
 * Which faces a kit ships, and what each is cut to.
 *
 * @param sources of each family of the config, in its order
 * @param pages that were read; faces stay whole where there are none
 * @throws DenseGlyphError
 */
export async function plannedFaces(
  config: KitConfig,
  sources: readonly (readonly Source[])[],
  pages: readonly DemandingPage[],
): Promise<CutFamilies> {
  return cutToPages(config, chosenFaces(config, sources), pages);
}

/** The second half of `plannedFaces`. */
export const cutToPages = (
  config: KitConfig,
  chosen: readonly ChosenFamily[],
  pages: readonly DemandingPage[],
): Promise<CutFamilies> =>
  cutToDemand(chosen, pages.length > 0 ? demandOnKit(pages, chosen) : new Map(), config);
