import { openFont } from '../../core/containers/index.js';
import { mappedCharacters } from '../../core/text/mapped-characters.js';
import { DenseGlyphError } from '../../errors.js';
import type { Site } from '../../site/scanning/site.js';
import type { FaceRule, Supply } from '../../site/usage/declared-faces.js';

/** What files hold that were opened, by where they are. */
export type KnownSupplies = Map<string, Supply | undefined>;

/**
 * Notes at the rules of some pages what their files hold, where they are at hand.
 *
 * @param known those that were opened before, and are then
 */
export async function addSupplies(
  pages: readonly { rules: readonly FaceRule[] }[],
  site: Pick<Site, 'read'>,
  known: KnownSupplies = new Map(),
): Promise<void> {
  const rules = new Set(pages.flatMap((page) => page.rules));
  for (const rule of rules) {
    const address = rule.source?.address;
    if (address === undefined) continue;
    if (!known.has(address)) known.set(address, supplyOf(await site.read(address)));
    rule.supply = known.get(address);
  }
}

/** Nothing for what isn't a font; browsers draw the next source then. */
export function supplyOf(bytes: Uint8Array | undefined): Supply | undefined {
  if (!bytes) return undefined;
  try {
    return { characters: mappedCharacters(openFont(bytes).font), bytes: bytes.length };
  } catch (cause) {
    if (cause instanceof DenseGlyphError) return undefined;
    throw cause;
  }
}
