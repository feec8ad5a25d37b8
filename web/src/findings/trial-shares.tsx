import type { TrialView } from '@dewpot/contract';
import { useSay } from '../ui/say';
import { trialWay } from '../ui/trial-words';
import { GoodShare } from './good-share';

/** How many of each side came out good, and how far each has come. */
export function TrialShares({ trial: { kind, a, b, standing } }: { trial: TrialView }) {
  const say = useSay();
  return (
    <table className="w-full">
      <thead className="sr-only">
        <tr>
          <th scope="col">{say('findings.trialWay')}</th>
          <th scope="col">{say('findings.goodShare')}</th>
          <th scope="col">{say('findings.goodOf')}</th>
          <th scope="col">{say('findings.trialSeen')}</th>
        </tr>
      </thead>
      <tbody>
        {(['a', 'b'] as const).map((side) => {
          const { good, casts } = standing[side];
          return (
            <tr key={side}>
              <th scope="row" className="w-1/3 py-1.5 pr-2 text-left">{say.value(trialWay(kind, side === 'a' ? a : b))}</th>
              <td className="w-1/3">{casts > 0 && <GoodShare good={good} casts={casts} />}</td>
              <td className="numeral pl-2 text-right whitespace-nowrap">{say('findings.ofCasts', { good, casts })}</td>
              <td className="quiet pl-2 text-right text-sm whitespace-nowrap">{say('findings.seenOf', { casts, aSide: standing.aSide })}</td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
} // prettier-ignore
