import { classValidatorResolver } from '@hookform/resolvers/class-validator';
import { useQuery } from '@tanstack/react-query';
import { PassphraseInput, type OwnSessionView } from '@dewpot/contract';
import { useForm } from 'react-hook-form';
import { ownSessionsQuery, useChangePassphrase, useEndSession, useReadIn } from '../api/account';
import { useSession } from '../api/session';
import { Button, buttonClass } from '../ui/button';
import { Failure } from '../ui/states';
import { TextField } from '../ui/text-field';
import { toast } from '../ui/toast';
import { browserName } from './browser-name';
import { Passkeys } from './passkeys';
import { RecoveryCodes } from './recovery-codes';
import { TokenForm } from './token-form';
import { LanguageChoice } from '../ui/language-choice';
import { useSay } from '../ui/say';

/** One's own passphrase, sessions and tokens for scripts. */
export function OwnAccount() {
  const say = useSay();
  const { person } = useSession();
  const sessions = useQuery(ownSessionsQuery);
  const readIn = useReadIn();
  return (
    <section className="card-slab" aria-label={say('workshop.yourAccount')}>
      <h2 className="mb-1 text-2xl">{say('workshop.yourAccount')}</h2>
      <p className="quiet mb-2">{say('workshop.youAre', { person: person.name })}</p>
      <Failure error={sessions.error} />
      <SessionList sessions={sessions.data ?? []} />
      <div className="mb-3">
        <LanguageChoice onChoose={(language) => readIn.mutate(language)} />
        <Failure error={readIn.error} />
      </div>
      <div className="space-y-2">
        <Passphrase />
        <Passkeys />
        <RecoveryCodes />
        <TokenForm />
      </div>
    </section>
  );
}

/** So many sessions are shown before the rest is asked for. */
const SHOWN = 5;

/** Where a session stands among others: this one first, then what scripts have, then browsers. */
const rank = ({ current, kind }: OwnSessionView) => (current ? 0 : kind === 'script' ? 1 : 2);

/** One's sessions, those of browsers with the newest first. */
function SessionList({ sessions }: { sessions: readonly OwnSessionView[] }) {
  const say = useSay();
  const sorted = sessions.toSorted((a, b) => rank(a) - rank(b) || b.usedAt - a.usedAt);
  const rows = (some: readonly OwnSessionView[]) => (
    <ul className="divide-base-300 divide-y">
      {some.map((session) => (
        <SessionRow key={session.id} {...session} />
      ))}
    </ul>
  );
  return (
    <div className="mb-3">
      {rows(sorted.slice(0, SHOWN))}
      {sorted.length > SHOWN && (
        <details>
          <summary className="link flex min-h-11 items-center">
            {say('workshop.moreSessions', { count: sorted.length - SHOWN })}
          </summary>
          {rows(sorted.slice(SHOWN))}
        </details>
      )}
    </div>
  );
}

function SessionRow({ id, kind, label, usedAt, current, role, endsAt }: OwnSessionView) {
  const say = useSay();
  const end = useEndSession();
  const name = kind === 'script' ? label : browserName(label, say);
  return (
    <li className="flex items-center justify-between gap-2 py-2">
      <div className="min-w-0 flex-1">
        <p className="truncate font-semibold">{kind === 'script' ? say('workshop.scriptNamed', { name }) : name}</p>
        <p className="quiet text-sm">
          {current ? say('workshop.thisBrowser') : say('workshop.lastUsed', { usedAt: { at: usedAt, as: 'day' } })}{' '}
          {(role ?? endsAt) !== undefined &&
            say('workshop.tokenLimits', {
              role: role ?? 'none',
              until: endsAt === undefined ? 'none' : 'day',
              end: { at: endsAt ?? usedAt, as: 'day' },
            })}
        </p>
      </div>
      {!current && (
        <Button
          size="low"
          aria-label={say('workshop.endSession', { name })}
          disabled={end.isPending}
          onClick={() => end.mutate(id, { onSuccess: () => toast.success(say('workshop.ended')) })}
        >
          {say('workshop.end')}
        </Button>
      )}
      <Failure error={end.error} />
    </li>
  );
}

function Passphrase() {
  const say = useSay();
  const change = useChangePassphrase();
  const { register, handleSubmit, reset, formState } = useForm<PassphraseInput>({
    resolver: classValidatorResolver(PassphraseInput),
  });
  const send = handleSubmit((given) =>
    change.mutate(given, {
      onSuccess: () => {
        reset();
        toast.success(say('workshop.passphraseChanged'));
      },
    }),
  );
  const { errors } = formState;
  return (
    <details>
      <summary className={buttonClass()}>{say('workshop.changePassphrase')}</summary>
      <form className="mt-3 space-y-3" onSubmit={(event) => void send(event)} noValidate>
        <TextField
          label={say('workshop.presentPassphrase')}
          type="password"
          autoComplete="current-password"
          error={errors.current && say('workshop.typePresent')}
          {...register('current')}
        />
        <TextField
          label={say('workshop.newPassphrase')}
          type="password"
          autoComplete="new-password"
          error={errors.fresh && say('workshop.tenOrMore')}
          {...register('fresh')}
        />
        <Failure error={change.error} />
        <Button type="submit" look="strong" className="w-full" disabled={change.isPending}>
          {say('workshop.changeAndEnd')}
        </Button>
      </form>
    </details>
  );
}
