import { cavityOf, regionAt, type MouldShape, type Standing, type ThinPlace } from '@dewpot/core/moulds';
import { loopsOf, type PlanPoint } from '@dewpot/core/solids';
import { outlinePath } from '../ui/outline-path';
import { useUnits } from '../ui/units';
import { useSay } from '../ui/say';

const SIZE = 300;
const MARGIN = 22;

/** The mould from above: its rim, its bottom, what stands in it, and where it is thinnest. */
export function PlanDrawing({ shape, thinnest }: { shape: MouldShape; thinnest: ThinPlace | undefined }) {
  const say = useSay();
  const units = useUnits();
  const { outer, cores, inserts, rim } = cavityOf(shape);
  const hair = rim * 1e-6;
  const rimRegion = regionAt(outer, rim - hair);
  const { box } = rimRegion.edges.length > 0 ? rimRegion : regionAt(outer, rim / 2);
  const span = Math.max(box.x1 - box.x0, box.y1 - box.y0);
  const scale = (SIZE - 2 * MARGIN) / span;
  const put = ([x, y]: PlanPoint): PlanPoint => [
    (x - (box.x0 + box.x1) / 2) * scale,
    ((box.y0 + box.y1) / 2 - y) * scale,
  ];
  const path = (standing: Standing, z: number) => outlinePath(loopsOf(regionAt(standing, z)), put);
  const middle = (standing: Standing) => (Math.max(0, standing.bottom) + Math.min(rim, standing.top)) / 2;
  const width = (box.x1 - box.x0) * scale + 2 * MARGIN;
  const height = (box.y1 - box.y0) * scale + 2 * MARGIN;
  return (
    <svg
      viewBox={`${-width / 2} ${-height / 2} ${width} ${height}`}
      className="block max-h-72 w-full"
      role="img"
      aria-label={say('moulds.fromAboveSize', {
        x1: units.say(box.x1 - box.x0, 'mm'),
        y1: units.say(box.y1 - box.y0, 'mm'),
      })}
    >
      <path
        d={path(outer, rim - hair)}
        fill="var(--concrete)"
        fillRule="evenodd"
        stroke="var(--color-secondary)"
        strokeWidth={2.5}
      />
      {cores.map((core, i) => (
        <path
          key={`c${i}`}
          d={path(core, Math.min(rim, core.top) - hair)}
          fill="var(--color-base-100)"
          stroke="currentColor"
          strokeWidth={1.2}
        />
      ))}
      <path d={path(outer, hair)} fill="none" stroke="currentColor" strokeDasharray="4 4" opacity={0.5} />
      {cores.map((core, i) => (
        <path
          key={`f${i}`}
          d={path(core, core.bottom + hair)}
          fill="none"
          stroke="currentColor"
          strokeDasharray="4 4"
          opacity={0.5}
        />
      ))}
      {inserts.map((insert, i) => (
        <path
          key={`i${i}`}
          d={path(insert, middle(insert))}
          fill="var(--color-base-300)"
          fillOpacity={0.7}
          stroke="currentColor"
          strokeWidth={1.1}
        />
      ))}
      {thinnest && (
        <path
          d={outlinePath(
            [
              [
                [thinnest.from.x, thinnest.from.y],
                [thinnest.to.x, thinnest.to.y],
              ],
            ],
            put,
          )}
          stroke="var(--color-accent)"
          strokeWidth={3}
        />
      )}
    </svg>
  );
}
