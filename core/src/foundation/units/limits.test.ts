import { expect, it } from 'vitest';
import { integrate } from '../../geometry/solids/index.js';
import { inScoops } from '../../mixing/materials/index.js';
import { ageCourse, surfaceRecord } from '../../process/curing/index.js';
import { splitIntoBatches } from '../../process/pours/index.js';
import { InputError } from './index.js';

/** Fields that a calculation refuses. */
function refused(work: () => unknown): string[] {
  try {
    work();
    return [];
  } catch (error) {
    if (error instanceof InputError) return error.issues.map(({ field }) => field);
    throw error;
  }
}

it('an integral of what is no number, or never settles, ends by name', () => {
  expect(() => integrate(() => NaN, 0, 1)).toThrow('does not settle');
  let wild = 1;
  const noise = () => (wild = (wild * 16807) % 2147483647);
  expect(() => integrate(noise, 0, 1)).toThrow('does not settle');
  expect(integrate((x) => x * x, 0, 3)).toBeCloseTo(9, 9);
});

it('loops over hours, scoops, moulds and batches end by name', () => {
  const line = [
    { hour: 0, temperature: 15 },
    { hour: 1e9, temperature: 20 },
  ];
  expect(refused(() => ageCourse(line, 'portland'))).toEqual(['readings']);
  expect(refused(() => surfaceRecord([{ from: 0, to: 1e9, evaporation: 0.1 }], [], false))).toEqual(['stretches']);
  expect(refused(() => inScoops(1e7, { id: 's', name: 'the scoop', volume: 1e-3 }, 0.25))).toEqual(['scoop.volume']);
  const fills = (count: number, volume: number) => Array.from({ length: count }, (_, i) => ({ id: String(i), volume }));
  expect(refused(() => splitIntoBatches(fills(501, 10), { volume: 9000, moulds: 5 }))).toEqual(['items']);
  expect(refused(() => splitIntoBatches(fills(5, 1e7), { volume: 100, moulds: 5 }))).toEqual(['bucket']);
});
