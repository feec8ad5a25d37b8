import type { Sealer, SealerKind } from '../../mixing/materials/index.js';
import type { Bath, Cover } from '../../process/curing/index.js';
import type { CoatTool, Decoration, DryingAmbient, PieceUse, SealCheck, Side } from '../../process/sealing/index.js';
import type { Bond } from '../assembly/index.js';
import type { Fitting } from '../care/index.js';
import type { SeenFault } from './faults.js';

/** Where on a piece. */
export const spots = ['corner', 'rim', 'base', 'core-end', 'face'] as const;
export type Spot = (typeof spots)[number];
export const damageSizes = ['chip', 'piece', 'through'] as const;
export type DamageSize = (typeof damageSizes)[number];
/** How a piece came out of its mould. */
export const forces = ['slid', 'tapped', 'fought'] as const;
export type Force = (typeof forces)[number];
/** What a caster puts damage at demoulding down to; only what came too early teaches the next. */
export const damageCauses = ['early', 'stuck', 'dropped'] as const;
export type DamageCause = (typeof damageCauses)[number];
/** Short works on a piece out of the mould. */
export const dressings = ['flashing', 'edges', 'pinholes', 'grit', 'drain hole', 'green texture'] as const;
export type Dressing = (typeof dressings)[number];
/** What is done to a cast on the round. */
export const castTasks = [
  'remove-core',
  'demould',
  'unclamp',
  'cover',
  'wet',
  'end-soak',
  'end-moist-curing',
  'weigh',
  'moisture-test',
  'coat',
  'seal-test',
  'finish',
  'record-condition',
  'reseal',
] as const;
export type CastTask = (typeof castTasks)[number];
/** How a piece left. */
export const goneWays = ['kept', 'given', 'sold'] as const;
export type Gone = (typeof goneWays)[number];
/** What became of a piece later. */
export const cameLater = ['well', 'frost', 'bloom', 'crack', 'sealer let go', 'gone'] as const;
export type CameLater = (typeof cameLater)[number];

/** Where a cast was hurt and how badly. */
export interface Damage {
  readonly spot: Spot;
  readonly size: DamageSize;
}

/** How a piece is to be sealed: for what it is to serve, with what. Without a sealer it is left bare. */
export interface SealPlan {
  readonly uses: readonly PieceUse[];
  readonly sealer?: SealerKind;
  readonly product?: Sealer;
  readonly materialId?: string;
  readonly coats: number;
  readonly side: Side;
}

/** Voids that were counted on a photo of a face. */
export interface VoidsCounted {
  /** Of the patch, 0–1. */
  readonly share: number;
  readonly per100: number;
  /** Where the patch lies on the photo of the event, as shares of its sides. */
  readonly patch: { readonly x: number; readonly y: number; readonly width: number; readonly height: number };
  /** Width of the patch on the piece, mm. */
  readonly across: number;
}

/** What happened to a cast, beside when. */
export type CastEventBody =
  | { readonly type: 'poured' }
  | { readonly type: 'wetted' }
  | { readonly type: 'covered'; readonly cover: Cover }
  | { readonly type: 'moved'; readonly place: string; readonly placeId?: string }
  | { readonly type: 'pulled'; readonly core: string }
  | {
      readonly type: 'demoulded';
      readonly damage: readonly Damage[];
      readonly force?: Force;
      readonly cause?: DamageCause;
      readonly equivalentAge?: number;
    }
  | { readonly type: 'dressed'; readonly work: Dressing; readonly grit?: number; readonly note?: string }
  | { readonly type: 'soaked'; readonly bath: Bath; readonly hours: number }
  | { readonly type: 'rinsed' }
  | { readonly type: 'ph'; readonly ph: number }
  | { readonly type: 'postponed'; readonly task: CastTask; readonly until: number }
  | { readonly type: 'uncovered' }
  | {
      readonly type: 'weighed';
      readonly mass: number;
      readonly step: number;
      readonly temperature?: number;
      readonly humidity?: number;
      /** How many like pieces lay on the scale together: its mass is its share. */
      readonly together?: number;
      /** The caster was asked whether it is the right piece, and said so. */
      readonly sure?: boolean;
    }
  | { readonly type: 'film-tested'; readonly hours: number; readonly drops: boolean }
  | {
      readonly type: 'assembled';
      readonly bond: Bond;
      /** Hours until it is unclamped, and until it carries. */
      readonly clamp: number;
      readonly cure: number;
      readonly note?: string;
    }
  | { readonly type: 'unclamped' }
  | { readonly type: 'joined'; readonly article: string; readonly code: string }
  | {
      readonly type: 'decorated';
      readonly decoration: Decoration;
      readonly note?: string;
      readonly overridden?: string;
    }
  | ({ readonly type: 'seal-planned' } & SealPlan)
  | {
      readonly type: 'coated';
      readonly sealer: SealerKind;
      readonly side: Side;
      /** The product as its sheet was then, and the lot that it came from. */
      readonly product?: Sealer;
      readonly lotId?: string;
      /** mL that went on. */
      readonly volume?: number;
      readonly tool?: CoatTool;
      readonly ambient?: DryingAmbient;
      readonly overridden?: string;
      /** Of a gate that was overridden: the water that may be left over the limit. */
      readonly over?: number;
    }
  | { readonly type: 'checked'; readonly check: SealCheck; readonly held: boolean; readonly note?: string }
  | { readonly type: 'fitted'; readonly fitting: Fitting; readonly note?: string }
  | { readonly type: 'bubbles'; readonly face: Spot; readonly grade: number; readonly counted?: VoidsCounted }
  /** The colour of its dry face, and the one that was wanted, #rrggbb, and how far they lie apart, ΔE00. */
  | { readonly type: 'colour-seen'; readonly colour: string; readonly wanted: string; readonly difference: number }
  | {
      readonly type: 'finished';
      readonly where?: string;
      readonly gone?: Gone;
      /** In the workshop's money. */
      readonly price?: number;
    }
  | { readonly type: 'came-later'; readonly came: CameLater; readonly note?: string }
  | ({ readonly type: 'fault-seen'; readonly note?: string } & SeenFault)
  /** Looked at, and nothing was wrong with it. */
  | { readonly type: 'found-sound' }
  | { readonly type: 'broken'; readonly how?: string }
  | { readonly type: 'voided'; readonly event: string };

export type CastEventType = CastEventBody['type'];

/** An event of a cast's life. Appended, never changed; a mistake is voided by another event. `at` in ms. */
export type CastEvent = CastEventBody & { readonly id: string; readonly at: number };

/** Events that still count, in the order in which they happened. */
export function standing(events: readonly CastEvent[]): CastEvent[] {
  const voided = new Set(events.flatMap((event) => (event.type === 'voided' ? [event.event] : [])));
  return events
    .filter((event) => event.type !== 'voided' && !voided.has(event.id))
    .sort((a, b) => a.at - b.at || (a.id < b.id ? -1 : 1));
}
