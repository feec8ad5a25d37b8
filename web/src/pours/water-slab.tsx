import type { WaterPlan } from '@dewpot/core/pours';
import { FigureWorking } from '../ui/figure-working';
import { useUnits } from '../ui/units';
import { WaterGlass } from '../ui/water-glass';

/** The water of a batch: what goes in at once, what is held back, and where it turns weak. */
export function WaterSlab({ water }: { water: WaterPlan }) {
  const units = useUnits();
  return (
    <div className="flex flex-wrap items-center gap-x-8 gap-y-2">
      <WaterGlass water={water} />
      <div className="min-w-52 flex-1">
        <p>
          Put in <strong>{units.say(water.first, 'mL')}</strong>
          {water.powderHeld === undefined ? (
            <>
              , then splashes of <strong>{units.say(water.splash, 'mL')}</strong> until it looks right.
            </>
          ) : (
            <>
              , all of it, and hold back <strong>{units.say(water.powderHeld, 'g')}</strong> of the powder to add by
              eye.
            </>
          )}
        </p>
        {water.brought > 0 && (
          <p className="quiet">Damp and liquid materials bring {units.say(water.brought, 'mL')} by themselves.</p>
        )}
        <p className="quiet">
          Use at most {units.say(water.ceiling, 'mL')} of water: more weakens the piece
          {water.floor === undefined
            ? '.'
            : `; under ${units.say(water.floor, 'mL')} it has dry pockets and brittle edges.`}
        </p>
        <FigureWorking figure={water.tap} />
      </div>
    </div>
  );
}
