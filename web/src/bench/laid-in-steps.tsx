import { defined } from '@dewpot/core/math';
import { insetView, rimOf } from '@dewpot/core/moulds';
import type { Step } from '@dewpot/core/bench';
import type { BenchOf } from '@dewpot/core/planning';
import { cutList } from '@dewpot/core/pours';
import { InsetDrawing } from '../ui/inset-drawing';
import { useUnits } from '../ui/units';
import { useSay } from '../ui/say';

/** Lettering and pictures as they must lie in their moulds. */
export function InsetsStep({ bench: { parts } }: { bench: BenchOf }) {
  const say = useSay();
  const units = useUnits();
  const items = parts.flatMap(({ plan }) => plan.items);
  return (
    <ul className="grid gap-2 sm:grid-cols-2">
      {items.map(({ name, count, shape, inset, fillTo = rimOf(shape) }, i) =>
        inset?.face === 'mould' ? (
          <li key={i} className="card-slab">
            <p className="text-lg font-semibold">{say('pours.itemCount', { count, name })}</p>
            <InsetDrawing view={insetView(shape, inset, fillTo)} as="lies" />
            <p className="quiet mt-2">
              {say('bench.insetTold', { inset: inset.name, thickness: units.say(inset.thickness, 'mm') })}
            </p>
          </li>
        ) : null,
      )}
    </ul>
  );
}

/** The mesh of each mould of a step, as it was cut. */
export function MeshStep({ bench: { parts }, step }: { bench: BenchOf; step: Step }) {
  const units = useUnits();
  const { items } = defined(parts[step.part]).plan;
  return (
    <ul className="space-y-2">
      {step.moulds.map(({ key, name, item }) => {
        const mesh = cutList([defined(items[item])]).find(({ mesh: isMesh }) => isMesh);
        return (
          <li key={key} className="bg-base-100 border-base-300 flex min-h-14 items-center gap-3 border p-3">
            <span className="flex-1 text-lg font-semibold">{name}</span>
            {mesh && (
              <span className="numeral text-xl">
                {units.say(mesh.length, 'mm')} × {units.say(mesh.width ?? 0, 'mm')}
              </span>
            )}
          </li>
        );
      })}
    </ul>
  );
}
