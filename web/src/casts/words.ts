import {
  baths,
  coverWords,
  type Bath,
  type CastEvent,
  type DamageCause,
  type DamageSize,
  type Dressing,
  type Force,
  SealerKind,
  Side,
  Spot,
} from '@dewpot/core';
import { format } from 'date-fns';
import type { Units } from '../ui/units';

export const spotWords: Record<Spot, string> = {
  corner: 'corner',
  rim: 'rim',
  base: 'base',
  'core-end': 'core end',
  face: 'face',
};
export const sizeWords: Record<DamageSize, string> = { chip: 'a chip', piece: 'a piece', through: 'right through' };
export const forceWords: Record<Force, string> = {
  slid: 'Slid out',
  tapped: 'Wanted tapping',
  fought: 'Had to be fought',
};
export const causeWords: Record<DamageCause, string> = {
  early: 'It came out too early',
  stuck: 'It stuck',
  dropped: 'It was dropped or knocked',
};
export const dressingWords: Record<Dressing, string> = {
  flashing: 'Flashing knocked off',
  edges: 'Edges rubbed',
  pinholes: 'Pinholes filled',
  grit: 'Sanded wet',
  'drain hole': 'Drain hole opened',
  'green texture': 'Green face textured',
};
export const bathWords: Record<Bath, string> = {
  water: baths.water.name,
  vinegar: 'Vinegar bath',
  leach: baths.leach.name,
};
export const sideWords: Record<Side, string> = {
  both: 'inside and outside',
  outside: 'outside only',
  inside: 'inside only',
};
export const sealerWords: Record<SealerKind, string> = {
  penetrating: 'penetrating silane',
  acrylic: 'acrylic film',
  polyurethane: 'polyurethane film',
  wax: 'wax',
  oil: 'oil',
};
/** An event as a person would tell it. */
export function tellEvent(event: CastEvent, units: Units): string {
  switch (event.type) {
    case 'poured':
      return 'Poured';
    case 'wetted':
      return 'Wetted';
    case 'uncovered':
      return 'Uncovered: the damp cure ended';
    case 'lifted-out': {
      const hurt = event.damage.map(({ spot, size }) => `${sizeWords[size]} at the ${spotWords[spot]}`).join(', ');
      const age =
        event.equivalentAge === undefined ? '' : `, as old as ${units.say(event.equivalentAge, 'h')} at 20 °C`;
      return `Lifted out ${hurt ? `with ${hurt}` : 'clean'}${event.cause ? ` (${causeWords[event.cause].toLowerCase()})` : ''}${event.force ? `; it ${forceWords[event.force].toLowerCase()}` : ''}${age}`;
    }
    case 'weighed':
      return `Weighed ${units.sayWeighing(event)}`;
    case 'coated':
      return `Coated with ${sealerWords[event.sealer]}, ${sideWords[event.side]}${event.overruled ? ` — against the advice to wait: “${event.overruled}”` : ''}`;
    case 'bubbles':
      return `Bubbles at the ${spotWords[event.face]}: ${event.grade} of 5`;
    case 'put-out':
      return `Put out${event.where ? `: ${event.where}` : ''}`;
    case 'broken':
      return `Broken${event.how ? `: ${event.how}` : ''}`;
    case 'covered':
      return `Now ${coverWords[event.cover]}`;
    case 'moved':
      return `Moved to ${event.place}`;
    case 'pulled':
      return `${event.core} pulled`;
    case 'dressed':
      return `${dressingWords[event.work]}${event.grit ? `, grit ${event.grit}` : ''}${event.note ? `: ${event.note}` : ''}`;
    case 'soaked':
      return `${bathWords[event.bath]} for ${units.say(event.hours, 'h')}`;
    case 'rinsed':
      return 'Out of its bath, rinsed';
    case 'ph':
      return `The strip says pH ${event.ph}`;
    case 'snoozed':
      return `“${event.stroke}” put off to ${format(event.until, 'EEE d MMM, HH:mm')}`;
    case 'voided':
      return 'Undone';
  }
}
