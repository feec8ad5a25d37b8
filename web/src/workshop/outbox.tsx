import { useQuery } from '@tanstack/react-query';
import type { MailView } from '@dewpot/contract';
import { pageQuery } from '../api/pages';
import { exactTime } from '../ui/format-time';
import { useSay } from '../ui/say';
import { Failure } from '../ui/states';

const NEWEST = { size: '20' };

/** What the workshop mailed of late: how far each is, and what it says where it was not sent. */
export function Outbox() {
  const say = useSay();
  const { data, error } = useQuery(pageQuery<MailView>('mails', NEWEST));
  return (
    <section className="card-slab" aria-label={say('workshop.outbox')}>
      <h2 className="mb-1 text-2xl">{say('workshop.outbox')}</h2>
      <p className="quiet mb-2">{say('workshop.outboxHow')}</p>
      <Failure error={error} />
      {data?.rows.length === 0 && <p>{say('workshop.outboxEmpty')}</p>}
      <ul className="divide-base-300 divide-y">
        {(data?.rows ?? []).map((mail) => (
          <MailRow key={mail.id} {...mail} />
        ))}
      </ul>
    </section>
  );
}

function MailRow({ to, subject, state, madeAt, text, error }: MailView) {
  const say = useSay();
  const head = (
    <>
      <span className="font-semibold">{subject}</span>
      <span className="quiet block text-sm break-words">
        {to}, {say(exactTime(madeAt))}. {say('workshop.mailState', { state })}
      </span>
      {error !== undefined && <span className="text-error block text-sm break-words">{error}</span>}
    </>
  );
  return (
    <li className="py-2">
      {text === undefined ? (
        head
      ) : (
        <details>
          <summary className="cursor-pointer">{head}</summary>
          <p className="mt-2 text-sm break-words whitespace-pre-line">{text}</p>
        </details>
      )}
    </li>
  );
}
