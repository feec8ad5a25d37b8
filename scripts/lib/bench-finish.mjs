// @ts-check
import { times } from './bench-mixes.mjs';

/** @typedef {import('./bench-mixes.mjs').Note} Note */

const PIECES = 500;

/** Drying judged from weighings, and a rehearsal as a slider moves. @param {Note} note */
export async function finishing(note) {
  const { judgeDryDown, lessons, reckonDryDown, rehearsalPieces, rehearse } = await import('../../core/dist/index.js');
  const prior = { dry: 3900, loss: 260 };
  const weighings = Array.from({ length: 12 }, (_, day) => ({
    hour: 168 + 24 * day,
    mass: Math.round(3900 + 220 * Math.exp(-(((24 * day) / 100) ** 0.75))),
    step: 1,
  }));
  const fit = times(() => reckonDryDown(weighings, prior, 'portland'));
  note(
    'Twelve weighings fitted, its curve drawn',
    `${fit.middle.toFixed(1)} ms (longest ${fit.longest.toFixed(0)})`,
    'under 20 ms',
  );
  const begun = performance.now();
  for (let i = 0; i < PIECES; i++) judgeDryDown(weighings.slice(0, 3 + (i % 10)), prior, 'portland');
  note(`… ${PIECES} pieces judged anew`, `${((performance.now() - begun) / 1000).toFixed(1)} s`, 'under 2 s');
  const { piece, start } = lessons.heatwave;
  const played = times(() => rehearse(rehearsalPieces[piece], start));
  note(
    'Forty days rehearsed as a slider moves',
    `${played.middle.toFixed(1)} ms (longest ${played.longest.toFixed(0)})`,
    'under 16 ms',
  );
}
