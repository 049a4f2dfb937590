// Says a word to an address somebody gave: never to this machine or its neighbours, and never led on elsewhere.
import { lookup as look } from 'node:dns';
import http from 'node:http';
import https from 'node:https';
import { BlockList, isIP, type LookupFunction } from 'node:net';

// Apart, since a list holds an IPv4 address also against what is said of those written as IPv6.
const [near4, near6] = [new BlockList(), new BlockList()];
for (const [net, bits] of [
  ...([
    ['0.0.0.0', 8],
    ['10.0.0.0', 8],
    ['100.64.0.0', 10],
    ['127.0.0.0', 8],
    ['169.254.0.0', 16],
    ['172.16.0.0', 12],
  ] as const),
  ...([
    ['192.0.0.0', 24],
    ['192.168.0.0', 16],
    ['198.18.0.0', 15],
    ['224.0.0.0', 4],
    ['240.0.0.0', 4],
  ] as const),
])
  near4.addSubnet(net, bits, 'ipv4');
for (const [net, bits] of [
  ['::', 128],
  ['::1', 128],
  ['::ffff:0:0', 96],
  ['64:ff9b::', 96],
  ['fc00::', 7],
  ['fe80::', 10],
  ['ff00::', 8],
] as const)
  near6.addSubnet(net, bits, 'ipv6');

/** An address of this machine, of a private network or of no single machine. */
export const isNear = (address: string): boolean =>
  isIP(address) === 6 ? near6.check(address, 'ipv6') : near4.check(address, 'ipv4');

/** A shop whose programs run beside it may allow its neighbours. */
const mayBeNear = (): boolean => process.env.GRAVELWORT_HOOKS_NEAR === 'yes';
const INSIDE = 'this address lies in a network of the inside, which this server does not speak to';
/** Whoever takes longer is asked again later, ms. */
const LONGEST = 10_000;

const guarded: LookupFunction = (host, options, done) =>
  look(host, { ...options, all: true }, (error, found) => {
    if (error) return done(error, '', 4);
    if (!mayBeNear() && found.some(({ address }) => isNear(address))) return done(new Error(INSIDE), '', 4);
    if (options.all) return done(null, found);
    return done(null, found[0]!.address, found[0]!.family);
  });

/** @returns what it was answered with @throws Error in words when there is no answer, or it may not be asked */
export function postTo(url: string, body: string, headers: Record<string, string>): Promise<number> {
  return new Promise((resolve, reject) => {
    const to = new URL(url);
    const host = to.hostname.replace(/^\[|\]$/g, '');
    if (isIP(host) && !mayBeNear() && isNear(host)) return reject(new Error(INSIDE));
    const request = (to.protocol === 'https:' ? https : http).request(
      to,
      {
        ...{ method: 'POST', lookup: guarded, signal: AbortSignal.timeout(LONGEST), agent: false },
        headers: { 'Content-Type': 'application/json', 'Content-Length': Buffer.byteLength(body), ...headers },
      },
      (response) => {
        response.resume();
        resolve(response.statusCode ?? 0);
      },
    );
    request.on('error', reject);
    request.end(body);
  });
}
