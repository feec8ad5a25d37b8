import { useState } from 'react';
import { faces, sealers, sealerVolume, sealingGate, type SealerKind, type Side } from '@dewpot/core';
import { Choice } from '../ui/choice';
import { Reckoning } from '../ui/reckoning';
import { useNow } from '../ui/use-now';
import { useUnits } from '../ui/units';
import type { ActionProps } from './cast-actions';
import { sideWords } from './words';

/** A coat of sealer. A piece that is still losing water is refused with the reason; that can be overruled, and is kept. */
export function CoatForm({ casts, busy, record }: ActionProps) {
  const units = useUnits();
  const [sealer, setSealer] = useState<SealerKind>('penetrating');
  const [side, setSide] = useState<Side>('both');
  const [reason, setReason] = useState('');
  const now = useNow();
  const shut = casts
    .filter(({ life }) => life.coats.length === 0)
    .map((cast) => ({ cast, gate: sealingGate(cast.life, cast.expected, cast.snapshot.setting, sealer, now) }))
    .filter(({ gate }) => !gate.open);
  const area = casts.reduce((sum, { snapshot }) => {
    const { outer, base, inner, open } = faces(snapshot.shape);
    return sum + (side === 'inside' ? inner : side === 'outside' ? outer + base + open : outer + base + open + inner);
  }, 0);
  const volume = sealerVolume(area, 1, sealer, casts[0]!.snapshot.piece === 'hypertufa-pot' ? 'porous' : 'dense');
  const overruled = reason.trim();
  const save = () =>
    record(
      casts.length > 1 ? `${casts.length} coated.` : 'Coated.',
      casts.map((cast) => ({
        cast,
        event: {
          type: 'coated' as const,
          sealer,
          side,
          ...(shut.some((one) => one.cast.id === cast.id) && { overruled }),
        },
      })),
    );
  return (
    <form className="space-y-4" onSubmit={(event) => event.preventDefault()}>
      <Choice
        legend="With"
        options={Object.values(sealers).map(({ kind, name }) => ({ value: kind, label: name }))}
        value={sealer}
        onChange={setSealer}
      />
      <Choice
        legend="Where"
        options={(['both', 'outside', 'inside'] as const).map((value) => ({ value, label: sideWords[value] }))}
        value={side}
        onChange={setSide}
      />
      <div>
        <p>
          One thin coat takes about <strong>{units.sayFigure(volume)}</strong> for{' '}
          {casts.length > 1 ? `these ${casts.length}` : 'this piece'}. Brush it thin and wipe what stands. Open the
          door; oily rags lie flat to dry.
        </p>
        <Reckoning figure={volume} />
      </div>
      {shut.length > 0 && (
        <div role="alert" className="border-accent border-l-4 pl-3">
          <p className="text-accent font-semibold">
            Better to wait:{' '}
            {shut.length === casts.length
              ? 'not dry enough to seal'
              : `${shut.map(({ cast }) => cast.code).join(', ')} not dry enough`}
          </p>
          <ul className="list-disc pl-5">
            {[...new Set(shut.flatMap(({ gate }) => gate.reasons))].map((one) => (
              <li key={one}>{one}</li>
            ))}
          </ul>
          <p className="quiet mt-1 text-sm">Sealed damp, a film blisters, peels or clouds.</p>
          <label className="mt-2 block text-sm font-semibold">
            Coat it all the same, because
            <input
              className="input input-bordered mt-1 w-full"
              value={reason}
              maxLength={300}
              onChange={(event) => setReason(event.target.value)}
              placeholder="your reason; it is kept with the cast"
            />
          </label>
        </div>
      )}
      <button
        type="submit"
        disabled={busy || (shut.length > 0 && overruled === '')}
        className={`btn h-16 w-full text-lg ${shut.length > 0 ? 'btn-accent' : 'btn-primary'}`}
        onClick={save}
      >
        {shut.length > 0 ? 'Coat against the advice' : 'One coat is on'}
      </button>
    </form>
  );
}
