// @ts-check
import { parseArgs } from 'node:util';
import { chaos } from './lib/chaos.mjs';
import { ensureNode, ensurePackages } from './lib/packages.mjs';
import { run, say, Stop } from './lib/say.mjs';

/** Makes a database of three hosts on this machine, and kills or cuts off the one that leads while clients write. */
async function main() {
  ensureNode();
  ensurePackages();
  const { values } = parseArgs({ options: { rounds: { type: 'string', default: '20' } } });
  const { startClusterHouse, whyNoCluster } = await import('./lib/cluster-house.mjs');
  const why = whyNoCluster();
  if (why) throw new Stop(why);
  const house = await startClusterHouse();
  try {
    const report = await chaos({ ...house, rounds: Number(values.rounds), tell: say, every: 1 });
    const { acknowledged, refused, lost, silence } = report;
    say(
      `Two servers before three hosts, ${values.rounds} blows: ${acknowledged} writes acknowledged, ${refused} refused or cut off, ${lost.length} lost; none acknowledged for ${(silence / 1000).toFixed(1)} s at most.`,
    );
    if (lost.length > 0) throw new Stop(lost.join('\n'));
  } finally {
    await house.stop();
  }
}

run(main);
