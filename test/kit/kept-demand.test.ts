import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { jsonText } from '#src/core/text/json-text.js';
import { keptSetting, settingOfKept, type PageSetting } from '#src/kit/planning/kept-setting.js';
import type { TextBlock, TextStyle } from '#src/site/usage/text-blocks.js';
import { cli } from '../../test-support/cli.js';
import { config, project } from '../../test-support/project.js';
import { casesOf } from '../../test-support/thorough.js';

const style = (weight: number): TextStyle => ({
  families: ['Buoy'],
  weight,
  style: 'normal',
  stretch: 100,
  fontSize: 16,
  letterSpacing: 0,
  wordSpacing: 0,
  featureSettings: 'normal',
  variationSettings: 'normal',
  variantLigatures: 'normal',
  opticalSizing: 'auto',
  features: [],
});

const block = fc
  .record({
    element: fc.constantFrom('p', 'p.lead', 'h1'),
    line: fc.integer({ min: 0, max: 3 }),
    px: fc.constantFrom(100, 200),
    texts: fc.array(fc.constantFrom('Pier', 'Quay', ''), { minLength: 1, maxLength: 3 }),
    weight: fc.constantFrom(400, 700),
  })
  .map(({ element, line, px, texts, weight }): TextBlock => ({
    element,
    line,
    runs: texts.map((text) => ({ text, style: style(weight), language: 'en' })),
    fontSize: 16,
    lineHeight: 20,
    textAlign: 'start',
    writingMode: 'horizontal-tb',
    whiteSpace: 'normal',
    rooms: [{ px, isKnown: true }],
    hasBoxes: false,
  }));

describe('a kept setting', () => {
  test('is at each width what it was, in its order', () => {
    const setting = fc
      .array(fc.array(block, { maxLength: 8 }), { minLength: 1, maxLength: 3 })
      .map((all): PageSetting => ({
        page: 'a.html',
        visit: undefined,
        blocks: all.map((blocks, i) => [390 + i, blocks]),
      }));
    fc.assert(
      fc.property(setting, (one) => {
        const kept = JSON.parse(jsonText(keptSetting(one))) as ReturnType<typeof keptSetting>;
        expect(settingOfKept('a.html', kept)).toEqual(one);
      }),
      casesOf(300, 5_000),
    );
  });

  test('says once what widths have alike', () => {
    const [one] = fc.sample(block, { numRuns: 1, seed: 3 });
    const list = Array.from({ length: 5 }, (_, line) => ({ ...one, line }));
    const kept = keptSetting({ page: '', visit: undefined, blocks: [1, 2, 3].map((width) => [width, list]) });
    expect([kept.blocks.length, kept.forms.length, kept.styles.length]).toEqual([5, 1, 1]);
  });
});

test('JSON on short lines says what JSON says', () => {
  fc.assert(
    fc.property(fc.jsonValue({ maxDepth: 6 }), (value) => {
      const text = jsonText(value);
      expect(JSON.parse(text)).toEqual(JSON.parse(JSON.stringify(value)));
    }),
    casesOf(300, 5_000),
  );
  const long = 'long '.repeat(40);
  expect(jsonText({ toJSON: () => long })).toBe(JSON.stringify(long));
  expect(jsonText({ a: undefined, b: [undefined, 1], c: new Date(0) })).toBe(
    '{"b":[null,1],"c":"1970-01-01T00:00:00.000Z"}',
  );
});

test('a demand in which anything is wrong is refused with its place, and never takes the program by surprise', async () => {
  await project({ ...config, site: { root: '.', demand: 'demand.json' } }, async (folder) => {
    writeFileSync(
      join(folder, 'a.html'),
      '<!doctype html><html lang=en><meta charset=utf-8><h1 style="font: 700 1em Lampbuoy Slab">Pier',
    );
    const { out } = await cli(['scan', '.', '--json'], folder);
    const whole = JSON.parse(out) as object;
    const places: { holder: Record<string, unknown>; key: string }[] = [];
    const waiting: unknown[] = [(whole as { pages: unknown[] }).pages[0]];
    for (let one = waiting.pop(); one !== undefined; one = waiting.pop()) {
      if (typeof one !== 'object' || one === null) continue;
      for (const [key, value] of Object.entries(one)) {
        // What is told of faces besides is read by nobody.
        if (key === 'faces' || key === 'places') continue;
        places.push({ holder: one as Record<string, unknown>, key });
        waiting.push(value);
      }
    }
    const { numRuns: count } = casesOf(80, 600);
    const ends = new Set<number | null>();
    const wrong = [null, -1, 'no', [], {}, [[1, 2]], true];
    for (let i = 0; i < count; i++) {
      const { holder, key } = places[(i * 7919) % places.length];
      const before = holder[key];
      holder[key] = wrong[i % wrong.length];
      writeFileSync(join(folder, 'demand.json'), JSON.stringify(whole));
      holder[key] = before;
      const { code, err } = await cli(['build', '--quiet'], folder);
      ends.add(code);
      if (code !== 0 && code !== 1)
        expect([key, wrong[i % wrong.length], err]).toEqual([
          key,
          wrong[i % wrong.length],
          expect.stringMatching(/demand\.json: .*pages\[0\]/),
        ]);
    }
    expect([...ends].filter((code) => code !== 0 && code !== 1)).toEqual([3]);
  });
});
