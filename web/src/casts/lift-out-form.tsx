import { useState } from 'react';
import type { Damage, DamageSize, Force, Spot } from '@dewpot/core';
import { spots } from './spots';
import { Choice } from '../ui/choice';
import type { ActionProps } from './cast-actions';
import { forceWords, sizeWords, spotWords } from './words';

/** Lift-out: clean in one tap, or where and how badly each was hurt. */
export function LiftOutForm({ casts, busy, record }: ActionProps) {
  const [hurt, setHurt] = useState<Record<string, Damage[]>>({});
  const [force, setForce] = useState<Force>();
  const all = () =>
    record(
      casts.length > 1 ? `${casts.length} lifted out.` : 'Lifted out.',
      casts.map((cast) => ({
        cast,
        event: { type: 'lifted-out' as const, damage: hurt[cast.id] ?? [], ...(force && { force }) },
      })),
    );
  const clean = Object.values(hurt).every((damage) => damage.length === 0);
  return (
    <div className="space-y-4">
      <p className="quiet">
        Tap where a cast was hurt; leave the rest. A loaded mould is slid and turned over an edge, not caught.
      </p>
      {casts.map((cast) => (
        <DamagePicker
          key={cast.id}
          code={cast.code}
          damage={hurt[cast.id] ?? []}
          onChange={(damage) => setHurt({ ...hurt, [cast.id]: damage })}
        />
      ))}
      <Choice
        legend="How did it come out? (may be left open)"
        options={(['slid', 'tapped', 'fought'] as const).map((value) => ({ value, label: forceWords[value] }))}
        value={force}
        onChange={setForce}
      />
      <button type="button" disabled={busy} className="btn btn-primary h-16 w-full text-lg" onClick={all}>
        {clean ? (casts.length > 1 ? 'All out, clean' : 'Out, clean') : 'Out, with this damage'}
      </button>
    </div>
  );
}

const sizes: readonly DamageSize[] = ['chip', 'piece', 'through'];

function DamagePicker({
  code,
  damage,
  onChange,
}: {
  code: string;
  damage: readonly Damage[];
  onChange: (damage: Damage[]) => void;
}) {
  const sizeAt = (spot: Spot) => damage.find((one) => one.spot === spot)?.size;
  const next = (spot: Spot) => {
    const current = sizeAt(spot);
    const size = current === undefined ? sizes[0] : sizes[sizes.indexOf(current) + 1];
    const others = damage.filter((one) => one.spot !== spot);
    onChange(size ? [...others, { spot, size }] : others);
  };
  return (
    <div role="group" aria-label={`Damage to ${code}`} className="flex flex-wrap items-center gap-1.5">
      <span className="numeral w-14 text-lg">{code}</span>
      {spots.map((spot) => {
        const size = sizeAt(spot);
        return (
          <button
            key={spot}
            type="button"
            aria-pressed={size !== undefined}
            className={`btn h-14 px-3 text-sm ${size ? 'btn-accent' : 'btn-ghost bg-base-300/60'}`}
            onClick={() => next(spot)}
          >
            <span>
              {spotWords[spot]}
              {size && <span className="block text-xs">{sizeWords[size]}</span>}
            </span>
          </button>
        );
      })}
    </div>
  );
}
