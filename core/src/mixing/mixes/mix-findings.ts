import { remedies, worstFirst, type Finding, type Remedy, msg, fixed } from '../../foundation/units/index.js';
import { drySolids, type BatchMasses } from './batch.js';
import { consistencies, consistency, type Grade } from './consistency.js';
import { doseWarnings, plasticiserDose, waterCut } from './dose.js';
import type { Mix } from './mix.js';
import { cementMass, powderRange, ratioCeiling, totalWater } from './water.js';

/** What was calculated of a mix already: w/c, and the share of its volume that lightweight grains take. */
export interface KnownOfMix {
  readonly ratio: number;
  readonly light: number;
}

/** Another consistency: the one change that a mix by itself can be given. */
export interface GradeChange {
  readonly grade: Grade;
}

/** What speaks against a mix. */
export type MixFinding = Finding<GradeChange>;

const toGrade = (grade: Grade): Remedy<GradeChange> => ({
  text: msg('mixes.makeItGrade', { name: consistency(grade).name }),
  change: { grade },
});

function powderFindings(batch: BatchMasses, { low, high }: { low: number; high: number }): MixFinding[] {
  const off = { key: 'powder-water', harm: 2, basis: 'product', reason: msg('mixes.powderReason') } as const; // prettier-ignore
  if (batch.totalWater > high * (1 + 1e-9))
    return [
      {
        ...off,
        text: msg('mixes.powderTooWet'),
        remedies: remedies(msg('mixes.stifferGrade')),
      },
    ];
  if (batch.totalWater < low * (1 - 1e-9))
    return [
      {
        ...off,
        text: msg('mixes.powderTooDry'),
        remedies: remedies(msg('mixes.wetterGrade')),
      },
    ];
  return [];
}

function waterFindings(mix: Mix, batch: BatchMasses, ratio: number): MixFinding[] {
  const range = powderRange(drySolids(batch), consistency(mix.grade).factor);
  if (range) return powderFindings(batch, range);
  const ceiling = ratioCeiling[mix.exposure];
  if (ratio <= ceiling) return [];
  const { grade } = mix;
  const wettest = wettestGrade(mix, batch);
  const reach = wettest === undefined || wettest >= grade ? 'yes' : 'no';
  return [
    {
      key: 'ceiling',
      harm: mix.exposure === 'frost' ? 2 : 3,
      text: msg('mixes.overCeiling', {
        ratio: fixed(ratio, 2),
        ceiling: fixed(ceiling, 2),
        exposure: mix.exposure,
        grade: consistency(grade).name,
        reach,
      }),
      reason: msg('mixes.ceilingReason'),
      basis: 'guide',
      remedies: [
        ...(wettest !== undefined && wettest < grade ? [toGrade(wettest)] : []),
        ...remedies(msg('mixes.plasticiserOrSand')),
      ],
    },
  ];
}

function gradeFindings({ grade, doses = [] }: Mix, { ratio, light }: KnownOfMix): MixFinding[] {
  const parts = { harm: 2, basis: 'guide' } as const;
  const found: MixFinding[] = [];
  if (light > 0.02 && grade >= 5)
    found.push({
      ...parts,
      key: 'float',
      text: msg('mixes.grainsFloat'),
      reason: msg('mixes.grainsFloatReason'),
      remedies: [toGrade(4)],
    });
  if (grade === 7)
    found.push({
      ...parts,
      key: 'soup',
      text: msg('mixes.soupParts'),
      reason: msg('mixes.soupReason'),
      remedies: [toGrade(6)],
    });
  if (plasticiserDose(doses) > 0 && grade >= 6 && ratio > 0.5)
    found.push({
      ...parts,
      key: 'parting',
      text: msg('mixes.plasticisedParts'),
      reason: msg('mixes.plasticisedReason'),
      remedies: [toGrade(5)],
    });
  return found;
}

function doseFindings({ doses = [], exposure }: Mix): MixFinding[] {
  const found = doseWarnings(doses).map((text): MixFinding => ({
    key: 'dose',
    harm: 3,
    text,
    reason: msg('mixes.doseReason'),
    basis: 'guide',
    remedies: remedies(msg('mixes.takeLess')),
  }));
  if (exposure !== 'indoors' && doses.some(({ material }) => material.additive === 'glue'))
    found.push({
      key: 'glue-outdoors',
      harm: 2,
      text: msg('mixes.glueOutdoors'),
      reason: msg('mixes.glueReason'),
      basis: 'guide',
      remedies: remedies(msg('mixes.glueRemedy')),
    });
  if (doses.some(({ material }) => material.additive === 'accelerator'))
    found.push({
      key: 'chloride',
      harm: 3,
      text: msg('mixes.chlorideRusts'),
      reason: msg('mixes.rustSwells'),
      basis: 'guide',
      remedies: remedies(msg('mixes.chlorideRemedy')),
    });
  return found;
}

/** What speaks against a mix by itself, the worst first. */
export function mixFindings(mix: Mix, batch: BatchMasses, known: KnownOfMix): MixFinding[] {
  return worstFirst([...waterFindings(mix, batch, known.ratio), ...gradeFindings(mix, known), ...doseFindings(mix)]);
}

/** The wettest grade, short of soup, at which a recipe keeps under its ceiling of water; undefined where none does. */
export function wettestGrade(mix: Mix, batch: BatchMasses): Grade | undefined {
  const solids = drySolids(batch);
  const cement = cementMass(batch.portions, { withLime: mix.limeCounts });
  const cut = waterCut(mix);
  const under = consistencies.filter(({ grade, factor }) => {
    if (grade === 7) return false;
    const water = totalWater(solids, grade, { cut });
    const range = powderRange(solids, factor);
    return range ? water <= range.high * (1 + 1e-9) : water - batch.absorbed <= ratioCeiling[mix.exposure] * cement;
  });
  return under[under.length - 1]?.grade;
}
