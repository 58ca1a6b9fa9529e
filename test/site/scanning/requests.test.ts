import { expect, test } from '@jest/globals';
import { PageScanner, siteOf } from '#src/site/index.js';

const html = `<!doctype html><base href="/a/">
<link rel=preconnect href=https://fonts.example.org crossorigin>
<link rel=preload as=font href=f.woff2 crossorigin>
<link rel=stylesheet href=one.css media=screen>
<link rel=stylesheet href=https://cdn.example.org/x.css>
<link rel="alternate stylesheet" href=never.css><script type=application/json src=data.json></script>
<script src=head.js></script><script src=later.js defer></script><script type=module src=m.js></script>
<body><p>x<script src=/end.js></script>`;

test('requests in order: what names them, what they hold up, where they lead', async () => {
  const files = {
    'index.html': html,
    'a/one.css': '@import "two.css" (min-width: 1px); @import url(gone.css); p { color: red }',
    'a/two.css': '@import "one.css";',
    'a/f.woff2': 'font',
    'a/head.js': '12345',
    'end.js': '',
  };
  const bytes = new Map(
    Object.entries(files).map(([path, text]) => [path, new TextEncoder().encode(text)] as const),
  );
  const site = siteOf(bytes);
  const page = site.pages[0];
  const [plain] = await new PageScanner(site).scanned(page);
  expect(plain.requests).toBeUndefined();
  const [{ requests }] = await new PageScanner(site, { withRequests: true }).scanned(page);
  const told = requests!.map(({ kind, url, line, holdsUp, isHint, isInHead, host, bytes, from }) =>
    [
      kind,
      url.replace('https://site.invalid', ''),
      line,
      holdsUp,
      isHint && 'hint',
      !isInHead && 'in body',
      host,
      bytes,
      from,
    ]
      .filter((one) => one !== false && one !== undefined)
      .join(' '),
  );
  expect(told).toEqual([
    'connection https://fonts.example.org 2 nothing hint fonts.example.org',
    'font /a/f.woff2 3 nothing hint 4',
    'stylesheet /a/one.css 4 drawing 75',
    'stylesheet two.css 1 drawing 18 2',
    'stylesheet one.css 1 drawing 75 3',
    'stylesheet gone.css 1 drawing 2',
    'stylesheet https://cdn.example.org/x.css 5 drawing cdn.example.org',
    'script /a/head.js 7 parsing 5',
    'script /a/later.js 7 nothing',
    'script /a/m.js 7 nothing',
    'script /end.js 8 parsing in body 0',
  ]);
  expect(requests![3].conditions.map(({ text }) => text)).toEqual(['screen', '(min-width: 1px)']);
});
