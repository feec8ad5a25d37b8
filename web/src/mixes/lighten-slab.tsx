import { useMemo, useState } from 'react';
import { InputError, type Message } from '@dewpot/core/units';
import { lighten, type Lightened } from '@dewpot/core/mixes';
import type { MixInput, StoreView } from '@dewpot/contract';
import { Button } from '../ui/button';
import { SelectField } from '../ui/select-field';
import { useUnits } from '../ui/units';
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
  const units = useUnits();
  const light = store.materials.filter(({ kind }) => kind === 'lightweight' || kind === 'organic');
  const [share, setShare] = useState(0.3);
  const [id, setId] = useState(light[0]?.id ?? '');
  const proposal = useMemo(() => propose(calculated, share, id, store), [calculated, share, id, store]);
  return (
    <section className="card-slab space-y-3" aria-label="Lighten the mix">
      <h2 className="text-xl">Lighten the mix</h2>
      <div className="grid grid-cols-2 gap-3">
        <SelectField
          label="By"
          value={share}
          options={shares.map((value) => ({ value, label: `${value * 100} %` }))}
          onChange={setShare}
        />
        <SelectField
          label="In place of sand"
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
            Swap <strong>{Math.round(proposal.found.swapped * 100)} %</strong> of the sand and gravel for{' '}
            {proposal.light}, scoop for scoop: dry {units.sayFigure(proposal.found.before.dryDensity)} →{' '}
            <strong>{units.sayFigure(proposal.found.after.dryDensity)}</strong>, strength{' '}
            {units.sayFigure(proposal.found.before.strength)} →{' '}
            <strong>{units.sayFigure(proposal.found.after.strength)}</strong>, good for {proposal.found.after.use}.
          </p>
          {proposal.found.reached < share - 0.005 && (
            <p className="text-warning">
              More than {Math.round(proposal.found.reached * 100)} % cannot be had that way.
            </p>
          )}
          <Button onClick={() => onChange(withRecipe(draft, proposal.found.mix))}>Take this recipe</Button>
        </>
      )}
    </section>
  );
}
