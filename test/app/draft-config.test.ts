import { describe, expect, test } from '@jest/globals';
import { cpSync, mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { BuildRequest, BuildResult } from '#src/index.js';
import { denseGlyph } from '../../test-support/library.js';
import { inFolder } from '../../test-support/cli.js';
import { sampleFonts } from '../../test-support/paths.js';

const { build } = denseGlyph;

interface Drafted {
  site?: { root?: string };
  output: { folder: string };
  families: { family: string; files: unknown[]; role: string; stack: string[] }[];
}

/** Builds from the sample fonts and pages with this style and body. */
const drafting = (
  fonts: string[],
  css: string | undefined,
  body = '<h1>Pier</h1><p>Boat <code>6:40</code>',
  more: Partial<BuildRequest> = {},
): Promise<Omit<BuildResult, 'config'> & { config: Drafted }> =>
  inFolder(async (folder) => {
    cpSync(sampleFonts, join(folder, 'fonts'), { recursive: true });
    if (css !== undefined) {
      mkdirSync(join(folder, 'site'));
      const page = `<!doctype html><meta charset=utf-8><style>${css}</style>${body}`;
      writeFileSync(join(folder, 'site/a.html'), page);
    }
    const site = css === undefined ? {} : { site: 'site' };
    const result = await build({ folder, fonts, out: 'site/type', ...site, ...more });
    return { ...result, config: result.drafted!.config };
  });

const sans = 'fonts/FerrywakeSans-Regular.ttf';
const slab = 'fonts/LampbuoySlab-Bold.otf';
const mono = 'fonts/TidelogMono-Regular.ttf';

const roles = ({ families }: Drafted): Record<string, string> =>
  Object.fromEntries(families.map(({ family, role }) => [family, role]));

describe('a config that is drafted from fonts', () => {
  test.each<[string, string | undefined, Record<string, string>]>([
    [
      'roles by what asks for them',
      'body { font-family: "Lampbuoy Slab", Georgia } h1 { font-family: "Ferrywake Sans" } code { font-family: "Tidelog Mono" }',
      { 'Ferrywake Sans': 'heading', 'Lampbuoy Slab': 'body', 'Tidelog Mono': 'code' },
    ],
    [
      'without a site, by the kind of face',
      undefined,
      { 'Ferrywake Sans': 'body', 'Lampbuoy Slab': 'lampbuoy-slab', 'Tidelog Mono': 'code' },
    ],
    [
      'where nothing asks for them',
      'body { font-family: Arial }',
      { 'Ferrywake Sans': 'body', 'Lampbuoy Slab': 'lampbuoy-slab', 'Tidelog Mono': 'code' },
    ],
  ])('%s', async (_, css, expected) => {
    expect(roles((await drafting([sans, slab, mono], css)).config)).toEqual(expected);
  });

  test('stacks are those of the site, else of the kind', async () => {
    const css = 'body { font-family: "Ferrywake Sans", Verdana, sans-serif }';
    const { config } = await drafting([sans, slab, mono], css);
    expect(config.families.map(({ stack }) => stack)).toEqual([
      ['Verdana', 'sans-serif'],
      ['serif'],
      ['monospace'],
    ]);
    expect(config.site).toEqual({ root: 'site' });
  });

  test('static files that a variable one covers are not used, which is said', async () => {
    const { config, drafted } = await drafting(['fonts'], undefined);
    expect(config.families[0].files).toEqual([
      'fonts/FerrywakeSans-Variable.ttf',
      'fonts/FerrywakeSans-VariableItalic.ttf',
    ]);
    expect(drafted!.reasons[0]).toMatch(/FerrywakeSans-Bold\.ttf.* not used, as a variable file has them/);
  });

  test.each<[Partial<BuildRequest>, string]>([
    [{ out: undefined }, '--out is missing'],
    [{ config: 'a.yaml' }, 'both fonts and a config are named'],
    [{ fonts: [] }, '--out is for fonts that are named'],
    [{ fonts: [], out: undefined, site: 'site' }, '--site is for fonts that are named'],
  ])('%j is refused', async (more, reason) => {
    await expect(drafting([sans], undefined, '', more)).rejects.toMatchObject({
      code: 'call-invalid',
      reason,
    });
  });

  test('a site without pages is told', async () => {
    await expect(drafting([sans], undefined, '', { site: 'fonts' })).rejects.toMatchObject({
      code: 'file-unreadable',
    });
  });
});
