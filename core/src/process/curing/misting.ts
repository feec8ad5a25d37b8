import { Checker, computed, figure, line, type Figure, msg } from '../../foundation/units/index.js';

/** Water that one wetting leaves on a face, kg/m². */
const LEFT = { plain: 0.3, lightweight: 0.5 } as const;
/** Lightweight faces lose so much more. */
const LIGHTWEIGHT_LOSS = 1.3;
/** More wettings a day than this: cover it instead. */
export const MOST_WETTINGS = 6;

/** When the caster is up, hours of the day. */
export interface Waking {
  readonly from: number;
  readonly to: number;
}
export const usualWaking: Waking = { from: 7, to: 22 };

/** What an open face loses and what a wetting leaves on it. */
export interface FaceWater {
  /** kg/m²/h off the face. */
  readonly loss: number;
  /** kg/m² that a wetting leaves. */
  readonly left: number;
}

/** The water of a face: `evaporation` kg/m²/h as for any wet face. */
export const faceWater = (evaporation: number, lightweight: boolean): FaceWater => ({
  loss: evaporation * (lightweight ? LIGHTWEIGHT_LOSS : 1),
  left: lightweight ? LEFT.lightweight : LEFT.plain,
});

/** When to wet a face in the waking hours of a day. */
export interface MistingPlan {
  /** Hours of the day; empty where nothing evaporates, and where a cover does it better. */
  readonly times: readonly number[];
  /** How many wettings it would take; 0 where nothing evaporates. */
  readonly wettings: number;
  /** Hours that one wetting lasts. */
  readonly lasts: Figure;
  readonly coverInstead: boolean;
}

/**
 * When to wet an open face on a day: first at waking, then as often as what a wetting leaves has gone; above six a day cover it
 * instead; none where nothing evaporates. `evaporation` kg/m²/h. Handbook section 11. @throws InputError
 */
export function mistingPlan(evaporation: number, lightweight: boolean, waking: Waking = usualWaking): MistingPlan {
  checkWaking(evaporation, waking);
  const { loss, left } = faceWater(evaporation, lightweight);
  const hours = waking.to - waking.from;
  const lasting = loss > 0 ? left / loss : Infinity;
  const wettings = loss > 0 ? Math.ceil(hours / lasting - 1e-9) : 0;
  const lasts = figure(Math.min(lasting, 999), 'h', computed, [
    line(msg('curing.offWetFace'), evaporation, 'kg/m²/h'),
    ...(lightweight ? [line(msg('curing.lightFaceLoses'), loss, 'kg/m²/h')] : []),
    line(msg('curing.wettingLeaves'), left, 'ratio', 'kg/m²'),
    line(msg('curing.itLasts'), Math.min(lasting, 999), 'h'),
  ]);
  const coverInstead = wettings > MOST_WETTINGS;
  const times =
    coverInstead || wettings === 0 ? [] : Array.from({ length: wettings }, (_, i) => waking.from + i * lasting);
  return { times, wettings, lasts, coverInstead };
}

function checkWaking(evaporation: number, { from, to }: Waking): void {
  const check = new Checker();
  check.number('evaporation', evaporation, msg('curing.evaporates'), { min: 0, max: 20, unit: 'kg/m²/h' });
  check.number('waking.from', from, msg('curing.wakingHour'), { min: 0, max: 24, unit: 'h' });
  check.number('waking.to', to, msg('curing.lastWakingHour'), { min: 0, max: 24, unit: 'h' });
  check.expect(to > from, 'waking.to', to, msg('curing.dayEndsEarly'), msg('curing.laterHour'));
  check.done();
}
