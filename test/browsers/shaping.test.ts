import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { openFont } from '#src/core/containers/index.js';
import { Shaper } from '#src/core/shaping/index.js';
import { testedEngines, startEngine, systemFont, type Engine } from '../../test-support/engines.js';
import { readSample } from '../../test-support/paths.js';
import { LoggingServer } from '../../test-support/server.js';

const size = 16;

interface Setting {
  /** A sample font, or one that the system packages. */
  font: string;
  variations?: Record<string, number>;
  features?: Record<string, number>;
  language?: string;
  lines: string[];
}

const plain = [
  'Vorfreude: AVATAR, To, “Yes” – offline, affluent, fjord; 12/04 (No. 7)',
  'Četverac ďábelsky kůň, naïve façade, Łódź, Việt Nam',
  'Πορθμεία Σκέροου· κάθε μέρα ΑΥΤΟΥ',
  'Паром отходит в 7:15. ГДЕ? ТУДА!',
];

const settings: Setting[] = [
  { font: 'FerrywakeSans-Regular.ttf', lines: plain },
  { font: 'FerrywakeSans-Variable.ttf', variations: { wght: 437 }, lines: plain },
  { font: 'FerrywakeSans-VariableItalic.ttf', variations: { wght: 791 }, lines: plain },
  { font: 'LampbuoySlab-Bold.otf', lines: plain },
  { font: 'FerrywakeSans-Regular.ttf', features: { liga: 0, kern: 0 }, lines: plain },
  { font: 'FerrywakeSans-Regular.ttf', features: { smcp: 1, tnum: 1 }, lines: plain },
  {
    font: 'dejavu/DejaVuSans.ttf',
    lines: [
      ...plain,
      'e\u0301 a\u0328\u0301 o\u0302\u0323 x\u0301 q\u0323\u0307 \u0301',
      'ﬁ f\u200ci f\u200di ffi office',
      'a\u00a0b a\u2009b a\u2003b non\u2011breaking a\u00adb',
      'Latin Ελληνικά (Latin) Русский [Ж]',
      'Հայերեն ქართული',
      'φως ᾳ ΐ ά',
    ],
  },
  { font: 'dejavu/DejaVuSans.ttf', language: 'tr', lines: ['fiil, İstanbul ıırmak'] },
  { font: 'LinLibertine_R.otf', lines: [...plain, 'Auflage, Quäkerkapelle Th, affluent'] },
  { font: 'Cantarell-Regular.otf', lines: plain },
  { font: 'NotoSans-Regular.ttf', lines: [...plain, 'e\u0301 o\u0302\u0323 j\u0301 i\u0307'] },
  ...['NotoSansArabic', 'NotoNaskhArabic', 'NotoKufiArabic', 'dejavu/DejaVuSans'].map((name) => ({
    font: name.includes('DejaVu') ? `${name}.ttf` : `${name}-Regular.ttf`,
    lines: [
      'تغادر آخر عبّارة في الساعة',
      'لا إله الأمّ لألأ، هل الآن',
      'آخرین کشتی می\u200cرود؛ سپیده\u200cدم',
      'گچ پژ ۲۱ ٢١ ـــ مـ',
      'مه \u200dه\u200d مه',
      'یہ اردو ہے ڈھاکہ',
    ],
  })),
  ...['NotoSansHebrew', 'NotoSerifHebrew'].map((name) => ({
    font: `${name}-Regular.ttf`,
    lines: ['המעבורת האחרונה יוצאת', 'שָׁלוֹם עֲלֵיכֶם', 'צה״ל'],
  })),
  ...['NotoSansThai', 'NotoSerifThai'].map((name) => ({
    font: `${name}-Regular.ttf`,
    lines: ['เรือข้ามฟากเที่ยวสุดท้าย', 'น้ำ กำ ป้ำ ปี่ ฟ้า ญุ ฐู'],
  })),
];

