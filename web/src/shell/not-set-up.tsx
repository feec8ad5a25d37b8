import { Link, useLocation } from 'react-router';
import { useSession } from '../api/session';
import { useUnits } from '../ui/units';

/** Until a caster has said what there is, the bucket and the scale are assumed, and that is told. */
export function NotSetUp() {
  const { demo, setUp, bucket, scaleStep } = useSession().workshop;
  const units = useUnits();
  const { pathname } = useLocation();
  if (demo || setUp || pathname === '/set-up') return null;
  return (
    <p role="note" className="border-accent mx-auto mt-3 max-w-7xl border-l-4 px-4 pl-3 text-sm">
      A bucket of {units.say(bucket, 'mL')} and a scale of {units.say(scaleStep, 'g')} are assumed.{' '}
      <Link to="/set-up" className="link">
        Say what you work with
      </Link>
    </p>
  );
}
