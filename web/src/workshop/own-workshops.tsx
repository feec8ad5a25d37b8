import { classValidatorResolver } from '@hookform/resolvers/class-validator';
import { WorkshopName, type OwnWorkshopView } from '@dewpot/contract';
import { useForm } from 'react-hook-form';
import { useNavigate } from 'react-router';
import { useWaiting } from '../api/waiting';
import { useFoundWorkshop, useGoToWorkshop, useOwnWorkshops } from '../api/own-workshops';
import { Button, buttonClass } from '../ui/button';
import { exactTime } from '../ui/format-time';
import { useSay } from '../ui/say';
import { Failure } from '../ui/states';
import { TextField } from '../ui/text-field';

/** The workshops that one is in, and a way to each; and to one more. */
export function OwnWorkshops() {
  const say = useSay();
  const unsent = useWaiting();
  const own = useOwnWorkshops();
  return (
    <section className="card-slab" aria-label={say('shell.yourWorkshops')}>
      <h2 className="mb-1 text-2xl">{say('shell.yourWorkshops')}</h2>
      <p className="quiet mb-2">{say('workshop.ownWorkshopsHow')}</p>
      <Failure error={own.error} />
      <ul className="divide-base-300 mb-3 divide-y">
        {(own.data ?? []).map((one) => (
          <WorkshopRow key={one.id} {...one} />
        ))}
      </ul>
      {unsent > 0 ? <p role="status">{say('shell.sendFirst', { unsent })}</p> : <Found />}
    </section>
  );
}

function WorkshopRow({ id, name, role, current, goneAt }: OwnWorkshopView) {
  const say = useSay();
  const { go, held, error } = useGoToWorkshop();
  return (
    <li className="flex flex-wrap items-center justify-between gap-2 py-2">
      <div className="min-w-0 flex-1">
        <p className="truncate font-semibold" title={name}>
          {name}
        </p>
        <p className="quiet text-sm">{say(current ? 'workshop.workshopHere' : 'workshop.workshopAs', { role })}</p>
        {goneAt !== undefined && <p className="text-sm">{say('workshop.workshopGone', { date: exactTime(goneAt) })}</p>}
      </div>
      {!current && (
        <Button size="low" aria-label={say('shell.goToWorkshop', { name })} disabled={held} onClick={() => go(id)}>
          {say('workshop.go')}
        </Button>
      )}
      <Failure error={error} />
    </li>
  );
}

function Found() {
  const say = useSay();
  const navigate = useNavigate();
  const found = useFoundWorkshop();
  const { register, handleSubmit, formState } = useForm<WorkshopName>({ resolver: classValidatorResolver(WorkshopName) });
  const send = handleSubmit(({ workshop }) =>
    // The page may be gone by the time it is done: what waits for the mutation itself still comes.
    found.mutateAsync(workshop).then(() => navigate('/set-up'), () => undefined),
  ); // prettier-ignore
  return (
    <details>
      <summary className={buttonClass()}>{say('workshop.beginAnother')}</summary>
      <form className="mt-3 space-y-3" onSubmit={(event) => void send(event)} noValidate>
        <TextField label={say('shell.workshopName')} maxLength={80} error={formState.errors.workshop && say('workshop.giveName')} {...register('workshop')} />
        <Failure error={found.error} />
        <Button type="submit" look="strong" className="w-full" disabled={found.isPending}>
          {say('shell.begin')}
        </Button>
      </form>
    </details>
  );
} // prettier-ignore
