import { exactly, fixed, listed, msg, neededDecimals, quantity, type Message, type Phrase } from '@dewpot/core/units';
import type { SealerKind } from '@dewpot/core/materials';
import { baths, coverWords, type Bath } from '@dewpot/core/curing';
import type { PieceUse, Side } from '@dewpot/core/sealing';
import { bonds } from '@dewpot/core/assembly';
import {
  spotWords,
  taskWords,
  type CastEvent,
  type DamageCause,
  type DamageSize,
  type Dressing,
  type Force,
  type Severity,
} from '@dewpot/core/casts';
import { faultName } from '@dewpot/core/findings';
import type { CastEventTold } from '@dewpot/contract';
import { writeWeighing, type Speaker } from '@dewpot/locales';
import { pieceUseWords } from '../piece-use-words';
import { checkWords, decorationWords, fittingWords, goneWords, laterWords, toolWords } from './seal-words';

export const sizeWords: Record<DamageSize, Message> = {
  chip: msg('ui.sizeChip'),
  piece: msg('ui.sizePiece'),
  through: msg('ui.sizeThrough'),
};
export const forceWords: Record<Force, Message> = {
  slid: msg('ui.forceSlid'),
  tapped: msg('ui.forceTapped'),
  fought: msg('ui.forceFought'),
};
export const causeWords: Record<DamageCause, Message> = {
  early: msg('ui.causeEarly'),
  stuck: msg('ui.causeStuck'),
  dropped: msg('ui.causeDropped'),
};
export const severityWords: Record<Severity, Message> = {
  slight: msg('findings.severitySlight'),
  clear: msg('findings.severityClear'),
  spoilt: msg('findings.severitySpoilt'),
};
export const dressingWords: Record<Dressing, Message> = {
  flashing: msg('ui.workFlashing'),
  edges: msg('ui.workEdges'),
  pinholes: msg('ui.workPinholes'),
  grit: msg('ui.workGrit'),
  'drain hole': msg('ui.workDrain'),
  'green texture': msg('ui.workTexture'),
};
export const bathWords: Record<Bath, Phrase> = {
  water: baths.water.name,
  vinegar: msg('ui.bathVinegar'),
  leach: baths.leach.name,
};
export const sideWords: Record<Side, Message> = {
  both: msg('ui.sideBoth'),
  outside: msg('ui.sideOutside'),
  inside: msg('ui.sideInside'),
};
const sealerWords: Record<SealerKind, Message> = {
  penetrating: msg('ui.sealerPenetrating'),
  acrylic: msg('ui.sealerAcrylic'),
  polyurethane: msg('ui.sealerPolyurethane'),
  wax: msg('ui.sealerWax'),
  oil: msg('ui.sealerOil'),
};
const against = ({ overridden }: { readonly overridden?: string }): Phrase =>
  overridden ? msg('ui.against', { overridden }) : '';
const noteAfter = (note: string | undefined): Phrase => (note ? msg('ui.noteAfter', { note }) : '');
const listUses = (uses: readonly PieceUse[]) => listed(uses.map((use) => pieceUseWords[use]));
const sealerOf = (product: { readonly name: Phrase } | undefined, sealer: SealerKind): Phrase =>
  product?.name ?? sealerWords[sealer];

type Told<T extends CastEvent['type']> = Extract<CastEvent, { type: T }>;

function tellDemoulded({ damage, equivalentAge, cause, force }: Told<'demoulded'>): Message {
  return msg('ui.eventDemoulded', {
    hurt: damage.length > 0 ? 'some' : 'none',
    hurts: listed(damage.map(({ spot, size }) => msg('ui.hurt', { size: sizeWords[size], spot: spotWords[spot] }))),
    cause: cause ? causeWords[cause] : 'none',
    force: force ? forceWords[force] : 'none',
    aged: equivalentAge === undefined ? 'no' : 'yes',
    age: quantity(equivalentAge ?? 0, 'h'),
    warmth: exactly(20, '°C'),
  });
}

function tellCoated(event: Told<'coated'>): Message {
  return msg('ui.eventCoated', {
    sealer: sealerOf(event.product, event.sealer),
    side: sideWords[event.side],
    tool: event.tool ? toolWords[event.tool] : 'none',
    against: against(event),
  });
}

function tellFinished({ gone, price, where }: Told<'finished'>): Message {
  return msg('ui.eventFinished', {
    gone: gone ?? 'none',
    goneWord: gone ? goneWords[gone] : '',
    priced: price === undefined ? 'no' : 'yes',
    price: quantity(price ?? 0, 'money'),
    where: where ?? 'none',
  });
}

