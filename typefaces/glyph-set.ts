// One piece: which characters a typeface has, and how each is drawn or put together.
import { macintoshGlyphNames } from '#src/data/macintosh-glyph-names.js';
import { smallCapitals, type Design } from './design.js';
import { GlyphPen, type AnchorName, type Drawing, type GlyphSource } from './glyph-pen.js';
import { moreCapitals } from './glyphs/capitals-more.js';
import { capitals } from './glyphs/capitals.js';
import { figures, tabularAdvance } from './glyphs/figures.js';
import { greek } from './glyphs/greek.js';
import { marks } from './glyphs/marks.js';
import { punctuation } from './glyphs/punctuation.js';
import { signs } from './glyphs/signs.js';
import { moreSmallLetters } from './glyphs/small-letters-more.js';
import { smallLetters } from './glyphs/small-letters.js';
import { symbols } from './glyphs/symbols.js';

/** A glyph made of others, with the offset of each in font units. */
export interface Composition {
  advance: number;
  parts: { glyph: string; dx: number; dy: number }[];
  anchors: Drawing['anchors'];
}

export type GlyphShape = { kind: 'drawn'; drawing: Drawing } | { kind: 'composed'; composition: Composition };

/** All glyphs of a style by name, in glyph order, and the characters that they stand for. */
export interface GlyphSet {
  glyphs: Map<string, GlyphShape>;
  characters: Map<number, string>;
}

export interface GlyphSetOptions {
  /** Small capitals for the small letters. */
  smallCapitals: boolean;
  ligatures: boolean;
  tabularFigures: boolean;
}

const drawnSources: Record<string, GlyphSource> = {
  ...symbols,
  ...punctuation,
  ...figures,
  ...signs,
  ...capitals,
  ...moreCapitals,
  ...smallLetters,
  ...moreSmallLetters,
  ...greek,
};

/** Characters with a drawing of their own outside ASCII, by the name of the drawing. */
const named: Record<string, string> = {
  exclamdown: '¡',
  cent: '¢',
  sterling: '£',
  currency: '¤',
  yen: '¥',
  brokenbar: '¦',
  section: '§',
  copyright: '©',
  ordfeminine: 'ª',
  guillemotleft: '«',
  logicalnot: '¬',
  registered: '®',
  degree: '°',
  plusminus: '±',
  twosuperior: '²',
  threesuperior: '³',
  mu: 'µ',
  paragraph: '¶',
  periodcentered: '·',
  onesuperior: '¹',
  ordmasculine: 'º',
  guillemotright: '»',
  onequarter: '¼',
  onehalf: '½',
  threequarters: '¾',
  questiondown: '¿',
  AE: 'Æ',
  Eth: 'ÐĐ',
  multiply: '×',
  Oslash: 'Ø',
  Thorn: 'Þ',
  germandbls: 'ß',
  ae: 'æ',
  eth: 'ð',
  divide: '÷',
  oslash: 'ø',
  thorn: 'þ',
  dcroat: 'đ',
  Hbar: 'Ħ',
  hbar: 'ħ',
  dotlessi: 'ı',
  kgreenlandic: 'ĸ',
  Lslash: 'Ł',
  lslash: 'ł',
  Eng: 'Ŋ',
  eng: 'ŋ',
  OE: 'Œ',
  oe: 'œ',
  Tbar: 'Ŧ',
  tbar: 'ŧ',
  longs: 'ſ',
  dotlessj: 'ȷ',
  endash: '–',
  emdash: '—',
  quoteleft: '‘',
  quoteright: '’',
  quotesinglbase: '‚',
  quotedblleft: '“',
  quotedblright: '”',
  quotedblbase: '„',
  dagger: '†',
  daggerdbl: '‡',
  bullet: '•',
  ellipsis: '…',
  perthousand: '‰',
  prime: '′',
  second: '″',
  guilsinglleft: '‹',
  guilsinglright: '›',
  fraction: '⁄',
  Euro: '€',
  uni20BA: '₺',
  uni20BD: '₽',
  trademark: '™',
  arrowleft: '←',
  arrowup: '↑',
  arrowright: '→',
  arrowdown: '↓',
  arrowboth: '↔',
  arrowupdn: '↕',
  uni2196: '↖',
  uni2197: '↗',
  uni2198: '↘',
  uni2199: '↙',
  minus: '−',
  approxequal: '≈',
  notequal: '≠',
  lessequal: '≤',
  greaterequal: '≥',
  hyphen: '\u00ad\u2010\u2011',
  space: '\u00a0',
  Gamma: 'Γ',
  uni0394: 'Δ',
  Theta: 'Θ',
  Lambda: 'Λ',
  Xi: 'Ξ',
  Pi: 'Π',
  Sigma: 'Σ',
  Phi: 'Φ',
  Psi: 'Ψ',
  uni03A9: 'Ω',
  alpha: 'α',
  beta: 'β',
  gamma: 'γ',
  delta: 'δ',
  epsilon: 'ε',
  zeta: 'ζ',
  eta: 'η',
  theta: 'θ',
  iota: 'ι',
  kappa: 'κ',
  lambda: 'λ',
  uni03BC: 'μ',
  nu: 'ν',
  xi: 'ξ',
  pi: 'π',
  rho: 'ρ',
  uni03C2: 'ς',
  sigma: 'σ',
  tau: 'τ',
  upsilon: 'υ',
  phi: 'φ',
  chi: 'χ',
  psi: 'ψ',
  omega: 'ω',
  // Greek letters that look like Latin ones
  A: 'Α',
  B: 'Β',
  E: 'Ε',
  Z: 'Ζ',
  H: 'Η',
  I: 'Ι',
  K: 'Κ',
  M: 'Μ',
  N: 'Ν',
  O: 'Ο',
  P: 'Ρ',
  T: 'Τ',
  Y: 'Υ',
  X: 'Χ',
  o: 'ο',
  semicolon: '\u037e',
};

