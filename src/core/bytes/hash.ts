// FNV-1a, 32 bits

/** The hash of nothing. */
export const emptyHash = 0x811c9dc5;
export const hashPrime = 0x01000193;

/** A hash with one more value of up to 32 bits in it. */
export const mixed = (hash: number, value: number): number => Math.imul(hash ^ value, hashPrime);
