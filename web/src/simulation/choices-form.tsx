import { msg, quantity, type Message } from '@dewpot/core/units';
import { sealerKinds, sealers, type SealerKind } from '@dewpot/core/materials';
import { coversInOrder, coverWords } from '@dewpot/core/curing';
import { simulationClimates, type SimulationChoices, type SimulationClimate } from '@dewpot/core/simulation';
import { SelectField } from '../ui/select-field';
import { useSay } from '../ui/say';

const DAY = 24;
const inDays = (hours: number): Message =>
  hours < 2 * DAY
    ? msg('units.plain', { value: quantity(hours, 'h', 0) })
    : msg('simulation.dayNumber', { day: Math.round(hours / DAY) });

type Slider = 'demould' | 'uncover' | 'coat' | 'wettings';
const sliders: Record<
  Slider,
  { label: Message; min: number; max: number; step: number; told: (value: number) => Message }
> = {
  demould: { label: msg('simulation.demouldedAfter'), min: 1, max: 120, step: 1, told: inDays },
  wettings: {
    label: msg('simulation.wetted'),
    min: 0,
    max: 8,
    step: 1,
    told: (count) => msg('simulation.wettings', { count }),
  },
  uncover: { label: msg('simulation.endMoistCuring'), min: 1, max: 28 * DAY, step: 6, told: inDays },
  coat: { label: msg('simulation.coatedOn'), min: DAY, max: 40 * DAY, step: DAY, told: inDays },
};

/** What a learner chooses for a piece. Outside of a lesson everything is open. */
export function ChoicesForm({
  name,
  choices,
  open,
  onChange,
}: {
  name: string;
  choices: SimulationChoices;
  open?: readonly (keyof SimulationChoices)[] | undefined;
  onChange: (choices: SimulationChoices) => void;
}) {
  const say = useSay();
  const isOpen = (key: keyof SimulationChoices) => !open || open.includes(key);
  const slide = (key: Slider) => {
    const { label, min, max, step, told } = sliders[key];
    return (
      isOpen(key) && (
        <label key={key} className="block text-sm">
          <span className="flex justify-between">
            <span className="font-semibold">{say(label)}</span>
            <span className="numeral">{say(told(choices[key]))}</span>
          </span>
          <input
            type="range"
            className="range range-sm mt-1 w-full"
            min={min}
            max={max}
            step={step}
            value={choices[key]}
            aria-valuetext={say(told(choices[key]))}
            onChange={({ target }) => onChange({ ...choices, [key]: Number(target.value) })}
          />
        </label>
      )
    );
  };
  return (
    <fieldset className="space-y-3">
      <legend className="sr-only">{name}</legend>
      {isOpen('climate') && (
        <SelectField
          label={say('simulation.standsIn')}
          value={choices.climate}
          options={(Object.keys(simulationClimates) as SimulationClimate[]).map((value) => ({
            value,
            label: simulationClimates[value].name,
          }))}
          onChange={(climate) => onChange({ ...choices, climate })}
        />
      )}
      {isOpen('cover') && (
        <SelectField
          label={say('simulation.under')}
          value={choices.cover}
          options={coversInOrder.map((value) => ({ value, label: coverWords[value] }))}
          onChange={(cover) => onChange({ ...choices, cover })}
        />
      )}
      {slide('demould')}
      {slide('wettings')}
      {slide('uncover')}
      {isOpen('sealer') && (
        <SelectField
          label={say('simulation.sealedWith')}
          value={choices.sealer ?? 'bare'}
          options={[
            { value: 'bare' as SealerKind | 'bare', label: say('simulation.withNothing') },
            ...sealerKinds.map((value) => ({ value, label: sealers[value].name })),
          ]}
          onChange={(sealer) => {
            const { sealer: _, ...rest } = choices;
            onChange(sealer === 'bare' ? rest : { ...rest, sealer });
          }}
        />
      )}
      {choices.sealer && slide('coat')}
    </fieldset>
  );
}
