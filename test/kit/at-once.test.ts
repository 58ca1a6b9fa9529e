import { expect, test } from '@jest/globals';
import { setImmediate } from 'node:timers/promises';
import { atOnce } from '#src/kit/at-once.js';

const processors = 2;
const size = (text: string) => text.length;

test('the largest start first, a few at a time, and results keep the order of the items', async () => {
  const items = ['aa', 'b', 'cccc', 'dd', 'eee', 'f', 'gg', 'hhhhh'];
  const started: string[] = [];
  let [working, most] = [0, 0];
  const work = async (item: string) => {
    started.push(item);
    most = Math.max(most, ++working);
    for (let i = 0; i < item.length; i++) await setImmediate();
    working--;
    return item.toUpperCase();
  };
  const results = await atOnce(items, size, work, processors);
  expect(results).toEqual(items.map((item) => item.toUpperCase()));
  expect(started).toEqual(['hhhhh', 'cccc', 'eee', 'aa', 'dd', 'gg', 'b', 'f']);
  expect(most).toBe(processors + 1);
});

test('an error ends it', async () => {
  const started: string[] = [];
  const work = async (item: string) => {
    started.push(item);
    await setImmediate();
    throw new Error(item);
  };
  await expect(
    atOnce(
      Array.from({ length: 50 }, () => 'a'),
      size,
      work,
      processors,
    ),
  ).rejects.toThrow('a');
  expect(started.length).toBeLessThan(50);
});
