import { useMemo, useState } from 'react';
import type { AmbientBasis, PlaceAmbient, PlaceView } from '@dewpot/contract';
import { useQuery } from '@tanstack/react-query';
import { placeAmbientQuery } from '../api/places';
import { Chart } from '../ui/chart';
import { Choice } from '../ui/choice';
import { exactly, sayWhen } from '../ui/format-time';
import { Busy, Failure } from '../ui/states';
import { useNow } from '../ui/use-now';
import { useUnits } from '../ui/units';
import { ambientOption } from './ambient-chart-option';
import { ReadingsIn } from './readings-in';
import { useSay } from '../ui/say';

const stretches = [
  { value: 3, label: '3 days' },
  { value: 14, label: '2 weeks' },
  { value: 60, label: '2 months' },
] as const;

/** The air of a place, recorded and forecast, with what was bridged and what was set aside. */
export function PlaceAmbientSlab({ place }: { place: PlaceView }) {
  const [days, setDays] = useState<number>(3);
  const { data, error } = useQuery(placeAmbientQuery(place.id, days));
  return (
    <section className="card-slab min-w-0 space-y-3" aria-label={`Conditions: ${place.name}`}>
      <div className="flex flex-wrap items-end justify-between gap-3">
        <h2 className="text-2xl break-words">Conditions: {place.name}</h2>
        <Choice legend="How far back" hideLegend options={stretches} value={days} onChange={setDays} />
      </div>
      {(place.source === 'files' || (place.source === 'logger' && !place.simulated)) && <ReadingsIn place={place} />}
      <Failure error={error} />
      {data ? <Drawn ambient={data} days={days} /> : !error && <Busy what="the air" />}
    </section>
  );
}

/** What is expected of a place, and why. */
function aheadTold(basis: AmbientBasis, learnedFrom: number): string {
  if (basis === 'measured') return 'as its last three days ran';
  if (basis !== 'simulated') return 'what is taken to go on';
  return learnedFrom > 0
    ? `the simulated forecast, as this place followed it over ${learnedFrom} hours`
    : 'the simulated forecast, as such a place follows it by the handbook';
}

function Drawn({ ambient, days }: { ambient: PlaceAmbient; days: number }) {
  const say = useSay();
  const units = useUnits();
  const now = useNow();
  const option = useMemo(() => ambientOption(ambient, days, now, units), [ambient, days, now, units]);
  const { bridges, aside, following, place } = ambient;
  return (
    <>
      <Chart
        option={option}
        height={362}
        label={`Temperature and humidity of ${place.name} over ${days} days and ahead; ${bridges.length} bridged`}
      />
      <p className="quiet text-sm">
        Solid: recorded; dashed: {aheadTold(place.basis, following.learnedFrom)}
        {bridges.length > 0 && '; grey: no readings that can be trusted, bridged straight'}.
      </p>
      {bridges.length > 0 && (
        <ul className="list-disc pl-5 text-sm" aria-label="Interpolated gaps">
          {bridges.slice(-6).map(({ from, to, why }) => (
            <li key={from} title={`${exactly(from)} to ${exactly(to)}`}>
              {sayWhen(from, now)} to {sayWhen(to, now)}: {say(why)}
            </li>
          ))}
        </ul>
      )}
      {aside.length > 0 && (
        <div>
          <h3 className="text-lg">Rejected readings</h3>
          <ul className="list-disc pl-5 text-sm" aria-label="Rejected readings">
            {aside.slice(0, 8).map(({ reading, why }, i) => (
              <li key={i}>
                {Number.isFinite(reading.at) && reading.at > 0 ? exactly(reading.at) : 'no time'}: {say(why)}
              </li>
            ))}
          </ul>
        </div>
      )}
    </>
  );
}
