// @ts-check
import { parseArgs } from 'node:util';
import { buildStale } from './lib/build.mjs';
import { loadByPeople } from './lib/load-people.mjs';
import { ensureNode, ensurePackages } from './lib/packages.mjs';
import { run, say, Stop } from './lib/say.mjs';
import { COUNTING, countStatements } from './lib/slowest-statements.mjs';
import { startTrial } from './lib/trial.mjs';

const usage = `npm run load [-- --url http://127.0.0.1:8080] [--seconds 60] [--every 47] [--json] [--statements]
Fifty people in ten workshops of their own, each asking every so many ms (0: as fast as the answers come).
Without an address a throwaway server is started; then --statements tells the ten statements that took most of the database's time, with their plans.`;

/** A whole number of a choice. @param {string} name @param {string} written @param {number} most */
function whole(name, written, most) {
  if (!/^\d+$/.test(written) || Number(written) > most)
    throw new Stop(`--${name} is “${written}”: write a whole number from 0 to ${most}.\n${usage}`);
  return Number(written);
}

/** @param {import('./lib/load-people.mjs').Load} load */
function tell({ perSecond, unchanged, rows }) {
  say(`${perSecond.toFixed(0)} requests a second, of which ${(unchanged * 100).toFixed(0)} % had not changed`);
  for (const { what, count, failed, p50, p95, p99 } of rows)
    say(`${what}: ${count}, ${failed} failed; p50 ${p50.toFixed(1)}, p95 ${p95.toFixed(1)}, p99 ${p99.toFixed(1)} ms`);
}

/** @param {import('./lib/slowest-statements.mjs').Statement} statement */
function tellStatement({ text, calls, ms, share, plan }) {
  say(
    `\n${(share * 100).toFixed(1)} % of the time, ${calls} times, ${ms.toFixed(2)} ms each: ${text.replace(/\s+/g, ' ').slice(0, 400)}`,
  );
  for (const line of plan) say(`  ${line}`);
}

async function main() {
  const text = /** @type {const} */ ({ type: 'string' });
  const { values } = parseArgs({
    options: {
      url: text,
      seconds: { ...text, default: '60' },
      every: { ...text, default: '47' },
      json: { type: 'boolean', default: false },
      statements: { type: 'boolean', default: false },
    },
  });
  const [seconds, every] = [whole('seconds', values.seconds, 3600), whole('every', values.every, 60_000)];
  if (values.statements && (values.url || values.json))
    throw new Stop(`--statements goes with neither --url nor --json: leave those out.\n${usage}`);
  ensureNode();
  ensurePackages();
  if (!values.url) buildStale('server');
  const trial = values.url ? undefined : await startTrial({ demo: false, more: values.statements ? COUNTING : [] });
  /** @type {Awaited<ReturnType<typeof countStatements>> | undefined} */
  let counted;
  try {
    if (trial && values.statements) counted = await countStatements(trial.database);
    const load = await loadByPeople(values.url ?? trial?.url ?? '', seconds, every);
    if (values.json) process.stdout.write(JSON.stringify(load));
    else tell(load);
    for (const statement of (await counted?.slowest(10)) ?? []) tellStatement(statement);
  } finally {
    await counted?.end();
    await trial?.stop();
  }
}

run(main);
