import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { denseGlyph } from '../../test-support/library.js';
import { LoggingServer } from '../../test-support/server.js';

const { adopt } = denseGlyph;

let folder: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'dense-glyph-adopt-'));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

const bring = (inputs: string[], more: object = {}) =>
  adopt({ inputs, out: 'fonts', folder, time: 5000, ...more });
const put = (file: string, text: string) => {
  mkdirSync(join(folder, file, '..'), { recursive: true });
  writeFileSync(join(folder, file), text);
};

describe('what stylesheets lead to has an end', () => {
  const serve = async (files: Record<string, string>, use: (origin: string) => Promise<void>) => {
    for (const [name, text] of Object.entries(files)) put(`host/${name}`, text);
    const server = await LoggingServer.start({ '/': join(folder, 'host') });
    try {
      await use(server.origin);
    } finally {
      await server.close();
    }
  };
  const told = ({ findings }: Awaited<ReturnType<typeof bring>>) => findings.map(({ message }) => message);

  test('imports in imports, and many stylesheets', async () => {
    const chain = Object.fromEntries(
      Array.from({ length: 12 }, (_, i) => [`${i}.css`, `@import "${i + 1}.css"; p { color: red }`]),
    );
    const imports = Array.from({ length: 230 }, (_, i) => `@import "m${i}.css";`).join('\n');
    const many = Object.fromEntries(Array.from({ length: 230 }, (_, i) => [`m${i}.css`, 'p { color: red }']));
    await serve({ ...chain, ...many, 'all.css': imports }, async (origin) => {
      expect(told(await bring([`${origin}/0.css`]))).toEqual(['it is imported 9 levels deep']);
      const messages = told(await bring([`${origin}/all.css`], { out: 'many' }));
      expect([messages.length, new Set(messages)]).toEqual([31, new Set(['200 were read already'])]);
    });
  });

  test('files besides fonts', async () => {
    const pictures = Array.from({ length: 520 }, (_, i) => `.i${i} { background: url(p.png?${i}) }`).join(
      '\n',
    );
    await serve({ 'a.css': pictures, 'p.png': 'x' }, async (origin) => {
      const messages = told(await bring([`${origin}/a.css`]));
      expect(messages.length).toBeGreaterThan(15);
      expect(messages.every((one) => one.endsWith('so many files were brought already'))).toBe(true);
    });
  });
});
