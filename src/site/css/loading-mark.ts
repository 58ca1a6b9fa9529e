/**
 * Characters of nobody's (Unicode, section 23.5) by which kits make a browser load what stands in for a face, and what for its
 * spaces; nothing is drawn for them.
 */
export const loadingMark = 0xf0000;
export const spacesLoadingMark = 0xf0001;

const codes = [loadingMark, spacesLoadingMark].map((code) => code.toString(16)).join('|');

/** Finds them in a `unicode-range`. */
export const markInRange = new RegExp(`\\bU\\+(?:${codes})\\b`, 'i');

/** Finds them in a string of `content`. */
export const markInContent = new RegExp(`\\\\0*(?:${codes})\\b`, 'i');
