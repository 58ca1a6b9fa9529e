import { describe, expect, test } from '@jest/globals';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { projectBrowsers } from '#src/io/browsers.js';
import { reachOf } from '#src/kit/reach.js';

const formatsFor = (...query: string[]) =>
  reachOf(query, undefined).formats.map(({ format, browsers }) => [format, ...browsers].join(' '));

describe('reach', () => {
  test.each<[string[], string[]]>([
    [['last 2 chrome versions'], ['woff2']],
    [['ie 11'], ['woff2', 'woff Internet Explorer 11']],
    [['ie 8'], ['woff2', 'eot Internet Explorer 8']],
    [['android 2.3'], ['woff2', 'ttf Android Browser 2.3']],
    [['ios_saf 4.0-4.1'], ['woff2', 'svg Safari on iOS 4.0-4.1']],
    [
      ['safari 9', 'ie 9', 'ie 10'],
      ['woff2', 'woff Internet Explorer 10 Internet Explorer 9 Safari 9'],
    ],
    [['op_mini all'], ['woff2']],
  ])('%j', (query, formats) => {
    expect(formatsFor(...query)).toEqual(formats);
  });

  test('says what browsers lack, and which draw no web fonts', () => {
    const { lacking, without } = reachOf(['ie 11', 'op_mini all'], undefined);
    expect(without).toEqual(['Opera Mini']);
    expect(lacking.map(({ feature }) => feature)).toEqual([
      'variable fonts',
      'font-display',
      'preload',
      'unicode-range',
      'size-adjust',
      'ascent-override',
    ]);
    for (const { browsers } of lacking) expect(browsers).toEqual(['Internet Explorer 11']);
  });

  test.each([
    ['safari 16.4', ['size-adjust', 'ascent-override']],
    ['safari 17.4', ['ascent-override']],
    ['safari TP', ['ascent-override']],
    ['firefox 88', ['size-adjust', 'ascent-override']],
    ['chrome 120', []],
  ])('of stand-ins %s lacks %j', (query, expected) => {
    const { lacking } = reachOf([query], undefined);
    expect(lacking.map(({ feature }) => feature)).toEqual(expected);
  });

  test('takes the project’s own list, and browserslist’s defaults where there is none', () => {
    const [bare, project] = ['bare', 'project'].map((name) =>
      mkdtempSync(join(tmpdir(), `dense-glyph-${name}-`)),
    );
    try {
      expect(reachOf(undefined, projectBrowsers(bare)).askedBy).toBe('nobody');
      writeFileSync(join(project, 'package.json'), JSON.stringify({ browserslist: ['ie 9'] }));
      expect(reachOf(undefined, projectBrowsers(project))).toMatchObject({
        askedBy: 'project',
        query: ['ie 9'],
        browsers: 1,
      });
    } finally {
      for (const folder of [bare, project]) rmSync(folder, { recursive: true });
    }
  });

  test('a query that means nothing is a mistake in the config', () => {
    expect(() => reachOf(['netscape 4'], undefined)).toThrow(
      'reach: Unknown browser netscape; write a browserslist query, as in "defaults, ie 11"',
    );
  });
});
