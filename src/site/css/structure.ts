// CSS Syntax 3, section 5: rules and declarations with nesting, their preludes and values as text

import { tokenize, tokenTypes } from 'css-tree';

export interface ParsedDeclaration {
  kind: 'declaration';
  name: string;
  value: string;
  important: boolean;
  /** Where it starts in the text. */
  offset: number;
}

export interface ParsedRule {
  kind: 'rule' | 'at-rule';
  /** Of an at-rule, without the at sign, in small letters. */
  name: string;
  prelude: string;
  offset: number;
  /** Behind its block or its semicolon. */
  end: number;
  /** undefined for an at-rule that ends with a semicolon. */
  block: ParsedItem[] | undefined;
}

export type ParsedItem = ParsedDeclaration | ParsedRule;

/** How deep blocks may lie in each other; what is deeper is left out. */
const deepest = 48;

/** Never fails: what isn't CSS is left out as browsers leave it out. */
export function parseStyles(css: string, isDeclarations = false): ParsedItem[] {
  // Section 3.3
  return new StructureParser(css.replaceAll('\0', '\ufffd')).items(isDeclarations ? 1 : 0);
}

class StructureParser {
  private readonly types: number[] = [];
  private readonly starts: number[] = [];
  private at = 0;

  constructor(private readonly css: string) {
    tokenize(css, (type, start) => {
      this.types.push(type);
      this.starts.push(start);
    });
    this.starts.push(css.length);
  }

  /** @param depth 0 at the top, where there are no declarations, and ends of them are part of a prelude (section 5.5.1) */
  items(depth: number): ParsedItem[] {
    const found: ParsedItem[] = [];
    while (this.at < this.types.length) {
      const type = this.types[this.at];
      if (type === tokenTypes.RightCurlyBracket && depth > 0) break;
      if (isSkipped(type) || (depth > 0 && type === tokenTypes.Semicolon)) this.at++;
      else if (type === tokenTypes.AtKeyword) this.atRule(found, depth);
      else if (depth > 0 && this.isDeclaration()) this.declaration(found);
      else this.rule(found, depth);
    }
    return found;
  }

  private atRule(found: ParsedItem[], depth: number): void {
    const offset = this.starts[this.at];
    const name = this.text(this.at, this.at + 1)
      .slice(1)
      .toLowerCase();
    const start = ++this.at;
    this.skipTo((type) => type === tokenTypes.Semicolon || type === tokenTypes.LeftCurlyBracket, depth);
    const prelude = this.text(start, this.at).trim();
    const block = this.block(depth);
    if (block === undefined && this.types[this.at] === tokenTypes.Semicolon) this.at++;
    found.push({
      kind: 'at-rule',
      name,
      prelude,
      offset,
      end: this.starts[this.at] ?? this.css.length,
      block,
    });
  }

  private rule(found: ParsedItem[], depth: number): void {
    const start = this.at;
    const ends = (type: number) =>
      type === tokenTypes.LeftCurlyBracket || (depth > 0 && type === tokenTypes.Semicolon);
    this.skipTo(ends, depth);
    const prelude = this.text(start, this.at).trim();
    const block = this.block(depth);
    const end = this.starts[this.at] ?? this.css.length;
    if (block) found.push({ kind: 'rule', name: '', prelude, offset: this.starts[start], end, block });
    else if (this.at === start) this.at++;
  }

  private block(depth: number): ParsedItem[] | undefined {
    if (this.types[this.at] !== tokenTypes.LeftCurlyBracket) return undefined;
    this.at++;
    if (depth >= deepest) {
      this.skipTo((type) => type === tokenTypes.RightCurlyBracket, 1);
      this.at++;
      return [];
    }
    const items = this.items(depth + 1);
    this.at++;
    return items;
  }

  /** A word with a colon, unless a block comes before its end, as behind `a:hover`. */
  private isDeclaration(): boolean {
    if (this.types[this.at] !== tokenTypes.Ident) return false;
    let at = this.at + 1;
    while (isSkipped(this.types[at])) at++;
    if (this.types[at] !== tokenTypes.Colon) return false;
    if (this.css.startsWith('--', this.starts[this.at])) return true;
    const before = this.at;
    this.at = at + 1;
    this.skipTo((type) => type === tokenTypes.Semicolon || type === tokenTypes.LeftCurlyBracket, 1);
    const isRule = this.types[this.at] === tokenTypes.LeftCurlyBracket;
    this.at = before;
    return !isRule;
  }

  private declaration(found: ParsedItem[]): void {
    const offset = this.starts[this.at];
    const name = this.text(this.at, this.at + 1);
    while (this.types[this.at] !== tokenTypes.Colon) this.at++;
    const start = ++this.at;
    this.skipTo((type) => type === tokenTypes.Semicolon, 1);
    const written = this.text(start, this.at).trim();
    const value = written.replace(/!\s*important$/i, '').trim();
    found.push({ kind: 'declaration', name, value, important: value.length < written.length, offset });
  }

  /** To a token outside of brackets, to the end of the block, or to the end of all. */
  private skipTo(ends: (type: number) => boolean, depth: number): void {
    let open = 0;
    for (; this.at < this.types.length; this.at++) {
      const type = this.types[this.at];
      if (open === 0 && (ends(type) || (depth > 0 && type === tokenTypes.RightCurlyBracket))) return;
      if (opening.has(type)) open++;
      else if (closing.has(type) && open > 0) open--;
    }
  }

  private text(start: number, end: number): string {
    return this.css.slice(this.starts[start], this.starts[end]).replace(/\/\*[\s\S]*?(\*\/|$)/g, ' ');
  }
}

const isSkipped = (type: number) =>
  type === tokenTypes.WhiteSpace ||
  type === tokenTypes.Comment ||
  type === tokenTypes.CDO ||
  type === tokenTypes.CDC;

const opening: ReadonlySet<number> = new Set([
  tokenTypes.Function,
  tokenTypes.LeftParenthesis,
  tokenTypes.LeftSquareBracket,
  tokenTypes.LeftCurlyBracket,
]);
const closing: ReadonlySet<number> = new Set([
  tokenTypes.RightParenthesis,
  tokenTypes.RightSquareBracket,
  tokenTypes.RightCurlyBracket,
]);
