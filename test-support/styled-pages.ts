import { initialStyle, type ComputedStyle } from '#src/site/cascade/computed.js';
import { PageMatches, PageStyles } from '#src/site/cascade/page-styles.js';
import { scenariosOf } from '#src/site/cascade/scenarios.js';
import { RuleIndex, type PageSheet } from '#src/site/cascade/style-rules.js';
import { readRules } from '#src/site/css/rules.js';
import { elementsWithin, readDocument, type SiteElement } from '#src/site/html/document.js';
import { stylesheetsOf } from '#src/site/html/stylesheets.js';
import { userAgentStyles } from '#src/data/user-agent-styles.js';

const userAgent: PageSheet = {
  origin: 'user-agent',
  rules: readRules(userAgentStyles, 'user-agent').rules,
  conditions: [],
  layers: [],
  layer: '',
};

/** The styles of a page that holds all of its own, on a usual screen, by the ids of its elements. */
export function stylesById(
  html: string,
): Map<string, { style: ComputedStyle; before: ComputedStyle | undefined }> {
  const root = readDocument(html);
  const { sheets } = stylesheetsOf(root, 'page.html', {
    linked: () => undefined,
    inline: (css, file, line) => readRules(css, file, Math.max(1, line)),
  });
  const index = new RuleIndex([userAgent, ...sheets]);
  const matches = new PageMatches(index, { states: false });
  for (const element of elementsWithin(root)) matches.of(element);
  const [usual] = scenariosOf(index.conditionSets, matches.conditions, false);
  const styles = new PageStyles(index, matches, usual.holding, 'page.html');
  const found = new Map<string, { style: ComputedStyle; before: ComputedStyle | undefined }>();
  const walk = (element: SiteElement, parent: ComputedStyle) => {
    const { style, pseudo } = styles.styleOf(element, parent);
    const id = element.attributes.get('id');
    if (id !== undefined) found.set(id, { style, before: pseudo.get('before') });
    for (const child of element.elements) walk(child, style);
  };
  walk(root, initialStyle);
  return found;
}
