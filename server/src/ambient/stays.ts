import type { Life } from '@dewpot/core/casts';
import type { CastEntity } from '../casts/casts.entities.js';
import type { PlaceEntity } from './ambient.entities.js';

const word = (name: string | undefined) => name?.trim().toLowerCase();

/** A cast as far as where it stands goes. */
export type CastStanding = Pick<CastEntity, 'snapshot'> & { readonly projection: { readonly life: Life } };

/** Where a cast stood, from its pour on: by the key of the place, else by its name, else in the workshop's first. */
export function staysOf(
  { snapshot, projection: { life } }: CastStanding,
  places: readonly PlaceEntity[],
): { readonly from: number; readonly place: PlaceEntity }[] {
  const find = (id: string | undefined, name: string | undefined) =>
    places.find((place) => place.id === id) ?? places.find((place) => word(place.name) === word(name)) ?? places[0];
  const stays = [
    { from: life.pouredAt, place: find(snapshot.placeId, snapshot.place) },
    ...(life.stays ?? []).map(({ from, placeId, place }) => ({ from, place: find(placeId, place) })),
  ];
  return stays.flatMap(({ from, place }) => (place ? [{ from, place }] : []));
}
