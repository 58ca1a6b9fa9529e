/** A character of nobody's (Unicode, section 23.5) that tells the rules of a first part, which stands in a page, from others. */
export const firstPartMark = 0xf0005;

/** Finds it in a `unicode-range`. */
export const markInRange = new RegExp(`\\bU\\+${firstPartMark.toString(16)}\\b`, 'i');
