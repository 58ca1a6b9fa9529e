import { expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { finding, findingCodes, placedIn } from '#src/findings.js';
import { root } from '../test-support/paths.js';

test('docs/findings.md lists each code with its severity, effect and advice', () => {
  const rows = readFileSync(join(root, 'docs/findings.md'), 'utf8').match(/^\| `.+$/gm) ?? [];
  const documented = rows.map((row) => row.split('|').map((cell) => cell.trim().replaceAll('`', '')));
  expect(documented.map(([, code, severity, , effect, advice]) => [code, severity, effect, advice])).toEqual(
    Object.entries(findingCodes).map(([code, { severity, effect, advice }]) => [
      code,
      severity,
      effect.replaceAll('`', ''),
      advice,
    ]),
  );
});

test('a finding may say an effect of its own, and gets its place from whoever knows it', () => {
  const one = finding('same-style', 'a.ttf and b.ttf both draw 400 normal', {
    effect: 'ship one',
    table: 'name',
  });
  expect(one).toMatchObject({ severity: 'warning', effect: 'ship one', place: { table: 'name' } });
  expect(placedIn([one], { file: 'a.ttf' })[0].place).toEqual({ file: 'a.ttf', table: 'name' });
});
