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
  const hint = (order: MixingOrder) => (order === usual ? say('mixes.usualForMix') : say('mixes.asSomeDo'));
  return (
    <section className="card-slab space-y-3" aria-label={say('mixes.howMixed')}>
      <h2 className="text-xl">{say('mixes.howMixed')}</h2>
      <Choice<MixingOrder>
        legend={say('mixes.whatIntoWhat')}
        value={ways.order ?? usual}
        options={[
          { value: 'water-to-powder', label: say('mixes.waterToPowder'), hint: hint('water-to-powder') },
          { value: 'powder-to-water', label: say('mixes.powderToWater'), hint: hint('powder-to-water') },
        ]}
        onChange={(order) => put({ order })}
      />
      <Choice<ColourWhen>
        legend={say('mixes.colourGoesIn')}
        value={ways.colour ?? 'powder'}
        options={[
          { value: 'powder', label: say('mixes.withPowder'), hint: say('mixes.mostEven') },
          { value: 'water', label: say('mixes.withWater'), hint: say('mixes.noDust') },
          { value: 'late', label: say('mixes.lateSwirled'), hint: say('mixes.veins') },
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
