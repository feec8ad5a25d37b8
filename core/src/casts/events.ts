import type { Bath, Cover } from '../cure/index.js';
import type { SealerKind } from '../finish/index.js';

export type Spot = 'corner' | 'rim' | 'base' | 'core-end' | 'face';
export type DamageSize = 'chip' | 'piece' | 'through';
export type Force = 'slid' | 'tapped' | 'fought';
export type Side = 'outside' | 'inside' | 'both';

/** What a caster puts damage at lift-out down to; only what came too early teaches the next. */
export type DamageCause = 'early' | 'stuck' | 'dropped';
/** Short works on a piece out of the mould. */
export type Dressing = 'flashing' | 'edges' | 'pinholes' | 'grit' | 'drain hole' | 'green texture';
/** What is done to a cast on the round. */
export type Stroke = 'Pull' | 'Lift out' | 'Cover' | 'Wet' | 'End bath' | 'Uncover' | 'Weigh' | 'Coat' | 'Put out';

/** Where a cast was hurt and how badly. */
export interface Damage {
  readonly spot: Spot;
  readonly size: DamageSize;
}

/** What happened to a cast, beside when. */
export type Happening =
  | { readonly type: 'poured' }
  | { readonly type: 'wetted' }
  | { readonly type: 'covered'; readonly cover: Cover }
  | { readonly type: 'moved'; readonly place: string; readonly placeId?: string }
  | { readonly type: 'pulled'; readonly core: string }
  | {
      readonly type: 'lifted-out';
      readonly damage: readonly Damage[];
      readonly force?: Force;
      readonly cause?: DamageCause;
      readonly equivalentAge?: number;
    }
  | { readonly type: 'dressed'; readonly work: Dressing; readonly grit?: number; readonly note?: string }
  | { readonly type: 'soaked'; readonly bath: Bath; readonly hours: number }
  | { readonly type: 'rinsed' }
  | { readonly type: 'ph'; readonly ph: number }
  | { readonly type: 'snoozed'; readonly stroke: Stroke; readonly until: number }
  | { readonly type: 'uncovered' }
  | {
      readonly type: 'weighed';
      readonly mass: number;
      readonly step: number;
      readonly temperature?: number;
      readonly humidity?: number;
    }
  | { readonly type: 'coated'; readonly sealer: SealerKind; readonly side: Side; readonly overruled?: string }
  | { readonly type: 'bubbles'; readonly face: Spot; readonly grade: number }
  | { readonly type: 'put-out'; readonly where?: string }
  | { readonly type: 'broken'; readonly how?: string }
  | { readonly type: 'voided'; readonly event: string };

export type HappeningType = Happening['type'];

/** An event of a cast's life. Appended, never changed; a mistake is voided by another event. `at` in ms. */
export type CastEvent = Happening & { readonly id: string; readonly at: number };

/** Events that still count, in the order in which they happened. */
export function standing(events: readonly CastEvent[]): CastEvent[] {
  const voided = new Set(events.flatMap((event) => (event.type === 'voided' ? [event.event] : [])));
  return events
    .filter((event) => event.type !== 'voided' && !voided.has(event.id))
    .sort((a, b) => a.at - b.at || (a.id < b.id ? -1 : 1));
}
