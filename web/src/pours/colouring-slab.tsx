import { useState } from 'react';
import type { PourInput } from '@dewpot/contract';
import { Link } from 'react-router';
import { ColouringEditor } from './colouring-editor';
import { ItemChoice } from './item-choice';
import type { PlanSources, CalculatedPlan } from './plan';
import { useSay } from '../ui/say';

/** How each mould of a pour is coloured: by the mix itself, or in tints. */
export function ColouringSlab({
  input,
  sources,
  calculated,
  onChange,
}: {
  input: PourInput;
  sources: PlanSources;
  calculated: CalculatedPlan | undefined;
  onChange: (part: Partial<PourInput>) => void;
}) {
  const say = useSay();
  const [chosen, setChosen] = useState(0);
  const at = chosen < input.items.length ? chosen : 0;
  const item = input.items[at];
  const { tints } = sources.palette;
  const mould = sources.moulds.find(({ id }) => id === item?.mouldId);
  if (!item || !mould) return null;
  const coloured = input.items.some(({ colouring }) => colouring);
  return (
    <details className="card-slab no-print" open={coloured}>
      <summary className="font-head cursor-pointer text-xl">
        {say('pours.colour')}{' '}
        <span className="quiet font-sans text-base">{coloured ? say('pours.inTints') : say('pours.ofMixItself')}</span>
      </summary>
      {tints.length === 0 ? (
        <p className="mt-2">
          {say('pours.noTintsKept')}{' '}
          <Link to="/tints/new" className="link">
            {say('shell.newTint')}
          </Link>
        </p>
      ) : (
        <div className="mt-3 space-y-3">
          <ItemChoice
            legend={say('pours.whichMould')}
            items={input.items}
            moulds={sources.moulds}
            value={at}
            onChange={setChosen}
          />
          <ColouringEditor
            key={at}
            item={item}
            at={at}
            mould={mould}
            tints={tints}
            calculated={calculated}
            onChange={(colouring) =>
              onChange({
                items: input.items.map((one, i) => {
                  if (i !== at) return one;
                  const { colouring: _, ...rest } = one;
                  return colouring ? { ...rest, colouring } : rest;
                }),
              })
            }
          />
        </div>
      )}
    </details>
  );
}
