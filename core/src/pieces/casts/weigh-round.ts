import { defined } from '../../foundation/math/index.js';
import { HOUR } from '../../foundation/units/index.js';
import type { Expected } from '../../process/pours/index.js';
import { massOn, type DryDownCurve, type ExpectedNow } from '../../process/sealing/index.js';
import { inOrder } from './code.js';
import { phaseOf, type Due } from './due.js';
import type { Life } from './life.js';
import { countedWeighings } from './sealing-gate.js';

/** Of a piece that was not weighed, its mould and mix alone tell: so uncertain, share of its mass. */
const BY_MIX = 0.05;
/** Of one that was, the curve tells, and damp air on a shelf. */
const BY_CURVE = 0.008;
/** The step of a scale is coarse for a piece beyond this share of what its gate looks for. */
const COARSE = 0.15;
const LOOKED_FOR = 0.015;

/** A cast as far as weighing it goes. */
export interface WeighedCast {
  readonly code: string;
  readonly pourId: string;
  readonly mouldId: string;
  readonly expected: Expected;
  readonly life: Life;
  readonly dry: { readonly typical?: DryDownCurve; readonly inferredFrom?: readonly string[] };
  readonly dues: readonly Due[];
}

/** What a cast should weigh at a time (ms), g: by its own curve, else between fresh and dry. */
export function expectedNow(
  { code, expected, life, dry }: Omit<WeighedCast, 'dues' | 'pourId' | 'mouldId'>,
  at: number,
): ExpectedNow {
  const first = countedWeighings(life)[0];
  if (dry.typical && first && !dry.inferredFrom) {
    const mass = massOn(dry.typical, (at - life.pouredAt) / HOUR - first.hour);
    return { code, mass, sd: mass * BY_CURVE };
  }
  const mass = (expected.fresh + expected.dry) / 2;
  return { code, mass, sd: mass * BY_MIX };
}

/** Whether a scale of that step, g, tells too little of one such piece: several are better weighed together. */
const isCoarseFor = ({ expected }: Pick<WeighedCast, 'expected'>, step: number): boolean =>
  step > COARSE * LOOKED_FOR * expected.dry;

/** Less than this share of what should lie there is an empty scale, or one that is just being loaded. */
const ON_IT = 0.3;

/** Whether what the scale reads, g, can be the piece at all. */
export const liesOnScale = (reading: number, expected: number): boolean => reading > ON_IT * expected;

/** What is put on the scale at once: like pieces of a pour together, or one by itself. */
export interface OnTheScale<C extends WeighedCast> {
  readonly key: string;
  readonly casts: readonly C[];
  readonly place: string;
}

/** Whether a cast wants weighing now. */
function wantsWeighing({ dues }: WeighedCast, now: number): boolean {
  const due = dues.find(({ task }) => task === 'weigh');
  return due !== undefined && due.postponedUntil === undefined && phaseOf(due, now) !== 'before';
}

/** A round of weighing, place by place: small like pieces together where the scale, of that step in g, is coarse for one. */
export function weighRound<C extends WeighedCast>(
  casts: readonly C[],
  placeOf: (cast: C) => string,
  now: number,
  step: number,
): OnTheScale<C>[] {
  const groups = new Map<string, { place: string; casts: C[] }>();
  for (const cast of casts.filter((one) => wantsWeighing(one, now))) {
    const place = placeOf(cast);
    const key = [place, cast.pourId, cast.mouldId, isCoarseFor(cast, step) ? '' : cast.code].join('|');
    const known = groups.get(key);
    if (known) known.casts.push(cast);
    else groups.set(key, { place, casts: [cast] });
  }
  return [...groups]
    .map(([key, group]) => ({ key, ...group }))
    .sort(
      (a, b) => a.place.localeCompare(b.place) || inOrder.compare(defined(a.casts[0]).code, defined(b.casts[0]).code),
    );
}

/** The casts that are to be weighed later, the next one first, each with when it is good to. */
export const nextWeighings = <C extends WeighedCast>(casts: readonly C[], now: number): { cast: C; due: Due }[] =>
  casts
    .flatMap((cast) => {
      const due = cast.dues.find(({ task }) => task === 'weigh');
      return due && !wantsWeighing(cast, now) ? [{ cast, due }] : [];
    })
    .sort((a, b) => a.due.good - b.due.good || inOrder.compare(a.cast.code, b.cast.code));