const bytesOf = (font: string): Uint8Array | undefined => {
  if (/^(Ferrywake|Lampbuoy)/.test(font)) return readSample(font);
  const path = systemFont(font);
  return path === undefined ? undefined : new Uint8Array(readFileSync(path));
};
const cases = settings.flatMap((setting) => {
  const bytes = bytesOf(setting.font);
  const { font, variations = {}, features = {} } = setting;
  const name = [font, JSON.stringify({ ...variations, ...features }), setting.language].join(' ');
  return bytes ? [[name, setting, bytes] as const] : [];
});

/** Engines add up text of both directions, and around what stands between joined letters, in parts of whole 64ths of a pixel. */
const partsOf = (line: string): number =>
  /\p{Script=Arabic}/u.test(line) ? line.match(/\p{Nd}+|[^\p{Nd}\u200c\u200d]+/gu)!.length : 1;

let server: LoggingServer;
beforeAll(async () => {
  server = await LoggingServer.start(
    {},
    {
      '/': '<!doctype html><meta charset=utf-8><body>',
      ...Object.fromEntries(cases.map(([, , bytes], i) => [`/${i}`, bytes])),
    },
  );
});
afterAll(() => server.close());

describe.each(testedEngines().filter((name) => name !== 'webkit'))('%s', (engineName) => {
  let engine: Engine;
  beforeAll(async () => {
    engine = await startEngine(engineName, { unhinted: true });
    await engine.open(`${server.origin}/`);
  });
  afterAll(() => engine.close());

  /** Firefox adds up the advances of glyphs in 60ths of a pixel. */
  const rounded = (width: number) => (engineName === 'firefox' ? Math.round(width * 60) / 60 : width);

  test.each(cases)('lines are as long as drawn: %s', async (name, setting, bytes) => {
    const { variations = {}, features = {}, language = 'en', lines } = setting;
    const shaper = new Shaper(openFont(bytes).font, variations);
    const known = lines.filter((line) => [...line].every((one) => shaper.has(one.codePointAt(0)!)));
    const css = (values: Record<string, number>) =>
      Object.entries(values)
        .map(([tag, value]) => `"${tag}" ${value}`)
        .join(', ') || 'normal';
    const i = cases.findIndex(([other]) => other === name);
    const said = await engine.run<number[]>(
      `const face = new FontFace('F' + argument.i, 'url(/' + argument.i + ')');
       document.fonts.add(await face.load());
       const box = document.createElement('div');
       box.lang = argument.language;
       box.style.cssText = 'position:absolute;white-space:pre;text-rendering:geometricPrecision;font-kerning:' + argument.kerning
         + ';font:${size}px F' + argument.i + ';font-variation-settings:' + argument.variations + ';font-feature-settings:' + argument.features;
       const all = argument.lines.map((line) => {
         const span = document.createElement('span');
         span.textContent = line;
         box.append(span, document.createElement('br'));
         return span;
       });
       document.body.replaceChildren(box);
       return all.map((span) => span.getBoundingClientRect().width);`,
      {
        i,
        language,
        lines: known,
        variations: css(variations),
        features: css(features),
        kerning: features.kern === 0 ? 'auto' : 'normal',
      },
    );
    const own = known.map((line) => {
      const glyphs = shaper.shape(line, { language, features: new Map(Object.entries(features)) });
      return glyphs!.reduce((sum, { advance }) => sum + rounded((advance * size) / shaper.unitsPerEm), 0);
    });
    expect(known.length).toBeGreaterThan(0);
    for (const [k, line] of known.entries()) {
      const least = partsOf(line) / 64 + 0.002;
      expect([line, Math.abs(own[k] - said[k]) < least ? said[k] : own[k]]).toEqual([line, said[k]]);
    }
  });
});

test.each(['नमस्ते', 'မြန်မာ', 'abc ខ្មែរ'])('%s: its script isn’t known here', (text) => {
  const shaper = new Shaper(openFont(readSample('FerrywakeSans-Regular.ttf')).font);
  expect(shaper.shape(text)).toBeUndefined();
});
