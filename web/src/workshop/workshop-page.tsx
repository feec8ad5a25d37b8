import { useMemo } from 'react';
import { classValidatorResolver } from '@hookform/resolvers/class-validator';
import { usualBallastSand } from '@dewpot/core/moulds';
import { WorkshopSettings } from '@dewpot/contract';
import { useQuery } from '@tanstack/react-query';
import { Controller, useForm } from 'react-hook-form';
import { Link } from 'react-router';
import { Button, buttonClass } from '../ui/button';
import { toast } from '../ui/toast';
import { useSaveSettings, useSession } from '../api/session';
import { storeQuery } from '../api/materials';
import { Choice } from '../ui/choice';
import { PageHead } from '../ui/page-head';
import { SelectField } from '../ui/select-field';
import { QuantityField } from '../ui/quantity-field';
import { Failure } from '../ui/states';
import { TextField } from '../ui/text-field';
import { CureSettings } from './curing-settings';
import { DryingSettings } from './drying-settings';
import { OwnAccount } from './own-account';
import { PeopleSlab } from './people';
import { Reminders } from './reminders';
import { currencyOptions } from './currency-options';
import { useSay } from '../ui/say';

/** Units, limits and people. */
export function WorkshopPage() {
  return (
    <div className="mx-auto max-w-5xl p-4">
      <PageHead title="Workshop" />
      <div className="grid items-start gap-4 lg:grid-cols-2">
        <div className="min-w-0 space-y-4">
          <Settings />
          <Reminders />
          <OwnAccount />
        </div>
        <div className="min-w-0 space-y-4">
          <CureSettings />
          <DryingSettings />
          <section className="card-slab" aria-label="Places">
            <h2 className="mb-1 text-2xl">Places</h2>
            <p className="quiet mb-2">Where casts stand, with the air of each: loggers, files, the forecast.</p>
            <Link to="/workshop/places" className={buttonClass({ look: 'strong' })}>
              Places and conditions
            </Link>
          </section>
          <PeopleSlab />
          <Cautions />
        </div>
      </div>
    </div>
  );
}

const sizes = [
  { name: 'bucket', label: 'Mixing bucket, to its brim', dimension: 'volume' },
  { name: 'scaleStep', label: 'Step of the scale for pieces', dimension: 'mass' },
  { name: 'liftLimit', label: 'Two-person lift above', dimension: 'mass' },
] as const;

/** Aggregates that can be poured into a core, with their loose density. */
function useSands() {
  const materials = useQuery(storeQuery).data?.materials ?? [];
  const { name, bulk } = usualBallastSand;
  return [
    { value: '', label: `${name}, ${bulk.toFixed(2)} kg/L (usual)` },
    ...materials
      .filter((material) => material.kind === 'aggregate')
      .map((material) => ({ value: material.id, label: `${material.name}, ${material.bulk.toFixed(2)} kg/L` })),
  ];
}

function Settings() {
  const { workshop } = useSession();
  const save = useSaveSettings();
  const sands = useSands();
  const say = useSay();
  const currencies = useMemo(() => currencyOptions(say.reader), [say]);
  const { id: _, demo: __, ...settings } = workshop;
  const { control, register, handleSubmit, formState } = useForm<WorkshopSettings>({
    resolver: classValidatorResolver(WorkshopSettings),
    values: settings,
  });
  const keep = handleSubmit((given) => save.mutate(given, { onSuccess: () => toast.success('Kept.') }));
  return (
    <form className="card-slab space-y-4" onSubmit={(event) => void keep(event)} noValidate>
      <h2 className="text-2xl">How you work</h2>
      <TextField
        label="Name of the workshop"
        maxLength={80}
        error={formState.errors.name && 'Give it a name of 1 to 80 letters.'}
        {...register('name')}
      />
      <Controller
        control={control}
        name="units"
        render={({ field }) => (
          <Choice
            legend="Units"
            value={field.value}
            options={[
              { value: 'metric', label: 'Metric', hint: 'mm, mL, g, °C' },
              { value: 'us', label: 'US customary', hint: 'in, fl oz, lb, °F' },
            ]}
            onChange={field.onChange}
          />
        )}
      />
      <Controller
        control={control}
        name="currency"
        render={({ field }) => (
          <SelectField label="Currency" value={field.value} options={currencies} onChange={field.onChange} />
        )}
      />
      {sizes.map(({ name, label, dimension }) => (
        <Controller
          key={name}
          control={control}
          name={name}
          render={({ field, fieldState }) => (
            <QuantityField
              label={label}
              name={name}
              dimension={dimension}
              system={workshop.units}
              value={field.value}
              error={fieldState.error && `${fieldState.error.message ?? 'This cannot be'}.`}
              onChange={field.onChange}
            />
          )}
        />
      ))}
      <Controller
        control={control}
        name="ballastSandId"
        render={({ field }) => (
          <SelectField
            label="Sand that weighs cores down"
            value={field.value ?? ''}
            options={sands}
            onChange={(id) => field.onChange(id === '' ? undefined : id)}
          />
        )}
      />
      <Failure error={save.error} />
      <Button type="submit" look="main" size="tall" className="w-full text-lg" disabled={save.isPending}>
        Save
      </Button>
    </form>
  );
}

function Cautions() {
  return (
    <section className="card-slab" aria-label="Cautions">
      <h2 className="mb-2 text-2xl">Everywhere, always</h2>
      <ul className="list-disc space-y-1 pl-5">
        <li>
          Cement and sand dust harm the lungs: a fitted respirator, outdoors or under extraction, no dry sweeping.
        </li>
        <li>Wet mix burns the skin: gloves, goggles, long sleeves; rinse at once.</li>
        <li>Gypsum and fast-setting mixes heat up: never cast a hand or any part of a body.</li>
        <li>Rinse water settles and hardens in a tub; never down a drain.</li>
        <li>Steps, walls, seats and lamps: local codes and qualified people have the last word.</li>
      </ul>
    </section>
  );
}
