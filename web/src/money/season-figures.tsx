import type { Season } from '@dewpot/core/money';
import { useSay } from '../ui/say';

/** The figures of a season that one looks for first. */
export function SeasonFigures({ season: { total, stockValue } }: { season: Season }) {
  const say = useSay();
  const { casts, seen, good, broken, mass, spent, wasted, sold, income } = total;
  const money = (value: number) => say.quantity(value, 'money');
  const figures = [
    { name: say('money.pieces'), value: String(casts), more: say('money.brokenOf', { broken }) },
    { name: say('money.goodOnes'), value: seen > 0 ? say.quantity((100 * good) / seen, '%', 0) : '–', more: say('money.ofSeen', { good, seen }) },
    { name: say('money.madeInAll'), value: say.quantity(mass, 'g'), more: say('money.asFresh') },
    { name: say('money.spent'), value: money(spent), more: say('money.onMaterials') },
    { name: say('money.wasted'), value: money(wasted), more: say('money.leftAndBroken') },
    ...(sold > 0 ? [{ name: say('money.income'), value: money(income), more: say('money.soldOnes', { sold }) }] : []),
    { name: say('money.stock'), value: money(stockValue), more: say('money.atItsPrice') },
  ];
  return (
    <dl className="card-slab grid grid-cols-2 gap-x-6 gap-y-3 sm:grid-cols-4 xl:grid-cols-7">
      {figures.map(({ name, value, more }) => (
        <div key={name}>
          <dt className="text-sm font-semibold">{name}</dt>
          <dd className="numeral text-3xl whitespace-nowrap">{value}</dd>
          <dd className="quiet text-sm">{more}</dd>
        </div>
      ))}
    </dl>
  );
} // prettier-ignore
