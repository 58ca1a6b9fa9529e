import { join, resolve } from 'node:path';
import type { KitConfig } from '../../config/schema.js';
import { DenseGlyphError } from '../../errors.js';
import { finding, type Finding } from '../../findings.js';
import { isBelow, isFile, readBytes } from '../../io/read.js';
import { readKeptPages, type KeptPage } from '../../kit/planning/kept-demand.js';
import { digestOf } from './reading/page-digest.js';

/** What pages asked for when they were read. */
export interface KeptDemand {
  /** As the user would write it. */
  file: string;
  pages: KeptPage[];
}

/**
 * The demand that a call names, or the config, where it is there.
 *
 * @param base the folder of the config, absolute
 * @param named by the call, from `folder`
 * @throws DenseGlyphError `file-unreadable`, `call-invalid`
 */
export function keptDemand(
  { site }: Pick<KitConfig, 'site'>,
  base: string,
  { demand: named, folder }: { demand?: string | undefined; folder: string },
): KeptDemand | undefined {
  if (named !== undefined) return readDemand(resolve(folder, named), named);
  const file = site?.demand;
  if (file === undefined || !isFile(resolve(base, file))) return undefined;
  return readDemand(resolve(base, file), file);
}

function readDemand(path: string, file: string): KeptDemand {
  const refuse = (reason: string, cause?: unknown) =>
    new DenseGlyphError(
      'file-unreadable',
      reason,
      { file },
      `take it again: dense-glyph scan --save ${file}`,
      cause,
    );
  let found: unknown;
  try {
    found = JSON.parse(new TextDecoder().decode(readBytes(path, file)));
  } catch (cause) {
    if (cause instanceof DenseGlyphError) throw cause;
    throw refuse('it is no JSON', cause);
  }
  const { demandVersion, pages } = (found ?? {}) as { demandVersion?: unknown; pages?: unknown };
  if (demandVersion !== 1 || !Array.isArray(pages)) throw refuse('it is no result of scan --save');
  try {
    return { file, pages: readKeptPages(pages as unknown[]) };
  } catch (cause) {
    throw refuse(`it does not say what pages ask for: ${(cause as Error).message}`, cause);
  }
}

/** Where pages aren't any more what they were. @param root of the site, absolute */
export function staleFindings({ file, pages }: KeptDemand, root: string): Finding[] {
  const changed = pages.filter(({ page, digest }) => {
    const path = join(root, page);
    if (digest === undefined || !isBelow(path, root) || !isFile(path)) return false;
    return digestOf({ read: () => readBytes(path, page) }) !== digest;
  });
  if (changed.length === 0) return [];
  const shown = changed.slice(0, 3).map(({ page }) => page);
  const more = changed.length > 3 ? ` and ${changed.length - 3} more` : '';
  return [finding('demand-stale', `it is older than ${shown.join(', ')}${more}`, { file })];
}
