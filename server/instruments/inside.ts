import { BlockList, isIPv4 } from 'node:net';

/** What a shop's own network can be: this machine, and the private addresses of RFC 1918. */
const INSIDE = new BlockList();
for (const [address, prefix] of [
  ['127.0.0.0', 8],
  ['10.0.0.0', 8],
  ['172.16.0.0', 12],
  ['192.168.0.0', 16],
] as const)
  INSIDE.addSubnet(address, prefix);

/** Why an instrument cannot be at this address; nothing where it can. Names are not looked up: they can be made to lead elsewhere. */
export function wrongOfAddress(value: unknown): string | undefined {
  if (typeof value !== 'string' || !isIPv4(value)) return 'an address such as 192.168.1.20';
  return INSIDE.check(value)
    ? undefined
    : 'an address of the shop’s own network (10., 172.16. to 172.31., 192.168.)';
}
