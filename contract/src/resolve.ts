import {
  conditionsOf,
  dryColour,
  InputError,
  learnColours,
  scoopAs,
  type Colouring,
  type Dose,
  type KnownColours,
  type Lot,
  type Material,
  type MeasuredChip,
  type Mix,
  type MixLessons,
  type PourPlan,
  type PourTint,
  type Scoop,
  type Tint,
} from '@dewpot/core';
import type { WorkshopSettings } from './accounts.js';
import type { DoseInput, MixBody, MixView } from './mixes.js';
import type { MouldView } from './moulds.js';
import type { PourInput } from './pours.js';
import type { SwatchView, TintBody, TintView } from './tints.js';

/** Finds a material by its key; what it does not find is left out of what is made. */
export type FindMaterial = (id: string) => Material | undefined;

/** A finder among materials, which leaves their versions behind. */
export function finderOf(materials: readonly (Material & { readonly version?: number })[]): FindMaterial {
  const known = new Map(materials.map(({ version: _, ...material }) => [material.id, material]));
  return (id) => known.get(id);
}

const withMaterial = <T extends { readonly materialId: string }, U>(
  rows: readonly T[],
  find: FindMaterial,
  make: (material: Material, row: T) => U,
): U[] =>
  rows.flatMap((row) => {
    const material = find(row.materialId);
    return material ? [make(material, row)] : [];
  });

const dosesOf = (doses: readonly DoseInput[], find: FindMaterial): Dose[] =>
  withMaterial(doses, find, (material, { amount }) => ({ material, amount }));

/** A recipe with its materials in place of their keys. */
export const mixOf = (body: MixBody, find: FindMaterial): Mix => ({
  lines: withMaterial(body.lines, find, (material, { parts, by }) => ({ material, parts, ...(by && { by }) })),
  doses: dosesOf(body.doses ?? [], find),
  by: body.by,
  grade: body.grade,
  exposure: body.exposure,
  packed: body.packed,
  ...(body.limeCounts && { limeCounts: true }),
});

/** A tint with its materials in place of their keys; undefined where its binder is gone. */
export function tintOf({ base: { binderId, sandId }, doses }: TintBody, find: FindMaterial): Tint | undefined {
  const binder = find(binderId);
  const sand = sandId === undefined ? undefined : find(sandId);
  return binder && { base: { binder, ...(sand && { sand }) }, doses: dosesOf(doses, find) };
}

/** What a workshop's chips teach: those that were measured and can be relied on. */
export function knownColours(swatches: readonly SwatchView[], find: FindMaterial): KnownColours {
  return learnColours(
    swatches.flatMap((swatch): MeasuredChip[] => {
      const chip = tintOf(swatch, find);
      const { measured } = swatch;
      return chip && measured && sureOf(measured.by) ? [{ ...chip, measured: measured.colour }] : [];
    }),
  );
}

/** Whether a way to measure is good enough to learn from. */
export const sureOf = (by: string): boolean => by === 'reader' || by === 'photo';

/** How a mix dries, #rrggbb: as it was seen, or where nobody has seen it as its materials make it. */
export function mixColour(
  { colour, colourReckoned }: Pick<MixBody, 'colour' | 'colourReckoned'>,
  mix: Mix,
  known: KnownColours,
): string {
  if (!colourReckoned) return colour;
  try {
    return dryColour(mix, known);
  } catch (error) {
    if (error instanceof InputError) return colour;
    throw error;
  }
}

/** Everything that a plan is made from. */
export interface PlanParts {
  readonly moulds: readonly Pick<MouldView, 'id' | 'name' | 'shape' | 'piece'>[];
  readonly mix: MixView;
  readonly scoop: Scoop;
  readonly find: FindMaterial;
  readonly tints: readonly TintView[];
  readonly colours: KnownColours;
  readonly lots: readonly Lot[];
  readonly lessons: MixLessons;
  readonly workshop: Pick<WorkshopSettings, 'bucket' | 'scaleStep' | 'liftLimit'>;
  /** ms */
  readonly now: number;
}

/** A copy of a tint for a pour, with the colour it dries to in that pour's own mix. */
function pourTint(view: TintView, mix: Mix, { find, colours }: PlanParts): PourTint {
  const doses = dosesOf(view.doses, find);
  return { id: view.id, name: view.name, edition: view.edition, colour: dryColour(mix, colours, doses), doses };
}

function colouringOf(given: Colouring<string>, mix: Mix, parts: PlanParts): Colouring<PourTint> {
  const tint = (id: string) => {
    const view = parts.tints.find((one) => one.id === id);
    if (!view)
      throw new InputError([
        { field: 'colouring', value: id, message: 'A tint of this pour is gone.', remedy: 'Choose another one.' },
      ]);
    return pourTint(view, mix, parts);
  };
  return { ...given, parts: given.parts.map(({ tint: id, share }) => ({ tint: tint(id), share })) };
}

/** The plan that a person's choices come to; moulds that are gone are left out. @throws InputError where a tint is gone */
export function planOf(input: Omit<PourInput, 'version'>, parts: PlanParts): PourPlan {
  const { moulds, mix: view, scoop, find, lots, lessons, workshop, now } = parts;
  const mix = { ...mixOf(view, find), grade: input.grade };
  return {
    items: input.items.flatMap(({ mouldId, count, fillTo, colouring }) =>
      moulds
        .filter(({ id }) => id === mouldId)
        .map(({ name, shape, piece }) => ({
          mouldId,
          name,
          shape,
          piece,
          count,
          ...(fillTo !== undefined && { fillTo }),
          ...(colouring && { colouring: colouringOf(colouring, mix, parts) }),
        })),
    ),
    mix,
    colour: mixColour(view, mix, parts.colours),
    setting: view.setting,
    spare: input.spare,
    moisture: input.moisture,
    scoop: scoopAs(scoop, input.heaped),
    step: input.step,
    bucket: workshop.bucket,
    temperature: input.temperature,
    conditions: conditionsOf(mix, { dampDays: view.dampDays, lots, lessons, now }),
    learnedYield: lessons.yield,
    ...(view.ways && { ways: view.ways }),
    scaleStep: workshop.scaleStep,
    lots,
    liftLimit: workshop.liftLimit,
  };
}
