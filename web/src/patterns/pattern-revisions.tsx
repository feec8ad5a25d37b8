import { useQuery } from '@tanstack/react-query';
import type { CutPattern } from '@dewpot/core/patterns';
import { patternRevisionsQuery } from '../api/patterns';
import { Button } from '../ui/button';
import { dayOf } from '../ui/format-time';
import { useNow } from '../ui/use-now';
import { useSay } from '../ui/say';

/** The revisions of a pattern, the newest first; an older one is taken up again. */
export function PatternRevisions({ id, onTake }: { id: string; onTake: (pattern: CutPattern) => void }) {
  const say = useSay();
  const now = useNow();
  const { data = [] } = useQuery(patternRevisionsQuery(id));
  if (data.length < 2) return null;
  return (
    <section className="card-slab" aria-label={say('patterns.revisions')}>
      <h2 className="text-xl">{say('patterns.revisions')}</h2>
      <ol className="divide-base-300 divide-y">
        {data.map(({ revision, madeAt, cut, pattern }, i) => (
          <li key={revision} className="flex items-center justify-between gap-2 py-1.5">
            <span>
              {say('patterns.revision', { revision })}, {say(dayOf(madeAt, now))}
              {cut && `, ${say('patterns.isCut')}`}
            </span>
            {i > 0 && (
              <Button size="low" onClick={() => onTake(pattern as CutPattern)}>
                {say('patterns.takeUp')}
              </Button>
            )}
          </li>
        ))}
      </ol>
    </section>
  );
}
