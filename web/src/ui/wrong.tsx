import type { Phrase } from '@dewpot/core/units';
import { useSay } from './say';

/** What is wrong, read out as soon as it stands there; nothing where nothing is. */
export function Wrong({ className = '', children }: { className?: string; children: Phrase | undefined }) {
  const say = useSay();
  if (!children) return null;
  return (
    <p role="alert" className={`text-error ${className}`}>
      {say.value(children)}
    </p>
  );
}
