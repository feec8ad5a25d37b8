import { useSession } from '../api/session';
import { useSay } from './say';

/** What holds in this workshop beside the cautions, in its own words. */
export function LocalRules() {
  const say = useSay();
  const { localRules = '' } = useSession().workshop;
  if (localRules.trim() === '') return null;
  return (
    <p className="border-accent my-2 border-l-4 pl-3 text-sm whitespace-pre-line">
      <span className="font-semibold">{say('ui.localRules')}</span> {localRules}
    </p>
  );
}
