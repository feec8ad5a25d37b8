import { WATERING_GAP, type MouldFigures } from '@dewpot/core/moulds';
import type { MixView } from '@dewpot/contract';
import { Findings, type AsideWays } from '../judging';
import type { JudgedPlan } from '../workers/judge-plan';
import { BigFigure, FigureWorking } from '../ui/figure-working';
import { SelectField } from '../ui/select-field';
import { useUnits } from '../ui/units';
import { FurtherAnswers } from './further-answers';
import { useSay } from '../ui/say';

const NO_MIX = '';

export interface MouldAnswersProps {
  readonly figures: MouldFigures;
  readonly cored: boolean;
  /** Mass that 5 mm more of a pressed shell would cost, g. */
  readonly fiveMore: number | undefined;
  readonly mixes: readonly MixView[];
  readonly mixId: string | undefined;
  readonly onMix: (id: string | undefined) => void;
  /** What speaks against it in the chosen mix, once that is worked out. */
  readonly judged: JudgedPlan | undefined;
  /** How findings are put aside; only for a mould that is kept. */
  readonly aside?: AsideWays | undefined;
}

/** What follows from a mould's measurements, the answer first. */
export function MouldAnswers({ figures, cored, fiveMore, mixes, mixId, onMix, judged, aside }: MouldAnswersProps) {
  const say = useSay();
  const units = useUnits();
  const { volume, computed, wall, thinnest, base, planting, jar, ballast, lifts } = figures;
  const { mass, dryMass, size, bedSand, box } = figures;
  return (
    <section className="card-slab" aria-label="What follows">
      <div className="grid grid-cols-2 gap-x-4 gap-y-3 sm:grid-cols-3">
        <BigFigure
          label="Volume"
          figure={volume}
          size="text-4xl"
          {...(computed && { note: `${units.sayFigure(computed)} by its sizes` })}
        />
        <BigFigure
          label="Fresh mass"
          figure={mass}
          {...(dryMass && { note: `${units.sayFigure(dryMass)} when it is dry` })}
        />
        {wall && thinnest && (
          <BigFigure label="Thinnest wall" figure={wall} note={`${units.say(thinnest.height, 'mm')} up`} />
        )}
        {cored && base && <BigFigure label="Base" figure={base} />}
        {planting && (
          <BigFigure
            label="Planting volume"
            figure={planting}
            note={`${units.say(WATERING_GAP, 'mm')} left for watering`}
          />
        )}
        {jar && <BigFigure label="To its fill line" figure={jar.held} note={`${units.sayFigure(jar.wax)} of wax`} />}
        {ballast && (
          <BigFigure
            label="Core ballast"
            term="ballast"
            figure={ballast.mass}
            note={`or ${units.sayFigure(ballast.sand)} of dry ${ballast.sandName.toLowerCase()}`}
          />
        )}
        <div>
          <p className="quiet text-sm">Outer size</p>
          <p className="numeral text-xl">
            {[size.length, size.width, size.height].map((n) => units.split(n, 'mm').number).join(' × ')}
            <span className="text-base font-normal"> {units.split(size.height, 'mm').unit}</span>
          </p>
        </div>
      </div>
      {ballast && (
        <div className={`mt-3 ${ballast.fits ? 'quiet' : ''}`}>
          {say(ballast.advice)}
          {lifts !== undefined && ` In ${lifts} even lifts, each on a set one, sand alone holds it.`}{' '}
          {!ballast.fits && <FigureWorking figure={ballast.sand} />}
        </div>
      )}
      {fiveMore !== undefined && <p className="mt-3">Each 5 mm more of the shell costs {units.say(fiveMore, 'g')}.</p>}
      {bedSand && <p className="mt-3">The mound under it takes {units.sayFigure(bedSand)} of damp sand.</p>}
      {box && (
        <p className="mt-3">
          Four of these joined at their edges make a box of {units.sayFigure(box.length)} by{' '}
          {units.sayFigure(box.width)}: one way longer by twice the wall.
        </p>
      )}
      <div className="mt-3 grid items-end gap-x-4 gap-y-2 sm:grid-cols-2">
        <SelectField
          label="Calculated for"
          value={mixId ?? NO_MIX}
          options={[
            { value: NO_MIX, label: 'a usual fluid mix' },
            ...mixes.map(({ id, name }) => ({ value: id, label: name })),
          ]}
          onChange={(id) => onMix(id === NO_MIX ? undefined : id)}
        />
        <FurtherAnswers figures={figures} />
      </div>
      {mixId === undefined ? (
        <Findings judged={{ findings: figures.findings, unknown: [], fitting: [] }} />
      ) : (
        judged && <Findings judged={judged} onMix={onMix} {...(aside && { aside })} />
      )}
    </section>
  );
}
