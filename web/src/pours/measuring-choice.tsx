import { defined } from '@dewpot/core/math';
import type { ScoopStep } from '@dewpot/core/materials';
import { Choice } from '../ui/choice';
import { sayChoice, wayNames } from '../ui/measuring-words';
import { SelectField } from '../ui/select-field';
import type { PourInput } from '@dewpot/contract';
import type { CalculatedPlan, PlanSources } from './plan';
import type { MeasuringProps } from './pour-choices';
import { useSay } from '../ui/say';

/** Marks a scoop in the list that is heaped. */
const HEAPED = '+heaped';

const steps: readonly { readonly value: ScoopStep; readonly label: string }[] = [
  { value: 0.25, label: 'quarters' },
  { value: 0.5, label: 'halves' },
  { value: 1, label: 'whole ones' },
];

/** How a pour is measured, in a line. */
export function measuringInWords(
  input: PourInput,
  sources: PlanSources,
  calculated: CalculatedPlan | undefined,
): string {
  const way = calculated?.sheets?.[0]?.sheet.way.way;
  const scoop = sources.palette.store.scoops.find(({ id }) => id === input.scoopId);
  return [
    ...(way ? [wayNames[way]] : []),
    ...(scoop ? [scoop.name, defined(steps.find(({ value }) => value === input.step)).label] : []),
  ].join(', ');
}

/** How the pour is measured: each way with what comes of it, the scoop at hand and the finest part of it. */
export function MeasuringWayChoice({ input, sources, calculated, onChange }: MeasuringProps) {
  const say = useSay();
  const { scoops } = sources.palette.store;
  const chosen = calculated?.sheets?.[0]?.sheet.way;
  const ways = calculated?.ways ?? [];
  return (
    <div className="space-y-2">
      {chosen && ways.length > 0 && (
        <Choice
          legend="Measure"
          value={chosen.way}
          options={ways.map((one) => ({
            value: one.measured.way,
            label: wayNames[one.measured.way],
            hint: sayChoice(one),
          }))}
          onChange={(measuring) => onChange({ measuring })}
        />
      )}
      {chosen && input.measuring === undefined && <p className="quiet text-sm">Proposed: {say(chosen.reason)}.</p>}
      {scoops.length === 0 ? (
        <p className="quiet text-sm">Without a scoop everything is weighed. Add your scoops under Materials.</p>
      ) : (
        <div className="grid grid-cols-[2fr_1fr] gap-3">
          <SelectField
            label="Scoop at hand"
            value={`${input.scoopId ?? defined(scoops[0]).id}${input.heaped ? HEAPED : ''}`}
            options={scoops.flatMap(({ id, name, volume, heaped }) => [
              { value: id, label: `${name}, ${volume} mL` },
              ...(heaped === undefined ? [] : [{ value: `${id}${HEAPED}`, label: `${name}, heaped ${heaped} mL` }]),
            ])}
            onChange={(value) => onChange({ scoopId: value.replace(HEAPED, ''), heaped: value.endsWith(HEAPED) })}
          />
          <SelectField<ScoopStep>
            label="Round scoops to"
            value={input.step}
            options={steps}
            onChange={(step) => onChange({ step })}
          />
        </div>
      )}
    </div>
  );
}
