/**
 * What websites are written with beyond the letters that CLDR lists, each with the reason; `docs/languages.md` tells it to
 * users. Ranges are as `unicode-range` writes them.
 */
export interface SiteCharacters {
  /** ISO 15924 codes of the scripts that it is for; all if neither these nor languages are named. */
  scripts?: readonly string[];
  /** Tags of the languages that it is for, some with a variant. */
  languages?: readonly string[];
  characters: string;
  why: string;
}

/** Written from right to left. */
const rightToLeft = ['Adlm', 'Arab', 'Hebr', 'Mand', 'Nkoo', 'Rohg', 'Syrc', 'Thaa'];
/** Vowel signs and conjuncts may need to be kept apart or together by joiners. */
const withJoiners = [
  ...['Beng', 'Deva', 'Gujr', 'Guru', 'Khmr', 'Knda', 'Laoo', 'Mlym', 'Mong', 'Mymr', 'Orya', 'Sinh'],
  ...['Taml', 'Telu', 'Thai', 'Tibt'],
];

export const siteCharacters: readonly SiteCharacters[] = [
  { characters: 'U+20-7E', why: 'addresses, names, code and numbers stand in text of every script' },
  { characters: 'U+A0, U+AD, U+2010-2011', why: 'spaces and hyphens where lines may or may not break' },
  { characters: 'U+A9, U+AE, U+2122', why: '© ® ™: the foot of a page, names of products' },
  { characters: 'U+A7, U+B6, U+B7, U+2022', why: '§ ¶ · •: sections, lists, separators' },
  { characters: 'U+B0, U+B1, U+D7, U+F7, U+2212', why: '° ± × ÷ −: measures, sizes, temperatures' },
  { characters: 'U+BC-BE', why: '¼ ½ ¾: opening hours, recipes' },
  { characters: 'U+B2, U+B3, U+B5', why: '² ³ µ: areas, volumes, small measures' },
  { characters: 'U+AA, U+BA', why: 'ª º: ordinals of names and addresses in Romance languages' },
  { characters: 'U+2013-2014, U+2026', why: '– — …: typed by every editor' },
  { characters: 'U+2018-2019, U+201C-201D', why: '‘ ’ “ ”: put in by editors, and in names as O’Neill' },
  { characters: 'U+2032-2033', why: '′ ″: feet, inches, minutes, seconds' },
  { characters: 'U+24, U+A3, U+20AC', why: '$ £ €: prices for visitors from elsewhere' },
  { scripts: ['Cyrl'], characters: 'U+2116', why: '№: numbers of houses and documents' },
  { scripts: ['Cyrl'], characters: 'U+301', why: 'stress, in names and dictionaries' },
  {
    scripts: ['Cyrl', 'Grek', 'Armn', 'Geor'],
    characters: 'U+AB, U+BB',
    why: '« »: quotation marks that editors put in',
  },
  { scripts: ['Latn'], characters: 'U+200C', why: 'keeps letters apart that a ligature would join, as in Auflage' },
  { scripts: ['Grek'], characters: 'U+384-385', why: 'accents by themselves, before capitals' },
  {
    scripts: ['Latn'],
    characters: 'U+C0-D6, U+D8-F6, U+F8-FF, U+131, U+152-153, U+160-161, U+178, U+17D-17E',
    why: 'names of people and places in Western Europe, which pages in every language mention',
  },
  {
    scripts: rightToLeft,
    characters: 'U+200C-200F, U+61C',
    why: 'controls of direction and of joining',
  },
  { scripts: ['Arab'], characters: 'U+640, U+66A-66C', why: 'the sign that stretches words; signs with numbers' },
  {
    scripts: ['Arab'],
    characters: 'U+64B-655, U+670',
    why: 'vowels and doubling, in names, in verse and where words would be mistaken',
  },
  {
    scripts: ['Hebr'],
    characters: 'U+5B0-5BC, U+5BE, U+5C1-5C2, U+5C7, U+5F3-5F4',
    why: 'points, in names and where words would be mistaken; maqaf, geresh and gershayim',
  },
  { scripts: withJoiners, characters: 'U+200B-200D', why: 'where syllables join, and where lines may break' },
  {
    scripts: ['Beng', 'Deva', 'Gujr', 'Guru', 'Knda', 'Mlym', 'Orya', 'Taml', 'Telu'],
    characters: 'U+964-965',
    why: '। ॥: danda, which Unicode keeps for all of these scripts',
  },
  {
    scripts: ['Hans', 'Hant', 'Jpan', 'Kore'],
    characters: 'U+3000-3002, U+3008-3011, U+3014-3015, U+FF01-FF5E',
    why: 'ideographic space and punctuation, letters and digits of full width',
  },
  {
    scripts: ['Deva'],
    characters: 'U+900-903, U+93C-94D, U+950-951, U+972',
    why: 'vowel signs, as CLDR lists them for some of the languages only',
  },
  { scripts: ['Mlym'], characters: 'U+D4C', why: 'the old form of a vowel sign, which texts still have' },
  { scripts: ['Hant'], characters: 'U+5553, U+5EFB, U+7740, U+7FA3', why: 'forms that Hong Kong writes' },
  {
    scripts: ['Tibt'],
    characters: 'U+F40-F47, U+F49-F6C, U+F71-F84, U+F90-F97, U+F99-FBC',
    why: 'letters below others, as CLDR lists them for some of the languages only',
  },
  { scripts: ['Khmr'], characters: 'U+17D4-17DA', why: 'punctuation, and the sign that repeats a word' },
  { languages: ['yi'], characters: 'U+5F0-5F2', why: 'double letters' },
  {
    languages: ['el-polyton'],
    characters:
      'U+1F00-1F15, U+1F18-1F1D, U+1F20-1F45, U+1F48-1F4D, U+1F50-1F57, U+1F59, U+1F5B, U+1F5D, U+1F5F-1F7D, U+1F80-1FB4, U+1FB6-1FC4, U+1FC6-1FD3, U+1FD6-1FDB, U+1FDD-1FEF, U+1FF2-1FF4, U+1FF6-1FFE',
    why: 'letters with breathings and iota below, of which CLDR lists a part',
  },
  { scripts: ['Armn'], characters: 'U+2024', why: '․: the Armenian dot of abbreviations' },
  { scripts: ['Mong'], characters: 'U+180B-180E', why: 'selectors of forms, and the sign that keeps a vowel apart' },
  {
    languages: ['be', 'mai', 'nv', 'sms', 'uk', 'uz'],
    characters: 'U+2BC',
    why: 'ʼ: an apostrophe that is a letter, or part of one',
  },
  { languages: ['sms'], characters: 'U+2B9', why: 'ʹ: palatalisation, in every other word' },
  { languages: ['skr'], characters: 'U+68B, U+6B1, U+6BB', why: 'letters of Saraiki, which CLDR doesn’t list' },
  { languages: ['csw'], characters: 'U+1401-1676', why: 'syllables of Swampy Cree, of which CLDR lists a part' },
  { languages: ['nl'], characters: 'U+132-133', why: 'Ĳ ĳ, which older texts have as one letter' },
  {
    languages: ['cs', 'sk', 'de', 'ro'],
    characters: 'U+150-151, U+170-171',
    why: 'Hungarian names of neighbours',
  },
  { scripts: ['Jpan'], characters: 'U+301C, U+3041-3096, U+309B-309E, U+30A1-30FE', why: 'all kana' },
];

/** What CLDR counts to the letters of loan words, and no site of today is written with. */
export const rareCharacters: readonly { languages: readonly string[]; characters: string; why: string }[] = [
  {
    languages: ['el'],
    characters: 'U+300, U+303, U+313-314, U+342, U+345, U+1F00-1FFF',
    why: 'accents and breathings of before 1982, which `el-polyton` asks for',
  },
  { languages: ['ka'], characters: 'U+10A0-10CF, U+10F1-10FF, U+2D00-2D2F', why: 'letters of old manuscripts' },
];
