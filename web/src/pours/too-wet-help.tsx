import { useMemo, useState } from 'react';
import { InputError, identity } from '@dewpot/core/units';
import { tooWet } from '@dewpot/core/mixes';
import { batchOfSheet, type PourPlan, type Sheet } from '@dewpot/core/pours';
import { QuantityField } from '../ui/quantity-field';
import { useUnits } from '../ui/units';
import { useSay } from '../ui/say';

/** Too much water went in: what to add of everything dry, so that the ratio stays. */
export function TooWetHelp({ plan, sheet }: { plan: PourPlan; sheet: Sheet }) {
  const say = useSay();
  const units = useUnits();
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
      <summary className="min-h-11 cursor-pointer py-2 font-semibold">It came out too wet</summary>
      <QuantityField
        label="From the tap went into this batch"
        name="tapIn"
        dimension="volume"
        value={tap}
        onChange={setTap}
      />
      {found && 'add' in found && (
        <>
          <p className="mt-2">Add every ingredient in proportion. Never add cement or sand alone.</p>
          <ul className="text-lg">
            {found.add.map(({ material, mass }) => (
              <li key={material.id}>
                <strong>{units.say(mass, 'g')}</strong> {material.name.toLowerCase()}
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
