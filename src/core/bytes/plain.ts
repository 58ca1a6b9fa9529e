/**
 * The same bytes as a plain Uint8Array. A Buffer is one by type, but its `slice` shares memory where that of a
 * Uint8Array copies.
 */
export function plainBytes(bytes: Uint8Array): Uint8Array {
  return new Uint8Array(bytes.buffer, bytes.byteOffset, bytes.byteLength);
}
