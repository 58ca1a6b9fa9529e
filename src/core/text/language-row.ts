// BCP 47; CLDR: likely subtags

import { exemplarSets, languageRows, type LanguageRow } from '../../data/languages.js';
import { eachPackedRange } from './code-point-set.js';

/** A tag with the script and the region that are likely where it has none; undefined where it is malformed. */
export function likelyLocale(tag: string): Intl.Locale | undefined {
  try {
    return new Intl.Locale(tag).maximize();
  } catch {
    return undefined;
  }
}

/** The row of a language in the script that is asked for, that of its variant first, then that of its region. */
export function rowFor(locale: Intl.Locale): LanguageRow | undefined {
  const { language, script, region } = locale;
  const variants = locale.baseName
    .split('-')
    .filter((subtag) => /^([a-z0-9]{5,8}|\d[a-z0-9]{3})$/.test(subtag));
  const joined = (subtags: (string | undefined)[]) => subtags.filter(Boolean).join('-');
  const tags = [
    ...variants.map((variant) => joined([language, variant])),
    joined([language, script, region]),
    joined([language, region]),
    joined([language, script]),
    language,
  ];
  const rows = tags.map((tag) => languageRows.find(([other]) => other === tag));
  return rows.find((row) => row !== undefined && (row[2] === script || !script));
}

const quotationMark = /(?!["'])\p{Quotation_Mark}/u;
/** What browsers take where they know nothing of the language. */
const usualMarks = '“”‘’';

/**
 * The quotation marks that a language is written with.
 *
 * @param tag BCP 47; usual ones where it is unknown
 */
export function quotationMarksOf(tag: string): string {
  const likely = likelyLocale(tag);
  const row = likely && rowFor(likely);
  if (!row) return usualMarks;
  const marks: string[] = [];
  eachPackedRange(exemplarSets[row[5]], (first, last) => {
    for (let c = first; c <= last; c++) marks.push(String.fromCodePoint(c));
  });
  return marks.filter((mark) => quotationMark.test(mark)).join('');
}
