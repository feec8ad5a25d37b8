import type { TimedStep } from '@dewpot/core/bench';
import { clockOf } from '../ui/format-time';
import { countdown } from './timers';
import { useSay } from '../ui/say';

/** Nothing to do at the buckets until a layer has set: how long, and what tells. */
export function WaitView({ timed: { start, step }, now }: { timed: TimedStep; now: number }) {
  const say = useSay();
  return (
    <div className="card-slab space-y-2">
      <p className="quiet">{say('bench.waitingUntil', { start: say(clockOf(start)) })}</p>
      <p className="numeral text-6xl">{countdown(start - now)}</p>
      <p>{step.after?.edge === 'blended' ? say('bench.layerPlastic') : say('bench.layerFirm')}</p>
    </div>
  );
}
