// @ts-check
import { withState } from './bench-state.mjs';
import { asking, peopleOf } from './load-people.mjs';
import { percentile } from './percentile.mjs';

/** @typedef {import('./bench-mixes.mjs').Note} Note */

const ASKED = 60;

/** Lists, each with the tables that it is made of. */
const LISTS = {
  'moulds/all': ['moulds', 'mould_copies', 'mould_pictures'],
  'mixes/all': ['mixes', 'pours'],
  store: ['materials', 'lots', 'scoops', 'stock'],
  casts: ['casts'],
};

/** The p95 of what is done again and again, ms. @param {() => Promise<unknown>} work @param {() => Promise<unknown>} [before] */
async function timed(work, before) {
  const times = [];
  for (let i = 0; i < ASKED; i++) {
    await before?.();
    const begun = performance.now();
    await work();
    times.push(performance.now() - begun);
  }
  return percentile(times, 0.95).toFixed(1);
}

/** Lists as they are made, as they are at hand, and unchanged, beside the bare SQL of their tables. @param {Note} note @param {string} url @param {string} database */
export async function answers(note, url, database) {
  const { ask, close } = asking(url);
  const [one] = await peopleOf(ask);
  const cookie = one?.cookie ?? '';
  const workshop = JSON.parse((await ask('GET', 'session', { cookie })).text).workshop.id;
  await withState(database, async (move, client) => {
    for (const [path, tables] of Object.entries(LISTS)) {
      const sql = await timed(async () => {
        for (const table of tables) await client.query(`select * from ${table} where workshop_id = $1`, [workshop]);
      });
      const made = await timed(() => ask('GET', path, { cookie }), move);
      const { tag } = await ask('GET', path, { cookie });
      const atHand = await timed(() => ask('GET', path, { cookie }));
      const unchanged = await timed(() => ask('GET', path, { cookie, tag }));
      note(
        `${path} (p95): made, at hand, unchanged; its bare SQL`,
        `${made}, ${atHand}, ${unchanged}; ${sql} ms`,
        '1.5 × its SQL + 2 ms',
      );
    }
  });
  close();
}
