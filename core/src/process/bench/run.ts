import { defined } from '../../foundation/math/index.js';
import type { Grade } from '../../mixing/mixes/index.js';
import type { FinishTry } from '../pours/index.js';
import type { StepTimes } from './timeline.js';

/** What happened at the bench. `bucket` is a part and its bucketful as `part.bucket`, `mould` one mould of the pour. */
export type RunEventBody =
  | { readonly kind: 'begin'; readonly step: string }
  | { readonly kind: 'done'; readonly step: string }
  /** A material as it was weighed into a bucket, damp as it was, g. */
  | { readonly kind: 'weighed'; readonly bucket: string; readonly material: string; readonly mass: number }
  /** Tap water that went in, g; several add up. */
  | { readonly kind: 'water'; readonly bucket: string; readonly mass: number }
  /** The consistency that a bucket came to. */
  | { readonly kind: 'grade'; readonly bucket: string; readonly grade: Grade }
  /** A mould that is not filled after all. */
  | { readonly kind: 'skip'; readonly mould: string }
  /** Mix that ran out of a mould, mL. */
  | { readonly kind: 'leak'; readonly mould: string; readonly volume: number }
  /** One more bucket like this one, or a part of one. */
  | { readonly kind: 'more'; readonly bucket: string; readonly share: number }
  /** A face that was tried. */
  | { readonly kind: 'tried'; readonly step: string; readonly went: FinishTry }
  /** An earlier event that was none. */
  | { readonly kind: 'void'; readonly of: string };

export type RunEventKind = RunEventBody['kind'];
export const runEventKinds = [
  'begin',
  'done',
  'weighed',
  'water',
  'grade',
  'skip',
  'leak',
  'more',
  'tried',
  'void',
] as const satisfies readonly RunEventKind[];

/** An event with a key of its own and its time by the wall clock, ms. */
export type RunEvent = RunEventBody & { readonly id: string; readonly at: number };

/** Where a pour stands. */
export interface Run {
  readonly times: ReadonlyMap<string, StepTimes>;
  /** g by material, for each bucket. */
  readonly weighed: ReadonlyMap<string, Readonly<Record<string, number>>>;
  /** Tap water of each bucket, g; of those where any was told of. */
  readonly water: ReadonlyMap<string, number>;
  readonly grades: ReadonlyMap<string, Grade>;
  readonly skipped: ReadonlySet<string>;
  /** mL by mould. */
  readonly lost: ReadonlyMap<string, number>;
  /** Share of a bucket that was mixed beyond the plan. */
  readonly more: ReadonlyMap<string, number>;
  readonly tries: readonly { readonly step: string; readonly went: FinishTry; readonly at: number }[];
  /** What was told last, at one task: what would be taken back next. */
  readonly latest: readonly RunEvent[];
}

const added = (sums: Map<string, number>, key: string, more: number) => sums.set(key, (sums.get(key) ?? 0) + more);

/**
 * Where a pour stands after its events, in their order. The same event twice is one; the first who says that a step is
 * done is believed; a voided event never was.
 */
export function runOf(events: readonly RunEvent[]): Run {
  const voided = new Set(events.flatMap((event) => (event.kind === 'void' ? [event.of] : [])));
  const seen = new Set<string>();
  const standing = events.filter(({ id, kind }) => {
    if (kind === 'void' || voided.has(id) || seen.has(id)) return false;
    seen.add(id);
    return true;
  });
  const times = new Map<string, StepTimes>();
  const weighed = new Map<string, Record<string, number>>();
  const grades = new Map<string, Grade>();
  const [water, lost, more] = [new Map<string, number>(), new Map<string, number>(), new Map<string, number>()];
  const skipped = new Set<string>();
  const tries: Run['tries'][number][] = [];
  for (const event of standing) {
    switch (event.kind) {
      case 'begin':
        times.set(event.step, { start: event.at, ...times.get(event.step) });
        break;
      case 'done':
        times.set(event.step, { end: event.at, ...times.get(event.step) });
        break;
      case 'weighed':
        weighed.set(event.bucket, { ...weighed.get(event.bucket), [event.material]: event.mass });
        break;
      case 'water':
        added(water, event.bucket, event.mass);
        break;
      case 'grade':
        grades.set(event.bucket, event.grade);
        break;
      case 'skip':
        skipped.add(event.mould);
        break;
      case 'leak':
        added(lost, event.mould, event.volume);
        break;
      case 'more':
        added(more, event.bucket, event.share);
        break;
      case 'tried':
        tries.push({ step: event.step, went: event.went, at: event.at });
        break;
      case 'void':
        break;
    }
  }
  const latest = standing.filter(({ at }) => at === defined(standing.at(-1)).at);
  return { times, weighed, water, grades, skipped, lost, more, tries, latest };
}
