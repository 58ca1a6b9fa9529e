import { unicodeRangeText } from './unicode-ranges.js';

const allWords = 0x110000 / 32;
/** Up to U+03FF. */
const fewWords = 32;

/** A set of Unicode code points, as one bit for each. */
export class CodePointSet {
  /** As many as the highest needs: most sets are of low characters, and there are many. */
  private words = new Uint32Array(fewWords);
  /** How many of the words may have bits, so that the many sets of low characters are quick to walk. */
  private used = 0;
  size = 0;

  constructor(codePoints: Iterable<number> = []) {
    for (const codePoint of codePoints) this.add(codePoint);
  }

  /** The characters that a text draws; what only arranges it has no glyph. */
  static ofText(text: string): CodePointSet {
    const set = new CodePointSet();
    for (const character of text) if (!/[\n\r\t\f\uFEFF]/.test(character)) set.add(character.codePointAt(0)!);
    return set;
  }

  /** @param text ranges as generated data holds them; see `eachPackedRange` */
  static ofPacked(text: string): CodePointSet {
    const set = new CodePointSet();
    eachPackedRange(text, (first, last) => set.addRange(first, last));
    return set;
  }

  /** @param codePoint 0 to 0x10ffff; others are left out */
  add(codePoint: number): void {
    if (codePoint > 0x10ffff || this.has(codePoint)) return;
    this.makeRoom(codePoint);
    this.words[codePoint >>> 5] |= 1 << (codePoint & 31);
    this.used = Math.max(this.used, (codePoint >>> 5) + 1);
    this.size++;
  }

  /** As `unicode-range` writes it. */
  toJSON(): string {
    return unicodeRangeText(this.ranges());
  }

  has(codePoint: number): boolean {
    return (this.words[codePoint >>> 5] & (1 << (codePoint & 31))) !== 0;
  }

  /** @param last included */
  addRange(first: number, last: number): void {
    this.makeRoom(Math.min(last, 0x10ffff));
    for (let codePoint = first; codePoint <= last; codePoint++) {
      if ((codePoint & 31) === 0 && codePoint + 31 <= last && this.words[codePoint >>> 5] === 0) {
        this.words[codePoint >>> 5] = 0xffffffff;
        this.used = Math.max(this.used, (codePoint >>> 5) + 1);
        this.size += 32;
        codePoint += 31;
      } else this.add(codePoint);
    }
  }

  addAll(other: CodePointSet): void {
    for (const [first, last] of other.ranges()) this.addRange(first, last);
  }

  /** How many code points of a range are in the set. @param last included */
  countIn(first: number, last: number): number {
    let count = 0;
    for (let codePoint = first; codePoint <= last; codePoint++) {
      if ((codePoint & 31) === 0 && codePoint + 31 <= last) {
        const word = this.words[codePoint >>> 5] ?? 0;
        if (word === 0 || word === 0xffffffff) {
          if (word !== 0) count += 32;
          codePoint += 31;
          continue;
        }
      }
      if (this.has(codePoint)) count++;
    }
    return count;
  }

  private makeRoom(codePoint: number): void {
    const needed = (codePoint >>> 5) + 1;
    if (needed <= this.words.length) return;
    const words = new Uint32Array(Math.min(allWords, Math.max(needed, this.words.length * 2)));
    words.set(this.words);
    this.words = words;
  }

  /** Visits the code points, ascending. */
  forEach(visit: (codePoint: number) => void): void {
    for (const [first, last] of this.ranges()) {
      for (let codePoint = first; codePoint <= last; codePoint++) visit(codePoint);
    }
  }

  /** The code points, ascending. */
  codePoints(): number[] {
    const all: number[] = [];
    this.forEach((codePoint) => all.push(codePoint));
    return all;
  }

  /** Ascending runs that don't touch. */
  ranges(): [first: number, last: number][] {
    const { words, used } = this;
    const ranges: [number, number][] = [];
    let start = -1;
    for (let word = 0; word <= used; word++) {
      const bits = words[word] ?? 0;
      if (bits === 0 && start < 0) continue;
      if (bits === 0xffffffff && start >= 0) continue;
      for (let bit = 0; bit < 32; bit++) {
        const isIn = (bits & (1 << bit)) !== 0;
        if (isIn && start < 0) start = word * 32 + bit;
        if (!isIn && start >= 0) {
          ranges.push([start, word * 32 + bit - 1]);
          start = -1;
        }
      }
    }
    return ranges;
  }
}

const digitOf = (code: number) => (code <= 0x39 ? code - 0x30 : code - 0x57);

/**
 * Reads ranges from the text that generated data holds them in: for each the gap to the one before, and, after a
 * colon, how many code points follow the first; base 36.
 *
 * @param visit gets both ends of a range
 */
export function eachPackedRange(text: string, visit: (first: number, last: number) => void): void {
  let end = -1;
  for (let at = 0; at < text.length; at++) {
    let gap = 0;
    let more = 0;
    let code = text.charCodeAt(at);
    for (; code > 0x20 && code !== 0x3a; code = text.charCodeAt(++at)) gap = gap * 36 + digitOf(code);
    if (code === 0x3a) {
      code = text.charCodeAt(++at);
      for (; code > 0x20; code = text.charCodeAt(++at)) more = more * 36 + digitOf(code);
    }
    const first = end + 1 + gap;
    end = first + more;
    visit(first, end);
  }
}
