import { useState } from 'react';
import { defined } from '@dewpot/core/math';
import { compareCovers, coverOf, coverWords, overFace, type Cover } from '@dewpot/core/curing';
import type { PlaceView } from '@dewpot/contract';
import { useQuery } from '@tanstack/react-query';
import { placesQuery } from '../api/places';
import { useSession } from '../api/session';
import { Button } from '../ui/button';
import { Choice } from '../ui/choice';
import { useUnits } from '../ui/units';
import type { ActionProps } from '../ui/casts/action-props';
import { DoneButton } from '../ui/casts/done-button';
import { placeOf } from '../ui/casts/reading';
import { useSay } from '../ui/say';

const same = (a: string, b: string) => a.trim().toLowerCase() === b.trim().toLowerCase();
const placeNamed = (places: readonly PlaceView[], name: string) =>
  places.find((place) => same(place.name, name)) ?? places[0];

/** What lies over the casts from now on; each cover with what it would do in the air they stand in. */
export function CoverForm({ casts, busy, record }: ActionProps) {
  const say = useSay();
  const { workshop } = useSession();
  const units = useUnits();
  const first = defined(casts[0]);
  const place = placeNamed(useQuery(placesQuery).data ?? [], placeOf(first));
  const [cover, setCover] = useState<Cover>(first.life.cover ?? coverOf(first.snapshot.cover));
  const effects = place?.now
    ? compareCovers(overFace(place.now), first.snapshot.lightweight ?? false, workshop.waking)
    : undefined;
  const covers = effects ?? (Object.keys(coverWords) as Cover[]).map((one) => ({ cover: one, told: undefined }));
  return (
    <div className="space-y-4">
      <Choice
        legend={
          place?.now
            ? say('curing.atPlaceNow', { place: place.name, temperature: units.say(place.now.temperature, '°C') })
            : say('curing.cover')
        }
        twoColumns
        options={covers.map(({ cover: value, told }) => ({
          value,
          label: coverWords[value],
          ...(told && { hint: told }),
        }))}
        value={cover}
        onChange={setCover}
      />
      <DoneButton
        casts={casts}
        busy={busy}
        record={record}
        said={say('curing.nowCoveredSaid', { coverWords: say(coverWords[cover]) })}
        event={{ type: 'covered', cover }}
      >
        {say('curing.nowCovered', { coverWords: say(coverWords[cover]) })}
      </DoneButton>
    </div>
  );
}

/** Where the casts stand from now on: their cure goes by the air of that place. */
export function MoveForm({ casts, busy, record }: ActionProps) {
  const say = useSay();
  const units = useUnits();
  const places = useQuery(placesQuery).data ?? [];
  const [to, setTo] = useState<string>();
  const here = placeOf(defined(casts[0]));
  const chosen = places.find(({ id }) => id === to);
  return (
    <div className="space-y-4">
      <Choice
        legend={say('curing.standsAt', { here })}
        options={places
          .filter(({ name }) => !same(name, here))
          .map(({ id, name, now }) => ({
            value: id,
            label: name,
            ...(now && { hint: `${units.say(now.temperature, '°C')}, ${Math.round(now.humidity * 100)} % RH` }),
          }))}
        value={to}
        onChange={setTo}
      />
      <p className="quiet text-sm">{say('curing.hardeningGoesOn')}</p>
      <Button
        disabled={busy || !chosen}
        look="main"
        size="bench"
        className="w-full text-lg"
        onClick={() =>
          chosen &&
          record(
            say('curing.movedToSaid', { chosen: chosen.name }),
            casts.map((cast) => ({
              cast,
              event: { type: 'moved' as const, place: chosen.name, placeId: chosen.id },
            })),
          )
        }
      >
        {chosen ? say('curing.movedTo', { chosen: chosen.name }) : say('curing.chooseWhere')}
      </Button>
    </div>
  );
}
