import { useState } from 'react';
import { defined } from '@dewpot/core/math';
import type { StepMould } from '@dewpot/core/bench';
import { Button } from '../ui/button';
import { QuantityField } from '../ui/quantity-field';
import { useUnits } from '../ui/units';
import { FillDrawing } from './fill-drawing';
import type { BucketContext } from './step-context';

/** Mould by mould: how much goes in and to which line, or how thick it is pressed; what went otherwise is told here. */
export function FillStep(context: BucketContext) {
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
                    {mould.name}
                    {mould.layer !== undefined && `, layer ${mould.layer}`}
                  </span>
                  <span className="quiet block">
                    {skipped
                      ? 'left out'
                      : thick
                        ? 'check with a marked pin: at the base, the corners, half way up'
                        : mould.to !== undefined && `to ${units.say(mould.to, 'mm')} up`}
                    {lost > 0 && `, ${units.say(lost, 'mL')} ran out`}
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
          Leave it out
        </Button>
      )}
      <div className="w-36">
        <QuantityField label="It leaked" name="leak" dimension="volume" value={lost} onChange={setLost} />
      </div>
      <Button
        size="tall"
        disabled={lost === undefined || lost <= 0}
        onClick={() => {
          record({ kind: 'leak', mould: mould.key, volume: defined(lost) });
          onDone();
        }}
      >
        Stopped, and topped up
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
  const units = useUnits();
  const missing = wanted - left.value - toCome;
  return (
    <section className="border-base-300 border-t pt-2" aria-label="What is left">
      <p>
        {units.say(Math.max(0, left.value), 'mL')} in the bucket
        {toCome > 0 && `, ${units.say(toCome, 'mL')} to be mixed`}; the moulds still want {units.say(wanted, 'mL')}.
      </p>
      {short.length === 0 ? (
        <p className="quiet">Enough for {fills.length === 1 ? 'it' : `all ${fills.length}`}.</p>
      ) : (
        <div className="border-warning mt-1 space-y-2 border-l-4 pl-3">
          <p>
            Not enough for {short.join(', ')}: {units.say(missing, 'mL')} are missing. Fill the others first, leave one
            out, or mix more.
          </p>
          <div className="flex flex-wrap gap-2">
            {[0.25, 0.5, 1].map((share) => (
              <Button key={share} size="tall" onClick={() => onMore(share)}>
                I mixed {share === 1 ? 'another bucket' : share === 0.5 ? 'half a bucket more' : 'a quarter more'}
              </Button>
            ))}
          </div>
        </div>
      )}
    </section>
  );
}
