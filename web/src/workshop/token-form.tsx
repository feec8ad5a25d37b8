import { classValidatorResolver } from '@hookform/resolvers/class-validator';
import { msg, type Message } from '@dewpot/core/units';
import { ScriptTokenInput, type Role } from '@dewpot/contract';
import { Controller, useForm } from 'react-hook-form';
import { useMakeToken } from '../api/account';
import { Button, buttonClass } from '../ui/button';
import { SelectField } from '../ui/select-field';
import { Failure } from '../ui/states';
import { TextField } from '../ui/text-field';
import { useSay } from '../ui/say';
import { roleOptions } from './role-options';
import { ShownOnce } from './shown-once';

const may: { value: Role | 'all'; label: Message }[] = [
  { value: 'all', label: msg('workshop.tokenAll') },
  ...roleOptions,
];
const ends = [
  { value: 0, label: msg('workshop.tokenUnused') },
  ...[7, 30, 365].map((days) => ({ value: days, label: msg('workshop.tokenAfter', { days }) })),
];

/** A token for a device or a script: what it may do at the most, and how long. It is told once. */
export function TokenForm() {
  const say = useSay();
  const make = useMakeToken();
  const { control, register, handleSubmit, resetField, formState } = useForm<ScriptTokenInput>({
    resolver: classValidatorResolver(ScriptTokenInput),
  });
  const send = handleSubmit((given) => make.mutate(given, { onSuccess: () => resetField('label') }));
  return (
    <details>
      <summary className={buttonClass()}>{say('workshop.makeTokenHead')}</summary>
      <form className="mt-3 space-y-3" onSubmit={(event) => void send(event)} noValidate>
        <p className="quiet text-sm">{say('workshop.tokenHint')}</p>
        <TextField
          label={say('workshop.whatFor')}
          maxLength={60}
          error={formState.errors.label && say('workshop.sayWhatFor')}
          {...register('label')}
        />
        <div className="grid gap-3 sm:grid-cols-2">
          <Controller
            control={control}
            name="role"
            render={({ field: { value = 'all', onChange } }) => (
              <SelectField
                label={say('workshop.tokenMay')}
                options={may}
                value={value}
                onChange={(role) => onChange(role === 'all' ? undefined : role)}
              />
            )}
          />
          <Controller
            control={control}
            name="days"
            render={({ field: { value = 0, onChange } }) => (
              <SelectField
                label={say('workshop.tokenEnds')}
                options={ends}
                value={value}
                onChange={(days) => onChange(days || undefined)}
              />
            )}
          />
        </div>
        <Failure error={make.error} />
        <Button type="submit" look="strong" className="w-full" disabled={make.isPending}>
          {say('workshop.makeToken')}
        </Button>
        {make.data && <ShownOnce label={say('workshop.copyNow')} value={make.data.token} />}
      </form>
    </details>
  );
}
