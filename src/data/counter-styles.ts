/** Digits of a script that has ten of them in a row, from zero. */
const digitsFrom = (zero: number): string =>
  String.fromCodePoint(...Array.from({ length: 10 }, (_, digit) => zero + digit));

const from = (first: string, last: string): string => {
  const [start, end] = [first.codePointAt(0)!, last.codePointAt(0)!];
  return String.fromCodePoint(...Array.from({ length: end - start + 1 }, (_, i) => start + i));
};

const latin = from('a', 'z');
const roman = 'cdilmvx';
const capitals = (letters: string) => letters.toUpperCase();
const hanja = '零一二三四五六七八九十百千';
const formal = '零壹貳參肆伍陸柒捌玖拾佰仟';
const hiragana = 'あいうえおかきくけこさしすせそたちつてとなにぬねのはひふへほまみむめもやゆよらりるれろわゐゑをん';
const katakana = Array.from(hiragana, (c) => String.fromCodePoint(c.codePointAt(0)! + 0x60)).join('');

/** What CSS Counter Styles 3 (sections 6 and 7) counts with, by the name of the style; without the full stop behind it. */
export const counterSymbols: ReadonlyMap<string, string> = new Map([
  ['decimal', digitsFrom(0x30)],
  ['decimal-leading-zero', digitsFrom(0x30)],
  ['arabic-indic', digitsFrom(0x660)],
  ['persian', digitsFrom(0x6f0)],
  ['devanagari', digitsFrom(0x966)],
  ['bengali', digitsFrom(0x9e6)],
  ['gurmukhi', digitsFrom(0xa66)],
  ['gujarati', digitsFrom(0xae6)],
  ['oriya', digitsFrom(0xb66)],
  ['tamil', digitsFrom(0xbe6)],
  ['telugu', digitsFrom(0xc66)],
  ['kannada', digitsFrom(0xce6)],
  ['malayalam', digitsFrom(0xd66)],
  ['thai', digitsFrom(0xe50)],
  ['lao', digitsFrom(0xed0)],
  ['tibetan', digitsFrom(0xf20)],
  ['myanmar', digitsFrom(0x1040)],
  ['cambodian', digitsFrom(0x17e0)],
  ['khmer', digitsFrom(0x17e0)],
  ['mongolian', digitsFrom(0x1810)],
  ['lower-alpha', latin],
  ['lower-latin', latin],
  ['upper-alpha', capitals(latin)],
  ['upper-latin', capitals(latin)],
  ['lower-roman', roman],
  ['upper-roman', capitals(roman)],
  ['lower-greek', 'αβγδεζηθικλμνξοπρστυφχψω'],
  ['armenian', from('Ա', 'Ֆ')],
  ['upper-armenian', from('Ա', 'Ֆ')],
  ['lower-armenian', from('ա', 'ֆ')],
  ['georgian', from('ა', 'ჵ')],
  ['hebrew', from('א', 'ת') + '׳״'],
  ['hiragana', hiragana],
  ['hiragana-iroha', hiragana],
  ['katakana', katakana],
  ['katakana-iroha', katakana],
  ['cjk-decimal', '〇一二三四五六七八九、'],
  ['cjk-earthly-branch', '子丑寅卯辰巳午未申酉戌亥、'],
  ['cjk-heavenly-stem', '甲乙丙丁戊己庚辛壬癸、'],
  ['japanese-informal', `${hanja}〇、マイナス`],
  ['japanese-formal', '零壱弐参四伍六七八九拾百阡、マイナス'],
  ['korean-hangul-formal', '영일이삼사오육칠팔구십백천, 마이너스'],
  ['korean-hanja-informal', `${hanja}, 마이너스`],
  ['korean-hanja-formal', '零壹貳參四五六七八九拾百仟, 마이너스'],
  ['simp-chinese-informal', `${hanja}、负`],
  ['simp-chinese-formal', '零壹贰叁肆伍陆柒捌玖拾佰仟、负'],
  ['trad-chinese-informal', `${hanja}、負`],
  ['trad-chinese-formal', `${formal}、負`],
  ['cjk-ideographic', `${hanja}、負`],
  ['ethiopic-numeric', `${from('\u1369', '\u137c')}/`],
]);

/** The marks of lists that don't count. Browsers draw them as shapes beside list items, as characters in `content`. */
export const markerSymbols: ReadonlyMap<string, string> = new Map([
  ['disc', '•'],
  ['circle', '◦'],
  ['square', '▪'],
  ['disclosure-open', '▾'],
  ['disclosure-closed', '▸◂'],
]);
