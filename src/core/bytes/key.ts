/** More characters at once don't go through a call. */
const shortPiece = 4096;
/** Not spread, which would go through an iterator. */
const textOf = (units: ArrayLike<number>): string => String.fromCharCode.apply(undefined, units as number[]);

/** A text that two pieces have in common where all their bytes are equal. */
export function bytesKey(bytes: Uint8Array): string {
  if (bytes.length <= shortPiece) return textOf(bytes);
  return Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength).toString('latin1');
}

/** A text that two lists have in common where all their numbers are equal. */
export function numbersKey(numbers: Uint32Array): string {
  let fits = numbers.length <= shortPiece;
  for (let i = 0; i < numbers.length && fits; i++) fits = numbers[i] <= 0xffff;
  return fits
    ? textOf(numbers)
    : bytesKey(new Uint8Array(numbers.buffer, numbers.byteOffset, numbers.byteLength));
}
