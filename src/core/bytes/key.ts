/** Shorter pieces stay on the heap; a Buffer would move them. */
const shortPiece = 256;

/** A text that two pieces have in common where all their bytes are equal. @param array of any element size */
export function bytesKey(array: Uint8Array | Uint32Array): string {
  if (array.length <= shortPiece && array instanceof Uint8Array) return String.fromCharCode(...array);
  return Buffer.from(array.buffer, array.byteOffset, array.byteLength).toString('latin1');
}
