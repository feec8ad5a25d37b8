import { useEffect, useRef } from 'react';
import { useQuery } from '@tanstack/react-query';
import { defined } from '@dewpot/core/math';
import { roundLines, taskInWords, whenDue, placeInWords } from '@dewpot/core/casts';
import type { CastView } from '@dewpot/contract';
import type { Speaker } from '@dewpot/locales';
import { shelfQuery } from '../api/casts';
import { useSay } from '../ui/say';
import { toast } from '../ui/toast';
import { placeOf } from '../ui/casts/reading';
import { useNow } from '../ui/use-now';
import { notify } from '../ui/notices';

/** What is due now, by what it is, in words. */
function dueNow(casts: readonly CastView[], now: number, say: Speaker): Map<string, string> {
  return new Map(
    roundLines(casts, placeOf)
      .filter(({ due }) => whenDue(due, now, now) === 'now')
      .map(({ key, due, casts: alike, place }) => [
        key,
        say('today.dueTitle', {
          task: taskInWords(due),
          mould: defined(alike[0]).snapshot.mouldName,
          count: alike.length,
          place: placeInWords(place),
        }),
      ]),
  );
}

/** Tells when something comes due while the page is open: in it, and outside of it where that is allowed. */
export function DueNotices() {
  const say = useSay();
  const { data: casts } = useQuery(shelfQuery);
  const now = useNow();
  const known = useRef<ReadonlySet<string>>(undefined);
  useEffect(() => {
    if (!casts) return;
    const due = dueNow(casts, now, say);
    const before = known.current;
    known.current = new Set(due.keys());
    // What was due already when the page was opened stands on the shelf.
    if (!before) return;
    const fresh = [...due].filter(([key]) => !before.has(key)).map(([, words]) => words);
    if (fresh.length === 0) return;
    const title = fresh.length === 1 ? say('shell.goodNow') : say('shell.goodNowMany', { fresh: fresh.length });
    toast(title, { description: fresh.join('; '), duration: 20_000 });
    notify(title, fresh.join('; '));
  }, [casts, now, say]);
  return null;
}
