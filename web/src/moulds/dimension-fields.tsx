import type { MouldShape } from '@dewpot/core';
import { QuantityField } from '../ui/quantity-field';
import { useUnits } from '../ui/units';
import type { NestedPot } from './draft';
import { dimensionsOf, type Size } from './dimensions';
import { VIEW } from './section-frame';

const labels: Record<Size, string> = {
  outerTop: 'Inside diameter at the rim',
  outerBottom: 'Inside diameter at the bottom',
  height: 'Inside height',
  coreTop: 'Core’s diameter at the rim',
  coreBottom: 'Core’s diameter at its bottom',
  base: 'Base under the core',
  plug: 'Drain plug’s diameter',
};

export interface DimensionFieldsProps {
  readonly pot: NestedPot;
  readonly shape: MouldShape | undefined;
  readonly errors: Partial<Record<keyof NestedPot, string>>;
  readonly onChange: (pot: NestedPot) => void;
}

/** The measurements, edited where they stand on the drawing; in a plain list while they make no shape to draw. */
export function DimensionFields({ pot, shape, errors, onChange }: DimensionFieldsProps) {
  const { system } = useUnits();
  const shown: Size[] = pot.cored
    ? ['outerTop', 'outerBottom', 'height', 'coreTop', 'coreBottom', 'base', 'plug']
    : ['outerTop', 'outerBottom', 'height', 'plug'];
  const places = new Map(shape && dimensionsOf(shape).map(({ size, field }) => [size, field]));
  return (
    <div className={shape ? '' : 'grid gap-3 p-4 sm:grid-cols-2'}>
      {shown.map((size) => {
        const place = places.get(size);
        const style = place && { left: `${(place[0] / VIEW.width) * 100}%`, top: `${(place[1] / VIEW.height) * 100}%` };
        return (
          <div key={size} className={place ? 'dimension absolute' : ''} style={style} title={labels[size]}>
            <QuantityField
              label={labels[size]}
              name={size}
              dimension="length"
              system={system}
              value={pot[size]}
              error={errors[size]}
              hideLabel={place !== undefined}
              onChange={(value) => onChange({ ...pot, [size]: value })}
            />
          </div>
        );
      })}
    </div>
  );
}
