import type { MouldShape } from '@dewpot/core';
import { QuantityField } from '../ui/quantity-field';
import { useUnits } from '../ui/units';
import type { NestedPot } from './draft';
import { frameOf, VIEW } from './section-drawing';

type Size = Exclude<keyof NestedPot, 'cored'>;

const labels: Record<Size, string> = {
  outerTop: 'Inside diameter at the rim',
  outerBottom: 'Inside diameter at the bottom',
  height: 'Inside height',
  coreTop: 'Core’s diameter at the rim',
  coreBottom: 'Core’s diameter at its bottom',
  base: 'Base under the core',
  plug: 'Drain plug’s diameter',
};

/** Where each dimension stands on the drawing: the middle of its field, px. */
function placesOf(shape: MouldShape, cored: boolean): Partial<Record<Size, readonly [number, number]>> {
  const frame = frameOf(shape);
  const rim = shape.outer.height;
  const core = shape.cores[0];
  const left = frame.x(-Math.max(shape.outer.bottomDiameter, shape.outer.topDiameter) / 2);
  return {
    outerTop: [frame.axis, Math.max(20, frame.y(rim) - 36)],
    height: [Math.max(44, left - 50), frame.y(rim / 2)],
    outerBottom: [frame.axis - (cored ? 70 : 0), Math.min(VIEW.height - 20, frame.ground + 34)],
    plug: [frame.axis + 70, Math.min(VIEW.height - 20, frame.ground + 34)],
    ...(core && {
      coreTop: [frame.axis, frame.y(rim) + 30],
      coreBottom: [frame.axis, frame.y(core.bottom) - 26],
      base: [
        Math.max(44, left - 50),
        Math.min(frame.ground - 8, Math.max(frame.y(rim / 2) + 52, frame.y(core.bottom / 2))),
      ],
    }),
  };
}

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
  const places = shape ? placesOf(shape, true) : {};
  return (
    <div className={shape ? '' : 'grid gap-3 p-4 sm:grid-cols-2'}>
      {shown.map((size) => {
        const place = places[size];
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
