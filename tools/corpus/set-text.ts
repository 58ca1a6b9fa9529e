/**
 * Sets sentences in fonts as the program does, and asks browsers how long their lines are.
 *
 *   npm run set-text -- [--engine chromium] [--texts <folder with .mo files>] [--lines 2000] [--each 300] <fonts…>
 *
 * The texts are translations of the system's programs, which nobody here wrote, in the languages that the fonts cover.
 */
import { readFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { glob } from 'tinyglobby';
import { openFonts } from '#src/core/containers/index.js';
import type { Font } from '#src/core/sfnt/font.js';
import { fvar } from '#src/core/tables/index.js';
import { Shaper } from '#src/core/shaping/index.js';
import { LoggingServer } from '../../test-support/server.js';
import { availableEngines, startEngine, type EngineName } from '../../test-support/engines.js';

const { values, positionals } = parseArgs({
  args: process.argv.slice(2),
  allowPositionals: true,
  options: {
    engine: { type: 'string' },
    texts: { type: 'string', default: '/usr/share/locale' },
    lines: { type: 'string', default: '2000' },
    each: { type: 'string', default: '2000' },
    verbose: { type: 'boolean', default: false },
  },
});

interface Sentence {
  text: string;
  language: string;
}

const languages = 'cs de el en es fr hu it lt nl pl pt_BR ro ru sk sr tr uk vi bg ca'.split(' ');

/** Messages of a catalogue, a line each (GNU gettext, the format of .mo files). */
function messagesIn(bytes: Uint8Array): string[] {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const isLittle = view.getUint32(0, true) === 0x950412de;
  const count = view.getUint32(8, isLittle);
  const table = view.getUint32(16, isLittle);
  return Array.from({ length: count }, (_, i) => {
    const length = view.getUint32(table + i * 8, isLittle);
    const at = view.getUint32(table + i * 8 + 4, isLittle);
    return new TextDecoder().decode(bytes.subarray(at, at + length));
  });
}

async function sentences(): Promise<Sentence[]> {
  const found: Sentence[] = [];
  const share = Math.ceil(Number(values.lines) / languages.length);
  for (const language of languages) {
    const own: string[] = [];
    for (const path of (
      await glob(`${values.texts}/${language}/LC_MESSAGES/*.mo`, { absolute: true })
    ).sort()) {
      for (const message of messagesIn(readFileSync(path)))
        for (const line of message.split(/[\n\0]+/))
          if (line.length > 40 && line.length < 160 && !/[%<>{}\t]|^\s|\s$|\s\s/.test(line)) own.push(line);
    }
    const step = Math.max(1, Math.floor(own.length / share));
    for (let i = 0; i < own.length && i < share * step; i += step)
      found.push({ text: own[i], language: language.replace('_', '-') });
  }
  return found;
}

interface Face {
  name: string;
  path: string;
  bytes: Uint8Array;
  font: Font;
  /** As `font-variation-settings` has it. */
  variations: Record<string, number>;
}

/** A variable font is looked at somewhere on its axes, not at their ends. */
function placesOf(font: Font): Record<string, number>[] {
  const axes = font.optional(fvar)?.axes ?? [];
  if (axes.length === 0) return [{}];
  return [0.37, 0.81].map((share) =>
    Object.fromEntries(
      axes.map(({ axisTag, minValue, maxValue }) => [
        axisTag,
        Math.round(minValue + (maxValue - minValue) * share),
      ]),
    ),
  );
}

const texts = await sentences();
const faces: Face[] = [];
for (const path of positionals) {
  const bytes = new Uint8Array(readFileSync(path));
  const [opened] = openFonts(bytes);
  for (const variations of placesOf(opened.font))
    faces.push({ name: `F${faces.length}`, path, bytes, font: opened.font, variations });
}
const server = await LoggingServer.start(
  {},
  {
    '/': '<!doctype html><meta charset=utf-8><body>',
    ...Object.fromEntries(faces.map(({ bytes, name }) => [`/${name}`, bytes])),
  },
);
const size = 16;

/** Without what is between a word and a space: Firefox sets word by word in some fonts. */
const byWords = (shaper: Shaper, text: string, language: string, engineName: EngineName): number =>
  text
    .split(/(?<= )|(?= )/)
    .map((word) => widthOf(shaper, word, language, engineName))
    .reduce((sum, one) => sum + one, 0);

/** Firefox adds up the advances of glyphs in 60ths of a pixel. */
function widthOf(shaper: Shaper, text: string, language: string, engineName: EngineName): number {
  const advances = shaper
    .shape(text, { language })
    ?.map(({ advance }) => (advance * size) / shaper.unitsPerEm);
  const rounded = engineName === 'firefox' ? advances?.map((one) => Math.round(one * 60) / 60) : advances;
  return rounded?.reduce((sum, one) => sum + one, 0) ?? NaN;
}
/** A 64th, as browsers round widths up to those, and what their numbers lose on a hundred glyphs. */
const tolerance = 1 / 64 + 0.002;
let failed = 0;
for (const name of availableEngines()) {
  if (values.engine === undefined ? name === 'webkit' : values.engine !== name) continue;
  failed += await judge(name);
}
await server.close();
process.exit(failed > 0 ? 1 : 0);

/** @returns how many lines of a thousand are of another length */
async function judge(engineName: EngineName): Promise<number> {
  const engine = await startEngine(engineName, { unhinted: true });
  let [lines, wrong] = [0, 0];
  try {
    await engine.open(`${server.origin}/`);
    for (const { name, path, font, variations } of faces) {
      const shaper = new Shaper(font, variations);
      const drawn = texts
        .filter(({ text }) => [...text].every((one) => shaper.has(one.codePointAt(0)!)))
        .slice(0, Number(values.each));
      const settings = Object.entries(variations).map(([tag, value]) => `"${tag}" ${value}`);
      const said = await engine.run<number[]>(
        `const face = new FontFace(argument.name, 'url(/' + argument.name + ')');
         document.fonts.add(await face.load());
         const box = document.createElement('div');
         box.style.cssText = 'position:absolute;white-space:pre;text-rendering:geometricPrecision;font-kerning:normal;font:${size}px ' + argument.name
           + ';font-variation-settings:' + argument.settings;
         const all = argument.drawn.map(({ text, language }) => {
           const span = document.createElement('span');
           span.textContent = text;
           span.lang = language;
           box.append(span, document.createElement('br'));
           return span;
         });
         document.body.replaceChildren(box);
         return all.map((span) => span.getBoundingClientRect().width);`,
        { name, settings: settings.join(', ') || 'normal', drawn },
      );
      const together = drawn.map(({ text, language }) => widthOf(shaper, text, language, engineName));
      const apart = drawn.map(({ text, language }) => byWords(shaper, text, language, engineName));
      const offs = (widths: readonly number[]) => widths.map((width, i) => Math.abs(width - said[i]));
      const count = (list: readonly number[]) => list.filter((off) => !(off <= tolerance)).length;
      const [whole, words] = [offs(together), offs(apart)];
      const isByWords = engineName === 'firefox' && count(words) < count(whole);
      const [off, widths] = isByWords ? [words, apart] : [whole, together];
      if (isByWords) console.log(`${engineName}: ${path}: set word by word`);
      const own = count(off);
      const most = Math.max(0, ...off);
      const at = off.indexOf(most);
      const worst =
        own === 0
          ? ''
          : `${widths[at].toFixed(3)} for ${said[at].toFixed(3)} ${drawn[at].language} ${drawn[at].text}`;
      lines += drawn.length;
      wrong += own;
      if (own > 0 || values.verbose)
        console.log(
          `${engineName}: ${path} ${settings.join(' ')}: ${own} of ${drawn.length} lines off, at most ${most.toFixed(3)} px`,
        );
      if (worst !== '' && values.verbose) console.log(`  ${worst}`);
    }
  } finally {
    await engine.close();
  }
  const share = wrong / Math.max(1, lines);
  console.log(
    `${engineName}: ${lines} lines in ${faces.length} faces, ${wrong} off by more than 1/64 px (${(share * 100).toFixed(3)} %)`,
  );
  return share > 0.001 ? 1 : 0;
}
