import type { PlanLine } from '@dewpot/core/patterns';
import { useSay } from '../ui/say';
import { fitDrawing, HEIGHT, pathOf, WIDTH } from './fit-drawing';

const looks: Readonly<Record<PlanLine['layer'], string>> = {
  wall: 'fill-base-300 stroke-base-content',
  strip: 'fill-none stroke-primary stroke-[3]',
  centre: 'fill-none stroke-base-content [stroke-dasharray:6_5] opacity-50',
  slab: 'stroke-base-content [fill:var(--concrete)]',
  measure: 'fill-none stroke-base-content [stroke-dasharray:8_5]',
  suspect: 'fill-none stroke-error stroke-[4]',
  nail: 'fill-base-content',
  cut: 'fill-none stroke-error stroke-2',
};

/** A pattern from above, to scale; corners that are measured between bear their numbers. */
export function PlanView({ plan }: { plan: readonly PlanLine[] }) {
  const say = useSay();
  const at = fitDrawing(plan.flatMap(({ points }) => points));
  const corners = plan.find(({ layer }) => layer === 'measure')?.points ?? [];
  return (
    <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className="w-full" role="img" aria-label={say('patterns.fromAbove')}>
      {plan.map(({ layer, points, closed }, i) => (
        <path
          key={i}
          d={pathOf(points, at, closed)}
          className={looks[layer]}
          strokeLinejoin="round"
        />
      ))}
      {corners.map((corner, i) => {
        const [x, y] = at(corner);
        return (
          <g key={i}>
            <circle cx={x} cy={y} r={11} className="fill-base-100 stroke-base-content" />
            <text x={x} y={y} textAnchor="middle" dominantBaseline="central" className="fill-base-content text-sm font-bold">
              {i + 1}
            </text>
          </g>
        );
      })}
    </svg>
  ); // prettier-ignore
}
