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

const said = (n: number) => (n === 1 ? '1 batch' : `${n} batches`);

/** What its batches taught of a mix's water, and how each of them came out against the handbook. */
function Taught({ lessons: { demand, pours } }: { lessons: MixLessons }) {
  if (demand.batches === 0)
    return <p className="quiet text-sm">Its water is the handbook’s: no batch has taught it yet.</p>;
  const percent = Math.round((demand.factor - 1) * 100);
  return (
    <details className="text-sm">
      <summary className="cursor-pointer py-1">
        Learned from {said(demand.batches)}: it wants{' '}
        {percent === 0 ? 'the handbook’s water' : `${Math.abs(percent)} % ${percent > 0 ? 'more' : 'less'} water`}.
      </summary>
      <ul className="quiet grid grid-cols-2 gap-x-4">
        {pours.map(({ demand: one, yield: made }, i) => (
          <li key={i}>
            batch {i + 1}: water × {one.toFixed(2)}
            {made !== undefined && `, made × ${made.toFixed(2)}`}
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
    <section className="card-slab space-y-4 self-start" aria-label="What it implies">
      <BigFigure
        label={isGypsum(calculated.mix) ? 'Strength when it is dry' : 'Strength at 28 days'}
        figure={strength}
        note={
          isGypsum(calculated.mix)
            ? 'For display in a dry room. Gypsum is as strong as it is dry: never keep it damp, never walk on it.'
            : `Good for ${use}, kept damp for its time. Never a design strength: steps, walls and seats go by local codes.`
        }
      />
      {findings.length > 0 && (
        <Findings
          judged={{ findings, unknown: [], fitting: [] }}
          onChange={(change) => 'grade' in change && onGrade(change.grade)}
        />
      )}
      <div className="grid grid-cols-2 gap-4">
        <BigFigure
          label="Water–cement ratio"
          term="water-cement"
          figure={ratio}
          size="text-2xl"
          note={
            wettest === undefined
              ? 'over the ceiling, however stiff'
              : `up to “${say(consistency(wettest).name)}” under the ceiling`
          }
        />
        <BigFigure
          label="Yield factor"
          term="yield-factor"
          figure={factor}
          size="text-2xl"
          note="mix made per volume scooped"
        />
        <BigFigure
          label="Fresh"
          figure={freshDensity}
          size="text-2xl"
          note="and as good as that at demoulding, kept covered"
        />
        <BigFigure
          label="Dry"
          figure={dryDensity}
          size="text-2xl"
          note={
            saving > 2
              ? `${saving} % lighter than gravelled concrete (${units.say(GRAVELLED_DENSITY, 'kg/L')})`
              : 'about as heavy as gravelled concrete'
          }
        />
        <BigFigure label={`Pot life, at ${units.say(temperature, '°C')}`} figure={clock.potLife} size="text-2xl" />
        <BigFigure label="Initial set" figure={clock.initialSet} size="text-2xl" />
        {cost && <BigFigure label="A litre costs" figure={cost} size="text-2xl" note="by the lots in store" />}
      </div>
      <Taught lessons={lessons} />
      <ForMould {...{ draft, figures, moulds, onGrade }} />
      <p className="border-accent border-l-4 pl-3 text-sm">
        Dust harms the lungs and wet mix burns the faceColouring: respirator, gloves, goggles.
      </p>
    </section>
  );
}
