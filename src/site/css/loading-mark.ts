/**
 * A character of nobody's (Unicode, section 23.5) by which kits make a browser load what stands in for a face; nothing is drawn
 * for it.
 */
export const loadingMark = 0xf0000;
