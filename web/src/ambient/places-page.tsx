import { useState } from 'react';
import { quantity } from '@dewpot/core/units';
import { defined } from '@dewpot/core/math';
import { evaporation, faceAdvice, faceRisk, overFace } from '@dewpot/core/curing';
import type { PlaceView } from '@dewpot/contract';
import { useQuery } from '@tanstack/react-query';
import { placesQuery, useLivePlaces } from '../api/places';
import { Button } from '../ui/button';
import { PageHead } from '../ui/page-head';
import { exactTime, spanOf } from '../ui/format-time';
import { Busy, Failure } from '../ui/states';
import { useNow } from '../ui/use-now';
import { BasisNote } from '../ui/basis-note';
import { useUnits } from '../ui/units';
import { PlaceAmbientSlab } from './place-ambient-slab';
import { PlaceEditor } from './place-editor';
import { placeKindWords, sourceWords } from './words';
import { useSay } from '../ui/say';

/** Where casts stand: each place with its air now, behind and ahead. */
export function PlacesPage() {
  const say = useSay();
  useLivePlaces();
  const { data, error } = useQuery(placesQuery);
  const [chosen, setChosen] = useState<string>();
  const [editing, setEditing] = useState<PlaceView | 'new'>();
  if (!data) return error ? <Failure error={error} /> : <Busy what={say('ambient.thePlaces')} />;
  const here = data.find(({ id }) => id === chosen) ?? data[0];
  return (
    <div className="mx-auto max-w-6xl p-4">
      <PageHead title={say('ambient.placesHead')}>
        <Button needs="caster" look="main" onClick={() => setEditing('new')}>
          {say('ambient.addPlace')}
        </Button>
      </PageHead>
      <div className="grid items-start gap-4 lg:grid-cols-[22rem_minmax(0,1fr)]">
        <ul className="space-y-3" aria-label={say('ambient.places')}>
          {data.map((place, i) => (
            <li key={place.id}>
              <PlaceCard
                place={place}
                first={i === 0}
                open={place.id === here?.id}
                onOpen={() => setChosen(place.id)}
                onEdit={() => setEditing(place)}
              />
            </li>
          ))}
        </ul>
        {here && <PlaceAmbientSlab key={here.id} place={here} />}
      </div>
      {editing && (
        <PlaceEditor
          place={editing === 'new' ? undefined : editing}
          removable={data.length > 1}
          onClose={() => setEditing(undefined)}
        />
      )}
    </div>
  );
}

/** A reading that is older than this is told so, ms. */
const STALE = 2 * 3_600_000;

function PlaceCard({
  place,
  first,
  open,
  onOpen,
  onEdit,
}: {
  place: PlaceView;
  first: boolean;
  open: boolean;
  onOpen: () => void;
  onEdit: () => void;
}) {
  const say = useSay();
  const units = useUnits();
  const now = useNow();
  const ambient = place.now;
  const old = place.lastRead !== undefined && now - place.lastRead > STALE;
  return (
    <section
      className={`card-slab ${open ? 'border-l-primary border-l-6' : ''}`}
      aria-label={place.name}
      aria-current={open ? 'true' : undefined}
    >
      <div className="flex items-start justify-between gap-3">
        <h2 className="text-2xl break-words">
          <button type="button" className="text-left hover:underline" onClick={onOpen}>
            {place.name}
          </button>
        </h2>
        <Button
          needs="caster"
          look="plain"
          size="low"
          aria-label={say('ambient.changePlace', { place: place.name })}
          onClick={onEdit}
        >
          {say('ambient.change')}
        </Button>
      </div>
      <p className="quiet text-sm">
        {say(placeKindWords[place.kind])};{' '}
        {place.simulated ? say('ambient.simulatedLogger') : say.inline(sourceWords[place.source].name)}
        {first && say('ambient.countsHere')}
      </p>
      {ambient ? (
        <p className="mt-2">
          <span className="numeral text-3xl">{units.say(ambient.temperature, '°C')}</span>{' '}
          {say('ambient.humidityNow', { humidity: quantity(ambient.humidity * 100, '%', 0) })}
          <span className="block text-sm">{say(faceAdvice[faceRisk(evaporation(overFace(ambient)))])}</span>
          <span className="block text-sm">
            <BasisNote basis={place.basis} />
          </span>
        </p>
      ) : (
        <p className="mt-1">{say('ambient.nothingReadYet')}</p>
      )}
      {old && (
        <p className="text-accent text-sm" title={say(exactTime(defined(place.lastRead)))}>
          {say('ambient.lastRead', { now: spanOf(now - defined(place.lastRead)) })}
        </p>
      )}
    </section>
  );
}
