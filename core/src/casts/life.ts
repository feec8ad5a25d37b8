import type { Weighing } from '../finish/index.js';
import { standing, type CastEvent, type Damage, type Side } from './events.js';

/** Where a cast stands in the work. */
export type Stage = 'setting' | 'damp' | 'drying' | 'sealed' | 'out' | 'broken';

export interface Coat {
  readonly id: string;
  readonly at: number;
  readonly sealer: string;
  readonly side: Side;
  readonly overruled?: string;
}

/** What a cast's events come to. Times in ms. */
export interface Life {
  readonly stage: Stage;
  readonly pouredAt: number;
  readonly liftedAt?: number;
  readonly damage: readonly Damage[];
  /** Bubbles on its faces, the worst of five grades; undefined where nobody looked. */
  readonly bubbles?: number;
  readonly wettedAt?: number;
  readonly uncoveredAt?: number;
  readonly weighings: readonly Weighing[];
  readonly weighedAt?: number;
  readonly coats: readonly Coat[];
  readonly outAt?: number;
  readonly brokenAt?: number;
}

const HOUR = 3_600_000;

function apply(life: Life, event: CastEvent): Life {
  switch (event.type) {
    case 'poured':
      return { ...life, pouredAt: event.at };
    case 'lifted-out':
      return { ...life, stage: 'damp', liftedAt: event.at, damage: event.damage };
    case 'wetted':
      return { ...life, wettedAt: event.at };
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

/** The life of a cast: a fold over the events that stand, whatever the order or batches they came in. */
export function lifeOf(events: readonly CastEvent[]): Life {
  const start: Life = { stage: 'setting', pouredAt: 0, damage: [], weighings: [], coats: [] };
  return standing(events).reduce(apply, start);
}
