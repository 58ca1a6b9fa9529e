/**
 * Draws texts with two files of one face and compares the pixels. Also draws them with the fallback, so that a font
 * that was not applied at all can't pass. `tolerance` is the share of a text's ink that may lie elsewhere.
 */
export const compareDrawings = `
  const { pairs, texts, sizes, width = 1400, height = 110, turn = 0, kerning = 'auto', tolerance = 0 } = argument;
  const canvas = document.createElement('canvas');
  canvas.width = width; canvas.height = height;
  const context = canvas.getContext('2d', { willReadFrequently: true });
  const draw = (font, text) => {
    context.setTransform(1, 0, 0, 1, 0, 0);
    context.fillStyle = '#fff'; context.fillRect(0, 0, width, height);
    context.rotate(turn);
    context.fillStyle = '#000'; context.font = font; context.fontKerning = kerning; context.fillText(text, 8, height * 0.73);
    return context.getImageData(0, 0, width, height).data;
  };
  const same = (a, b) => { for (let i = 0; i < a.length; i += 4) if (a[i] !== b[i] || a[i + 1] !== b[i + 1] || a[i + 2] !== b[i + 2]) return false; return true; };
  const results = [];
  for (const [i, { name, source, made, descriptors, weights }] of pairs.entries()) {
    const faces = [new FontFace('source' + i, 'url(' + source + ')', descriptors), ...[made].flat().map((part) => new FontFace('made' + i, 'url(' + (part.url ?? part) + ')', { ...descriptors, unicodeRange: part.range ?? 'U+0-10FFFF' }))];
    for (const face of faces) { await face.load(); document.fonts.add(face); }
    let equal = 0, differing = [], unlikeFallback = 0, total = 0, changed = 0, ink = 0;
    for (const weight of weights) for (const size of sizes) for (const text of texts) {
      const font = (family) => (descriptors.style || 'normal') + ' ' + weight + ' ' + size + 'px ' + family;
      const drawn = draw(font('source' + i), text);
      const again = draw(font('made' + i), text);
      let moved = 0, own = 0;
      for (let k = 0; k < drawn.length; k += 4) { moved += Math.abs(drawn[k] - again[k]); own += 255 - drawn[k]; }
      changed += moved; ink += own;
      const fallback = draw(font('nosuchfamily'), text);
      total++;
      if (same(drawn, again) || moved < tolerance * own) equal++; else differing.push(weight + ' ' + size + ' ' + text);
      if (!same(drawn, fallback)) unlikeFallback++;
    }
    // Faces of the same name would help each other out.
    for (const face of faces) document.fonts.delete(face);
    results.push({ name, equal, total, differing, unlikeFallback, changed: ink === 0 ? 0 : changed / ink });
  }
  return results;
`;

/** What comes of one pair. */
export interface Comparison {
  name: string;
  equal: number;
  total: number;
  differing: string[];
  unlikeFallback: number;
  /** How much of the ink of the source lies elsewhere, from 0 up. */
  changed: number;
}

/** A pair for `compareDrawings`, with URLs of the two files. */
export interface DrawnPair {
  name: string;
  source: string;
  made: string;
  descriptors: Record<string, string>;
  weights: number[];
}

/** A face and the parts that it was divided into, each with its `unicode-range`. */
export type DividedPair = Omit<DrawnPair, 'made'> & { made: { url: string; range: string }[] };

/** A line of text as a page sets it. */
export interface SetLine {
  text: string;
  /** BCP 47 */
  language?: string;
  /** font-feature-settings */
  features?: string;
  /** font-variation-settings */
  variations?: string;
}

/** Shows lines in a font, slightly turned; for screenshots. */
export const showLines = `
  const { file, lines } = argument;
  const face = new FontFace('one', 'url(' + file + ')', { weight: '1 1000', stretch: '50% 200%' });
  await face.load();
  document.fonts.clear();
  document.fonts.add(face);
  document.body.innerHTML = '';
  for (const [i, { text, language, features, variations }] of lines.entries()) {
    const line = document.createElement('div');
    line.textContent = text;
    if (language) line.lang = language;
    line.style = 'position: absolute; left: 4px; white-space: pre; font: 22px one; transform: rotate(.5deg); transform-origin: 0 0; top: ' + (i * 34 + 2) + 'px';
    line.style.fontFeatureSettings = features ?? 'normal';
    line.style.fontVariationSettings = variations ?? 'normal';
    document.body.append(line);
  }
  await document.fonts.ready;
  await new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done)));
`;
