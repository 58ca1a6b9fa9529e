/** A file as characters that edits count in, and back: every byte that isn't changed stays as it is. */
export interface EditableText {
  text: string;
  bytesOf: (text: string) => Uint8Array;
}

const utf8 = new TextDecoder('utf-8', { fatal: true, ignoreBOM: true });

/** UTF-8 where it is that; else a character for each byte, which keeps all that is ASCII. */
export function editableText(bytes: Uint8Array): EditableText {
  try {
    return { text: utf8.decode(bytes), bytesOf: (text) => new TextEncoder().encode(text) };
  } catch {
    return {
      text: Buffer.from(bytes).toString('latin1'),
      bytesOf: (text) => new Uint8Array(Buffer.from(text, 'latin1')),
    };
  }
}
