import { useMemo, useState } from 'react';
import { defined } from '@dewpot/core/math';
import { InputError, exactly, fixed, quantity } from '@dewpot/core/units';
import { pricePerGram } from '@dewpot/core/materials';
import { stockFor } from '@dewpot/core/mixes';
import {
  binderPerLitre,
  leastBinder,
  SEEN,
  tintDoses,
  weighTint,
  type Tint,
  type TintFigures,
} from '@dewpot/core/tints';
import { useSession } from '../api/session';
import type { Palette } from '../api/tints';
import { QuantityField } from '../ui/quantity-field';
import { SelectField } from '../ui/select-field';
import { useUnits } from '../ui/units';
import { useSay } from '../ui/say';

const steps = [0.01, 0.1, 1, 5];
const KILOGRAM = 1000;

function least(tint: Tint, figures: TintFigures, palette: Palette, step: number) {
  try {
    return { binder: leastBinder(figures.base, tintDoses(tint, palette.colours), step) };
  } catch (error) {
    if (error instanceof InputError) return { issue: defined(error.issues[0]) };
    throw error;
  }
}

/** A tint on the caster's own scale: grams for a batch, what rounding does to the colour, and the way out where it is seen. */
export function WeighSlab({ tint, figures, palette }: { tint: Tint; figures: TintFigures; palette: Palette }) {
  const say = useSay();
  const units = useUnits();
  const { scaleStep } = useSession().workshop;
  const [step, setStep] = useState(scaleStep);
  const [volume, setVolume] = useState(2000);
  const perLitre = useMemo(() => binderPerLitre(tint.base), [tint.base]);
  const binder = (perLitre * volume) / KILOGRAM;
  const smallest = useMemo(() => least(tint, figures, palette, step), [tint, figures, palette, step]);
  if (tint.doses.length === 0) return null;
  const { grams, away } = weighTint(figures.base, tintDoses(tint, palette.colours), Math.max(1, binder), step);
  const price = tint.doses.reduce(
    (sum, { material, amount }) => sum + (pricePerGram(material.id, palette.store.lots) ?? NaN) * amount * KILOGRAM,
    0,
  );
  return (
    <section className="card-slab" aria-label={say('tints.onScale')}>
      <h2 className="text-xl">{say('tints.onScale')}</h2>
      <div className="mt-2 grid gap-3 sm:grid-cols-2">
        <QuantityField
          label={say('tints.forBatchOf')}
          name="batch"
          dimension="volume"
          value={volume}
          onChange={(given) => setVolume(given ?? 0)}
        />
        <SelectField
          label={say('tints.scaleStepField')}
          value={step}
          options={[...new Set([...steps, scaleStep])]
            .sort((a, b) => a - b)
            .map((value) => ({ value, label: say.value(exactly(value, 'g')) }))}
          onChange={setStep}
        />
      </div>
      <p className="quiet mt-2 text-sm">
        {say('tints.calculatedOn', { binder: units.say(binder, 'g'), binder2: tint.base.binder.name })}
      </p>
      <ul className="divide-base-300 mt-1 divide-y">
        {tint.doses.map(({ material, amount }, i) => {
          const exact = binder * amount;
          const stock = defined(grams[i]) < 5 * step && exact > 0 ? stockFor(exact, step) : undefined;
          return (
            <li key={material.id} className="grid grid-cols-[6rem_1fr] gap-3 py-2">
              <span className="numeral text-2xl">{say.value(exactly(Number(defined(grams[i]).toFixed(2)), 'g'))}</span>
              <span>
                <strong>{material.name}</strong>{' '}
                <span className="quiet">{say('tints.exactlyTold', { exact: quantity(exact, 'g', 2) })}</span>
                {stock && (
                  <span className="block text-sm">
                    {say('tints.tooLittle', {
                      powder: exactly(stock.powder, 'g'),
                      water: exactly(stock.water, 'mL'),
                      dose: quantity(stock.dose, 'mL', 1),
                    })}
                  </span>
                )}
              </span>
            </li>
          );
        })}
      </ul>
      <p className={away > SEEN ? 'text-warning font-semibold' : ''}>
        {say('tints.roundedAway', { away: fixed(away, 1), seen: away > SEEN ? 'yes' : 'no' })}
      </p>
      {smallest.binder !== undefined ? (
        <p className="quiet text-sm">
          {say('tints.fromMixOn', { binder: units.say((smallest.binder / perLitre) * KILOGRAM, 'mL') })}
        </p>
      ) : (
        <p className="text-warning text-sm">
          {say(defined(smallest.issue).message)} {say(defined(smallest.issue).remedy)}
        </p>
      )}
      {Number.isFinite(price) && (
        <p className="quiet text-sm">
          {say('tints.pigmentPrice', { binder: exactly(KILOGRAM, 'g'), price: units.say(price, 'money') })}
        </p>
      )}
    </section>
  );
}
