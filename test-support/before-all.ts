// What is done once before all tests
import { makeKits } from './kits.js';
import { useLocalFonts } from './local-fonts.js';

export default async function beforeAll(): Promise<void> {
  useLocalFonts(process.env.DENSE_GLYPH_LOCAL_FONTS ?? 'own');
  await makeKits();
}