function tellSealPlan(event: Told<'seal-planned'>): Message {
  const { sealer, product, uses, coats } = event;
  if (!sealer) return msg('ui.eventLeftBare', { some: uses.length > 0 ? 'yes' : 'no', uses: listUses(uses) });
  return msg('ui.eventSealPlanned', { uses: listUses(uses), sealer: sealerOf(product, sealer), coats });
}

/** What happened to a cast once it was poured, of the kinds that take no working out. */
function tellHandled(event: CastEvent, say: Speaker): Message {
  switch (event.type) {
    case 'weighed': {
      const mass = writeWeighing(event.mass, event.step, say.reader);
      return msg('ui.eventWeighed', { mass, together: event.together ?? 0 });
    }
    case 'bubbles':
      return msg('ui.eventBubbles', { spot: spotWords[event.face], grade: event.grade });
    case 'broken':
      return msg('ui.eventBroken', { how: noteAfter(event.how) });
    case 'covered':
      return msg('ui.eventCovered', { cover: coverWords[event.cover] });
    case 'moved':
      return msg('ui.eventMoved', { place: event.place });
    case 'pulled':
      return msg('ui.eventPulled', { core: event.core });
    case 'dressed':
      return msg('ui.eventDressed', {
        work: dressingWords[event.work],
        grit: event.grit ?? 0,
        note: noteAfter(event.note),
      });
    case 'soaked':
      return msg('ui.eventSoaked', { bath: bathWords[event.bath], hours: quantity(event.hours, 'h') });
    case 'ph':
      return msg('ui.eventPh', { ph: fixed(event.ph, neededDecimals(event.ph)) });
    case 'postponed':
      return msg('ui.eventPostponed', { task: taskWords[event.task], until: { at: event.until, as: 'time' } });
    case 'film-tested':
      return event.drops ? msg('ui.eventFilmDrops') : msg('ui.eventFilmDry', { hours: quantity(event.hours, 'h') });
    default:
      return tellMade(event);
  }
}

/** What was made of a cast: put together, decorated, tried, fitted. */
function tellMade(event: CastEvent): Message {
  switch (event.type) {
    case 'assembled':
      return msg('ui.eventAssembled', { bond: bonds[event.bond].name, note: noteAfter(event.note) });
    case 'joined':
      return msg('ui.eventJoined', { code: event.code });
    case 'decorated':
      return msg('ui.eventDecorated', {
        did: decorationWords[event.decoration],
        note: noteAfter(event.note),
        against: against(event),
      });
    case 'checked':
      return msg('ui.eventChecked', {
        check: checkWords[event.check],
        held: event.held ? 'yes' : 'no',
        note: noteAfter(event.note),
      });
    case 'fitted':
      return fittingWords[event.fitting];
    case 'came-later':
      return msg('ui.eventCameLater', { later: laterWords[event.came], note: noteAfter(event.note) });
    case 'colour-seen':
      return msg('ui.eventColourSeen', { difference: fixed(event.difference, 1) });
    case 'fault-seen':
      return msg('ui.eventFaultSeen', {
        fault: faultName(event.fault),
        severity: severityWords[event.severity],
        note: noteAfter(event.note),
      });
    default:
      return plain[event.type as keyof typeof plain];
  }
}

/** Events that say all by having happened. */
const plain = {
  poured: msg('ui.eventPoured'),
  wetted: msg('ui.eventWetted'),
  uncovered: msg('ui.eventUncovered'),
  rinsed: msg('ui.eventRinsed'),
  unclamped: msg('ui.eventUnclamped'),
  voided: msg('ui.eventVoided'),
  'found-sound': msg('ui.eventFoundSound'),
};

/** An event as a person would tell it. */
export function tellEvent(event: CastEvent, say: Speaker): string {
  switch (event.type) {
    case 'demoulded':
      return say(tellDemoulded(event));
    case 'coated':
      return say(tellCoated(event));
    case 'finished':
      return say(tellFinished(event));
    case 'seal-planned':
      return say(tellSealPlan(event));
    default:
      return say(tellHandled(event, say));
  }
}

/** An event as it was told, before the server has judged it. */
export const tellTold = (event: CastEventTold, say: Speaker): string =>
  event.type === 'colour-seen' ? say('ui.eventColourTold', { colour: event.colour }) : tellEvent(event, say);
