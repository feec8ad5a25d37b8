import { defined } from '@dewpot/core/math';
import type { ShoppingLine } from '@dewpot/core/materials';
import { useUnits } from '../ui/units';

/** What the store has too little of, and what to buy in whole bags. */
export function Shopping({ lines }: { lines: readonly ShoppingLine[] }) {
  const units = useUnits();
  if (lines.length === 0) return null;
  const cost = lines.reduce((sum, line) => sum + (line.cost ?? 0), 0);
  return (
    <section className="border-warning my-3 border-l-4 pl-3" aria-label="To buy">
      <p className="font-semibold">Short in store{cost > 0 && `: ${units.say(cost, 'money')} to buy`}</p>
      <ul>
        {lines.map(({ materialId, name, missing, bags, bag, cost: price }) => (
          <li key={materialId}>
            {units.say(missing, 'g')} of {name.toLowerCase()}
            {bags !== undefined &&
              `: ${bags} ${bags === 1 ? 'bag' : 'bags'} of ${units.say(defined(bag), 'g')}, ${units.say(defined(price), 'money')}`}
          </li>
        ))}
      </ul>
    </section>
  );
}
