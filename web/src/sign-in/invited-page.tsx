import { classValidatorResolver } from '@hookform/resolvers/class-validator';
import { useQuery } from '@tanstack/react-query';
import { InvitationTaken, PassphraseRenewed } from '@dewpot/contract';
import { useForm } from 'react-hook-form';
import { Link, useLocation, useNavigate } from 'react-router';
import { useJoinWorkshop } from '../api/own-workshops';
import { offerQuery, useRenewPassphrase, useTakeInvitation } from '../api/people';
import { sessionQuery } from '../api/session';
import { Button } from '../ui/button';
import { LanguageChoice } from '../ui/language-choice';
import { useSay } from '../ui/say';
import { Busy, Failure } from '../ui/states';
import { TextField } from '../ui/text-field';

/** Where the link of an invitation leads: what it offers, and a way in. The token stands behind the #. */
export function InvitedPage() {
  const say = useSay();
  const token = useLocation().hash.slice(1);
  const { data: offer, error, isPending } = useQuery(offerQuery(token));
  return (
    <main className="shelf-room grid min-h-screen place-items-center p-4">
      <div className="card-slab w-full max-w-md space-y-4 p-6">
        {isPending && <Busy what={say('shell.theInvitation')} />}
        <Failure error={error} />
        {offer && (
          <>
            <h1 className="text-4xl">{offer.workshop}</h1>
            <p>
              {offer.person === undefined
                ? say('shell.invitedAs', { invitedBy: offer.invitedBy, role: offer.role })
                : say('shell.renewFor', { person: offer.person })}
            </p>
          </>
        )}
        {offer?.state === 'open' && (offer.person === undefined ? <TakeUp token={token} /> : <Renew token={token} />)}
        {offer && offer.state !== 'open' && (
          <p role="alert" className="border-warning border-l-4 pl-3">
            {say('server.invitationShut', { state: offer.state })}
          </p>
        )}
        <LanguageChoice />
        <p>
          <Link className="link text-sm" to="/">
            {say('shell.haveWorkshop')}
          </Link>
        </p>
      </div>
    </main>
  );
}

/** Comes in where it was let; where it was refused, what was typed stays. */
function useEntering() {
  const navigate = useNavigate();
  return (entered: Promise<void>) => entered.then(() => navigate('/'), () => undefined);
} // prettier-ignore

/** Whoever is signed in comes in with their own account; anybody with a name and a passphrase. */
function TakeUp({ token }: { token: string }) {
  const say = useSay();
  const { data: session } = useQuery({ ...sessionQuery, retry: false });
  const join = useJoinWorkshop();
  const enter = useEntering();
  if (!session) return <Take token={token} />;
  return (
    <>
      <Button look="main" size="tall" className="w-full" disabled={join.isPending} onClick={() => void enter(join.mutateAsync(token))}>
        {say('shell.comeInAs', { name: session.person.name })}
      </Button>
      <Failure error={join.error} />
      <details>
        <summary className="link text-sm">{say('shell.comeInOther')}</summary>
        <div className="mt-3">
          <Take token={token} />
        </div>
      </details>
    </>
  );
} // prettier-ignore

function Take({ token }: { token: string }) {
  const say = useSay();
  const take = useTakeInvitation();
  const enter = useEntering();
  const { register, handleSubmit, formState } = useForm<InvitationTaken>({
    resolver: classValidatorResolver(InvitationTaken),
    defaultValues: { token, language: say.reader.language },
  });
  const { errors } = formState;
  const send = handleSubmit((given) => enter(take.mutateAsync(given)));
  return (
    <form className="space-y-3" onSubmit={(event) => void send(event)} noValidate>
      <p className="quiet text-sm">{say('shell.accountServes')}</p>
      <TextField label={say('shell.yourName')} autoComplete="name" maxLength={80} error={errors.name && say('workshop.giveName')} {...register('name')} />
      <TextField label={say('shell.email')} type="email" autoComplete="username" error={errors.email && say('workshop.emailLike')} {...register('email')} />
      <TextField label={say('shell.passphraseNew')} type="password" autoComplete="new-password" error={errors.passphrase && say('workshop.tenOrMore')} {...register('passphrase')} />
      <Failure error={take.error} />
      <Button type="submit" look="main" size="tall" className="w-full" disabled={take.isPending}>
        {say('shell.comeIn')}
      </Button>
    </form>
  );
} // prettier-ignore

function Renew({ token }: { token: string }) {
  const say = useSay();
  const renew = useRenewPassphrase();
  const enter = useEntering();
  const { register, handleSubmit, formState } = useForm<PassphraseRenewed>({
    resolver: classValidatorResolver(PassphraseRenewed),
    defaultValues: { token },
  });
  return (
    <form className="space-y-3" onSubmit={(event) => void handleSubmit((given) => enter(renew.mutateAsync(given)))(event)} noValidate>
      <TextField label={say('shell.passphraseNew')} type="password" autoComplete="new-password" error={formState.errors.passphrase && say('workshop.tenOrMore')} {...register('passphrase')} />
      <Failure error={renew.error} />
      <Button type="submit" look="main" size="tall" className="w-full" disabled={renew.isPending}>
        {say('shell.comeIn')}
      </Button>
    </form>
  );
} // prettier-ignore
