import { useState } from 'react';
import { type Message, quantity } from '@dewpot/core/units';
import type { Material } from '@dewpot/core/materials';
import { solidsOf } from '@dewpot/core/mixes';
import { fromBottle } from '@dewpot/core/tints';
import { Button } from '../ui/button';
import { NumberField } from '../ui/number-field';
import { firstIssue } from '../ui/input-error-message';
import { useSay } from '../ui/say';

function share(before: number, after: number, binder: number, material: Material): number | Message | undefined {
  try {
    return fromBottle(before, after, solidsOf(material)) / binder;
  } catch (error) {
    return firstIssue(error);
  }
}

/** Colour out of a bottle, by squirts: weighed before and after, it becomes a dose. */
export function BottleHelp({
  material,
  binder,
  onShare,
}: {
  material: Material;
  binder: number | undefined;
  onShare: (amount: number) => void;
}) {
  const say = useSay();
  const [before, setBefore] = useState(NaN);
  const [after, setAfter] = useState(NaN);
  const [own, setOwn] = useState(binder ?? NaN);
  const ready = [before, after, own].every(Number.isFinite) && own > 0;
  const found = ready ? share(before, after, own, material) : undefined;
  const field = (label: string, value: number, put: (value: number) => void) => (
    <label className="text-sm">
      {label}
      <NumberField label={label} className="mt-1 w-full" value={value} onChange={put} />
    </label>
  );
  return (
    <details className="text-sm">
      <summary className="link min-h-11 cursor-pointer py-2">{say('tints.fromBottle')}</summary>
      <div className="grid grid-cols-3 gap-2">
        {field(say('tints.beforeG'), before, setBefore)}
        {field(say('tints.afterG'), after, setAfter)}
        {field(say('tints.intoBinderG'), own, setOwn)}
      </div>
      {typeof found === 'object' && <p className="text-error">{say(found)}</p>}
      {typeof found === 'number' && (
        <p className="mt-2 flex flex-wrap items-center gap-3">
          {say('tints.thatWasShare', { share: quantity(found * 100, '%', 2) })}
          <Button size="low" onClick={() => onShare(found)}>
            {say('tints.takeAsDose')}
          </Button>
        </p>
      )}
    </details>
  );
}
