// CSS Syntax 3: rules and declarations, as far as the values of declarations need them

import { string, tokenize, tokenTypes, url } from 'css-tree';

export interface Token {
  type: number;
  /** As it is written. */
  text: string;
}

export interface Declaration {
  /** In small letters, without the prefix of a vendor; that of a custom property as it is written. */
  property: string;
  /** Without spaces and comments. */
  value: readonly Token[];
  /** The at-rule whose block it stands in, in small letters; empty in a style rule. */
  atRule: string;
}

export interface Stylesheet {
  /** Those that say something of characters or features, wherever they are nested. */
  declarations: Declaration[];
  /** What it imports, as it writes it. */
  imports: string[];
}

/** Properties that change or draw text, or turn features on; so do custom properties. */
const textProperties =
  /^(--.*|content|quotes|list-style(-type)?|text-(overflow|transform|combine-upright|emphasis(-style)?)|block-ellipsis|hyphenate-character|font|font-feature-settings|font-variant(-.*)?)$/s;
/** At-rules all of whose descriptors are read. */
const wholeRules = /^(counter-style|annotation|character-variant|ornaments|styleset|stylistic|swash)$/;

/**
 * Reads a stylesheet, or the declarations of a style attribute. Tokens and no tree: no input keeps it from coming to an end.
 *
 * @returns nothing for what isn't CSS
 */
export function readStylesheet(css: string): Stylesheet {
  const reader = new StylesheetReader();
  tokenize(css, (type, start, end) => {
    if (type !== tokenTypes.WhiteSpace && type !== tokenTypes.Comment) reader.take(type, css, start, end);
  });
  return reader.finish();
}

class StylesheetReader {
  private readonly declarations: Declaration[] = [];
  private readonly imports: string[] = [];
  /** At-rules of the blocks around the place. */
  private readonly blocks: string[] = [];
  /** What began since the last block or semicolon. */
  private atRule = '';
  private property: string | undefined;
  /** The last word before a colon. */
  private name = '';
  private value: Token[] | undefined;

  take(type: number, css: string, start: number, end: number): void {
    switch (type) {
      case tokenTypes.AtKeyword:
        this.atRule = css.slice(start + 1, end).toLowerCase();
        break;
      case tokenTypes.LeftCurlyBracket:
        this.blocks.push(this.atRule); // what stood before it is a selector
        this.begin();
        break;
      case tokenTypes.RightCurlyBracket:
        this.end();
        this.blocks.pop();
        break;
      case tokenTypes.Semicolon:
        this.end();
        break;
      case tokenTypes.Colon:
        if (this.property === undefined) this.beginValue();
        break;
      case tokenTypes.Ident:
        if (this.property === undefined) this.name = css.slice(start, end);
        else this.value?.push({ type, text: css.slice(start, end) });
        break;
      default:
        if (this.atRule === 'import') this.takeImport(type, css.slice(start, end));
        this.value?.push({ type, text: css.slice(start, end) });
    }
  }

  finish(): Stylesheet {
    this.end();
    return { declarations: this.declarations, imports: this.imports };
  }

  private beginValue(): void {
    const isCustom = this.name.startsWith('--');
    this.property = isCustom ? this.name : this.name.toLowerCase().replace(/^-(webkit|moz|epub)-/, '');
    const isRead = textProperties.test(this.property) || wholeRules.test(this.blocks.at(-1) ?? '');
    if (this.atRule === '' && isRead) this.value = [];
  }

  private takeImport(type: number, text: string): void {
    if (type === tokenTypes.String) this.imports.push(string.decode(text));
    else if (type === tokenTypes.Url) this.imports.push(url.decode(text));
    else return;
    this.atRule = 'import, read'; // layers and conditions follow
  }

  private end(): void {
    const { property, value } = this;
    if (property !== undefined && value) {
      this.declarations.push({ property, value, atRule: this.blocks.at(-1) ?? '' });
    }
    this.begin();
  }

  private begin(): void {
    this.atRule = '';
    this.property = undefined;
    this.name = '';
    this.value = undefined;
  }
}
