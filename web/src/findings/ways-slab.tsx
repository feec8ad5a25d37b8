import { wayKindName, type WayKind, type WaysCompared, type WaysTable } from '@dewpot/core/findings';
import { useSay } from '../ui/say';
import { GoodShare } from './good-share';
import { wayName } from './way-words';

/** Ways of one kind beside each other: how many came out good, how sure that is, and what each pair says. */
export function WaysSlab({ table: { kind, ways, pairs } }: { table: WaysTable }) {
  const say = useSay();
  const spoken = pairs.filter(({ verdict }) => verdict === 'says' || verdict === 'leans');
  return (
    <section className="card-slab" aria-label={say(wayKindName(kind))}>
      <h2 className="text-xl">{say(wayKindName(kind))}</h2>
      <table className="w-full text-sm">
        <thead className="sr-only">
          <tr>
            <th scope="col">{say(wayKindName(kind))}</th>
            <th scope="col">{say('findings.goodShare')}</th>
            <th scope="col">{say('findings.goodOf')}</th>
          </tr>
        </thead>
        <tbody>
          {ways.map(({ way, good, casts }) => (
            <tr key={way}>
              <th scope="row" className="w-2/5 py-1 pr-2 text-left font-normal">{say.value(wayName(kind, way))}</th>
              <td className="w-2/5"><GoodShare good={good} casts={casts} /></td>
              <td className="numeral pl-2 text-right whitespace-nowrap">{say('findings.ofCasts', { good, casts })}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-2 text-sm font-semibold">{spoken.length === 0 && say('findings.noneSays')}</p>
      <ul className="space-y-1 text-sm">
        {spoken.map((pair) => (
          <PairLine key={`${pair.a.way} ${pair.b.way}`} kind={kind} pair={pair} />
        ))}
      </ul>
    </section>
  );
} // prettier-ignore

/** What one pair says, and what else it could be. */
export function PairLine({ kind, pair: { a, b, better, verdict, confounded } }: { kind: WayKind; pair: WaysCompared }) {
  const say = useSay();
  const [good, bad] = better === 'a' ? [a, b] : [b, a];
  const name = (way: string) => wayName(kind, way);
  const key = verdict === 'says' ? 'findings.saysBetter' : 'findings.leansBetter';
  return (
    <li>
      <strong>{say(key, { better: name(good.way), worse: name(bad.way) })}</strong>{' '}
      {say('findings.againstOf', { good: good.good, casts: good.casts, otherGood: bad.good, otherCasts: bad.casts })}
      {confounded.map(({ side, kind: other, way, casts }) => (
        <span key={`${side} ${other}`} className="quiet block">
          {say('findings.couldBe', { casts, way: name(side === 'a' ? a.way : b.way), what: wayKindName(other), other: wayName(other, way) })}
        </span>
      ))}
    </li>
  );
} // prettier-ignore
