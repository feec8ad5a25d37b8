import { defined, normalPoint, stream } from '../foundation/math/index.js';
import {
  causes,
  circumstanceKeys,
  flags,
  namedCauses,
  precedes,
  type Cause,
  type Circumstance,
  type Circumstanced,
  type FindingRecord,
} from '../pieces/findings/index.js';
import type { Fault } from '../pieces/casts/index.js';

/** What is usual of a circumstance in the workshops of tests, how much it varies, and its limits. */
const usual: Readonly<
  Record<Circumstance, readonly [middle: number, spread: number, least?: number | undefined, most?: number]>
> = {
  water: [1, 0.03, 0.9, 1.1],
  ratio: [0.48, 0.02, undefined, 0.6],
  grade: [0, 0.2, -0.9, 0.9],
  moisture: [0.04, 0.015, undefined, 0.12],
  binderAge: [40, 15, undefined, 91],
  pigment: [0.5, 0.12, 0.1, 1],
  plasticiser: [0.5, 0.1, undefined, 1],
  temperature: [17, 3.5, 5, 32],
  placing: [0.6, 0.1, undefined, 1],
  liftWait: [0.3, 0.1, undefined, 1],
  oneLift: [0, 0, undefined, 0.5],
  notTapped: [0, 0, undefined, 0.5],
  vibration: [1.5, 0.3, undefined, 4],
  unreinforced: [0, 0, undefined, 0.5],
  noRelease: [0, 0, undefined, 0.5],
  cycles: [12, 5, undefined, 40],
  evaporation: [0.15, 0.08, undefined, 0.5],
  evaporationHours: [0, 0.15, undefined, 0.5],
  uncovered: [0, 0, undefined, 0.5],
  coldest: [10, 3, 2],
  corePull: [1, 0.08, 0.7, 1.4],
  demouldAge: [1.05, 0.08, 0.8],
  moistCuring: [1, 0.08, 0.8],
  waterLeft: [-0.01, 0.004, undefined, 0],
  recoat: [1.3, 0.15, 1],
  sealedAt: [17, 2.5, 10],
};

/** A cast whose cause is known because it was made so. */
export interface KnownCause {
  readonly record: FindingRecord;
  readonly fault: Fault;
  readonly cause: Cause;
}

/** How a workshop of tests is made. */
export interface FindingWorkshop {
  readonly casts: number;
  readonly seed: number;
  /** How often a cause is there, and how often a cast of it then has its fault. */
  readonly there?: number;
  readonly does?: number;
  /** Faults that come of nothing on record. */
  readonly byItself?: number;
  /** Share of circumstances that nobody recorded. */
  readonly untold?: number;
}

/** A workshop with a few true causes: each is there now and then, and does harm then; besides, faults come by themselves. Seeded. */
export function makeFindingWorkshop({ casts, seed, there = 0.07, does = 0.8, byItself = 0.03, untold = 0.1 }: FindingWorkshop) {
  const next = stream(seed);
  const normal = () => normalPoint(Math.min(0.999999, Math.max(0.000001, next())));
  const pick = <T>(list: readonly T[]): T => defined(list[Math.floor(next() * list.length)]);
  const faulty = Object.keys(namedCauses) as Fault[];
  const possible = (fault: Fault) => namedCauses[fault].filter((cause) => precedes(causes[cause].of, fault));
  const truths = Array.from({ length: 4 }, () => pick(faulty)).map((fault) => ({ fault, cause: pick(possible(fault)) }));
  const known: KnownCause[] = [];
  const records = Array.from({ length: casts }, (_, i): FindingRecord => {
    const under = Object.fromEntries(
      circumstanceKeys.map((key): [Circumstance, Circumstanced] => {
        const [middle, spread, least, most] = usual[key];
        const value = flags.includes(key) ? Number(next() < 0.05) : middle + spread * normal();
        return [key, { value, ...(least !== undefined && { least }), ...(most !== undefined && { most }) }];
      }),
    ) as Record<Circumstance, Circumstanced>;
    const faults: FindingRecord['faults'][number][] = [];
    const made: (typeof truths)[number][] = [];
    for (const truth of truths) {
      if (next() >= there) continue;
      const { of, harm } = causes[truth.cause];
      const [middle, spread, least, most] = usual[of];
      const limit = (harm > 0 ? most : least) ?? middle + 3 * harm * spread;
      under[of] = { ...under[of], value: flags.includes(of) ? 1 : limit + harm * (0.15 + 0.5 * next()) * Math.max(Math.abs(limit - middle), spread) };
      if (next() >= does || faults.some(({ fault }) => fault === truth.fault)) continue;
      faults.push({ fault: truth.fault, severity: 'clear' });
      made.push(truth);
    }
    if (next() < byItself) {
      const fault = pick(faulty);
      if (!faults.some((one) => one.fault === fault)) faults.push({ fault, severity: 'slight' });
    }
    const kept = Object.fromEntries(Object.entries(under).filter(([key]) => made.some(({ cause }) => causes[cause].of === key) || next() >= untold));
    const mould = Math.floor(next() * 3);
    const record: FindingRecord = { id: `c${i}`, code: `C-${i}`, mouldId: `m${mould}`, mixId: `x${mould % 2}`, piece: 'pot', at: i * 3_600_000, seen: true, faults, under: kept, ways: {}, measured: {} };
    known.push(...made.map((truth) => ({ record, ...truth })));
    return record;
  });
  return { records, known };
} // prettier-ignore

/** How well known causes are found in so many workshops: as the first, and among three. */
export function foundCauses(workshops: readonly { readonly known: readonly KnownCause[] }[], ranked: (known: KnownCause, workshop: number) => readonly Cause[]) {
  const places = workshops.flatMap(({ known }, i) => known.map((one) => ranked(one, i).indexOf(one.cause)));
  const share = (holds: (place: number) => boolean) => places.filter(holds).length / places.length;
  return { casts: places.length, first: share((place) => place === 0), amongThree: share((place) => place >= 0) };
} // prettier-ignore
