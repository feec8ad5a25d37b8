import { useState } from 'react';
import { listed, quantity } from '@dewpot/core/units';
import { defined } from '@dewpot/core/math';
import type { StepMould } from '@dewpot/core/bench';
import { Button } from '../ui/button';
import { QuantityField } from '../ui/quantity-field';
import { useUnits } from '../ui/units';
import { FillDrawing } from './fill-drawing';
import type { BucketContext } from './step-context';
import { useSay } from '../ui/say';

/** Mould by mould: how much goes in and to which line, or how thick it is pressed; what went otherwise is told here. */
export function FillStep(context: BucketContext) {
  const say = useSay();
  const { bench, timed, run, part, record, bucketKey } = context;
  const { step } = timed;
  const units = useUnits();
  const [chosen, setChosen] = useState<string>();
  const { plan } = defined(bench.parts[step.part]);
  const thickness = (mould: StepMould) => plan.items[mould.item]?.shape.pressed?.thickness;
  const colour = step.tint?.colour ?? plan.colour ?? 'var(--concrete)';
  return (
    <div className="space-y-3">
      <ul className="space-y-2">
        {step.moulds.map((mould) => {
          const skipped = run.skipped.has(mould.key);
          const lost = run.lost.get(mould.key) ?? 0;
          const thick = thickness(mould);
          return (
            <li key={mould.key} className={`bg-base-100 border-base-300 border p-3 ${skipped ? 'opacity-60' : ''}`}>
              <button
                type="button"
                className="flex min-h-14 w-full items-center gap-3 text-left"
                aria-expanded={chosen === mould.key}
                onClick={() => setChosen(chosen === mould.key ? undefined : mould.key)}
              >
                <FillDrawing shape={defined(plan.items[mould.item]).shape} to={mould.to} colour={colour} />
                <span className="min-w-0 flex-1">
                  <span className={`block text-lg font-semibold ${skipped ? 'line-through' : ''}`}>
                    {say('bench.mouldLayer', { name: mould.name, layer: `${mould.layer ?? 0}` })}
                  </span>
                  <span className="quiet block">
                    {skipped
                      ? say('bench.leftOut')
                      : thick
                        ? say('bench.pinCheck')
                        : mould.to !== undefined && say('bench.toUp', { to: units.say(mould.to, 'mm') })}
                    {lost > 0 && say('bench.ranOutField', { lost: units.say(lost, 'mL') })}
                  </span>
                </span>
                <span className="numeral text-2xl whitespace-nowrap">
                  {thick ? units.say(thick, 'mm') : units.say(mould.volume, 'mL')}
                </span>
              </button>
              {chosen === mould.key && (
                <WentOtherwise mould={mould} skipped={skipped} record={record} onDone={() => setChosen(undefined)} />
              )}
            </li>
          );
        })}
      </ul>
      <Left part={part} onMore={(share) => record({ kind: 'more', bucket: bucketKey, share })} />
    </div>
  );
}

/** A mould that is left out, or that leaked. */
function WentOtherwise({
  mould,
  skipped,
  record,
  onDone,
}: Pick<BucketContext, 'record'> & { mould: StepMould; skipped: boolean; onDone: () => void }) {
  const say = useSay();
  const [lost, setLost] = useState<number>();
  return (
    <div className="border-base-300 mt-2 flex flex-wrap items-end gap-3 border-t pt-3">
      {!skipped && (
        <Button
          size="tall"
          onClick={() => {
            record({ kind: 'skip', mould: mould.key });
            onDone();
          }}
        >
          {say('pours.leaveItOut')}
        </Button>
      )}
      <div className="w-36">
        <QuantityField label={say('bench.itLeaked')} name="leak" dimension="volume" value={lost} onChange={setLost} />
      </div>
      <Button
        size="tall"
        disabled={lost === undefined || lost <= 0}
        onClick={() => {
          record({ kind: 'leak', mould: mould.key, volume: defined(lost) });
          onDone();
        }}
      >
        {say('bench.stoppedTopped')}
      </Button>
    </div>
  );
}

/** What is left in the bucket and to come, and which moulds that still fills. */
function Left({
  part: { left, toCome, wanted, short, fills },
  onMore,
}: {
  part: BucketContext['part'];
  onMore: (share: number) => void;
}) {
  const say = useSay();
  const units = useUnits();
  const missing = wanted - left.value - toCome;
  return (
    <section className="border-base-300 border-t pt-2" aria-label={say('bench.whatIsLeft')}>
      <p>
        {say('bench.bucketLeft', {
          left: quantity(Math.max(0, left.value), 'mL'),
          toCome: toCome > 0 ? quantity(toCome, 'mL') : 'none',
          wanted: quantity(wanted, 'mL'),
        })}
      </p>
      {short.length === 0 ? (
        <p className="quiet">{say('bench.enoughFor', { count: fills.length })}</p>
      ) : (
        <div className="border-warning mt-1 space-y-2 border-l-4 pl-3">
          <p>{say('bench.notEnoughFor', { short: listed(short), missing: units.say(missing, 'mL') })}</p>
          <div className="flex flex-wrap gap-2">
            {[0.25, 0.5, 1].map((share) => (
              <Button key={share} size="tall" onClick={() => onMore(share)}>
                {say('bench.iMixed', { share: share === 1 ? 'one' : share === 0.5 ? 'half' : 'quarter' })}
              </Button>
            ))}
          </div>
        </div>
      )}
    </section>
  );
}
