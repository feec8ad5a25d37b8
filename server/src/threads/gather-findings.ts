import { defined } from '@dewpot/core/math';
import { HOUR } from '@dewpot/core/units';
import type { WholeAmbientReading } from '@dewpot/core/ambient';
import { initialSetAt20, type BinderClass } from '@dewpot/core/binders';
import type { CastEvent, CastSnapshot, Life } from '@dewpot/core/casts';
import { ageCourse, type AgeCourse, type MoistCuring } from '@dewpot/core/curing';
import { gatherRecord, type KeptRecord, type PouredCast } from '@dewpot/core/findings';
import type { PourChoices, PourPart, RunLesson } from '@dewpot/core/planning';
import type { Expected } from '@dewpot/core/pours';

/** A cast as its record is gathered in a thread. */
export interface CastToGather {
  readonly mouldId: string;
  readonly snapshot: CastSnapshot;
  readonly life: Life;
  readonly events: readonly CastEvent[];
  readonly expected: Expected;
  /** Where it stood, each by its key among the airs. */
  readonly stays: readonly { readonly from: number; readonly air: string }[];
  readonly proposed: number;
  readonly pour: string;
  readonly cycles: number;
  readonly noRelease: boolean;
}

/** A pour that casts were gathered of. */
export interface PourToGather {
  readonly input: PourChoices;
  readonly parts: readonly PourPart[];
  readonly lessons: readonly RunLesson[];
  readonly person?: string;
}

/** The air of a place since a pour. One that nobody measured is good enough for an age, and says nothing of what a cast stood under. */
export interface GatheredAir {
  readonly guessed: boolean;
  readonly readings: readonly WholeAmbientReading[];
}

/** Casts whose records are gathered together, with what they share. */
export interface ToGather {
  readonly casts: readonly CastToGather[];
  readonly pours: Readonly<Record<string, PourToGather>>;
  readonly airs: Readonly<Record<string, GatheredAir>>;
  readonly moistCuring: MoistCuring;
}

/** What of its pour a cast was made of; undefined where nothing of it was recorded. */
function pouredOf({ mouldId, snapshot, cycles, noRelease }: CastToGather, { parts, lessons }: PourToGather): PouredCast | undefined {
  const part = parts.find(({ mixId, plan }) => mixId === snapshot.mixId && plan.items.some((item) => item.mouldId === mouldId));
  const item = part?.plan.items.find((one) => one.mouldId === mouldId);
  if (!part?.log || !item) return undefined;
  const bench = lessons.find(({ mixId }) => mixId === part.mixId)?.bench;
  return {
    plan: part.plan,
    log: part.log,
    shape: snapshot.shape,
    piece: snapshot.piece,
    mesh: item.mesh ?? false,
    ...(bench && { bench }),
    noRelease,
    cycles,
    initialSet: initialSetAt20(snapshot.binderClass, snapshot),
  };
} // prettier-ignore

/** The air of a cast from place to place, each until it was moved on, as far as it was measured. */
function airOf({ stays }: CastToGather, airs: ToGather['airs']): WholeAmbientReading[] {
  return stays.flatMap(({ from, air }, i) => {
    const until = stays[i + 1]?.from ?? Infinity;
    const { guessed, readings } = defined(airs[air]);
    return guessed ? [] : readings.filter(({ at }) => at >= from - HOUR && at < until);
  });
}

/** The equivalent age that a binder gathers in an air: of casts that stood together it is the same. */
function coursesOf(airs: ToGather['airs']): (air: string, binderClass: BinderClass) => AgeCourse {
  const known = new Map<string, AgeCourse>();
  return (air, binderClass) => {
    const key = `${air} ${binderClass}`;
    const temperatures = () => defined(airs[air]).readings.map(({ at, temperature }) => ({ hour: at / HOUR, temperature }));
    const course = known.get(key) ?? ageCourse(temperatures(), binderClass);
    known.set(key, course);
    return course;
  };
} // prettier-ignore

/** What findings are to know of each of these casts. */
export function gatherFindings({ casts, pours, airs, moistCuring }: ToGather): KeptRecord[] {
  const courseOf = coursesOf(airs);
  return casts.map((cast) => {
    const pour = pours[cast.pour];
    const poured = pour && pouredOf(cast, pour);
    const { snapshot, life, events, expected, proposed } = cast;
    const courses = cast.stays.map(({ from, air }) => ({ from: from / HOUR, course: courseOf(air, snapshot.binderClass) }));
    return gatherRecord({ snapshot, life, events, expected, proposed, moistCuring, courses, ambient: airOf(cast, airs), ...(poured && { poured }), ...(pour?.person && { person: pour.person }) });
  });
} // prettier-ignore
