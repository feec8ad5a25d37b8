import { msg, type Message, type Phrase, exactly } from '@dewpot/core/units';
import { defined } from '@dewpot/core/math';
import type { ScoopStep } from '@dewpot/core/materials';
import { Choice } from '../ui/choice';
import { tellChoice, wayNames } from '../ui/measuring-words';
import { SelectField } from '../ui/select-field';
import type { PourInput } from '@dewpot/contract';
import type { CalculatedPlan, PlanSources } from './plan';
import type { MeasuringProps } from './pour-choices';
import { useSay } from '../ui/say';

/** Marks a scoop in the list that is heaped. */
const HEAPED = '+heaped';

const steps: readonly { readonly value: ScoopStep; readonly label: Message }[] = [
  { value: 0.25, label: msg('mixes.quarters') },
  { value: 0.5, label: msg('mixes.halves') },
  { value: 1, label: msg('mixes.wholeOnes') },
];

/** How a pour is measured, in a line. */
export function measuringInWords(
  input: PourInput,
  sources: PlanSources,
  calculated: CalculatedPlan | undefined,
): Phrase[] {
  const way = calculated?.sheets?.[0]?.sheet.way.way;
  const scoop = sources.palette.store.scoops.find(({ id }) => id === input.scoopId);
  return [
    ...(way ? [wayNames[way]] : []),
    ...(scoop ? [scoop.name, defined(steps.find(({ value }) => value === input.step)).label] : []),
  ];
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
          legend={say('mixes.measure')}
          value={chosen.way}
          options={ways.map((one) => ({
            value: one.measured.way,
            label: wayNames[one.measured.way],
            hint: tellChoice(one),
          }))}
          onChange={(measuring) => onChange({ measuring })}
        />
      )}
      {chosen && input.measuring === undefined && (
        <p className="quiet text-sm">{say('mixes.proposed', { reason: say(chosen.reason) })}</p>
      )}
      {scoops.length === 0 ? (
        <p className="quiet text-sm">{say('pours.noScoops')}</p>
      ) : (
        <div className="grid grid-cols-[2fr_1fr] gap-3">
          <SelectField
            label={say('mixes.scoopAtHand')}
            value={`${input.scoopId ?? defined(scoops[0]).id}${input.heaped ? HEAPED : ''}`}
            options={scoops.flatMap(({ id, name, volume, heaped }) => [
              { value: id, label: `${name}, ${volume} mL` },
              ...(heaped === undefined
                ? []
                : [{ value: `${id}${HEAPED}`, label: say('pours.heapedOf', { name, heaped: exactly(heaped, 'mL') }) }]),
            ])}
            onChange={(value) => onChange({ scoopId: value.replace(HEAPED, ''), heaped: value.endsWith(HEAPED) })}
          />
          <SelectField<ScoopStep>
            label={say('mixes.roundScoops')}
            value={input.step}
            options={steps}
            onChange={(step) => onChange({ step })}
          />
        </div>
      )}
    </div>
  );
}
