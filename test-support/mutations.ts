/** Numbers from 0 up to 1 that a seed determines (mulberry32). */
export function seeded(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
}

/** Values that counts, offsets and lengths break at. */
const edges = [0, 1, 2, 0x7f, 0x80, 0xff, 0x7fff, 0x8000, 0xfffe, 0xffff];

/** The bytes with a few things wrong. @param early whether headers are hit more often than the rest */
export function mutated(bytes: Uint8Array, random: () => number, early = true): Uint8Array {
  let copy = bytes.slice();
  const place = () => {
    const limit = early && random() < 0.5 ? Math.min(copy.length, 600) : copy.length;
    return Math.floor(random() * limit);
  };
  const count = 1 + Math.floor(random() * 6);
  for (let i = 0; i < count && copy.length > 4; i++) {
    const at = place();
    const kind = random();
    if (kind < 0.3) copy[at] = Math.floor(random() * 256);
    else if (kind < 0.45) copy[at] ^= 1 << Math.floor(random() * 8);
    else if (kind < 0.75) {
      const value = edges[Math.floor(random() * edges.length)];
      copy[at] = value >> 8;
      if (at + 1 < copy.length) copy[at + 1] = value & 0xff;
    } else if (kind < 0.85) copy.fill(random() < 0.5 ? 0 : 0xff, at, at + Math.floor(random() * 16));
    else if (kind < 0.95) copy.copyWithin(at, place(), place());
    else copy = copy.slice(0, Math.max(4, at));
  }
  return copy;
}
