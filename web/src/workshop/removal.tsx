import { classValidatorResolver } from '@hookform/resolvers/class-validator';
import { WorkshopName } from '@dewpot/contract';
import { useForm, useWatch } from 'react-hook-form';
import { useWaiting } from '../api/waiting';
import { useRemoveWorkshop } from '../api/own-workshops';
import { useSession } from '../api/session';
import { Button, buttonClass } from '../ui/button';
import { useSay } from '../ui/say';
import { Failure } from '../ui/states';
import { TextField } from '../ui/text-field';

/** Deleting the workshop: its name is typed, so that nobody does so by mistake. */
export function Removal() {
  const say = useSay();
  const { workshop } = useSession();
  const unsent = useWaiting();
  return (
    <section className="card-slab space-y-3" aria-label={say('workshop.remove')}>
      <h2 className="text-2xl">{say('workshop.remove')}</h2>
      <p className="quiet">{say('workshop.removeHow')}</p>
      {workshop.demo ? <p>{say('workshop.demoStays')}</p> : unsent > 0 ? <p role="status">{say('shell.sendFirst', { unsent })}</p> : <RemovalForm />}
    </section>
  );
} // prettier-ignore

function RemovalForm() {
  const say = useSay();
  const { name } = useSession().workshop;
  const remove = useRemoveWorkshop();
  const { control, register, handleSubmit } = useForm<WorkshopName>({
    resolver: classValidatorResolver(WorkshopName),
    defaultValues: { workshop: '' },
  });
  const typed = useWatch({ control, name: 'workshop' });
  return (
    <details>
      <summary className={buttonClass()}>{say('workshop.removeThis')}</summary>
      <form
        className="mt-3 space-y-3"
        onSubmit={(event) => void handleSubmit(({ workshop }) => remove.mutate(workshop))(event)}
        noValidate
      >
        <TextField label={say('workshop.typeNameOf', { name })} maxLength={80} autoComplete="off" {...register('workshop')} />
        <Failure error={remove.error} />
        <Button type="submit" look="danger" disabled={typed.trim() !== name.trim() || remove.isPending}>
          {say('workshop.removeWorkshopNow')}
        </Button>
      </form>
    </details>
  );
} // prettier-ignore
