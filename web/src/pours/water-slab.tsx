import { Amounts } from '../ui/amounts';
import { msg, quantity } from '@dewpot/core/units';
import type { WaterPlan } from '@dewpot/core/pours';
import { FigureWorking } from '../ui/figure-working';
import { useUnits } from '../ui/units';
import { WaterGlass } from '../ui/water-glass';
import { useSay } from '../ui/say';

/** The water of a batch: what goes in at once, what is held back, and where it turns weak. */
export function WaterSlab({ water }: { water: WaterPlan }) {
  const say = useSay();
  const units = useUnits();
  return (
    <div className="flex flex-wrap items-center gap-x-8 gap-y-2">
      <WaterGlass water={water} />
      <div className="min-w-52 flex-1">
        <p>
          <Amounts
            of={
              water.powderHeld === undefined
                ? msg('pours.putInSplashes', {
                    first: quantity(water.first, 'mL'),
                    splash: quantity(water.splash, 'mL'),
                  })
                : msg('pours.putInAll', { first: quantity(water.first, 'mL'), held: quantity(water.powderHeld, 'g') })
            }
          />
        </p>
        {water.brought > 0 && (
          <p className="quiet">{say('pours.dampBring', { brought: units.say(water.brought, 'mL') })}</p>
        )}
        <p className="quiet">
          {say('pours.useAtMost', {
            ceiling: quantity(water.ceiling, 'mL'),
            floor: water.floor === undefined ? 'none' : quantity(water.floor, 'mL'),
          })}
        </p>
        <FigureWorking figure={water.tap} />
      </div>
    </div>
  );
}
