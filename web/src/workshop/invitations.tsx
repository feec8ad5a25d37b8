import { classValidatorResolver } from '@hookform/resolvers/class-validator';
import { useQuery } from '@tanstack/react-query';
import { InvitationInput, type InvitationView } from '@dewpot/contract';
import { Controller, useForm } from 'react-hook-form';
import { invitationsQuery, peopleQuery, useInvite, useTakeBack } from '../api/people';
import { Button, buttonClass } from '../ui/button';
import { SelectField } from '../ui/select-field';
import { Failure } from '../ui/states';
import { TextField } from '../ui/text-field';
import { useSay } from '../ui/say';
import { InvitationLink } from './invitation-link';
import { roleOptions } from './role-options';

/** An invitation serves for so many days. */
const DAYS = 7;

/** How others come in: by a link, or by its code on somebody's phone. */
export function Invitations() {
  const say = useSay();
  const open = useQuery(invitationsQuery);
  const invite = useInvite();
  const { control, register, handleSubmit, resetField, formState } = useForm<InvitationInput>({
    resolver: classValidatorResolver(InvitationInput),
    defaultValues: { role: 'caster', days: DAYS },
  });
  const send = handleSubmit((given) => invite.mutate(given, { onSuccess: () => resetField('email') }));
  return (
    <details>
      <summary className={buttonClass()}>{say('workshop.invite')}</summary>
      <div className="mt-3 space-y-3">
        <form className="flex flex-wrap items-end gap-2" onSubmit={(event) => void send(event)} noValidate>
          <Controller
            control={control}
            name="role"
            render={({ field: { value, onChange } }) => (
              <SelectField className="w-40" label={say('workshop.inviteAs')} options={roleOptions} value={value} onChange={onChange} />
            )}
          />
          <TextField label={say('workshop.mailTo')} type="email" autoComplete="off" error={formState.errors.email && say('workshop.emailLike')} {...register('email', { setValueAs: (typed: string) => typed?.trim() || undefined })} />
          <Button type="submit" look="strong" disabled={invite.isPending}>
            {say('workshop.makeInvitation')}
          </Button>
        </form>
        <Failure error={open.error ?? invite.error} />
        {invite.data && (
          <InvitationLink
            token={invite.data.token}
            label={say('workshop.invitationLink', { days: DAYS })}
            mailed={{ to: invite.variables.email, state: invite.data.mail }}
          />
        )}
        <ul className="divide-base-300 divide-y">
          {(open.data ?? []).map((one) => (
            <OpenInvitation key={one.id} {...one} />
          ))}
        </ul>
      </div>
    </details>
  );
} // prettier-ignore

function OpenInvitation({ id, personId, role, invitedBy, expiresAt }: InvitationView) {
  const say = useSay();
  const takeBack = useTakeBack();
  const name = useQuery(peopleQuery).data?.find((one) => one.id === personId)?.name;
  const until = { at: expiresAt, as: 'day' } as const;
  return (
    <li className="flex items-center justify-between gap-2 py-2">
      <p className="text-sm">{name === undefined
          ? say('workshop.openInvitation', { role, invitedBy, until })
          : say('workshop.openRenewal', { name, invitedBy, until })}</p>
      <Button size="low" disabled={takeBack.isPending} onClick={() => takeBack.mutate(id)}>
        {say('workshop.takeBack')}
      </Button>
      <Failure error={takeBack.error} />
    </li>
  );
} // prettier-ignore
