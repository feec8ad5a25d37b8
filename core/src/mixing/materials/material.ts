import { Checker, msg, type Phrase, type MessageKey } from '../../foundation/units/index.js';
import { isPortland, type SettingTimes } from '../binders/index.js';
import type { AdditiveKind } from './additives.js';
import { checkTimes } from './check-times.js';
import { sealerKinds, type SealerSheet } from './sealers.js';

/** What a material does in a mix. An additive is dosed, a sealer goes on the piece; all others are lines of a recipe. */
export const materialKinds = [
  'binder',
  'binder-part',
  'aggregate',
  'lightweight',
  'organic',
  'pre-blend',
  'additive',
  'sealer',
] as const;
export type MaterialKind = (typeof materialKinds)[number];

/** Families of binders, which bind water and gain strength in their own ways. */
export const binderFamilies = ['portland', 'high-early', 'sulfoaluminate', 'gypsum', 'lime', 'pozzolan'] as const;
export type BinderFamily = (typeof binderFamilies)[number];

/** How sand swells when damp. */
export const bulkings = ['fine', 'sharp', 'none'] as const;
export type Bulking = (typeof bulkings)[number];

/** What the bag of a ready-made powder says. All are shares of the powder's mass. */
export interface PowderWater {
  /** Least and most water. */
  readonly low: number;
  readonly high: number;
  /** Binder in it: for w/c and for the water that it binds. */
  readonly binderShare: number;
  /**
   * What its doses are calculated on: 1 is the powder itself. Said once for a product and kept apart from
   * `binderShare`, so that the same grams never turn into another percentage.
   */
  readonly doseShare: number;
}

/** A material as it is scooped. Densities in kg/L, absorption as share of dry mass, demand in kg of water per kg, grain in mm. */
export interface Material {
  readonly id: string;
  readonly name: string;
  readonly kind: MaterialKind;
  readonly bulk: number;
  readonly particle: number;
  readonly absorption: number;
  readonly demand: number;
  readonly largestGrain: number;
  readonly bulking: Bulking;
  readonly family?: BinderFamily;
  readonly powder?: PowderWater;
  /** What the bag of a binder says of its pot life and its set. */
  readonly times?: SettingTimes;
  readonly additive?: AdditiveKind;
  /** Solids of a liquid, share of its mass; the rest is water. A powder has none said. */
  readonly solids?: number;
  /** #rrggbb: of a pigment by itself, of a binder set and dry, of sand dry. */
  readonly colour?: string;
  /** What the sheet of a sealer says. */
  readonly sealer?: SealerSheet;
  /** How a pigment colours; only where it is not as the handbook takes pigments to be. */
  readonly tinting?: Tinting;
}

/** How a pigment colours. */
export interface Tinting {
  /** Tinting strength before any chip told of it; 40 where it is left out. */
  readonly strength?: number;
  /** Dose at which its pull levels off, per cent of the binder: 4 where it is left out, 2 for carbon. */
  readonly levelling?: number;
  /** It does not last in cement, lime or the sun. */
  readonly fades?: boolean;
  /** Flakes that glint: they show in a thin mix only. */
  readonly metallic?: boolean;
}

/** Whether Portland cement of any kind binds a material. */
export const isPortlandFamily = ({ family }: Pick<Material, 'family'>): boolean => isPortland(family);

/** Whether a material's mass counts as cement in w/c. Lime and metakaolin do not, unless the caster says so. */
export function countsAsCement({ family }: Material, withLime = false): boolean {
  if (family === 'lime' || family === 'pozzolan') return withLime;
  return family !== undefined;
}

/** Whether a material binds what is around it. */
export const isBinder = ({ kind }: Material): boolean => kind === 'binder' || kind === 'pre-blend';

