import { expect, test } from '@jest/globals';
import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { setImmediate as turn } from 'node:timers/promises';
import { watchFiles } from '#src/io/watching.js';
import { inFolder } from '../../test-support/cli.js';

test('what changes while files are found for the first time is told, whenever that is', () =>
  inFolder(async (folder) => {
    const site = join(folder, 'site');
    mkdirSync(site);
    const files = Array.from({ length: 300 }, (_, i) => join(site, `${i}.html`));
    for (const file of files) writeFileSync(file, 'Boats');
    // Its clock counts in steps.
    await new Promise((done) => setTimeout(done, 50));
    const missing = new Set(files);
    let seen: () => void = () => undefined;
    const all = new Promise<void>((done) => (seen = done));
    const watching = watchFiles(
      Date.now(),
      () => [],
      (paths) => {
        for (const path of paths) missing.delete(path);
        if (missing.size === 0) seen();
        return Promise.resolve();
      },
    );
    await new Promise((done) => setTimeout(done, 20));
    watching.look([site]);
    for (const file of files) {
      writeFileSync(file, 'Quay');
      await turn();
    }
    await all;
    await watching.end();
    expect(missing.size).toBe(0);
  }));
