import {
  airSources,
  placeKinds,
  possibleAir,
  type AirReading,
  type AirSource,
  type Bridge,
  type Following,
  type MonthAir,
  type PlaceKind,
  type SetAside,
} from '@dewpot/core/ambient';
import { IsIn, IsOptional, ValidateIf } from 'class-validator';
import { LATEST, Amount, ListOf, Part, Share, Text, Version } from './limits.js';

/** The air whole: ms, °C, a share, km/h. */
export type WholeAirReading = Required<AirReading>;

/**
 * Where a place’s air comes from: nobody has said, one typed figure, a table of twelve months, a logger, readings out of files, or
 * the simulated forecast, which is the demo’s alone.
 */

/** What the air of a place rests on. */
export type AirBasis = 'guess' | 'typed' | 'season' | 'measured' | 'simulated';

/** What is taken of a place of which nobody has said anything: °C, a share, km/h. */
export const GUESSED_AIR = { temperature: 18, humidity: 0.65, wind: 0 } as const;

export class TypedAir {
  @Amount(possibleAir.temperature.min, possibleAir.temperature.max) temperature: number;
  /** Share, 0–1. */
  @Share() humidity: number;
  /** km/h */
  @Amount(0, possibleAir.wind.max) wind: number;
}

/** The air of a month, as the caster knows it. */
export class MonthAirInput implements MonthAir {
  @Amount(possibleAir.temperature.min, possibleAir.temperature.max) temperature: number;
  /** Share, 0–1. */
  @Share() humidity: number;
}

/** A place in which casts stand. */
export class PlaceInput {
  @Text(1, 60) name: string;
  @IsIn(placeKinds) kind: PlaceKind;
  @IsIn(airSources) source: AirSource;
  @ValidateIf(({ source }: PlaceInput) => source === 'typed')
  @Part(() => TypedAir)
  typed?: TypedAir;
  /** January first. */
  @ValidateIf(({ source }: PlaceInput) => source === 'season')
  @ListOf(() => MonthAirInput, { least: 12, most: 12 })
  season?: readonly MonthAirInput[];
  /** Of a logger: it is the simulated one that ships with the application, and not a real one that posts its readings. */
  @IsOptional() @IsIn([true]) simulated?: true;
  @Version() version: number;
}

/** A reading as a logger tells it. What cannot be is set aside, not refused: a logger cannot mend it. */
export class AirReadingInput implements AirReading {
  /** ms */
  @Amount(0, LATEST) at: number;
  @Amount(-10_000, 10_000) temperature: number;
  @IsOptional() @Amount(-10_000, 10_000) humidity?: number;
  @IsOptional() @Amount(-10_000, 10_000) wind?: number;
}

export const MOST_READINGS = 5000;

export class ReadingsInput {
  @ListOf(() => AirReadingInput, { least: 1, most: MOST_READINGS })
  readings: readonly AirReadingInput[];
}

/** What came of readings that were sent in. */
export interface ReadingsTaken {
  readonly kept: number;
  /** Those that were here already. */
  readonly twice: number;
  readonly aside: readonly SetAside[];
}

export interface PlaceView extends Omit<PlaceInput, 'version'> {
  readonly id: string;
  readonly version: number;
  /** The air in it now, and since when it is known; undefined where nothing was read yet. */
  readonly now?: WholeAirReading;
  readonly lastRead?: number;
  readonly basis: AirBasis;
}

/** The air of a place over a stretch: recorded, bridged, forecast. */
export interface PlaceAir {
  readonly place: PlaceView;
  readonly recorded: readonly WholeAirReading[];
  readonly bridges: readonly Bridge[];
  /** The latest that were set aside, newest first. */
  readonly aside: readonly SetAside[];
  readonly ahead: readonly WholeAirReading[];
  readonly following: Following;
}
