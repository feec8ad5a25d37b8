import { useMemo, useState } from 'react';
import { defined } from '@dewpot/core/math';
import { InputError } from '@dewpot/core/units';
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
import { within } from './tint-words';
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
    <section className="card-slab" aria-label="On the scale">
      <h2 className="text-xl">On the scale</h2>
      <div className="mt-2 grid gap-3 sm:grid-cols-2">
        <QuantityField
          label="For a batch of"
          name="batch"
          dimension="volume"
          value={volume}
          onChange={(given) => setVolume(given ?? 0)}
        />
        <SelectField
          label="Your scale’s step"
          value={step}
          options={[...new Set([...steps, scaleStep])]
            .sort((a, b) => a - b)
            .map((value) => ({ value, label: `${value} g` }))}
          onChange={setStep}
        />
      </div>
      <p className="quiet mt-2 text-sm">
        calculated on {units.say(binder, 'g')} of binder in it, {within(tint.base.binder.name)}
      </p>
      <ul className="divide-base-300 mt-1 divide-y">
        {tint.doses.map(({ material, amount }, i) => {
          const exact = binder * amount;
          const stock = defined(grams[i]) < 5 * step && exact > 0 ? stockFor(exact, step) : undefined;
          return (
            <li key={material.id} className="grid grid-cols-[6rem_1fr] gap-3 py-2">
              <span className="numeral text-2xl">{Number(defined(grams[i]).toFixed(2))} g</span>
              <span>
                <strong>{material.name}</strong> <span className="quiet">{exact.toFixed(2)} g exactly</span>
                {stock && (
                  <span className="block text-sm">
                    Too little for this scale: stir {stock.powder} g into {stock.water} mL of counted water, and dose{' '}
                    {stock.dose.toFixed(1)} mL of it.
                  </span>
                )}
              </span>
            </li>
          );
        })}
      </ul>
      <p className={away > SEEN ? 'text-warning font-semibold' : ''}>
        Rounded like this it comes out ΔE {away.toFixed(1)} from the tint
        {away > SEEN ? ': that is seen.' : ', which nobody sees.'}
      </p>
      {smallest.binder !== undefined ? (
        <p className="quiet text-sm">
          From {units.say((smallest.binder / perLitre) * KILOGRAM, 'mL')} of mix on, rounding is never seen on this
          scale.
        </p>
      ) : (
        <p className="text-warning text-sm">
          {say(defined(smallest.issue).message)} {say(defined(smallest.issue).remedy)}
        </p>
      )}
      {Number.isFinite(price) && (
        <p className="quiet text-sm">Its pigment costs {units.say(price, 'money')} for a kilogram of binder.</p>
      )}
    </section>
  );
}
