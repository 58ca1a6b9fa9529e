/** Of milliseconds, as in `0.24 s`. */
export const seconds = (milliseconds: number): string => `${(milliseconds / 1000).toFixed(2)} s`;

/** `38.1 kB`: 1 kB is 1000 bytes, as in network panels. */
export const kilobytes = (bytes: number): string => `${(bytes / 1000).toFixed(1)} kB`;
