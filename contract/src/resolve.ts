import {
  conditionsOf,
  dryColour,
  InputError,
  learnedTimes,
  learnColours,
  lessonsOf,
  allScoops,
  scoopAs,
  windowFactor,
  withoutInserts,
  WORK_TIMES,
  type Colouring,
  type Dose,
  type KnownColours,
  type Lot,
  type Material,
  type MeasuredChip,
  type Mix,
  type MixConditions,
  type MixLessons,
  type PouredRecord,
  type PourPlan,
  type PourTint,
  type Scoop,
  type Tint,
  type WorkTimes,
} from '@dewpot/core';
import type { WorkshopSettings } from './accounts.js';
import type { DoseInput, MixBody, MixView } from './mixes.js';
import type { MouldView } from './moulds.js';
import type { PourInput, PourPart, PourView } from './pours.js';
import type { RunLesson } from './run.js';
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
  ...(body.times && { times: body.times }),
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
  { colour, colourCalculated }: Pick<MixBody, 'colour' | 'colourCalculated'>,
  mix: Mix,
  known: KnownColours,
): string {
  if (!colourCalculated) return colour;
  try {
    return dryColour(mix, known);
  } catch (error) {
    if (error instanceof InputError) return colour;
    throw error;
  }
}

/** Everything that a plan is made from. */
export interface PlanParts {
  readonly moulds: readonly Pick<MouldView, 'id' | 'name' | 'shape' | 'piece' | 'meshOpening'>[];
  readonly mixes: readonly MixView[];
  readonly scoops: readonly Scoop[];
  readonly find: FindMaterial;
  readonly tints: readonly TintView[];
  readonly colours: KnownColours;
  readonly lots: readonly Lot[];
  /** What the batches of a mix taught. */
  readonly lessons: (mixId: string) => MixLessons;
  /** What runs at the bench taught. */
  readonly runs: readonly RunLesson[];
  readonly workshop: Pick<WorkshopSettings, 'bucket' | 'scaleStep' | 'liftLimit' | 'ballastSandId'>;
  /** ms */
  readonly now: number;
}

const gone = (field: string, value: string, message: string) =>
  new InputError([{ field, value, message, remedy: 'Choose another one.' }]);

/** A copy of a tint for a pour, with the colour it dries to in that pour's own mix. */
function pourTint(view: TintView, mix: Mix, { find, colours }: PlanParts): PourTint {
  const doses = dosesOf(view.doses, find);
  return { id: view.id, name: view.name, edition: view.edition, colour: dryColour(mix, colours, doses), doses };
}

function colouringOf(given: Colouring<string>, mix: Mix, parts: PlanParts): Colouring<PourTint> {
  const tint = (id: string) => {
    const view = parts.tints.find((one) => one.id === id);
    if (!view) throw gone('colouring', id, 'A tint of this pour is gone.');
    return pourTint(view, mix, parts);
  };
  return { ...given, parts: given.parts.map(({ tint: id, share }) => ({ tint: tint(id), share })) };
}

/** What was poured of a mix, out of the parts of all pours. */
export const pouredOf = (mixId: string, parts: readonly PourPart[]): PouredRecord[] =>
  parts.flatMap((part) => (part.mixId === mixId && part.log ? [{ plan: part.plan, log: part.log }] : []));

/** What the pours of a mix have taught. */
export function lessonsFor(mixId: string | undefined, pours: readonly PourView[]): MixLessons {
  const poured = pours.filter(({ status }) => status === 'finished').flatMap(({ parts }) => parts);
  return lessonsOf(mixId === undefined ? [] : pouredOf(mixId, poured));
}

/** What of a pour is filled with one mix: which of its items, and the mix. */
interface Share {
  readonly view: MixView;
  readonly items: readonly number[];
}

/** The pour's own mix first, then the others as they come; what is gone is refused by field. */
function sharesOf({ items, mixId }: Omit<PourInput, 'version'>, { mixes, moulds }: PlanParts): Share[] {
  const chosen = items.map((item) => item.mixId ?? mixId);
  items.forEach(({ mouldId }, i) => {
    if (!moulds.some(({ id }) => id === mouldId))
      throw gone(`items.${i}.mouldId`, mouldId, `Mould ${i + 1} of this pour is gone.`);
  });
  const order = [...new Set([mixId, ...chosen])].filter((id) => chosen.length === 0 || chosen.includes(id));
  return order.flatMap((id) => {
    const view = mixes.find((one) => one.id === id);
    if (!view) throw gone('mixId', id, 'A mix of this pour is gone.');
    const own = items.flatMap((_, i) => (chosen[i] === id ? [i] : []));
    return [{ view, items: own }];
  });
}

