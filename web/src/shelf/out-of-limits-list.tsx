import type { WatchView } from '@dewpot/contract';
import { causeName } from '@dewpot/core/findings';
import { Link } from 'react-router';
import { useSay } from '../ui/say';

/** So many are told; the others stand among the findings. */
const MOST = 2;

/** Casts that weigh otherwise, each with what most likely made it so. */
export function OutOfLimitsList({ lately }: Pick<WatchView, 'lately'>) {
  const say = useSay();
  return (
    <ul className="border-base-300 mt-3 space-y-1 border-t pt-3 text-sm" aria-label={say('shelf.outOfLimits')}>
      {lately.slice(0, MOST).map(({ id, code, value, usual, cause }) => (
        <li key={id} className="border-warning border-l-4 pl-2">
          <Link className="link font-semibold" to={`/casts/${id}`}>
            {code}
          </Link>{' '}
          {say('shelf.weighsOtherwise', {
            heavy: value > usual ? 'yes' : 'no',
            share: Math.round(Math.abs(value - usual) * 100),
            cause: cause ? causeName(cause) : 'none',
          })}
        </li>
      ))}
      {lately.length > MOST && (
        <li>
          <Link className="link" to="/findings">
            {say('shelf.moreOutOfLimits', { more: lately.length - MOST })}
          </Link>
        </li>
      )}
    </ul>
  );
}
