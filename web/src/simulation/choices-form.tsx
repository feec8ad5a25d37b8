import { sealerKinds, sealers, type SealerKind } from '@dewpot/core/materials';
import { coversInOrder, coverWords } from '@dewpot/core/curing';
import { simulationClimates, type SimulationChoices, type SimulationClimate } from '@dewpot/core/simulation';
import { SelectField } from '../ui/select-field';

const DAY = 24;
const inDays = (hours: number) => (hours < 2 * DAY ? `${hours} h` : `day ${Math.round(hours / DAY)}`);

type Slider = 'demould' | 'uncover' | 'coat' | 'wettings';
const sliders: Record<
  Slider,
  { label: string; min: number; max: number; step: number; say: (value: number) => string }
> = {
  demould: { label: 'Demoulded after', min: 1, max: 120, step: 1, say: inDays },
  wettings: { label: 'Wetted', min: 0, max: 8, step: 1, say: (value) => (value === 0 ? 'never' : `${value} a day`) },
  uncover: { label: 'End moist curing', min: 1, max: 28 * DAY, step: 6, say: inDays },
  coat: { label: 'Coated on', min: DAY, max: 40 * DAY, step: DAY, say: inDays },
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
  const isOpen = (key: keyof SimulationChoices) => !open || open.includes(key);
  const slide = (key: Slider) => {
    const { label, min, max, step, say } = sliders[key];
    return (
      isOpen(key) && (
        <label key={key} className="block text-sm">
          <span className="flex justify-between">
            <span className="font-semibold">{label}</span>
            <span className="numeral">{say(choices[key])}</span>
          </span>
          <input
            type="range"
            className="range range-sm mt-1 w-full"
            min={min}
            max={max}
            step={step}
            value={choices[key]}
            aria-valuetext={say(choices[key])}
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
          label="It stands in"
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
          label="Under"
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
          label="Sealed with"
          value={choices.sealer ?? 'bare'}
          options={[
            { value: 'bare' as SealerKind | 'bare', label: 'nothing' },
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
