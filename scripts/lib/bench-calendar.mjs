// @ts-check
import { nestedPot } from './bench-pours.mjs';

/** A row of the bench. @typedef {(what: string, value: string, aim?: string) => void} Note */

const DAY = 86_400_000;
const HOUR = 3_600_000;
/** A Monday. */
const MONDAY = Date.UTC(2026, 5, 1);
const LINES = 6;
const MOULDS = 12;
const SECONDS = 3.8;

/** Twelve moulds with thirty copies, six lines by their days, three evenings a week. @param {number} standing casts that stand about */
async function workshop(standing) {
  const { handbookMaterial, finderOf } = await import('@dewpot/core/materials');
  const { knownColours } = await import('@dewpot/core/tints');
  const { lessonsOf } = await import('@dewpot/core/pours');
  const { calendarSources, usualWeek } = await import('@dewpot/core/calendar');
  const { usualMoistCuring } = await import('@dewpot/core/curing');
  const materials = ['grey-cement', 'sharp-sand'].map((key) => ({ ...handbookMaterial(key), name: key, id: key }));
  const find = finderOf(/** @type {any} */ (materials));
  const copies = (/** @type {number} */ count) =>
    Array.from({ length: count }, (_, i) => ({ mark: String(i), retired: false, leaks: false }));
  const mix = {
    id: 'grey',
    name: 'Grey',
    revision: 1,
    lines: [
      { materialId: 'grey-cement', parts: 1 },
      { materialId: 'sharp-sand', parts: 2.5 },
    ],
    by: 'volume',
    grade: 5,
    exposure: 'outdoors',
    binderClass: 'portland',
    moistCuringDays: 7,
    colour: '#aaaaaa',
  };
  const hour = { temperature: 16, humidity: 0.6, wind: 0 };
  const months = Array.from({ length: 12 }, () => ({ hours: Array.from({ length: 24 }, () => hour), spread: 3, alike: 0.6, days: 30 })); // prettier-ignore
  const known = Array.from({ length: 72 }, (_, i) => ({ at: MONDAY - 24 * HOUR + i * HOUR, ...hour }));
  return calendarSources(
    /** @type {any} */ ({
      moulds: Array.from({ length: MOULDS }, (_, i) => ({
        id: `m${i}`,
        name: `Pot ${i}`,
        shape: nestedPot(i * 2, i * 3),
        piece: 'pot',
        flexibility: 'rigid',
        copies: copies(2 + (i % 2)),
      })),
      mixes: [mix],
      scoops: [],
      find,
      tints: [],
      colours: knownColours([], find),
      lots: [],
      lessons: () => lessonsOf([]),
      runs: [],
      workshop: { bucket: 14_000, scaleStep: 1, liftLimit: 25_000 },
      now: MONDAY,
    }),
    {
      lines: Array.from({ length: LINES }, (_, i) => ({
        id: `l${i}`,
        order: 'Fair',
        mouldId: `m${i}`,
        mixId: 'grey',
        count: 4 + i,
        state: i % 2 ? /** @type {const} */ ('cured') : /** @type {const} */ ('sealed'),
        by: MONDAY + (40 + 3 * i) * DAY,
        poured: [],
      })),
      weeks: [usualWeek],
      zone: 'UTC',
      places: [{ id: 'shed', name: 'Shed', air: { known, months } }],
      standing: Array.from({ length: standing }, (_, i) => ({
        mouldId: `m${6 + (i % 6)}`,
        until: MONDAY + (i % 20) * DAY,
      })),
      learned: [],
      moistCuring: usualMoistCuring,
    },
  );
}

/** A plan, its first one, a session moved, and the chances alone; then with five hundred casts standing about. @param {Note} note */
export async function planning(note) {
  const { calendarProblem, judgeCalendar, planCalendar } = await import('@dewpot/core/calendar');
  const { loadSolver } = await import('@dewpot/core/solver');
  const solve = await loadSolver();
  const clock = () => performance.now() / 1000;
  for (const standing of [0, 500]) {
    const sources = await workshop(standing);
    const begun = performance.now();
    let first = NaN;
    const onBetter = () => (Number.isNaN(first) ? (first = performance.now() - begun) : first);
    const plan = planCalendar(sources, { solve, seconds: SECONDS, clock, seed: 1, onBetter });
    const took = performance.now() - begun;
    const told = `${(took / 1000).toFixed(1)} s (${plan.sessions.length} sessions, at least ${plan.leastSessions})`;
    note(
      standing ? '… with 500 casts standing about' : 'A plan of 6 order lines, 12 moulds with 30 copies, 8 weeks',
      told,
      'under 5 s',
    );
    if (standing) return;
    note('… its first plan that can be held', `${first.toFixed(0)} ms`, 'under 1 s');
    const problem = calendarProblem(sources);
    const drawn = performance.now();
    judgeCalendar(problem, plan.sessions, 1);
    note('… its chances by 400 draws or more', `${(performance.now() - drawn).toFixed(0)} ms`, 'under 1 s');
    const [head, ...rest] = plan.sessions;
    const moved = head ? [{ ...head, at: problem.schedule.slots[1]?.at ?? head.at }, ...rest] : rest;
    const judged = performance.now();
    judgeCalendar(problem, moved, 1);
    note('… a session moved, judged again', `${(performance.now() - judged).toFixed(0)} ms`, 'under 100 ms');
  }
}
