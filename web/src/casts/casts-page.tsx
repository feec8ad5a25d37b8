import { useMemo } from 'react';
import { msg } from '@dewpot/core/units';
import type { CastRow, Page } from '@dewpot/contract';
import { Link } from 'react-router';
import { buttonClass } from '../ui/button';
import { csvOf, DataTable, type TableColumn } from '../ui/data-table';
import { ListBar, ListChoice, Listed, NoneFits, NothingYet, Pager, rowsOfAll } from '../ui/list-bar';
import { saveFile } from '../ui/save-file';
import { useListing, type Listing } from '../ui/use-listing';
import { PageHead } from '../ui/page-head';
import { PieceThumb } from '../ui/piece-thumb';
import { spotWords, stages } from '@dewpot/core/casts';
import { writeWeighing, type Speaker } from '@dewpot/locales';
import { exactTime, dayOf } from '../ui/format-time';
import { useNow } from '../ui/use-now';
import { useSay } from '../ui/say';
import { sizeWords } from '../ui/casts/event-words';
import { stageOf, stageWords } from '../ui/casts/stage-words';

const hurt = ({ life }: CastRow, say: Speaker) =>
  life.damage.map(({ spot, size }) => say('ui.hurt', { size: sizeWords[size], spot: spotWords[spot] })).join(', ');

function columnsOf(say: Speaker, now: number): TableColumn<CastRow>[] {
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
    { id: 'mould', title: say(msg('casts.piece')), rising: 'piece', value: ({ snapshot }) => snapshot.mouldName },
    { id: 'mix', title: say(msg('casts.mix')), rising: 'mix', value: ({ snapshot }) => snapshot.mixName },
    {
      id: 'poured',
      title: say(msg('casts.poured')),
      rising: 'oldest',
      falling: 'newest',
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

const CHOICES = ['order', 'stage', 'damaged', 'mould', 'pour'];
const stageChoices = stages.map((value) => ({ value, label: stageWords[value] }));
const damageChoices = [
  { value: 'yes', label: msg('casts.damagedOnly') },
  { value: 'no', label: msg('casts.undamagedOnly') },
];

/** Every cast there was, on the shelf or gone. */
export function CastsPage() {
  const listing = useListing<CastRow>('casts', CHOICES);
  const say = useSay();
  return (
    <div className="mx-auto max-w-6xl p-4">
      <PageHead title={say('shell.casts')} to="/pours/new" add={say('shell.planPour')}>
        <Link to="/casts/weigh" className={buttonClass()}>
          {say('shell.weighDue')}
        </Link>
        <Link to="/casts/label" className={buttonClass()}>
          {say('casts.readLabel')}
        </Link>
        <Link to="/casts/join" className={buttonClass()}>
          {say('shell.assembleParts')}
        </Link>
        <Link to="/casts/try" className={buttonClass()}>
          {say('shell.simulate')}
        </Link>
      </PageHead>
      <Listed
        listing={listing}
        busy={say('casts.busyCasts')}
        empty={
          <NothingYet
            title={say('casts.noCastsYet')}
            how={say('casts.noCastsHow')}
            to="/pours/new"
            add={say('shell.planPour')}
          />
        }
      >
        {(page) => <Casts listing={listing} page={page} />}
      </Listed>
    </div>
  );
}

function Casts({ listing, page }: { listing: Listing<CastRow>; page: Page<CastRow> }) {
  const say = useSay();
  const now = useNow();
  const columns = useMemo(() => columnsOf(say, now), [say, now]);
  const name = say('shell.casts');
  const save = async () =>
    saveFile(`${name}.csv`, csvOf(await rowsOfAll('casts', listing), columns), 'text/csv;charset=utf-8');
  return (
    <section className="card-slab">
      <ListBar listing={listing} onExport={page.count > 0 ? save : undefined}>
        <ListChoice listing={listing} field="stage" label={say('casts.stageTitle')} options={stageChoices} />
        <ListChoice listing={listing} field="damaged" label={say('casts.damageTitle')} options={damageChoices} />
      </ListBar>
      {page.rows.length === 0 ? (
        <NoneFits listing={listing}>{say('casts.noCastFits')}</NoneFits>
      ) : (
        <DataTable
          name={name}
          rows={page.rows}
          columns={columns}
          order={listing.asked['order'] ?? 'newest'}
          onOrder={(order) => listing.choose({ order })}
        />
      )}
      <Pager listing={listing} />
    </section>
  );
}
