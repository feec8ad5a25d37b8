import { auditThings, type AuditEntryView, type AuditThing } from '@dewpot/contract';
import { msg } from '@dewpot/core/units';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { peopleQuery } from '../api/people';
import { exactTime, whenOf } from '../ui/format-time';
import { ListBar, ListChoice, Listed, NoneFits, NothingYet, Pager } from '../ui/list-bar';
import { PageHead } from '../ui/page-head';
import { useListing } from '../ui/use-listing';
import { useNow } from '../ui/use-now';
import { useSay } from '../ui/say';

/** What a thing is called. A message chooses by words without hyphens. */
const wordOf = (thing: AuditThing) => msg('workshop.auditThing', { thing: thing.replace('-', '') });
const things = auditThings.map((value) => ({ value, label: wordOf(value) }));

/** Things that have a page of their own. */
const withPage: readonly AuditThing[] = ['casts', 'mixes', 'moulds', 'patterns', 'pours', 'tints'];

/** Who did what in the workshop, the newest first; of one thing alone where the address names it. */
export function AuditPage() {
  const say = useSay();
  const listing = useListing<AuditEntryView>('audit', ['person', 'thing', 'record']);
  const people = useQuery(peopleQuery).data ?? [];
  return (
    <div className="mx-auto max-w-4xl p-4">
      <PageHead title={say('workshop.whoDidWhat')} />
      <Listed
        listing={listing}
        busy={say('workshop.whoDidWhat')}
        empty={
          <NothingYet
            title={say('workshop.nothingDone')}
            how={say('workshop.nothingDoneHow')}
            to="/"
            add={say('shell.shelf')}
          />
        }
      >
        {({ rows }) => (
          <>
            <ListBar listing={listing}>
              <ListChoice
                listing={listing}
                field="person"
                label={say('workshop.auditWho')}
                options={people.map(({ id, name }) => ({ value: id, label: name }))}
              />
              <ListChoice listing={listing} field="thing" label={say('workshop.auditWhat')} options={things} />
            </ListBar>
            {rows.length === 0 ? (
              <NoneFits listing={listing}>{say('workshop.noneDoneSo')}</NoneFits>
            ) : (
              <ul className="card-slab divide-base-300 divide-y py-1" aria-label={say('workshop.whoDidWhat')}>
                {rows.map((entry) => (
                  <EntryLine key={entry.id} entry={entry} />
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

function EntryLine({ entry: { at, person, thing, deed, recordId, record, event } }: { entry: AuditEntryView }) {
  const say = useSay();
  const now = useNow();
  const name = record ?? '';
  return (
    <li className="grid grid-cols-[1fr_auto] gap-x-3 py-2">
      <p className="min-w-0">
        <span className="font-semibold">{person}</span> {say('workshop.auditDeed', { deed })} {say(wordOf(thing))}{' '}
        {recordId && withPage.includes(thing) && deed !== 'removed' ? (
          <Link className="link" to={`/${thing}/${recordId}`}>
            {name || say('workshop.auditOpen')}
          </Link>
        ) : (
          <span>{name}</span>
        )}
        {event && <span className="quiet"> · {say('workshop.auditEvent', { event: event.replaceAll('-', '') })}</span>}
      </p>
      <time className="quiet text-sm" dateTime={new Date(at).toISOString()} title={say(exactTime(at))}>
        {say(whenOf(at, now))}
      </time>
    </li>
  );
}
