import { PageMatches } from '../cascade/matches.js';
import { PageStyles } from '../cascade/page-styles.js';
import { initialLineStyle } from '../cascade/computed.js';
import { scenariosOf, usualScreen } from '../cascade/scenarios.js';
import { holds } from '../css/conditions.js';
import type { SiteStyles } from '../cascade/site-styles.js';
import type { PageSheet } from '../cascade/style-rules.js';
import type { FontFaceDescriptors } from '../css/rules.js';
import { elementsWithin, treesWithin, type SiteElement } from '../html/document.js';
import { drawnText, type DrawnPiece, type DrawnVisitor } from './drawn-text.js';
import type { CounterStyles } from './generated-content.js';
import { FaceCollector } from './face-collector.js';
import type { LineFace, PageFace } from './page-face.js';
import { screensLike } from './line-room.js';
import { BlockCollector, type TextBlock } from './text-blocks.js';

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
  /** How wide the screens are for which the blocks of its text are told, CSS pixels; the rules keep what lines need then. */
  widths?: readonly number[] | undefined;
}

interface PageFaces {
  faces: Map<string, PageFace>;
  lines: LineFace[];
  languages: string[];
  isBounded: boolean;
  /** Blocks of its text by how wide the screen is. */
  blocks?: Map<number, TextBlock[]>;
}

/**
 * Which faces a page asks for, and for which characters, on all screens, on paper and in all states.
 *
 * @param onPiece called for each piece of text
 */
export function pageFaces(
  { root, file, sheets, fontFaces, counterStyles = new Map(), namedFeatures, withPlaces, widths }: StyledPage,
  site: SiteStyles,
  onPiece?: (piece: DrawnPiece) => void,
): PageFaces {
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
  const blocksAt = (width: number): TextBlock[] => {
    const screen = { ...usualScreen, ...(width < usualScreen.width ? { width, height: 844 } : { width }) };
    const holding: boolean[] = [];
    for (const i of used) holding[i] = holds(site.conditions.all[i], screen);
    const computing = { properties: site.properties, viewport: screen };
    const styles = new PageStyles(atRest, holding, file, site.cacheFor(screen), computing);
    const blocks = new BlockCollector([width, ...screensLike(width)]);
    drawnText(root, [{ styles, isDrawn: true }], () => true, blocks, counterStyles, initialLineStyle);
    return blocks.finish();
  };
  return {
    ...(widths ? { blocks: new Map(widths.map((width) => [width, blocksAt(width)])) } : {}),
    ...collector.finish(),
    languages: [...languages],
    isBounded: atRest.isBounded || inStates.isBounded,
  };
}
