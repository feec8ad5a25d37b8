import { useQuery } from '@tanstack/react-query';
import { useLocation, useParams, useSearchParams } from 'react-router';
import { mouldsQuery } from '../api/work';
import { Busy, Failure } from '../ui/states';
import { draftOf, newDraft } from './draft';
import { MouldEditor } from './mould-editor';
import { Nowhere } from '../ui/nowhere';
import { StartPage } from './start-page';
import { starts, type Start } from './starts';

/** One mould, new or known. A new one begins by what it looks like, or by what was read or measured elsewhere. */
export function MouldPage() {
  const { id = 'new' } = useParams();
  const [search] = useSearchParams();
  const begun = (useLocation().state as { start?: Start } | null)?.start;
  const { data, error, isPending } = useQuery(mouldsQuery);
  if (id === 'new') {
    const start = begun ?? starts.find(({ key }) => key === search.get('as'));
    return start ? (
      <MouldEditor key={start.key} first={{ ...newDraft(start), name: begun?.name ?? '' }} hint={start.hint} />
    ) : (
      <StartPage />
    );
  }
  if (isPending) return <Busy what="the mould" />;
  if (!data) return <Failure error={error} />;
  const mould = data.find((one) => one.id === id);
  return mould ? <MouldEditor key={id} known={mould} first={draftOf(mould)} /> : <Nowhere />;
}
