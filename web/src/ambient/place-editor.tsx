import { useState } from 'react';
import {
  ambientSources,
  placeKinds,
  type AmbientSource,
  type MonthAmbient,
  type PlaceKind,
} from '@dewpot/core/ambient';
import { type PlaceInput, type PlaceView } from '@dewpot/contract';
import { v7 as uuid } from 'uuid';
import { useRemovePlace, useSavePlace } from '../api/places';
import { useSession } from '../api/session';
import { Choice } from '../ui/choice';
import { EditDialog } from '../ui/edit-dialog';
import { NumberField } from '../ui/number-field';
import { QuantityField } from '../ui/quantity-field';
import { TextField } from '../ui/text-field';
import { useUnits } from '../ui/units';
import { SeasonFields, usualSeason } from './season-fields';
import { placeKindWords, sourceWords } from './words';

const usualTyped = { temperature: 16, humidity: 0.7, wind: 0 };

/** A place: what it is and where its air comes from. */
export function PlaceEditor({
  place,
  removable,
  onClose,
}: {
  place: PlaceView | undefined;
  removable: boolean;
  onClose: () => void;
}) {
  const save = useSavePlace();
  const remove = useRemovePlace();
  const [id] = useState(() => place?.id ?? uuid());
  const [name, setName] = useState(place?.name ?? '');
  const [kind, setKind] = useState<PlaceKind>(place?.kind ?? 'shed');
  const [source, setSource] = useState<AmbientSource>(place?.source ?? 'typed');
  const [simulated, setSimulated] = useState(place?.simulated ?? false);
  const [typed, setTyped] = useState(place?.typed ?? usualTyped);
  const [season, setSeason] = useState<readonly MonthAmbient[]>(place?.season ?? usualSeason);
  const { demo } = useSession().workshop;
  // The simulated weather belongs to the demo.
  const offered = ambientSources.filter((one) => demo || one !== 'forecast');
  const input: PlaceInput = {
    name: name.trim(),
    kind,
    source,
    ...(source === 'typed' && { typed }),
    ...(source === 'season' && { season }),
    ...(source === 'logger' && simulated && { simulated: true }),
    version: place?.version ?? 0,
  };
  return (
    <EditDialog
      title={place ? place.name : 'A new place'}
      busy={save.isPending || remove.isPending}
      disabled={name.trim() === ''}
      error={save.error ?? remove.error}
      onSave={() => save.mutate({ id, ...input }, { onSuccess: onClose })}
      onRemove={
        place && removable
          ? () =>
              window.confirm(`Take ${place.name} away, with all its readings?`) &&
              remove.mutate(place.id, { onSuccess: onClose })
          : undefined
      }
      onClose={onClose}
    >
      <TextField
        label="What you call it"
        name="name"
        autoComplete="off"
        maxLength={60}
        value={name}
        onChange={({ target }) => setName(target.value)}
        placeholder="the bench, the sill, the yard"
      />
      <Choice
        legend="What it is"
        options={placeKinds.map((value) => ({ value, label: placeKindWords[value] }))}
        value={kind}
        onChange={setKind}
      />
      <Choice
        legend="Where its air comes from"
        twoColumns
        options={offered.map((value) => ({ value, label: sourceWords[value].name, hint: sourceWords[value].does }))}
        value={source}
        onChange={setSource}
      />
      {source === 'logger' && <LoggerChoice simulated={simulated} onChange={setSimulated} />}
      {source === 'typed' && <TypedFields typed={typed} onChange={setTyped} />}
      {source === 'season' && <SeasonFields season={season} onChange={setSeason} />}
    </EditDialog>
  );
}

type Typed = NonNullable<PlaceInput['typed']>;

function TypedFields({ typed, onChange }: { typed: Typed; onChange: (typed: Typed) => void }) {
  const { system } = useUnits();
  return (
    <div className="grid gap-3 sm:grid-cols-3">
      <QuantityField
        label="Temperature"
        name="temperature"
        dimension="temperature"
        system={system}
        value={typed.temperature}
        onChange={(temperature) => temperature !== undefined && onChange({ ...typed, temperature })}
      />
      <label className="text-sm font-semibold">
        Humidity, %
        <NumberField
          label="Humidity in %"
          className="mt-1 w-full"
          value={typed.humidity * 100}
          onChange={(percent) => onChange({ ...typed, humidity: percent / 100 })}
        />
      </label>
      <label className="text-sm font-semibold">
        Wind, km/h
        <NumberField
          label="Wind in km/h"
          className="mt-1 w-full"
          value={typed.wind}
          onChange={(wind) => onChange({ ...typed, wind })}
        />
      </label>
    </div>
  );
}

/** Which logger tells of the air: one of the caster's own, or in the demo the simulated one. */
function LoggerChoice({ simulated, onChange }: { simulated: boolean; onChange: (simulated: boolean) => void }) {
  const { demo } = useSession().workshop;
  if (!demo) return <p className="quiet text-sm">It posts to this place: see the formats.</p>;
  return (
    <Choice
      legend="Which logger"
      options={[
        { value: 'own', label: 'One of your own', hint: 'it posts to this place: see the formats' },
        { value: 'simulated', label: 'The simulated one', hint: 'ships with the application' },
      ]}
      value={simulated ? 'simulated' : 'own'}
      onChange={(chosen) => onChange(chosen === 'simulated')}
    />
  );
}
