import { msg } from '@dewpot/core/units';
import { Check, CircleAlert, X } from 'lucide-react';
import type { Outcome } from '@dewpot/core/simulation';
import { useSay } from '../ui/say';

const marks = {
  good: { Icon: Check, words: msg('simulation.good'), look: 'text-primary' },
  doubtful: { Icon: CircleAlert, words: msg('simulation.doubtful'), look: 'text-warning' },
  bad: { Icon: X, words: msg('simulation.bad'), look: 'text-accent' },
} as const;

/** What came of it, each with a mark and in words. */
export function OutcomeList({ outcomes }: { outcomes: readonly Outcome[] }) {
  const say = useSay();
  return (
    <ul className="space-y-1.5">
      {outcomes.map(({ of, grade, told }) => {
        const { Icon, words, look } = marks[grade];
        return (
          <li key={of} className="flex gap-2">
            <Icon size={20} className={`mt-0.5 shrink-0 ${look}`} aria-label={say(words)} />
            <span>{say(told)}</span>
          </li>
        );
      })}
    </ul>
  );
}
