// CSS Text 4, section 2.1: text-transform

const transforms = ['uppercase', 'lowercase', 'capitalize', 'full-width', 'full-size-kana'] as const;

export type TextTransform = (typeof transforms)[number];

export const isTextTransform = (keyword: string): keyword is TextTransform =>
  (transforms as readonly string[]).includes(keyword);

/**
 * What a transform may make of a text. Browsers change each element by itself, and in its language; this gives what they
 * come to for all of them together, so it may hold more than is drawn.
 *
 * @param languages BCP 47 tags that the pages name
 */
export function transformedText(
  text: string,
  transform: TextTransform,
  languages: readonly string[],
): string {
  const locales = [...new Set(languages.map(primarySubtag))].filter((tag) => hasOwnCase.has(tag));
  switch (transform) {
    case 'uppercase':
      return uppercase(text, locales);
    case 'lowercase':
      return lowercase(text, locales);
    case 'capitalize':
      return capitalized(text, languages);
    case 'full-width':
      return Array.from(text, fullWidth).join('');
    case 'full-size-kana':
      return Array.from(text, (c) => fullSizeKana.get(c) ?? c).join('');
  }
}

/**
 * What a transform makes of the text of one element.
 *
 * @param language BCP 47, as the page says; empty where it says nothing
 */
export function transformedPiece(text: string, transform: TextTransform, language: string): string {
  const own = primarySubtag(language);
  const locale = hasOwnCase.has(own) ? own : undefined;
  switch (transform) {
    case 'uppercase':
      return locale ? text.toLocaleUpperCase(locale) : text.toUpperCase();
    case 'lowercase':
      return locale ? text.toLocaleLowerCase(locale) : text.toLowerCase();
    case 'capitalize':
      return text.replace(/(?<![\p{L}\p{N}\p{M}])\p{L}/gu, (letter) => capitalized(letter, [language]));
    default:
      return transformedText(text, transform, [language]);
  }
}

const primarySubtag = (tag: string) => tag.split('-')[0].toLowerCase();
/** Languages for which Unicode has rules of their own (SpecialCasing.txt), and Greek, which drops its accents. */
const hasOwnCase: ReadonlySet<string> = new Set(['az', 'el', 'lt', 'tr']);

function uppercase(text: string, locales: readonly string[]): string {
  const capitals = [text.toUpperCase(), ...locales.map((locale) => text.toLocaleUpperCase(locale))];
  // Whether a letter stands alone, and keeps its accent, shows only when elements are joined.
  if (locales.includes('el')) capitals.push(withoutAcute(text).toUpperCase());
  return capitals.join('\n');
}

const withoutAcute = (text: string) =>
  text
    .normalize('NFD')
    .replace(/\u0301/g, '')
    .normalize('NFC');

function lowercase(text: string, locales: readonly string[]): string {
  const letters = [text.toLowerCase(), ...locales.map((locale) => text.toLocaleLowerCase(locale))];
  // The form at the end of a word, wherever that is.
  if (/[Σσ]/.test(text)) letters.push('σς');
  return letters.join('\n');
}

/** Letters that are two, and have a form in which the first alone is a capital. */
const titleCase: ReadonlyMap<string, string> = new Map([
  ['ǆ', 'ǅ'],
  ['ǉ', 'ǈ'],
  ['ǌ', 'ǋ'],
  ['ǳ', 'ǲ'],
]);

/** Each letter that may begin a word. */
function capitalized(text: string, languages: readonly string[]): string {
  const first = Array.from(text.matchAll(/(?<![\p{L}\p{N}\p{M}])\p{L}/gu), ([letter]) => letter);
  const capitals = [...new Set(first)].map((letter) => {
    const upper = titleCase.get(letter) ?? letter.toUpperCase();
    return upper + upper.slice(1).toLowerCase();
  });
  const turkish = languages.map(primarySubtag).some((tag) => tag === 'tr' || tag === 'az');
  if (turkish && first.includes('i')) capitals.push('İ');
  const dutch = languages.map(primarySubtag).includes('nl');
  if (dutch && /(?<![\p{L}\p{N}\p{M}])ij/u.test(text)) capitals.push('IJ');
  return capitals.join('');
}

/** Unicode Standard Annex 11: signs whose wide form isn't that of ASCII moved. */
const wideSigns: ReadonlyMap<string, string> = new Map([
  [' ', '\u3000'],
  ['¢', '￠'],
  ['£', '￡'],
  ['¬', '￢'],
  ['¯', '￣'],
  ['¦', '￤'],
  ['¥', '￥'],
  ['₩', '￦'],
]);

function fullWidth(character: string): string {
  const code = character.codePointAt(0)!;
  if (code > 0x20 && code < 0x7f) return String.fromCodePoint(code + 0xfee0);
  // Halfwidth kana, jamo and signs.
  if (code >= 0xff61 && code <= 0xffee) return character.normalize('NFKC');
  return wideSigns.get(character) ?? character;
}

/** CSS Text 4, appendix A. */
const smallKana =
  'ぁぃぅぇぉゕゖっゃゅょゎァィゥェォヵヶッャュョヮㇰㇱㇲㇳㇴㇵㇶㇷㇸㇹㇺㇻㇼㇽㇾㇿｧｨｩｪｫｬｭｮｯ𛄲𛅐𛅑𛅒𛅕𛅤𛅥𛅦𛅧';
const largeKana =
  'あいうえおかけつやゆよわアイウエオカケツヤユヨワクシストヌハヒフヘホムラリルレロｱｲｳｴｵﾔﾕﾖﾂこゐゑをコヰヱヲン';
const large = Array.from(largeKana);
const fullSizeKana: ReadonlyMap<string, string> = new Map(
  Array.from(smallKana, (small, i) => [small, large[i]]),
);
