import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { spawn } from 'node:child_process';
import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { HeadlessBrowser } from '#src/io/browsers/chromium.js';
import { root } from '../../test-support/paths.js';
import { LoggingServer } from '../../test-support/server.js';

const scripts = {
  before: '',
  still: 'true',
  after: 'globalThis.found = document.body.textContent',
  result: 'found',
};
const pages = {
  '/endless': '<!doctype html><body>Pier<script>setTimeout(() => { for (;;); }, 50)</script>',
  '/again': '<!doctype html><body>Pier<script>setInterval(() => { for (;;); }, 10)</script>',
  '/asks':
    '<!doctype html><body><script>alert("a"); document.write(confirm("b") + " " + prompt("c"))</script>',
  '/calm': '<!doctype html><body>Quay',
};

let server: LoggingServer;
let browser: HeadlessBrowser;

beforeAll(async () => {
  server = await LoggingServer.start({}, pages);
  browser = await HeadlessBrowser.start(process.env, 3_000);
});
afterAll(async () => {
  await browser.end();
  await server.close();
});

describe('a page that a browser reads', () => {
  test.each(['/endless', '/again'])('is given up where its scripts never end: %s', async (path) => {
    await expect(browser.run(`${server.origin}${path}`, scripts)).rejects.toThrow(
      'its scripts had not ended after 3 s',
    );
    const { value } = await browser.run(`${server.origin}/calm`, scripts);
    expect(value).toBe('Quay');
  });

  test('is answered where it asks', async () => {
    const { value } = await browser.run(`${server.origin}/asks`, scripts);
    expect(value).toContain('false null');
  });
});

/** Processes that have a text in their command line. */
const processesWith = (text: string): string[] =>
  readdirSync('/proc').filter((name) => {
    try {
      return /^\d+$/.test(name) && readFileSync(`/proc/${name}/cmdline`, 'utf8').includes(text);
    } catch {
      return false;
    }
  });

test('a browser ends with a program that is killed, also while a script keeps it busy', async () => {
  const program = `
    import { launchChromium } from ${JSON.stringify(join(root, 'build/src/io/browsers/launch.js'))};
    const browser = await launchChromium(process.env);
    const page = await browser.newPage();
    void page.goto(${JSON.stringify(`${server.origin}/again`)}).catch(() => undefined);
    await new Promise((done) => setTimeout(done, 1000));
    console.log(browser.process().spawnargs.find((one) => one.startsWith('--user-data-dir')));
    setInterval(() => undefined, 1000);`;
  const child = spawn(process.execPath, ['--input-type=module', '-e', program]);
  const profile = await new Promise<string>((done) =>
    child.stdout.on('data', (chunk) => done(String(chunk).trim())),
  );
  expect(processesWith(profile).length).toBeGreaterThan(0);
  child.kill('SIGKILL');
  while (processesWith(profile).length > 0) await new Promise((done) => setTimeout(done, 100));
});
