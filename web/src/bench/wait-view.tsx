import type { TimedStep } from '@dewpot/core/bench';
import { sayClock } from '../ui/format-time';
import { countdown } from './timers';

/** Nothing to do at the buckets until a layer has set: how long, and what tells. */
export function WaitView({ timed: { start, step }, now }: { timed: TimedStep; now: number }) {
  return (
    <div className="card-slab space-y-2">
      <p className="quiet">Waiting until {sayClock(start)}</p>
      <p className="numeral text-6xl">{countdown(start - now)}</p>
      <p>
        {step.after?.edge === 'blended'
          ? 'The layer below must still be plastic: a finger sinks in.'
          : 'The layer below must be firm to the touch: a finger leaves a print, and comes away clean.'}
      </p>
    </div>
  );
}
