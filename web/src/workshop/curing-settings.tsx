import { useState } from 'react';
import { msg, type Message } from '@dewpot/core/units';
import {
  moistCuringSchools,
  usualMoistCuring,
  usualWaking,
  type MoistCuring,
  type MoistCuringSchool,
} from '@dewpot/core/curing';
import { Button } from '../ui/button';
import { toast } from '../ui/toast';
import { useSaveSettings, useSettings } from '../api/session';
import { Choice } from '../ui/choice';
import { SelectField } from '../ui/select-field';
import { Failure } from '../ui/states';
import { useSay } from '../ui/say';

const schoolWords: Record<MoistCuringSchool, Message> = {
  hurried: msg('workshop.schoolHurried', { days: moistCuringSchools.hurried.days }),
  patient: msg('workshop.schoolPatient', { days: moistCuringSchools.patient.days }),
};
const schools = (Object.keys(moistCuringSchools) as MoistCuringSchool[]).map((school) => ({
  value: school as string,
  label: schoolWords[school],
  hint: moistCuringSchools[school].reason,
}));
const ways = [
  {
    value: 'share',
    label: msg('workshop.shareOfStrength'),
    hint: msg('workshop.shareHint'),
  },
  { value: 'days', label: msg('workshop.daysSchool'), hint: msg('workshop.byCalendar') },
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
  const say = useSay();
  const settings = useSettings();
  const save = useSaveSettings();
  const cure: MoistCuring = settings.moistCuring ?? usualMoistCuring;
  const [waking, setWaking] = useState(settings.waking ?? usualWaking);
  const keep = (more: Partial<typeof settings>) =>
    save.mutate({ ...settings, ...more }, { onSuccess: () => toast.success(say('workshop.kept')) });
  const keepRule = (rule: MoistCuring) => keep({ moistCuring: rule });
  return (
    <section className="card-slab space-y-4" aria-label={say('curing.moistCuring')}>
      <h2 className="text-2xl">{say('curing.moistCuring')}</h2>
      <Choice
        legend={say('workshop.curedUntil')}
        options={ways}
        value={cure.by === 'school' ? cure.school : cure.by}
        onChange={(kind) => keepRule(ruleOf(kind))}
      />
      {cure.by === 'share' && (
        <SelectField
          label={say('workshop.whichShare')}
          options={shares}
          value={cure.share}
          onChange={(share) => keepRule({ by: 'share', share })}
        />
      )}
      {cure.by === 'days' && (
        <SelectField
          label={say('workshop.howManyDays')}
          options={days}
          value={cure.days}
          onChange={(many) => keepRule({ by: 'days', days: many })}
        />
      )}
      <p className="quiet text-sm">{say('workshop.lightKeptDamp')}</p>
      <div className="flex flex-wrap items-end gap-3">
        <SelectField
          label={say('workshop.wettingFrom')}
          options={hours(0, 23)}
          value={waking.from}
          onChange={(from) => setWaking({ ...waking, from })}
        />
        <SelectField
          label={say('workshop.wettingUntil')}
          options={hours(1, 24)}
          value={waking.to}
          onChange={(to) => setWaking({ ...waking, to })}
        />
        <Button look="strong" disabled={save.isPending || waking.to <= waking.from} onClick={() => keep({ waking })}>
          {say('workshop.wetHours')}
        </Button>
      </div>
      <SelectField
        label={say('workshop.timeZone')}
        options={zones.map((value) => ({ value, label: value.replace(/_/g, ' ') }))}
        value={settings.zone ?? here}
        onChange={(zone) => keep({ zone })}
      />
      <Failure error={save.error} />
    </section>
  );
}
