// When what a page fetches is there: requests over one line, packet by packet

import type { Connection } from '../../config/connections.js';

/** Something that is fetched. */
export interface Fetch {
  key: string;
  /** Whose server it is on. */
  origin: string;
  /** As they are sent. */
  bytes: number;
  /** Less is sent first, where a server sends by priority (RFC 9218). */
  priority: number;
  /** What has to be there, all of it, before it is asked for. */
  after: readonly string[];
  /** What names it, and how many bytes of that come before; asked for once these are there. */
  namedIn?: { key: string; at: number } | undefined;
  /** Milliseconds that pass between that and the request. */
  waits?: number | undefined;
}

/** How servers answer. */
export interface Delivery {
  /** 6 connections with a request each (RFC 9112), or one for all (RFC 9113). */
  http: '1.1' | '2';
  /** What a server sends of several answers: the most important first, or some of each. */
  order: 'by priority' | 'in turns';
}

export const usualDelivery: Delivery = { http: '2', order: 'by priority' };

/** Milliseconds since the page was asked for. */
export interface FetchTimes {
  asked: number;
  end: number;
}

/** What a connection carries between two waits for an answer. */
const packet = 1400;
/** Browsers open as many connections to one server of HTTP/1.1. */
const mostConnections = 6;

class ServerConnection {
  readyAt: number;
  /** The fetch that has it to itself. */
  takenBy: Transfer | undefined;
  private window: number;
  private unheard = 0;
  private heard: { at: number; bytes: number }[] = [];

  /** @param namedAt when its server's name was known */
  constructor(
    readonly namedAt: number,
    private readonly line: Connection,
    roundTrips: number,
  ) {
    this.readyAt = namedAt + roundTrips * line.rtt;
    this.window = line.firstWindow;
  }

  /** When it may send more. */
  opensAt(now: number): number {
    this.hear(now);
    if (this.unheard < this.window) return now;
    return this.heard[0]?.at ?? Infinity;
  }

  send(bytes: number, now: number): void {
    this.unheard += bytes;
    this.heard.push({ at: now + this.line.rtt, bytes });
  }

  private hear(now: number): void {
    while (this.heard.length > 0 && this.heard[0].at <= now) {
      const { bytes } = this.heard.shift()!;
      this.unheard -= bytes;
      this.window += bytes;
    }
  }
}

interface Transfer {
  fetch: Fetch;
  asked: number;
  connection: ServerConnection | undefined;
  /** When its server begins to answer, as the browser sees it. */
  readyAt: number;
  sent: number;
  /** When it had a packet last. */
  servedAt: number;
  end: number | undefined;
}

/**
 * Fetches over a line: a new server costs its set-up and each request a round trip, windows grow as packets are heard of, and the
 * bandwidth is shared by all that is on its way.
 *
 * @param origins that are connected to ahead, by the fetch that names them
 * @returns by key; what is never asked for is left out
 */
export function fetchTimes(
  fetches: readonly Fetch[],
  line: Connection,
  { http, order }: Delivery,
  origins: readonly { origin: string; namedIn: string }[] = [],
): Map<string, FetchTimes> {
  const transfers = new Map<string, Transfer>();
  const waiting = new Set(fetches);
  const servers = new Map<string, ServerConnection[]>();
  const ahead = new Set(origins);
  let now = 0;

  const isThere = (key: string) => transfers.get(key)?.end !== undefined;
  const canBeAsked = ({ after, namedIn }: Fetch) =>
    after.every(isThere) &&
    (namedIn === undefined ||
      isThere(namedIn.key) ||
      ((transfers.get(namedIn.key)?.sent ?? 0) > 0 && transfers.get(namedIn.key)!.sent >= namedIn.at));

  const connect = (origin: string): ServerConnection => {
    const known = servers.get(origin) ?? [];
    // The name of a server is looked up once, before all connections to it.
    const named = known.length === 0 ? now + line.rtt : Math.max(now, known[0].namedAt);
    const made = new ServerConnection(named, line, line.setUp - 1);
    servers.set(origin, [...known, made]);
    return made;
  };

  const connectionFor = (transfer: Transfer): ServerConnection | undefined => {
    const known = servers.get(transfer.fetch.origin) ?? [];
    if (http === '2') return known[0] ?? connect(transfer.fetch.origin);
    const free = known.find((one) => one.takenBy === undefined || one.takenBy.end !== undefined);
    const found = free ?? (known.length < mostConnections ? connect(transfer.fetch.origin) : undefined);
    if (found) found.takenBy = transfer;
    return found;
  };

  const ask = () => {
    for (const one of ahead)
      if ((transfers.get(one.namedIn)?.sent ?? 0) > 0) {
        ahead.delete(one);
        if (!servers.has(one.origin)) connect(one.origin);
      }
    for (const fetch of waiting)
      if (canBeAsked(fetch)) {
        waiting.delete(fetch);
        const one: Transfer = {
          fetch,
          asked: now,
          connection: undefined,
          readyAt: Infinity,
          sent: 0,
          servedAt: 0,
          end: undefined,
        };
        transfers.set(fetch.key, one);
      }
    const open = [...transfers.values()].filter(({ connection }) => connection === undefined);
    for (const transfer of open.sort((a, b) => a.fetch.priority - b.fetch.priority)) {
      transfer.connection = connectionFor(transfer);
      if (transfer.connection)
        transfer.readyAt =
          Math.max(now + (transfer.fetch.waits ?? 0), transfer.connection.readyAt) + line.rtt;
    }
  };

  const next = (): { transfer: Transfer; at: number } | undefined => {
    let best: { transfer: Transfer; at: number } | undefined;
    for (const transfer of transfers.values()) {
      if (transfer.end !== undefined || !transfer.connection) continue;
      const at = Math.max(transfer.readyAt, transfer.connection.opensAt(Math.max(now, transfer.readyAt)));
      if (!best || at < best.at || (at === best.at && isBefore(transfer, best.transfer)))
        best = { transfer, at };
    }
    return best;
  };

  const isBefore = (a: Transfer, b: Transfer) =>
    order === 'in turns'
      ? a.servedAt < b.servedAt
      : a.fetch.priority !== b.fetch.priority
        ? a.fetch.priority < b.fetch.priority
        : a.asked < b.asked;

  ask();
  for (let found = next(); found; found = next()) {
    const { transfer, at } = found;
    const bytes = Math.min(packet, transfer.fetch.bytes - transfer.sent);
    now = Math.max(now, at) + (bytes * 8) / line.down;
    transfer.sent += bytes;
    transfer.servedAt = now;
    transfer.connection!.send(bytes, now);
    if (transfer.sent >= transfer.fetch.bytes) transfer.end = now;
    ask();
  }
  return new Map(
    Array.from(transfers, ([key, { asked, end }]) => [key, { asked, end: end ?? Infinity }] as const),
  );
}
