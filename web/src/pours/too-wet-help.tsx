import { Amounts } from '../ui/amounts';
import { useMemo, useState } from 'react';
import { InputError, identity, quantity, msg } from '@dewpot/core/units';
import { tooWet } from '@dewpot/core/mixes';
import { batchOfSheet, type PourPlan, type Sheet } from '@dewpot/core/pours';
import { QuantityField } from '../ui/quantity-field';
import { useSay } from '../ui/say';

/** Too much water went in: what to add of everything dry, so that the ratio stays. */
export function TooWetHelp({ plan, sheet }: { plan: PourPlan; sheet: Sheet }) {
  const say = useSay();
  const [tap, setTap] = useState<number>();
  const found = useMemo(() => {
    if (tap === undefined) return undefined;
    try {
      return tooWet(batchOfSheet(sheet), tap + sheet.batch.water.brought, plan.moisture);
    } catch (error) {
      if (error instanceof InputError) return error.issues;
      throw error;
    }
  }, [plan, sheet, tap]);
  return (
    <details className="card-slab">
      <summary className="min-h-11 cursor-pointer py-2 font-semibold">{say('pours.tooWet')}</summary>
      <QuantityField label={say('pours.tapIntoBatch')} name="tapIn" dimension="volume" value={tap} onChange={setTap} />
      {found && 'add' in found && (
        <>
          <p className="mt-2">{say('pours.addInProportion')}</p>
          <ul className="text-lg">
            {found.add.map(({ material, mass }) => (
              <li key={material.id}>
                <Amounts of={msg('pours.materialNamed', { mass: quantity(mass, 'g'), name: material.name })} />
              </li>
            ))}
          </ul>
        </>
      )}
      {found && !('add' in found) && (
        <ul role="status" className="quiet mt-2">
          {found.map(({ message, remedy }) => (
            <li key={identity(message)}>
              {say(message)} {say(remedy)}
            </li>
          ))}
        </ul>
      )}
    </details>
  );
}
