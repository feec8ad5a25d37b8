// @ts-check
import { execFileSync, spawn, spawnSync } from 'node:child_process';
import { openSync } from 'node:fs';

/**
 * A host of its own on this machine: a network namespace with an address. `cutOff` takes its cable out, `join` puts it in again, `kill` ends all that
 * runs on it.
 * @typedef {{ name: string, address: string, run: (log: string, command: string, args: readonly string[]) => void, cutOff: () => void, join: () => void, kill: () => void }} Host
 */

/** What ends by itself is started again, as the services of a host are. */
const AGAIN = ['sh', '-c', 'while :; do "$0" "$@"; sleep 1; done'];

const ip = (/** @type {string[]} */ ...args) => execFileSync('ip', args, { stdio: ['ignore', 'pipe', 'pipe'] });

/** Why no hosts can be made here; undefined where they can. */
export function whyNoHosts() {
  if (process.getuid?.() !== 0) return 'Only root may make network namespaces.';
  if (spawnSync('ip', ['-V']).error) return 'The program “ip” is missing: install the package “iproute2”.';
  const name = `dp${process.pid}t`;
  const made = spawnSync('ip', ['link', 'add', name, 'type', 'bridge'], { encoding: 'utf8' });
  if (made.status !== 0) return `This machine makes no bridges between namespaces (${made.stderr.trim()}).`;
  ip('link', 'del', name);
  return undefined;
}

/** @param {string} prefix @param {string} bridge @param {string} name @param {string} address @param {number} n @returns {Host} */
function makeHost(prefix, bridge, name, address, n) {
  const [space, cable] = [`${prefix}${name}`, `${prefix}v${n}`];
  ip('netns', 'add', space);
  ip('link', 'add', cable, 'type', 'veth', 'peer', 'name', 'eth0', 'netns', space);
  ip('link', 'set', cable, 'master', bridge, 'up');
  for (const link of ['lo', 'eth0']) ip('-n', space, 'link', 'set', link, 'up');
  ip('-n', space, 'addr', 'add', `${address}/24`, 'dev', 'eth0');
  return {
    name,
    address,
    run: (log, command, args) => {
      const out = openSync(log, 'a');
      spawn('ip', ['netns', 'exec', space, 'runuser', '-u', 'postgres', '--', ...AGAIN, command, ...args], {
        cwd: '/',
        stdio: ['ignore', out, out],
        detached: true,
        env: { PATH: process.env.PATH, LC_ALL: 'C.UTF-8' },
      }).unref();
    },
    cutOff: () => void ip('link', 'set', cable, 'down'),
    join: () => void ip('link', 'set', cable, 'up'),
    kill: () => {
      const pids = String(ip('netns', 'pids', space))
        .split('\n')
        .filter(Boolean);
      // One ends with another that was killed before it.
      if (pids.length > 0) spawnSync('kill', ['-9', ...pids]);
    },
  };
}

/**
 * Hosts on a network of their own, `net`, in which this machine has the address 1.
 * @param {readonly string[]} names
 */
export function makeHosts(names) {
  const [prefix, net] = [`dp${process.pid % 10_000}`, `10.207.${process.pid % 250}`];
  const bridge = `${prefix}b`;
  ip('link', 'add', bridge, 'type', 'bridge');
  ip('addr', 'add', `${net}.1/24`, 'dev', bridge);
  ip('link', 'set', bridge, 'up');
  const hosts = names.map((name, n) => makeHost(prefix, bridge, name, `${net}.${11 + n}`, n));
  return {
    hosts,
    net,
    remove: () => {
      for (const host of hosts) {
        host.kill();
        ip('netns', 'del', `${prefix}${host.name}`);
      }
      ip('link', 'del', bridge);
    },
  };
}
