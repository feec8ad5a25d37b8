import { WATERING_GAP, type MouldFigures } from '@dewpot/core';
import type { MixView } from '@dewpot/contract';
import { BigFigure, Reckoning } from '../ui/reckoning';
import { SelectField } from '../ui/select-field';
import { useUnits } from '../ui/units';

const NO_MIX = '';

export interface MouldAnswersProps {
  readonly figures: MouldFigures;
  readonly cored: boolean;
  readonly mixes: readonly MixView[];
  readonly mixId: string | undefined;
  readonly onMix: (id: string | undefined) => void;
}

/** What follows from a mould's measurements, the answer first. */
export function MouldAnswers({ figures, cored, mixes, mixId, onMix }: MouldAnswersProps) {
  const units = useUnits();
  const { volume, computed, wall, thinnest, base, planting, jar, ballast, lifts, mass, dryMass, size, warnings } =
    figures;
  return (
    <section className="card-slab" aria-label="What follows">
      <div className="grid grid-cols-2 gap-x-4 gap-y-3 sm:grid-cols-3">
        <BigFigure
          label="It holds"
          figure={volume}
          size="text-4xl"
          {...(computed && { note: `${units.sayFigure(computed)} by its sizes` })}
        />
        <BigFigure
          label="It weighs, fresh"
          figure={mass}
          {...(dryMass && { note: `${units.sayFigure(dryMass)} when it is dry` })}
        />
        {wall && thinnest && (
          <BigFigure label="Thinnest wall" figure={wall} note={`${units.say(thinnest.height, 'mm')} up`} />
        )}
        {cored && <BigFigure label="Base" figure={base} />}
        {planting && (
          <BigFigure
            label="Room for soil"
            figure={planting}
            note={`${units.say(WATERING_GAP, 'mm')} left for watering`}
          />
        )}
        {jar && <BigFigure label="To its fill line" figure={jar.held} note={`${units.sayFigure(jar.wax)} of wax`} />}
        {ballast && (
          <BigFigure
            label="Hold the core down with"
            figure={ballast.mass}
            note={`or ${units.sayFigure(ballast.sand)} of dry sand`}
          />
        )}
        <div>
          <p className="quiet text-sm">It stands</p>
          <p className="numeral text-xl">
            {[size.length, size.width, size.height].map((n) => units.split(n, 'mm').number).join(' × ')}
            <span className="text-base font-normal"> {units.split(size.height, 'mm').unit}</span>
          </p>
        </div>
      </div>
      {ballast && (
        <p className={`mt-3 ${ballast.fits ? 'quiet' : ''}`}>
          {ballast.advice}
          {lifts !== undefined && ` In ${lifts} even lifts, each on a set one, sand alone holds it.`}{' '}
          {!ballast.fits && <Reckoning figure={ballast.sand} />}
        </p>
      )}
      {warnings.length > 0 && (
        <ul className="border-warning mt-3 space-y-1 border-l-4 pl-3">
          {warnings.map((warning) => (
            <li key={warning}>{warning}</li>
          ))}
        </ul>
      )}
      <div className="mt-3 grid items-end gap-x-4 gap-y-2 sm:grid-cols-2">
        <SelectField
          label="Reckoned for"
          value={mixId ?? NO_MIX}
          options={[
            { value: NO_MIX, label: 'a usual fluid mix' },
            ...mixes.map(({ id, name }) => ({ value: id, label: name })),
          ]}
          onChange={(id) => onMix(id === NO_MIX ? undefined : id)}
        />
        <FaceAreas figures={figures} />
      </div>
    </section>
  );
}

/** Areas by side, for release and for sealer. */
function FaceAreas({ figures: { faces, gap, pressure } }: { figures: MouldFigures }) {
  const units = useUnits();
  const rows: [string, number][] = [
    ['Outside', faces.outer],
    ['Inside', faces.inner],
    ['Underside', faces.base],
    ['Open while it sets', faces.open],
    ['Holes', faces.holes],
  ];
  return (
    <details>
      <summary className="quiet min-h-11 cursor-pointer content-center">Faces, gap and pressure</summary>
      <dl className="mt-1 space-y-1 text-sm">
        {rows
          .filter(([, area]) => area > 1)
          .map(([name, area]) => (
            <div key={name} className="flex justify-between gap-3">
              <dt>{name}</dt>
              <dd>{units.say(area, 'mm²')}</dd>
            </div>
          ))}
        <div className="flex justify-between gap-3">
          <dt>Narrowest gap for a grain</dt>
          <dd>{units.sayFigure(gap)}</dd>
        </div>
        <div className="flex justify-between gap-3">
          <dt>Pressure at the bottom</dt>
          <dd>{units.sayFigure(pressure)}</dd>
        </div>
      </dl>
    </details>
  );
}
