import { consistencies, type Grade } from '@dewpot/core/mixes';
import type { PourLog, Sheet } from '@dewpot/core/pours';
import { Choice } from '../ui/choice';
import { QuantityField } from '../ui/quantity-field';
import { SpreadTest } from './spread-test';

/** What really went into the batches of one mix; as planned, unless it is changed. */
export function WentInFields({
  sheet,
  log,
  onChange,
}: {
  sheet: Sheet;
  log: PourLog;
  onChange: (log: PourLog) => void;
}) {
  const set = (part: Partial<PourLog>) => onChange({ ...log, ...part });
  return (
    <div className="space-y-4">
      <div className="grid gap-3 sm:grid-cols-2">
        {[...sheet.batch.lines, ...sheet.batch.doses].map(({ materialId, name }) => (
          <QuantityField
            key={materialId}
            label={name}
            name={`used.${materialId}`}
            dimension="mass"
            value={log.used[materialId]}
            onChange={(mass) => set({ used: { ...log.used, [materialId]: mass ?? 0 } })}
          />
        ))}
        <QuantityField
          label="Water from the tap"
          name="tap"
          dimension="volume"
          value={log.tap}
          onChange={(tap) => set({ tap: tap ?? 0 })}
        />
        <QuantityField
          label="It was this warm"
          name="temperature"
          dimension="temperature"
          value={log.temperature}
          onChange={(temperature) => temperature !== undefined && set({ temperature })}
        />
        <QuantityField
          label="Left over (empty if you did not look)"
          name="leftover"
          dimension="volume"
          value={log.leftover}
          onChange={(leftover) => {
            const { leftover: _, ...rest } = log;
            onChange(leftover === undefined ? rest : { ...rest, leftover });
          }}
        />
        <QuantityField
          label="Missing to fill them (if it fell short)"
          name="short"
          dimension="volume"
          value={log.short}
          onChange={(short) => {
            const { short: _, ...rest } = log;
            onChange(short === undefined ? rest : { ...rest, short, leftover: 0 });
          }}
        />
      </div>
      <Choice<Grade>
        legend="It came out like"
        value={log.grade}
        options={consistencies.map(({ grade, name }) => ({ value: grade, label: name }))}
        onChange={(grade) => set({ grade })}
      />
      <SpreadTest onGrade={(grade) => set({ grade })} />
    </div>
  );
}
