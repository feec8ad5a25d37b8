import { defined } from '../../foundation/math/index.js';
import { requireNumber, msg } from '../../foundation/units/index.js';
import { airOf } from './consistency.js';
import { additiveOf, solidsOf, waterCut, type Dose, type DosePortion } from './dose.js';
import { boundWater, heldMoisture } from './dry-mass.js';
import { freshVolume } from './fresh-volume.js';
import { dryMassesPerPart, type Mix } from './mix.js';
import { absorbedWater, binderMass, cementMass, totalWater, type Portion } from './water.js';

/** How a mix is cured and what its batches have taught. */
export interface MixConditions {
  /** Moist curing, equivalent days at 20 °C. */
  readonly moistCuringDays: number;
  /** Factor on the water demand that the mix's own batches showed, and how many they were. */
  readonly learnedDemand?: { readonly factor: number; readonly batches: number };
  /** Months since the binder's bag was opened, kept dry. */
  readonly cementMonths?: number;
  /** Free water to cement that the water is made to; by the consistency where left out. */
  readonly ratio?: number;
}

/** Masses of one batch, g, whatever its size. */
export interface BatchMasses {
  /** Dry masses of the lines. */
  readonly portions: readonly Portion[];
  readonly doses: readonly DosePortion[];
  readonly totalWater: number;
  /** Of that, brought by liquid additives. */
  readonly liquidWater: number;
  readonly absorbed: number;
  readonly freeWater: number;
  readonly bound: number;
  readonly held: number;
  /** Fresh volume, mL. */
  readonly volume: number;
}

/** Everything dry in a batch: its lines, and the solids of its doses. */
export function drySolids({ portions, doses }: Pick<BatchMasses, 'portions' | 'doses'>): Portion[] {
  const dosed = doses.map(({ dose: { material }, mass }) => ({ material, mass: mass * solidsOf(material) }));
  return [...portions, ...dosed];
}

/** What a batch takes from the store, g as it lies there but for moisture: its lines, and its doses whole. */
export const goods = ({ portions, doses }: Pick<BatchMasses, 'portions' | 'doses'>): Portion[] => [
  ...portions,
  ...doses.map(({ dose: { material }, mass }) => ({ material, mass })),
];

/** Water that liquid additives bring, g. */
export const liquidWaterOf = (doses: readonly DosePortion[]): number =>
  doses.reduce((sum, { dose, mass }) => sum + mass * (1 - solidsOf(dose.material)), 0);

/** Mass of a dose in a batch of that binder, cement (g) and fresh volume (mL), a liquid with its water. */
export function doseMass({ material, amount }: Dose, base: { binder: number; cement: number; volume: number }): number {
  const kind = additiveOf(material);
  if (kind.measure === 'kg/m³') return (amount * base.volume) / 1000;
  if (kind.measure === 'volume share') return amount * base.volume * material.particle;
  const mass = amount * base[kind.base];
  return kind.onSolids ? mass / solidsOf(material) : mass;
}

/** Least and most w/c that is asked for: drier it is dust, wetter it parts. */
const RATIOS = { min: 0.2, max: 1.5 } as const;

/** Water in all that a wanted w/c comes to, g; undefined where none is wanted. @throws InputError */
function wantedWater(
  { limeCounts }: Mix,
  portions: readonly Portion[],
  absorbed: number,
  { ratio }: MixConditions,
): number | undefined {
  if (ratio === undefined) return undefined;
  requireNumber('ratio', ratio, msg('mixes.requiredRatio'), RATIOS);
  return absorbed + ratio * cementMass(portions, { withLime: limeCounts });
}