/** Spacing accents and the mark that each shows. */
const spacingAccents: Record<string, string> = {
  '¨': 'uni0308',
  '¯': 'uni0304',
  '´': 'uni0301',
  '¸': 'uni0327',
  ˆ: 'uni0302',
  ˇ: 'uni030C',
  '˘': 'uni0306',
  '˙': 'uni0307',
  '˚': 'uni030A',
  '˛': 'uni0328',
  '˜': 'uni0303',
  '˝': 'uni030B',
  '΄': 'uni0301',
  '΅': 'uni03080301',
};

const composedRanges: readonly (readonly [number, number])[] = [
  [0xc0, 0x17f],
  [0x218, 0x21b],
  [0x386, 0x3ce],
];

/** Letters that take a comma below where Unicode says cedilla, and the one that takes it above. */
const commaBelow = 'GKkLlNnRr';
const caronBeside = 'dlLt';

const unicodeName = (codePoint: number) => `uni${codePoint.toString(16).toUpperCase().padStart(4, '0')}`;

/** Draws all glyphs of one style. Styles drawn with the same options have the same glyphs in the same order. */
export function drawGlyphSet(design: Design, options: GlyphSetOptions): GlyphSet {
  const glyphs = new Map<string, GlyphShape>();
  const characters = new Map<number, string>();
  const draw = (name: string, source: GlyphSource, style = design) => {
    glyphs.set(name, { kind: 'drawn', drawing: source(new GlyphPen(style)) });
  };
  draw('.notdef', drawnSources.notdef);
  draw('space', drawnSources.space);
  for (let codePoint = 0x20; codePoint <= 0x7e; codePoint++) {
    const name = macintoshGlyphNames[codePoint - 0x20 + 3];
    characters.set(codePoint, name);
    if (name in drawnSources) draw(name, drawnSources[name]);
  }
  for (const [name, source] of Object.entries(drawnSources)) {
    const isLigature = name.includes('_');
    if (name === 'notdef' || glyphs.has(name) || (isLigature && !options.ligatures)) continue;
    draw(name, source);
  }
  for (const [name, letters] of Object.entries(named)) {
    for (const letter of letters) characters.set(letter.codePointAt(0)!, name);
  }
  characters.set(0x387, 'periodcentered');
  for (const [name, source] of Object.entries(marks)) draw(name, source);
  for (const name of Object.keys(marks)) {
    if (/^uni03..$/.test(name)) characters.set(parseInt(name.slice(3), 16), name);
  }

  const composer = new Composer(design, glyphs);
  addComposedLetters(glyphs, characters, composer);
  if (options.smallCapitals) addSmallCapitals(design, glyphs, characters, composer, draw);
  if (options.tabularFigures) {
    const advance = tabularAdvance(new GlyphPen(design));
    for (const name of Object.keys(figures)) glyphs.set(`${name}.tnum`, composer.centred(name, advance));
  }
  return { glyphs, characters };
}

/** Spacing accents, letters in a row, and letters with marks. */
function addComposedLetters(
  glyphs: Map<string, GlyphShape>,
  characters: Map<number, string>,
  composer: Composer,
): void {
  glyphs.set('grave', composer.spacing('uni0300'));
  for (const [character, mark] of Object.entries(spacingAccents)) {
    const name = unicodeName(character.codePointAt(0)!);
    glyphs.set(name, composer.spacing(mark));
    characters.set(character.codePointAt(0)!, name);
  }
  for (const [name, parts, character] of [
    ['IJ', ['I', 'J'], 'Ĳ'],
    ['ij', ['i', 'j'], 'ĳ'],
    ['Ldot', ['L', 'periodcentered'], 'Ŀ'],
    ['ldot', ['l', 'periodcentered'], 'ŀ'],
    ['napostrophe', ['quoteright', 'n'], 'ŉ'],
  ] as const) {
    glyphs.set(name, composer.inARow(parts));
    characters.set(character.codePointAt(0)!, name);
  }
  for (const [first, last] of composedRanges) {
    for (let codePoint = first; codePoint <= last; codePoint++) {
      const [base, ...accents] = String.fromCodePoint(codePoint).normalize('NFD');
      if (accents.length === 0) continue;
      glyphs.set(unicodeName(codePoint), composer.accented(characters, base, accents));
      characters.set(codePoint, unicodeName(codePoint));
    }
  }
}

