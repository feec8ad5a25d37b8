import type { MouldFigures } from '@dewpot/core/moulds';
import { useUnits } from '../ui/units';

/** Areas by side for release and sealer, what a grain must pass, mesh to cut, and what a tilt does. */
export function FurtherAnswers({ figures: { faces, gap, pressure, mesh, outOfLevel } }: { figures: MouldFigures }) {
  const units = useUnits();
  const areas: [string, number][] = [
    ['Outside', faces.outer],
    ['Inside, its side', faces.innerSide],
    ['Inside, its floor', faces.innerFloor],
    ['Underside', faces.base],
    ['Open while it sets', faces.open],
    ['Holes', faces.holes],
  ];
  const rows: [string, string][] = [
    ...areas.filter(([, area]) => area > 1).map(([name, area]): [string, string] => [name, units.say(area, 'mm²')]),
    ['Narrowest gap for a grain', units.sayFigure(gap)],
    ['Pressure at the bottom', units.sayFigure(pressure)],
    ...(mesh
      ? [
          ['Mesh to cut, with its cover', `${units.sayFigure(mesh.length)} × ${units.sayFigure(mesh.width)}`] as [
            string,
            string,
          ],
        ]
      : []),
    ['Thicker at one end, for 1° out of level', units.sayFigure(outOfLevel)],
  ];
  return (
    <details>
      <summary className="quiet min-h-11 cursor-pointer content-center">Faces, gap, mesh and level</summary>
      <dl className="mt-1 space-y-1 text-sm">
        {rows.map(([name, value]) => (
          <div key={name} className="flex justify-between gap-3">
            <dt>{name}</dt>
            <dd>{value}</dd>
          </div>
        ))}
      </dl>
    </details>
  );
}
