import { CodePointSet } from '../../core/text/code-point-set.js';
import { counterSymbols } from '../../data/counter-styles.js';
import { addCustomProperties, type CustomProperties } from '../css/custom-properties.js';
import { readStylesheet, type Declaration } from '../css/stylesheet.js';
import { decodedPage, decodedStylesheet } from '../html/encoding.js';
import { attributeValues, readPage } from '../html/page.js';
import { generatedTextOf } from './generated-text.js';
import { requestedFeatures } from './requested-features.js';
import { isPage, type DrawnBesides, type RequestedFeatures } from './styled-files.js';
import { transformedText, type TextTransform } from './transformed-text.js';

/** The files of a site, by absolute path. */
export interface SiteFiles {
  /** @throws DenseGlyphError `file-unreadable` */
  read(path: string): Uint8Array;
  /** The path as the user would write it. */
  shown(path: string): string;
  /** The file that a link in another one stands for, if it is here. */
  linked(link: string, from: string): string | undefined;
}

/** What pages and stylesheets ask of a font. */
export interface PageDemand {
  /** What the pages show. */
  text: string;
  /** Those that styles turn on. */
  features: RequestedFeatures;
  /** What is drawn besides the text. */
  besides: DrawnBesides[];
}

/**
 * Reads pages and stylesheets, and the stylesheets that they link or import by a path. Those of other hosts, and those that
 * aren't there, are left alone. Rules aren't matched with elements, so that more may be asked for than is drawn.
 *
 * @param paths absolute
 * @param otherText what the pages show that doesn't stand in them
 * @throws DenseGlyphError `file-unreadable` for a page that isn't text
 */
export async function readPages(
  paths: readonly string[],
  files: SiteFiles,
  otherText: string,
): Promise<PageDemand> {
  const reader = new PageReader(files);
  for (const path of paths) await reader.read(path);
  return reader.finish(paths, otherText);
}

interface Drawn {
  files: Set<string>;
  text: string[];
}

class PageReader {
  private readonly waiting: string[] = [];
  private readonly seen = new Set<string>();
  private readonly pages: string[] = [];
  private readonly text: string[] = [];
  private readonly languages = new Set<string>();
  /** By file. */
  private readonly styles = new Map<string, Declaration[]>();
  private readonly customProperties: CustomProperties = new Map();
  private readonly features = new Map<string, Set<string>>();
  private readonly drawn = new Map<string, Drawn>();
  private readonly transforms = new Map<TextTransform, { by: string; files: Set<string> }>();
  private readonly smallCapitals = new Set<string>();
  /** Names of attributes that are drawn, with the files that say so. */
  private readonly attributes = new Map<string, Set<string>>();
  private readonly quotes = new Set<string>();

  constructor(private readonly files: SiteFiles) {}

  /** A page or a stylesheet, and what it leads to. */
  async read(start: string): Promise<void> {
    this.wait(start);
    for (let path = this.waiting.pop(); path !== undefined; path = this.waiting.pop()) {
      if (isPage(path)) await this.readPage(path);
      else this.readStyles(decodedStylesheet(this.files.read(path)), path);
    }
  }

  private wait(path: string): void {
    if (this.seen.has(path)) return;
    this.seen.add(path);
    this.waiting.push(path);
  }

  private async readPage(path: string): Promise<void> {
    const file = this.files.shown(path);
    const page = readPage(await decodedPage(this.files.read(path)));
    this.pages.push(path);
    for (const piece of page.text) this.text.push(piece);
    for (const language of page.languages) this.languages.add(language);
    for (const css of [...page.stylesheets, ...page.declarations]) this.readStyles(css, path);
    for (const link of page.links) this.follow(link, path);
    for (const name of page.counterStyles) this.draw('lists', file, `${counterSymbols.get(name) ?? ''}. `);
    if (page.passwords) this.draw('password fields', file, '•●');
    if (page.quotes) this.quotes.add(file);
    for (const tag of page.features) addTo(this.features, tag, file);
  }

  private readStyles(css: string, path: string): void {
    const { declarations, imports } = readStylesheet(css);
    for (const link of imports) this.follow(link, path);
    if (declarations.length === 0) return;
    addCustomProperties(declarations, this.customProperties);
    const before = this.styles.get(path) ?? [];
    for (const declaration of declarations) before.push(declaration);
    this.styles.set(path, before);
  }

