/** Where this server can be reached from other devices, and by what names it goes. */
import { hostname, networkInterfaces } from 'node:os';

const LOOPBACK_NAMES: readonly string[] = ['localhost', '127.0.0.1', '::1'];
const EVERYWHERE: readonly string[] = ['0.0.0.0', '::'];

export const isLoopbackName = (name: string): boolean => LOOPBACK_NAMES.includes(name);
export const isLoopback = (address = ''): boolean => address === '::1' || /^(::ffff:)?127\./.test(address);
export const isEverywhere = (host: string): boolean => EVERYWHERE.includes(host);

const interfaces = () => Object.values(networkInterfaces()).flatMap((addresses) => addresses ?? []);

/** All addresses of this machine, and what its own network calls it. */
export function ownNames(): string[] {
  const [name] = hostname().toLowerCase().split('.');
  return [...interfaces().map(({ address }) => address.toLowerCase()), ...(name ? [name, `${name}.local`] : [])];
}

/** What home networks give comes first; bridges to machines within this one are mostly of 172. */
const RANKS = ['192.168.', '10.', '172.'];
const rank = (address: string): number => {
  const at = RANKS.findIndex((start) => address.startsWith(start));
  return at < 0 ? RANKS.length : at;
};

/** Hosts that another device may use, the likeliest first; none where it listens on loopback alone. */
export function hostsForOthers({ host, names }: { host: string; names: readonly string[] }): string[] {
  if (isLoopback(host) || isLoopbackName(host)) return [];
  if (!isEverywhere(host)) return [...names, host];
  const reachable = interfaces().filter(({ internal, family, address }) => !internal && (family === 'IPv4' || (host === '::' && !/^fe80/i.test(address))));
  return [...names, ...reachable.map(({ address }) => address).sort((a, b) => rank(a) - rank(b))];
}

/** As it stands in an address. */
export const inUrl = (host: string): string => (host.includes(':') ? `[${host}]` : host);
