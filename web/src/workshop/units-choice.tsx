import type { UnitSystem } from '@dewpot/core/units';
import { Choice } from '../ui/choice';
import { useSay } from '../ui/say';

/** The units that a workshop counts in. */
export function UnitsChoice({ value, onChange }: { value: UnitSystem; onChange: (units: UnitSystem) => void }) {
  const say = useSay();
  return (
    <Choice
      legend={say('workshop.units')}
      value={value}
      options={[
        { value: 'metric', label: say('workshop.metric'), hint: 'mm, mL, g, °C' },
        { value: 'us', label: say('workshop.usCustomary'), hint: 'in, fl oz, lb, °F' },
      ]}
      onChange={onChange}
    />
  );
}
