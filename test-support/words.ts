import { join } from 'node:path';
import { systemFont } from './engines.js';
import { sampleFonts } from './paths.js';

/** Ordinary words of a language, some with joiners, and a font that has them. */
export interface Words {
  language: string;
  file: string;
  words: string;
}

const all: [language: string, file: string | undefined, words: string][] = [
  ['fr', systemFont('NotoSans-Regular.ttf'), 'L’été à Nîmes, où naît Zoë: 12 % de réduction'],
  ['vi', systemFont('NotoSans-Regular.ttf'), 'Tàu đêm rời bến lúc hai mươi mốt giờ bốn mươi, giá vé ₫'],
  ['de', systemFont('NotoSans-Regular.ttf'), 'Auf\u200clage, Schiff\u200cfahrt in Straßburg – „über“ ½ €'],
  ['el', systemFont('NotoSans-Regular.ttf'), 'Άγιος Ήλιος, ΰλη και ΐ· «Έξι» 21:40'],
  ['ru', systemFont('NotoSans-Regular.ttf'), 'Дом №\u00a05, за\u0301мок и замо\u0301к, йод, ёлка'],
  ['fa', systemFont('NotoNaskhArabic-Regular.ttf'), 'می\u200cخواهم آن‌ها را، مؤثر، هیئت ۲۱'],
  ['ur', systemFont('NotoNastaliqUrdu-Regular.ttf'), 'آئندہ کئی مؤثر میں ۂ ۲۱'],
  ['he', systemFont('NotoSansHebrew-Regular.ttf'), 'שָׁלוֹם לְכֻלָּם, ₪'],
  ['hi', systemFont('NotoSansDevanagari-Regular.ttf'), 'क्‍ष क्‌ष ज़रा फ़ोन ड़ ढ़ १२'],
  ['bn', systemFont('NotoSansBengali-Regular.ttf'), 'র\u200d্যাব আয় গাড়ি ১২'],
  ['el', join(sampleFonts, 'FerrywakeSans-Regular.ttf'), 'Ο Ήλιος, ώρα 6:40· πλοίο Άνω Ζεύς'],
];

/** Those whose fonts are here. */
export const wordsOfLanguages: readonly Words[] = all.flatMap(([language, file, words]) =>
  file === undefined ? [] : [{ language, file, words }],
);
