import { english } from '@dewpot/locales/testing';
import type { Finding } from '../foundation/units/index.js';
import type { MouldShape } from '../geometry/moulds/index.js';
import type { RoundFrustum } from '../geometry/solids/index.js';
import { handbookMaterial, type Material, type Scoop } from '../mixing/materials/index.js';
import type { Dose, Grade, KeptMix, Mix, Starter } from '../mixing/mixes/index.js';
import type { PourPlan } from '../process/pours/index.js';

/** A round frustum by its diameters at bottom and top and its height, mm. */
export const cone = (bottomDiameter: number, topDiameter: number, height: number): RoundFrustum => ({
  kind: 'round-frustum',
  bottomDiameter,
  topDiameter,
  height,
});

/** A nested pot: outer and core by their diameters, the core from `base` up to the rim, a drain plug through the base. */
export function nested(
  [bottom, top, height]: readonly [number, number, number],
  [coreBottom, coreTop]: readonly [number, number],
  base: number,
  plug = 0,
): MouldShape {
  return {
    outer: cone(bottom, top, height),
    cores: [{ name: 'The core', bottom: base, solid: cone(coreBottom, coreTop, height - base) }],
    inserts: plug > 0 ? [{ name: 'The drain plug', bottom: 0, solid: cone(plug, plug, base) }] : [],
  };
}

/** The worked pot of the reference figures: 160→200 over 180 mm, core from 18 mm up, drain plug 19 mm. */
export const nestedPot: MouldShape = nested([160, 200, 180], [124, 160], 18, 19);

/** A material of the handbook, its key as its id. */
export const material = (key: string): Material => {
  const { name, ...rest } = handbookMaterial(key);
  return { ...rest, id: key, name: english(name) };
};

/** A kept mix of one part of cement and two and a half of sand. */
export const keptMix = (id: string, more: Partial<KeptMix> = {}): KeptMix => ({
  id,
  name: id,
  revision: 1,
  lines: [
    { materialId: material('grey-cement').id, parts: 1 },
    { materialId: material('sharp-sand').id, parts: 2.5 },
  ],
  by: 'volume',
  grade: 5,
  exposure: 'outdoors',
  binderClass: 'portland',
  moistCuringDays: 7,
  colour: '#aaaaaa',
  ...more,
});

/** One of cement to two and a half of sharp sand by volume, for outdoors. */
export const sandCement = (grade: Grade = 5): Mix => ({
  lines: [
    { material: material('grey-cement'), parts: 1 },
    { material: material('sharp-sand'), parts: 2.5 },
  ],
  by: 'volume',
  grade,
  exposure: 'outdoors',
});

/** A dose of a handbook additive. */
export const dose = (key: string, amount: number): Dose => ({ material: material(key), amount });

/** A recipe by handbook keys and parts, stiff and by volume unless said otherwise. */
export const recipe = (lines: readonly (readonly [key: string, parts: number])[], over: Partial<Mix> = {}): Mix => ({
  lines: lines.map(([key, parts]) => ({ material: material(key), parts })),
  by: 'volume',
  grade: 3,
  exposure: 'outdoors',
  ...over,
});

/** A starter of the library with its materials. */
export const recipeOfStarter = ({ lines, doses, by, grade, exposure, packed }: Starter): Mix => ({
  lines: lines.map(([key, parts]) => ({ material: material(key), parts })),
  doses: doses.map(([key, amount]) => dose(key, amount)),
  by,
  grade,
  exposure,
  packed,
});

/** A can of 400 mL. */
export const can: Scoop = { id: 'can', name: 'the can', volume: 400 };

/** Three of the worked pots in sand-cement, measured with a 400 mL can. */
export const threePots = (over: Partial<PourPlan> = {}): PourPlan => ({
  items: [{ mouldId: 'pot', name: 'Nested pot', shape: nestedPot, piece: 'pot', count: 3 }],
  mix: sandCement(),
  binderClass: 'portland',
  spare: 0.05,
  moisture: {},
  scoop: can,
  step: 0.25,
  bucket: 14000,
  temperature: 18,
  conditions: { moistCuringDays: 7 },
  lots: [],
  liftLimit: 25000,
  ...over,
});

/** Findings in words, with what to do about them. */
export const said = (findings: readonly Finding<unknown>[]): string =>
  findings
    .map(({ text, reason, remedies }) =>
      [text, reason, ...remedies.map((one) => one.text)].map((one) => english(one)).join(' '),
    )
    .join(' ');
