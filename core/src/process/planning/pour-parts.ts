import { defined } from '../../foundation/math/index.js';
import { InputError, msg, type Message } from '../../foundation/units/index.js';
import { withoutInserts } from '../../geometry/moulds/index.js';
import { allScoops, scoopAs, type FindMaterial, type Scoop } from '../../mixing/materials/index.js';
import { dosesOf, mixOf, type KeptMix, type Mix, type MixConditions } from '../../mixing/mixes/index.js';
import { dryColour, mixColour, type Colouring, type KeptTint } from '../../mixing/tints/index.js';
import { learnedTimes } from '../bench/index.js';
import type { CandidateMix } from '../judging/index.js';
import {
  conditionsOf,
  windowFactor,
  WORK_TIMES,
  type PourPlan,
  type PourTint,
  type WorkTimes,
} from '../pours/index.js';
import type { PourChoices, PourPart, PourSources, RunLesson } from './pour-sources.js';

const gone = (field: string, value: string, message: Message) =>
  new InputError([{ field, value, message, remedy: msg('pours.chooseAnother') }]);

/** A copy of a tint for a pour, with the colour it dries to in that pour's own mix. */
function pourTint(view: KeptTint, mix: Mix, { find, colours }: PourSources): PourTint {
  const doses = dosesOf(view.doses, find);
  return { id: view.id, name: view.name, revision: view.revision, colour: dryColour(mix, colours, doses), doses };
}

function colouringOf(given: Colouring<string>, mix: Mix, sources: PourSources): Colouring<PourTint> {
  const tint = (id: string) => {
    const view = sources.tints.find((one) => one.id === id);
    if (!view) throw gone('colouring', id, msg('pours.tintGone'));
    return pourTint(view, mix, sources);
  };
  return { ...given, parts: given.parts.map(({ tint: id, share }) => ({ tint: tint(id), share })) };
}

/** What of a pour is filled with one mix: which of its items, and the mix. */
interface Share {
  readonly view: KeptMix;
  readonly items: readonly number[];
}

/** The pour's own mix first, then the others as they come; what is gone is refused by field. */
function sharesOf({ items, mixId }: PourChoices, { mixes, moulds }: PourSources): Share[] {
  const chosen = items.map((item) => item.mixId ?? mixId);
  items.forEach(({ mouldId }, i) => {
    if (!moulds.some(({ id }) => id === mouldId))
      throw gone(`items.${i}.mouldId`, mouldId, msg('pours.mouldGone', { i: i + 1 }));
  });
  const order = [...new Set([mixId, ...chosen])].filter((id) => chosen.length === 0 || chosen.includes(id));
  return order.flatMap((id) => {
    const view = mixes.find((one) => one.id === id);
    if (!view) throw gone('mixId', id, msg('pours.mixGone'));
    const own = items.flatMap((_, i) => (chosen[i] === id ? [i] : []));
    return [{ view, items: own }];
  });
}

/** How long mixing and filling take: as this bench's runs with the mix taught, shared among the hands. */
function timesOf({ id, binderClass }: KeptMix, people = 1, runs: readonly RunLesson[]): WorkTimes {
  const own = runs.filter(({ mixId }) => mixId === id).map(({ pace }) => pace);
  const { mixing, filling } = learnedTimes(WORK_TIMES[binderClass], own);
  return { mixing, filling: filling / people };
}

/** The scoop that is chosen, else the first; undefined where the workshop has none. @throws InputError where the chosen one is gone */
function scoopOf({ scoopId }: PourChoices, scoops: readonly Scoop[]): Scoop | undefined {
  const scoop = scoopId === undefined ? scoops[0] : scoops.find(({ id }) => id === scoopId);
  if (!scoop && scoopId !== undefined) throw gone('scoopId', scoopId, msg('pours.scoopGone'));
  return scoop;
}

/** The sand that a workshop weighs its cores down with, where one is chosen and still there. */
export function ballastSandOf({ ballastSandId }: Pick<PourSources['workshop'], 'ballastSandId'>, find: FindMaterial) {
  const sand = ballastSandId === undefined ? undefined : find(ballastSandId);
  return sand ? { ballastSand: { name: sand.name, bulk: sand.bulk } } : {};
}

/** Conditions under which a mix of the workshop is calculated. */
function mixConditionsOf(view: KeptMix, mix: Mix, { lots, lessons, now }: PourSources): MixConditions {
  return conditionsOf(mix, { moistCuringDays: view.moistCuringDays, lots, lessons: lessons(view.id), now });
}

function planOf(input: PourChoices, { view, items }: Share, sources: PourSources): PourPlan {
  const { moulds, scoops, find, lots, lessons, workshop } = sources;
  const mix = { ...mixOf(view, find), ...(view.id === input.mixId && { grade: input.grade }) };
  const scoop = scoopOf(input, scoops);
  return {
    items: items.map((at) => {
      const { mouldId, count, fillTo, colouring, inset, without, ...item } = defined(input.items[at]);
      const { name, shape, piece, meshOpening } = defined(moulds.find(({ id }) => id === mouldId));
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
        ...(colouring && { colouring: colouringOf(colouring, mix, sources) }),
      };
    }),
    mix,
    colour: mixColour(view, mix, sources.colours),
    binderClass: view.binderClass,
    spare: input.spare,
    moisture: input.moisture,
    ...(scoop && { scoop: scoopAs(scoop, input.heaped) }),
    scoops: allScoops(scoops),
    step: input.step,
    ...(input.measuring && { measuring: input.measuring }),
    bucket: workshop.bucket,
    temperature: input.temperature,
    times: timesOf(view, input.people, sources.runs),
    conditions: mixConditionsOf(view, mix, sources),
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
export function partsOf(input: PourChoices, sources: PourSources): PourPart[] {
  return sharesOf(input, sources).map((share) => {
    const { id: mixId, name: mixName, revision: mixRevision } = share.view;
    const plan = planOf(input, share, sources);
    const windows = windowFactor(sources.runs.filter((run) => run.mixId === mixId).flatMap(({ tries }) => tries));
    return { mixId, mixName, mixRevision, colour: defined(plan.colour), items: share.items, plan, windows };
  });
}

/** The mixes of a workshop, as a pour might take them in place of its own. */
export const candidatesOf = (sources: PourSources): CandidateMix[] =>
  sources.mixes.map((view) => {
    const mix = mixOf(view, sources.find);
    const { id, name, binderClass, unfit } = view;
    return { id, name, mix, binderClass, conditions: mixConditionsOf(view, mix, sources), ...(unfit && { unfit }) };
  });
