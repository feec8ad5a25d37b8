import { defined } from '@dewpot/core/math';
import { useState } from 'react';
import { useAmbient, useSession } from '../api/session';
import { Button } from '../ui/button';
import { QuantityField } from '../ui/quantity-field';
import { whenOf } from '../ui/format-time';
import { useNow } from '../ui/use-now';
import { useUnits } from '../ui/units';
import type { ActionProps } from '../ui/casts/action-props';
import { useSay } from '../ui/say';

/** A weighing of each cast; the air is taken from the station. */
export function WeighForm({ casts, busy, record }: ActionProps) {
  const say = useSay();
  const { workshop } = useSession();
  const units = useUnits();
  const now = useNow();
  const ambient = useAmbient().data?.now;
  const [masses, setMasses] = useState<Record<string, number | undefined>>({});
  const [missing, setMissing] = useState(false);
  const entered = casts.filter(({ id }) => masses[id] !== undefined);
  const save = () => {
    if (entered.length === 0) return setMissing(true);
    record(
      entered.length > 1 ? say('sealing.manyWeighed', { entered: entered.length }) : say('sealing.oneWeighed'),
      entered.map((cast) => ({
        cast,
        event: {
          type: 'weighed' as const,
          mass: defined(masses[cast.id]),
          step: workshop.scaleStep,
          ...(ambient && { temperature: ambient.temperature, humidity: ambient.humidity }),
        },
      })),
    );
  };
  return (
    <form className="space-y-4" onSubmit={(event) => event.preventDefault()}>
      {casts.map((cast, i) => {
        const last = cast.life.weighings[cast.life.weighings.length - 1];
        return (
          <div key={cast.id} className="grid grid-cols-[4rem_1fr_1fr] items-center gap-3">
            <span className="numeral text-xl">{cast.code}</span>
            <QuantityField
              label={say('sealing.massOf', { code: cast.code })}
              hideLabel
              name="mass"
              dimension="mass"
              value={masses[cast.id]}
              autoFocus={i === 0}
              onChange={(mass) => setMasses({ ...masses, [cast.id]: mass })}
              className="[&_input]:h-14 [&_input]:text-xl"
            />
            <span className="quiet text-sm">
              {last
                ? say('sealing.lastWas', {
                    last: units.sayWeighing(last),
                    now: say(whenOf(defined(cast.life.weighedAt), now)),
                  })
                : say('sealing.freshWas', { fresh: units.say(cast.expected.fresh, 'g') })}
            </span>
          </div>
        );
      })}
      {missing && entered.length === 0 && (
        <p role="alert" className="text-error">
          {say('sealing.nothingWeighed', { code: defined(casts[0]).code })}
        </p>
      )}
      <Button type="submit" disabled={busy} look="main" size="bench" className="w-full text-lg" onClick={save}>
        {say('sealing.saveWeighings', { count: entered.length })}
      </Button>
      <p className="quiet text-sm">
        {say('sealing.toScaleStep', {
          value: units.sayWeighing({ mass: workshop.scaleStep, step: workshop.scaleStep }),
        })}
      </p>
    </form>
  );
}
