import { heldUpTold } from '@dewpot/core/calendar';
import { useNow } from '../ui/use-now';
import { dayOf } from '../ui/format-time';
import { useUnits } from '../ui/units';
import { useSay } from '../ui/say';
import type { Help } from './use-help';
import type { Planner } from './use-planner';

/** What holds the plan up, what would help, and what has to be bought for it. */
export function HelpSlab({ help, planner }: { help: Help; planner: Planner }) {
  const say = useSay();
  const units = useUnits();
  const now = useNow();
  const { ways, held, buy, over } = help;
  const begun = over || ways.length > 0 || buy.length > 0;
  return (
    <section className="card-slab" aria-label={say('calendar.whatHelps')} aria-busy={begun && !over}>
      <h2 className="mb-2 text-xl">{say('calendar.whatHelps')}</h2>
      {held && <p className="mb-2 font-semibold">{say(heldUpTold(held))}</p>}
      <ul className="list-disc space-y-1.5 pl-5">
        {ways.map(({ kind, told }) => (
          <li key={`${kind} ${say(told)}`}>{say(told)}</li>
        ))}
      </ul>
      {over && ways.length === 0 && <p className="quiet">{say('calendar.nothingHelps')}</p>}
      {!begun && !planner.looking && <p className="quiet">{say('calendar.helpAsked')}</p>}
      {!begun && !planner.looking && planner.judged && (
        <button type="button" className="link min-h-11" onClick={planner.askHelp}>
          {say('calendar.askHelp')}
        </button>
      )}
      {begun && !over && <p className="quiet mt-2 text-sm">{say('calendar.helpGoesOn')}</p>}
      {buy.length > 0 && (
        <>
          <h3 className="mt-4 mb-1 text-lg">{say('calendar.toBuy')}</h3>
          <ul>
            {buy.map(({ materialId, name, at, missing }) => (
              <li key={materialId} className="flex justify-between gap-3">
                <span>{name}</span>
                <span className="quiet text-right">
                  {say('calendar.buyBy', { missing: units.say(missing, 'g'), day: dayOf(at, now) })}
                </span>
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}
