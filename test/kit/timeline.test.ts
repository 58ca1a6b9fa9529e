import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  fetchTimes,
  kitStylesheet,
  pageTimeline,
  planPage,
  shownBy,
  type Connection,
  type Delivery,
  type Fetch,
  type PageFiles,
} from '#src/kit/timeline/index.js';

/** 100 bytes in a millisecond, 100 milliseconds there and back. */
const line: Connection = { name: 'even', rtt: 100, down: 800, setUp: 3, firstWindow: Infinity };
const h2: Delivery = { http: '2', order: 'by priority' };
const file = (key: string, bytes: number, more: Partial<Fetch> = {}): Fetch => ({
  key,
  origin: 'here',
  bytes,
  priority: 1,
  after: [],
  ...more,
});
const ends = (fetches: readonly Fetch[], delivery = h2, own = line) =>
  Object.fromEntries([...fetchTimes(fetches, own, delivery)].map(([key, { end }]) => [key, Math.round(end)]));

describe('when files are there', () => {
  test.each<[string, Fetch[], Record<string, number>, Delivery?, Connection?]>([
    ['a server costs its set-up, a request a round trip', [file('a', 1400)], { a: 414 }],
    [
      'a second request to it only its round trip',
      [file('a', 1400), file('b', 1400, { after: ['a'] })],
      { a: 414, b: 528 },
    ],
    [
      'another server its own set-up',
      [file('a', 1400), file('b', 1400, { after: ['a'], origin: 'there' })],
      { a: 414, b: 828 },
    ],
    [
      'the line is shared, the more important first',
      [file('b', 2800, { priority: 2 }), file('a', 2800)],
      { a: 428, b: 456 },
    ],
    [
      'or in turns',
      [file('b', 2800, { priority: 2 }), file('a', 2800)],
      { a: 456, b: 442 },
      { http: '2', order: 'in turns' },
    ],
    [
      'what is named early is asked for early',
      [file('a', 14_000), file('b', 1400, { namedIn: { key: 'a', at: 1400 } })],
      { a: 540, b: 554 },
    ],
    [
      'a window that is full waits for a round trip',
      [file('a', 5600)],
      { a: 542 },
      h2,
      { ...line, firstWindow: 2800 },
    ],
    [
      'six connections with a request each',
      Array.from({ length: 7 }, (_, i) => file(`${i}`, 1400)),
      { 0: 414, 1: 428, 2: 442, 3: 456, 4: 470, 5: 484, 6: 528 },
      { http: '1.1', order: 'in turns' },
    ],
    ['what is never named is never asked for', [file('a', 1400, { after: ['b'] })], {}],
  ])('%s', (...[, fetches, expected, delivery, own]) => {
    expect(ends(fetches, delivery, own)).toEqual(expected);
  });

  test('the line is never faster than it is, and nothing is there before it was asked for', () => {
    const fetches = fc.array(
      fc.record({
        bytes: fc.integer({ min: 1, max: 90_000 }),
        priority: fc.nat(3),
        origin: fc.constantFrom('a', 'b'),
      }),
      { minLength: 1, maxLength: 9 },
    );
    const lines = fc.record({
      rtt: fc.integer({ min: 1, max: 400 }),
      down: fc.integer({ min: 100, max: 50_000 }),
      firstWindow: fc.constantFrom(14_600, Infinity),
    });
    fc.assert(
      fc.property(fetches, lines, fc.constantFrom('1.1' as const, '2' as const), (list, own, http) => {
        const named = list.map((one, i) => file(`${i}`, one.bytes, one));
        const times = fetchTimes(named, { ...line, ...own }, { http, order: 'by priority' });
        const total = list.reduce((sum, { bytes }) => sum + bytes, 0);
        const all = [...times.values()];
        expect(all).toHaveLength(list.length);
        expect(Math.max(...all.map(({ end }) => end))).toBeGreaterThanOrEqual((total * 8) / own.down);
        for (const { asked, end } of all) expect(end).toBeGreaterThan(asked + own.rtt);
      }),
    );
  });
});

describe('when text is seen', () => {
  test.each([
    ['block', 1000, 2000, 2000, 2000],
    ['block', 1000, 9000, 4000, 9000],
    ['swap', 1000, 9000, 1000, 9000],
    ['swap', 1000, 500, 1000, 1000],
    ['fallback', 1000, 1050, 1050, 1050],
    ['fallback', 1000, 3000, 1100, 3000],
    ['fallback', 1000, 4101, 1100, undefined],
    ['optional', 1000, 1101, 1100, undefined],
    ['optional', 1000, 900, 1000, 1000],
  ] as const)('%s, drawn at %d, there at %d', (display, paint, there, visible, drawn) => {
    expect(shownBy(display, paint, there)).toEqual({ visible, drawn });
  });
});

