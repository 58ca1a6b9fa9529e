import { PageMatches } from '../cascade/matches.js';
import { PageStyles } from '../cascade/page-styles.js';
import { scenariosOf } from '../cascade/scenarios.js';
import type { SiteStyles } from '../cascade/site-styles.js';
import type { PageSheet } from '../cascade/style-rules.js';
import type { FontFaceDescriptors } from '../css/rules.js';
import { elementsWithin, treesWithin, type SiteElement } from '../html/document.js';
import { drawnText, type DrawnPiece, type DrawnVisitor } from './drawn-text.js';
import type { CounterStyles } from './generated-content.js';
import { FaceCollector } from './face-collector.js';
import type { LineFace, PageFace } from './page-face.js';

/** A page that was read. */
export interface StyledPage {
  root: SiteElement;
  /** As the user would write it. */
  file: string;
  /** Stylesheets of the page, and of each shadow tree by its root. */
  sheets: ReadonlyMap<SiteElement | undefined, readonly PageSheet[]>;
  fontFaces: readonly FontFaceDescriptors[];
  /** Of `@counter-style` rules, by their names. */
  counterStyles?: CounterStyles;
  /** Features that `@font-feature-values` gives names to; `font-variant-alternates` turns them on. */
  namedFeatures?: ReadonlySet<string>;
  /** Whether to note which elements draw a face. */
  withPlaces: boolean;
}

interface PageFaces {
  faces: Map<string, PageFace>;
  lines: LineFace[];
  languages: string[];
  isBounded: boolean;
}

/**
 * Which faces a page asks for, and for which characters, on all screens, on paper and in all states.
 *
 * @param onPiece called for each piece of text
 */
export function pageFaces(
  { root, file, sheets, fontFaces, counterStyles = new Map(), namedFeatures, withPlaces }: StyledPage,
  site: SiteStyles,
  onPiece?: (piece: DrawnPiece) => void,
): PageFaces {
  site.beginPage();
  const trees = [...sheets].map(([tree, list]) => [tree, site.for(list)] as const);
  const atRest = new PageMatches(new Map(trees.map(([tree, known]) => [tree, known.atRest])));
  const inStates = trees.some(([, known]) => known.hasStates)
    ? new PageMatches(new Map(trees.map(([tree, known]) => [tree, known.inStates])))
    : atRest;
  const languages = new Set<string>();
  for (const tree of treesWithin(root)) {
    for (const element of elementsWithin(tree)) {
      const language = element.attributes.get('lang');
      if (language) languages.add(language);
      atRest.of(element);
      inStates.of(element);
    }
  }
  const used = new Set([...atRest.conditions, ...inStates.conditions]);
  const hasStates = atRest.hasStates || inStates.hasStates;
  const screens = scenariosOf(site.conditions.all, used, hasStates).map(({ holding, states, certainty }) => ({
    styles: new PageStyles(states ? inStates : atRest, holding, file, site.cache),
    isDrawn: certainty === 'drawn',
  }));
  const collector = new FaceCollector(fontFaces, withPlaces, screens, namedFeatures);
  const varies = (element: SiteElement) => atRest.varies(element) || inStates.varies(element);
  const visitor: DrawnVisitor = onPiece
    ? {
        text: (piece) => {
          collector.text(piece);
          onPiece(piece);
        },
        box: (style, on) => collector.box(style, on),
      }
    : collector;
  drawnText(root, screens, varies, visitor, counterStyles);
  return {
    ...collector.finish(),
    languages: [...languages],
    isBounded: atRest.isBounded || inStates.isBounded,
  };
}
