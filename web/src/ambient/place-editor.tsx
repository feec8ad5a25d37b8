import { useState } from 'react';
import {
  ambientSources,
  placeKinds,
  type AmbientSource,
  type MonthAmbient,
  type PlaceKind,
} from '@dewpot/core/ambient';
import type { Room } from '@dewpot/core/calendar';
import { type PlaceInput, type PlaceView } from '@dewpot/contract';
import { v7 as uuid } from 'uuid';
import { useRemovePlace, useSavePlace } from '../api/places';
import { useSession } from '../api/session';
import { Choice } from '../ui/choice';
import { EditDialog } from '../ui/edit-dialog';
import { NumberField } from '../ui/number-field';
import { QuantityField } from '../ui/quantity-field';
import { TextField } from '../ui/text-field';
import { SeasonFields, usualSeason } from './season-fields';
import { placeKindWords, sourceWords } from './words';
import { useSay } from '../ui/say';

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
  const say = useSay();
  const save = useSavePlace();
  const remove = useRemovePlace();
  const [id] = useState(() => place?.id ?? uuid());
  const [name, setName] = useState(place?.name ?? '');
  const [kind, setKind] = useState<PlaceKind>(place?.kind ?? 'shed');
  const [source, setSource] = useState<AmbientSource>(place?.source ?? 'typed');
  const [simulated, setSimulated] = useState(place?.simulated ?? false);
  const [typed, setTyped] = useState(place?.typed ?? usualTyped);
  const [season, setSeason] = useState<readonly MonthAmbient[]>(place?.season ?? usualSeason);
  const [room, setRoom] = useState<Partial<Room>>(place?.room ?? {});
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
    ...(room.length !== undefined && room.depth !== undefined && { room: { length: room.length, depth: room.depth } }),
    version: place?.version ?? 0,
  };
  return (
    <EditDialog
      title={place ? place.name : say('ambient.newPlace')}
      busy={save.isPending || remove.isPending}
      disabled={name.trim() === ''}
      error={save.error ?? remove.error}
      onSave={() => save.mutate({ id, ...input }, { onSuccess: onClose })}
      onRemove={
        place && removable
          ? () =>
              window.confirm(say('ambient.takePlaceAway', { place: place.name })) &&
              remove.mutate(place.id, { onSuccess: onClose })
          : undefined
      }
      onClose={onClose}
    >
      <TextField
        label={say('ambient.whatCallIt')}
        name="name"
        autoComplete="off"
        maxLength={60}
        value={name}
        onChange={({ target }) => setName(target.value)}
        placeholder={say('ambient.placeExamples')}
      />
      <Choice
        legend={say('ambient.whatItIs')}
        options={placeKinds.map((value) => ({ value, label: placeKindWords[value] }))}
        value={kind}
        onChange={setKind}
      />
      <Choice
        legend={say('ambient.whereAirFrom')}
        twoColumns
        options={offered.map((value) => ({ value, label: sourceWords[value].name, hint: sourceWords[value].does }))}
        value={source}
        onChange={setSource}
      />
      {source === 'logger' && <LoggerChoice simulated={simulated} onChange={setSimulated} />}
      {source === 'typed' && <TypedFields typed={typed} onChange={setTyped} />}
      {source === 'season' && <SeasonFields season={season} onChange={setSeason} />}
      <RoomFields room={room} onChange={setRoom} />
    </EditDialog>
  );
}

/** How much stands in a place. */
function RoomFields({ room, onChange }: { room: Partial<Room>; onChange: (room: Partial<Room>) => void }) {
  const say = useSay();
  const field = (key: keyof Room, label: string) => (
    <QuantityField
      label={label}
      name={key}
      dimension="length"
      value={room[key]}
      onChange={(value) => {
        const { [key]: _, ...rest } = room;
        onChange(value === undefined ? rest : { ...rest, [key]: value });
      }}
    />
  );
  return (
    <fieldset>
      <legend className="mb-1 text-sm font-semibold">{say('ambient.room')}</legend>
      <div className="grid grid-cols-2 gap-3">
        {field('length', say('ambient.roomLength'))}
        {field('depth', say('ambient.roomDepth'))}
      </div>
      <p className="quiet mt-1 text-sm">{say('ambient.roomHint')}</p>
    </fieldset>
  );
}

type Typed = NonNullable<PlaceInput['typed']>;

function TypedFields({ typed, onChange }: { typed: Typed; onChange: (typed: Typed) => void }) {
  const say = useSay();
  return (
    <div className="grid gap-3 sm:grid-cols-3">
      <QuantityField
        label={say('ambient.temperature')}
        name="temperature"
        dimension="temperature"
        value={typed.temperature}
        onChange={(temperature) => temperature !== undefined && onChange({ ...typed, temperature })}
      />
      <label className="text-sm font-semibold">
        {say('ambient.humidityPercent')}
        <NumberField
          label={say('ambient.humidityField')}
          className="mt-1 w-full"
          value={typed.humidity * 100}
          onChange={(percent) => onChange({ ...typed, humidity: percent / 100 })}
        />
      </label>
      <label className="text-sm font-semibold">
        {say('ambient.windKmh')}
        <NumberField
          label={say('ambient.windIn')}
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
  const say = useSay();
  const { demo } = useSession().workshop;
  if (!demo) return <p className="quiet text-sm">{say('ambient.postsHere')}</p>;
  return (
    <Choice
      legend={say('ambient.whichLogger')}
      options={[
        { value: 'own', label: say('ambient.oneOfOwn'), hint: say('ambient.postsHereHint') },
        { value: 'simulated', label: say('ambient.simulatedOne'), hint: say('ambient.shipsWith') },
      ]}
      value={simulated ? 'simulated' : 'own'}
      onChange={(chosen) => onChange(chosen === 'simulated')}
    />
  );
}
