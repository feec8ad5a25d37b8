import { BlockList, isIPv6 } from 'node:net';

const near = new BlockList();
for (const [net, bits] of [
  ['0.0.0.0', 8],
  ['10.0.0.0', 8],
  ['100.64.0.0', 10],
  ['127.0.0.0', 8],
  ['169.254.0.0', 16],
  ['172.16.0.0', 12],
  ['192.168.0.0', 16],
] as const)
  near.addSubnet(net, bits, 'ipv4');
for (const [net, bits] of [
  ['::', 127],
  ['fc00::', 7],
  ['fe80::', 10],
] as const)
  near.addSubnet(net, bits, 'ipv6');

/** Whether an IP address is of this machine or of its own network. An address of version 4 in the dress of version 6 is what it stands for. */
export function isPrivate(address: string): boolean {
  const [, plain = address] = /^::ffff:(\d+\.\d+\.\d+\.\d+)$/i.exec(address) ?? [];
  return near.check(plain, isIPv6(plain) ? 'ipv6' : 'ipv4');
}
