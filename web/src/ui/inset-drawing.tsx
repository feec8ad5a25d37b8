import type { InsetView } from '@dewpot/core/moulds';
import { loopsOf, type PlanPoint } from '@dewpot/core/solids';
import { outlinePath } from './outline-path';
import { useSay } from './say';

const MARGIN = 0.04;

/** An inset on its face: as it must lie, looking down into the mould, or as it is read on the finished cast. */
export function InsetDrawing({
  view: { lies, reads, region, standing },
  as,
  wrong = false,
}: {
  view: InsetView;
  as: 'lies' | 'reads';
  /** It reaches over the edge. */
  wrong?: boolean;
}) {
  const say = useSay();
  const { x0, x1, y0, y1 } = region.box;
  const turned = as === 'reads' && lies !== reads ? -1 : 1;
  const [width, height] = [x1 - x0, y1 - y0];
  const size = Math.max(width, height);
  const [mx, my] = [(turned * (x0 + x1)) / 2, (y0 + y1) / 2];
  const put = ([x, y]: PlanPoint): PlanPoint => [x - mx, my - y];
  const face = ([x, y]: PlanPoint): PlanPoint => put([turned * x, y]);
  const pad = size * MARGIN;
  const box = [-width / 2 - pad, -height / 2 - pad, width + 2 * pad, height + 2 * pad];
  return (
    <svg
      viewBox={box.map((n) => n.toFixed(1)).join(' ')}
      className="block max-h-56 w-full"
      role="img"
      aria-label={as === 'lies' ? say('ui.looksDown') : say('ui.readOnCast')}
    >
      <path
        d={outlinePath(loopsOf(region), face)}
        fill="var(--concrete)"
        fillRule="evenodd"
        stroke={as === 'lies' ? 'var(--color-secondary)' : 'currentColor'}
        strokeWidth={size / 120}
      />
      {standing.map((blank, i) => (
        <path
          key={i}
          d={outlinePath(loopsOf(blank), face)}
          fill="var(--color-base-100)"
          stroke="currentColor"
          strokeWidth={size / 200}
        />
      ))}
      <path
        d={outlinePath(as === 'lies' ? lies : reads, put)}
        fill={wrong ? 'var(--color-error)' : 'var(--color-base-content)'}
        fillOpacity={as === 'lies' ? 0.88 : 0.55}
        fillRule="evenodd"
      />
    </svg>
  );
}
