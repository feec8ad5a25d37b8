import { WebhookInput, type WebhookDeliveryView, type WebhookView } from '@dewpot/contract';
import { classValidatorResolver } from '@hookform/resolvers/class-validator';
import { useQuery } from '@tanstack/react-query';
import { useForm } from 'react-hook-form';
import { useMakeWebhook, useRemoveWebhook, useTryWebhook, webhooksQuery } from '../api/webhooks';
import { Button, buttonClass } from '../ui/button';
import { whenOf } from '../ui/format-time';
import { useNow } from '../ui/use-now';
import { useSay } from '../ui/say';
import { Failure } from '../ui/states';
import { TextField } from '../ui/text-field';
import { ShownOnce } from './shown-once';

/** Addresses that are told of what comes due, and what was sent to each. */
export function Webhooks() {
  const say = useSay();
  const hooks = useQuery(webhooksQuery);
  return (
    <section className="card-slab space-y-3" aria-label={say('workshop.webhooks')}>
      <h2 className="text-2xl">{say('workshop.webhooks')}</h2>
      <p className="quiet">{say('workshop.webhooksHow')}</p>
      <Failure error={hooks.error} />
      <ul className="divide-base-300 divide-y">
        {(hooks.data ?? []).map((hook) => (
          <WebhookRow key={hook.id} hook={hook} />
        ))}
      </ul>
      <WebhookForm />
    </section>
  );
}

function WebhookRow({ hook: { id, label, address, deliveries } }: { hook: WebhookView }) {
  const say = useSay();
  const trial = useTryWebhook();
  const remove = useRemoveWebhook();
  return (
    <li className="space-y-2 py-2">
      <div className="flex flex-wrap items-center justify-between gap-2">
        <div className="min-w-0 flex-1">
          <p className="truncate font-semibold">{label}</p>
          <p className="quiet truncate text-sm" title={address}>
            {address}
          </p>
        </div>
        <Button size="low" aria-label={say('workshop.webhookTryOf', { label })} disabled={trial.isPending} onClick={() => trial.mutate(id)}>
          {say('workshop.webhookTry')}
        </Button>
        <Button size="low" look="plain" aria-label={say('workshop.webhookRemoveOf', { label })} disabled={remove.isPending} onClick={() => remove.mutate(id)}>
          {say('workshop.webhookRemove')}
        </Button>
      </div>
      <Failure error={trial.error ?? remove.error} />
      <Log deliveries={deliveries} />
    </li>
  );
} // prettier-ignore

/** What was sent, the newest first: the last of it, and the rest on demand. */
function Log({ deliveries: [last, ...earlier] }: { deliveries: readonly WebhookDeliveryView[] }) {
  const say = useSay();
  if (!last) return <p className="quiet text-sm">{say('workshop.webhookNothing')}</p>;
  return (
    <div className="text-sm">
      <Delivery delivery={last} />
      {earlier.length > 0 && (
        <details>
          <summary className="link flex min-h-11 items-center">{say('workshop.webhookLog')}</summary>
          {earlier.map((one) => (
            <Delivery key={one.id} delivery={one} />
          ))}
        </details>
      )}
    </div>
  );
}

function Delivery({ delivery: { type, casts, at, tries, deliveredAt, error } }: { delivery: WebhookDeliveryView }) {
  const say = useSay();
  const now = useNow();
  const state = deliveredAt !== undefined ? 'taken' : error === undefined ? 'waiting' : 'failed';
  return (
    <p className={state === 'failed' ? 'border-warning border-l-4 pl-2' : ''}>
      {say('workshop.webhookSent', { type, casts, at: whenOf(at, now) })}:{' '}
      {say('workshop.webhookState', { state, error: error ?? '', tries })}
    </p>
  );
}

function WebhookForm() {
  const say = useSay();
  const make = useMakeWebhook();
  const { register, handleSubmit, reset, formState } = useForm<WebhookInput>({
    resolver: classValidatorResolver(WebhookInput),
  });
  const { errors } = formState;
  const send = handleSubmit((given) => make.mutate(given, { onSuccess: () => reset() }));
  return (
    <details>
      <summary className={buttonClass()}>{say('workshop.webhookAdd')}</summary>
      <form className="mt-3 space-y-3" onSubmit={(event) => void send(event)} noValidate>
        <TextField label={say('workshop.webhookLabel')} maxLength={60} error={errors.label && say('workshop.webhookSayLabel')} {...register('label')} />
        <TextField label={say('workshop.webhookAddress')} inputMode="url" maxLength={500} error={errors.address && say('workshop.webhookNoAddress')} {...register('address')} />
        <Failure error={make.error} />
        <Button type="submit" look="strong" className="w-full" disabled={make.isPending}>
          {say('workshop.webhookMake')}
        </Button>
        {make.data && <ShownOnce label={say('workshop.webhookSecret')} value={make.data.secret} />}
      </form>
    </details>
  );
} // prettier-ignore
