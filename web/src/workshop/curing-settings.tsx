import { useState } from 'react';
import {
  moistCuringSchools,
  usualMoistCuring,
  usualWaking,
  type MoistCuring,
  type MoistCuringSchool,
} from '@dewpot/core/curing';
import { Button } from '../ui/button';
import { toast } from '../ui/toast';
import { useSaveSettings, useSession } from '../api/session';
import { Choice } from '../ui/choice';
import { SelectField } from '../ui/select-field';
import { Failure } from '../ui/states';

const schools = (Object.keys(moistCuringSchools) as MoistCuringSchool[]).map((school) => ({
  value: school as string,
  label: `The ${school} school, ${moistCuringSchools[school].days} days`,
  hint: moistCuringSchools[school].reason,
}));
const ways = [
  {
    value: 'share',
    label: 'A share of its 28-day strength',
    hint: '70 % is about a week at 20 °C, longer in the cold',
  },
  { value: 'days', label: 'Days', hint: 'by the calendar' },
  ...schools,
];
const shares = [0.5, 0.6, 0.7, 0.8, 0.9].map((value) => ({ value, label: `${value * 100} %` }));
const days = [2, 3, 5, 7, 10, 14, 21, 28, 40].map((value) => ({ value, label: `${value} days` }));

/** A rule of the kind that was chosen, as it usually is. */
function ruleOf(kind: string): MoistCuring {
  if (kind === 'share') return usualMoistCuring;
  return kind === 'days' ? { by: 'days', days: 7 } : { by: 'school', school: kind as MoistCuringSchool };
}

const hours = (from: number, to: number) =>
  Array.from({ length: to - from + 1 }, (_, i) => ({
    value: from + i,
    label: `${String(from + i).padStart(2, '0')}:00`,
  }));

const here = Intl.DateTimeFormat().resolvedOptions().timeZone;
const zones = [...new Set([here, ...Intl.supportedValuesOf('timeZone')])].sort();

/** What the end of the moist curing goes by, and when the casters are up to wet things. */
export function CureSettings() {
  const { workshop } = useSession();
  const save = useSaveSettings();
  const { id: _, demo: __, ...settings } = workshop;
  const cure: MoistCuring = settings.moistCuring ?? usualMoistCuring;
  const [waking, setWaking] = useState(settings.waking ?? usualWaking);
  const keep = (more: Partial<typeof settings>) =>
    save.mutate({ ...settings, ...more }, { onSuccess: () => toast.success('Kept.') });
  const keepRule = (rule: MoistCuring) => keep({ moistCuring: rule });
  return (
    <section className="card-slab space-y-4" aria-label="Moist curing">
      <h2 className="text-2xl">Moist curing</h2>
      <Choice
        legend="Cured until"
        options={ways}
        value={cure.by === 'school' ? cure.school : cure.by}
        onChange={(kind) => keepRule(ruleOf(kind))}
      />
      {cure.by === 'share' && (
        <SelectField
          label="Which share"
          options={shares}
          value={cure.share}
          onChange={(share) => keepRule({ by: 'share', share })}
        />
      )}
      {cure.by === 'days' && (
        <SelectField
          label="How many days"
          options={days}
          value={cure.days}
          onChange={(many) => keepRule({ by: 'days', days: many })}
        />
      )}
      <p className="quiet text-sm">Lightweight pieces are kept damp a week at the least, gypsum not at all.</p>
      <div className="flex flex-wrap items-end gap-3">
        <SelectField
          label="Wetting hours, from"
          options={hours(0, 23)}
          value={waking.from}
          onChange={(from) => setWaking({ ...waking, from })}
        />
        <SelectField
          label="until"
          options={hours(1, 24)}
          value={waking.to}
          onChange={(to) => setWaking({ ...waking, to })}
        />
        <Button look="strong" disabled={save.isPending || waking.to <= waking.from} onClick={() => keep({ waking })}>
          Wet in these hours
        </Button>
      </div>
      <SelectField
        label="Time zone"
        options={zones.map((value) => ({ value, label: value.replace(/_/g, ' ') }))}
        value={settings.zone ?? here}
        onChange={(zone) => keep({ zone })}
      />
      <Failure error={save.error} />
    </section>
  );
}
