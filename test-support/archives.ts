import { ZipFile } from 'yazl';

/** A ZIP archive of the files given by path. */
export async function zipOf(files: Record<string, Uint8Array>): Promise<Buffer> {
  const zip = new ZipFile();
  for (const [path, bytes] of Object.entries(files)) zip.addBuffer(Buffer.from(bytes), path);
  zip.end();
  const chunks: Buffer[] = [];
  for await (const chunk of zip.outputStream as AsyncIterable<Buffer>) chunks.push(chunk);
  return Buffer.concat(chunks);
}
