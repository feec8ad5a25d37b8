import { useMemo, useState } from 'react';
import { type Message, quantity, msg } from '@dewpot/core/units';
import type { AmbientBasis, PlaceAmbient, PlaceView } from '@dewpot/contract';
import { useQuery } from '@tanstack/react-query';
import { placeAmbientQuery } from '../api/places';
import { Chart } from '../ui/chart';
import { Choice } from '../ui/choice';
import { exactTime, whenOf } from '../ui/format-time';
import { Busy, Failure } from '../ui/states';
import { useNow } from '../ui/use-now';
import { ambientOption } from './ambient-chart-option';
import { ReadingsIn } from './readings-in';
import { useSay } from '../ui/say';

const stretches = [
  { value: 3, label: msg('ambient.threeDays') },
  { value: 14, label: msg('ambient.twoWeeks') },
  { value: 60, label: msg('ambient.twoMonths') },
] as const;

/** The air of a place, recorded and forecast, with what was bridged and what was set aside. */
export function PlaceAmbientSlab({ place }: { place: PlaceView }) {
  const say = useSay();
  const [days, setDays] = useState<number>(3);
  const { data, error } = useQuery(placeAmbientQuery(place.id, days));
  return (
    <section className="card-slab min-w-0 space-y-3" aria-label={say('ambient.conditionsOf', { place: place.name })}>
      <div className="flex flex-wrap items-end justify-between gap-3">
        <h2 className="text-2xl break-words">{say('ambient.conditionsOf', { place: place.name })}</h2>
        <Choice legend={say('ambient.howFarBack')} hideLegend options={stretches} value={days} onChange={setDays} />
      </div>
      {(place.source === 'files' || (place.source === 'logger' && !place.simulated)) && <ReadingsIn place={place} />}
      <Failure error={error} />
      {data ? <Drawn ambient={data} days={days} /> : !error && <Busy what={say('ambient.theAir')} />}
    </section>
  );
}

/** What is expected of a place, and why. */
function aheadTold(basis: AmbientBasis, learnedFrom: number): Message {
  if (basis === 'measured') return msg('ambient.asLastThree');
  if (basis !== 'simulated') return msg('ambient.takenToGoOn');
  return learnedFrom > 0
    ? msg('ambient.forecastLearned', { learnedFrom: quantity(learnedFrom, 'h') })
    : msg('ambient.forecastHandbook');
}

function Drawn({ ambient, days }: { ambient: PlaceAmbient; days: number }) {
  const say = useSay();
  const now = useNow();
  const option = useMemo(() => ambientOption(ambient, days, now, say), [ambient, days, now, say]);
  const { bridges, aside, following, place } = ambient;
  return (
    <>
      <Chart
        option={option}
        height={362}
        label={say('ambient.chartOf', { place: place.name, days: quantity(days, 'days'), bridges: bridges.length })}
      />
      <p className="quiet text-sm">
        {say('ambient.legend', {
          ahead: aheadTold(place.basis, following.learnedFrom),
          bridged: bridges.length > 0 ? 'yes' : 'no',
        })}
      </p>
      {bridges.length > 0 && (
        <ul className="list-disc pl-5 text-sm" aria-label={say('ambient.gaps')}>
          {bridges.slice(-6).map(({ from, to, why }) => (
            <li key={from} title={say('ambient.fromTo', { from: exactTime(from), to: exactTime(to) })}>
              {say('ambient.gapFromTo', { from: whenOf(from, now), to: whenOf(to, now), why: say(why) })}
            </li>
          ))}
        </ul>
      )}
      {aside.length > 0 && (
        <div>
          <h3 className="text-lg">{say('ambient.rejected')}</h3>
          <ul className="list-disc pl-5 text-sm" aria-label={say('ambient.rejected')}>
            {aside.slice(0, 8).map(({ reading, why }, i) => (
              <li key={i}>
                {Number.isFinite(reading.at) && reading.at > 0 ? say(exactTime(reading.at)) : say('ambient.noTime')}:{' '}
                {say(why)}
              </li>
            ))}
          </ul>
        </div>
      )}
    </>
  );
}
