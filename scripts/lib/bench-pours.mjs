// @ts-check
import { AS_PAGES } from './trial.mjs';
import { times } from './bench-mixes.mjs';
import { wholePours } from './whole-pours.mjs';

/** A row of the bench. @typedef {(what: string, value: string, aim?: string) => void} Note */

const RUNS = 15;
/** How much slower a phone is taken to be. */
const SLOWED = 4;

/** A round mould or core, mm. */
const frustum = (
  /** @type {number} */ bottomDiameter,
  /** @type {number} */ topDiameter,
  /** @type {number} */ height,
) => /** @type {const} */ ({ kind: 'round-frustum', bottomDiameter, topDiameter, height });

/** A nested pot, wider at its rim and higher by so many mm. */
export const nestedPot = (wider = 0, higher = 0) => ({
  outer: frustum(160, 200 + wider, 180 + higher),
  cores: [{ name: 'The core', bottom: 18, solid: frustum(124, 160, 162 + higher) }],
  inserts: [{ name: 'The drain plug', bottom: 0, solid: frustum(19, 19, 18) }],
});

/** A pour of thirty unlike pots in six mixes: its sheets with their buckets, then its hour, then its hour again when a step runs over. @param {Note} note */
export async function replanning(note) {
  const { handbookMaterial } = await import('@dewpot/core/materials');
  const { calculateSheet } = await import('@dewpot/core/pours');
  const { stepsOf, timelineOf } = await import('@dewpot/core/bench');
  const material = (/** @type {string} */ key) => ({ ...handbookMaterial(key), name: key, id: key });
  const planOf = (/** @type {number} */ n) =>
    /** @type {import('@dewpot/core/pours').PourPlan} */ ({
      items: Array.from({ length: 5 }, (_, i) => ({
        mouldId: `${n}.${i}`,
        name: `Pot ${n}.${i}`,
        shape: nestedPot(i, n),
        piece: 'pot',
        count: 1,
      })),
      mix: {
        lines: [
          { material: material('grey-cement'), parts: 1 },
          { material: material('sharp-sand'), parts: 2 + n / 4 },
        ],
        by: 'volume',
        grade: 5,
        exposure: 'outdoors',
      },
      binderClass: 'portland',
      spare: 0.05,
      moisture: { 'sharp-sand': 0.05 },
      scoop: { id: 'can', name: 'the can', volume: 400 },
      step: 0.25,
      bucket: 14000,
      temperature: 18,
      conditions: { moistCuringDays: 7 },
      lots: [],
      liftLimit: 25000,
    });
  const plans = [0, 1, 2, 3, 4, 5].map(planOf);
  const ways = /** @type {const} */ ({ release: 'wax', finish: 'broom', people: 1 });
  const whole = () => {
    const parts = plans.map((plan) => ({ plan, sheet: calculateSheet(plan) }));
    return { parts, steps: stepsOf(parts, ways) };
  };
  const { parts, steps } = whole();
  const buckets = parts.reduce((sum, { sheet }) => sum + sheet.bucketfuls.length, 0);
  const what = `30 moulds, 6 mixes, ${buckets} buckets`;
  note(`Plan with its hour of ${what}`, `${times(() => timelineOf(whole().steps, { start: 0 })).middle.toFixed(1)} ms`, 'under 100 ms'); // prettier-ignore
  const [late] = steps.filter(({ kind }) => kind === 'fill');
  const over = new Map(late && [[late.key, { start: 3_600_000, end: 9_000_000 }]]);
  note('… its hour again when a step runs over', `${times(() => timelineOf(steps, { start: 0, times: over })).middle.toFixed(2)} ms`); // prettier-ignore
}

/** From the tap on “Done, next” at the bench until the next step is drawn, on a slowed processor. @param {import('@playwright/test').BrowserContext} context @param {Note} note */
export async function benchSteps(context, note) {
  const pours = await wholePours(context.request);
  const { randomUUID } = await import('node:crypto');
  const id = randomUUID();
  const [like] = pours;
  await context.request.put(`/api/pours/${id}`, { ...AS_PAGES, data: { ...like.input, version: 0 } });
  await context.request.post(`/api/pours/${id}/start`, AS_PAGES);
  const page = await context.newPage();
  await page.goto(`/pours/${id}/bench`);
  await page.getByRole('button', { name: /^Done/ }).waitFor();
  const session = await context.newCDPSession(page);
  await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWED });
  /** @type {number[]} */
  const taken = [];
  while ((await page.getByRole('button', { name: /^Done, next/ }).count()) > 0 && taken.length < RUNS) {
    // Nobody does a step in less than a second.
    await page.waitForTimeout(1000);
    taken.push(
      await page.getByRole('button', { name: /^Done, next/ }).evaluate(async (button) => {
        const title = () => document.querySelector('h1')?.textContent;
        const before = title();
        const begun = performance.now();
        /** @type {HTMLElement} */ (button).click();
        while (title() === before && performance.now() - begun < 2000) await new Promise((done) => setTimeout(done));
        return performance.now() - begun;
      }),
    );
  }
  await page.close();
  const sorted = taken.toSorted((a, b) => a - b);
  note(
    `A step done at the bench, to the next one, ${SLOWED} times slowed`,
    `${(sorted[sorted.length >> 1] ?? NaN).toFixed(0)} ms, longest ${(sorted.at(-1) ?? NaN).toFixed(0)} ms of ${sorted.length}`,
    'under 50 ms',
  );
}
