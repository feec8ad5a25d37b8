import { useMemo, useState } from 'react';
import type { Message } from '@dewpot/core/units';
import type { MouldShape, PlacedSolid } from '@dewpot/core/moulds';
import { PartEditor } from './part-editor';
import { partPresetsIn } from './part-presets';
import { useSay } from '../ui/say';

/** What stands in the mould: cores and inserts, with more to put in. */
export function Parts({
  shape,
  errors,
  canAdd,
  onChange,
}: {
  shape: MouldShape;
  errors: ReadonlyMap<string, Message>;
  /** Sizes of new parts are taken from the shape: it must be one. */
  canAdd: boolean;
  onChange: (shape: MouldShape) => void;
}) {
  const say = useSay();
  const presets = useMemo(() => partPresetsIn(say), [say]);
  const [opened, setOpened] = useState<string>();
  const sets = ['cores', 'inserts'] as const;
  const replace = (set: 'cores' | 'inserts', i: number, placed: PlacedSolid | undefined) =>
    onChange({ ...shape, [set]: shape[set].flatMap((one, k) => (k === i ? (placed ? [placed] : []) : [one])) });
  const add = (key: string) => {
    const preset = presets.find((one) => one.key === key);
    if (!preset) return;
    setOpened(`${preset.set}.${shape[preset.set].length}`);
    onChange({ ...shape, [preset.set]: [...shape[preset.set], preset.make(shape)] });
  };
  return (
    <section className="card-slab" aria-label={say('moulds.coresInserts')}>
      <h2 className="mb-2 text-xl">{say('moulds.coresInserts')}</h2>
      <div className="space-y-2">
        {sets.flatMap((set) =>
          shape[set].map((placed, i) => (
            <PartEditor
              key={`${set}.${i}`}
              placed={placed}
              path={`${set}.${i}`}
              errors={errors}
              open={opened === `${set}.${i}`}
              onChange={(next) => replace(set, i, next)}
              onRemove={() => replace(set, i, undefined)}
            />
          )),
        )}
        {shape.cores.length + shape.inserts.length === 0 && <p className="quiet">{say('moulds.comesOutSolid')}</p>}
        <label className="block">
          <span className="sr-only">{say('moulds.putIn')}</span>
          <select
            className="select select-bordered w-full"
            value=""
            disabled={!canAdd}
            onChange={(event) => add(event.target.value)}
          >
            <option value="">{say('moulds.putInMore')}</option>
            {presets.map(({ key, label }) => (
              <option key={key} value={key}>
                {label}
              </option>
            ))}
          </select>
        </label>
      </div>
    </section>
  );
}
