// OpenType: language system tags, by BCP 47, of languages for which fonts have forms of their own

const tags: Readonly<Record<string, string>> = {
  az: 'AZE ',
  ba: 'BSH ',
  be: 'BEL ',
  bg: 'BGR ',
  ca: 'CAT ',
  crh: 'CRT ',
  cs: 'CSY ',
  cv: 'CHU ',
  da: 'DAN ',
  de: 'DEU ',
  el: 'ELL ',
  en: 'ENG ',
  eo: 'NTO ',
  es: 'ESP ',
  et: 'ETI ',
  eu: 'EUQ ',
  fi: 'FIN ',
  fo: 'FOS ',
  fr: 'FRA ',
  ga: 'IRI ',
  gl: 'GAL ',
  gn: 'GUA ',
  hr: 'HRV ',
  hu: 'HUN ',
  is: 'ISL ',
  it: 'ITA ',
  ja: 'JAN ',
  kaa: 'KRK ',
  kk: 'KAZ ',
  kl: 'GRN ',
  ko: 'KOR ',
  lt: 'LTH ',
  lv: 'LVI ',
  mh: 'MAH ',
  mk: 'MKD ',
  mo: 'MOL ',
  mt: 'MTS ',
  nb: 'NOR ',
  nl: 'NLD ',
  nn: 'NYN ',
  no: 'NOR ',
  pl: 'PLK ',
  pt: 'PTG ',
  ro: 'ROM ',
  ru: 'RUS ',
  se: 'NSM ',
  sk: 'SKY ',
  sl: 'SLV ',
  sq: 'SQI ',
  sr: 'SRB ',
  sv: 'SVE ',
  tr: 'TRK ',
  tt: 'TAT ',
  uk: 'UKR ',
  vi: 'VIT ',
  yo: 'YBA ',
};

/** Undefined for languages that have none here; then a script's default holds. */
export function languageSystemTag(language: string): string | undefined {
  const [primary, ...subtags] = language.toLowerCase().split('-');
  if (primary === 'zh') {
    if (subtags.includes('hk')) return 'ZHH ';
    return subtags.some((one) => /^(?:hant|tw|mo)$/.test(one)) ? 'ZHT ' : 'ZHS ';
  }
  if (primary === 'sr' && subtags.includes('latn')) return undefined;
  return Object.hasOwn(tags, primary) ? tags[primary] : undefined;
}
