import { msg, type Message } from '@dewpot/core/units';
import { useSay } from '../ui/say';
import type { RailPhase } from './rail-layout';
import { phaseFill } from './rail-line';

const words: readonly (readonly [RailPhase, Message])[] = [
  ['setting', msg('calendar.phaseSetting')],
  ['curing', msg('calendar.phaseCuring')],
  ['drying', msg('calendar.phaseDrying')],
  ['ready', msg('calendar.phaseReady')],
];

/** What the stretches of the rail stand for. */
export function RailLegend() {
  const say = useSay();
  return (
    <ul className="border-base-300 flex flex-wrap gap-x-5 gap-y-1 border-t px-3 py-2 text-xs">
      {words.map(([phase, told]) => (
        <li key={phase} className="flex items-center gap-1.5">
          <svg width={26} height={9} aria-hidden="true">
            <rect width={26} height={9} fill={phaseFill[phase]} />
          </svg>
          {say(told)}
        </li>
      ))}
      <li>{say('calendar.legendBand')}</li>
      <li className="text-accent">{say('calendar.legendDate')}</li>
    </ul>
  );
}
