import { finderOf, type Material } from '../../mixing/materials/index.js';
import { colourantOf, knownColours, sureOf, type KeptChip } from '../../mixing/tints/index.js';
import { learnDemouldAge, type DemouldSeen, type DemouldWays } from '../../process/curing/index.js';
import { learnedEase, learnedTau, USUAL_TAU, type DryingSeen, type OverrideSeen } from '../../process/sealing/index.js';
import { learnedBy, sinceOf, taughtOf, type LearnedFigure, type LessonsSince, type Since } from './learned-figure.js';
import { learnedOfMixes, type PouredMixes } from './learned-of-mixes.js';

/** A mould with a mix, by keys and names. */
interface Pair {
  readonly mouldId: string;
  readonly mixId: string;
  readonly mould: string;
  readonly mix: string;
}

/** The demouldings of a mould with a mix. */
export interface PairDemoulds extends Pair {
  /** Handbook's age, equivalent hours at 20 °C. */
  readonly handbook: number;
  readonly records: readonly (DemouldSeen & { readonly id: string })[];
  readonly ways: DemouldWays & { readonly since?: number };
}

/** How the pieces of a mould with a mix dried. */
export interface PairDryings extends Pair {
  readonly records: readonly (DryingSeen & { readonly id: string; readonly code: string; readonly at: number })[];
}

/** All that a workshop has learned from. */
export interface LessonSources extends PouredMixes {
  readonly demoulds: readonly PairDemoulds[];
  readonly dryings: readonly PairDryings[];
  readonly overrides: readonly OverrideSeen[];
  readonly materials: readonly Material[];
  readonly chips: readonly (KeptChip & { readonly id: string; readonly name: string; readonly at: number })[];
  readonly forgotten: readonly LessonsSince[];
}

function ofDemoulds({ demoulds }: LessonSources): LearnedFigure[] {
  return demoulds.flatMap(({ mouldId, mixId, mould, mix, handbook: usual, records: all, ways }) => {
    const shown = all.map(({ id, code, at, age }) => ({ id, label: code, at, shows: age }));
    const counting = all.filter(({ at }) => at >= (ways.since ?? 0));
    return taughtOf('demould', { of: [mouldId, mixId], names: [mould, mix] }, shown, () => ways.since, {
      handbook: usual,
      figure: () => learnDemouldAge(usual, counting, ways).age,
    });
  });
}

function ofDryings({ dryings }: LessonSources, since: Since): LearnedFigure[] {
  return dryings.flatMap(({ mouldId, mixId, mould, mix, records: all }) => {
    const shown = all.map(({ id, code, at, tau }) => ({ id, label: code, at, shows: tau }));
    return taughtOf('drying', { of: [mouldId, mixId], names: [mould, mix] }, shown, since, {
      handbook: USUAL_TAU,
      figure: (records) => {
        const counting = records.flatMap(({ counts, shows: tau = 0 }) => (counts ? [{ tau }] : []));
        return learnedBy(learnedTau(counting) ?? USUAL_TAU, USUAL_TAU, 'h', counting.length);
      },
    });
  });
}

/** The strength of each pigment of which chips were measured; a chip counts for all of its pigments or for none. */
function ofPigments({ materials, chips, forgotten }: LessonSources, since: Since): LearnedFigure[] {
  const find = finderOf(materials);
  const measured = chips.filter((chip) => chip.measured && sureOf(chip.measured.by) && chip.doses.length > 0);
  const known = knownColours(chips.filter((chip) => !isForgotten(chip, forgotten)), find);
  return [...new Set(measured.flatMap(({ doses }) => doses.map(({ materialId }) => materialId)))].flatMap((id) => {
    const material = find(id);
    if (!material) return [];
    const { strength: usual } = colourantOf(material);
    const fit = known.pigments.get(id)?.fit;
    const own = measured.filter(({ doses }) => doses.some((dose) => dose.materialId === id));
    const shown = own.map(({ id: chip, name, at }) => ({ id: chip, label: name, at }));
    return taughtOf('strength', { of: [id], names: [material.name] }, shown, since, {
      handbook: usual,
      figure: () => learnedBy(fit?.strength ?? usual, usual, 'ratio', fit?.chips ?? 0),
    });
  });
} // prettier-ignore

/** Whether what a chip taught was forgotten: with any of its pigments. */
export function isForgotten(
  { doses, at }: { readonly doses: KeptChip['doses']; readonly at: number },
  forgotten: readonly LessonsSince[],
): boolean {
  const since = sinceOf(forgotten);
  return doses.some(({ materialId }) => at < (since('pigment', [materialId]) ?? 0));
}

function ofSealing({ overrides }: LessonSources, since: Since): LearnedFigure[] {
  const from = since('sealing', []) ?? 0;
  const counting = overrides.filter(({ at }) => at >= from);
  return ([false, true] as const).flatMap((film) => {
    const shown = overrides.flatMap(({ castId: id, code: label, at, over, held, film: own }) =>
      own === film && held !== undefined ? [{ id, label, at, shows: over }] : [],
    );
    const { ease } = learnedEase(counting, film);
    return taughtOf(film ? 'seal-film' : 'seal-open', { of: [], names: [] }, shown, since, {
      handbook: 1,
      figure: (records) => learnedBy(ease, 1, 'ratio', records.filter(({ counts }) => counts).length),
    });
  });
}

/**
 * Every figure that a workshop's own records teach, with these records and the handbook's figure: calculated by the functions that
 * plans, clocks and gates are calculated by. Handbook 20, what has been learned. @throws InputError on ages out of range
 */
export function learnedFigures(sources: LessonSources): LearnedFigure[] {
  const since = sinceOf(sources.forgotten);
  return [
    ...learnedOfMixes(sources, since),
    ...ofDemoulds(sources),
    ...ofDryings(sources, since),
    ...ofPigments(sources, since),
    ...ofSealing(sources, since),
  ];
}
