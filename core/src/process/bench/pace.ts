import { MINUTE } from '../../foundation/units/index.js';
import { finishShares, type FinishRecord } from '../pours/index.js';
import type { Run } from './run.js';
import type { Pace } from './step-times.js';
import type { Step, StepKind } from './steps.js';

/** A step that took longer than so many times its minutes was interrupted: it teaches nothing. */
const INTERRUPTED = 6;

/** How a run's own minutes went against those calculated, over the steps of some kinds of one mix. */
function ratio(steps: readonly Step[], { times }: Run, kinds: readonly StepKind[]): number | undefined {
  const told = steps.flatMap(({ key, kind, minutes }) => {
    const { start, end } = times.get(key) ?? {};
    if (!kinds.includes(kind) || start === undefined || end === undefined || minutes <= 0) return [];
    const took = (end - start) / MINUTE;
    return took > 0 && took < INTERRUPTED * minutes ? [{ took, minutes }] : [];
  });
  const sum = (of: 'took' | 'minutes') => told.reduce((total, one) => total + one[of], 0);
  return told.length === 0 ? undefined : sum('took') / sum('minutes');
}

/** What a run teaches of how long things take with one of its mixes, against what is usual. `laid`: what its minutes were laid with, against the same. */
export function paceOf(
  steps: readonly Step[],
  run: Run,
  part: number,
  laid: Required<Pace> = { mixing: 1, filling: 1 },
): Pace {
  const own = steps.filter((step) => step.part === part);
  const mixing = ratio(own, run, ['mix', 'rest']);
  const filling = ratio(own, run, ['fill', 'press', 'tap']);
  return {
    ...(mixing !== undefined && { mixing: mixing * laid.mixing }),
    ...(filling !== undefined && { filling: filling * laid.filling }),
  };
}

/** What a run's tries of faces teach of one mix's windows: at which share of its handbook's initial set, and how it went. `factor`: what its windows were laid with. */
export function triesOf(steps: readonly Step[], run: Run, part: number, factor = 1): FinishRecord[] {
  return run.tries.flatMap(({ step: key, went, at }) => {
    const step = steps.find((one) => one.key === key && one.part === part);
    if (!step?.window || !(step.kind in finishShares)) return [];
    const face = run.times.get(step.window.of)?.end;
    const kind = step.kind as FinishRecord['kind'];
    const [, to] = finishShares[kind];
    if (face === undefined) return [];
    return [{ kind, share: ((at - face) / MINUTE / step.window.to) * to * factor, went }];
  });
}
