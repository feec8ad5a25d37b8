import {
  computed,
  figure,
  handbook,
  line,
  typed,
  type Basis,
  type Figure,
  msg,
  quantity,
  exactly,
  type Phrase,
  fixed,
} from '../../foundation/units/index.js';
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
  readonly name: Phrase;
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
    { name: msg('mixes.freeWater'), kind: 'water', share: (batch.freeWater - batch.liquidWater) / batch.volume },
    { name: msg('mixes.air'), kind: 'air', share: airOf(mix) },
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
    line(msg('mixes.looseVolumes'), loose, 'mL', msg('mixes.oneLitreEach')),
    ...batch.portions.map(({ material, mass }) =>
      line(
        msg('mixes.grainsTake', { material: material.name }),
        mass / material.particle,
        'mL',
        msg('mixes.massAt', { mass: quantity(mass, 'g', 0), particle: exactly(material.particle, 'kg/L') }),
      ),
    ),
    ...batch.doses.map(({ dose: { material }, mass }) =>
      line(`${material.name} takes`, mass / material.particle, 'mL', `${mass.toFixed(1)} g`),
    ),
    line(msg('mixes.freeWater'), batch.freeWater - batch.liquidWater, 'mL', msg('mixes.soakedNoRoom')),
    line(
      msg('mixes.air'),
      airOf(mix) * 100,
      '%',
      mix.packed ? msg('mixes.packedByHand') : msg('mixes.atGrade', { name: consistency(mix.grade).name }),
    ),
    line(msg('mixes.freshMix'), batch.volume, 'mL', msg('mixes.freshMixFormula')),
    line(msg('mixes.yield'), factor, 'ratio', msg('mixes.yieldHow')),
  ]);
}

function densityFigures(batch: BatchMasses): { freshDensity: Figure; dryDensity: Figure } {
  const solids = solidsMass(batch);
  const mass = batchMass(batch);
  const volume = line(msg('mixes.freshVolume'), batch.volume, 'mL');
  const fresh = mass.fresh / batch.volume;
  const dry = mass.dry / batch.volume;
  return {
    freshDensity: figure(fresh, 'kg/L', computed, [
      line(msg('mixes.dryMaterials'), solids, 'g'),
      line(msg('mixes.waterInAll'), batch.totalWater, 'g'),
      volume,
      line(msg('mixes.freshDensity'), fresh, 'kg/L'),
    ]),
    dryDensity: figure(dry, 'kg/L', computed, [
      line(msg('mixes.dryMaterials'), solids, 'g'),
      line(msg('mixes.boundWater'), batch.bound, 'g', msg('mixes.boundHow')),
      line(msg('mixes.moistureStays'), batch.held, 'g'),
      volume,
      line(msg('mixes.dryDensity'), dry, 'kg/L'),
    ]),
  };
}

/** A wanted w/c: the water follows from it. */
function wantedRatioFigure({ absorbed, freeWater, totalWater }: BatchMasses, cement: number, wanted: number): Figure {
  return figure(wanted, 'ratio', typed, [
    line(msg('mixes.ratioRequired'), wanted, 'ratio', msg('mixes.inPlaceOfConsistency')),
    line(msg('mixes.cement'), cement, 'g'),
    line(msg('mixes.freeWater'), freeWater, 'g', msg('mixes.requiredTimesCement')),
    line(msg('mixes.andSoaked'), absorbed, 'g'),
    line(msg('mixes.waterInAll'), totalWater, 'g'),
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
    line(msg('mixes.waterInAll'), batch.totalWater, 'g', msg('mixes.byDemand', { name: consistency(mix.grade).name })),
    ...(cut > 0 ? [line(msg('mixes.plasticiserSaved'), cut * 100, '%', msg('mixes.ofDemand'))] : []),
    ...(learned ? [line(msg('mixes.timesLearned'), learnedDemand.factor, 'ratio')] : []),
    line(msg('mixes.lessSoaked'), batch.absorbed, 'g'),
    line(msg('mixes.freeWater'), batch.freeWater, 'g'),
    line(msg('mixes.cement'), cement, 'g', mix.limeCounts ? msg('mixes.limeCounted') : undefined),
    line(msg('mixes.ratio'), ratio, 'ratio', msg('mixes.ratioFormula')),
  ]);
}

function strengthFigure(given: StrengthInputs, gypsum: boolean): Figure {
  const { ratio, lightShare, air, ageFactor = 1, pigment = 0 } = given;
  const strength = mixStrength(given);
  const working = [
    line(msg('mixes.ratio'), ratio, 'ratio', msg('mixes.ratioFloor', { least: fixed(0.35, 2) })),
    line(msg('mixes.lightShare'), lightShare * 100, '%', msg('mixes.lightFormula')),
    line(msg('mixes.air'), air * 100, '%', msg('mixes.airCosts')),
    ...(ageFactor < 1 ? [line(msg('mixes.cementAge'), ageFactor, 'ratio', msg('mixes.keptDry'))] : []),
    ...(pigment > PIGMENT_CEILING ? [line(msg('mixes.pigment'), pigment * 100, '%', msg('mixes.pigmentCosts'))] : []),
    line(gypsum ? msg('mixes.strengthDried') : msg('mixes.strength28'), strength, 'MPa', msg('mixes.strengthFormula')),
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
