import { describe, expect, test } from '@jest/globals';
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { ScanResult } from '#src/app/scanning/scan-result.js';
import { cli } from '../../test-support/cli.js';
import { config, project } from '../../test-support/project.js';

const styled = '<h1 style="font-family: Lampbuoy Slab">Pier</h1>';
const page = (head: string, html = '') =>
  `<!doctype html><html${html}><head>\n${head}\n<title>Pier</title></head><body>${styled}</body></html>\n`;
const policy = (text: string) => `<meta http-equiv="Content-Security-Policy" content="${text}">`;
const own = '<style>@font-face { font-family: "Lampbuoy Slab"; font-weight: 700; src: url(old.otf) }</style>';

/** A site of some pages, built, with what a call of wire says and makes of them. */
const wired = (
  pages: Record<string, string>,
  use: (found: {
    code: number | null;
    findings: { code: string; message: string; advice: string; place: { file?: string } }[];
    text: (name: string) => string;
    dense: (...args: string[]) => ReturnType<typeof cli>;
  }) => Promise<void> | void,
  site: object = {},
) =>
  project({ ...config, site: { root: 'site', ...site } }, async (folder) => {
    mkdirSync(join(folder, 'site'));
    writeFileSync(join(folder, 'site/old.otf'), readFileSync(join(folder, 'fonts/LampbuoySlab-Bold.otf')));
    for (const [name, text] of Object.entries(pages)) writeFileSync(join(folder, 'site', name), text);
    const dense = (...args: string[]) => cli(args, folder);
    await dense('build', '--quiet');
    const { code, out } = await dense('wire', '--json');
    const { findings } = JSON.parse(out) as { findings: never };
    const text = (name: string) => readFileSync(join(folder, 'site', name), 'utf8');
    await use({ code, findings, text, dense });
    await dense('wire', '--undo');
    for (const [name, before] of Object.entries(pages)) expect(text(name)).toBe(before);
  });

describe('pages with a policy', () => {
  test('that allows the kit get it with the nonce that their own elements bear', () =>
    wired(
      {
        'index.html': page(
          `${policy("default-src 'self'; style-src 'nonce-ab&amp;c' 'unsafe-inline'; font-src 'self'")}\n<link rel=stylesheet nonce='ab&amp;c' href=a.css>`,
        ),
        'a.css': 'p { margin: 0 }',
      },
      ({ code, text }) => {
        expect(code).toBe(0);
        expect(text('index.html')).toContain(`<link rel="stylesheet" href="type/kit.css" nonce='ab&amp;c'>`);
      },
    ));

  const data =
    '<style>@font-face { font-family: "Lampbuoy Slab"; font-weight: 700; src: url(data:font/otf;base64,AAAA) }</style>';
  const forbidding = "font-src data:; style-src 'self' 'unsafe-inline'";
  test.each<[string, string, Record<string, string>, object]>([
    ['a meta element', policy(forbidding), {}, {}],
    ['a header that the config knows', '', {}, { policy: forbidding }],
    ['a file of headers', '', { _headers: `/*\n  Content-Security-Policy: ${forbidding}\n` }, {}],
  ])(
    'that %s gives, and that forbids the kit, stay as they are; what to write is told',
    (_, head, files, site) =>
      wired(
        { 'index.html': page(head + data), ...files },
        ({ code, findings, text }) => {
          expect(code).toBe(1);
          expect(text('index.html')).not.toContain('kit.css');
          expect(findings.find((one) => one.code === 'page-held')).toMatchObject({
            message: expect.stringContaining('is forbidden by the page’s policy: font-src data:'),
            advice: "write font-src 'self' data: into the policy, then wire again",
          });
        },
        site,
      ),
  );

  test('are read by scan, which says what they forbid', () =>
    wired({ 'index.html': page(policy("style-src 'self'; font-src 'self'") + own) }, async ({ dense }) => {
      await dense('wire', '--undo');
      const { out, code } = await dense('scan', 'site', '--json');
      const { faces, findings } = JSON.parse(out) as ScanResult;
      expect(code).toBe(1);
      expect(faces[0].drawnBy).toBe(null);
      expect(findings[0]).toMatchObject({
        code: 'policy-forbids',
        place: { file: 'index.html', line: 2 },
        message: "the style here is forbidden by the page’s policy: style-src 'self'",
      });
    }));

  test('are told by wire --print what the kit needs', () =>
    wired({ 'index.html': page('') }, async ({ dense, text }) => {
      expect((await dense('wire', '--print', 'csp')).out).toMatch(/^font-src 'self'; style-src 'self'\n/);
      expect(text('index.html')).toContain('kit.css');
    }));
});

describe('a head', () => {
  test('names its encoding before the kit, whatever came first', () =>
    wired(
      { 'index.html': page(`<link rel=stylesheet href=a.css>\n<meta charset="utf-8">\n${own}`), 'a.css': '' },
      ({ text }) => {
        expect(text('index.html')).toMatch(/<meta charset="utf-8">\n<!-- dense-glyph/);
      },
    ));

  test('of an AMP document stays as it is, and what to do instead is told', () =>
    wired({ 'index.html': page(own, ' ⚡') }, ({ code, findings, text }) => {
      expect(code).toBe(0);
      expect(text('index.html')).not.toContain('kit.css');
      expect(findings.find((one) => one.code === 'page-left-alone')).toMatchObject({
        message: 'it is an AMP document, which takes no stylesheet of its own site',
        advice: expect.stringContaining('<style amp-custom>'),
      });
    }));

  test('is found however deep a page nests', () =>
    wired({ 'index.html': page(own).replace('</body>', '<div>'.repeat(20_000)) }, ({ code, text }) => {
      expect(code).toBe(0);
      expect(text('index.html')).toContain('kit.css');
    }));
});
