import { lookup } from 'node:dns/promises';
import { hostname, networkInterfaces, type NetworkInterfaceInfo } from 'node:os';

/** Private addresses of IPv4: what a studio's router gives out. */
const PRIVATE = /^(10\.|192\.168\.|172\.(1[6-9]|2\d|3[01])\.|169\.254\.)/;

/** Addresses by which others on the network reach this computer, those of a router first. */
export function addressesOf(
  interfaces: Readonly<Record<string, readonly NetworkInterfaceInfo[] | undefined>>,
): string[] {
  const found = Object.values(interfaces)
    .flatMap((own) => own ?? [])
    .filter(({ family, internal, address }) => family === 'IPv4' && !internal && PRIVATE.test(address))
    .map(({ address }) => address);
  const isOwn = (address: string) => address.startsWith('169.254.');
  return [...new Set(found)].sort((a, b) => Number(isOwn(a)) - Number(isOwn(b)));
}

export const ownAddresses = (): string[] => addressesOf(networkInterfaces());

/** A name of the network such as `studio.local`, from what a computer is called. */
export function networkName(computer: string): string {
  const label = (computer.split('.')[0] ?? '')
    .toLowerCase()
    .replace(/[^a-z0-9-]/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 63);
  return `${label || 'studio'}.local`;
}

export const ownName = (): string => networkName(hostname());

/** Whether this network knows a name as one of these addresses. */
export const isKnownAs = (name: string, addresses: readonly string[]): Promise<boolean> =>
  lookup(name).then(
    ({ address }) => addresses.includes(address),
    () => false,
  );
