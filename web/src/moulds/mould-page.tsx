import { useQuery } from '@tanstack/react-query';
import { useLocation, useParams, useSearchParams } from 'react-router';
import { mouldsQuery } from '../api/moulds';
import { draftOf, newDraft } from './draft';
import { MouldEditor } from './mould-editor';
import { Known } from '../ui/known';
import { StartPage } from './start-page';
import { startsIn, type Start } from './starts';
import { useSay } from '../ui/say';

/** One mould, new or known. A new one begins by what it looks like, or by what was read or measured elsewhere. */
export function MouldPage() {
  const say = useSay();
  const { id = 'new' } = useParams();
  const [search] = useSearchParams();
  const begun = (useLocation().state as { start?: Start } | null)?.start;
  if (id === 'new') {
    const start = begun ?? startsIn(say).find(({ key }) => key === search.get('as'));
    return start ? (
      <MouldEditor key={start.key} first={{ ...newDraft(start), name: begun?.name ?? '' }} hint={start.hint} />
    ) : (
      <StartPage />
    );
  }
  return (
    <Known list={mouldsQuery} ids={[id]} what={say('moulds.busyMould')}>
      <KnownMould id={id} />
    </Known>
  );
}

function KnownMould({ id }: { id: string }) {
  const mould = useQuery(mouldsQuery).data?.find((one) => one.id === id);
  return mould && <MouldEditor key={id} known={mould} first={draftOf(mould)} />;
}
