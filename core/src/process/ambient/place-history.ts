import { mean, defined } from '../../foundation/math/index.js';
import { HOUR } from '../../foundation/units/index.js';
import type { AmbientReading } from './readings.js';

/** Where the air of a place is known from. */
export const ambientSources = ['unknown', 'typed', 'season', 'logger', 'files', 'forecast'] as const;
export type AmbientSource = (typeof ambientSources)[number];

/** Where casts stand. */
export const placeKinds = ['shed', 'bag', 'cellar', 'yard'] as const;
export type PlaceKind = (typeof placeKinds)[number];

/** How a place follows the air outdoors: °C = `offset` + `share` × °C outdoors; its humidity and wind likewise. */
export interface Following {
  readonly offset: number;
  readonly share: number;
  /** Humidity in it less that outdoors. */
  readonly damper: number;
  /** Share of the wind that reaches a face. */
  readonly wind: number;
  /** Pairs of readings that it was learned from; 0 by the handbook. */
  readonly learnedFrom: number;
}

/** By the handbook: a shed smooths the day, a cellar hardly knows of it, in a bag the air is wet and still. */
export const handbookFollowing: Record<PlaceKind, Following> = {
  yard: { offset: 0, share: 1, damper: 0, wind: 1, learnedFrom: 0 },
  shed: { offset: 2.5, share: 0.85, damper: -0.05, wind: 0.3, learnedFrom: 0 },
  bag: { offset: 3, share: 0.85, damper: 0.25, wind: 0, learnedFrom: 0 },
  cellar: { offset: 10, share: 0.25, damper: 0.05, wind: 0, learnedFrom: 0 },
};

/** Fewer hours than this teach nothing. */
const LEAST_PAIRS = 24;

/** How a place followed the air outdoors over the readings given of both, by least squares; as the handbook says where they are too few. */
export function follow(
  place: readonly AmbientReading[],
  outdoors: readonly AmbientReading[],
  kind: PlaceKind,
): Following {
  const outside = new Map(outdoors.map((one) => [Math.round(one.at / HOUR), one]));
  const pairs = place.flatMap((inside) => {
    const out = outside.get(Math.round(inside.at / HOUR));
    return out ? [{ inside, out }] : [];
  });
  const usual = handbookFollowing[kind];
  if (pairs.length < LEAST_PAIRS) return usual;
  const x = pairs.map(({ out }) => out.temperature);
  const y = pairs.map(({ inside }) => inside.temperature);
  const [mx, my] = [mean(x), mean(y)];
  const spread = x.reduce((sum, value) => sum + (value - mx) ** 2, 0);
  const together = x.reduce((sum, value, i) => sum + (value - mx) * (defined(y[i]) - my), 0);
  const share = spread < 1 ? usual.share : Math.min(1.2, Math.max(0, together / spread));
  const damp = pairs.flatMap(({ inside, out }) =>
    inside.humidity === undefined || out.humidity === undefined ? [] : [inside.humidity - out.humidity],
  );
  return {
    offset: my - share * mx,
    share,
    damper: damp.length < LEAST_PAIRS ? usual.damper : mean(damp),
    wind: usual.wind,
    learnedFrom: pairs.length,
  };
}

/** The air of a place as it follows a reading outdoors. */
export function followed(
  { at, temperature, humidity = 0.7, wind = 0 }: AmbientReading,
  following: Following,
): Required<AmbientReading> {
  return {
    at,
    temperature: following.offset + following.share * temperature,
    humidity: Math.min(1, Math.max(0.05, humidity + following.damper)),
    wind: wind * following.wind,
  };
}
