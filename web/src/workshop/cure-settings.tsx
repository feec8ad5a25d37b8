import { useState } from 'react';
import { dampCureInWords, dampSchools, usualDampCure, usualWaking, type DampCure, type DampSchool } from '@dewpot/core';
import { toast } from 'sonner';
import { useSaveSettings, useSession } from '../api/session';
import { Choice } from '../ui/choice';
import { SelectField } from '../ui/select-field';
import { Failure } from '../ui/states';

const ways: readonly {
  readonly value: string;
  readonly label: string;
  readonly hint: string;
  readonly cure: DampCure;
}[] = [
  {
    value: 'share',
    label: '70 % of its strength',
    hint: 'about a week at 20 °C, longer in the cold',
    cure: usualDampCure,
  },
  { value: 'days', label: '7 days', hint: 'by the calendar', cure: { by: 'days', days: 7 } },
  ...(Object.keys(dampSchools) as DampSchool[]).map((school) => ({
    value: school,
    label: `The ${school} school, ${dampSchools[school].days} days`,
    hint: dampSchools[school].reason,
    cure: { by: 'school', school } as const,
  })),
];

const hours = (from: number, to: number) =>
  Array.from({ length: to - from + 1 }, (_, i) => ({
    value: from + i,
    label: `${String(from + i).padStart(2, '0')}:00`,
  }));

const here = Intl.DateTimeFormat().resolvedOptions().timeZone;
const zones = [...new Set([here, ...Intl.supportedValuesOf('timeZone')])].sort();

/** What the end of the damp cure goes by, and when the casters are up to wet things. */
export function CureSettings() {
  const { workshop } = useSession();
  const save = useSaveSettings();
  const { id: _, demo: __, ...settings } = workshop;
  const cure = (settings.dampCure as DampCure | undefined) ?? usualDampCure;
  const [waking, setWaking] = useState(settings.waking ?? usualWaking);
  const keep = (more: Partial<typeof settings>) =>
    save.mutate({ ...settings, ...more }, { onSuccess: () => toast.success('Kept.') });
  const chosen = ways.find((way) => dampCureInWords(way.cure) === dampCureInWords(cure))?.value;
  return (
    <section className="card-slab space-y-4" aria-label="Damp cure">
      <h2 className="text-2xl">Kept damp</h2>
      <Choice
        legend="Until"
        options={ways}
        value={chosen}
        onChange={(value) =>
          keep({ dampCure: ways.find((way) => way.value === value)!.cure as typeof settings.dampCure & object })
        }
      />
      <p className="quiet text-sm">Lightweight pieces are kept damp a week at the least, gypsum not at all.</p>
      <div className="flex flex-wrap items-end gap-3">
        <SelectField
          label="You are up from"
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
        <button
          type="button"
          className="btn btn-neutral h-12"
          disabled={save.isPending || waking.to <= waking.from}
          onClick={() => keep({ waking })}
        >
          Wet in these hours
        </button>
      </div>
      <SelectField
        label="The clock on the wall goes by"
        options={zones.map((value) => ({ value, label: value.replace(/_/g, ' ') }))}
        value={settings.zone ?? here}
        onChange={(zone) => keep({ zone })}
      />
      <Failure error={save.error} />
    </section>
  );
}
