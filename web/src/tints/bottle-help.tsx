import { useState } from 'react';
import { defined } from '@dewpot/core/math';
import { InputError } from '@dewpot/core/units';
import type { Material } from '@dewpot/core/materials';
import { solidsOf } from '@dewpot/core/mixes';
import { fromBottle } from '@dewpot/core/tints';
import { Button } from '../ui/button';
import { NumberField } from '../ui/number-field';

function share(before: number, after: number, binder: number, material: Material): number | string {
  try {
    return fromBottle(before, after, solidsOf(material)) / binder;
  } catch (error) {
    if (error instanceof InputError) return `${defined(error.issues[0]).message} ${defined(error.issues[0]).remedy}`;
    throw error;
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
      <summary className="link min-h-11 cursor-pointer py-2">
        From a bottle, by squirts: weigh it before and after
      </summary>
      <div className="grid grid-cols-3 gap-2">
        {field('Before, g', before, setBefore)}
        {field('After, g', after, setAfter)}
        {field('Into binder, g', own, setOwn)}
      </div>
      {typeof found === 'string' && <p className="text-error">{found}</p>}
      {typeof found === 'number' && (
        <p className="mt-2 flex flex-wrap items-center gap-3">
          That was {(found * 100).toFixed(2)} % of the binder.
          <Button size="low" onClick={() => onShare(found)}>
            Take that as the dose
          </Button>
        </p>
      )}
    </details>
  );
}