/** What a batch is made of, once its doses are weighed. Water that is given is what really went in, in all, g. */
export function batchOf(
  mix: Mix,
  conditions: MixConditions,
  { portions, doses }: Pick<BatchMasses, 'portions' | 'doses'>,
  given?: number,
): BatchMasses {
  const solids = drySolids({ portions, doses });
  const cut = waterCut(mix);
  const absorbed = absorbedWater(solids);
  const wanted = given ?? wantedWater(mix, portions, absorbed, conditions);
  const water =
    wanted === undefined
      ? totalWater(solids, mix.grade, { cut, learned: conditions.learnedDemand?.factor })
      : Math.max(absorbed, wanted);
  const freeWater = water - absorbed;
  const liquidWater = liquidWaterOf(doses);
  return {
    portions,
    doses,
    totalWater: water,
    liquidWater,
    absorbed,
    freeWater,
    bound: boundWater(solids, freeWater, conditions.moistCuringDays),
    held: heldMoisture(solids),
    // A liquid takes its own room in all; its water thins the paste but takes no second room.
    volume: freshVolume(goods({ portions, doses }), freeWater - liquidWater, airOf(mix)),
  };
}

/** Masses and volume of the batch that one litre (or kilogram) of each part makes. */
export function massesPerPart(mix: Mix, conditions: MixConditions): BatchMasses {
  const masses = dryMassesPerPart(mix);
  const portions = mix.lines.map(({ material }, i) => ({ material, mass: defined(masses[i]) }));
  const base = { binder: binderMass(portions), cement: doseCement(portions) };
  const dosed = (volume: number) =>
    batchOf(mix, conditions, {
      portions,
      doses: (mix.doses ?? []).map((dose) => ({ dose, mass: doseMass(dose, { ...base, volume }) })),
    });
  const none = dosed(0);
  if (!(mix.doses ?? []).some(({ material }) => additiveOf(material).base === 'volume')) return none;
  // Doses by volume add to the volume that they are a share of: a straight line, solved by two points on it.
  return dosed(none.volume / (1 - (dosed(1).volume - none.volume)));
}

/** Mass that doses "of cement" are calculated on, g. */
const doseCement = (portions: readonly Portion[]) =>
  cementMass(portions, { share: ({ powder }) => powder?.doseShare ?? 1 });

/** The same batch, `factor` times as large. */
export function scaleMasses(batch: BatchMasses, factor: number): BatchMasses {
  return {
    portions: batch.portions.map(({ material, mass }) => ({ material, mass: mass * factor })),
    doses: batch.doses.map(({ dose, mass }) => ({ dose, mass: mass * factor })),
    totalWater: batch.totalWater * factor,
    liquidWater: batch.liquidWater * factor,
    absorbed: batch.absorbed * factor,
    freeWater: batch.freeWater * factor,
    bound: batch.bound * factor,
    held: batch.held * factor,
    volume: batch.volume * factor,
  };
}

/** Batches of one mix together, g; their doses are told as the mix has them. */
export function sumOfBatches(batches: readonly BatchMasses[], { doses = [] }: Pick<Mix, 'doses'>): BatchMasses {
  const sum = (of: (batch: BatchMasses) => number) => batches.reduce((total, batch) => total + of(batch), 0);
  const dosed = (id: string) =>
    sum((batch) => batch.doses.reduce((all, { dose, mass }) => all + (dose.material.id === id ? mass : 0), 0));
  return {
    portions: defined(batches[0]).portions.map(({ material }, i) => ({
      material,
      mass: sum(({ portions }) => defined(portions[i]).mass),
    })),
    doses: doses.map((dose) => ({ dose, mass: dosed(dose.material.id) })),
    totalWater: sum(({ totalWater: one }) => one),
    liquidWater: sum(({ liquidWater }) => liquidWater),
    absorbed: sum(({ absorbed }) => absorbed),
    freeWater: sum(({ freeWater }) => freeWater),
    bound: sum(({ bound }) => bound),
    held: sum(({ held }) => held),
    volume: sum(({ volume }) => volume),
  };
}

/** Mass of the dry solids of a batch, g. */
export const solidsMass = (batch: BatchMasses): number => drySolids(batch).reduce((total, { mass }) => total + mass, 0);

/** Mass of a batch when it is fresh, and when it has dried, g. */
export function batchMass(batch: BatchMasses): { fresh: number; dry: number } {
  const solids = solidsMass(batch);
  return { fresh: solids + batch.totalWater, dry: solids + batch.bound + batch.held };
}
