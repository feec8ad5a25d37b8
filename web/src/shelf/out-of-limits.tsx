import { Link } from 'react-router';
import { useQuery } from '@tanstack/react-query';
import { causeName } from '@dewpot/core/findings';
import { watchQuery } from '../api/findings';
import { useSay } from '../ui/say';

/** So many are told; the others stand among the findings. */
const MOST = 2;

/** Casts of late that weigh otherwise than casts do here, with what most likely made them so. Nothing where all is as usual. */
export function OutOfLimits() {
  const say = useSay();
  const lately = useQuery(watchQuery).data?.lately ?? [];
  if (lately.length === 0) return null;
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
