import { useQuery } from '@tanstack/react-query';
import type { CastRow } from '@dewpot/contract';
import { pourFindingsQuery } from '../api/findings';
import { Busy, Failure } from '../ui/states';
import { useSay } from '../ui/say';
import { Explained } from './why-slab';

const foundIn = ({ life: { damage, faults = [] } }: CastRow) => damage.length + faults.length;

/** Why the casts of a pour came out so, over all of them; nothing where nothing was found wrong. */
export function WhyPour({ pourId, casts }: { pourId: string; casts: readonly CastRow[] }) {
  const say = useSay();
  const found = casts.reduce((sum, cast) => sum + foundIn(cast), 0);
  const { data, error, isLoading } = useQuery({ ...pourFindingsQuery(pourId, found), enabled: found > 0 });
  if (found === 0) return null;
  return (
    <section className="card-slab space-y-3" aria-label={say('findings.whyTitle')}>
      <h2 className="text-xl">{say('findings.whyTitle')}</h2>
      {isLoading && <Busy what={say('findings.busyWhy')} />}
      <Failure error={error} />
      {data?.explanations.map((one) => (
        <Explained key={one.fault} explanation={one} severity={say('findings.inSoMany', { casts: one.casts, of: one.of })} pourId={pourId} />
      ))}
      {data?.explanations.length === 0 && <p>{say('findings.nothingFound')}</p>}
      {data && data.explanations.length > 0 && <p className="quiet text-sm">{say('findings.comparedWith', { casts: data.casts })}</p>}
    </section>
  );
} // prettier-ignore
