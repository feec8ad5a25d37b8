import { useState } from 'react';
import { inStore } from '@dewpot/core/materials';
import { keepingOf } from '@dewpot/core/mixes';
import type { LotView, StoreView } from '@dewpot/contract';
import { Plus } from 'lucide-react';
import { Button } from '../ui/button';
import { exactTime, dayOf } from '../ui/format-time';
import { useNow } from '../ui/use-now';
import { useUnits } from '../ui/units';
import { useSay } from '../ui/say';

/** A lot that is being edited; undefined for a new one of that material. */
export interface EditedLot {
  readonly lot: LotView | undefined;
  readonly materialId: string;
}

/** Each material that was bought as a bar of what is left, its lots marked on it. */
export function Lots({ store, onEdit }: { store: StoreView; onEdit: (lot: EditedLot) => void }) {
  const say = useSay();
  const units = useUnits();
  const now = useNow();
  const [all, setAll] = useState(false);
  const usedUp = store.lots.filter(({ left }) => left <= 0).length;
  const shown = all ? store.lots : store.lots.filter(({ left }) => left > 0);
  const bought = store.materials.filter(({ id }) => store.lots.some(({ materialId }) => materialId === id));
  return (
    <section className="card-slab" aria-label={say('materials.inTheStore')}>
      <div className="mb-2 flex flex-wrap items-baseline justify-between gap-2">
        <h2 className="text-2xl">{say('materials.inTheStore')}</h2>
        {usedUp > 0 && (
          <button type="button" className="link text-sm" onClick={() => setAll(!all)}>
            {all ? say('materials.hideUsedUp') : say('materials.showUsedUp', { lots: usedUp })}
          </button>
        )}
      </div>
      {bought.length === 0 && <p className="quiet">{say('materials.noLotsYet')}</p>}
      <ul className="divide-base-300 divide-y">
        {bought.map(({ version: _, ...material }) => {
          const { id, name } = material;
          return (
            <li key={id} className="grid items-center gap-x-4 gap-y-1 py-2 sm:grid-cols-[14rem_6rem_1fr]">
              <span className="font-semibold">{name}</span>
              <span className="numeral text-xl">{units.say(inStore(id, store.lots), 'g')}</span>
              <span className="flex flex-wrap gap-2">
                {shown
                  .filter(({ materialId }) => materialId === id)
                  .map((lot) => (
                    <button
                      key={lot.id}
                      type="button"
                      className="bg-base-200 hover:bg-base-300 min-h-11 min-w-40 flex-1 px-2 py-1 text-left text-sm"
                      onClick={() => onEdit({ lot, materialId: id })}
                      title={say(exactTime(lot.boughtAt))}
                    >
                      <span className="flex justify-between gap-2">
                        <span>
                          {say('materials.leftOf', {
                            left: units.say(lot.left, 'g'),
                            bought: units.say(lot.bought, 'g'),
                          })}
                        </span>
                        <span>
                          {units.say(lot.price, 'money')}, {say(dayOf(lot.boughtAt, now))}
                        </span>
                      </span>
                      <span className="text-warning block text-sm empty:hidden">
                        {say.value(keepingOf(material, lot, now) ?? '')}
                      </span>
                      <span className="bg-base-300 mt-1 block h-2">
                        <span
                          className="bg-secondary block h-2"
                          style={{ width: `${(lot.left / lot.bought) * 100}%` }}
                        />
                      </span>
                    </button>
                  ))}
                <Button
                  size="low"
                  aria-label={say('materials.addLotOf', { name })}
                  onClick={() => onEdit({ lot: undefined, materialId: id })}
                >
                  <Plus size={16} aria-hidden="true" />
                </Button>
              </span>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
