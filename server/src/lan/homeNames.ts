import { isIP } from 'node:net';
import { networkInterfaces, type NetworkInterfaceInfo } from 'node:os';

/** Whether an address is of a home network (RFC 1918, RFC 3927): others the made certificate must not name. */
export function isHomeAddress(address: string): boolean {
  if (isIP(address) !== 4) return false;
  const [a = 0, b = 0] = address.split('.').map(Number);
  return a === 10 || (a === 172 && b >= 16 && b < 32) || (a === 192 && b === 168) || (a === 169 && b === 254);
}

/**
 * Addresses and names under which a phone in the same network can reach this machine: addresses first, since names are not
 * understood by every phone.
 *
 * @param hostname - of this machine
 */
export function homeNames(
  hostname: string,
  interfaces: Readonly<Record<string, readonly NetworkInterfaceInfo[] | undefined>> = networkInterfaces(),
): string[] {
  const addresses = Object.values(interfaces)
    .flatMap((list) => list ?? [])
    .filter((a) => !a.internal && isHomeAddress(a.address))
    .map((a) => a.address);
  const [label = ''] = hostname.toLowerCase().split('.');
  return [...new Set(addresses), ...(/^[a-z0-9-]{1,63}$/.test(label) ? [`${label}.local`] : [])];
}
