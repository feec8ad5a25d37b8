import { normalPoint } from '../foundation/math/index.js';
import type { Weighing } from '../process/sealing/index.js';

/** A piece that dries by diffusion through its wall: what really happens to it, which the fit does not know. */
interface DryingSlab {
  /** g when it is quite dry. */
  readonly dry: number;
  /** Water that will leave from the first weighing on, g. */
  readonly water: number;
  /** Hours in which a wall of this thickness would dry to a third, were its surface dry at once. */
  readonly time: number;
  /** Resistance of the wall over that of the air at its face. */
  readonly biot: number;
  /** Diffusivity of the dry wall as a share of the wet one's. */
  readonly slows: number;
}

const CELLS = 16;
const STEP = 1;

/** One step of an hour in half a wall, implicit: the middle is at cell 0, the face at the last. */
function dryOn(content: Float64Array, { time, biot, slows }: DryingSlab): void {
  const n = CELLS;
  const width = 1 / n;
  const diffusivity = (c: number) => (slows + (1 - slows) * Math.min(1, Math.max(0, c))) / (time * 2.467);
  const flow = (i: number) => (diffusivity(content[i]!) + diffusivity(content[i + 1]!)) / 2 / width ** 2;
  const face = biot / (time * 2.467) / width;
  const [below, on, above] = [new Float64Array(n), new Float64Array(n), new Float64Array(n)];
  for (let i = 0; i < n; i++) {
    const left = i > 0 ? flow(i - 1) : 0;
    const right = i < n - 1 ? flow(i) : face;
    below[i] = -STEP * left;
    above[i] = i < n - 1 ? -STEP * right : 0;
    on[i] = 1 + STEP * (left + right);
  }
  for (let i = 1; i < n; i++) {
    const share = below[i]! / on[i - 1]!;
    on[i]! -= share * above[i - 1]!;
    content[i]! -= share * content[i - 1]!;
  }
  content[n - 1]! /= on[n - 1]!;
  for (let i = n - 2; i >= 0; i--) content[i] = (content[i]! - above[i]! * content[i + 1]!) / on[i]!;
}

/** Water in the slab at each hour from the first weighing on, g. */
function waterByHour(slab: DryingSlab, hours: number): number[] {
  const content = new Float64Array(CELLS).fill(1);
  const water = [slab.water];
  for (let hour = 1; hour <= hours; hour++) {
    dryOn(content, slab);
    water.push((slab.water * content.reduce((sum, one) => sum + one, 0)) / CELLS);
  }
  return water;
}

/** Numbers in 0–1 that are the same for the same seed (a linear congruential generator). */
function seeded(seed: number): () => number {
  let state = (seed * 2_654_435_761 + 12_345) % 4_294_967_296;
  const next = () => {
    state = (state * 1_664_525 + 1_013_904_223) % 4_294_967_296;
    return (state + 0.5) / 4_294_967_296;
  };
  for (let i = 0; i < 5; i++) next();
  return next;
}

/** A piece as a caster meets it: what its mix promised, how it really dries, and a weighing of it a day. */
export interface DryingCase {
  readonly prior: { readonly dry: number; readonly loss: number };
  readonly slab: DryingSlab;
  /** Water in it by the hour since the first weighing, g. */
  readonly water: readonly number[];
  /** Weighings by a scale of that step, g, hours since the pour. */
  readonly weigh: (step: number) => Weighing[];
}

const DAYS = 90;
const FIRST = 7 * 24;

/** Case `seed` of many: 0.2 to 20 kg, two days to a month to dry, a mix that promised a quarter too much or too little. */
export function dryingCase(seed: number): DryingCase {
  const random = seeded(seed);
  const normal = () => normalPoint(Math.min(0.999, Math.max(0.001, random())));
  const dry = 200 * 100 ** random();
  const loss = dry * (0.03 + 0.05 * random());
  const slab: DryingSlab = {
    dry: dry + 0.25 * loss * normal(),
    water: loss * (0.6 + 0.5 * random()),
    time: 24 * 3.5 * Math.exp(0.6 * normal()),
    biot: 1.5 * 10 ** random(),
    slows: 0.3 + 0.7 * random(),
  };
  const water = waterByHour(slab, DAYS * 24);
  const seen = Array.from({ length: DAYS }, (_, day) => ({
    hour: Math.max(0, Math.round(24 * day + (day === 0 ? 0 : 6 * (random() - 0.5)))),
    noise: 0.001 * normal(),
    skipped: day > 0 && random() < 0.15,
  }));
  return {
    prior: { dry, loss },
    slab,
    water,
    weigh: (step) =>
      seen
        .filter(({ skipped, hour }) => !skipped && hour < water.length)
        .map(({ hour, noise }) => {
          const mass = (slab.dry + water[hour]!) * (1 + noise);
          return { hour: FIRST + hour, mass: Math.round(mass / step) * step, step };
        }),
  };
}
