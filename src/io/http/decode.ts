import { brotliDecompress, gunzip, inflate, inflateRaw, type InputType, type ZlibOptions } from 'node:zlib';
import { promisify } from 'node:util';

/** An answer in an encoding that nobody reads, or that comes to more than is allowed. */
export class ContentEncodingError extends Error {
  readonly code: string;

  constructor(
    code: 'ENCODING_UNKNOWN' | 'ENCODING_DAMAGED' | 'UND_ERR_RES_EXCEEDED_MAX_SIZE',
    message: string,
  ) {
    super(message);
    this.code = code;
  }
}

type Decode = (bytes: InputType, options: ZlibOptions) => Promise<Buffer>;
const raw = promisify(inflateRaw) as Decode;
const wrapped = promisify(inflate) as Decode;

/** By the names that HTTP gives them (RFC 9110, section 8.4.1). */
const decoders: Readonly<Record<string, Decode>> = {
  gzip: promisify(gunzip),
  'x-gzip': promisify(gunzip),
  br: promisify(brotliDecompress),
  // With a header of its own, as the standard says; some servers leave it out.
  deflate: (bytes, options) => wrapped(bytes, options).catch(() => raw(bytes, options)),
};

export const acceptedEncodings = 'gzip, br';

/**
 * A body without the encodings that its headers name, the last one first.
 *
 * @param most bytes that may come out
 * @throws ContentEncodingError
 */
export async function decodedBody(
  bytes: Uint8Array,
  contentEncoding: string,
  most: number,
): Promise<Uint8Array> {
  const names = contentEncoding.split(',').map((name) => name.trim().toLowerCase());
  let body = bytes;
  for (const name of names.reverse()) {
    if (name === '' || name === 'identity') continue;
    const decode = Object.hasOwn(decoders, name) ? decoders[name] : undefined;
    if (!decode)
      throw new ContentEncodingError('ENCODING_UNKNOWN', `it is encoded as ${name}, which is not read`);
    try {
      body = await decode(body, { maxOutputLength: most });
    } catch (cause) {
      if ((cause as NodeJS.ErrnoException).code === 'ERR_BUFFER_TOO_LARGE')
        throw new ContentEncodingError(
          'UND_ERR_RES_EXCEEDED_MAX_SIZE',
          `it comes to more than ${most} bytes`,
        );
      throw new ContentEncodingError('ENCODING_DAMAGED', 'it is damaged: it cannot be decompressed');
    }
  }
  return body;
}
