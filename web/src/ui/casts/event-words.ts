import type { Phrase } from '@dewpot/core/units';
import type { SealerKind } from '@dewpot/core/materials';
import { baths, coverWords, type Bath } from '@dewpot/core/curing';
import type { Side } from '@dewpot/core/sealing';
import { bonds } from '@dewpot/core/assembly';
import {
  spotWords,
  taskWords,
  type CastEvent,
  type DamageCause,
  type DamageSize,
  type Dressing,
  type Force,
} from '@dewpot/core/casts';
import { writeWeighing, type Speaker } from '@dewpot/locales';
import { format } from 'date-fns';
import { pieceUseWords } from '../piece-use-words';
import { checkWords, decorationWords, fittingWords, goneWords, laterWords } from './seal-words';

export const sizeWords: Record<DamageSize, string> = { chip: 'a chip', piece: 'a piece', through: 'broken through' };
export const forceWords: Record<Force, string> = {
  slid: 'Slid out',
  tapped: 'Needed tapping',
  fought: 'Needed force',
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
export const bathWords: Record<Bath, Phrase> = {
  water: baths.water.name,
  vinegar: 'Vinegar bath',
  leach: baths.leach.name,
};
export const sideWords: Record<Side, string> = {
  both: 'inside and outside',
  outside: 'outside only',
  inside: 'inside only',
};
const sealerWords: Record<SealerKind, string> = {
  penetrating: 'penetrating silane',
  acrylic: 'acrylic film',
  polyurethane: 'polyurethane film',
  wax: 'wax',
  oil: 'oil',
};
const against = ({ overridden }: { readonly overridden?: string }) =>
  overridden ? ` — against the advice to wait: “${overridden}”` : '';

/** An event as a person would tell it. */
export function tellEvent(event: CastEvent, say: Speaker): string {
  switch (event.type) {
    case 'poured':
      return 'Poured';
    case 'wetted':
      return 'Wetted';
    case 'uncovered':
      return 'Moist curing ended';
    case 'demoulded': {
      const hurt = event.damage.map(({ spot, size }) => `${sizeWords[size]} at the ${say(spotWords[spot])}`).join(', ');
      const age =
        event.equivalentAge === undefined ? '' : `, equivalent age ${say.quantity(event.equivalentAge, 'h')} at 20 °C`;
      return `Demoulded ${hurt ? `with ${hurt}` : 'clean'}${event.cause ? ` (${causeWords[event.cause].toLowerCase()})` : ''}${event.force ? `; it ${forceWords[event.force].toLowerCase()}` : ''}${age}`;
    }
    case 'weighed':
      return `Weighed ${writeWeighing(event.mass, event.step, say.reader)}${event.together ? `, its share of ${event.together} on the scale` : ''}`;
    case 'coated':
      return `Coated with ${event.product ? say.inline(event.product.name) : sealerWords[event.sealer]}, ${sideWords[event.side]}${event.tool ? `, by ${event.tool}` : ''}${against(event)}`;
    case 'bubbles':
      return `Bubbles at the ${say(spotWords[event.face])}: ${event.grade} of 5`;
    case 'finished':
      return `Finished${event.gone ? `, ${goneWords[event.gone]}` : ''}${event.price === undefined ? '' : ` for ${say.quantity(event.price, 'money')}`}${event.where ? `: ${event.where}` : ''}`;
    case 'broken':
      return `Broken${event.how ? `: ${event.how}` : ''}`;
    case 'covered':
      return `Now ${say.value(coverWords[event.cover])}`;
    case 'moved':
      return `Moved to ${event.place}`;
    case 'pulled':
      return `${event.core} removed`;
    case 'dressed':
      return `${dressingWords[event.work]}${event.grit ? `, grit ${event.grit}` : ''}${event.note ? `: ${event.note}` : ''}`;
    case 'soaked':
      return `${say.value(bathWords[event.bath])} for ${say.quantity(event.hours, 'h')}`;
    case 'rinsed':
      return 'Out of its bath, rinsed';
    case 'ph':
      return `The strip says pH ${event.ph}`;
    case 'postponed':
      return `“${say.value(taskWords[event.task])}” postponed to ${format(event.until, 'EEE d MMM, HH:mm')}`;
    case 'film-tested':
      return event.drops ? 'Clear film: drops under it' : `Clear film for ${say.quantity(event.hours, 'h')}: no drops`;
    case 'assembled':
      return `Put together with ${say.inline(bonds[event.bond].name)}${event.note ? `: ${event.note}` : ''}`;
    case 'unclamped':
      return 'Unclamped';
    case 'joined':
      return `Assembled into ${event.code}`;
    case 'decorated':
      return `${decorationWords[event.decoration]}${event.note ? `: ${event.note}` : ''}${against(event)}`;
    case 'seal-planned':
      return event.sealer
        ? `To be sealed for ${event.uses.map((use) => pieceUseWords[use]).join(', ')}: ${event.product ? say.inline(event.product.name) : sealerWords[event.sealer]}, ${event.coats} ${event.coats === 1 ? 'coat' : 'coats'}`
        : `To be left bare${event.uses.length > 0 ? ` for ${event.uses.map((use) => pieceUseWords[use]).join(', ')}` : ''}`;
    case 'checked':
      return `Tried ${checkWords[event.check]}: it ${event.held ? 'holds' : 'does not hold'}${event.note ? ` (${event.note})` : ''}`;
    case 'fitted':
      return fittingWords[event.fitting];
    case 'came-later':
      return `Condition: ${laterWords[event.came].toLowerCase()}${event.note ? `; ${event.note}` : ''}`;
    case 'voided':
      return 'Undone';
  }
}
