// @ts-check
import { randomUUID } from 'node:crypto';
import pg from 'pg';
import { someone } from './bench-load.mjs';
import { asking } from './load-people.mjs';

/** @typedef {import('./bench-pours.mjs').Note} Note */

const WORKSHOPS = 10;
const LOGGERS_EACH = 10;
const READINGS = 5_000;
const EVERY = 600_000;

/** Places of a new workshop that take readings. @param {string} url @param {ReturnType<typeof asking>['ask']} ask */
async function loggersOf(url, ask) {
  const cookie = await someone(url);
  const loggers = Array.from({ length: LOGGERS_EACH }, (_, i) => ({ cookie, id: randomUUID(), name: `Shed ${i}` }));
  for (const { id, name } of loggers)
    await ask('PUT', `places/${id}`, { cookie, data: { name, kind: 'shed', source: 'files', version: 0 } });
  return loggers;
}

/** @param {number} before ms */
const readingsBefore = (before) =>
  Array.from({ length: READINGS }, (_, i) => ({
    at: before - (READINGS - i) * EVERY,
    temperature: 12 + (i % 7) / 10,
    humidity: 0.6,
  }));

/** The same rows in bare SQL, a table without keys or triggers: rows a second. @param {string} database */
async function bareRate(database) {
  const client = new pg.Client({ connectionString: database });
  await client.connect();
  try {
    await client.query('create temporary table bare (place uuid, at bigint, temperature real, humidity real)');
    const begun = performance.now();
    for (let i = 0; i < 20; i++) {
      const rows = readingsBefore(Date.now());
      const columns = [rows.map(({ at }) => at), rows.map(({ temperature }) => temperature), rows.map(({ humidity }) => humidity)]; // prettier-ignore
      await client.query('insert into bare select $1, * from unnest($2::bigint[], $3::real[], $4::real[])', [randomUUID(), ...columns]); // prettier-ignore
    }
    return (20 * READINGS) / ((performance.now() - begun) / 1000);
  } finally {
    await client.end();
  }
}

/** A hundred loggers that all send what they kept at once. @param {Note} note @param {string} url @param {string} database */
export async function loggersAtOnce(note, url, database) {
  const { ask, close } = asking(url);
  const loggers = [];
  for (let i = 0; i < WORKSHOPS; i++) loggers.push(...(await loggersOf(url, ask)));
  const data = { readings: readingsBefore(Date.now()) };
  const begun = performance.now();
  const answers = await Promise.all(loggers.map(({ id, cookie }) => ask('POST', `places/${id}/readings`, { cookie, data }))); // prettier-ignore
  const seconds = (performance.now() - begun) / 1000;
  const failed = answers.filter(({ status }) => status !== 200).length;
  if (failed > 0) throw new Error(`${failed} loggers of ${loggers.length} were refused: ${answers.find(({ status }) => status !== 200)?.text}`); // prettier-ignore
  close();
  note(
    `Readings of ${loggers.length} loggers at once, ${READINGS} each; their rows alone, in bare SQL`,
    `${((loggers.length * READINGS) / seconds).toFixed(0)}; ${(await bareRate(database)).toFixed(0)} a second`,
    '50000 a second',
  );
}
