import type { ReactNode } from 'react';
import { quantity, fixed, msg, type Message } from '@dewpot/core/units';
import {
  wayKindName,
  type Comparison,
  type Confounded,
  type Measure,
  type WayKind,
  type WaysCompared,
  type WaysMeasured,
  type WaysTable,
} from '@dewpot/core/findings';
import { useSay } from '../ui/say';
import { GoodShare } from './good-share';
import { wayName } from './way-words';

/** So many of what pairs say are shown at once. */
const SHOWN = 4;

const saidFirst = ({ verdict }: Comparison) => (verdict === 'says' ? 0 : 1);
const keyOf = (pair: WaysCompared | WaysMeasured) =>
  `${'measure' in pair ? pair.measure : ''} ${pair.a.way} ${pair.b.way}`;
const speaks = ({ verdict }: Comparison) => verdict === 'says' || verdict === 'leans';

/** Ways of one kind beside each other: how many came out good, how sure that is, and what each pair says. */
export function WaysSlab({ table: { kind, ways, pairs, measured } }: { table: WaysTable }) {
  const say = useSay();
  const lines = [
    ...pairs.filter(speaks).map((pair) => ({ pair, line: <PairLine key={keyOf(pair)} kind={kind} pair={pair} /> })),
    ...measured.filter(speaks).map((pair) => ({ pair, line: <MeasuredLine key={keyOf(pair)} kind={kind} pair={pair} /> })),
  ].sort((one, other) => saidFirst(one.pair) - saidFirst(other.pair)).map(({ line }) => line);
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
      <p className="mt-2 text-sm font-semibold">{lines.length === 0 && say('findings.noneSays')}</p>
      <ul className="space-y-1 text-sm">{lines.slice(0, SHOWN)}</ul>
      {lines.length > SHOWN && (
        <details className="mt-1 text-sm">
          <summary className="quiet cursor-pointer underline decoration-dotted underline-offset-4">{say('findings.morePairs', { more: lines.length - SHOWN })}</summary>
          <ul className="mt-1 space-y-1">{lines.slice(SHOWN)}</ul>
        </details>
      )}
    </section>
  );
} // prettier-ignore

/** What one pair says, and what else it could be. */
export function PairLine({ kind, pair }: { kind: WayKind; pair: WaysCompared }) {
  const say = useSay();
  const [good, bad] = pair.better === 'a' ? [pair.a, pair.b] : [pair.b, pair.a];
  return (
    <SpokenLine kind={kind} pair={pair}>
      {say('findings.againstOf', { good: good.good, casts: good.casts, otherGood: bad.good, otherCasts: bad.casts })}
    </SpokenLine>
  );
}

const measureWords: Record<Measure, Message> = {
  mass: msg('findings.measureMass'),
  minutes: msg('findings.measureMinutes'),
  voids: msg('findings.measureVoids'),
  colour: msg('findings.measureColour'),
};

/** A mean of what was measured, in the words of its measure. */
function meanOf(measure: Measure, value: number) {
  if (measure === 'minutes') return quantity(value, 'min');
  return measure === 'colour' ? fixed(value, 1) : quantity(value * 100, '%', 1);
}

/** What one pair says by what was measured of its casts. */
export function MeasuredLine({ kind, pair }: { kind: WayKind; pair: WaysMeasured }) {
  const say = useSay();
  const { measure, means, a, b } = pair;
  const [ofA, ofB] = [{ mean: meanOf(measure, means[0]), casts: a.casts }, { mean: meanOf(measure, means[1]), casts: b.casts }];
  const [good, bad] = pair.better === 'a' ? [ofA, ofB] : [ofB, ofA];
  return (
    <SpokenLine kind={kind} pair={pair}>
      {say('findings.meansAgainst', { measure: measureWords[measure], mean: good.mean, casts: good.casts, otherMean: bad.mean, otherCasts: bad.casts })}
    </SpokenLine>
  );
} // prettier-ignore

interface Spoken extends Comparison {
  readonly a: { readonly way: string };
  readonly b: { readonly way: string };
  readonly confounded: readonly Confounded[];
}

function SpokenLine({ kind, pair: { a, b, better, verdict, confounded }, children }: { kind: WayKind; pair: Spoken; children: ReactNode }) {
  const say = useSay();
  const name = (way: string) => wayName(kind, way);
  const [good, bad] = better === 'a' ? [a, b] : [b, a];
  const key = verdict === 'says' ? 'findings.saysBetter' : 'findings.leansBetter';
  return (
    <li>
      <strong>{say(key, { better: name(good.way), worse: name(bad.way) })}</strong> {children}
      {confounded.map(({ side, kind: other, way, casts }) => (
        <span key={`${side} ${other}`} className="quiet block">
          {say('findings.couldBe', { casts, way: name(side === 'a' ? a.way : b.way), what: wayKindName(other), other: wayName(other, way) })}
        </span>
      ))}
    </li>
  );
} // prettier-ignore
