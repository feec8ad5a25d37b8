import { identity } from '@dewpot/core/units';
import { methodOf, usualOrder, type ColourWhen, type MixingOrder } from '@dewpot/core/mixes';
import type { MixInput } from '@dewpot/contract';
import { Choice } from '../ui/choice';
import type { CalculatedMix } from './use-calculated-mix';
import { useSay } from '../ui/say';

/** How it is mixed: the two schools of each choice, and the steps that follow, with cautions in place. */
export function MethodSlab({
  draft,
  calculated: { mix },
  onChange,
}: {
  draft: MixInput;
  calculated: CalculatedMix;
  onChange: (draft: MixInput) => void;
}) {
  const say = useSay();
  const ways = draft.ways ?? {};
  const usual = usualOrder(draft.binderClass);
  const put = (part: MixInput['ways']) => onChange({ ...draft, ways: { ...ways, ...part } });
  const hint = (order: MixingOrder) => (order === usual ? 'usual for this mix' : 'as some do');
  return (
    <section className="card-slab space-y-3" aria-label="How it is mixed">
      <h2 className="text-xl">How it is mixed</h2>
      <Choice<MixingOrder>
        legend="What goes into what"
        value={ways.order ?? usual}
        options={[
          { value: 'water-to-powder', label: 'Water to the powder', hint: hint('water-to-powder') },
          { value: 'powder-to-water', label: 'Powder into the water', hint: hint('powder-to-water') },
        ]}
        onChange={(order) => put({ order })}
      />
      <Choice<ColourWhen>
        legend="Colour goes in"
        value={ways.colour ?? 'powder'}
        options={[
          { value: 'powder', label: 'With the powder', hint: 'most even' },
          { value: 'water', label: 'With the water', hint: 'no dust' },
          { value: 'late', label: 'Late, swirled', hint: 'veins' },
        ]}
        onChange={(colour) => put({ colour })}
      />
      <ol className="list-decimal space-y-1.5 pl-6">
        {methodOf(mix, draft.binderClass, ways).map(({ text, why, caution }) => (
          <li key={identity(text)}>
            {say(text)} {why && <span className="quiet text-sm">({say(why)})</span>}
            {caution && <span className="border-accent block border-l-4 pl-2 text-sm">{say(caution)}</span>}
          </li>
        ))}
      </ol>
    </section>
  );
}
