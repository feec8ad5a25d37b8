import { DAY, HOUR } from '@dewpot/core/units';
import { dryingSchools, usualDrying, type DrynessRule } from '@dewpot/core/sealing';
import type { CastDetail } from '@dewpot/contract';
import { useSession } from '../api/session';
import { saySpan, sayWhen } from '../ui/format-time';
import { useUnits } from '../ui/units';
import { useSay } from '../ui/say';

const ruleWords: Record<DrynessRule, string> = {
  weighings: 'Weighings',
  span: 'Span of the weighings',
  agreement: 'Weighings on one curve',
  water: 'Water that may be left, at the most',
  age: 'Age',
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
    <section className="card-slab" aria-label="Dry enough?">
      <h2 className="mb-2 text-xl">Dry enough{dry.film ? ' for a film' : ''}?</h2>
      {drying !== 'scale' && (
        <p className="mb-2">
          {say(dryingSchools[drying].name)}: {life.filmTest ? `${say(life.filmTest.told)} ` : ''}
          <span className="quiet">{say(dryingSchools[drying].why)}</span>
        </p>
      )}
      {dry.inferredFrom ? (
        <p>
          It was not weighed itself: {dry.inferredFrom.join(' and ')} of its pour{' '}
          {dry.inferredFrom.length > 1 ? 'were' : 'was'} weighed in its place, and the wetter one decides, by a stricter
          limit.
        </p>
      ) : dryDown.rules.length === 0 ? (
        <p>{dryDown.missing.map((one) => say(one)).join(' ')}</p>
      ) : (
        <table className="w-full text-sm">
          <thead className="sr-only">
            <tr>
              <th>Rule</th>
              <th>Is</th>
              <th>Required</th>
            </tr>
          </thead>
          <tbody className="divide-base-300 divide-y">
            {dryDown.rules.map(({ rule, met, have, want, unit }) => (
              <tr key={rule} className={dry.decides?.rule === rule ? 'font-semibold' : ''}>
                <td className="py-1">
                  {ruleWords[rule]}
                  {dry.decides?.rule === rule && <span className="text-accent"> decides</span>}
                </td>
                <td className="text-right">{amount(rule === 'age' ? (now - life.pouredAt) / DAY : have, unit)}</td>
                <td className="quiet text-right">
                  {rule === 'water' ? 'under ' : ''}
                  {amount(want, unit)}
                </td>
                <td className="w-14 text-right">
                  {met || (rule === 'age' && (now - life.pouredAt) / DAY >= want) ? 'met' : 'not yet'}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {dry.heldDays >= 1 && (
        <p className="mt-2">
          Its weight has held within {units.say(dry.heldWithin, 'g')} for {saySpan(dry.heldDays * DAY)}.{' '}
          <span className="quiet text-sm">In cold or damp air a weight holds though water is left.</span>
        </p>
      )}
      {dry.strays.map(({ hour, mass, expected }) => (
        <p key={hour} className="border-accent mt-2 border-l-4 pl-3">
          {units.say(mass, 'g')} of {sayWhen(life.pouredAt + hour * HOUR, now)} is set aside: about{' '}
          {units.say(expected, 'g')} was to be expected. It was another piece, or misread.
        </p>
      ))}
    </section>
  );
}
