/** The hash of nothing (FNV-1a, 32 bits). */
export const emptyHash = 0x811c9dc5;

/** A hash with one more value of up to 32 bits in it. */
export const mixed = (hash: number, value: number): number => Math.imul(hash ^ value, 0x01000193);
