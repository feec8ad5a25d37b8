import { useSay } from '../ui/say';

interface ShareRow {
  readonly name: string;
  readonly amount: number;
  readonly told: string;
  readonly more?: string;
}

/** Amounts beside each other, each as a bar of the largest. */
export function SharesSlab({ title, rows }: { title: string; rows: readonly ShareRow[] }) {
  const say = useSay();
  const most = Math.max(...rows.map(({ amount }) => amount), Number.MIN_VALUE);
  return (
    <section className="card-slab" aria-label={title}>
      <h2 className="mb-2 text-xl">{title}</h2>
      {rows.length === 0 && <p className="quiet">{say('money.noneHere')}</p>}
      <ul className="space-y-1 text-sm">
        {rows.map(({ name, amount, told, more }) => (
          <li key={name} className="grid grid-cols-[minmax(0,2fr)_minmax(0,2fr)_5rem_4.5rem] items-center gap-2">
            <span className="break-words">{name}</span>
            <span className="bg-base-300/60 block h-3" aria-hidden="true">
              <span className="bg-secondary block h-3" style={{ width: `${(100 * amount) / most}%` }} />
            </span>
            <span className="numeral text-right">{told}</span>
            <span className="quiet text-right">{more}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}
