import { expect, test } from '@jest/globals';
import { insertIntoHead } from '#src/site/index.js';

const link = '<link rel=x>';

test.each([
  [
    'before the first stylesheet',
    '<head><title>t</title>|<link rel="stylesheet" href=a><style></style></head>',
  ],
  ['before an inline style', '<head><meta charset=utf-8>|<style></style></head>'],
  ['at the end of a head without styles', '<!doctype html><html><head><title>t</title>|</head><body>'],
  ['after content where the tags are left out', '<!doctype html><title>t</title>|<p>text'],
  ['into a page that is only text', '|Hello'],
  [
    'past text that looks like a tag',
    '<head><!-- <link rel=stylesheet> --><script>"</head>"</script>|<LINK REL=StyleSheet href=a></head>',
  ],
])('%s', (_, page) => {
  expect(insertIntoHead(page.replace('|', ''), link)).toBe(page.replace('|', link));
});
