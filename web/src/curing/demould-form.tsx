import { useState } from 'react';
import {
  spots,
  spotWords,
  usualCause,
  type Damage,
  type DamageCause,
  type DamageSize,
  type Force,
  type Spot,
} from '@dewpot/core/casts';
import type { CastView } from '@dewpot/contract';
import { Button } from '../ui/button';
import { BubblePatch } from '../ui/bubble-patch';
import { Choice } from '../ui/choice';
import type { ActionProps } from '../ui/casts/action-props';
import { causeWords, forceWords, sizeWords } from '../ui/casts/event-words';
import { useSay } from '../ui/say';

const grades = [1, 2, 3, 4, 5] as const;
const forces: readonly Force[] = ['slid', 'tapped', 'fought'];
const causes: readonly DamageCause[] = ['early', 'stuck', 'dropped'];

/** Demoulding: clean in one tap, or where and how badly each was hurt, and what that is put down to. */
export function DemouldForm({ casts, busy, record }: ActionProps) {
  const say = useSay();
  const [hurt, setHurt] = useState<Record<string, Damage[]>>({});
  const [force, setForce] = useState<Force>();
  const [said, setSaid] = useState<DamageCause>();
  const [bubbles, setBubbles] = useState<number>();
  const damageOf = ({ id }: CastView) => hurt[id] ?? [];
  const anyHurt = casts.flatMap(damageOf);
  const usual = usualCause(anyHurt, force);
  const all = () =>
    record(
      casts.length > 1 ? say('curing.manyDemoulded', { casts: casts.length }) : say('curing.demoulded'),
      casts.flatMap((cast) => {
        const damage = damageOf(cast);
        const cause = said ?? usual;
        const event = {
          type: 'demoulded' as const,
          damage,
          ...(force && { force }),
          ...(damage.length > 0 && cause && { cause }),
        };
        const seen = { type: 'bubbles' as const, face: 'face' as const, grade: bubbles ?? 1 };
        return [{ cast, event }, ...(bubbles === undefined ? [] : [{ cast, event: seen }])];
      }),
    );
  const clean = anyHurt.length === 0;
  return (
    <div className="space-y-4">
      <p className="quiet">{say('curing.tapHurt')}</p>
      {casts.map((cast) => (
        <DamagePicker
          key={cast.id}
          code={cast.code}
          damage={damageOf(cast)}
          onChange={(damage) => setHurt({ ...hurt, [cast.id]: damage })}
        />
      ))}
      {!clean && (
        <Choice
          legend={say('curing.putDownTo')}
          options={causes.map((value) => ({ value, label: causeWords[value] }))}
          value={said ?? usual}
          onChange={setSaid}
        />
      )}
      <Choice
        legend={say('curing.howCameOut')}
        options={forces.map((value) => ({ value, label: forceWords[value] }))}
        value={force}
        onChange={setForce}
      />
      <fieldset>
        <legend className="mb-1 text-sm font-semibold">{say('curing.bubblesFace')}</legend>
        <div className="flex flex-wrap gap-2">
          {grades.map((grade) => (
            <button
              key={grade}
              type="button"
              aria-pressed={bubbles === grade}
              aria-label={say('care.ofFive', { grade })}
              className={`p-1 ${bubbles === grade ? 'outline-secondary outline-3' : 'hover:outline-secondary hover:outline-2'}`}
              onClick={() => setBubbles(bubbles === grade ? undefined : grade)}
            >
              <BubblePatch grade={grade} />
            </button>
          ))}
        </div>
      </fieldset>
      <Button disabled={busy} look="main" size="bench" className="w-full text-lg" onClick={all}>
        {clean ? (casts.length > 1 ? say('curing.allOutClean') : say('curing.outClean')) : say('curing.outDamaged')}
      </Button>
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
  const say = useSay();
  const sizeAt = (spot: Spot) => damage.find((one) => one.spot === spot)?.size;
  const next = (spot: Spot) => {
    const current = sizeAt(spot);
    const size = current === undefined ? sizes[0] : sizes[sizes.indexOf(current) + 1];
    const others = damage.filter((one) => one.spot !== spot);
    onChange(size ? [...others, { spot, size }] : others);
  };
  return (
    <div role="group" aria-label={say('curing.damageTo', { code })} className="flex flex-wrap items-center gap-1.5">
      <span className="numeral w-14 text-lg">{code}</span>
      {spots.map((spot) => {
        const size = sizeAt(spot);
        return (
          <Button
            key={spot}
            aria-pressed={size !== undefined}
            look={size ? 'warning' : 'soft'}
            size="tall"
            className="px-3 text-sm"
            onClick={() => next(spot)}
          >
            <span>
              {say(spotWords[spot])}
              {size && <span className="block text-xs">{say(sizeWords[size])}</span>}
            </span>
          </Button>
        );
      })}
    </div>
  );
}
