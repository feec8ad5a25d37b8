import { useWords } from './mix-labels';
import { fixed, quantity } from '@dewpot/core/units';
import {
  consistency,
  costPerLitre,
  GRAVELLED_DENSITY,
  isGypsum,
  potLifeAndSet,
  wettestGrade,
  type Grade,
  type MixFigures,
} from '@dewpot/core/mixes';
import type { MixLessons } from '@dewpot/core/pours';
import type { MixInput, MouldView, StoreView } from '@dewpot/contract';
import { Findings } from '../judging';
import { BigFigure } from '../ui/figure-working';
import { useUnits } from '../ui/units';
import { ForMould } from './for-mould';
import type { CalculatedMix } from './use-calculated-mix';
import { useSay } from '../ui/say';

/** What its batches taught of a mix's water, and how each of them came out against the handbook. */
function Taught({ lessons: { demand, pours } }: { lessons: MixLessons }) {
  const say = useSay();
  if (demand.batches === 0) return <p className="quiet text-sm">{say('mixes.waterHandbook')}</p>;
  const percent = Math.round((demand.factor - 1) * 100);
  return (
    <details className="text-sm">
      <summary className="cursor-pointer py-1">
        {say('mixes.learnedFrom', {
          batches: demand.batches,
          wants: percent === 0 ? 'same' : percent > 0 ? 'more' : 'less',
          percent: quantity(Math.abs(percent), '%', 0),
        })}
      </summary>
      <ul className="quiet grid grid-cols-2 gap-x-4">
        {pours.map(({ demand: one, yield: made }, i) => (
          <li key={i}>
            {say('mixes.batchTaught', {
              i: i + 1,
              demand: fixed(one, 2),
              made: made === undefined ? 'none' : fixed(made, 2),
            })}
          </li>
        ))}
      </ul>
    </details>
  );
}

export interface ImpliedProps {
  readonly draft: MixInput;
  readonly calculated: CalculatedMix;
  readonly figures: MixFigures;
  readonly store: StoreView;
  readonly moulds: readonly MouldView[];
  readonly lessons: MixLessons;
  /** At the bench, °C. */
  readonly temperature: number;
  readonly onGrade: (grade: Grade) => void;
}

/** Everything that a recipe implies, as figures with their working and sentences. */
export function Implied({ draft, calculated, figures, store, moulds, lessons, temperature, onGrade }: ImpliedProps) {
  const say = useSay();
  const units = useUnits();
  const cost = costPerLitre(figures.perPart, store.lots);
  const { ratio, yield: factor, freshDensity, dryDensity, strength, use, findings } = figures;
  const saving = Math.round((1 - dryDensity.value / GRAVELLED_DENSITY) * 100);
  const clock = potLifeAndSet(calculated.mix, draft.binderClass, temperature);
  const wettest = wettestGrade(calculated.mix, figures.perPart);
  return (
    <section className="card-slab space-y-4 self-start" aria-label={say('mixes.implies')}>
      <BigFigure
        label={isGypsum(calculated.mix) ? say('mixes.strengthDry') : say('mixes.strength28Title')}
        figure={strength}
        note={isGypsum(calculated.mix) ? say('mixes.gypsumNote') : say('mixes.goodForNote', { use: useWords[use] })}
      />
      {findings.length > 0 && (
        <Findings
          judged={{ findings, unknown: [], fitting: [] }}
          onChange={(change) => 'grade' in change && onGrade(change.grade)}
        />
      )}
      <div className="grid grid-cols-2 gap-4">
        <BigFigure
          label={say('mixes.waterCement')}
          term="water-cement"
          figure={ratio}
          size="text-2xl"
          note={
            wettest === undefined
              ? say('mixes.overCeilingAnyhow')
              : say('mixes.upToGrade', { name: say(consistency(wettest).name) })
          }
        />
        <BigFigure
          label={say('mixes.yieldFactor')}
          term="yield-factor"
          figure={factor}
          size="text-2xl"
          note={say('mixes.madePerScooped')}
        />
        <BigFigure
          label={say('mixes.fresh')}
          figure={freshDensity}
          size="text-2xl"
          note={say('mixes.goodAtDemoulding')}
        />
        <BigFigure
          label={say('mixes.dry')}
          figure={dryDensity}
          size="text-2xl"
          note={
            saving > 2
              ? say('mixes.lighterThan', {
                  saving: quantity(saving, '%', 0),
                  gravelledDensity: quantity(GRAVELLED_DENSITY, 'kg/L'),
                })
              : say('mixes.asHeavyAs')
          }
        />
        <BigFigure
          label={say('mixes.potLifeAt', { temperature: units.say(temperature, '°C') })}
          figure={clock.potLife}
          size="text-2xl"
        />
        <BigFigure label={say('mixes.initialSet')} figure={clock.initialSet} size="text-2xl" />
        {cost && <BigFigure label={say('mixes.litreCosts')} figure={cost} size="text-2xl" note={say('mixes.byLots')} />}
      </div>
      <Taught lessons={lessons} />
      <ForMould {...{ draft, figures, moulds, onGrade }} />
      <p className="border-accent border-l-4 pl-3 text-sm">{say('mixes.dustCaution')}</p>
    </section>
  );
}
