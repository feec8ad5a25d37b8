import { drySolids, type BatchMasses } from './batch.js';
import { consistencies, consistency, type Grade } from './consistency.js';
import { doseWarnings, plasticiserDose, waterCut } from './dose.js';
import type { Mix } from './mix.js';
import { cementMass, powderRange, ratioCeiling, totalWater } from './water.js';

/** What was reckoned of a mix already: w/c, and the share of its volume that lightweight grains take. */
export interface KnownOfMix {
  readonly ratio: number;
  readonly light: number;
}

const place = ({ exposure }: Mix) => (exposure === 'frost' ? 'where frost comes' : exposure);

function waterWarnings(mix: Mix, batch: BatchMasses, ratio: number): string[] {
  const range = powderRange(drySolids(batch), consistency(mix.grade).factor);
  if (range) {
    if (batch.totalWater > range.high * (1 + 1e-9))
      return ['It takes more water than stands on the bag: weaker, and it may part. Go to a stiffer grade.'];
    if (batch.totalWater < range.low * (1 - 1e-9))
      return ['It gets less water than stands on the bag: dry pockets and brittle edges. Go to a wetter grade.'];
    return [];
  }
  const ceiling = ratioCeiling[mix.exposure];
  if (ratio <= ceiling) return [];
  const { grade } = mix;
  const wettest = wettestGrade(mix, batch);
  const reach = wettest === undefined || wettest >= grade ? '' : `“${consistency(grade).name}” is out of its reach; the wettest that keeps under is “${consistency(wettest).name}”. `; // prettier-ignore
  return [
    `Water to cement is ${ratio.toFixed(2)}, over ${ceiling} for a piece ${place(mix)}: weaker and thirsty. ${reach}Use a plasticiser, a coarser sand, more cement, or a stiffer grade.`,
  ];
}

/** What to beware of with a mix, as sentences. */
export function mixWarnings(mix: Mix, batch: BatchMasses, { ratio, light }: KnownOfMix): string[] {
  const { grade, doses = [], exposure } = mix;
  const found = [...waterWarnings(mix, batch, ratio), ...doseWarnings(doses)];
  if (light > 0.02 && grade >= 5) found.push('Lightweight grains float in a mix this wet: go to a stiffer grade.');
  if (grade === 7) found.push('Soup parts, loses strength and crazes: a stiffer grade with tapping fills as well.');
  if (plasticiserDose(doses) > 0 && grade >= 6 && ratio > 0.5)
    found.push('A plasticised mix this wet parts: sand sinks and paste rises. Take less water.');
  if (exposure !== 'indoors' && doses.some(({ material }) => material.additive === 'glue'))
    found.push('White glue softens again in the wet: use an acrylic polymer for a piece that lives outdoors.');
  if (doses.some(({ material }) => material.additive === 'accelerator'))
    found.push('Calcium chloride rusts wire and mesh: none in a piece that carries either.');
  return found;
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
