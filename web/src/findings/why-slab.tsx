import { Link } from 'react-router';
import { useQuery } from '@tanstack/react-query';
import { listed } from '@dewpot/core/units';
import {
  causeName,
  changeFor,
  evidenceInWords,
  faultName,
  isPlannable,
  type Explanation,
  type RankedCause,
} from '@dewpot/core/findings';
import type { CastDetail } from '@dewpot/contract';
import { castFindingsQuery } from '../api/findings';
import { Button } from '../ui/button';
import { Busy, Failure } from '../ui/states';
import { severityWords } from '../ui/casts/event-words';
import { useSay } from '../ui/say';
import { MarkedPiece } from './fault-drawing';

/** Why a cast came out so: its faults, the likeliest causes with their evidence, and what to change. */
export function WhySlab({ cast, onLookOver }: { cast: CastDetail; onLookOver: () => void }) {
  const say = useSay();
  const { data, error, isPending } = useQuery({ ...castFindingsQuery(cast), enabled: cast.stage !== 'setting' });
  if (cast.stage === 'setting' || cast.snapshot.article) return null;
  return (
    <section className="card-slab space-y-3" aria-label={say('findings.whyTitle')}>
      <div className="flex flex-wrap items-baseline justify-between gap-2">
        <h2 className="text-xl">{say('findings.whyTitle')}</h2>
        <span className="flex flex-wrap items-center gap-3">
          <Link className="link text-sm" to={`/findings/voids?cast=${cast.id}`}>
            {say('findings.countVoids')}
          </Link>
          <Link className="link text-sm" to={`/findings/colour?cast=${cast.id}`}>
            {say('findings.lookAtColour')}
          </Link>
          <Button look="soft" size="low" className="px-3 text-sm" onClick={onLookOver}>
            {say('findings.lookOver')}
          </Button>
        </span>
      </div>
      {isPending && <Busy what={say('findings.busyWhy')} />}
      <Failure error={error} />
      {data && <MarkedPiece cast={cast} faults={data.faults} />}
      {data && data.faults.length === 0 && <p>{say('findings.nothingFound')}</p>}
      {data?.explanations.map((one) => {
        const seen = data.faults.find(({ fault }) => fault === one.fault);
        return <Explained key={one.fault} explanation={one} severity={seen ? say(severityWords[seen.severity]) : ''} pourId={cast.pourId} />;
      })}
      {data && data.faults.length > 0 && <p className="quiet text-sm">{say('findings.comparedWith', { casts: data.casts })}</p>}
    </section>
  );
} // prettier-ignore

/** One fault with its causes, the likeliest first. */
export function Explained({ explanation: { fault, causes, unrecorded, missing }, severity, pourId }: { explanation: Explanation; severity: string; pourId: string }) {
  const say = useSay();
  return (
    <article className="space-y-2">
      <h3 className="text-lg">
        {say(faultName(fault))} <span className="quiet text-sm">{severity}</span>
      </h3>
      {causes.length === 0 && <p className="text-sm">{say('findings.nothingSpeaks')}</p>}
      <ol className="space-y-3">
        {causes.map((one) => (
          <CauseLine key={one.cause} one={one} pourId={pourId} />
        ))}
      </ol>
      <ShareBar name={say('findings.notOnRecord')} share={unrecorded} quiet />
      {missing.length > 0 && (
        <p className="quiet text-sm">{say('findings.wouldTell', { causes: listed(missing.map((cause) => causeName(cause))) })}</p>
      )}
    </article>
  );
} // prettier-ignore

function CauseLine({ one: { cause, share, evidence }, pourId }: { one: RankedCause; pourId: string }) {
  const say = useSay();
  return (
    <li>
      <ShareBar name={say(causeName(cause))} share={share} />
      <p className="text-sm">
        {evidenceInWords(cause, evidence)
          .map((sentence) => say(sentence))
          .join(' ')}
      </p>
      <p className="border-primary mt-1 border-l-4 pl-2 text-sm">
        {say(changeFor(cause))}{' '}
        {isPlannable(cause) && (
          <Link className="link font-semibold" to={`/pours/new?again=${pourId}&against=${cause}`}>
            {say('findings.useInNext')}
          </Link>
        )}
      </p>
    </li>
  );
}

/** A cause and how likely it is, as a bar. */
function ShareBar({ name, share, quiet = false }: { name: string; share: number; quiet?: boolean }) {
  const say = useSay();
  const percent = Math.round(share * 100);
  return (
    <div className="grid grid-cols-[minmax(0,1fr)_6rem_3rem] items-center gap-2">
      <span className={quiet ? 'quiet text-sm' : 'font-semibold'}>{name}</span>
      <span className="bg-base-300/60 block h-3">
        <span className={`block h-3 ${quiet ? 'bg-base-content/40' : 'bg-secondary'}`} style={{ width: `${percent}%` }} />
      </span>
      <span className="numeral text-right">{say('findings.percent', { percent })}</span>
    </div>
  );
} // prettier-ignore