  private follow(link: string, from: string): void {
    const path = this.files.linked(link, from);
    if (path !== undefined) this.wait(path);
  }

  private draw(by: string, file: string, text: string): void {
    const drawn = this.drawn.get(by) ?? { files: new Set(), text: [] };
    drawn.files.add(file);
    drawn.text.push(text);
    this.drawn.set(by, drawn);
  }

  /** @param named stylesheets among these are text themselves: what they draw is asked for */
  async finish(named: readonly string[], otherText: string): Promise<PageDemand> {
    for (const [path, declarations] of this.styles) this.useStyles(path, declarations, named.includes(path));
    await this.drawAttributes();
    if (this.quotes.size > 0) {
      const { quotationMarksOf } = await import('../../core/text/language-row.js');
      const marks = ['', ...this.languages].map(quotationMarksOf).join('');
      for (const file of this.quotes) this.draw('quotation marks', file, marks);
    }
    this.drawTransformed(otherText);
    const features = Array.from(this.features, ([tag, files]) => [tag, [...files].sort()] as const);
    const besides = Array.from(this.drawn, ([by, { files, text }]) => ({
      by,
      files: [...files].sort(),
      characters: CodePointSet.ofText(text.join('')),
      asSmallCapitals: by === bySmallCapitals,
    }));
    return {
      text: this.text.join('\n'),
      features: new Map(features.sort(([a], [b]) => (a < b ? -1 : 1))),
      besides,
    };
  }

  private useStyles(path: string, declarations: readonly Declaration[], isNamed: boolean): void {
    const file = this.files.shown(path);
    for (const tag of requestedFeatures(declarations, this.customProperties)) addTo(this.features, tag, file);
    const found = generatedTextOf(declarations, this.customProperties);
    const { drawn, attributes, transforms, quotes } = found;
    for (const [by, text] of drawn) this.draw(by, file, text);
    if (isNamed && !isPage(path)) this.text.push(...drawn.values());
    for (const name of attributes) addTo(this.attributes, name, file);
    for (const [transform, by] of transforms) {
      const { files } = this.transforms.get(transform) ?? { files: new Set() };
      this.transforms.set(transform, { by, files: files.add(file) });
    }
    if (quotes) this.quotes.add(file);
    if (found.smallCapitals) this.smallCapitals.add(file);
  }

  private async drawAttributes(): Promise<void> {
    const names = new Set(this.attributes.keys());
    if (names.size === 0) return;
    const found: string[] = [];
    for (const path of this.pages) {
      const page = await decodedPage(this.files.read(path));
      for (const value of attributeValues(page, names)) found.push(value);
    }
    const values = found.join('\n');
    for (const [name, files] of this.attributes) {
      for (const file of files) this.draw(byAttribute(name), file, values);
    }
  }

  /** Changes of width apply to what comes of changes of case. */
  private drawTransformed(otherText: string): void {
    const generators = ['content', ...Array.from(this.attributes.keys(), byAttribute)];
    const generated = generators.flatMap((by) => this.drawn.get(by)?.text ?? []);
    let text = [...this.text, otherText, ...generated].join('\n');
    for (const transform of [
      'uppercase',
      'lowercase',
      'capitalize',
      'full-width',
      'full-size-kana',
    ] as const) {
      const asked = this.transforms.get(transform);
      if (asked) text += this.drawChanged(text, transform, asked.by, asked.files);
    }
    if (this.smallCapitals.size > 0) this.drawChanged(text, 'uppercase', bySmallCapitals, this.smallCapitals);
  }

  /** @returns what a text becomes, of which only that is drawn which isn't in it */
  private drawChanged(
    text: string,
    transform: TextTransform,
    by: string,
    files: ReadonlySet<string>,
  ): string {
    const before = new Set(text);
    const transformed = transformedText(text, transform, [...this.languages]);
    const changed = [...new Set(transformed)].filter((character) => !before.has(character)).join('');
    for (const file of files) this.draw(by, file, changed);
    return transformed;
  }
}

const bySmallCapitals = 'small capitals';

const byAttribute = (name: string) => `content: attr(${name})`;

function addTo(lists: Map<string, Set<string>>, key: string, file: string): void {
  const files = lists.get(key) ?? new Set();
  lists.set(key, files.add(file));
}
