import { initialLineStyle, type ComputedStyle, type LineStyle } from '#src/site/cascade/computed.js';
import { PageMatches } from '#src/site/cascade/matches.js';
import { PageStyles, StyleCache } from '#src/site/cascade/page-styles.js';
import { scenariosOf } from '#src/site/cascade/scenarios.js';
import { ofLines } from '#src/site/css/properties/index.js';
import { readRules } from '#src/site/css/rules.js';
import { elementsWithin, readDocument, treesWithin, type SiteElement } from '#src/site/html/document.js';
import { stylesheetsOf } from '#src/site/cascade/page-stylesheets.js';
import { SiteStyles } from '#src/site/cascade/site-styles.js';

/** The styles of a page that holds all of its own, on a usual screen, by the ids of its elements. */
export async function stylesById(
  html: string,
  viewport = { width: 1280, height: 800 },
): Promise<Map<string, { style: LineStyle; before: ComputedStyle | undefined }>> {
  const root = readDocument(html);
  const site = new SiteStyles(ofLines);
  const trees = new Map<SiteElement | undefined, ReturnType<typeof site.for>['atRest']>();
  for (const tree of treesWithin(root)) {
    const { sheets } = await stylesheetsOf(tree, 'page.html', {
      linked: () => Promise.resolve(undefined),
      inline: (css, file, line) => readRules(css, file, Math.max(1, line), ofLines),
    });
    trees.set(tree === root ? undefined : tree, site.for(sheets).atRest);
  }
  const matches = new PageMatches(trees);
  for (const tree of treesWithin(root)) for (const element of elementsWithin(tree)) matches.of(element);
  const [usual] = scenariosOf(site.conditions.all, matches.conditions, false);
  const styles = new PageStyles(matches, usual.holding, 'page.html', new StyleCache(), {
    properties: ofLines,
    viewport,
  });
  const found = new Map<string, { style: LineStyle; before: ComputedStyle | undefined }>();
  const walk = (element: SiteElement, parent: ComputedStyle) => {
    const { style, pseudo } = styles.styleOf(element, parent);
    const id = element.attributes.get('id');
    if (id !== undefined) found.set(id, { style: style as LineStyle, before: pseudo.get('before') });
    for (const child of element.shadow?.children ?? element.assigned ?? element.children)
      if (child.kind === 'element') walk(child, style);
  };
  walk(root, initialLineStyle);
  return found;
}
