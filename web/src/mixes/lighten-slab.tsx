import { Amounts } from '../ui/amounts';
import { percentOf, useWords } from './mix-labels';
import { useMemo, useState } from 'react';
import { InputError, type Message, msg } from '@dewpot/core/units';
import { lighten, type Lightened } from '@dewpot/core/mixes';
import type { MixInput, StoreView } from '@dewpot/contract';
import { Button } from '../ui/button';
import { SelectField } from '../ui/select-field';
import { withRecipe } from './resolve';
import type { CalculatedMix } from './use-calculated-mix';
import { useSay } from '../ui/say';

const shares = [0.1, 0.2, 0.3, 0.4, 0.5];

type Proposal = { readonly found: Lightened; readonly light: string } | { readonly refused: readonly Message[] };

function propose(
  { mix, conditions }: CalculatedMix,
  share: number,
  id: string,
  { materials }: StoreView,
): Proposal | undefined {
  const light = materials.find((one) => one.id === id);
  if (!light) return undefined;
  try {
    return { found: lighten(mix, share, light, conditions), light: light.name.toLowerCase() };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return { refused: error.issues.map(({ message }) => message) };
  }
}

/** Makes a mix lighter by swapping its sand, and says what that costs in strength before it is taken. */
export function LightenSlab({
  draft,
  calculated,
  store,
  onChange,
}: {
  draft: MixInput;
  calculated: CalculatedMix;
  store: StoreView;
  onChange: (draft: MixInput) => void;
}) {
  const say = useSay();
  const light = store.materials.filter(({ kind }) => kind === 'lightweight' || kind === 'organic');
  const [share, setShare] = useState(0.3);
  const [id, setId] = useState(light[0]?.id ?? '');
  const proposal = useMemo(() => propose(calculated, share, id, store), [calculated, share, id, store]);
  return (
    <section className="card-slab space-y-3" aria-label={say('mixes.lighten')}>
      <h2 className="text-xl">{say('mixes.lighten')}</h2>
      <div className="grid grid-cols-2 gap-3">
        <SelectField
          label={say('mixes.by')}
          value={share}
          options={shares.map((value) => ({ value, label: say.value(percentOf(value)) }))}
          onChange={setShare}
        />
        <SelectField
          label={say('mixes.inPlaceOfSand')}
          value={id}
          options={light.map(({ id: value, name }) => ({ value, label: name }))}
          onChange={setId}
        />
      </div>
      {proposal && 'refused' in proposal && (
        <p className="quiet">{proposal.refused.map((one) => say(one)).join(' ')}</p>
      )}
      {proposal && 'found' in proposal && (
        <>
          <p>
            <Amounts
              of={msg('mixes.swapFor', {
                share: percentOf(proposal.found.swapped),
                light: proposal.light,
                before: proposal.found.before.dryDensity,
                after: proposal.found.after.dryDensity,
                strengthBefore: proposal.found.before.strength,
                strengthAfter: proposal.found.after.strength,
                use: useWords[proposal.found.after.use],
              })}
            />
          </p>
          {proposal.found.reached < share - 0.005 && (
            <p className="text-warning">{say('mixes.noMoreThan', { reached: percentOf(proposal.found.reached) })}</p>
          )}
          <Button onClick={() => onChange(withRecipe(draft, proposal.found.mix))}>{say('mixes.takeRecipe')}</Button>
        </>
      )}
    </section>
  );
}