function addSmallCapitals(
  design: Design,
  glyphs: Map<string, GlyphShape>,
  characters: Map<number, string>,
  composer: Composer,
  draw: (name: string, source: GlyphSource, style: Design) => void,
): void {
  const style = smallCapitals(design);
  const drawn = [...'abcdefghijklmnopqrstuvwxyz'].map((letter) => [letter, letter.toUpperCase()]);
  drawn.push(
    ['ae', 'AE'],
    ['oe', 'OE'],
    ['oslash', 'Oslash'],
    ['eth', 'Eth'],
    ['thorn', 'Thorn'],
    ['lslash', 'Lslash'],
  );
  for (const [small, capital] of drawn) draw(`${small}.smcp`, drawnSources[capital], style);
  const smallBases = new Map([...characters].filter(([, name]) => glyphs.has(`${name}.smcp`)));
  for (const [codePoint, name] of [...characters]) {
    const [base, ...accents] = String.fromCodePoint(codePoint).normalize('NFD');
    if (accents.length === 0 || codePoint > 0x21b || !smallBases.has(base.codePointAt(0)!)) continue;
    const shape = composer.accented(smallBases, base, accents, '.smcp');
    glyphs.set(`${name}.smcp`, shape);
  }
}

/** Puts glyphs together from others that are there already. */
class Composer {
  constructor(
    private readonly design: Design,
    private readonly glyphs: Map<string, GlyphShape>,
  ) {}

  private drawing(name: string): { advance: number; anchors: Drawing['anchors'] } {
    const shape = this.glyphs.get(name);
    if (!shape) throw new Error(`no glyph is called ${name}`);
    return shape.kind === 'drawn' ? shape.drawing : shape.composition;
  }

  /** A mark standing alone. */
  spacing(mark: string): GlyphShape {
    const advance = this.design.fixedAdvance ?? 340;
    const parts = [{ glyph: mark, dx: Math.round(advance / 2), dy: 0 }];
    return { kind: 'composed', composition: { advance, parts, anchors: {} } };
  }

  centred(name: string, advance: number): GlyphShape {
    const dx = Math.round((advance - this.drawing(name).advance) / 2);
    return { kind: 'composed', composition: { advance, parts: [{ glyph: name, dx, dy: 0 }], anchors: {} } };
  }

  inARow(names: readonly string[]): GlyphShape {
    const fixed = this.design.fixedAdvance;
    let x = fixed ? -fixed * 0.22 : 0;
    const parts = names.map((glyph) => {
      const part = { glyph, dx: Math.round(x), dy: 0 };
      x += fixed ? fixed * 0.44 : this.drawing(glyph).advance;
      return part;
    });
    return { kind: 'composed', composition: { advance: fixed ?? Math.round(x), parts, anchors: {} } };
  }

  accented(
    characters: ReadonlyMap<number, string>,
    base: string,
    accents: readonly string[],
    suffix = '',
  ): GlyphShape {
    const tonosOfCapital = base >= 'Α' && base <= 'Ω' && accents[0] === '\u0301';
    let baseName = characters.get(base.codePointAt(0)!)! + suffix;
    const marksUsed = accents.length === 2 ? ['uni03080301'] : [this.markFor(base, accents[0])];
    const above = marksUsed.every((mark) => this.drawing(mark).anchors.top);
    if (suffix === '' && above && (base === 'i' || base === 'j')) baseName = `dotless${base}`;
    const { advance, anchors } = this.drawing(baseName);
    const parts = [{ glyph: baseName, dx: 0, dy: 0 }];
    let extra = 0;
    for (const mark of marksUsed) {
      const [name, at] = Object.entries(this.drawing(mark).anchors)[0] as [
        AnchorName,
        { x: number; y: number },
      ];
      const target = anchors[name] ?? anchors.bottom ?? { x: advance / 2, y: 0 };
      parts.push({ glyph: mark, dx: Math.round(target.x - at.x), dy: Math.round(target.y - at.y) });
      if (name === 'right' && !this.design.fixedAdvance) extra = Math.round(this.design.stem * 0.9);
    }
    if (tonosOfCapital) {
      // The tonos of a capital stands before it.
      const room = this.design.fixedAdvance ? 0 : 110;
      parts[0].dx = room;
      parts[1].dx = Math.round(
        room * 0.42 + (this.design.fixedAdvance ? 60 : 24) - (this.drawing('uni0301').anchors.top?.x ?? 0),
      );
      parts[1].dy = Math.round(this.design.capHeight - this.design.xHeight - 165);
      extra = room;
    }
    const moved = tonosOfCapital ? {} : anchors;
    return { kind: 'composed', composition: { advance: advance + extra, parts, anchors: moved } };
  }

  private markFor(base: string, accent: string): string {
    if (accent === '\u0327' && base === 'g') return 'uni0312';
    if (accent === '\u0327' && commaBelow.includes(base)) return 'uni0326';
    if (accent === '\u030c' && caronBeside.includes(base)) return 'caronright';
    return unicodeName(accent.codePointAt(0)!);
  }
}
