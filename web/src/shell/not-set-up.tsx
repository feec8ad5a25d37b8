import { mayActAs } from '@dewpot/contract/roles';
import { quantity } from '@dewpot/core/units';
import { Link, useLocation } from 'react-router';
import { useSession } from '../api/session';
import { useSay } from '../ui/say';

/** Until a caster has said what there is, the bucket and the scale are assumed, and that is told. */
export function NotSetUp() {
  const { workshop, person } = useSession();
  const { demo, setUp, bucket, scaleStep } = workshop;
  const say = useSay();
  const { pathname } = useLocation();
  if (demo || setUp || !mayActAs(person.role, 'caster') || pathname === '/set-up') return null;
  return (
    <p role="note" className="border-accent mx-auto mt-3 max-w-7xl border-l-4 px-4 pl-3 text-sm">
      {say('shell.assumed', { bucket: quantity(bucket, 'mL'), scaleStep: quantity(scaleStep, 'g') })}{' '}
      <Link to="/set-up" className="link">
        {say('shell.sayWhatYouWorkWith')}
      </Link>
    </p>
  );
}
