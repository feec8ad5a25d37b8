import { useState } from 'react';
import { InputError } from '@dewpot/core/units';
import { costOfPiece, USUAL_LIFE, type Costing } from '@dewpot/core/money';
import type { PieceMoneyView, PricingInput } from '@dewpot/contract';
import { useSaveCosting } from '../api/money';
import { useSaveSettings, useSettings } from '../api/session';
import { Button } from '../ui/button';
import { NumberField } from '../ui/number-field';
import { Failure } from '../ui/states';
import { toast } from '../ui/toast';
import { useSay } from '../ui/say';
import { CostView } from './cost-view';
import { costFields, pricingFields } from './costing-fields';
import { MassBands } from './mass-bands';

const nothing: PricingInput = { rate: 0, margin: 0.3, bands: [] };

/** A number, or nothing where the field is empty. */
const toldIn = (value: number) => (Number.isNaN(value) ? undefined : value);

/** A cost as far as it can be calculated from what is typed. */
function costFrom(facts: PieceMoneyView['facts'], costing: Costing, rate: number) {
  try {
    return costOfPiece(facts, costing, rate);
  } catch (error) {
    if (error instanceof InputError) return undefined;
    throw error;
  }
}

/** What is told of a mould's pieces beside the record, and what comes of it at once. */
export function PieceCosting({ mouldId, known: { facts, costing } }: { mouldId: string; known: PieceMoneyView }) {
  const say = useSay();
  const settings = useSettings();
  const [draft, setDraft] = useState<Costing>(() => ({ ...costing }));
  const [pricing, setPricing] = useState<PricingInput>(settings.pricing ?? nothing);
  const [save, saveSettings] = [useSaveCosting(), useSaveSettings()];
  const usual: Costing = { lasts: USUAL_LIFE, minutes: facts.minutes ?? 0 };
  const cost = costFrom(facts, draft, pricing.rate);
  const wrong = !cost || costFields.some(({ key }) => (draft[key] ?? 0) < 0) || !(pricing.margin >= 0 && pricing.margin <= 0.95);
  const change = (key: keyof Costing, value: number | undefined) => {
    const { [key]: _before, ...others } = draft;
    setDraft(value === undefined ? others : { ...others, [key]: value });
  };
  const keep = async () => {
    await saveSettings.mutateAsync({ ...settings, pricing });
    await save.mutateAsync({ id: mouldId, input: { ...draft, version: costing.version } });
    toast.success(say('money.kept'));
  };
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-4 lg:grid-cols-[minmax(0,2fr)_minmax(0,3fr)]">
      <section className="card-slab space-y-4 lg:order-2" aria-label={say('money.whatItCosts')}>
        {cost ? <CostView cost={cost} facts={facts} costing={draft} pricing={pricing} /> : <p role="alert">{say('money.cannotBe')}</p>}
      </section>
      <form className="card-slab space-y-4" noValidate onSubmit={(event) => { event.preventDefault(); void keep().catch(() => undefined); }}>
        <h2 className="text-xl">{say('money.besideTheRecord')}</h2>
        <div className="grid grid-cols-2 gap-3">
          {costFields.map(({ key, label }) => (
            <label key={key} className="block text-sm font-semibold">
              {say(label)}
              <NumberField label={say(label)} className="mt-1 w-full" value={draft[key] ?? usual[key] ?? 0} wrong={(draft[key] ?? 0) < 0} onChange={(value) => change(key, toldIn(value))} />
            </label>
          ))}
        </div>
        <h2 className="text-xl">{say('money.yourPrices')}</h2>
        <div className="grid grid-cols-2 gap-3">
          {pricingFields.map(({ key, label, per }) => (
            <label key={key} className="block text-sm font-semibold">
              {say(label)}
              <NumberField label={say(label)} className="mt-1 w-full" value={pricing[key] * per} onChange={(value) => setPricing({ ...pricing, [key]: (toldIn(value) ?? 0) / per })} />
            </label>
          ))}
        </div>
        <MassBands bands={pricing.bands} onChange={(bands) => setPricing({ ...pricing, bands })} />
        <Failure error={saveSettings.error ?? save.error} />
        <Button needs="caster" type="submit" look="main" disabled={wrong || save.isPending || saveSettings.isPending}>{say('ui.saveWhat', { what: say('money.yourPrices') })}</Button>
      </form>
    </div>
  );
} // prettier-ignore
