import type { FullMould } from './free-moulds.js';

/** A place that a full mould keeps until its cast is out, because it cannot be moved. */
export interface HeldSpot {
  readonly name: string;
  readonly place: string;
  /** Full, g. */
  readonly mass: number;
  /** When its demoulding is good, ms. */
  readonly until: number;
}

const word = (place: string) => place.trim().toLowerCase();

/**
 * Spots that full moulds keep: panels, strip moulds and leaves over sand, and those that weigh more than one person moves
 * (`liftLimit`, g). What comes free first is at the head; of one place alone where one is named.
 */
export function heldSpots(full: readonly FullMould[], liftLimit: number, place?: string): HeldSpot[] {
  return full
    .flatMap(({ name, mass, place: where, freeAt, fixed = false }): HeldSpot[] =>
      name !== undefined && where && mass !== undefined && (fixed || mass > liftLimit)
        ? [{ name, place: where, mass, until: freeAt }]
        : [],
    )
    .filter((spot) => !place?.trim() || word(spot.place) === word(place))
    .sort((a, b) => a.until - b.until);
}