/** Refuses a material whose figures cannot be. @throws InputError */
export function checkMaterial(material: Omit<Material, 'id'>, path = ''): void {
  const check = new Checker();
  const at = (field: string) => (path ? `${path}.${field}` : field);
  const name = material.name.trim() || msg('materials.theMaterial');
  check.expect(
    material.name.trim() !== '',
    at('name'),
    material.name,
    msg('materials.nameMissing'),
    msg('materials.giveName'),
  );
  const density = { above: 0, max: 10, unit: 'kg/L' } as const;
  check.number(at('bulk'), material.bulk, msg('materials.bulkOf', { name }), density);
  check.number(at('particle'), material.particle, msg('materials.particleOf', { name }), density);
  check.number(at('absorption'), material.absorption, msg('materials.absorptionOf', { name }), { min: 0, max: 10 });
  check.number(at('demand'), material.demand, msg('materials.demandOf', { name }), { min: 0, max: 20 });
  check.number(at('largestGrain'), material.largestGrain, msg('materials.largestGrainOf', { name }), {
    min: 0,
    max: 100,
    unit: 'mm',
  });
  check.expect(
    !(material.bulk > material.particle),
    at('bulk'),
    material.bulk,
    msg('materials.denserInScoop', { name }),
    msg('materials.weighScoop'),
  );
  check.expect(
    material.kind !== 'additive' || material.additive !== undefined,
    at('additive'),
    material.additive,
    msg('materials.doseUnknown', { name }),
    msg('materials.chooseAdditive'),
  );
  checkColour(check, at, material);
  if (material.solids !== undefined)
    check.number(at('solids'), material.solids, msg('materials.solidsOf', { name }), { above: 0, max: 1 });
  if (material.kind === 'sealer') checkSealer(check, at, name, material.sealer);
  checkTimes(check, at('times'), name, material.times);
  if (material.kind === 'pre-blend') checkPowder(check, at, name, material.powder);
  check.done();
}

function checkColour(
  check: Checker,
  at: (field: string) => string,
  { name, colour, tinting: { strength, levelling } = {} }: Pick<Material, 'name' | 'colour' | 'tinting'>,
): void {
  check.expect(
    colour === undefined || /^#[0-9a-f]{6}$/i.test(colour),
    at('colour'),
    colour,
    msg('materials.notColour', { colour: colour ?? '' }),
    msg('materials.writeColour'),
  );
  if (strength !== undefined)
    check.number(at('tinting.strength'), strength, msg('materials.tintingStrengthOf', { name }), { min: 1, max: 2000 });
  if (levelling !== undefined)
    check.number(at('tinting.levelling'), levelling, msg('materials.saturationOf', { name }), {
      min: 0.1,
      max: 20,
      unit: '%',
    });
}

function checkSealer(check: Checker, at: (field: string) => string, name: Phrase, sheet?: SealerSheet): void {
  if (!sheet || !sealerKinds.includes(sheet.kind)) {
    check.add(at('sealer'), sheet, msg('materials.sheetMissing', { name }), msg('materials.enterSheet'));
    return;
  }
  const number = (field: keyof SealerSheet, key: MessageKey, range: { above?: number; min?: number; max: number }) =>
    check.number(at(`sealer.${field}`), sheet[field], msg(key, { name }), range);
  number('dense', 'materials.coverageDense', { above: 0, max: 100 });
  number('porous', 'materials.coveragePorous', { above: 0, max: 100 });
  number('recoatFrom', 'materials.recoatFrom', { min: 0, max: 500 });
  number('recoatTo', 'materials.recoatTo', { min: 0, max: 5000 });
  number('cureDays', 'materials.fullCure', { min: 0, max: 60 });
  number('heat', 'materials.heatLimit', { min: 20, max: 1200 });
  number('keepsMonths', 'materials.shelfLife', { above: 0, max: 240 });
  if (sheet.leastDays !== undefined) number('leastDays', 'materials.youngestPiece', { min: 0, max: 365 });
  check.expect(
    !(sheet.recoatFrom > sheet.recoatTo),
    at('sealer.recoatFrom'),
    sheet.recoatFrom,
    msg('materials.recoatWindow', { name }),
    msg('materials.turnRound'),
  );
}

function checkPowder(check: Checker, at: (field: string) => string, name: Phrase, powder?: PowderWater): void {
  if (!powder) {
    check.add(at('powder'), powder, msg('materials.waterUnknown', { name }), msg('materials.enterFromBag'));
    return;
  }
  const { low, high, binderShare, doseShare } = powder;
  check.number(at('powder.low'), low, msg('materials.leastWaterOf', { name }), { above: 0, max: 1 });
  check.number(at('powder.high'), high, msg('materials.mostWaterOf', { name }), { above: 0, max: 1 });
  check.expect(
    !(low > high),
    at('powder.low'),
    low,
    msg('materials.leastOverMost', { name }),
    msg('materials.turnRound'),
  );
  check.number(at('powder.binderShare'), binderShare, msg('materials.binderIn', { name }), { above: 0, max: 1 });
  check.number(at('powder.doseShare'), doseShare, msg('materials.doseShareOf', { name }), { above: 0, max: 1 });
}
