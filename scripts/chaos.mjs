// @ts-check
import { parseArgs } from 'node:util';
import { buildStale } from './lib/build.mjs';
import { chaos } from './lib/chaos.mjs';
import { ensureNode, ensurePackages } from './lib/packages.mjs';
import { run, say, Stop } from './lib/say.mjs';

/** Kills server, postmaster and backends while clients write, on one and on two servers. */
async function main() {
  ensureNode();
  ensurePackages();
  buildStale();
  const { values } = parseArgs({ options: { rounds: { type: 'string', default: '150' } } });
  const { startHouse } = await import('./lib/chaos-house.mjs');
  for (const servers of [1, 2]) {
    const house = await startHouse({ servers });
    try {
      const { acknowledged, refused, lost, slow } = await chaos({ ...house, rounds: Number(values.rounds), tell: say });
      const sorted = [...slow].sort((a, b) => a - b);
      const at = (/** @type {number} */ share) =>
        ((sorted[Math.floor(share * (sorted.length - 1))] ?? NaN) / 1000).toFixed(1);
      say(
        `${servers} servers, ${values.rounds} blows: ${acknowledged} writes acknowledged, ${refused} refused or cut off, ${lost.length} lost; healthy again after ${at(0.5)} s in the middle, ${at(1)} s at most.`,
      );
      if (lost.length > 0) throw new Stop(lost.join('\n'));
    } finally {
      await house.stop();
    }
  }
}

run(main);
