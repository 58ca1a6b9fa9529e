import { describe, expect, test } from '@jest/globals';
import { HttpClient } from '#src/io/http/index.js';
import { isInnerAddress } from '#src/io/http/guard.js';

describe('addresses that a stylesheet has no business with (RFC 6890)', () => {
  test.each([
    ['this machine', '127.0.0.1'],
    ['this machine by another number', '127.8.9.10'],
    ['this host', '0.0.0.0'],
    ['a private network', '10.1.2.3'],
    ['another', '172.31.255.1'],
    ['a third', '192.168.0.7'],
    ['what a machine gives itself', '169.254.169.254'],
    ['behind a carrier', '100.64.1.1'],
    ['many at once', '224.0.0.1'],
    ['all of them', '255.255.255.255'],
    ['this machine, IPv6', '::1'],
    ['no address, IPv6', '::'],
    ['a private network, IPv6', 'fd12:3456::1'],
    ['a link, IPv6', 'fe80::1'],
    ['IPv4 in IPv6', '::ffff:10.0.0.1'],
    ['IPv4 behind a gateway', '64:ff9b::a00:1'],
    ['behind a gateway of a network’s own', '64:ff9b:1::a00:1'],
    ['IPv4 in a tunnel', '2002:7f00:1::'],
    ['a site of old', 'fec0::1'],
    ['IPv4 in the last digits', '::7f00:1'],
    ['IPv4 translated', '::ffff:0:7f00:1'],
  ])('%s is inner: %s', (_, address) => expect(isInnerAddress(address)).toBe(true));

  test.each([
    '93.184.216.34',
    '172.32.0.1',
    '192.169.0.1',
    '2606:2800:220:1::1',
    '::ffff:93.184.216.34',
    'name.example',
  ])('%s is not', (address) => expect(isInnerAddress(address)).toBe(false));

  test.each([
    ['a number', 'http://127.0.0.1:9/a.css'],
    ['a number in hexadecimal digits', 'http://0x7f000001:9/a.css'],
    ['a number of one part', 'http://2130706433:9/a.css'],
    ['an address in brackets', 'http://[::1]:9/a.css'],
    ['IPv4 in brackets', 'http://[::ffff:127.0.0.1]:9/a.css'],
    ['a name', 'http://localhost:9/a.css'],
  ])('%s is refused before a connection is made, where nobody named it', async (_, url) => {
    const client = new HttpClient({ userAgent: 'test', namedHosts: new Set(), retries: 0 });
    await expect(client.get(url, '*/*')).rejects.toThrow('which nobody named');
    await client.end();
    const named = new HttpClient({ userAgent: 'test', namedHosts: new Set([new URL(url).host]), retries: 0 });
    await expect(named.get(url, '*/*')).rejects.not.toThrow('which nobody named');
    await named.end();
  });

  test('a host is let through on the port that was named, and no other', async () => {
    const namedHosts = new Set(['localhost:10']);
    const client = new HttpClient({ userAgent: 'test', namedHosts, retries: 0 });
    await expect(client.get('http://localhost:9/a.css', '*/*')).rejects.toThrow('which nobody named');
    await expect(client.get('http://localhost:10/a.css', '*/*')).rejects.not.toThrow('which nobody named');
    await client.end();
  });
});
