/** A text that two pieces have in common where all their bytes are equal. @param array of any element size */
export const bytesKey = (array: Uint8Array | Uint32Array): string =>
  Buffer.from(array.buffer, array.byteOffset, array.byteLength).toString('latin1');
