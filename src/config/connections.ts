/** A visitor's line, from which to a server is the same for all servers. */
export interface Connection {
  /** As in `slow phone`. */
  name: string;
  /** Milliseconds there and back. */
  rtt: number;
  /** Kilobits in a second, shared by all that is on its way. */
  down: number;
  /** Round trips before a first request to a server: its name, TCP (RFC 9293), TLS 1.3 (RFC 8446); 2 with QUIC (RFC 9000). */
  setUp: number;
  /** Bytes that a server sends before it hears that any have come (RFC 6928); twice as many each time after. */
  firstWindow: number;
}

const usual = { setUp: 3, firstWindow: 14_600 };

/** Lines that are known by name. */
export const connections = {
  'slow phone': { name: 'slow phone', rtt: 280, down: 450, ...usual },
  'fast phone': { name: 'fast phone', rtt: 90, down: 6000, ...usual },
  cable: { name: 'cable', rtt: 18, down: 30_000, ...usual },
} as const satisfies Readonly<Record<string, Connection>>;

/** What comes in a round trip: so many bytes more a request may cost before it is worth another one. */
export const bytesOfRoundTrip = ({ rtt, down }: Pick<Connection, 'rtt' | 'down'>): number => (rtt * down) / 8;

export type ConnectionName = keyof typeof connections;

/** A line by its own numbers. */
export const ownConnection = ({ rtt, down }: Pick<Connection, 'rtt' | 'down'>): Connection => ({
  name: `${rtt} ms, ${down} kbit/s`,
  rtt,
  down,
  ...usual,
});
