// What pages draw, whatever face draws it: for fonts that are cut to all of it

import { CodePointSet } from '../../core/text/code-point-set.js';
import { computedStyle, initialStyle, type ComputedStyle } from '../cascade/computed.js';
import { featuresByProperty } from '../css/properties/index.js';
import { readRules } from '../css/rules.js';
import { stringsOf, tokensOf } from '../css/tokens.js';
import { readDocument } from '../html/document.js';
import { CharacterMarks } from './character-marks.js';
import { ellipsisText, emphasisText, hyphenText } from './drawn-marks.js';
import type { DrawnPiece } from './drawn-text.js';
import { contentText, Counters, isShape, markerText } from './generated-content.js';
import type { DrawnBesides, RequestedFeatures } from './styled-files.js';

/** What pages and stylesheets ask of a font. */
export interface AskedOfFont {
  /** What the pages show of their own text. */
  written: CodePointSet;
  /** Those that styles turn on. */
  features: RequestedFeatures;
  /** What is drawn besides the text. */
  besides: DrawnBesides[];
}

/** Names of pseudo-elements that draw text which stands in the page. */
const ofTheText: ReadonlySet<string> = new Set(['first-letter', 'first-line', 'placeholder']);

const smallCapitals = 'small capitals';

/** Properties that say what pseudo-elements draw. */
const sayingProperty: Readonly<Record<string, string | undefined>> = {
  before: 'content',
  after: 'content',
  marker: 'list-style-type',
};

/** Collects the texts of pages and stylesheets. */
export class PageTexts {
  private readonly written = new CharacterMarks();
  private readonly drawn = new Map<string, { files: Set<string>; characters: CharacterMarks }>();
  private readonly features = new Map<string, Set<string>>();
  private readonly seen = new Set<ComputedStyle>();

  /** @param page as the user would write it */
  add({ text, style, element, pseudo }: DrawnPiece, page: string): void {
    this.addFeatures(style, page);
    if (pseudo === undefined || ofTheText.has(pseudo)) this.written.add(text);
    else this.draw(text, style, `${element.name}::${pseudo}`, pseudo, page);
  }

  /** A stylesheet without a page: its strings are what it draws, and are asked for. */
  addStylesheet(css: string, file: string): void {
    const { rules, counterStyles, namedFeatures } = readRules(css, file);
    this.addNamed(namedFeatures, file);
    for (const name of counterStyles.keys()) this.written.add(markerText(name, 1, counterStyles));
    for (const { declarations, selectorText, line } of rules) {
      const applied = declarations.map(({ property, value }) => ({
        property,
        value,
        origin: 'author' as const,
        layer: '',
        place: { file, line, selector: selectorText },
      }));
      const style = computedStyle(applied, initialStyle);
      this.addFeatures(style, file);
      for (const text of textsOf(style)) this.written.add(text);
    }
  }

  /** Features that a page turns on and that no property names: by names of their own (CSS Fonts 4, section 6.9). */
  addNamed(tags: Iterable<string>, file: string): void {
    for (const tag of tags) if (!this.features.has(tag)) this.addFeature(tag, file);
  }

  private addFeature(tag: string, file: string): void {
    const files = this.features.get(tag) ?? new Set();
    this.features.set(tag, files.add(file));
  }

  finish(): AskedOfFont {
    const features = Array.from(this.features, ([tag, files]) => [tag, [...files].sort()] as const);
    const written = setOf(this.written);
    return {
      written,
      features: new Map(features.sort(([a], [b]) => (a < b ? -1 : 1))),
      besides: Array.from(this.drawn, ([by, { files, characters }]) => ({
        by,
        files: [...files].sort(),
        characters: new CodePointSet(
          setOf(characters)
            .codePoints()
            .filter((one) => !written.has(one)),
        ),
        asSmallCapitals: by === smallCapitals,
      })).filter(({ characters }) => characters.size > 0),
    };
  }

  private addFeatures(style: ComputedStyle, file: string): void {
    if (this.seen.has(style)) return;
    this.seen.add(style);
    for (const [name, tags] of featuresByProperty(style))
      for (const tag of tags) this.addFeature(tag, style.deciders.get(name)?.place?.file ?? file);
  }

  private draw(text: string, style: ComputedStyle, name: string, pseudo: string, page: string): void {
    // A rule says what is generated; what isn't said in one is the browser's.
    const property = sayingProperty[pseudo];
    const place =
      pseudo === smallCapitals
        ? style.deciders.get('font-variant-caps')?.place
        : property === undefined
          ? undefined
          : style.deciders.get(property)?.place;
    const by = pseudo === smallCapitals ? smallCapitals : (place?.selector ?? name);
    let drawn = this.drawn.get(by);
    if (!drawn) this.drawn.set(by, (drawn = { files: new Set(), characters: new CharacterMarks() }));
    drawn.files.add(place?.file ?? page);
    drawn.characters.add(text);
  }
}

/** What a rule draws by itself. */
function textsOf(style: ComputedStyle): string[] {
  return [
    contentText(style, readDocument(''), new Counters(new Map()), ''),
    isShape(style.listStyle) ? '' : markerText(style.listStyle, 1),
    emphasisText(style),
    hyphenText(style),
    ellipsisText(style),
    ...stringsOf(tokensOf(style.quotes)),
  ];
}

function setOf(marks: CharacterMarks): CodePointSet {
  const found = new Set<number>();
  marks.addTo(found);
  return new CodePointSet(found);
}
