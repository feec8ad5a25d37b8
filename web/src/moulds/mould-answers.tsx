import { exactly, quantity } from '@dewpot/core/units';
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
  return (
    <section className="card-slab" aria-label={say('moulds.whatFollows')}>
      <LargeFigures figures={figures} cored={cored} />
      <Notes figures={figures} fiveMore={fiveMore} />
      <div className="mt-3 grid items-end gap-x-4 gap-y-2 sm:grid-cols-2">
        <SelectField
          label={say('moulds.calculatedFor')}
          value={mixId ?? NO_MIX}
          options={[
            { value: NO_MIX, label: say('moulds.usualFluidMix') },
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

function LargeFigures({ figures, cored }: Pick<MouldAnswersProps, 'figures' | 'cored'>) {
  const say = useSay();
  const units = useUnits();
  const { volume, computed, wall, thinnest, base, planting, jar, ballast, mass, dryMass, size } = figures;
  return (
    <div className="grid grid-cols-2 gap-x-4 gap-y-3 sm:grid-cols-3">
      <BigFigure
        label={say('moulds.volumeTitle')}
        figure={volume}
        size="text-4xl"
        {...(computed && { note: say('moulds.bySizes', { computed: units.sayFigure(computed) }) })}
      />
      <BigFigure
        label={say('moulds.freshMass')}
        figure={mass}
        {...(dryMass && { note: say('moulds.whenDry', { dryMass: units.sayFigure(dryMass) }) })}
      />
      {wall && thinnest && (
        <BigFigure
          label={say('moulds.thinnestWall')}
          figure={wall}
          note={say('moulds.upFromBottom', { up: quantity(thinnest.height, 'mm') })}
        />
      )}
      {cored && base && <BigFigure label={say('moulds.base')} figure={base} />}
      {planting && (
        <BigFigure
          label={say('moulds.plantingVolume')}
          figure={planting}
          note={say('moulds.leftForWatering', { wateringGap: units.say(WATERING_GAP, 'mm') })}
        />
      )}
      {jar && (
        <BigFigure
          label={say('moulds.toItsFillLine')}
          figure={jar.held}
          note={say('moulds.ofWax', { wax: units.sayFigure(jar.wax) })}
        />
      )}
      {ballast && (
        <BigFigure
          label={say('moulds.coreBallast')}
          term="ballast"
          figure={ballast.mass}
          note={say('moulds.orDrySand', { sand: units.sayFigure(ballast.sand), sandName: ballast.sandName })}
        />
      )}
      <div>
        <p className="quiet text-sm">{say('moulds.outerSize')}</p>
        <p className="numeral text-xl">
          {[size.length, size.width, size.height].map((n) => units.split(n, 'mm').number).join(' × ')}
          <span className="text-base font-normal"> {units.split(size.height, 'mm').unit}</span>
        </p>
      </div>
    </div>
  );
}

/** What its figures want of whoever casts it. */
function Notes({
  figures: { ballast, lifts, bedSand, box },
  fiveMore,
}: Pick<MouldAnswersProps, 'figures' | 'fiveMore'>) {
  const say = useSay();
  const units = useUnits();
  return (
    <>
      {ballast && (
        <div className={`mt-3 ${ballast.fits ? 'quiet' : ''}`}>
          {say(ballast.advice)} {lifts !== undefined && say('moulds.inLifts', { lifts })}{' '}
          {!ballast.fits && <FigureWorking figure={ballast.sand} />}
        </div>
      )}
      {fiveMore !== undefined && (
        <p className="mt-3">{say('moulds.fiveMore', { five: exactly(5, 'mm'), fiveMore: units.say(fiveMore, 'g') })}</p>
      )}
      {bedSand && <p className="mt-3">{say('moulds.moundTakes', { bedSand: units.sayFigure(bedSand) })}</p>}
      {box && (
        <p className="mt-3">
          {say('moulds.fourJoined', { box: units.sayFigure(box.length), width: units.sayFigure(box.width) })}
        </p>
      )}
    </>
  );
}
