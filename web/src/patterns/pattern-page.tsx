import type { PatternView } from '@dewpot/contract';
import { useQuery } from '@tanstack/react-query';
import { Link, useLocation, useParams, useSearchParams } from 'react-router';
import { cutPatternKinds, type CutPattern } from '@dewpot/core/patterns';
import { patternQuery } from '../api/patterns';
import { PageHead } from '../ui/page-head';
import { Busy, Failure } from '../ui/states';
import { useSay } from '../ui/say';
import { firstPatterns, kindWords } from './first-patterns';
import { PatternEditor } from './pattern-editor';
import { PatternThumb } from './pattern-thumb';
import type { PatternDraft } from './use-pattern-edit';

const draftOf = ({ id: _id, revision: _revision, changedAt: _at, ...kept }: PatternView): PatternDraft => ({
  ...kept,
  pattern: kept.pattern as CutPattern,
});

/** One pattern, new or known. A new one begins from its kind, or from a copy of another, in the address; or from a file that was read. */
export function PatternPage() {
  const { id = 'new' } = useParams();
  const [search] = useSearchParams();
  const { state, key } = useLocation() as { state: { read?: PatternDraft } | null; key: string };
  const [as, copy] = [search.get('as'), search.get('copy')];
  if (id !== 'new') return <KnownPattern key={id} id={id} />;
  if (state?.read) return <PatternEditor key={key} first={state.read} />;
  if (copy) return <KnownPattern key={copy} id={copy} copied />;
  const kind = cutPatternKinds.find((one) => one === as);
  if (!kind) return <KindChoice />;
  const first: PatternDraft = { name: '', pattern: firstPatterns[kind], moulds: [], cut: false, version: 0 };
  return <PatternEditor key={kind} first={first} />;
}

function KnownPattern({ id, copied = false }: { id: string; copied?: boolean }) {
  const say = useSay();
  const { data, error, isPending } = useQuery(patternQuery(id));
  if (isPending) return <Busy what={say('patterns.busyOne')} />;
  if (!data) return <Failure error={error} />;
  const draft = draftOf(data);
  const first = copied ? { ...draft, name: say('patterns.copyOf', { name: draft.name }), moulds: [], cut: false, version: 0 } : draft; // prettier-ignore
  return <PatternEditor first={first} {...(!copied && { id, revision: data.revision })} />;
}

/** What is there to make: each kind with its picture. */
function KindChoice() {
  const say = useSay();
  return (
    <div className="mx-auto max-w-6xl p-4">
      <PageHead title={say('patterns.whatToMake')} />
      <ul className="grid grid-cols-2 gap-3 lg:grid-cols-5">
        {cutPatternKinds.map((kind) => (
          <li key={kind}>
            <Link to={`/patterns/new?as=${kind}`} className="card-slab hover:border-secondary block h-full p-3">
              <PatternThumb pattern={firstPatterns[kind]} />
              <h2 className="text-lg leading-tight">{say(kindWords[kind].name)}</h2>
              <p className="quiet text-sm">{say(kindWords[kind].what)}</p>
            </Link>
          </li>
        ))}
      </ul>
    </div>
  );
}
