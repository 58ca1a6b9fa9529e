import { describe, expect, test } from '@jest/globals';
import { DenseGlyphError } from '#src/errors.js';
import { readArchive } from '#src/io/archive.js';
import { zipOf } from '../../test-support/archives.js';
import { mutated, seeded } from '../../test-support/mutations.js';
import { readSample } from '../../test-support/paths.js';

const font = readSample('TidelogMono-Regular.ttf');
const text = (content: string) => Buffer.from(content);

/** Where a file's record in the central directory starts. */
const recordOf = (zip: Buffer, path: string) => zip.lastIndexOf(path) - 46;

describe('an archive', () => {
  test('gives its fonts by content, and the licence texts beside them', async () => {
    const zip = await zipOf({
      'ferries/desktop/Tidelog.ttf': font,
      'ferries/web/tidelog.bin': font,
      'ferries/OFL.txt': text('licence'),
      'ferries/readme.html': text('<html>'),
      'ferries/empty.ttf': text(''),
      '__MACOSX/ferries/._Tidelog.ttf': text('resource fork'),
    });
    const { fonts, licenceTexts } = await readArchive(zip);
    expect(fonts.map(({ path }) => path)).toEqual(['ferries/desktop/Tidelog.ttf', 'ferries/web/tidelog.bin']);
    expect(Buffer.compare(fonts[1].bytes, font)).toBe(0);
    expect(licenceTexts.map(({ path }) => path)).toEqual(['ferries/OFL.txt']);
  });

  test.each<[string, (zip: Buffer) => void, string, string]>([
    [
      'whose path leads out of it',
      (zip) => {
        for (let at = zip.indexOf('in/a.ttf'); at >= 0; at = zip.indexOf('in/a.ttf'))
          zip.write('../a.ttf', at);
      },
      'archive-unsafe',
      '../a.ttf',
    ],
    [
      'with an encrypted file',
      (zip) => zip.writeUInt16LE(1, recordOf(zip, 'in/a.ttf') + 8),
      'format-unsupported',
      'in/a.ttf in the archive is encrypted; unpack it with its password',
    ],
    [
      'with a font that claims gigabytes',
      (zip) => zip.writeUInt32LE(0xf0000000, recordOf(zip, 'in/a.ttf') + 24),
      'archive-unsafe',
      'in/a.ttf claims 4026531840 bytes',
    ],
    [
      'with a font that is larger than it claims',
      (zip) => zip.writeUInt32LE(100, recordOf(zip, 'in/a.ttf') + 24),
      'archive-damaged',
      'too many bytes',
    ],
    [
      'with a font that isn’t what its checksum says',
      (zip) => zip.writeUInt32LE(1, recordOf(zip, 'in/a.ttf') + 16),
      'archive-damaged',
      'in/a.ttf is not what its checksum says',
    ],
    [
      'that is cut',
      (zip) => zip.fill(0, zip.length - 22),
      'archive-damaged',
      'the archive cannot be read (End of central',
    ],
  ])('%s is refused', async (_, damage, code, reason) => {
    const zip = await zipOf({ 'in/a.ttf': font });
    damage(zip);
    const refused = readArchive(zip);
    await expect(refused).rejects.toMatchObject({ code });
    await expect(refused).rejects.toThrow(reason);
  });

  test('without a font says so, and names an archive inside', async () => {
    const inner = await zipOf({ 'a.ttf': font });
    await expect(
      readArchive(await zipOf({ 'a.txt': text('no font in here, only words and more of them') })),
    ).rejects.toThrow('there is no font in the archive; look for the fonts elsewhere');
    await expect(readArchive(await zipOf({ 'fonts.zip': inner }))).rejects.toThrow('unpack fonts.zip');
  });

  test('that is damaged anywhere is read or refused', async () => {
    const zip = await zipOf({ 'fonts/a.ttf': font, 'OFL.txt': text('licence') });
    const firstSeed = Number(process.env.DENSE_GLYPH_SEED ?? 1);
    const cases = Number(process.env.DENSE_GLYPH_CASES ?? 300);
    for (let seed = firstSeed; seed < firstSeed + cases; seed++) {
      const hostile = mutated(new Uint8Array(zip), seeded(seed), false);
      await readArchive(hostile).catch((cause: unknown) => {
        if (!(cause instanceof DenseGlyphError) || cause.kind !== 'input') {
          throw new Error(`seed ${seed}: ${String(cause)}`, { cause });
        }
      });
    }
  });
});
