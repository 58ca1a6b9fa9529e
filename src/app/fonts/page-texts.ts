import { DenseGlyphError } from '../../errors.js';
import { readBytes, shownPath } from '../../io/read.js';
import { openFolder, withNearestRoots } from '../../io/site-folder.js';
import { decodedStylesheet } from '../../site/html/encoding.js';
import { PageScanner } from '../../site/scanning/page-scanner.js';
import { PageTexts, type AskedOfFont } from '../../site/usage/page-texts.js';
import { isPage } from '../../site/usage/styled-files.js';

/**
 * What pages draw by the cascade of their styles, and what stylesheets draw that are named themselves.
 *
 * @param paths absolute @param folder of the call
 * @throws DenseGlyphError `file-unreadable` for a page that isn't text
 */
export async function textsOfPages(paths: readonly string[], folder: string): Promise<AskedOfFont> {
  const texts = new PageTexts();
  const site = withNearestRoots(openFolder(folder, folder, paths.filter(isPage)));
  const scanner = new PageScanner(site, { onPiece: (piece, page) => texts.add(piece, page) });
  for (const page of site.pages)
    for (const { faces } of await scanner.scanned(page))
      for (const { features } of faces.values()) texts.addNamed(features, page.page);
  const unreadable = scanner.takeFound().problems.find(({ code }) => code === 'page-unreadable');
  if (unreadable)
    throw new DenseGlyphError('file-unreadable', unreadable.reason ?? 'it cannot be read', {
      file: unreadable.file,
    });
  for (const path of paths.filter((one) => !isPage(one))) {
    const file = shownPath(path, folder);
    texts.addStylesheet(decodedStylesheet(readBytes(path, file)), file);
  }
  return texts.finish();
}
