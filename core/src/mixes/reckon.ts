import { computed, figure, handbook, line, type Basis, type Figure } from '../units/index.js';
import { consistency, PACKED_AIR } from './consistency.js';
import { boundWater, heldMoisture } from './dry-mass.js';
import { checkMix, dryMassesPerPart, type Mix } from './mix.js';
import { mixStrength, strengthBand, useWord } from './strength.js';
import { freshVolume, solidVolumes } from './volume.js';
import { absorbedWater, cementMass, ratioCeiling, totalWater, type Portion } from './water.js';

/** How a mix is cured and what its batches have taught. */
export interface MixConditions {
  /** Damp cure, equivalent days at 20 °C. */
  readonly dampDays: number;
  /** Factor on the water demand that the mix's own batches showed, and how many they were. */
  readonly learnedDemand?: { readonly factor: number; readonly batches: number };
}

/** Masses of one batch, g, whatever its size. */
export interface BatchMasses {
  readonly portions: readonly Portion[];
  readonly totalWater: number;
  readonly absorbed: number;
  readonly freeWater: number;
  readonly bound: number;
  readonly held: number;
  /** Fresh volume, mL. */
  readonly volume: number;
}

/** Room taken in the fresh mix by one thing, share of its volume. */
export interface VolumeShare {
  readonly name: string;
  readonly kind: string;
  readonly share: number;
}

/** Everything that a recipe implies, whatever its size. */
export interface MixFigures {
  readonly ratio: Figure;
  readonly yield: Figure;
  readonly freshDensity: Figure;
  readonly dryDensity: Figure;
  readonly strength: Figure;
  readonly use: ReturnType<typeof useWord>;
  readonly shares: readonly VolumeShare[];
  readonly warnings: readonly string[];
  /** Masses of the batch that one litre of each part makes. */
  readonly perPart: BatchMasses;
}

/** Density of gravelled concrete, dry, kg/L: what the saving in weight is shown against. */
export const GRAVELLED_DENSITY = 2.35;

/** Air left in the mix, share of volume. */
export function airOf(mix: Mix): number {
  return mix.packed ? PACKED_AIR : consistency(mix.grade).air;
}

/** Masses and volume of the batch that one litre (or kilogram) of each part makes. */
export function massesPerPart(mix: Mix, conditions: MixConditions): BatchMasses {
  const masses = dryMassesPerPart(mix);
  const portions = mix.lines.map(({ material }, i) => ({ material, mass: masses[i]! }));
  const water = totalWater(portions, mix.grade, conditions.learnedDemand?.factor);
  const absorbed = absorbedWater(portions);
  const freeWater = water - absorbed;
  return {
    portions,
    totalWater: water,
    absorbed,
    freeWater,
    bound: boundWater(portions, freeWater, conditions.dampDays),
    held: heldMoisture(portions),
    volume: freshVolume(portions, freeWater, airOf(mix)),
  };
}

/** The same batch, `factor` times as large. */
export function scaleMasses(batch: BatchMasses, factor: number): BatchMasses {
  return {
    portions: batch.portions.map(({ material, mass }) => ({ material, mass: mass * factor })),
    totalWater: batch.totalWater * factor,
    absorbed: batch.absorbed * factor,
    freeWater: batch.freeWater * factor,
    bound: batch.bound * factor,
    held: batch.held * factor,
    volume: batch.volume * factor,
  };
}

/** Mass of the dry solids of a batch, g. */
export function solidsMass(batch: BatchMasses): number {
  return batch.portions.reduce((total, { mass }) => total + mass, 0);
}

/** Mass of a batch when it is fresh, and when it has dried, g. */
export function batchMass(batch: BatchMasses): { fresh: number; dry: number } {
  const solids = solidsMass(batch);
  return { fresh: solids + batch.totalWater, dry: solids + batch.bound + batch.held };
}

function volumeShares(mix: Mix, batch: BatchMasses): VolumeShare[] {
  const solids = solidVolumes(batch.portions);
  const shares = batch.portions.map(({ material }, i) => ({
    name: material.name,
    kind: material.kind as string,
    share: solids[i]! / batch.volume,
  }));
  return [
    ...shares,
    { name: 'Free water', kind: 'water', share: batch.freeWater / batch.volume },
    { name: 'Air', kind: 'air', share: airOf(mix) },
  ];
}

function lightShare(shares: readonly VolumeShare[]): number {
  return shares
    .filter(({ kind }) => kind === 'lightweight' || kind === 'organic')
    .reduce((sum, { share }) => sum + share, 0);
}

