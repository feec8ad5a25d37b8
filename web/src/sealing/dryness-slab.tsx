import { DAY, HOUR, listed, msg, quantity, type Message } from '@dewpot/core/units';
import { dryingSchools, usualDrying, type DrynessRule } from '@dewpot/core/sealing';
import type { CastDetail } from '@dewpot/contract';
import { useSession } from '../api/session';
import { spanOf, whenOf } from '../ui/format-time';
import { useUnits } from '../ui/units';
import { useSay } from '../ui/say';

const ruleWords: Record<DrynessRule, Message> = {
  weighings: msg('sealing.ruleWeighings'),
  span: msg('sealing.ruleSpan'),
  agreement: msg('sealing.ruleCurve'),
  water: msg('sealing.ruleWater'),
  age: msg('sealing.ruleAge'),
};

/** The gate before a sealer, rule by rule: which decides and how far off it is; the caster's own sign beside it. */
export function DrynessSlab({ cast, now }: { cast: CastDetail; now: number }) {
  const say = useSay();
  const units = useUnits();
  const { workshop } = useSession();
  const { dry, dryDown, life, stage } = cast;
  if (stage !== 'drying') return null;
  const drying = workshop.drying ?? usualDrying;
  const amount = (value: number, unit: (typeof dryDown.rules)[number]['unit']) =>
    unit === 'g' ? units.say(value, 'g') : unit === 'weighings' ? `${value}` : units.say(value, unit);
  return (
    <section className="card-slab" aria-label={say('sealing.dryEnoughAsk')}>
      <h2 className="mb-2 text-xl">{say('sealing.dryEnoughFor', { film: dry.film ? 'yes' : 'no' })}</h2>
      {drying !== 'scale' && (
        <p className="mb-2">
          {say(dryingSchools[drying].name)}: {life.filmTest ? `${say(life.filmTest.told)} ` : ''}
          <span className="quiet">{say(dryingSchools[drying].why)}</span>
        </p>
      )}
      {dry.inferredFrom ? (
        <p>{say('sealing.inferred', { inferredFrom: listed(dry.inferredFrom), count: dry.inferredFrom.length })}</p>
      ) : dryDown.rules.length === 0 ? (
        <p>{dryDown.missing.map((one) => say(one)).join(' ')}</p>
      ) : (
        <table className="w-full text-sm">
          <thead className="sr-only">
            <tr>
              <th>{say('sealing.rule')}</th>
              <th>{say('sealing.is')}</th>
              <th>{say('sealing.requiredTitle')}</th>
            </tr>
          </thead>
          <tbody className="divide-base-300 divide-y">
            {dryDown.rules.map(({ rule, met, have, want, unit }) => (
              <tr key={rule} className={dry.decides?.rule === rule ? 'font-semibold' : ''}>
                <td className="py-1">
                  {say(ruleWords[rule])}
                  {dry.decides?.rule === rule && <span className="text-accent">{say('sealing.decides')}</span>}
                </td>
                <td className="text-right">{amount(rule === 'age' ? (now - life.pouredAt) / DAY : have, unit)}</td>
                <td className="quiet text-right">
                  {rule === 'water' ? say('sealing.underWant', { want: amount(want, unit) }) : amount(want, unit)}
                </td>
                <td className="w-14 text-right">
                  {met || (rule === 'age' && (now - life.pouredAt) / DAY >= want)
                    ? say('sealing.met')
                    : say('sealing.notYet')}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {dry.heldDays >= 1 && (
        <p className="mt-2">
          {say('sealing.heldFor', { within: quantity(dry.heldWithin, 'g'), held: spanOf(dry.heldDays * DAY) })}{' '}
          <span className="quiet text-sm">{say('sealing.coldHolds')}</span>
        </p>
      )}
      {dry.strays.map(({ hour, mass, expected }) => (
        <p key={hour} className="border-accent mt-2 border-l-4 pl-3">
          {say('sealing.stray', {
            mass: units.say(mass, 'g'),
            now: say(whenOf(life.pouredAt + hour * HOUR, now)),
            expected: units.say(expected, 'g'),
          })}
        </p>
      ))}
    </section>
  );
}
