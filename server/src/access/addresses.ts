import { hostname, networkInterfaces } from 'node:os';

/** The names and addresses of this machine in the house's network. */

/** What the machine is also called in the network while the door is open. */
export const LOCAL_NAME = 'huerta.local';

/** IPv4 addresses that others in the house can reach, those of usual house networks first. */
export function houseAddresses(interfaces = networkInterfaces()): string[] {
  const found = Object.values(interfaces)
    .flatMap((list) => list ?? [])
    .filter(({ family, internal }) => family === 'IPv4' && !internal)
    .map(({ address }) => address);
  const usual = (address: string): number =>
    /^(192\.168|10|172\.(1[6-9]|2\d|3[01]))\./.test(address) ? 0 : 1;
  return [...new Set(found)].sort((a, b) => usual(a) - usual(b));
}

/** All names by which a request from the house may ask for this machine. */
export function houseNames(named: string | null): string[] {
  const host = hostname().toLowerCase();
  return [
    ...(named ? [named.toLowerCase()] : []),
    ...houseAddresses(),
    LOCAL_NAME,
    host,
    `${host}.local`,
  ];
}
