import { useMemo } from 'react';
import { useQuery } from '@tanstack/react-query';
import type { CastView } from '@dewpot/contract';
import { Link } from 'react-router';
import { allCastsQuery } from '../api/casts';
import { buttonClass } from '../ui/button';
import { DataTable, type TableColumn } from '../ui/data-table';
import { PageHead } from '../ui/page-head';
import { PieceThumb } from '../ui/piece-thumb';
import { spotWords } from '@dewpot/core/casts';
import { writeWeighing, type Speaker } from '@dewpot/locales';
import { exactly, sayDay } from '../ui/format-time';
import { Busy, Empty, Failure } from '../ui/states';
import { useNow } from '../ui/use-now';
import { useSay } from '../ui/say';
import { sizeWords } from '../ui/casts/event-words';
import { stageOf } from '../ui/casts/stage-words';

const hurt = ({ life }: CastView, say: Speaker) =>
  life.damage.map(({ spot, size }) => `${sizeWords[size]} at the ${say(spotWords[spot])}`).join(', ');

function columnsOf(say: Speaker, now: number): TableColumn<CastView>[] {
  return [
    {
      id: 'code',
      title: 'Code',
      value: ({ code }) => code,
      show: (cast) => (
        <Link to={`/casts/${cast.id}`} className="flex items-center gap-3">
          <PieceThumb
            shape={cast.snapshot.shape}
            colour={cast.snapshot.colour}
            faceColouring={cast.snapshot.faceColouring}
            size={36}
          />
          <span className="numeral link text-lg">{cast.code}</span>
        </Link>
      ),
    },
    { id: 'mould', title: 'Piece', value: ({ snapshot }) => snapshot.mouldName },
    { id: 'mix', title: 'Mix', value: ({ snapshot }) => snapshot.mixName },
    {
      id: 'poured',
      title: 'Poured',
      value: ({ life }) => new Date(life.pouredAt).toISOString().slice(0, 10),
      show: ({ life }) => <span title={exactly(life.pouredAt)}>{sayDay(life.pouredAt, now)}</span>,
    },
    { id: 'stage', title: 'Now', value: stageOf },
    { id: 'hurt', title: 'Damage', value: (cast) => hurt(cast, say) || (cast.life.demouldedAt ? 'clean' : '') },
    {
      id: 'mass',
      title: 'Last weighed',
      right: true,
      value: ({ life }) => life.weighings[life.weighings.length - 1]?.mass ?? '',
      show: ({ life }) => {
        const last = life.weighings[life.weighings.length - 1];
        return last ? writeWeighing(last.mass, last.step, say.reader) : '';
      },
    },
  ];
}

/** Every cast there was, on the shelf or gone. */
export function CastsPage() {
  const { data, isPending, error } = useQuery(allCastsQuery);
  const say = useSay();
  const now = useNow();
  const columns = useMemo(() => columnsOf(say, now), [say, now]);
  const newest = useMemo(() => [...(data ?? [])].reverse(), [data]);
  if (isPending) return <Busy what="the casts" />;
  if (!data) return <Failure error={error} />;
  return (
    <div className="mx-auto max-w-6xl p-4">
      <PageHead title="Casts" to="/pours/new" add="Plan a pour">
        <Link to="/casts/weigh" className={buttonClass()}>
          Weigh what is due
        </Link>
        <Link to="/casts/join" className={buttonClass()}>
          Assemble parts
        </Link>
        <Link to="/casts/try" className={buttonClass()}>
          Simulate
        </Link>
      </PageHead>
      {data.length === 0 ? (
        <Empty title="No casts yet">
          <p>A cast begins its record when its pour is finished, and keeps it until long after it is finished.</p>
          <p>
            <Link to="/pours/new" className={buttonClass({ look: 'main', size: 'own' })}>
              Plan a pour
            </Link>
          </p>
        </Empty>
      ) : (
        <section className="card-slab">
          <DataTable name="Casts" rows={newest} columns={columns} empty="No cast has that word in its record." />
        </section>
      )}
    </div>
  );
}
