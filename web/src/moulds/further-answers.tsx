import type { MouldFigures } from '@dewpot/core/moulds';
import { useUnits } from '../ui/units';
import { useSay } from '../ui/say';

/** Areas by side for release and sealer, what a grain must pass, mesh to cut, and what a tilt does. */
export function FurtherAnswers({ figures: { faces, gap, pressure, mesh, outOfLevel } }: { figures: MouldFigures }) {
  const say = useSay();
  const units = useUnits();
  const areas: [string, number][] = [
    [say('moulds.outside'), faces.outer],
    [say('moulds.facesInsideSide'), faces.innerSide],
    [say('moulds.facesInsideFloor'), faces.innerFloor],
    [say('moulds.underside'), faces.base],
    [say('moulds.openWhileSets'), faces.open],
    [say('moulds.holes'), faces.holes],
  ];
  const rows: [string, string][] = [
    ...areas.filter(([, area]) => area > 1).map(([name, area]): [string, string] => [name, units.say(area, 'mm²')]),
    [say('moulds.narrowestGapGrain'), units.sayFigure(gap)],
    [say('moulds.bottomPressure'), units.sayFigure(pressure)],
    ...(mesh
      ? [
          [say('moulds.meshToCut'), `${units.sayFigure(mesh.length)} × ${units.sayFigure(mesh.width)}`] as [
            string,
            string,
          ],
        ]
      : []),
    [say('moulds.thickerOneEnd'), units.sayFigure(outOfLevel)],
  ];
  return (
    <details>
      <summary className="quiet min-h-11 cursor-pointer content-center">{say('moulds.facesGapMesh')}</summary>
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
