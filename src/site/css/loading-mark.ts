/**
 * Characters of nobody's (Unicode, section 23.5) by which kits make a browser load what stands in for a face, by the kinds of
 * characters that have a rule of their own; nothing is drawn for them.
 */
export const loadingMarks = {
  letters: 0xf0000,
  spaces: 0xf0001,
  figures: 0xf0002,
  Greek: 0xf0003,
  Cyrillic: 0xf0004,
} as const;

/** The same for a first part of a face that stands in a page. */
export const firstPartMark = 0xf0005;

const codes = [...Object.values(loadingMarks), firstPartMark].map((code) => code.toString(16)).join('|');

/** Finds them in a `unicode-range`. */
export const markInRange = new RegExp(`\\bU\\+(?:${codes})\\b`, 'i');

/** Finds them in a string of `content`. */
export const markInContent = new RegExp(`\\\\0*(?:${codes})\\b`, 'i');
