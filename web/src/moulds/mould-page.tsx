import { useQuery } from '@tanstack/react-query';
import { useParams } from 'react-router';
import { mouldsQuery } from '../api/work';
import { Busy, Failure } from '../ui/states';
import { draftOf, newDraft } from './draft';
import { MouldEditor } from './mould-editor';
import { Nowhere } from '../ui/nowhere';

/** One mould, new or known. */
export function MouldPage() {
  const { id = 'new' } = useParams();
  const { data, error, isPending } = useQuery(mouldsQuery);
  if (id === 'new') return <MouldEditor key="new" first={newDraft()} />;
  if (isPending) return <Busy what="the mould" />;
  if (!data) return <Failure error={error} />;
  const mould = data.find((one) => one.id === id);
  return mould ? <MouldEditor key={id} id={id} first={draftOf(mould)} cycles={mould.copies} /> : <Nowhere />;
}
