// @ts-check
import { AS_PAGES } from './trial.mjs';
import { randomUUID } from 'node:crypto';

/** A row of the bench. @typedef {(what: string, value: string, aim?: string) => void} Note */

const LINES = 20;
const RUNS = 21;

/** Milliseconds of the middle run, and of the longest. @param {() => unknown} work */
export function times(work) {
  const all = Array.from({ length: RUNS }, () => {
    const begun = performance.now();
    work();
    return performance.now() - begun;
  }).sort((a, b) => a - b);
  return { middle: all[RUNS >> 1] ?? NaN, longest: all[RUNS - 1] ?? NaN };
}

/** A held property solved in a mix of twenty lines. @param {Note} note */
export async function mixSolving(note) {
  const { changeHolding, calculateMix } = await import('@dewpot/core/mixes');
  const { handbookMaterials } = await import('@dewpot/core/materials');
  const usable = handbookMaterials.filter(({ kind }) => !['additive', 'pre-blend', 'sealer'].includes(kind));
  const lines = Array.from({ length: LINES }, (_, i) => {
    const { key, ...rest } = /** @type {(typeof usable)[number]} */ (usable[i % usable.length]);
    return { material: { ...rest, id: `${key}-${i}`, name: `${key} ${i}` }, parts: 1 + (i % 3) };
  });
  const mix = /** @type {const} */ ({ lines, by: 'volume', grade: 4, exposure: 'outdoors' });
  const conditions = { moistCuringDays: 7 };
  const calculated = times(() => calculateMix(mix, conditions));
  note('A mix of 20 lines calculated', `${calculated.middle.toFixed(2)} ms`);
  for (const hold of /** @type {const} */ (['water-cement', 'strength', 'density'])) {
    const solved = times(() => changeHolding(mix, { line: 4, parts: 2.5, hold }, conditions));
    note(`… one line changed while ${hold} is held`, `${solved.middle.toFixed(1)} ms`, 'under 50 ms');
  }
}

const pigments = ['#7a2418', '#b07a1e', '#3d5e35', '#1d1d1f', '#2f4a78', '#f4f3ee', '#4a2f20', '#a2501f'];

/** Doses for a wanted colour, looked for over eight pigments. @param {Note} note */
export async function tintSearch(note) {
  const { searchTints, spectrumOf } = await import('@dewpot/core/tints');
  const shelf = pigments.map((colour) => ({
    id: colour,
    colourant: { spectrum: spectrumOf(colour), strength: 40, levelling: 4 },
  }));
  const base = spectrumOf('#dcd7cc');
  const searched = times(() => searchTints({ base, wanted: '#7f8a6a', pigments: shelf }));
  note('A wanted colour looked for over 8 pigments', `${searched.middle.toFixed(0)} ms`, 'under 1 s');
}

/** Milliseconds from each value that a field is given until all that follows stands on the screen, sorted. @param {import('@playwright/test').Locator} field @param {readonly number[]} values */
const typedTimes = (field, values) =>
  field.evaluate(async (input, given) => {
    const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set;
    const all = [];
    for (const value of given) {
      await new Promise((frame) => requestAnimationFrame(frame));
      const begun = performance.now();
      set?.call(input, String(value));
      input.dispatchEvent(new Event('input', { bubbles: true }));
      await Promise.resolve();
      all.push(performance.now() - begun);
    }
    return all.sort((a, b) => a - b);
  }, values);

/** The slider of a dose, until every swatch has followed it. @param {import('@playwright/test').BrowserContext} context @param {Note} note */
export async function swatchesFollow(context, note) {
  const { tints } = await (await context.request.get('/api/tints/all')).json();
  const page = await context.newPage();
  await page.goto(`/tints/${tints[0].id}`);
  const slider = page.getByRole('slider').first();
  await slider.waitFor();
  const taken = await typedTimes(
    slider,
    Array.from({ length: RUNS }, (_, i) => 0.005 + 0.0015 * i),
  );
  await page.close();
  note(
    'A dose slider moved, to every swatch',
    `${(taken[RUNS >> 1] ?? NaN).toFixed(1)} ms, longest ${(taken[RUNS - 1] ?? NaN).toFixed(1)} ms`,
    'under 16 ms',
  );
}

/** A key in the editor of a mix of twenty lines, until all that follows stands on the screen. @param {import('@playwright/test').BrowserContext} context @param {Note} note */
export async function mixEditing(context, note) {
  const { materials } = await (await context.request.get('/api/store')).json();
  const lines = [];
  const own = materials.filter((/** @type {{ kind: string }} */ { kind }) => kind !== 'additive' && kind !== 'sealer');
  for (let i = 0; i < LINES; i++) {
    const figures = { ...own[i % own.length], version: 0 };
    delete figures.id;
    const id = randomUUID();
    await context.request.put(`/api/materials/${id}`, {
      ...AS_PAGES,
      data: { ...figures, name: `${figures.name}, bench ${i}` },
    });
    lines.push({ materialId: id, parts: 1 + (i % 3) });
  }
  const mix = randomUUID();
  await context.request.put(`/api/mixes/${mix}`, {
    ...AS_PAGES,
    data: {
      name: 'Bench',
      by: 'volume',
      grade: 4,
      exposure: 'outdoors',
      packed: false,
      binderClass: 'portland',
      moistCuringDays: 7,
      colour: '#aaaaaa',
      lines,
      version: 0,
    },
  });
  const page = await context.newPage();
  await page.goto(`/mixes/${mix}`);
  const field = page.getByLabel(/^Parts of /).nth(3);
  await field.waitFor();
  const taken = await typedTimes(
    field,
    Array.from({ length: RUNS }, (_, i) => 1 + i / 10),
  );
  await page.close();
  const middle = taken[RUNS >> 1] ?? NaN;
  const longest = taken[RUNS - 1] ?? NaN;
  note(
    'A key in the editor of a mix of 20 lines, to all figures',
    `${middle.toFixed(1)} ms, longest ${longest.toFixed(1)} ms`,
    'under 16 ms',
  );
}
