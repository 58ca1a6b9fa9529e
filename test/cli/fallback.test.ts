import { expect, test } from '@jest/globals';
import { cpSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { FallbackResult } from '#src/app/stand-ins/fallback.js';
import { cli, inFolder } from '../../test-support/cli.js';
import { copyKit } from '../../test-support/kits.js';
import { root, sampleFonts } from '../../test-support/paths.js';

const inSample = (use: (folder: string) => Promise<void>) =>
  inFolder(async (folder) => {
    for (const one of ['fonts', 'site', 'dense-glyph.config.yaml'])
      cpSync(join(root, 'sample', one), join(folder, one), { recursive: true });
    await use(folder);
  });

test('fonts alone: for each system the font that fits, by sentences', () =>
  inFolder(async (folder) => {
    cpSync(sampleFonts, join(folder, 'fonts'), { recursive: true });
    const { out, code } = await cli(
      [
        ...['fallback', 'fonts/FerrywakeSans-Bold.ttf', 'fonts/TidelogMono-Regular.ttf'],
        ...['--languages', 'el,pl', '--css', 'local.css'],
      ],
      folder,
    );
    expect(code).toBe(0);
    expect(out).toMatch(/^Ferrywake Sans 700 +(Arial|Calibri|Roboto|DejaVu Sans) /m);
    expect(out).toMatch(/^Tidelog Mono 400 +(Courier New|DejaVu Sans Mono) /m);
    expect(readFileSync(join(folder, 'local.css'), 'utf8')).toContain('local("Arial Bold")');
    expect(out).toMatch(/Arial by Liberation Sans/);
  }));

test('a site: fitted to its own text, with what still moves on each page', () =>
  inSample(async (folder) => {
    const { out } = await cli(['fallback', '--json', '--css', 'stand-ins.css'], folder);
    const { faces, pages, rules, findings } = JSON.parse(out) as FallbackResult;
    expect(readFileSync(join(folder, 'stand-ins.css'), 'utf8')).toBe(rules);
    expect(findings).toEqual([]);
    expect(faces.map(({ face, bands }) => [face, bands.length > 0])).toEqual(
      ['300–800', '300–800 italic', '700', '400'].map((face) => [face, true]),
    );
    expect(new Set(pages.map(({ width }) => width))).toEqual(new Set([390, 768, 1280]));
    const sum = (key: 'paragraphs' | 'untuned' | 'tuned') => pages.reduce((all, page) => all + page[key], 0);
    expect(sum('paragraphs')).toBeGreaterThan(400);
    expect(sum('tuned')).toBeLessThan(sum('untuned') / 5);
    for (const { standIns } of faces.flatMap(({ bands }) => bands))
      for (const { systems, names } of standIns)
        expect([systems.length > 0, names.length > 0]).toEqual([true, true]);
    const moved = pages.flatMap((page) => page.moved);
    expect(moved.every(({ lines }) => lines.face !== lines.standIn)).toBe(true);
  }));

test('rules to paste are of a family of their own, for all weights of the face', () =>
  inSample(async (folder) => {
    const { out } = await cli(['fallback', 'fonts/FerrywakeSans-Variable.ttf', '--json'], folder);
    const { rules, faces } = JSON.parse(out) as FallbackResult;
    expect(faces[0].bands.length).toBeGreaterThan(1);
    expect([...new Set(rules.match(/font-weight: [^;]*/g))]).toEqual(
      faces[0].bands.map(({ weight: [low, high] }) => `font-weight: ${low} ${high}`),
    );
    expect(new Set(rules.match(/font-family: [^;]*/g))).toEqual(
      new Set(['font-family: "Ferrywake Sans stand-in"']),
    );
    expect(rules.match(/unicode-range: /g)).toHaveLength(rules.match(/@font-face/g)!.length);
  }));

test('a local font as a file is measured as well; a missing one is told', () =>
  inSample(async (folder) => {
    const call = ['fallback', 'fonts/FerrywakeSans-Regular.ttf', '--json', '--measure'];
    const { out } = await cli([...call, 'fonts/FerrywakeSans-Regular.ttf'], folder);
    const [{ bands }] = (JSON.parse(out) as FallbackResult).faces;
    expect(bands[0].standIns.map(({ local, scales, names }) => [local, scales.letters, names])).toEqual([
      ['Ferrywake Sans', expect.closeTo(1, 2), ['Ferrywake Sans', 'FerrywakeSans-Regular']],
    ]);
    const onSite = await cli(
      ['fallback', '--site', 'site', '--json', '--measure', 'fonts/FerrywakeSans-Regular.ttf'],
      folder,
    );
    const { pages } = JSON.parse(onSite.out) as FallbackResult;
    expect(pages.reduce((sum, { paragraphs }) => sum + paragraphs, 0)).toBeGreaterThan(400);
    const missing = await cli([...call, 'fonts/Absent.ttf'], folder);
    expect([missing.code, missing.err]).toEqual([3, expect.stringContaining('fonts/Absent.ttf')]);
  }));

test('stand-ins are in every kit: in families of their own behind the faces, each file named once, and said in kit.json', () =>
  inFolder((folder) => {
    copyKit('demo', folder);
    const css = readFileSync(join(folder, 'site/type/kit.css'), 'utf8');
    const rules = css.match(/@font-face \{[^}]*\}/g)!;
    const familiesOf = (source: string) =>
      new Set(
        rules.filter((rule) => rule.includes(source)).map((rule) => /font-family: "([^"]*)/.exec(rule)![1]),
      );
    const [faces, standIns] = [familiesOf('url('), familiesOf('local(')];
    expect(faces.size).toBe(3);
    expect(standIns).toEqual(new Set([...faces].map((family) => `${family} stand-in`)));
    for (const family of faces) expect(css).toContain(`: "${family}", "${family} stand-in", `);
    const files = [...css.matchAll(/url\("([^"]*)/g)].map(([, url]) => url);
    expect(new Set(files).size).toBe(files.length);
    const { families } = JSON.parse(readFileSync(join(folder, '.dense-glyph/kit.json'), 'utf8')) as {
      families: {
        faces: {
          standIns: { standIns: { tuned: { otherCount: number }; untuned: { otherCount: number } }[] }[];
        }[];
      }[];
    };
    for (const { standIns: own } of families.flatMap((family) =>
      family.faces.flatMap((face) => face.standIns),
    ))
      for (const { tuned, untuned } of own) expect(tuned.otherCount).toBeLessThanOrEqual(untuned.otherCount);
    return Promise.resolve();
  }));
