import { HOUR, msg, type Message, type Phrase } from '../../foundation/units/index.js';
import { sealers, type Sealer, type SealerKind } from '../../mixing/materials/index.js';
import type { Bath, Cover, PhReading } from '../../process/curing/index.js';
import {
  decorations,
  readFilmTest,
  type CoatTool,
  type Decoration,
  type DryingAmbient,
  type SealCheck,
  type Side,
  type Weighing,
} from '../../process/sealing/index.js';
import type { Bond } from '../assembly/index.js';
import type { Fitting } from '../care/index.js';
import {
  standing,
  type CameLater,
  type CastEvent,
  type Damage,
  type DamageCause,
  type Force,
  type Gone,
  type SealPlan,
  type CastTask,
} from './events.js';
import type { SeenFault } from './faults.js';

/** Where a cast stands in the work, in its order. */
export const stages = ['setting', 'curing', 'drying', 'sealed', 'joined', 'finished', 'broken'] as const;
export type Stage = (typeof stages)[number];

export interface Coat {
  readonly id: string;
  readonly at: number;
  readonly sealer: SealerKind;
  readonly side: Side;
  readonly product?: Sealer;
  readonly tool?: CoatTool;
  readonly volume?: number;
  readonly ambient?: DryingAmbient;
  readonly overridden?: string;
  readonly over?: number;
}

/** The sealer of a coat by its own sheet, else as the handbook has its kind. */
export const sealerOfCoat = ({ product, sealer }: Pick<Coat, 'product' | 'sealer'>): Sealer =>
  product ?? sealers[sealer];

/** A place in which a cast stands from a time on, ms. */
interface Stay {
  readonly from: number;
  readonly place: string;
  readonly placeId?: string;
}

/** A bath that a cast lies in, since a time, for so many hours. */
interface Soak {
  readonly bath: Bath;
  readonly since: number;
  readonly hours: number;
}

/** What a cast's events come to. Times in ms. */
export interface Life {
  readonly stage: Stage;
  readonly pouredAt: number;
  readonly demouldedAt?: number;
  readonly damage: readonly Damage[];
  /** How it left the mould: its age then in equivalent hours at 20 °C, the force it took, what damage was put down to. */
  readonly demould?: { readonly age?: number; readonly force?: Force; readonly cause?: DamageCause };
  /** What was found wrong with it, in the order in which it was found. */
  readonly faults?: readonly (SeenFault & { readonly at: number })[];
  /** When it was looked at last and nothing was wrong, ms. */
  readonly soundAt?: number;
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
  /** Tasks that were postponed, each until when. */
  readonly postponed?: Partial<Record<CastTask, number>>;
  readonly uncoveredAt?: number;
  readonly weighings: readonly Weighing[];
  readonly weighedAt?: number;
  /** It dries from then on, ms: uncovered, or wetted again. */
  readonly driesFrom?: number;
  /** The last clear film that was taped on. */
  readonly filmTest?: { readonly at: number; readonly dry: boolean; readonly told: Message };
  /** Of an article: what holds it, and when it may be unclamped and carries, ms. */
  readonly joint?: { readonly bond: Bond; readonly unclampAt: number; readonly carriesAt: number };
  /** Of a part: the article that it went into. */
  readonly joinedInto?: { readonly id: string; readonly code: string };
  readonly decorated?: readonly { readonly at: number; readonly decoration: Decoration }[];
  readonly sealPlan?: SealPlan;
  readonly checks?: readonly { readonly at: number; readonly check: SealCheck; readonly held: boolean }[];
  readonly fitted?: readonly Fitting[];
  readonly gone?: { readonly how: Gone; readonly where?: string; readonly price?: number };
  readonly later?: readonly { readonly at: number; readonly came: CameLater; readonly note?: string }[];
  readonly coats: readonly Coat[];
  readonly finishedAt?: number;
  readonly brokenAt?: number;
}

function demouldOf({
  equivalentAge: age,
  force,
  cause,
}: CastEvent & { type: 'demoulded' }): NonNullable<Life['demould']> {
  return { ...(age !== undefined && { age }), ...(force && { force }), ...(cause && { cause }) };
}

