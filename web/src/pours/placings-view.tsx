import { identity } from '@dewpot/core/units';
import { placingWords, type Placing } from '@dewpot/core/pours';
import { stepTime } from '../ui/step-time';
import { useSay } from '../ui/say';

/** How each kind of mould is filled, step by step, with tool and time. */
export function Placings({ placings }: { placings: readonly Placing[] }) {
  const say = useSay();
  return placings.map(({ item, name, way, steps }) => (
    <div key={item} role="group" aria-label={say('pours.howFilled', { name })} className="my-2">
      <h3 className="font-sans font-semibold">
        {name} <span className="quiet font-normal">{say.inline(placingWords[way])}</span>
      </h3>
      <ol className="list-decimal space-y-0.5 pl-6">
        {steps.map((step) => (
          <li key={identity(step.text)}>
            {say(step.text)}{' '}
            <span className="quiet text-sm">
              {[step.tool, stepTime(step)]
                .filter(Boolean)
                .map((one) => say.value(one ?? ''))
                .join(', ')}
            </span>
          </li>
        ))}
      </ol>
    </div>
  ));
}
