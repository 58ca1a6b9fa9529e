// npm run random-texts -- <font>…: fonts divided into what a random text draws and the rest, and random texts over all of
// their characters drawn with the whole and with the parts, in every engine that is here.

import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { basename, join } from 'node:path';
import fc from 'fast-check';
import { openFont, writeFont } from '#src/core/containers/index.js';
import { subsetFont } from '#src/core/subset/index.js';
import { isFittedByLetters } from '#src/core/subset/fitted-letters.js';
import { mappedCharacters } from '#src/core/text/mapped-characters.js';
import { charactersByScript } from '#src/core/text/scripts.js';
import { unicodeRangeText } from '#src/core/text/unicode-ranges.js';
import type { Part } from '#src/kit/planning/made.js';
import { cutParts } from '#src/kit/planning/parts.js';
import { compareDrawings, type Comparison, type DividedPair } from '../../test-support/drawings.js';
import { availableEngines, startEngine } from '../../test-support/engines.js';
import { inPart, plannedFace, wantedOf } from '../../test-support/parts.js';
import { LoggingServer } from '../../test-support/server.js';

const [seedText = '1'] = process.argv.slice(2).filter((one) => /^\d+$/.test(one));
const fonts = process.argv.slice(2).filter((one) => !/^\d+$/.test(one));
const seed = Number(seedText);
const textsOfAFont = 400;
/** As much of a text's ink may lie elsewhere where letters of two parts stand beside each other: a fraction of a pixel. */
const tolerance = 0.1;

interface Trial {
  pair: DividedPair;
  /** Texts of which one part has every character. */
  inOne: string[];
  /** Texts with characters of both. */
  across: string[];
  /** Texts with a letter of one and a mark on it of the other, which come from the next font of the stack. */
  markedAcross: number;
  /** Whether WebKitGTK fits it to the pixel grid by letters, which parts have fewer of (docs/decisions/hinting.md). */
  isFitted: boolean;
  said: string;
}

const folder = mkdtempSync(join(tmpdir(), 'dense-glyph-random-'));
const isMark = (character: number) => /^\p{M}$/u.test(String.fromCodePoint(character));
/** Browsers draw nothing for them, or another character, or break the line. */
const isDrawn = (character: number) => {
  const sign = String.fromCodePoint(character);
  return (
    character > 0x20 && !/\p{Default_Ignorable_Code_Point}|\p{Cc}|\p{Zl}|\p{Zp}|\p{Cs}|\p{Co}/u.test(sign)
  );
};