function apply(life: Life, event: CastEvent): Life {
  switch (event.type) {
    case 'poured':
      return { ...life, pouredAt: event.at };
    case 'demoulded':
      return { ...life, stage: 'curing', demouldedAt: event.at, damage: event.damage, demould: demouldOf(event) };
    case 'wetted':
      return dryAnew({ ...life, wettedAt: event.at, wettings: [...(life.wettings ?? []), event.at] }, event.at);
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
      return dryAnew(rest, event.at);
    }
    case 'ph':
      return { ...life, ph: [...(life.ph ?? []), { at: event.at, ph: event.ph }] };
    case 'postponed':
      return { ...life, postponed: { ...life.postponed, [event.task]: event.until } };
    case 'dressed':
      return event.grit === undefined ? life : { ...life, grit: Math.max(life.grit ?? 0, event.grit) };
    case 'uncovered':
      return { ...life, stage: 'drying', uncoveredAt: event.at, driesFrom: event.at };
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
      const { type: _type, lotId: _lot, ...coat } = event;
      return { ...life, stage: life.stage === 'finished' ? 'finished' : 'sealed', coats: [...life.coats, coat] };
    }
    case 'finished': {
      const { at, gone: how = 'kept', where, price } = event;
      const gone = { how, ...(where && { where }), ...(price !== undefined && { price }) };
      return { ...life, stage: 'finished', finishedAt: at, gone };
    }
    case 'broken':
      return { ...life, stage: 'broken', brokenAt: event.at };
    case 'bubbles':
      return { ...life, bubbles: Math.max(life.bubbles ?? 0, event.grade) };
    case 'voided':
    case 'colour-seen':
      return life;
    default:
      return applyFinish(life, event);
  }
}

/** In drying a wetting begins the dry-down again; before it, and on a sealed face, it does not. */
const dryAnew = (life: Life, at: number): Life => (life.stage === 'drying' ? { ...life, driesFrom: at } : life);

type FinishEvent = CastEvent & {
  readonly type:
    | 'film-tested'
    | 'assembled'
    | 'unclamped'
    | 'joined'
    | 'decorated'
    | 'seal-planned'
    | 'checked'
    | 'fitted'
    | 'came-later'
    | 'fault-seen'
    | 'found-sound';
};

/** What is done from joining to the door and after. */
function applyFinish(life: Life, event: FinishEvent): Life {
  const { at } = event;
  switch (event.type) {
    case 'film-tested':
      return { ...life, filmTest: { at, ...readFilmTest(event) } };
    case 'assembled': {
      const { bond, clamp, cure } = event;
      const joint = { bond, unclampAt: at + clamp * HOUR, carriesAt: at + cure * HOUR };
      return { ...life, pouredAt: life.pouredAt || at, joint };
    }
    case 'unclamped':
      return { ...life, stage: 'drying', uncoveredAt: at, driesFrom: at };
    case 'joined':
      return { ...life, stage: 'joined', joinedInto: { id: event.article, code: event.code } };
    case 'decorated': {
      const { decoration } = event;
      const done = { ...life, decorated: [...(life.decorated ?? []), { at, decoration }] };
      return decorations[decoration].wets ? dryAnew(done, at) : done;
    }
    case 'seal-planned': {
      const { type: _type, id: _id, at: _at, ...sealPlan } = event;
      return { ...life, sealPlan };
    }
    case 'checked':
      return { ...life, checks: [...(life.checks ?? []), { at, check: event.check, held: event.held }] };
    case 'fitted':
      return { ...life, fitted: [...new Set([...(life.fitted ?? []), event.fitting])] };
    case 'fault-seen': {
      const { type: _type, id: _id, note: _note, ...fault } = event;
      return { ...life, faults: [...(life.faults ?? []), fault] };
    }
    case 'found-sound':
      return { ...life, soundAt: at };
    case 'came-later': {
      const { came, note } = event;
      return { ...life, later: [...(life.later ?? []), { at, came, ...(note && { note }) }] };
    }
  }
}

/** The coat that went on last. */
export const lastCoat = ({ coats }: Pick<Life, 'coats'>): Coat | undefined => coats[coats.length - 1];

/** What a piece weighs as far as is known, g: by its last weighing, else as it was to weigh dry. */
export const massKnown = ({ weighings }: Pick<Life, 'weighings'>, expected: { readonly dry: number }): number =>
  weighings[weighings.length - 1]?.mass ?? expected.dry;

/** When what was put on a piece last by way of decoration is dry, ms. */
export function decorationDryAt({ decorated = [] }: Life): number | undefined {
  const last = decorated[decorated.length - 1];
  return last && last.at + decorations[last.decoration].dries * HOUR;
}

/** Where a cast stands now, by name: where it was moved to, else as its pour said; empty where nobody said. */
export const placeNow = ({ stays }: Life, poured: string | undefined): string =>
  stays?.[stays.length - 1]?.place ?? poured ?? '';

/** A place by its name, or that nobody said. */
export const placeInWords = (place: string): Phrase => place || msg('today.placeUntold');

/** The life of a cast: a fold over the events that stand, whatever the order or batches they came in. */
export function lifeOf(events: readonly CastEvent[]): Life {
  const start: Life = { stage: 'setting', pouredAt: 0, damage: [], weighings: [], coats: [] };
  return standing(events).reduce(apply, start);
}
