import { remedies, worstFirst, type Finding, type Remedy } from '../../foundation/units/index.js';
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

const place = ({ exposure }: Mix) => (exposure === 'frost' ? 'where frost comes' : exposure);

const toGrade = (grade: Grade): Remedy<GradeChange> => ({
  text: `Make it “${consistency(grade).name}”.`,
  change: { grade },
});

function powderFindings(batch: BatchMasses, { low, high }: { low: number; high: number }): MixFinding[] {
  const off = { key: 'powder-water', harm: 2, basis: 'product', reason: 'The water of a ready-made powder stands on its bag.' } as const; // prettier-ignore
  if (batch.totalWater > high * (1 + 1e-9))
    return [
      {
        ...off,
        text: 'It takes more water than stands on the bag: weaker, and it may part.',
        remedies: remedies('Go to a stiffer grade.'),
      },
    ];
  if (batch.totalWater < low * (1 - 1e-9))
    return [
      {
        ...off,
        text: 'It gets less water than stands on the bag: dry pockets and brittle edges.',
        remedies: remedies('Go to a wetter grade.'),
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
  const reach = wettest === undefined || wettest >= grade ? '' : ` “${consistency(grade).name}” is out of its reach.`;
  return [
    {
      key: 'ceiling',
      harm: mix.exposure === 'frost' ? 2 : 3,
      text: `The water–cement ratio is ${ratio.toFixed(2)}, over ${ceiling} for a piece ${place(mix)}: weaker and thirsty.${reach}`,
      reason: 'Water beyond what the cement binds leaves pores, which take up water and freeze.',
      basis: 'guide',
      remedies: [
        ...(wettest !== undefined && wettest < grade ? [toGrade(wettest)] : []),
        ...remedies('Use a plasticiser, a coarser sand, or more cement.'),
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
      text: 'Lightweight grains float in a mix this wet.',
      reason: 'They are lighter than the paste, and rise until it is stiff enough to hold them.',
      remedies: [toGrade(4)],
    });
  if (grade === 7)
    found.push({
      ...parts,
      key: 'soup',
      text: 'Soup parts, loses strength and crazes.',
      reason: 'A stiffer grade with tapping fills as well.',
      remedies: [toGrade(6)],
    });
  if (plasticiserDose(doses) > 0 && grade >= 6 && ratio > 0.5)
    found.push({
      ...parts,
      key: 'parting',
      text: 'A plasticised mix this wet parts: sand sinks and paste rises.',
      reason: 'The plasticiser makes it fluid already.',
      remedies: [toGrade(5)],
    });
  return found;
}

function doseFindings({ doses = [], exposure }: Mix): MixFinding[] {
  const found = doseWarnings(doses).map((text): MixFinding => ({
    key: 'dose',
    harm: 3,
    text,
    reason: 'Past the ceiling a dose costs strength and gains nothing.',
    basis: 'guide',
    remedies: remedies('Take less of it.'),
  }));
  if (exposure !== 'indoors' && doses.some(({ material }) => material.additive === 'glue'))
    found.push({
      key: 'glue-outdoors',
      harm: 2,
      text: 'White glue softens again in the wet.',
      reason: 'It stays soluble in water.',
      basis: 'guide',
      remedies: remedies('Use an acrylic polymer for a piece that lives outdoors.'),
    });
  if (doses.some(({ material }) => material.additive === 'accelerator'))
    found.push({
      key: 'chloride',
      harm: 3,
      text: 'Calcium chloride rusts wire and mesh.',
      reason: 'Rust swells and splits the piece.',
      basis: 'guide',
      remedies: remedies('Use none in a piece that carries either.'),
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
