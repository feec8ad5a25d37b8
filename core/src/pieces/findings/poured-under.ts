import { rimOf, type MouldShape, type PieceKind } from '../../geometry/moulds/index.js';
import {
  cementMass,
  demandRatio,
  drySolids,
  isPigment,
  plasticiserDose,
  ratioCeiling,
  waterCut,
} from '../../mixing/mixes/index.js';
import { additives, PIGMENT_CEILING } from '../../mixing/materials/index.js';
import type { BenchRecord } from '../../process/bench/index.js';
import { COLD, HOT } from '../../process/curing/index.js';
import { dryUsed, loggedBatch, type PourLog, type PourPlan } from '../../process/pours/index.js';
import type { Circumstance, Circumstanced } from './circumstances.js';

/** A cast's pour, as far as its record wants it. */
export interface PouredCast {
  readonly plan: PourPlan;
  readonly log: PourLog;
  readonly shape: MouldShape;
  readonly piece: PieceKind;
  /** Mesh was laid in it. */
  readonly mesh: boolean;
  readonly bench?: BenchRecord;
  /** Nothing was put on a mould that wants a release. */
  readonly noRelease: boolean;
  /** Casts that its copy of the mould gave before. */
  readonly cycles?: number;
  /** Initial set at the bench, h. */
  readonly initialSet: number;
}

/** So far off what was calculated, water is told of; as shares. */
const WATER = [0.9, 1.1] as const;
/** A whole grade off is off. */
const GRADE = 0.9;
/** Cement is as good as new for so many days after it was opened. */
const FRESH = 91;
/** Pieces deeper than this are filled in lifts, mm. */
const DEEP = 150;
/** Kinds of piece that want mesh or fibre. */
const REINFORCED: readonly PieceKind[] = ['panel', 'slab', 'trough'];

const MONTH_DAYS = 365.25 / 12;

const flag = (holds: boolean, wrong = true): Circumstanced => ({ value: Number(holds), ...(wrong && { most: 0.5 }) });

/** What a cast's mix was like, against its plan and its limits. */
function ofMix({ plan, log }: PouredCast): [Circumstance, Circumstanced | undefined][] {
  const batch = loggedBatch(plan, log);
  const cement = Math.max(1, cementMass(batch.portions));
  const cut = waterCut(plan.mix);
  const demand = demandRatio({ solids: drySolids(batch), totalWater: batch.totalWater, grade: plan.mix.grade, cut });
  const grains = plan.mix.lines.filter(({ material }) => material.kind === 'aggregate');
  const damp = grains.flatMap(({ material }) => plan.moisture[material.id] ?? []);
  const dry = dryUsed(plan, log);
  const pigments = (plan.mix.doses ?? []).filter(({ material }) => isPigment(material));
  const coloured = pigments.reduce((sum, { material }) => sum + (dry[material.id] ?? 0), 0) / cement;
  const plasticiser = plasticiserDose(plan.mix.doses ?? []);
  const { cementMonths } = plan.conditions;
  return [
    ['water', { value: demand / (plan.conditions.learnedDemand?.factor ?? 1), least: WATER[0], most: WATER[1] }],
    ['ratio', { value: batch.freeWater / cement, most: ratioCeiling[plan.mix.exposure] }],
    ['grade', { value: log.grade - plan.mix.grade, least: -GRADE, most: GRADE }],
    ['moisture', damp.length > 0 ? { value: Math.max(...damp) } : undefined],
    ['binderAge', cementMonths === undefined ? undefined : { value: cementMonths * MONTH_DAYS, most: FRESH }],
    ['pigment', pigments.length > 0 ? { value: coloured / PIGMENT_CEILING, most: 1 } : undefined],
    ['plasticiser', plasticiser > 0 ? { value: plasticiser / additives.plasticiser.ceiling, most: 1 } : undefined],
  ];
}

/** How it was placed, by the clock of the bench; without a run nothing is known of it. */
function ofPlacing({ bench, shape, initialSet }: PouredCast): [Circumstance, Circumstanced | undefined][] {
  if (!bench) return [];
  const { placing, liftWait, lifts, tapping } = bench;
  const deep = rimOf(shape) > DEEP;
  return [
    ['placing', placing === undefined ? undefined : { value: placing, most: 1 }],
    ['liftWait', liftWait === undefined ? undefined : { value: liftWait / initialSet, most: 1 }],
    ['oneLift', lifts === undefined ? undefined : flag(lifts === 1, deep)],
    ['notTapped', tapping === undefined ? undefined : flag(tapping === 0)],
    ['vibration', tapping ? { value: tapping } : undefined],
  ];
}

/** What a cast stood under until its mould was full. */
export function pouredUnder(cast: PouredCast): [Circumstance, Circumstanced | undefined][] {
  const { plan, log, mesh, noRelease, cycles, piece } = cast;
  const fibre = (plan.mix.doses ?? []).some(({ material: { additive = '' } }) => additive.endsWith('fibre'));
  return [
    ...ofMix(cast),
    ['temperature', { value: log.temperature, least: COLD, most: HOT }],
    ...ofPlacing(cast),
    ['unreinforced', flag(!fibre && !mesh, REINFORCED.includes(piece))],
    ['noRelease', flag(noRelease)],
    ['cycles', cycles === undefined ? undefined : { value: cycles }],
  ];
}
