import { classValidatorResolver } from '@hookform/resolvers/class-validator';
import { useQuery } from '@tanstack/react-query';
import { PassphraseInput, ScriptTokenInput, type OwnSessionView } from '@dewpot/contract';
import { useForm } from 'react-hook-form';
import { ownSessionsQuery, useChangePassphrase, useEndSession, useMakeToken } from '../api/account';
import { useSession } from '../api/session';
import { Button, buttonClass } from '../ui/button';
import { Failure } from '../ui/states';
import { TextField } from '../ui/text-field';
import { toast } from '../ui/toast';
import { browserName } from './browser-name';

const day = new Intl.DateTimeFormat(undefined, { day: 'numeric', month: 'short', year: 'numeric' });

/** One's own passphrase, sessions and tokens for scripts. */
export function OwnAccount() {
  const { person } = useSession();
  const sessions = useQuery(ownSessionsQuery);
  return (
    <section className="card-slab" aria-label="Your account">
      <h2 className="mb-1 text-2xl">Your account</h2>
      <p className="quiet mb-2">You are {person.name}. Where you are signed in:</p>
      <Failure error={sessions.error} />
      <ul className="divide-base-300 mb-3 divide-y">
        {(sessions.data ?? []).map((session) => (
          <SessionRow key={session.id} {...session} />
        ))}
      </ul>
      <div className="space-y-2">
        <Passphrase />
        <Token />
      </div>
    </section>
  );
}

function SessionRow({ id, kind, label, usedAt, current }: OwnSessionView) {
  const end = useEndSession();
  const name = kind === 'script' ? label : browserName(label);
  return (
    <li className="flex items-center justify-between gap-2 py-2">
      <div className="min-w-0 flex-1">
        <p className="truncate font-semibold">{kind === 'script' ? `Script: ${name}` : name}</p>
        <p className="quiet text-sm">{current ? 'This browser' : `Last used ${day.format(usedAt)}`}</p>
      </div>
      {!current && (
        <Button
          size="low"
          aria-label={`End the session of ${name}`}
          disabled={end.isPending}
          onClick={() => end.mutate(id, { onSuccess: () => toast.success('Ended.') })}
        >
          End
        </Button>
      )}
      <Failure error={end.error} />
    </li>
  );
}

function Passphrase() {
  const change = useChangePassphrase();
  const { register, handleSubmit, reset, formState } = useForm<PassphraseInput>({
    resolver: classValidatorResolver(PassphraseInput),
  });
  const send = handleSubmit((given) =>
    change.mutate(given, {
      onSuccess: () => {
        reset();
        toast.success('Changed. Your other sessions have ended.');
      },
    }),
  );
  const { errors } = formState;
  return (
    <details>
      <summary className={buttonClass()}>Change your passphrase</summary>
      <form className="mt-3 space-y-3" onSubmit={(event) => void send(event)} noValidate>
        <TextField
          label="Your present passphrase"
          type="password"
          autoComplete="current-password"
          error={errors.current && 'Type the one you have now.'}
          {...register('current')}
        />
        <TextField
          label="A new passphrase, ten characters or more"
          type="password"
          autoComplete="new-password"
          error={errors.fresh && 'Make it ten characters or more.'}
          {...register('fresh')}
        />
        <Failure error={change.error} />
        <Button type="submit" look="strong" className="w-full" disabled={change.isPending}>
          Change it and end my other sessions
        </Button>
      </form>
    </details>
  );
}

function Token() {
  const make = useMakeToken();
  const { register, handleSubmit, reset, formState } = useForm<ScriptTokenInput>({
    resolver: classValidatorResolver(ScriptTokenInput),
  });
  const send = handleSubmit((given) => make.mutate(given, { onSuccess: () => reset() }));
  return (
    <details>
      <summary className={buttonClass()}>Make a token for a script</summary>
      <form className="mt-3 space-y-3" onSubmit={(event) => void send(event)} noValidate>
        <p className="quiet text-sm">
          A logger’s bridge or a script of yours sends it as “Authorization: Bearer …”. It may do all that you may.
        </p>
        <TextField
          label="What it is for"
          maxLength={60}
          error={formState.errors.label && 'Say what it is for.'}
          {...register('label')}
        />
        <Failure error={make.error} />
        <Button type="submit" look="strong" className="w-full" disabled={make.isPending}>
          Make a token
        </Button>
        {make.data && (
          <TextField
            label="Copy it now: it is shown this once"
            readOnly
            value={make.data.token}
            onFocus={(event) => event.currentTarget.select()}
          />
        )}
      </form>
    </details>
  );
}
