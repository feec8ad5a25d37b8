import { useParams } from 'react-router';
import { useQuery } from '@tanstack/react-query';
import { mixesQuery } from '../api/mixes';
import { mouldsQuery } from '../api/moulds';
import { trialsQuery } from '../api/trials';
import { Known } from '../ui/known';
import { PageHead } from '../ui/page-head';
import { Busy } from '../ui/states';
import { useSay } from '../ui/say';
import { TrialForm } from './trial-form';
import { TrialStandingView } from './trial-standing-view';

/** One trial: planned anew, or how far it has come. */
export function TrialPage() {
  const say = useSay();
  const { id = 'new' } = useParams();
  const trials = useQuery(trialsQuery);
  const moulds = useQuery(mouldsQuery).data;
  const mixes = useQuery(mixesQuery).data;
  if (!moulds || !mixes) return <Busy what={say('findings.busyTrial')} />;
  if (id === 'new')
    return (
      <div className="mx-auto max-w-3xl p-4">
        <PageHead title={say('findings.planTrial')} />
        <TrialForm moulds={moulds} mixes={mixes} />
      </div>
    );
  const trial = trials.data?.find((one) => one.id === id);
  return (
    <Known list={trialsQuery} ids={[id]} what={say('findings.busyTrial')}>
      <div className="mx-auto max-w-3xl p-4">{trial && <TrialStandingView trial={trial} moulds={moulds} mixes={mixes} />}</div>
    </Known>
  );
} // prettier-ignore
