import { coverCalled, coverNames, releaseCalledBy, releaseNames } from '../ui/word-names';
import { listed, quantity, type Message } from '@dewpot/core/units';
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
import { whenOf } from '../ui/format-time';
import { useNow } from '../ui/use-now';
import { DampMaterials } from './damp-materials';
import { measuringInWords, MeasuringWayChoice } from './measuring-choice';
import { measuredBefore, type PlanSources, type CalculatedPlan } from './plan';
import { TrialChoice } from './trial-choice';
import type { Change } from '../ui/change';
import { useSay } from '../ui/say';

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
  const damp = materials.filter(({ id }) => (input.moisture[id] ?? 0) > 0).map(({ name }) => say.inline(name));
  return (
    <div className="space-y-4">
      <SelectField
        label={say('pours.mix')}
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
        label={say('mixes.consistency')}
        value={input.grade}
        options={consistencies.map(({ grade, name, looks }) => ({
          value: grade,
          label: `${say(name)}: ${say(looks)}`,
        }))}
        onChange={(grade) => onChange({ grade })}
      />
      <div>
        <Fold
          title={say('pours.measuring')}
          state={measuringInWords(input, sources, calculated)
            .map((one) => say.value(one))
            .join(', ')}
        >
          <MeasuringWayChoice {...{ input, sources, calculated, onChange }} />
        </Fold>
        <Fold
          title={say('pours.dampMaterials')}
          state={damp.length > 0 ? say('pours.dampThese', { damp: listed(damp) }) : say('pours.allDry')}
        >
          <DampMaterials {...{ input, sources, onChange }} />
        </Fold>
        <Conditions {...{ input, sources, onChange }} />
      </div>
      <TrialChoice {...{ input, onChange }} />
    </div>
  );
}

/** How much is added, where the casts set and what they are for. */
function Conditions({ input, sources, onChange }: ChoicesProps) {
  const say = useSay();
  const state = [
    say('pours.waste', { share: quantity(input.spare * 100, '%', 0) }),
    say.quantity(input.temperature, '°C'),
    ...(input.release ? [say.value(releaseCalledBy(input.release))] : []),
    ...(input.cover ? [say.value(coverCalled(input.cover))] : []),
    ...(input.place ? [input.place] : []),
  ].join(', ');
  return (
    <Fold title={say('pours.wasteConditions')} state={state}>
      <div className="grid grid-cols-2 gap-3">
        <SelectField
          label={say('pours.wasteAllowance')}
          value={input.spare}
          options={[0, 0.03, 0.05, 0.1].map((value) => ({ value, label: say.quantity(value * 100, '%', 0) }))}
          onChange={(spare) => onChange({ spare })}
        />
        <QuantityField
          label={say('pours.benchTemperature')}
          name="temperature"
          dimension="temperature"
          value={input.temperature}
          onChange={(temperature) => temperature !== undefined && onChange({ temperature })}
        />
        <WordField
          label={say('pours.release')}
          words={releaseNames}
          value={input.release}
          onChange={(release) => onChange({ release })}
        />
        <WordField
          label={say('pours.cover')}
          words={coverNames}
          value={input.cover}
          onChange={(cover) => onChange({ cover })}
        />
      </div>
      {sources.ambientBasis !== 'measured' && (
        <p className="text-sm">
          {say('pours.temperatureIs')} <BasisNote basis={sources.ambientBasis} link />.
        </p>
      )}
      <PlaceField place={input.place} onChange={(place) => onChange({ place })} />
      <HeldSpots sources={sources} place={input.place} />
      <Picks
        legend={say('pours.whatFor')}
        options={pieceUses.map((value) => ({ value, label: pieceUseWords[value] }))}
        value={input.uses ?? []}
        onChange={(uses) => onChange({ uses: [...uses] })}
      />
    </Fold>
  );
}

/** Spots that heavy full moulds keep: at the place that is named, or everywhere. */
function HeldSpots({ sources: { full, workshop }, place }: { sources: PlanSources; place: string | undefined }) {
  const say = useSay();
  const now = useNow();
  const spots = heldSpots(full, workshop.liftLimit, place);
  if (spots.length === 0) return null;
  return (
    <ul className="text-sm" aria-label={say('pours.keptSpots')}>
      {spots.map(({ name, place: where, mass, until }) => (
        <li key={name} className="border-warning border-l-4 pl-3">
          {say('pours.keepsSpot', { where, name, mass: quantity(mass, 'g'), until: whenOf(until, now) })}
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
  words: Readonly<Record<string, Message>>;
  value: string | undefined;
  onChange: (word: string) => void;
}) {
  const say = useSay();
  const options = [
    { value: '', label: say('pours.notSaid') },
    ...Object.entries(words).map(([word, name]) => ({ value: word, label: name })),
  ];
  return <SelectField label={label} value={value ?? ''} options={options} onChange={onChange} />;
}

function PlaceField({ place, onChange }: { place: string | undefined; onChange: (place: string) => void }) {
  const say = useSay();
  const places = useQuery(placesQuery).data ?? [];
  return (
    <label className="block text-sm font-semibold">
      {say('pours.whereStand')}
      <input
        className="input input-bordered mt-1 w-full"
        maxLength={60}
        value={place ?? ''}
        placeholder={say('pours.whereStandHint')}
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
