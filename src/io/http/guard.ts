import { lookup as systemLookup, type LookupAddress } from 'node:dns';
import { BlockList, isIP, type LookupFunction } from 'node:net';
import { buildConnector, type Dispatcher } from 'undici';

/** Addresses of this machine and of networks that aren't public (RFC 6890), which a stylesheet has no business with. */
const inner = new BlockList();
for (const [network, prefix] of [
  ['0.0.0.0', 8],
  ['10.0.0.0', 8],
  ['100.64.0.0', 10],
  ['127.0.0.0', 8],
  ['169.254.0.0', 16],
  ['172.16.0.0', 12],
  ['192.0.0.0', 24],
  ['192.168.0.0', 16],
  ['198.18.0.0', 15],
  ['224.0.0.0', 3],
] as const)
  inner.addSubnet(network, prefix, 'ipv4');
for (const [network, prefix] of [
  ['::', 96],
  ['::ffff:0:0:0', 96],
  ['64:ff9b::', 96],
  ['64:ff9b:1::', 48],
  ['2002::', 16],
  ['fc00::', 7],
  ['fe80::', 10],
  ['fec0::', 10],
  ['ff00::', 8],
] as const)
  inner.addSubnet(network, prefix, 'ipv6');

/** Whether an address is of this machine or of a network that isn't public. */
export function isInnerAddress(address: string): boolean {
  const mapped = /^::ffff:(\d+\.\d+\.\d+\.\d+)$/i.exec(address)?.[1];
  if (mapped !== undefined) return isInnerAddress(mapped);
  const family = isIP(address);
  return family !== 0 && inner.check(address, family === 4 ? 'ipv4' : 'ipv6');
}

/** An address that nobody named and that isn't public. */
export class InnerAddressError extends Error {
  readonly code = 'INNER_ADDRESS';

  constructor(host: string) {
    super(`${host} is on this machine or its own network, which nobody named`);
  }
}

/** Hosts that the user named, with their ports, as URLs write them. */
export type NamedHosts = ReadonlySet<string>;

/** A step that refuses addresses written as numbers; names are looked up by `guardedLookup`. */
export const guardStep =
  (named: NamedHosts): Dispatcher.DispatcherComposeInterceptor =>
  (dispatch) =>
  (options, handler) => {
    const { host, hostname } = new URL(String(options.origin));
    if (named.has(host) || !isInnerAddress(hostname.replace(/^\[|\]$/g, '')))
      return dispatch(options, handler);
    handler.onResponseError?.(undefined as never, new InnerAddressError(host));
    return true;
  };

/**
 * Looks names up, and refuses those that lead to inner addresses, whatever the name said a moment before. A host that the user
 * named is let through on the port that was named, and no other.
 *
 * @param port that is connected to
 */
export const guardedLookup =
  (named: NamedHosts, port: number): LookupFunction =>
  (hostname, options, callback) => {
    const isNamed = [...named].some((host) => isHostAndPort(host, hostname, port));
    systemLookup(hostname, { ...options, all: true }, (error, addresses: LookupAddress[]) => {
      const refused = !error && !isNamed && addresses.some(({ address }) => isInnerAddress(address));
      const failure = refused ? new InnerAddressError(hostname) : error;
      if (failure) callback(failure, '', 0);
      else if (options.all) callback(null, addresses);
      else callback(null, addresses[0].address, addresses[0].family);
    });
  };

/** As a URL writes a host: without a port where that is the usual one. */
function isHostAndPort(named: string, hostname: string, port: number): boolean {
  if (named === `${hostname}:${port}`) return true;
  return named === hostname && (port === 80 || port === 443);
}

/** Connects to what was looked up and checked, by host and port. */
export function guardedConnector(named: NamedHosts, timeout: number): buildConnector.connector {
  const connectors = new Map<number, buildConnector.connector>();
  return (options, callback) => {
    const port = Number(options.port) || (options.protocol === 'https:' ? 443 : 80);
    let connect = connectors.get(port);
    if (!connect) {
      // Several connectors to a host would each look it up again.
      connect = buildConnector({ lookup: guardedLookup(named, port), timeout });
      connectors.set(port, connect);
    }
    connect(options, callback);
  };
}
