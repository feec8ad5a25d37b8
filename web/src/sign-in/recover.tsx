import { classValidatorResolver } from '@hookform/resolvers/class-validator';
import { Recovery } from '@dewpot/contract';
import { useForm } from 'react-hook-form';
import { useRecover } from '../api/session';
import { Button } from '../ui/button';
import { useSay } from '../ui/say';
import { Failure } from '../ui/states';
import { TextField } from '../ui/text-field';

/** A new passphrase in place of one that is lost, by a code that was written down. */
export function Recover() {
  const say = useSay();
  const recover = useRecover();
  const { register, handleSubmit, formState } = useForm<Recovery>({ resolver: classValidatorResolver(Recovery) });
  const { errors } = formState;
  return (
    <form className="space-y-3" onSubmit={(event) => void handleSubmit((given) => recover.mutate(given))(event)} noValidate>
      <p>{say('shell.recoverHow')}</p>
      <TextField label={say('shell.email')} type="email" autoComplete="username" error={errors.email && say('workshop.emailLike')} {...register('email')} />
      <TextField label={say('shell.recoveryCode')} autoComplete="off" autoCapitalize="characters" spellCheck={false} maxLength={40} error={errors.code && say('shell.sixteenLetters')} {...register('code')} />
      <TextField label={say('shell.passphraseNew')} type="password" autoComplete="new-password" error={errors.passphrase && say('workshop.tenOrMore')} {...register('passphrase')} />
      <Failure error={recover.error} />
      <Button type="submit" look="strong" className="w-full" disabled={recover.isPending}>
        {say('shell.recoverAndEnter')}
      </Button>
    </form>
  );
} // prettier-ignore