async function trialOf(file: string, number: number): Promise<Trial | undefined> {
  const keep = (name: string, bytes: Uint8Array) => {
    writeFileSync(join(folder, `${number}-${name}`), bytes);
    return `/${number}-${name}`;
  };
  const { font } = openFont(readFileSync(file));
  const available = mappedCharacters(font);
  const { font: unhinted } = subsetFont(font, { characters: available });
  const whole = await writeFont(unhinted, 'woff2');
  const drawn = available.codePoints().filter(isDrawn);
  const sign = fc.constantFrom(...drawn.map((one) => String.fromCodePoint(one)));
  // Letters of one script beside each other, as people write, and any beside any, as nobody does.
  const scripts = charactersByScript(available)
    .map(({ codePoints }) => codePoints.filter(isDrawn))
    .filter((list) => list.length > 0);
  const ofAScript = fc.constantFrom(...scripts).chain((list) =>
    fc.string({
      unit: fc.constantFrom(...list.map((one) => String.fromCodePoint(one))),
      minLength: 1,
      maxLength: 12,
    }),
  );
  const any = fc.string({ unit: sign, minLength: 1, maxLength: 12 });
  const [ofSite] = fc.sample(fc.string({ unit: sign, minLength: 40, maxLength: 160 }), { seed, numRuns: 1 });
  const cut = await cutParts(plannedFace(font), wantedOf(ofSite));
  const name = basename(file);
  if ('wholeReason' in cut || !cut.rest) {
    console.log(`${name}: not divided (${'wholeReason' in cut ? cut.wholeReason : 'nothing is left'})`);
    return undefined;
  }
  const { drawn: first, rest } = cut;
  const partOf = (part: Part) => ({
    url: keep(part.slice, part.bytes),
    range: unicodeRangeText(part.characters),
  });
  const sets = [first, rest].map((part) => new Set(inPart(part)));
  const texts = [ofSite, ...fc.sample(fc.oneof(any, ofAScript), { seed, numRuns: textsOfAFont })];
  const codes = (text: string) => Array.from(text, (one) => one.codePointAt(0)!);
  const isInOne = (text: string) => sets.some((set) => codes(text).every((one) => set.has(one)));
  // A mark of one part on a letter of the other comes from the next font of the stack.
  const isMarkedAcross = (text: string) => {
    let base: number | undefined;
    return codes(text.normalize('NFD')).some((code) => {
      if (!isMark(code)) base = code;
      return isMark(code) && (base === undefined || sets[0].has(base) !== sets[0].has(code));
    });
  };
  const ofBoth = texts.filter((text) => !isInOne(text));
  const across = ofBoth.filter((text) => !isMarkedAcross(text));
  return {
    pair: {
      name,
      source: keep('whole', whole.bytes),
      made: [partOf(rest), partOf(first)],
      descriptors: {},
      weights: [400],
    },
    inOne: texts.filter((text) => isInOne(text) && !isMarkedAcross(text)),
    across,
    isFitted: isFittedByLetters(unhinted),
    markedAcross: texts.filter(isMarkedAcross).length,
    said: `${sets[0].size} and ${sets[1].size} characters, apart: ${rest.apart?.kernedPairs ?? 0} pairs, ${rest.apart?.ligatures ?? 0} ligatures`,
  };
}

let differing = 0;
const server = await LoggingServer.start({ '/': `${folder}/` }, { '/blank': '<!doctype html>' });
try {
  const trials: Trial[] = [];
  for (const [i, file] of fonts.entries()) {
    const trial = await trialOf(file, i);
    if (trial) trials.push(trial);
  }
  for (const name of availableEngines()) {
    const engine = await startEngine(name);
    try {
      for (const { pair, inOne, across, markedAcross, isFitted, said } of trials) {
        if (name === 'webkit' && isFitted) {
          console.log(`webkit ${pair.name}: fitted by letters`);
          continue;
        }
        await engine.open(`${server.origin}/blank`);
        const compared = async (texts: string[], options: object) =>
          texts.length === 0
            ? { differing: [], unlikeFallback: 0 }
            : (
                await engine.run<Comparison[]>(compareDrawings, {
                  pairs: [pair],
                  texts,
                  sizes: [40],
                  turn: 0.01,
                  ...options,
                })
              )[0];
        const one = await compared(inOne, {});
        // It kerns in a canvas whatever is asked for.
        const both = await compared(name === 'webkit' ? [] : across, { kerning: 'none', tolerance });
        differing += one.differing.length + both.differing.length;
        console.log(
          `${name} ${pair.name} (${said}): ${inOne.length} texts of one part, ${one.differing.length} differ; ` +
            `${across.length} of both, ${both.differing.length} differ; ${markedAcross} with marks of the other part`,
        );
        const told = (text: string) =>
          `${text}  ${Array.from(text.replace(/^\d+ \d+ /, ''), (sign) => sign.codePointAt(0)!.toString(16)).join(' ')}`;
        for (const text of one.differing.slice(0, 8)) console.log(`  one   ${told(text)}`);
        for (const text of both.differing.slice(0, 12)) console.log(`  both  ${told(text)}`);
      }
    } finally {
      await engine.close();
    }
  }
} finally {
  await server.close();
  rmSync(folder, { recursive: true, force: true });
}
process.exitCode = differing > 0 ? 1 : 0;