function warn(mix: Mix, ratio: number, light: number): string[] {
  const found: string[] = [];
  const ceiling = ratioCeiling[mix.exposure];
  if (ratio > ceiling) {
    const place = mix.exposure === 'frost' ? 'where frost comes' : mix.exposure;
    found.push(
      `Water to cement is ${ratio.toFixed(2)}, over ${ceiling} for a piece ${place}: weaker and thirsty. Use a plasticiser, a coarser sand, more cement, or a stiffer grade.`,
    );
  }
  if (light > 0.02 && mix.grade >= 5) found.push('Lightweight grains float in a mix this wet: go to a stiffer grade.');
  if (mix.grade === 7) found.push('Soup parts, loses strength and crazes: a stiffer grade with tapping fills as well.');
  return found;
}

function yieldFigure(mix: Mix, batch: BatchMasses): Figure {
  const loose = batch.portions.reduce((sum, { material, mass }) => sum + mass / material.bulk, 0);
  const factor = batch.volume / loose;
  return figure(factor, 'ratio', computed, [
    line('Loose volumes put in', loose, 'mL', 'for one litre of each part'),
    ...batch.portions.map(({ material, mass }) =>
      line(
        `${material.name}: its grains take`,
        mass / material.particle,
        'mL',
        `${mass.toFixed(0)} g at ${material.particle} kg/L`,
      ),
    ),
    line('Free water', batch.freeWater, 'mL', 'what grains soak up takes no extra room'),
    line('Air', airOf(mix) * 100, '%', mix.packed ? 'packed by hand' : `at “${consistency(mix.grade).name}”`),
    line('Fresh mix', batch.volume, 'mL', '(grains + free water) ÷ (1 − air)'),
    line('Yield', factor, 'ratio', 'fresh ÷ loose: grains sit in each other’s gaps'),
  ]);
}

function densityFigures(batch: BatchMasses): { freshDensity: Figure; dryDensity: Figure } {
  const solids = solidsMass(batch);
  const mass = batchMass(batch);
  const volume = line('Fresh volume', batch.volume, 'mL');
  const fresh = mass.fresh / batch.volume;
  const dry = mass.dry / batch.volume;
  return {
    freshDensity: figure(fresh, 'kg/L', computed, [
      line('Dry materials', solids, 'g'),
      line('Water in all', batch.totalWater, 'g'),
      volume,
      line('Fresh density', fresh, 'kg/L'),
    ]),
    dryDensity: figure(dry, 'kg/L', computed, [
      line('Dry materials', solids, 'g'),
      line('Water bound for good', batch.bound, 'g', 'by the binder, after the damp cure'),
      line('Moisture that stays', batch.held, 'g'),
      volume,
      line('Dry density', dry, 'kg/L'),
    ]),
  };
}

/**
 * Reckons a recipe. Everything in it scales with size, so it is told for one litre (or kilogram) of each part.
 * @throws InputError when the recipe cannot be mixed.
 */
export function reckonMix(mix: Mix, conditions: MixConditions): MixFigures {
  checkMix(mix);
  const batch = massesPerPart(mix, conditions);
  const cement = cementMass(batch.portions);
  const ratio = cement > 0 ? batch.freeWater / cement : 0;
  const shares = volumeShares(mix, batch);
  const light = lightShare(shares);
  const air = airOf(mix);
  const strength = mixStrength({ ratio, lightShare: light, air });
  const learned = conditions.learnedDemand;
  const waterBasis: Basis = learned && learned.batches > 0 ? { kind: 'learned', records: learned.batches } : handbook;
  return {
    ratio: figure(ratio, 'ratio', waterBasis, [
      line('Water in all', batch.totalWater, 'g', `by the demand of each material at “${consistency(mix.grade).name}”`),
      line('less what the grains soak up', batch.absorbed, 'g'),
      line('Free water', batch.freeWater, 'g'),
      line('Cement', cement, 'g'),
      line('Water to cement', ratio, 'ratio', 'free water ÷ cement'),
    ]),
    yield: yieldFigure(mix, batch),
    ...densityFigures(batch),
    strength: figure(
      strength,
      'MPa',
      handbook,
      [
        line('Water to cement', ratio, 'ratio', 'taken not under 0.35'),
        line('Lightweight and organic share', light * 100, '%', 'strength × (1 − share)^2.5'),
        line('Air', air * 100, '%', '5 % of strength lost for each per cent over 2'),
        line('At 28 days, kept damp', strength, 'MPa', '124·exp(−2.68·w/c), table of ACI 211.1, ±25 %'),
      ],
      strengthBand(strength),
    ),
    use: useWord(strength),
    shares,
    warnings: warn(mix, ratio, light),
    perPart: batch,
  };
}
