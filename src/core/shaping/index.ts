/** Text to glyphs and advances, as browsers set it. */
export { Shaper, type ShapedGlyph, type ShapingStyle } from './shaper.js';
