import type { FreeMoulds } from '@dewpot/core/pours';
import { whenOf } from '../ui/format-time';
import { useNow } from '../ui/use-now';
import { useSay } from '../ui/say';

/** How many copies of a mould are free, and when what stands full comes free. */
export function FreeNote({
  free: { free, full, short },
  onTake,
}: {
  free: FreeMoulds;
  onTake: (count: number) => void;
}) {
  const say = useSay();
  const now = useNow();
  const next = full[0];
  const told =
    next &&
    say('pours.standsFull', {
      full: full.length,
      place: next.place || 'none',
      when: whenOf(next.freeAt, now),
    });
  return (
    <>
      {free !== undefined && (
        <p className={`mt-1 text-xs ${short ? 'text-warning font-semibold' : 'quiet'}`}>
          {free === 0 ? say('pours.noneFree') : say('pours.freeCount', { free })}
          {told && `; ${told}`}
        </p>
      )}
      {short && free !== undefined && free > 0 && (
        <button type="button" className="link min-h-11 text-sm" onClick={() => onTake(free)}>
          {say('pours.take', { free })}
        </button>
      )}
    </>
  );
}
