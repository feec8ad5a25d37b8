import { msg, quantity } from '@dewpot/core/units';
import { classValidatorResolver } from '@hookform/resolvers/class-validator';
import { usualBallastSand } from '@dewpot/core/moulds';
import { weekStarts, WorkshopSettings } from '@dewpot/contract';
import { useQuery } from '@tanstack/react-query';
import { Controller, useForm } from 'react-hook-form';
import { Link } from 'react-router';
import { Button, buttonClass } from '../ui/button';
import { toast } from '../ui/toast';
import { useSaveSettings, useSession, useSettings } from '../api/session';
import { storeQuery } from '../api/materials';
import { PageHead } from '../ui/page-head';
import { SelectField } from '../ui/select-field';
import { QuantityField } from '../ui/quantity-field';
import { Failure } from '../ui/states';
import { TextField } from '../ui/text-field';
import { Cautions } from './cautions';
import { CureSettings } from './curing-settings';
import { DryingSettings } from './drying-settings';
import { Outbox } from './outbox';
import { OwnAccount } from './own-account';
import { OwnWorkshops } from './own-workshops';
import { PeopleSlab } from './people';
import { Reminders } from './reminders';
import { SettingsAsFile } from './settings-as-file';
import { SessionSettings } from './session-settings';
import { Webhooks } from './webhooks';
import { UsualWays } from './usual-ways';
import { UnitsChoice } from './units-choice';
import { CurrencyChoice } from './currency-choice';
import { ForRole } from '../ui/for-role';
import { useSay } from '../ui/say';

/** Units, limits and people. */
export function WorkshopPage() {
  const say = useSay();
  return (
    <div className="mx-auto max-w-5xl p-4">
      <PageHead title={say('shell.workshop')} />
      <div className="grid items-start gap-4 lg:grid-cols-2">
        <div className="min-w-0 space-y-4">
          <ForRole least="caster">
            <Settings />
          </ForRole>
          <Reminders />
          <OwnAccount />
          <OwnWorkshops />
          <ForRole least="caster">
            <SettingsAsFile />
          </ForRole>
        </div>
        <div className="min-w-0 space-y-4">
          <ForRole least="caster">
            <CureSettings />
            <DryingSettings />
            <SessionSettings />
            <UsualWays key={JSON.stringify(useSession().workshop.usual)} />
          </ForRole>
          <Elsewhere />
          <PeopleSlab />
          <ForRole least="owner">
            <Outbox />
            <Webhooks />
            <AllData />
          </ForRole>
          <Cautions />
        </div>
      </div>
    </div>
  );
}

/** Settings that are changed where they are used. */
const elsewhere = [
  { to: '/workshop/places', name: msg('ambient.placesHead'), what: msg('workshop.whereCastsStand') },
  { to: '/calendar', name: msg('calendar.yourWeek'), what: msg('workshop.whenYouWork') },
  { to: '/findings/money', name: msg('money.whatItCosts'), what: msg('workshop.whatYouCharge') },
];

function Elsewhere() {
  const say = useSay();
  return (
    <section className="card-slab" aria-label={say('workshop.elsewhere')}>
      <h2 className="mb-1 text-2xl">{say('workshop.elsewhere')}</h2>
      <ul className="divide-base-300 divide-y">
        {elsewhere.map(({ to, name, what }) => (
          <li key={to} className="flex flex-wrap items-center justify-between gap-x-4 gap-y-1 py-2">
            <span className="quiet min-w-0 flex-1 basis-56">{say(what)}</span>
            <Link to={to} className={buttonClass()}>
              {say(name)}
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}

function AllData() {
  const say = useSay();
  return (
    <section className="card-slab" aria-label={say('workshop.allData')}>
      <h2 className="mb-1 text-2xl">{say('workshop.allData')}</h2>
      <p className="quiet mb-2">{say('workshop.allDataHow')}</p>
      <Link to="/workshop/data" className={buttonClass({ look: 'strong' })}>
        {say('workshop.allDataOpen')}
      </Link>
    </section>
  );
}

const sizes = [
  { name: 'bucket', label: msg('workshop.mixingBucket'), dimension: 'volume' },
  { name: 'scaleStep', label: msg('workshop.scaleForPieces'), dimension: 'mass' },
  { name: 'liftLimit', label: msg('workshop.twoPersonLift'), dimension: 'mass' },
] as const;

const weekDays = weekStarts.map((value) => ({ value, label: msg('workshop.weekDay', { day: value }) }));

/** Aggregates that can be poured into a core, with their loose density. */
function useSands() {
  const materials = useQuery(storeQuery).data?.materials ?? [];
  const { name, bulk } = usualBallastSand;
  return [
    { value: '', label: msg('workshop.sandUsual', { name, density: quantity(bulk, 'kg/L') }) },
    ...materials
      .filter((material) => material.kind === 'aggregate')
      .map((material) => ({
        value: material.id,
        label: msg('workshop.sandOption', { name: material.name, density: quantity(material.bulk, 'kg/L') }),
      })),
  ];
}

function Settings() {
  const settings = useSettings();
  const save = useSaveSettings();
  const sands = useSands();
  const say = useSay();
  const { control, register, handleSubmit, formState } = useForm<WorkshopSettings>({
    resolver: classValidatorResolver(WorkshopSettings),
    values: settings,
  });
  const keep = handleSubmit((given) => save.mutate(given, { onSuccess: () => toast.success(say('workshop.kept')) }));
  return (
    <form className="card-slab space-y-4" onSubmit={(event) => void keep(event)} noValidate>
      <h2 className="text-2xl">{say('workshop.howYouWork')}</h2>
      <TextField
        label={say('shell.workshopName')}
        maxLength={80}
        error={formState.errors.name && say('workshop.nameLetters')}
        {...register('name')}
      />
      <Controller
        control={control}
        name="units"
        render={({ field }) => <UnitsChoice value={field.value} onChange={field.onChange} />}
      />
      <Controller
        control={control}
        name="weekStart"
        render={({ field }) => (
          <SelectField
            label={say('workshop.weekStart')}
            value={field.value ?? 'monday'}
            options={weekDays}
            onChange={field.onChange}
          />
        )}
      />
      <Controller
        control={control}
        name="currency"
        render={({ field }) => (
          <CurrencyChoice value={field.value} kept={settings.currency} onChange={field.onChange} />
        )}
      />
      {sizes.map(({ name, label, dimension }) => (
        <Controller
          key={name}
          control={control}
          name={name}
          render={({ field, fieldState }) => (
            <QuantityField
              label={say(label)}
              name={name}
              dimension={dimension}
              value={field.value}
              error={fieldState.error && `${fieldState.error.message ?? say('workshop.cannotBe')}.`}
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
            label={say('workshop.ballastSand')}
            value={field.value ?? ''}
            options={sands}
            onChange={(id) => field.onChange(id === '' ? undefined : id)}
          />
        )}
      />
      <Failure error={save.error} />
      <Button type="submit" look="main" size="tall" className="w-full text-lg" disabled={save.isPending}>
        {say('care.keep')}
      </Button>
    </form>
  );
}
