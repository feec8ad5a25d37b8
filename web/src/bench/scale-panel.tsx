import { quantity } from '@dewpot/core/units';
import { useState } from 'react';
import { useQuery } from '@tanstack/react-query';
import { scaleQuery, useScaleEvent } from '../api/scale';
import { Button } from '../ui/button';
import { useUnits } from '../ui/units';
import { canSerial, serialScale, useSerialScale } from '../ui/serial-scale';
import type { ScaleAtHand } from '../ui/use-scale';
import { useSay } from '../ui/say';

/** What the scale shows, and taking it. */
export function ScalePanel({
  scale,
  wanted,
  what,
  onTake,
}: {
  scale: ScaleAtHand;
  /** g that are to lie on it. */
  wanted: number | undefined;
  what: string;
  onTake: (mass: number) => void;
}) {
  const say = useSay();
  const units = useUnits();
  const { link, last, steady, rubbish } = scale;
  const eventBody = useScaleEvent();
  const byCable = useSerialScale();
  const told =
    link === 'down'
      ? say('bench.scaleSilent')
      : link === 'waiting'
        ? say('bench.scaleListening')
        : last?.state === 'overload'
          ? say('bench.scaleOverload')
          : steady === undefined
            ? say('bench.scaleMoving')
            : say('bench.scaleSteady');
  const shown = link === 'up' && last?.mass !== undefined ? units.say(last.mass, 'g') : '–';
  return (
    <section className="bg-base-100 border-base-300 border p-3" aria-label={say('bench.scale')}>
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <p className="min-w-32">
          <span className="numeral block text-4xl">{shown}</span>
          <span className={`text-sm ${steady === undefined ? 'quiet' : 'text-success font-semibold'}`}>{told}</span>
        </p>
        {wanted !== undefined && (
          <p className="quiet text-sm">
            {say('bench.wantedMass', { wanted: quantity(wanted, 'g') })}
            <span className="block">{what}</span>
          </p>
        )}
        <span className="ml-auto flex gap-2">
          <Button
            size="tall"
            disabled={link !== 'up'}
            onClick={() => (byCable ? serialScale.zero() : eventBody.mutate({ tare: true }))}
          >
            {say('bench.zeroIt')}
          </Button>
          <Button
            look="second"
            size="tall"
            className="text-lg"
            disabled={steady === undefined || steady <= 0 || wanted === undefined}
            onClick={() => steady !== undefined && onTake(steady)}
          >
            {say('bench.takeIt')}
          </Button>
        </span>
      </div>
      {rubbish > 0 && <p className="text-warning mt-1 text-sm">{say('bench.rubbish', { rubbish })}</p>}
      {!byCable && canSerial() && <CableButton />}
      {!byCable && last?.device.startsWith('Simulated') !== false && <SimulatedPan wanted={wanted} />}
    </section>
  );
}

/** Reads a scale that hangs on a cable of this device. */
function CableButton() {
  const say = useSay();
  const [error, setError] = useState<unknown>();
  const connect = () =>
    serialScale.connect().catch((wrong: unknown) => {
      // Whoever closed the list of ports wanted none.
      if ((wrong as DOMException).name !== 'NotFoundError') setError(wrong);
    });
  return (
    <div className="mt-2">
      <Button size="low" onClick={() => void connect()}>
        {say('bench.scaleByCable')}
      </Button>
      {error !== undefined && (
        <p role="alert" className="mt-1 text-sm">
          {say('bench.cableNotOpened')}
        </p>
      )}
    </div>
  );
}

/** The pan of the simulated scale: pour on and off. */
function SimulatedPan({ wanted }: { wanted: number | undefined }) {
  const say = useSay();
  const [open, setOpen] = useState(false);
  const { data } = useQuery({ ...scaleQuery, enabled: open });
  const eventBody = useScaleEvent();
  const load = (more: number) => eventBody.mutate({ load: Math.max(0, (data?.load ?? 0) + more) });
  return (
    <details className="mt-2 text-sm" onToggle={({ currentTarget }) => setOpen(currentTarget.open)}>
      <summary className="quiet flex min-h-11 cursor-pointer items-center">{say('bench.simulatedScale')}</summary>
      {data && (
        <div className="flex flex-wrap items-center gap-2">
          {[500, 100, 10, -10, -100].map((grams) => (
            <Button key={grams} onClick={() => load(grams)}>
              {grams > 0 ? '+' : '−'} {say.quantity(Math.abs(grams), 'g')}
            </Button>
          ))}
          {wanted !== undefined && (
            <Button onClick={() => eventBody.mutate({ load: data.tare + Math.round(wanted) })}>
              {say('bench.pourWanted')}
            </Button>
          )}
          <Button onClick={() => eventBody.mutate({ load: 0 })}>{say('bench.emptyIt')}</Button>
          <Button onClick={() => eventBody.mutate({ silent: 8000 })}>{say('bench.cutLink', { time: '8 s' })}</Button>
        </div>
      )}
    </details>
  );
}
