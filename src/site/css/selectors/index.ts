/** Selectors 4, compiled once and matched many times. A pseudo-class is one entry of a table in `pseudo-classes` or `compile`. */
export { compileSelectors } from './compile.js';
export { compareSpecificity, type CompiledSelector, type MatchContext, type Specificity } from './matcher.js';
export { MatchingWork, TooMuchWork } from './work.js';
export { languageOf } from './pseudo-classes.js';
export { isSelectorList, outlinesOf, type SelectorOutline } from './outlines.js';