describe('a page', () => {
  const font = (key: string, letters: number, bytes = 14_000) => ({
    key,
    origin: 'here',
    bytes,
    display: 'swap' as const,
    letters,
  });
  const page: PageFiles & { page: string } = {
    page: 'index.html',
    origin: 'here',
    bytes: 2800,
    blocking: [{ key: kitStylesheet, origin: 'here', bytes: 1400, kind: 'stylesheet' }],
    fonts: [font('body', 900), font('heading', 300), font('footer', 0)],
  };
  const free = { most: 2, listed: new Set<string>(), closed: new Set<string>() };

  test('fonts are asked for once the page can be drawn; a hint brings them forward', () => {
    const plain = pageTimeline(page, { preloads: [] }, line);
    expect(Math.round(plain.firstPaint)).toBe(528);
    expect(plain.fonts.map(({ there }) => Math.round(there))).toEqual([768, 908, 1048]);
    const hinted = pageTimeline(page, { preloads: ['body'] }, line);
    expect(Math.round(hinted.firstPaint)).toBe(528);
    expect(Math.round(hinted.fonts[0].there)).toBe(668);
    expect(hinted.meanDrawn).toBeLessThan(plain.meanDrawn);
  });

  test('a first part is there with the page that carries it, and isn’t preloaded', () => {
    const carrying = (bytes: number) => new Map([['body', bytes]]);
    const paintWith = (bytes: number) => {
      const { firstPaint, fonts } = pageTimeline(page, { preloads: [], inlined: carrying(bytes) }, line);
      expect(fonts[0].drawn).toBe(firstPaint);
      return Math.round(firstPaint);
    };
    // A little comes while the stylesheet is asked for; 20,400 bytes behind 2,800, with 1,400 of the stylesheet among them, don't.
    expect([paintWith(1000), paintWith(20_000)]).toEqual([528, 646]);
    expect(planPage(page, [line], free, carrying(1000)).preloads).toEqual(['heading']);
  });

  test('faces of a group are drawn together', () => {
    const fonts = page.fonts.map((one) => (one.letters > 0 ? { ...one, group: 'notice' } : one));
    const { fonts: told } = pageTimeline({ ...page, fonts }, { preloads: [] }, line);
    expect(told[0].drawn).toBe(told[1].drawn);
    const [first, second, ...others] = fonts;
    const later = [{ ...first, group: 'notice' }, { ...second, group: 'late', after: 'notice' }, ...others];
    const { fonts: inStages } = pageTimeline({ ...page, fonts: later }, { preloads: [] }, line);
    expect(inStages[0].there).toBeLessThan(told[0].there);
    expect(inStages[1].there).toBeGreaterThan(told[1].there);
  });

  test('what the first screenful draws most is preloaded, by what it brings', () => {
    const plan = planPage(page, [line], free);
    // The second one waits for the first: the line is full.
    expect([plan.preloads, plan.next]).toEqual([
      ['body'],
      { file: 'heading', lines: [{ connection: 'even', gain: 0, cost: 0 }] },
    ]);
    expect(plan.effects[0].lines[0]).toEqual({ connection: 'even', gain: 100, cost: 0 });
    expect(planPage(page, [{ ...line, down: 8000 }], free).preloads).toEqual(['body', 'heading']);
    expect(plan.lines[0].planned.ownFaces).toBeLessThan(plan.lines[0].plain.ownFaces);
  });

  test.each([
    ['no more than the budget allows', { ...free, most: 1 }, ['body']],
    ['nothing that the config keeps from it', { ...free, closed: new Set(['body']) }, ['heading']],
    [
      'what the config lists, whatever it brings',
      { ...free, most: 1, listed: new Set(['footer']) },
      ['footer'],
    ],
  ])('%s', (_, wishes, expected) => {
    expect(planPage(page, [line], wishes).preloads).toEqual(expected);
  });

  test('nothing that isn’t seen first', () => {
    const unseen = { ...page, fonts: [font('body', 0)] };
    expect(planPage(unseen, [line], free).preloads).toEqual([]);
  });

  test('says what each display value would do', () => {
    const [{ displays }] = planPage(page, [line], { ...free, most: 0 }).lines;
    expect(displays).toEqual({
      // Drawn at 528, there at 768 and 908.
      block: { hidden: 380, inOwnFaces: 1 },
      swap: { hidden: 0, inOwnFaces: 1 },
      fallback: { hidden: 100, inOwnFaces: 1 },
      optional: { hidden: 100, inOwnFaces: 0 },
    });
  });

  test('other hosts cost their set-up before', () => {
    const hosted = {
      stylesheets: [{ key: 'there.css', origin: 'there', bytes: 1400, kind: 'stylesheet' as const }],
      fontOrigin: 'elsewhere',
      preconnects: [],
    };
    const [told] = planPage({ ...page, hosted }, [line], free).lines;
    expect(told.hosted!.firstText - told.plain.firstText).toBe(300);
    expect(told.hosted!.ownFaces).toBeGreaterThan(told.plain.ownFaces + 590);
  });
});
