import { quantity } from '@dewpot/core/units';
import { defined } from '@dewpot/core/math';
import type { ShoppingLine } from '@dewpot/core/materials';
import { useSay } from '../ui/say';

/** What the store has too little of, and what to buy in whole bags. */
export function Shopping({ lines }: { lines: readonly ShoppingLine[] }) {
  const say = useSay();
  if (lines.length === 0) return null;
  const cost = lines.reduce((sum, line) => sum + (line.cost ?? 0), 0);
  return (
    <section className="border-warning my-3 border-l-4 pl-3" aria-label={say('pours.toBuy')}>
      <p className="font-semibold">
        {say('pours.shortInStore', { cost: cost > 0 ? quantity(cost, 'money') : 'none' })}
      </p>
      <ul>
        {lines.map(({ materialId, name, missing, bags, bag, cost: price }) => (
          <li key={materialId}>
            {bags === undefined
              ? say('pours.missingOf', { missing: quantity(missing, 'g'), name })
              : say('pours.missingBags', {
                  missing: quantity(missing, 'g'),
                  name,
                  bags,
                  bag: quantity(defined(bag), 'g'),
                  price: quantity(defined(price), 'money'),
                })}
          </li>
        ))}
      </ul>
    </section>
  );
}
