import { useState } from 'react';
import {
  checkGrain,
  consistency,
  costPerLitre,
  fullVolume,
  GRAVELLED_DENSITY,
  largestGrain,
  narrowestGap,
  wettestGrade,
  workability,
  type MixFigures,
  type MixLessons,
} from '@dewpot/core';
import type { MixInput, MouldView, StoresView } from '@dewpot/contract';
import { BigFigure } from '../ui/reckoning';
import { SelectField } from '../ui/select-field';
import { useUnits } from '../ui/units';
import type { ReckonedMix } from './use-reckoned-mix';

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

/** A mould for which the mix is meant: what the piece weighs, and whether its grains pass. */
function ForMould({
  figures,
  reckoned,
  moulds,
}: {
  figures: MixFigures;
  reckoned: ReckonedMix;
  moulds: readonly MouldView[];
}) {
  const units = useUnits();
  const [id, setId] = useState('');
  const mould = moulds.find((one) => one.id === id);
  const grain = mould && checkGrain(largestGrain(reckoned.mix), narrowestGap(mould.shape), mould.meshOpening);
  return (
    <div>
      <SelectField
        label="In the mould"
        value={id}
        options={[
          { value: '', label: 'none in mind' },
          ...moulds.map(({ id: value, name }) => ({ value, label: name })),
        ]}
        onChange={setId}
      />
      {mould && grain && (
        <p className="mt-1">
          It weighs <strong>{units.say(figures.freshDensity.value * fullVolume(mould.shape), 'g')}</strong> fresh,{' '}
          <strong>{units.say(figures.dryDensity.value * fullVolume(mould.shape), 'g')}</strong> dry.{' '}
          {grain.advice ?? `Its largest grain, ${units.say(largestGrain(reckoned.mix), 'mm')}, passes everywhere.`}
        </p>
      )}
    </div>
  );
}

export interface ImpliedProps {
  readonly draft: MixInput;
  readonly reckoned: ReckonedMix;
  readonly figures: MixFigures;
  readonly stores: StoresView;
  readonly moulds: readonly MouldView[];
  readonly lessons: MixLessons;
  /** At the bench, °C. */
  readonly temperature: number;
}

/** Everything that a recipe implies, as figures with their reckoning and sentences. */
export function Implied({ draft, reckoned, figures, stores, moulds, lessons, temperature }: ImpliedProps) {
  const units = useUnits();
  const cost = costPerLitre(figures.perPart, stores.lots);
  const { ratio, yield: factor, freshDensity, dryDensity, strength, use, warnings } = figures;
  const saving = Math.round((1 - dryDensity.value / GRAVELLED_DENSITY) * 100);
  const clock = workability(reckoned.mix, draft.setting, temperature);
  const wettest = wettestGrade(reckoned.mix, figures.perPart);
  return (
    <section className="card-slab space-y-4 self-start" aria-label="What it implies">
      <BigFigure
        label="Strength at 28 days"
        figure={strength}
        note={`Good for ${use}, kept damp for its time. Never a design strength: steps, walls and seats go by local codes.`}
      />
      {warnings.length > 0 && (
        <ul className="border-warning space-y-1 border-l-4 pl-3">
          {warnings.map((warning) => (
            <li key={warning}>{warning}</li>
          ))}
        </ul>
      )}
      <div className="grid grid-cols-2 gap-4">
        <BigFigure
          label="Water to cement"
          figure={ratio}
          size="text-2xl"
          note={
            wettest === undefined
              ? 'over the ceiling, however stiff'
              : `up to “${consistency(wettest).name}” under the ceiling`
          }
        />
        <BigFigure label="Scoops make" figure={factor} size="text-2xl" note="of their own room" />
        <BigFigure
          label="Fresh"
          figure={freshDensity}
          size="text-2xl"
          note="and as good as that at lift-out, kept covered"
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
        <BigFigure label={`Workable, at ${units.say(temperature, '°C')}`} figure={clock.potLife} size="text-2xl" />
        <BigFigure label="Initial set" figure={clock.initialSet} size="text-2xl" />
        {cost && <BigFigure label="A litre costs" figure={cost} size="text-2xl" note="by the lots in store" />}
      </div>
      <Taught lessons={lessons} />
      <ForMould figures={figures} reckoned={reckoned} moulds={moulds} />
      <p className="border-accent border-l-4 pl-3 text-sm">
        Dust harms the lungs and wet mix burns the skin: respirator, gloves, goggles.
      </p>
    </section>
  );
}
