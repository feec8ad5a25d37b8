import { defined } from '@dewpot/core/math';
import { consistencies, type Grade } from '@dewpot/core/mixes';
import { heldSpots } from '@dewpot/core/pours';
import { pieceUses } from '@dewpot/core/sealing';
import type { PourInput } from '@dewpot/contract';
import { useQuery } from '@tanstack/react-query';
import { placesQuery } from '../api/places';
import { BasisNote } from '../ui/basis-note';
import { Fold } from '../ui/fold';
import { Picks } from '../ui/picks';
import { pieceUseWords } from '../ui/piece-use-words';
import { QuantityField } from '../ui/quantity-field';
import { SelectField } from '../ui/select-field';
import { sayWhen } from '../ui/format-time';
import { useNow } from '../ui/use-now';
import { useUnits } from '../ui/units';
import { DampMaterials } from './damp-materials';
import { measuringInWords, MeasuringWayChoice } from './measuring-choice';
import { measuredBefore, type PlanSources, type CalculatedPlan } from './plan';
import type { Change } from '../ui/change';
import { useSay } from '../ui/say';

/** Names by which casters call what they put on. */
export const releaseWords = [
  'paste wax',
  'plant oil',
  'mineral oil',
  'petroleum jelly',
  'soap',
  'silicone spray',
  'film',
  'none',
];
const covers = ['film', 'bag', 'damp cloth', 'shade', 'none'];

export interface ChoicesProps {
  readonly input: PourInput;
  readonly sources: PlanSources;
  readonly onChange: (part: Change<PourInput>) => void;
}

/** Choices that go by what is calculated of them. */
export interface MeasuringProps extends ChoicesProps {
  readonly calculated: CalculatedPlan | undefined;
}

/** Mix and consistency; what is rarely changed is folded. */
export function PourChoices({ input, sources, calculated, onChange }: MeasuringProps) {
  const say = useSay();
  const { mixes } = sources;
  const { materials } = sources.palette.store;
  const damp = materials.filter(({ id }) => (input.moisture[id] ?? 0) > 0).map(({ name }) => name.toLowerCase());
  return (
    <div className="space-y-4">
      <SelectField
        label="Mix"
        value={input.mixId}
        options={mixes.map(({ id, name }) => ({ value: id, label: name }))}
        onChange={(mixId) =>
          onChange({
            mixId,
            grade: defined(mixes.find(({ id }) => id === mixId)).grade,
            moisture: {},
            measuring: measuredBefore(mixId, sources),
          })
        }
      />
      <SelectField<Grade>
        label="Consistency"
        value={input.grade}
        options={consistencies.map(({ grade, name, looks }) => ({
          value: grade,
          label: `${say(name)}: ${say(looks)}`,
        }))}
        onChange={(grade) => onChange({ grade })}
      />
      <div>
        <Fold title="Measuring" state={measuringInWords(input, sources, calculated)}>
          <MeasuringWayChoice {...{ input, sources, calculated, onChange }} />
        </Fold>
        <Fold title="Damp materials" state={damp.length > 0 ? `damp: ${damp.join(', ')}` : 'all dry'}>
          <DampMaterials {...{ input, sources, onChange }} />
        </Fold>
        <Conditions {...{ input, sources, onChange }} />
      </div>
    </div>
  );
}

/** How much is added, where the casts set and what they are for. */
function Conditions({ input, sources, onChange }: ChoicesProps) {
  const units = useUnits();
  const state = [
    `${Math.round(input.spare * 100)} % waste`,
    units.say(input.temperature, '°C'),
    ...[input.release, input.cover, input.place].filter((word) => word),
  ].join(', ');
  return (
    <Fold title="Waste, conditions and use" state={state}>
      <div className="grid grid-cols-2 gap-3">
        <SelectField
          label="Waste allowance"
          value={input.spare}
          options={[0, 0.03, 0.05, 0.1].map((value) => ({ value, label: `${value * 100} %` }))}
          onChange={(spare) => onChange({ spare })}
        />
        <QuantityField
          label="Bench temperature"
          name="temperature"
          dimension="temperature"
          value={input.temperature}
          onChange={(temperature) => temperature !== undefined && onChange({ temperature })}
        />
        <WordField
          label="Release"
          words={releaseWords}
          value={input.release}
          onChange={(release) => onChange({ release })}
        />
        <WordField label="Cover" words={covers} value={input.cover} onChange={(cover) => onChange({ cover })} />
      </div>
      {sources.ambientBasis !== 'measured' && (
        <p className="text-sm">
          The temperature is <BasisNote basis={sources.ambientBasis} link />.
        </p>
      )}
      <PlaceField place={input.place} onChange={(place) => onChange({ place })} />
      <HeldSpots sources={sources} place={input.place} />
      <Picks
        legend="What is it for?"
        options={pieceUses.map((value) => ({ value, label: pieceUseWords[value] }))}
        value={input.uses ?? []}
        onChange={(uses) => onChange({ uses: [...uses] })}
      />
    </Fold>
  );
}

/** Spots that heavy full moulds keep: at the place that is named, or everywhere. */
function HeldSpots({ sources: { full, workshop }, place }: { sources: PlanSources; place: string | undefined }) {
  const units = useUnits();
  const now = useNow();
  const spots = heldSpots(full, workshop.liftLimit, place);
  if (spots.length === 0) return null;
  return (
    <ul className="text-sm" aria-label="Kept spots">
      {spots.map(({ name, place: where, mass, until }) => (
        <li key={name} className="border-warning border-l-4 pl-3">
          <strong>{where}</strong>: {name} ({units.say(mass, 'g')}) keeps its spot, demoulding {sayWhen(until, now)}
        </li>
      ))}
    </ul>
  );
}

/** One of the words that casters use, or none. */
function WordField({
  label,
  words,
  value,
  onChange,
}: {
  label: string;
  words: readonly string[];
  value: string | undefined;
  onChange: (word: string) => void;
}) {
  const options = [{ value: '', label: 'not said' }, ...words.map((one) => ({ value: one, label: one }))];
  return <SelectField label={label} value={value ?? ''} options={options} onChange={onChange} />;
}

function PlaceField({ place, onChange }: { place: string | undefined; onChange: (place: string) => void }) {
  const places = useQuery(placesQuery).data ?? [];
  return (
    <label className="block text-sm font-semibold">
      Where it will stand
      <input
        className="input input-bordered mt-1 w-full"
        maxLength={60}
        value={place ?? ''}
        placeholder="the bench, the sill, the yard"
        list="known-places"
        onChange={(event) => onChange(event.target.value)}
      />
      <datalist id="known-places">
        {places.map(({ id, name }) => (
          <option key={id} value={name} />
        ))}
      </datalist>
    </label>
  );
}
