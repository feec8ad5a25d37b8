import { useState } from 'react';
import type { StockView } from '@dewpot/contract';
import { Plus } from 'lucide-react';
import { Button } from '../ui/button';
import { useSay } from '../ui/say';
import { useUnits } from '../ui/units';
import { StockEditor } from './stock-editor';

/** The longest piece is drawn so wide, and the thinnest so high, px. */
const LONGEST = 220;
const THINNEST = 5;

/** Sticks, sheets and mesh that patterns are cut from, drawn to one scale. */
export function Stock({ stock }: { stock: readonly StockView[] }) {
  const say = useSay();
  const units = useUnits();
  const [editing, setEditing] = useState<StockView | 'new'>();
  const longest = Math.max(1, ...stock.map(({ length }) => length));
  const px = (mm: number) => (mm / longest) * LONGEST;
  return (
    <section className="card-slab" aria-label={say('materials.stock')}>
      <h2 className="text-2xl">{say('materials.stock')}</h2>
      <p className="quiet mb-2 text-sm">{say('materials.whatForStock')}</p>
      <ul className="flex flex-wrap items-end gap-x-6 gap-y-3">
        {stock.map((one) => (
          <li key={one.id}>
            <button type="button" className="hover:bg-base-200 max-w-64 p-2 text-left" onClick={() => setEditing(one)}>
              <StockDrawing width={px(one.length)} height={Math.max(THINNEST, px(one.width))} mesh={one.kind === 'mesh'} />
              <span className="block font-semibold">{one.name}</span>
              <span className="quiet block text-sm">
                {units.say(one.length, 'mm')} × {units.say(one.width, 'mm')} × {units.say(one.thickness, 'mm')}
              </span>
              <span className="numeral block text-xl">
                {say('materials.stockCount', { count: one.count })}
                {one.price !== undefined && ` · ${units.say(one.price, 'money')}`}
              </span>
            </button>
          </li>
        ))}
        <li>
          <Button onClick={() => setEditing('new')}>
            <Plus size={18} aria-hidden="true" /> {say('materials.aStock')}
          </Button>
        </li>
      </ul>
      {editing && <StockEditor stock={editing === 'new' ? undefined : editing} onClose={() => setEditing(undefined)} />}
    </section>
  );
} // prettier-ignore

function StockDrawing({ width, height, mesh }: { width: number; height: number; mesh: boolean }) {
  return (
    <svg width={width + 2} height={height + 2} viewBox={`-1 -1 ${width + 2} ${height + 2}`} aria-hidden="true">
      <rect
        width={width}
        height={height}
        stroke="currentColor"
        fill={mesh ? 'none' : 'var(--concrete)'}
        strokeDasharray={mesh ? '3 3' : undefined}
      />
    </svg>
  );
}
