import { Amounts } from '../ui/amounts';
import { useState } from 'react';
import { quantity, type MessageValue, msg } from '@dewpot/core/units';
import { releaseCalled, releases } from '@dewpot/core/moulds';
import type { CoreHold } from '@dewpot/core/bench';
import type { BenchOf } from '@dewpot/core/planning';
import type { PourInput } from '@dewpot/contract';
import { useSession } from '../api/session';
import { thingsToLayOut } from '../pours';
import { FigureWorking } from '../ui/figure-working';
import { useUnits } from '../ui/units';
import { useSay } from '../ui/say';

/** Something to have in reach, ticked off with a glove. */
function Ticks({ things }: { things: readonly MessageValue[] }) {
  const say = useSay();
  const [there, setThere] = useState<readonly MessageValue[]>([]);
  return (
    <ul className="space-y-1.5">
      {things.map((thing) => (
        <li key={JSON.stringify(thing)}>
          <label className="bg-base-100 border-base-300 flex min-h-14 cursor-pointer items-center gap-3 border px-3 py-2">
            <input
              type="checkbox"
              className="checkbox h-8 w-8"
              checked={there.includes(thing)}
              onChange={({ target }) =>
                setThere(target.checked ? [...there, thing] : there.filter((one) => one !== thing))
              }
            />
            <span className="text-lg">{say.value(thing)}</span>
          </label>
        </li>
      ))}
    </ul>
  );
}

export function LayOutStep({ bench: { parts }, input }: { bench: BenchOf; input: Omit<PourInput, 'version'> }) {
  const { usual } = useSession().workshop;
  const plans = parts.map(({ plan }) => plan);
  return <Ticks things={thingsToLayOut(plans, input, usual?.ways)} />;
}

export function ReleaseStep({ bench: { parts }, release }: { bench: BenchOf; release: string | undefined }) {
  const say = useSay();
  const named = releaseCalled(release);
  const known = named && releases[named];
  return (
    <div className="card-slab space-y-2">
      {known && (
        <>
          <p className="text-xl font-semibold">{say(known.name)}</p>
          <p>{say(known.does)}</p>
          {known.dries > 0 && (
            <p className="quiet">{say('bench.itDries', { dries: quantity(known.dries, 'min', 0) })}</p>
          )}
        </>
      )}
      <ul className="list-disc pl-5">
        {parts
          .flatMap(({ plan }) => plan.items)
          .map(({ name, count }, i) => (
            <li key={i}>{say('pours.itemCount', { count, name })}</li>
          ))}
      </ul>
      <p className="quiet">{say('bench.pipesWant')}</p>
    </div>
  );
}

/** Ballast for every cored mould, as mass and as dry sand. */
export function CoresStep({ cores }: { cores: readonly CoreHold[] }) {
  const say = useSay();
  const units = useUnits();
  return (
    <ul className="space-y-2">
      {cores.map(({ name, count, held, lifts }, i) => (
        <li key={i} className="card-slab">
          <p className="text-lg font-semibold">{say('pours.itemCount', { count, name })}</p>
          {held ? (
            <>
              <p>
                <span className="numeral text-3xl">{units.sayFigure(held.mass)}</span>{' '}
                <Amounts of={msg('bench.onEachCore', { sand: held.sand, name: held.sandName })} />
              </p>
              <p className="quiet">{say(held.advice)}</p>
              {lifts !== undefined && <p>{say('bench.inLifts', { lifts })}</p>}
              <FigureWorking figure={held.mass} />
            </>
          ) : (
            <p>{say('bench.plugsTight')}</p>
          )}
        </li>
      ))}
    </ul>
  );
}
