import { setTimeout as pause } from 'node:timers/promises';
import type { Connection } from '../config/connections.js';

/** Bytes that go over a line at a time. */
const packet = 1400;
/** Headers of an answer. */
const headers = 300;
const now = () => performance.now();

/** A visitor's line: a server is set up once, each request takes a round trip, and all that is on its way shares its bandwidth. */
export class PacedLine {
  private readonly ready = new Map<string, number>();
  private free = 0;

  constructor(readonly connection: Connection) {}

  /** Waits until a server could have begun to answer. @param asked when it was asked, as `performance.now` has it */
  async reach(server: string, asked: number): Promise<void> {
    const { rtt, setUp } = this.connection;
    if (!this.ready.has(server)) this.ready.set(server, asked + setUp * rtt);
    await until(Math.max(asked, this.ready.get(server)!) + rtt);
  }

  /** Waits as long as each piece takes, in turns with all others. @yields the pieces as they arrive */
  async *carry(body: AsyncIterable<Uint8Array> | Iterable<Uint8Array>): AsyncGenerator<Uint8Array> {
    let isFirst = true;
    for await (const bytes of body)
      for (let at = 0; at < bytes.length; at += packet) {
        const piece = bytes.subarray(at, at + packet);
        const size = piece.length + (isFirst ? headers : 0);
        isFirst = false;
        this.free = Math.max(this.free, now()) + (size * 8) / this.connection.down;
        await until(this.free);
        yield piece;
      }
  }
}

async function until(time: number): Promise<void> {
  const left = time - now();
  if (left > 0) await pause(left);
}
