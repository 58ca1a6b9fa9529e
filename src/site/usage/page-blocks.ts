import { initialLineStyle } from '../cascade/computed.js';
import { PageMatches } from '../cascade/matches.js';
import { PageStyles } from '../cascade/page-styles.js';
import { usualScreen } from '../cascade/scenarios.js';
import type { SiteStyles } from '../cascade/site-styles.js';
import { holds } from '../css/conditions.js';
import { elementsWithin, treesWithin } from '../html/document.js';
import { drawnText } from './drawn-text.js';
import { screensLike } from './line-room.js';
import type { StyledPage } from './page-faces.js';
import { BlockCollector, type TextBlock } from './text-blocks.js';

/**
 * Blocks of a page's text, as it is at rest, by how wide the screen is.
 *
 * @param page with rules that keep what lines need
 * @param widths CSS pixels
 */
export function pageBlocks(
  {
    root,
    file,
    sheets,
    counterStyles = new Map(),
  }: Pick<StyledPage, 'root' | 'file' | 'sheets' | 'counterStyles'>,
  site: SiteStyles,
  widths: readonly number[],
): Map<number, TextBlock[]> {
  site.beginPage();
  const matches = new PageMatches(new Map([...sheets].map(([tree, list]) => [tree, site.for(list).atRest])));
  for (const tree of treesWithin(root)) for (const element of elementsWithin(tree)) matches.of(element);
  const blocksAt = (width: number): TextBlock[] => {
    const screen = { ...usualScreen, ...(width < usualScreen.width ? { width, height: 844 } : { width }) };
    const holding: boolean[] = [];
    for (const i of matches.conditions) holding[i] = holds(site.conditions.all[i], screen);
    const computing = { properties: site.properties, viewport: screen };
    const styles = new PageStyles(matches, holding, file, site.cacheFor(screen), computing);
    const blocks = new BlockCollector([width, ...screensLike(width)]);
    drawnText(root, [{ styles, isDrawn: true }], () => true, blocks, counterStyles, initialLineStyle);
    return blocks.finish();
  };
  return new Map(widths.map((width) => [width, blocksAt(width)]));
}
