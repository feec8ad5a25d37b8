import { quantity } from '@dewpot/core/units';
import type { WaterPlan } from '@dewpot/core/pours';
import { useSay } from './say';

const TOP = 10;
const BOTTOM = 200;

/** The water of a batch in an upright glass: what goes in first, what is held back, the splash to come, the ceiling; `inside`, g, what is in already. */
export function WaterGlass({ water, inside }: { water: WaterPlan; inside?: number }) {
  const say = useSay();
  const most = Math.max(water.ceiling, water.tap.value, inside ?? 0) * 1.12 || 1;
  const y = (amount: number) => BOTTOM - (amount / most) * (BOTTOM - TOP);
  const mark = (amount: number, text: string, bold = false) => (
    <g>
      <path
        d={`M14 ${y(amount)}H104`}
        stroke="currentColor"
        strokeWidth={bold ? 2 : 1}
        strokeDasharray={bold ? undefined : '4 3'}
      />
      <text x={112} y={y(amount) + 4.5} fontSize={13} fontWeight={bold ? 700 : 400} fill="currentColor">
        {text}
      </text>
    </g>
  );
  return (
    <svg
      viewBox="0 0 270 216"
      className="w-full max-w-64"
      role="img"
      aria-label={say('ui.waterGlass', {
        first: quantity(water.first, 'mL'),
        tap: quantity(water.tap.value, 'mL'),
        splash: quantity(water.splash, 'mL'),
        ceiling: quantity(water.ceiling, 'mL'),
      })}
    >
      <defs>
        <pattern id="held" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="3" height="7" fill="var(--water)" opacity="0.6" />
        </pattern>
      </defs>
      <rect
        x={18}
        y={y(inside ?? water.first)}
        width={72}
        height={BOTTOM - y(inside ?? water.first)}
        fill="var(--water)"
      />
      <rect
        x={18}
        y={y(water.tap.value)}
        width={72}
        height={Math.max(0, y(inside ?? water.first) - y(water.tap.value))}
        fill="url(#held)"
      />
      {water.splash > 0 && (
        <path d={[1, 2, 3].map((i) => `M18 ${y(water.first + i * water.splash)}h10`).join('')} stroke="currentColor" />
      )}
      <path d={`M16 ${TOP - 4}V${BOTTOM}H92V${TOP - 4}`} fill="none" stroke="currentColor" strokeWidth={2.2} />
      {mark(water.first, say('ui.markFirst', { first: quantity(water.first, 'mL') }), true)}
      {mark(water.tap.value, say('ui.markAll', { tap: quantity(water.tap.value, 'mL') }))}
      {water.ceiling > water.tap.value &&
        mark(water.ceiling, say('ui.noMore', { ceiling: quantity(water.ceiling, 'mL') }))}
    </svg>
  );
}
