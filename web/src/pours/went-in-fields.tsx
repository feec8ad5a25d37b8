import { consistencies, type Grade } from '@dewpot/core/mixes';
import type { PourLog, Sheet } from '@dewpot/core/pours';
import { Choice } from '../ui/choice';
import { QuantityField } from '../ui/quantity-field';
import { SpreadTest } from './spread-test';
import { useSay } from '../ui/say';

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
  const say = useSay();
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
          label={say('pours.waterFromTap')}
          name="tap"
          dimension="volume"
          value={log.tap}
          onChange={(tap) => set({ tap: tap ?? 0 })}
        />
        <QuantityField
          label={say('pours.wasThisWarm')}
          name="temperature"
          dimension="temperature"
          value={log.temperature}
          onChange={(temperature) => temperature !== undefined && set({ temperature })}
        />
        <QuantityField
          label={say('pours.leftOverEmpty')}
          name="leftover"
          dimension="volume"
          value={log.leftover}
          onChange={(leftover) => {
            const { leftover: _, ...rest } = log;
            onChange(leftover === undefined ? rest : { ...rest, leftover });
          }}
        />
        <QuantityField
          label={say('pours.missingFill')}
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
        legend={say('pours.cameOutLike')}
        value={log.grade}
        options={consistencies.map(({ grade, name }) => ({ value: grade, label: name }))}
        onChange={(grade) => set({ grade })}
      />
      <SpreadTest onGrade={(grade) => set({ grade })} />
    </div>
  );
}
