import { useMemo } from 'react';
import type { CastDetail } from '@dewpot/contract';
import { Chart } from '../ui/chart';
import { useUnits } from '../ui/units';
import { lifeOption } from './life-chart-option';

/** A cast's life on one axis: strength above, water below, what happened as lines through both. */
export function LifeChart({ cast, now }: { cast: CastDetail; now: number }) {
  const units = useUnits();
  const option = useMemo(() => lifeOption({ cast, now, units }), [cast, now, units]);
  const { weighings } = cast.life;
  return (
    <figure>
      <figcaption className="mb-1 flex flex-wrap items-baseline justify-between gap-x-4">
        <h2 className="text-xl">History and forecast</h2>
        <span className="quiet text-sm">
          {cast.snapshot.article ? 'mass' : 'above: share of strength with its band; below: mass'}, with the band of the
          fit; dashed: forecast
          {cast.ambient.bridges.length > 0 && '; grey: no readings, bridged'}
          {(cast.life.wettings?.length ?? 0) > 0 && '; triangles: wettings'}
          {cast.pictures.length > 0 && '; diamonds: photos'}
        </span>
      </figcaption>
      <Chart
        option={option}
        height={356}
        label={`${cast.snapshot.article ? 'Drying' : 'Strength and drying'} of ${cast.code}: ${weighings.length} ${weighings.length === 1 ? 'weighing' : 'weighings'}`}
      />
    </figure>
  );
}
