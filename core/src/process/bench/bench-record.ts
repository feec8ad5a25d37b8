import { defined } from '../../foundation/math/index.js';
import { HOUR, MINUTE } from '../../foundation/units/index.js';
import type { Run } from './run.js';
import type { Step, StepKind } from './steps.js';

/** What a run at the bench shows of how a mix was placed. */
export interface BenchRecord {
  /** From the water to the last mould, as a share of the pot life; of its longest bucketful. */
  readonly placing?: number;
  /** The longest wait between two lifts, h. */
  readonly liftWait?: number;
  /** In how many lifts it was placed. */
  readonly lifts?: number;
  /** Minutes of tapping; 0 where it was passed over. */
  readonly tapping?: number;
  /** Minutes of work for each mould. */
  readonly each?: number;
}

const PLACED: readonly StepKind[] = ['fill', 'press'];

/** How a mix was placed, by the clock of its run; what was not tapped off is not told. */
export function benchRecordOf(steps: readonly Step[], { times }: Run, part: number): BenchRecord {
  const own = steps.filter((step) => step.part === part);
  const timed = own.flatMap((step) => {
    const { start, end } = times.get(step.key) ?? {};
    return start === undefined || end === undefined ? [] : [{ ...step, start, end }];
  });
  const placed = timed.filter(({ kind }) => PLACED.includes(kind));
  if (placed.length === 0) return {};
  const placing = timed.flatMap(({ kind, bucket, start, potLife }) => {
    const ends = placed.filter((one) => one.bucket === bucket).map(({ end }) => end);
    return kind === 'mix' && potLife && ends.length > 0 ? [(Math.max(...ends) - start) / MINUTE / potLife] : [];
  });
  const moulds = new Set(placed.flatMap((step) => step.moulds.map(({ key }) => key)));
  const waits = [...moulds].flatMap((mould) => {
    const own = placed.filter((step) => step.moulds.some(({ key }) => key === mould)).sort((x, y) => x.start - y.start);
    return own.slice(1).map(({ start }, i) => Math.max(0, start - defined(own[i]).end) / HOUR);
  });
  const taps = timed.filter(({ kind }) => kind === 'tap');
  const tapping = own.some(({ kind }) => kind === 'tap') ? taps.reduce((sum, { start, end }) => sum + (end - start) / MINUTE, 0) : undefined; // prettier-ignore
  const worked = timed.reduce((sum, { start, end }) => sum + (end - start) / MINUTE, 0);
  return {
    each: worked / moulds.size,
    ...(placing.length > 0 && { placing: Math.max(...placing) }),
    ...(waits.length > 0 && { liftWait: Math.max(...waits) }),
    lifts: Math.max(...placed.map(({ lift }) => lift?.of ?? 1)),
    ...(tapping !== undefined && { tapping }),
  };
}
