import { defined } from '@dewpot/core/math';
import { useState } from 'react';
import { useAmbient, useSession } from '../api/session';
import { Button } from '../ui/button';
import { QuantityField } from '../ui/quantity-field';
import { sayWhen } from '../ui/format-time';
import { useNow } from '../ui/use-now';
import { useUnits } from '../ui/units';
import type { ActionProps } from '../ui/casts/action-props';

/** A weighing of each cast; the air is taken from the station. */
export function WeighForm({ casts, busy, record }: ActionProps) {
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
      entered.length > 1 ? `${entered.length} weighed.` : 'Weighed.',
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
              label={`Mass of ${cast.code}`}
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
                ? `last ${units.sayWeighing(last)}, ${sayWhen(defined(cast.life.weighedAt), now)}`
                : `fresh it was about ${units.say(cast.expected.fresh, 'g')}`}
            </span>
          </div>
        );
      })}
      {missing && entered.length === 0 && (
        <p role="alert" className="text-error">
          Nothing was weighed yet. Put {defined(casts[0]).code} on the scale and enter what it shows.
        </p>
      )}
      <Button type="submit" disabled={busy} look="main" size="bench" className="w-full text-lg" onClick={save}>
        Save {entered.length > 1 ? 'weighings' : 'weighing'}
      </Button>
      <p className="quiet text-sm">
        To the scale’s step of {units.sayWeighing({ mass: workshop.scaleStep, step: workshop.scaleStep })}. The air by
        the station is kept with it.
      </p>
    </form>
  );
}