/** How long mixing and filling take: as this bench's runs with the mix taught, shared among the hands. */
function timesOf({ id, binderClass }: MixView, people = 1, runs: readonly RunLesson[]): WorkTimes {
  const own = runs.filter(({ mixId }) => mixId === id).map(({ pace }) => pace);
  const { mixing, filling } = learnedTimes(WORK_TIMES[binderClass], own);
  return { mixing, filling: filling / people };
}

/** The scoop that is chosen, else the first; undefined where the workshop has none. @throws InputError where the chosen one is gone */
function scoopOf({ scoopId }: Omit<PourInput, 'version'>, scoops: readonly Scoop[]): Scoop | undefined {
  const scoop = scoopId === undefined ? scoops[0] : scoops.find(({ id }) => id === scoopId);
  if (!scoop && scoopId !== undefined) throw gone('scoopId', scoopId, 'The scoop of this pour is gone.');
  return scoop;
}

/** The sand that a workshop weighs its cores down with, where one is chosen and still there. */
export function ballastSandOf({ ballastSandId }: Pick<WorkshopSettings, 'ballastSandId'>, find: FindMaterial) {
  const sand = ballastSandId === undefined ? undefined : find(ballastSandId);
  return sand ? { ballastSand: { name: sand.name, bulk: sand.bulk } } : {};
}

/** Conditions under which a mix of the workshop is calculated. */
export function mixConditionsOf(view: MixView, mix: Mix, { lots, lessons, now }: PlanParts): MixConditions {
  return conditionsOf(mix, { moistCuringDays: view.moistCuringDays, lots, lessons: lessons(view.id), now });
}

function planOf(input: Omit<PourInput, 'version'>, { view, items }: Share, parts: PlanParts): PourPlan {
  const { moulds, scoops, find, lots, lessons, workshop } = parts;
  const mix = { ...mixOf(view, find), ...(view.id === input.mixId && { grade: input.grade }) };
  const scoop = scoopOf(input, scoops);
  return {
    items: items.map((at) => {
      const { mouldId, count, fillTo, colouring, inset, without, ...item } = input.items[at]!;
      const { name, shape, piece, meshOpening } = moulds.find(({ id }) => id === mouldId)!;
      const mesh = item.mesh ?? meshOpening !== undefined;
      return {
        mouldId,
        name,
        shape: withoutInserts(shape, without),
        piece,
        count,
        ...(item.split && { split: true }),
        ...(mesh && { mesh }),
        ...(inset && { inset }),
        ...(fillTo !== undefined && { fillTo }),
        ...(colouring && { colouring: colouringOf(colouring, mix, parts) }),
      };
    }),
    mix,
    colour: mixColour(view, mix, parts.colours),
    binderClass: view.binderClass,
    spare: input.spare,
    moisture: input.moisture,
    ...(scoop && { scoop: scoopAs(scoop, input.heaped) }),
    scoops: allScoops(scoops),
    step: input.step,
    ...(input.measuring && { measuring: input.measuring }),
    bucket: workshop.bucket,
    temperature: input.temperature,
    times: timesOf(view, input.people, parts.runs),
    conditions: mixConditionsOf(view, mix, parts),
    learnedYield: lessons(view.id).yield,
    ...(view.ways && { ways: view.ways }),
    scaleStep: workshop.scaleStep,
    lots,
    ...ballastSandOf(workshop, find),
    liftLimit: workshop.liftLimit,
    ...(input.matches !== undefined && { matches: true }),
  };
}

/**
 * What a person's choices come to, mix by mix.
 * @throws InputError where a mould, a mix, a scoop or a tint is gone
 */
export function partsOf(input: Omit<PourInput, 'version'>, parts: PlanParts): PourPart[] {
  return sharesOf(input, parts).map((share) => {
    const { id: mixId, name: mixName, edition: mixEdition } = share.view;
    const plan = planOf(input, share, parts);
    const windows = windowFactor(parts.runs.filter((run) => run.mixId === mixId).flatMap(({ tries }) => tries));
    return { mixId, mixName, mixEdition, colour: plan.colour!, items: share.items, plan, windows };
  });
}
