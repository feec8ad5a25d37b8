import { computed, figure, handbook, line, typed, type Basis, type Figure } from '../../foundation/units/index.js';
import { PIGMENT_CEILING } from '../materials/index.js';
import { batchMass, goods, massesPerPart, solidsMass, type BatchMasses, type MixConditions } from './batch.js';
import { airOf, consistency } from './consistency.js';
import { pigmentShare, waterCut } from './dose.js';
import { mixFindings, type MixFinding } from './mix-findings.js';
import { checkMix, isGypsum, type Mix } from './mix.js';
import { cementAgeFactor, mixStrength, strengthBand, useWord, type StrengthInputs } from './strength.js';
import { cementMass, type Portion } from './water.js';

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
  /** What speaks against it by itself, the worst first. */
  readonly findings: readonly MixFinding[];
  /** Masses of the batch that one litre of each part makes. */
  readonly perPart: BatchMasses;
}

/** Density of gravelled concrete, dry, kg/L: what the saving in weight is shown against. */
export const GRAVELLED_DENSITY = 2.35;

function volumeShares(mix: Mix, batch: BatchMasses): VolumeShare[] {
  const share = ({ material, mass }: Portion) => ({
    name: material.name,
    kind: material.additive ?? material.kind,
    share: mass / material.particle / batch.volume,
  });
  return [
    ...goods(batch).map(share),
    { name: 'Free water', kind: 'water', share: (batch.freeWater - batch.liquidWater) / batch.volume },
    { name: 'Air', kind: 'air', share: airOf(mix) },
  ];
}

function lightShareOf(shares: readonly VolumeShare[]): number {
  return shares
    .filter(({ kind }) => kind === 'lightweight' || kind === 'organic')
    .reduce((sum, { share }) => sum + share, 0);
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
    ...batch.doses.map(({ dose: { material }, mass }) =>
      line(`${material.name} takes`, mass / material.particle, 'mL', `${mass.toFixed(1)} g`),
    ),
    line('Free water', batch.freeWater - batch.liquidWater, 'mL', 'what grains soak up takes no extra room'),
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
      line('Water bound for good', batch.bound, 'g', 'by the binder, after the moist curing'),
      line('Moisture that stays', batch.held, 'g'),
      volume,
      line('Dry density', dry, 'kg/L'),
    ]),
  };
}

/** A wanted w/c: the water follows from it. */
function wantedRatioFigure({ absorbed, freeWater, totalWater }: BatchMasses, cement: number, wanted: number): Figure {
  return figure(wanted, 'ratio', typed, [
    line('Required water–cement ratio', wanted, 'ratio', 'in place of a consistency'),
    line('Cement', cement, 'g'),
    line('Free water', freeWater, 'g', 'wanted × cement'),
    line('and what the grains soak up', absorbed, 'g'),
    line('Water in all', totalWater, 'g'),
  ]);
}

function ratioFigure(mix: Mix, batch: BatchMasses, cement: number, conditions: MixConditions): Figure {
  const { learnedDemand } = conditions;
  if (conditions.ratio !== undefined) return wantedRatioFigure(batch, cement, conditions.ratio);
  const ratio = cement > 0 ? batch.freeWater / cement : 0;
  const learned = learnedDemand !== undefined && learnedDemand.batches > 0;
  const basis: Basis = learned ? { kind: 'learned', records: learnedDemand.batches } : handbook;
  const cut = waterCut(mix);
  return figure(ratio, 'ratio', basis, [
    line('Water in all', batch.totalWater, 'g', `by the demand of each material at “${consistency(mix.grade).name}”`),
    ...(cut > 0 ? [line('of which the plasticiser saved', cut * 100, '%', 'of the demand')] : []),
    ...(learned ? [line('times what its batches taught', learnedDemand.factor, 'ratio')] : []),
    line('less what the grains soak up', batch.absorbed, 'g'),
    line('Free water', batch.freeWater, 'g'),
    line('Cement', cement, 'g', mix.limeCounts ? 'lime and metakaolin counted' : undefined),
    line('Water–cement ratio', ratio, 'ratio', 'free water ÷ cement'),
  ]);
}

function strengthFigure(given: StrengthInputs, gypsum: boolean): Figure {
  const { ratio, lightShare, air, ageFactor = 1, pigment = 0 } = given;
  const strength = mixStrength(given);
  const working = [
    line('Water–cement ratio', ratio, 'ratio', 'taken not under 0.35'),
    line('Lightweight and organic share', lightShare * 100, '%', 'strength × (1 − share)^2.5'),
    line('Air', air * 100, '%', '5 % of strength lost for each per cent over 2'),
    ...(ageFactor < 1 ? [line('Age of the cement', ageFactor, 'ratio', 'kept dry since it was opened')] : []),
    ...(pigment > PIGMENT_CEILING ? [line('Pigment', pigment * 100, '%', '2 % of strength lost for each over 5')] : []),
    line(
      gypsum ? 'When it has dried; half of it wet' : 'At 28 days, kept damp',
      strength,
      'MPa',
      '124·exp(−2.68·w/c), table of ACI 211.1, ±25 %',
    ),
  ];
  return figure(strength, 'MPa', handbook, working, strengthBand(strength));
}

/**
 * Calculates a recipe. Everything in it scales with size, so it is told for one litre (or kilogram) of each part.
 * @throws InputError when the recipe cannot be mixed.
 */
export function calculateMix(mix: Mix, conditions: MixConditions): MixFigures {
  checkMix(mix);
  const batch = massesPerPart(mix, conditions);
  const cement = cementMass(batch.portions, { withLime: mix.limeCounts });
  const ratio = ratioFigure(mix, batch, cement, conditions);
  const shares = volumeShares(mix, batch);
  const gypsum = isGypsum(mix);
  const inputs: StrengthInputs = {
    ratio: ratio.value,
    lightShare: lightShareOf(shares),
    air: airOf(mix),
    ageFactor: cementAgeFactor(conditions.cementMonths ?? 0),
    pigment: pigmentShare(mix.doses ?? []),
  };
  const strength = strengthFigure(inputs, gypsum);
  return {
    ratio,
    yield: yieldFigure(mix, batch),
    ...densityFigures(batch),
    strength,
    use: gypsum ? 'display' : useWord(strength.value),
    shares,
    findings: mixFindings(mix, batch, { ratio: ratio.value, light: lightShareOf(shares) }),
    perPart: batch,
  };
}
