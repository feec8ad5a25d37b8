import { listed, msg, type Message } from '@dewpot/core/units';
import type { PourRow, PourStatus } from '@dewpot/contract';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { mouldsQuery } from '../api/moulds';
import { PageHead } from '../ui/page-head';
import { exactTime, whenOf } from '../ui/format-time';
import { ListBar, ListChoice, Listed, ListOrder, NoneFits, NothingYet, Pager } from '../ui/list-bar';
import { PieceThumb } from '../ui/piece-thumb';
import { useListing } from '../ui/use-listing';
import { useNow } from '../ui/use-now';
import { useSay } from '../ui/say';

const statusWords: Record<PourStatus, Message> = {
  planned: msg('pours.statusPlanned'),
  started: msg('pours.atBenchNow'),
  finished: msg('ui.eventPoured'),
};

/** So many of a pour's pieces are drawn. */
const MOST_DRAWN = 3;
const statusChoices = (Object.keys(statusWords) as PourStatus[]).map((value) => ({ value, label: statusWords[value] }));
const orders = [
  { value: 'newest', label: msg('ui.newestFirst') },
  { value: 'oldest', label: msg('ui.oldestFirst') },
];

/** All pours, the newest first. */
export function PoursPage() {
  const say = useSay();
  const listing = useListing<PourRow>('pours', ['status', 'order']);
  return (
    <div className="mx-auto max-w-4xl p-4">
      <PageHead title={say('pours.pours')} to="/pours/new" add={say('shell.planPour')} />
      <Listed
        listing={listing}
        busy={say('pours.busyPours')}
        empty={
          <NothingYet
            title={say('pours.nothingPoured')}
            how={say('pours.nothingPouredHow')}
            to="/pours/new"
            add={say('shell.planPour')}
          />
        }
      >
        {({ rows }) => (
          <>
            <ListBar listing={listing}>
              <ListChoice listing={listing} field="status" label={say('pours.statusTitle')} options={statusChoices} />
              <ListOrder listing={listing} options={orders} />
            </ListBar>
            {rows.length === 0 ? (
              <NoneFits listing={listing}>{say('pours.noPourFits')}</NoneFits>
            ) : (
              <ul className="card-slab divide-base-300 divide-y py-1">
                {rows.map((pour) => (
                  <PourLine key={pour.id} pour={pour} />
                ))}
              </ul>
            )}
            <Pager listing={listing} />
          </>
        )}
      </Listed>
    </div>
  );
}

function PourLine({ pour: { id, number, status, pieces, mixes, pouredAt } }: { pour: PourRow }) {
  const say = useSay();
  const now = useNow();
  const moulds = useQuery(mouldsQuery).data;
  return (
    <li>
      <Link
        to={`/pours/${id}`}
        className="hover:bg-base-200 grid grid-cols-[3rem_1fr_auto] items-center gap-3 px-1 py-2 sm:grid-cols-[3rem_8rem_1fr_auto]"
      >
        <span className="numeral text-2xl">{number}</span>
        <span className="hidden items-end justify-center sm:flex" aria-hidden="true">
          {pieces.slice(0, MOST_DRAWN).map(({ mouldId, colour }, i) => {
            const mould = moulds?.find((one) => one.id === mouldId);
            return mould && <PieceThumb key={i} shape={mould.shape} colour={colour} size={44} />;
          })}
        </span>
        <span className="min-w-0">
          <span className="block truncate font-semibold">
            {pieces.map(({ count, name }) => say('pours.itemCount', { count, name })).join(', ')}
          </span>
          <span className="quiet block text-sm">{say.value(listed(mixes))}</span>
        </span>
        <span
          className={status === 'finished' ? 'quiet text-sm' : 'text-accent font-semibold'}
          title={pouredAt ? say(exactTime(pouredAt)) : undefined}
        >
          {status === 'finished' && pouredAt ? say(whenOf(pouredAt, now)) : say(statusWords[status])}
        </span>
      </Link>
    </li>
  );
}
