// How amounts are told, in whichever report

/** `38.1 kB`, as browsers' network panels count: 1 kB is 1000 bytes. */
export function kilobytes(bytes: number): string {
  return bytes < 1000 ? `${bytes} B` : `${(bytes / 1000).toFixed(1)} kB`;
}

/** As `kilobytes`, and what is large in megabytes. */
export const sizeText = (bytes: number): string =>
  bytes < 1e6 ? kilobytes(bytes) : `${(bytes / 1e6).toFixed(1)} MB`;

/** Of milliseconds, as in `0.24 s`. */
export const seconds = (milliseconds: number): string =>
  `${(milliseconds / 1000).toFixed(Math.abs(milliseconds) < 995 ? 2 : 1)} s`;

/** Of a line, by kilobits in a second, as in `450 kbit/s` or `6 Mbit/s`. */
export const bitRate = (kilobits: number): string =>
  kilobits < 1000 ? `${kilobits} kbit/s` : `${kilobits / 1000} Mbit/s`;
