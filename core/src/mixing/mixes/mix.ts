import { Checker, msg } from '../../foundation/units/index.js';
import type { SettingTimes } from '../binders/index.js';
import { checkTimes, isBinder, type Material } from '../materials/index.js';
import type { Grade } from './consistency.js';
import { checkDoses, type Dose } from './dose.js';

/** Where the piece will live: sets the ceiling on water. */
export const exposures = ['indoors', 'outdoors', 'frost'] as const;
export type Exposure = (typeof exposures)[number];

/** What parts are parts of: volume in the scoop, or mass. */
export const partsBy = ['volume', 'mass'] as const;
export type PartsBy = (typeof partsBy)[number];

/** One line of a recipe, in the order it goes into the bucket. */
export interface MixLine {
  readonly material: Material;
  readonly parts: number;
  /** Where it differs from the mix: litres among kilograms, or kilograms among litres. */
  readonly by?: PartsBy;
}

/** What is said of a recipe beside what goes into it. */
export interface MixTerms {
  /** Whether parts are scoops or grams. */
  readonly by: PartsBy;
  readonly grade: Grade;
  readonly exposure: Exposure;
  /** Pressed into the mould by hand, which leaves more air. */
  readonly packed?: boolean;
  /** Lime and metakaolin count as cement in w/c. */
  readonly limeCounts?: boolean;
  /** Pot life and set as the caster knows them, doses and all; else by its binders. */
  readonly times?: SettingTimes;
}

/** A recipe. */
export interface Mix extends MixTerms {
  readonly lines: readonly MixLine[];
  readonly doses?: readonly Dose[];
}

/** Whether grains of perlite and the like make it light: it dries faster, and wants its moist curing most. */
export const isLightweight = ({ lines }: Pick<Mix, 'lines'>): boolean =>
  lines.some(({ material }) => material.kind === 'lightweight');

/** Whether gypsum binds it: it is as strong as it is dry, for display in a dry room, and never cured moist. */
export const isGypsum = ({ lines }: Pick<Mix, 'lines'>): boolean =>
  lines.some(({ material: { family } }) => family === 'gypsum');

/** Most parts that are taken in one line. */
const MOST_PARTS = 1000;

/** Refuses a recipe that cannot be mixed. @throws InputError */
export function checkMix(mix: Mix): void {
  const check = new Checker();
  check.expect(mix.lines.length > 0, 'lines', mix.lines.length, msg('mixes.noMaterials'), msg('mixes.addBinder'));
  mix.lines.forEach(({ material, parts }, i) => {
    const name = material.name.toLowerCase();
    check.number(`lines.${i}.parts`, parts, msg('mixes.partsOf', { name }), { above: 0, max: MOST_PARTS });
    check.expect(
      material.kind !== 'additive',
      `lines.${i}.material`,
      material.name,
      msg('mixes.additiveAsLine', { material: material.name }),
      msg('mixes.putAmongDoses'),
    );
    check.expect(
      material.kind !== 'sealer',
      `lines.${i}.material`,
      material.name,
      msg('mixes.sealerAsLine', { material: material.name }),
      msg('mixes.takeOut'),
    );
    check.expect(
      mix.lines.findIndex((other) => other.material.id === material.id) === i,
      `lines.${i}.material`,
      material.name,
      msg('mixes.twiceInMix', { material: material.name }),
      msg('mixes.joinParts'),
    );
  });
  const binds = mix.lines.some(({ material, parts }) => parts > 0 && isBinder(material));
  check.expect(binds || mix.lines.length === 0, 'lines', 0, msg('mixes.neverSets'), msg('mixes.addCement'));
  checkDoses(check, mix.doses ?? []);
  checkTimes(check, 'times', msg('mixes.theMix'), mix.times);
  check.done();
}

/** g in one part of a material: a litre of it loose and dry, or a kilogram. */
const partMass = (material: Material, by: PartsBy) => (by === 'volume' ? material.bulk : 1) * 1000;

/** Dry mass of each line for one part, g: parts of volume are litres of dry material, parts of mass are kilograms. */
export function dryMassesPerPart(mix: Mix): number[] {
  return mix.lines.map(({ material, parts, by = mix.by }) => parts * partMass(material, by));
}

/** A line told by the other measure: the same mass in other parts. `of` is how its mix is told. */
export function lineToldBy({ material, parts, by }: MixLine, of: PartsBy, to: PartsBy): MixLine {
  return { material, parts: (parts * partMass(material, by ?? of)) / partMass(material, to), by: to };
}

/** The same recipe with its parts told by the other measure; a recipe there and back is the same. */
export function toldBy(mix: Mix, by: PartsBy): Mix {
  const lines = mix.lines.map((line) => {
    const { material, parts } = lineToldBy(line, mix.by, by);
    return { material, parts };
  });
  return { ...mix, by, lines };
}

/** Largest grain of a mix, its chips included, mm. */
export const largestGrain = ({ lines, doses = [] }: Mix): number =>
  Math.max(0, ...[...lines, ...doses].map(({ material }) => material.largestGrain));
