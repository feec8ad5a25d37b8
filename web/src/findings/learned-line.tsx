import { Link } from 'react-router';
import { fromHandbook, groupOfKind, type LearnedFigure } from '@dewpot/core/findings';
import { useForget } from '../api/learned';
import { Button } from '../ui/button';
import { FigureWorking } from '../ui/figure-working';
import { exactTime } from '../ui/format-time';
import { Opened } from '../ui/opened';
import { Failure } from '../ui/states';
import { useSay } from '../ui/say';
import { useUnits } from '../ui/units';
import { learnedOf, recordPath } from './learned-words';
import { RecordStrip, type Range } from './record-strip';

/** One learned figure: how far it stands from the handbook, what it rests on, and how to forget that. */
export function LearnedLine({ figure: learned, range }: { figure: LearnedFigure; range: Range }) {
  const say = useSay();
  const units = useUnits();
  const { kind, of, figure, handbook, records, since } = learned;
  const forget = useForget();
  const group = groupOfKind[kind];
  const counting = records.filter(({ counts }) => counts).length;
  const away = fromHandbook(learned);
  const name = say(learnedOf(learned));
  const value = units.sayFigure(figure);
  const usual = units.say(handbook, figure.unit);
  const change = (forgotten: boolean) => forget.mutate({ group, of, forget: forgotten });
  return (
    <li className="py-2">
      <div className="flex flex-wrap items-baseline justify-between gap-x-3">
        <strong className="min-w-0 break-words">{name}</strong>
        <span>
          <span className="numeral text-xl">{value}</span>{' '}
          <span className="quiet text-sm">
            {say('findings.againstHandbook', { usual, share: Math.round(Math.abs(away) * 100), more: away > 0 ? 'yes' : 'no' })}
          </span>
        </span>
      </div>
      <RecordStrip figure={learned} range={range} label={say('findings.stripOf', { name, value, usual, records: records.length })} />
      {since !== undefined && (
        <p className="text-sm">
          {say('findings.forgottenBefore', { when: exactTime(since), records: records.length - counting })}
        </p>
      )}
      <div className="flex flex-wrap items-start gap-x-5">
        <FigureWorking figure={figure} />
        <Records learned={learned} told={say('findings.recordsOf', { counting, others: records.length - counting })} />
        <span className="ml-auto flex flex-wrap gap-2">
          {since !== undefined && <Button size="low" className="text-sm" disabled={forget.isPending} onClick={() => change(false)}>{say('findings.countAgain')}</Button>}
          {counting > 0 && <Button size="low" className="text-sm" aria-label={say('findings.forgetOf', { name })} disabled={forget.isPending} onClick={() => change(true)}>{say('findings.forget')}</Button>}
        </span>
      </div>
      <Failure error={forget.error} />
    </li>
  );
} // prettier-ignore

/** The records that a figure rests on, the newest first; opened beneath it. */
function Records({ learned: { kind, figure, records }, told }: { learned: LearnedFigure; told: string }) {
  const say = useSay();
  const units = useUnits();
  const group = groupOfKind[kind];
  return (
    <Opened label={told}>
      {() => (
        <ul className="border-base-300 mt-2 border-l-2 pl-3">
          {records.toReversed().map(({ id, label, at, shows, counts }) => (
            <li key={`${id} ${at}`} className={counts ? '' : 'quiet'}>
              <Link className="link" to={recordPath(group, id)}>{group === 'mix' || group === 'bench' ? say('findings.pourNumber', { label }) : label}</Link>
              , {say(exactTime(at))}
              {shows !== undefined && `: ${units.say(shows, figure.unit)}`}
              {!counts && ` (${say('findings.doesNotCount')})`}
            </li>
          ))}
        </ul>
      )}
    </Opened>
  );
} // prettier-ignore
