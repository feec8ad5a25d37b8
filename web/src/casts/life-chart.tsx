import { useMemo } from 'react';
import type { CastDetail } from '@dewpot/contract';
import { Chart } from '../ui/chart';
import { lifeOption } from './life-chart-option';
import { useSay } from '../ui/say';

const yes = (so: boolean) => (so ? 'yes' : 'no');

/** A cast's life on one axis: strength above, water below, what happened as lines through both. */
export function LifeChart({ cast, now }: { cast: CastDetail; now: number }) {
  const say = useSay();
  const option = useMemo(() => lifeOption({ cast, now, say }), [cast, now, say]);
  const { weighings } = cast.life;
  const article = yes(cast.snapshot.article !== undefined);
  return (
    <figure>
      <figcaption className="mb-1 flex flex-wrap items-baseline justify-between gap-x-4">
        <h2 className="text-xl">{say('casts.historyForecast')}</h2>
        <span className="quiet text-sm">
          {say('casts.chartNote', {
            article,
            bridged: yes(cast.ambient.bridges.length > 0),
            wetted: yes((cast.life.wettings?.length ?? 0) > 0),
            photos: yes(cast.pictures.length > 0),
          })}
        </span>
      </figcaption>
      <Chart
        option={option}
        height={356}
        label={say('casts.chartTitle', { article, code: cast.code, weighings: weighings.length })}
      />
    </figure>
  );
}
