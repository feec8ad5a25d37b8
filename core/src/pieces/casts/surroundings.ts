import type { WholeAmbientReading } from '../../process/ambient/index.js';
import { HOUR } from '../../foundation/units/index.js';
import type { BinderClass } from '../../mixing/binders/index.js';
import {
  compareCovers,
  evaporationUnder,
  faceRisk,
  mistingPlan,
  overFace,
  surfaceRecord,
  weatherWarnings,
  type AgeCourse,
  type Cover,
  type CoverEffect,
  type FaceRisk,
  type MistingPlan,
  type SurfaceRecord,
  type Waking,
  type WeatherWarning,
} from '../../process/curing/index.js';
import type { Life } from './life.js';

/** A piece in its air. Readings in the order of time, those after `now` forecast. */
export interface InItsAmbient {
  readonly life: Life;
  readonly binderClass: BinderClass;
  readonly strength?: number;
  readonly lightweight: boolean;
  readonly cover: Cover;
  readonly ambient: readonly WholeAmbientReading[];
  readonly course: AgeCourse;
  readonly waking: Waking;
  readonly now: number;
}

/** Water off a face in an hour, open and as it is covered; kg/m²/h. */
interface FaceOutlook {
  readonly at: number;
  readonly open: number;
  readonly covered: number;
}

/** What the air does to a piece: warnings, what leaves its faces, what each cover would do, how wet it was kept. */
export interface Surroundings {
  readonly warnings: readonly (Omit<WeatherWarning, 'from' | 'to'> & { readonly from: number; readonly to: number })[];
  readonly outlook: readonly FaceOutlook[];
  readonly risk: FaceRisk;
  readonly covers: readonly CoverEffect[];
  readonly misting: MistingPlan;
  readonly surface?: SurfaceRecord;
}

/** How far ahead faces are looked at, ms. */
const AHEAD = 72 * HOUR;

/** Water off the face between two times: each reading holds until the next. */
function faceHours(ambient: readonly WholeAmbientReading[], cover: Cover, from: number, to: number) {
  const held = ambient.filter(({ at }, i) => (ambient[i + 1]?.at ?? Infinity) > from && at < to);
  return held.map((reading, i) => ({
    from: Math.max(from, reading.at) / HOUR,
    to: Math.min(to, held[i + 1]?.at ?? to) / HOUR,
    evaporation: evaporationUnder(cover, overFace(reading)),
  }));
}

/** The reading that stands at a time. */
export const ambientAtTime = (ambient: readonly WholeAmbientReading[], at: number): WholeAmbientReading | undefined =>
  ambient.findLast((one) => one.at <= at) ?? ambient[0];

/** What the air does to a piece now, did, and will do. */
export function surroundingsOf(piece: InItsAmbient): Surroundings | undefined {
  const { life, binderClass, strength, lightweight, cover, ambient, course, waking, now } = piece;
  const here = ambientAtTime(ambient, now);
  if (!here) return undefined;
  const rate = evaporationUnder(cover, overFace(here));
  const damp = life.demouldedAt ?? life.pouredAt;
  const until = Math.min(now, life.uncoveredAt ?? now);
  return {
    warnings: weatherWarnings({
      course,
      binderClass,
      poured: life.pouredAt / HOUR,
      now: now / HOUR,
      until: (now + AHEAD) / HOUR,
      ...(strength !== undefined && { strength }),
    }).map((one) => ({ ...one, from: one.from * HOUR, to: one.to * HOUR })),
    outlook: ambient
      .filter(({ at }) => at >= now - HOUR && at <= now + AHEAD)
      .map((one) => ({
        at: one.at,
        open: evaporationUnder('none', overFace(one)),
        covered: evaporationUnder(cover, overFace(one)),
      })),
    risk: faceRisk(rate),
    covers: compareCovers(overFace(here), lightweight, waking),
    misting: mistingPlan(rate, lightweight, waking),
    ...(until > damp && {
      surface: surfaceRecord(
        faceHours(ambient, cover, damp, until),
        (life.wettings ?? []).map((at) => at / HOUR),
        lightweight,
      ),
    }),
  };
}
