// @ts-check
import { buildStale } from './build.mjs';
import { startDatabaseCluster } from './database-cluster.mjs';
import { wishDebian } from './debian.mjs';
import { keepRunning } from './keep-running.mjs';
import { whyNoHosts } from './namespace-hosts.mjs';
import { freePort } from './postgres.mjs';
import { environment, fillDatabase } from './server.mjs';

/** What the hosts run, each with its package. */
const PROGRAMS = { '/usr/bin/patroni': 'patroni', '/usr/bin/etcd': 'etcd-server', '/usr/sbin/haproxy': 'haproxy' };

/** Why no database of three hosts can be made here; undefined where it can, with its programs installed. */
export function whyNoCluster() {
  const why = whyNoHosts();
  if (why) return why;
  const missing = Object.entries(PROGRAMS).filter(
    ([program, name]) => !wishDebian(program, [name], name, 'The database of three hosts is left out.'),
  );
  return missing.length > 0 ? `${missing.map(([, name]) => name).join(' and ')} cannot be installed.` : undefined;
}

/** Two servers before a database of three hosts, and blows to the one that leads: killed, or cut off from all others. */
export async function startClusterHouse() {
  buildStale('server');
  const cluster = await startDatabaseCluster();
  const limits = { DEWPOT_QUIET: '1', DEWPOT_SIGN_IN_LIMIT: '10000', DEWPOT_REQUEST_LIMIT: '10000000' };
  /** @type {{ url: string, keeper: ReturnType<typeof keepRunning> }[]} */
  const houses = [];
  const stop = async () => {
    for (const { keeper } of houses) await keeper.stop();
    cluster.stop();
  };
  try {
    await cluster.whole();
    for (let i = 0; i < 2; i++) {
      const port = await freePort();
      const where = environment({ database: cluster.url, host: '127.0.0.1', port });
      const env = { ...where, ...limits, DEWPOT_REPLICA: cluster.replica };
      if (i === 0) await fillDatabase(env, { demo: false });
      const keeper = keepRunning(env, undefined, { quiet: true });
      await keeper.start();
      houses.push({ url: `http://127.0.0.1:${port}`, keeper });
    }
  } catch (error) {
    await stop();
    throw error;
  }
  let mend = () => undefined;
  /** Mends what the last blow did, waits until all three stand, and then strikes. @param {(host: import('./namespace-hosts.mjs').Host) => () => void} blow */
  const strike = (blow) => async () => {
    mend();
    await cluster.whole();
    mend = /** @type {() => undefined} */ (blow(await cluster.leader()));
  };
  return {
    targets: houses.map(({ url }) => ({ url, alive: () => true })),
    blows: [
      { name: 'the leader lost', strike: strike((host) => (host.kill(), () => cluster.replace(host))) },
      { name: 'the leader cut off', strike: strike((host) => (host.cutOff(), () => host.join())) },
    ],
    stop,
  };
}
