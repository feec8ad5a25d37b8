import { classValidatorResolver } from '@hookform/resolvers/class-validator';
import { useQuery } from '@tanstack/react-query';
import { NewPersonInput, type PersonView } from '@dewpot/contract';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { peopleQuery, useLetIn, useRemovePerson, useSession } from '../api/session';
import { Button, buttonClass } from '../ui/button';
import { Failure } from '../ui/states';
import { TextField } from '../ui/text-field';
import { toast } from '../ui/toast';
import { useSay } from '../ui/say';

/** Who works here; the owner lets others in and removes them. */
export function PeopleSlab() {
  const say = useSay();
  const people = useQuery(peopleQuery);
  return (
    <section className="card-slab" aria-label={say('workshop.people')}>
      <h2 className="mb-2 text-2xl">{say('workshop.people')}</h2>
      <Failure error={people.error} />
      <ul className="divide-base-300 mb-3 divide-y">
        {(people.data ?? []).map((one) => (
          <PersonRow key={one.id} {...one} />
        ))}
      </ul>
      <LetIn />
    </section>
  );
}

function PersonRow({ id, name, email, owner }: PersonView) {
  const say = useSay();
  const me = useSession().person;
  const remove = useRemovePerson();
  const [sure, setSure] = useState(false);
  const act = () => {
    if (sure) remove.mutate(id, { onSuccess: () => toast.success(say('workshop.removed', { name })) });
    else setSure(true);
  };
  return (
    <li className="flex items-center justify-between gap-2 py-2">
      <div className="min-w-0 flex-1">
        <p className="truncate font-semibold">
          {name} {owner && <span className="quiet font-normal">{say('workshop.owner')}</span>}
        </p>
        <p className="quiet truncate text-sm">{email}</p>
      </div>
      {me.owner && id !== me.id && (
        <Button
          look={sure ? 'danger' : 'soft'}
          size="low"
          aria-label={sure ? say('workshop.removeNow', { name }) : say('workshop.removePerson', { name })}
          disabled={remove.isPending}
          onClick={act}
          onBlur={() => setSure(false)}
        >
          {sure ? say('workshop.removeNowShort') : say('workshop.remove')}
        </Button>
      )}
      <Failure error={remove.error} />
    </li>
  );
}

function LetIn() {
  const say = useSay();
  const letIn = useLetIn();
  const { register, handleSubmit, formState, reset } = useForm<NewPersonInput>({
    resolver: classValidatorResolver(NewPersonInput),
  });
  const send = handleSubmit((given) =>
    letIn.mutate(given, {
      onSuccess: ({ name }) => {
        reset();
        toast.success(say('workshop.canSignIn', { name }));
      },
    }),
  );
  const { errors } = formState;
  return (
    <details>
      <summary className={buttonClass()}>{say('workshop.letIn')}</summary>
      <form className="mt-3 space-y-3" onSubmit={(event) => void send(event)} noValidate>
        <TextField
          label={say('workshop.theirName')}
          maxLength={80}
          error={errors.name && say('workshop.giveName')}
          {...register('name')}
        />
        <TextField
          label={say('workshop.theirEmail')}
          type="email"
          error={errors.email && say('workshop.emailLike')}
          {...register('email')}
        />
        <TextField
          label={say('workshop.passphraseTell')}
          error={errors.passphrase && say('workshop.tenOrMore')}
          {...register('passphrase')}
        />
        <Failure error={letIn.error} />
        <Button type="submit" look="strong" className="w-full" disabled={letIn.isPending}>
          {say('workshop.letThemIn')}
        </Button>
      </form>
    </details>
  );
}
