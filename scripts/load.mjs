// @ts-check
import { parseArgs } from 'node:util';
import { buildStale } from './lib/build.mjs';
import { loadByPeople } from './lib/load-people.mjs';
import { ensureNode, ensurePackages } from './lib/packages.mjs';
import { run, say } from './lib/say.mjs';
import { startTrial } from './lib/trial.mjs';

const usage = `npm run load [-- --url http://127.0.0.1:8080] [--seconds 60] [--every 47] [--json]
Fifty people in ten workshops of their own, each asking every so many ms (0: as fast as the answers come).
Without an address a throwaway server is started.`;

/** A whole number of a choice. @param {string} name @param {string} written @param {number} most */
function whole(name, written, most) {
  if (!/^\d+$/.test(written) || Number(written) > most)
    throw new Error(`--${name} is “${written}”: write a whole number from 0 to ${most}.\n${usage}`);
  return Number(written);
}

/** @param {import('./lib/load-people.mjs').Load} load */
function tell({ perSecond, unchanged, rows }) {
  say(`${perSecond.toFixed(0)} requests a second, of which ${(unchanged * 100).toFixed(0)} % had not changed`);
  for (const { what, count, failed, p50, p95, p99 } of rows)
    say(`${what}: ${count}, ${failed} failed; p50 ${p50.toFixed(1)}, p95 ${p95.toFixed(1)}, p99 ${p99.toFixed(1)} ms`);
}

async function main() {
  const text = /** @type {const} */ ({ type: 'string' });
  const { values } = parseArgs({
    options: {
      url: text,
      seconds: { ...text, default: '60' },
      every: { ...text, default: '47' },
      json: { type: 'boolean', default: false },
    },
  });
  const [seconds, every] = [whole('seconds', values.seconds, 3600), whole('every', values.every, 60_000)];
  ensureNode();
  ensurePackages();
  if (!values.url) buildStale('server');
  const trial = values.url ? undefined : await startTrial({ demo: false });
  try {
    const load = await loadByPeople(values.url ?? trial?.url ?? '', seconds, every);
    if (values.json) process.stdout.write(JSON.stringify(load));
    else tell(load);
  } finally {
    await trial?.stop();
  }
}

run(main);
