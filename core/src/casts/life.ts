import type { Bath, Cover, PhReading } from '../cure/index.js';
import type { Weighing } from '../finish/index.js';
import {
  standing,
  type CastEvent,
  type Damage,
  type DamageCause,
  type Force,
  type Side,
  type Stroke,
} from './events.js';

/** Where a cast stands in the work. */
export type Stage = 'setting' | 'damp' | 'drying' | 'sealed' | 'out' | 'broken';

export interface Coat {
  readonly id: string;
  readonly at: number;
  readonly sealer: string;
  readonly side: Side;
  readonly overruled?: string;
}

/** A place in which a cast stands from a time on, ms. */
export interface Stay {
  readonly from: number;
  readonly place: string;
  readonly placeId?: string;
}

/** A bath that a cast lies in, since a time, for so many hours. */
export interface Soak {
  readonly bath: Bath;
  readonly since: number;
  readonly hours: number;
}

/** What a cast's events come to. Times in ms. */
export interface Life {
  readonly stage: Stage;
  readonly pouredAt: number;
  readonly liftedAt?: number;
  readonly damage: readonly Damage[];
  /** How it left the mould: its age then in equivalent hours at 20 °C, the force it took, what damage was put down to. */
  readonly liftOut?: { readonly age?: number; readonly force?: Force; readonly cause?: DamageCause };
  /** Bubbles on its faces, the worst of five grades; undefined where nobody looked. */
  readonly bubbles?: number;
  readonly wettedAt?: number;
  readonly wettings?: readonly number[];
  /** As it was covered last; as the pour said until then. */
  readonly cover?: Cover;
  readonly coveredAt?: number;
  /** Where it was moved to, in order; where the pour said until then. */
  readonly stays?: readonly Stay[];
  /** Names of cores that are out. */
  readonly pulled?: readonly string[];
  /** The finest grit that it was sanded to, wet. */
  readonly grit?: number;
  readonly soak?: Soak;
  /** Changes of leaching water so far, and what the strip said. */
  readonly leaches?: number;
  readonly ph?: readonly PhReading[];
  /** Strokes that were put off, each until when. */
  readonly snoozed?: Partial<Record<Stroke, number>>;
  readonly uncoveredAt?: number;
  readonly weighings: readonly Weighing[];
  readonly weighedAt?: number;
  readonly coats: readonly Coat[];
  readonly outAt?: number;
  readonly brokenAt?: number;
}

const HOUR = 3_600_000;

function liftOutOf({ equivalentAge: age, force, cause }: CastEvent & { type: 'lifted-out' }): Life['liftOut'] {
  return { ...(age !== undefined && { age }), ...(force && { force }), ...(cause && { cause }) };
}

function apply(life: Life, event: CastEvent): Life {
  switch (event.type) {
    case 'poured':
      return { ...life, pouredAt: event.at };
    case 'lifted-out':
      return { ...life, stage: 'damp', liftedAt: event.at, damage: event.damage, liftOut: liftOutOf(event) };
    case 'wetted':
      return { ...life, wettedAt: event.at, wettings: [...(life.wettings ?? []), event.at] };
    case 'covered':
      return { ...life, cover: event.cover, coveredAt: event.at };
    case 'moved': {
      const { at, place, placeId } = event;
      return { ...life, stays: [...(life.stays ?? []), { from: at, place, ...(placeId && { placeId }) }] };
    }
    case 'pulled':
      return { ...life, pulled: [...(life.pulled ?? []), event.core] };
    case 'soaked': {
      const { at, bath, hours } = event;
      const leaches = (life.leaches ?? 0) + Number(bath === 'leach');
      return { ...life, soak: { bath, since: at, hours }, ...(leaches > 0 && { leaches }) };
    }
    case 'rinsed': {
      const { soak: _, ...rest } = life;
      return rest;
    }
    case 'ph':
      return { ...life, ph: [...(life.ph ?? []), { at: event.at, ph: event.ph }] };
    case 'snoozed':
      return { ...life, snoozed: { ...life.snoozed, [event.stroke]: event.until } };
    case 'dressed':
      return event.grit === undefined ? life : { ...life, grit: Math.max(life.grit ?? 0, event.grit) };
    case 'uncovered':
      return { ...life, stage: 'drying', uncoveredAt: event.at };
    case 'weighed': {
      const { mass, step, temperature, humidity } = event;
      const weighing: Weighing = {
        hour: (event.at - life.pouredAt) / HOUR,
        mass,
        step,
        ...(temperature !== undefined && { temperature }),
        ...(humidity !== undefined && { humidity }),
      };
      return { ...life, weighings: [...life.weighings, weighing], weighedAt: event.at };
    }
    case 'coated': {
      const { id, at, sealer, side, overruled } = event;
      const coat: Coat = { id, at, sealer, side, ...(overruled !== undefined && { overruled }) };
      return { ...life, stage: 'sealed', coats: [...life.coats, coat] };
    }
    case 'put-out':
      return { ...life, stage: 'out', outAt: event.at };
    case 'broken':
      return { ...life, stage: 'broken', brokenAt: event.at };
    case 'bubbles':
      return { ...life, bubbles: Math.max(life.bubbles ?? 0, event.grade) };
    case 'voided':
      return life;
  }
}

/** Where a cast stands now, by name: where it was moved to, else as its pour said. */
export const placeNow = ({ stays }: Life, poured: string | undefined): string =>
  stays?.[stays.length - 1]?.place ?? poured ?? 'anywhere';

/** The life of a cast: a fold over the events that stand, whatever the order or batches they came in. */
export function lifeOf(events: readonly CastEvent[]): Life {
  const start: Life = { stage: 'setting', pouredAt: 0, damage: [], weighings: [], coats: [] };
  return standing(events).reduce(apply, start);
}
