import { countdown } from './timers';
import { useSay } from '../ui/say';

/** A countdown in large numerals; it goes below zero and lets one go on when one likes. */
export function Countdown({ from, minutes, now }: { from: number; minutes: number; now: number }) {
  const say = useSay();
  const left = from + minutes * 60_000 - now;
  return (
    <div className="card-slab text-center" role="timer" aria-label={say('bench.timeLeft', { time: countdown(left) })}>
      <p className="numeral text-7xl">{countdown(left)}</p>
      {left < 0 && <p className="quiet">{say('bench.timeEnough')}</p>}
    </div>
  );
}
