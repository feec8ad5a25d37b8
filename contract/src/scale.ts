import { IsBoolean, IsOptional } from 'class-validator';
import { MOST_MASS, Amount, Time, Whole } from './limits.js';

/** One reading of a bench scale. */
export interface ScaleReading {
  /** When it was taken, ms. */
  readonly at: number;
  /** g shown; undefined where the scale shows none. */
  readonly mass?: number;
  readonly state: 'reads' | 'overload';
  /** Step of the scale, g. */
  readonly step: number;
  readonly device: string;
}

/** What is done to the simulated scale. */
export class ScaleEventInput {
  /** g that lie on it from now on. */
  @IsOptional() @Amount(0, 50000) load?: number;
  /** Shows 0 for what lies on it. */
  @IsOptional() @IsBoolean() tare?: boolean;
  /** Says nothing for so long, ms. */
  @IsOptional() @Whole(0, 600_000) silent?: number;
}

/** A reading that a real scale's bridge posts. */
export class ScaleReadingInput {
  @Amount(-MOST_MASS, MOST_MASS) mass: number;
  /** When it was taken, ms; now where left out. */
  @IsOptional() @Time() at?: number;
  /** Step of the scale, g. */
  @IsOptional() @Amount(0.001, 1000) step?: number;
}

/** What is kept of a workshop's bench scale. */
export interface ScaleState {
  /** g that lie on the simulated pan, since when, and what it showed just before. */
  readonly load: number;
  readonly since: number;
  readonly before: number;
  readonly tare: number;
  /** The simulated scale says nothing until then, ms. */
  readonly silentUntil: number;
  /** The last reading that a real scale's bridge posted. */
  readonly posted?: ScaleReading;
}

/** What lies on the simulated scale, for its panel. */
export interface ScaleView {
  readonly load: number;
  readonly tare: number;
  readonly most: number;
  readonly step: number;
}
