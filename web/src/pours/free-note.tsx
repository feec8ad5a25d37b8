import type { FreeMoulds } from '@dewpot/core/pours';
import { sayWhen } from '../ui/format-time';
import { useNow } from '../ui/use-now';

/** How many copies of a mould are free, and when what stands full comes free. */
export function FreeNote({
  free: { free, full, short },
  onTake,
}: {
  free: FreeMoulds;
  onTake: (count: number) => void;
}) {
  const now = useNow();
  const next = full[0];
  const told = next && `${full.length} ${full.length === 1 ? 'stands full' : 'stand full'}${next.place ? `, ${next.place}` : ''}; demoulding ${sayWhen(next.freeAt, now)}`; // prettier-ignore
  return (
    <>
      {free !== undefined && (
        <p className={`mt-1 text-xs ${short ? 'text-warning font-semibold' : 'quiet'}`}>
          {free === 0 ? 'none free' : `${free} free`}
          {told && `; ${told}`}
        </p>
      )}
      {short && free !== undefined && free > 0 && (
        <button type="button" className="link min-h-11 text-sm" onClick={() => onTake(free)}>
          Take {free}
        </button>
      )}
    </>
  );
}
