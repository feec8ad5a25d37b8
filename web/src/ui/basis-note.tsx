import { msg, type Message } from '@dewpot/core/units';
import type { AmbientBasis } from '@dewpot/contract';
import { Link } from 'react-router';
import { useSay } from './say';

/** What the air of a place rests on, where that is no measurement. */
const words: Partial<Record<AmbientBasis, Message>> = {
  simulated: msg('today.basisSimulated'),
  guess: msg('today.basisGuess'),
  season: msg('today.basisSeason'),
  typed: msg('today.basisTyped'),
};

/** Says of an air that it is simulated, typed or a guess; a guess leads to where it can be told. Nothing for what was measured. */
export function BasisNote({ basis, link = false }: { basis: AmbientBasis; link?: boolean }) {
  const say = useSay();
  const told = words[basis];
  if (!told) return null;
  return (
    <span className={basis === 'guess' ? 'text-accent' : 'quiet'}>
      {say(told)}
      {basis === 'guess' && link && (
        <>
          {'. '}
          <Link to="/workshop/places" className="link">
            {say('today.sayHowWarm')}
          </Link>
        </>
      )}
    </span>
  );
}
