import type { AmbientBasis } from '@dewpot/contract';
import { Link } from 'react-router';

/** What the air of a place rests on, where that is no measurement. */
const words: Partial<Record<AmbientBasis, string>> = {
  simulated: 'simulated, for the demo',
  guess: 'a guess: nobody has said yet',
  season: 'by its table of months',
  typed: 'as it was typed',
};

/** Says of an air that it is simulated, typed or a guess; a guess leads to where it can be told. Nothing for what was measured. */
export function BasisNote({ basis, link = false }: { basis: AmbientBasis; link?: boolean }) {
  const told = words[basis];
  if (!told) return null;
  return (
    <span className={basis === 'guess' ? 'text-accent' : 'quiet'}>
      {told}
      {basis === 'guess' && link && (
        <>
          {'. '}
          <Link to="/workshop/places" className="link">
            Say how warm it is
          </Link>
        </>
      )}
    </span>
  );
}
