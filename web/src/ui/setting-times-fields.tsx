import { type Message, msg } from '@dewpot/core/units';
import type { SettingTimes } from '@dewpot/core/binders';
import { TextField } from './text-field';
import { useSay } from './say';

const fields = [
  ['potLife', msg('ui.potLifeAt20')],
  ['initialSet', msg('ui.initialSetAt20')],
] as const;

/** Pot life and initial set, each left empty where nobody has entered it. `usual` is what holds then. */
export function SettingTimesFields({
  times = {},
  usual,
  errors = {},
  onChange,
}: {
  readonly times: SettingTimes | undefined;
  readonly usual?: Required<SettingTimes>;
  readonly errors?: Readonly<Record<string, Message>>;
  readonly onChange: (times: SettingTimes | undefined) => void;
}) {
  const say = useSay();
  const put = (of: keyof SettingTimes, value: number) => {
    const { [of]: _, ...rest } = times;
    const next = Number.isFinite(value) ? { ...rest, [of]: value } : rest;
    onChange(Object.keys(next).length > 0 ? next : undefined);
  };
  return (
    <div className="grid gap-3 sm:grid-cols-2">
      {fields.map(([of, label]) => (
        <TextField
          key={of}
          label={say(label)}
          type="number"
          step="any"
          min="0"
          defaultValue={times[of]}
          placeholder={usual && String(Number(usual[of].toPrecision(2)))}
          error={errors[`times.${of}`]}
          onChange={(event) => put(of, event.target.valueAsNumber)}
        />
      ))}
    </div>
  );
}

/** A mix or a material with the times that were entered for it, or with none. */
export function withTimes<T extends { readonly times?: SettingTimes }>(draft: T, times: SettingTimes | undefined): T {
  const { times: _, ...rest } = draft;
  return (times ? { ...rest, times } : rest) as T;
}
