import { useMemo } from 'react';
import { msg } from '@dewpot/core/units';
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
import { exactTime, dayOf } from '../ui/format-time';
import { Busy, Empty, Failure } from '../ui/states';
import { useNow } from '../ui/use-now';
import { useSay } from '../ui/say';
import { sizeWords } from '../ui/casts/event-words';
import { stageOf } from '../ui/casts/stage-words';

const hurt = ({ life }: CastView, say: Speaker) =>
  life.damage.map(({ spot, size }) => say('ui.hurt', { size: sizeWords[size], spot: spotWords[spot] })).join(', ');

function columnsOf(say: Speaker, now: number): TableColumn<CastView>[] {
  return [
    {
      id: 'code',
      title: say(msg('casts.code')),
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
    { id: 'mould', title: say(msg('casts.piece')), value: ({ snapshot }) => snapshot.mouldName },
    { id: 'mix', title: say(msg('casts.mix')), value: ({ snapshot }) => snapshot.mixName },
    {
      id: 'poured',
      title: say(msg('casts.poured')),
      value: ({ life }) => new Date(life.pouredAt).toISOString().slice(0, 10),
      show: ({ life }) => <span title={say(exactTime(life.pouredAt))}>{say(dayOf(life.pouredAt, now))}</span>,
    },
    { id: 'stage', title: say(msg('casts.nowTitle')), value: (cast) => say(stageOf(cast)) },
    {
      id: 'hurt',
      title: say(msg('casts.damage')),
      value: (cast) => hurt(cast, say) || (cast.life.demouldedAt ? say('casts.clean') : ''),
    },
    {
      id: 'mass',
      title: say(msg('casts.lastWeighed')),
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
  if (isPending) return <Busy what={say('casts.busyCasts')} />;
  if (!data) return <Failure error={error} />;
  return (
    <div className="mx-auto max-w-6xl p-4">
      <PageHead title={say('shell.casts')} to="/pours/new" add={say('shell.planPour')}>
        <Link to="/casts/weigh" className={buttonClass()}>
          {say('shell.weighDue')}
        </Link>
        <Link to="/casts/join" className={buttonClass()}>
          {say('shell.assembleParts')}
        </Link>
        <Link to="/casts/try" className={buttonClass()}>
          {say('shell.simulate')}
        </Link>
      </PageHead>
      {data.length === 0 ? (
        <Empty title={say('casts.noCastsYet')}>
          <p>{say('casts.noCastsHow')}</p>
          <p>
            <Link to="/pours/new" className={buttonClass({ look: 'main', size: 'own' })}>
              {say('shell.planPour')}
            </Link>
          </p>
        </Empty>
      ) : (
        <section className="card-slab">
          <DataTable name={say('shell.casts')} rows={newest} columns={columns} empty={say('casts.noCastFits')} />
        </section>
      )}
    </div>
  );
}
