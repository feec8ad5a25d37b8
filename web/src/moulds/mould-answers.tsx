import { WATERING_GAP, type MouldFigures, type MouldShape } from '@dewpot/core';
import { BigFigure, Reckoning } from '../ui/reckoning';
import { useUnits } from '../ui/units';

/** What follows from a mould's measurements, the answer first. */
export function MouldAnswers({ figures, shape }: { figures: MouldFigures; shape: MouldShape }) {
  const units = useUnits();
  const { volume, wall, thinnest, base, planting, ballast, warnings } = figures;
  return (
    <section className="card-slab" aria-label="What follows">
      <div className="grid grid-cols-2 gap-x-4 gap-y-3 sm:grid-cols-3">
        <BigFigure label="It holds" figure={volume} size="text-4xl" />
        {wall && thinnest && (
          <BigFigure label="Thinnest wall" figure={wall} note={`${units.say(thinnest.height, 'mm')} up`} />
        )}
        {shape.cores.length > 0 && <BigFigure label="Base" figure={base} />}
        {planting && (
          <BigFigure
            label="Room for soil"
            figure={planting}
            note={`${units.say(WATERING_GAP, 'mm')} left for watering`}
          />
        )}
        {ballast && (
          <BigFigure
            label="Hold the core down with"
            figure={ballast.mass}
            note={`or ${units.sayFigure(ballast.sand)} of dry sand`}
          />
        )}
      </div>
      {ballast && (
        <p className={`mt-3 ${ballast.fits ? 'quiet' : ''}`}>
          {ballast.advice} {!ballast.fits && <Reckoning figure={ballast.sand} />}
        </p>
      )}
      {warnings.length > 0 && (
        <ul className="border-warning mt-3 space-y-1 border-l-4 pl-3">
          {warnings.map((warning) => (
            <li key={warning}>{warning}</li>
          ))}
        </ul>
      )}
    </section>
  );
}
