import { describe, expect, it } from 'vitest';
import { chaosWith, type House } from './chaos-scripts.js';

interface Cluster {
  readonly whyNoCluster: () => string | undefined;
  readonly startClusterHouse: () => Promise<House>;
}

const { whyNoCluster, startClusterHouse, chaos } = await chaosWith<Cluster>('cluster-house');
const why = whyNoCluster();

/** Where a machine makes no network namespaces, or has no Patroni, this is skipped and said to be. */
describe.skipIf(why !== undefined)('a database of three hosts', () => {
  it('loses no write that was acknowledged when the leader is killed and when it is cut off, and answers again within half a minute', async () => {
    const house = await startClusterHouse();
    try {
      const { acknowledged, lost } = await chaos({ ...house, rounds: 2 });
      // A server that is not healthy again within half a minute is told among them.
      expect(lost).toEqual([]);
      expect(acknowledged).toBeGreaterThan(50);
    } finally {
      await house.stop();
    }
  }, 600_000);
});

if (why !== undefined) process.stdout.write(`The database of three hosts is skipped: ${why}\n`);
