// OpenType: The OpenType Font File, "Calculating Checksums"

/**
 * The checksum of a table: the sum of its 32-bit words, the last one filled up with zeros.
 *
 * @param bytes the table, without its padding
 * @returns an unsigned 32-bit number
 */
export function checksum(bytes: Uint8Array): number {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const whole = bytes.length & ~3;
  let sum = 0;
  for (let at = 0; at < whole; at += 4) sum = (sum + view.getUint32(at)) | 0;
  let last = 0;
  for (let at = whole; at < whole + 4; at++) last = (last << 8) | (at < bytes.length ? bytes[at] : 0);
  if (whole < bytes.length) sum = (sum + last) | 0;
  return sum >>> 0;
}
