import {
  ambientSources,
  placeKinds,
  possibleAmbient,
  type AmbientReading,
  type AmbientSource,
  type Bridge,
  type Following,
  type MonthAmbient,
  type PlaceKind,
  type SetAside,
  type WholeAmbientReading,
} from '@dewpot/core/ambient';
import type { Room } from '@dewpot/core/calendar';
import { IsIn, IsOptional, ValidateIf } from 'class-validator';
import { LATEST, Amount, ListOf, Millimetres, Part, Share, Text, Version } from './limits.js';
import { MOST_READINGS } from './page.js';

/**
 * Where a place’s air comes from: nobody has said, one typed figure, a table of twelve months, a logger, readings out of files, or
 * the simulated forecast, which is the demo’s alone.
 */

/** What the air of a place rests on. */
export type AmbientBasis = 'guess' | 'typed' | 'season' | 'measured' | 'simulated';

/** What is taken of a place of which nobody has said anything: °C, a share, km/h. */
export const GUESSED_AIR = { temperature: 18, humidity: 0.65, wind: 0 } as const;

export class TypedAmbient {
  @Amount(possibleAmbient.temperature.min, possibleAmbient.temperature.max) temperature: number;
  /** Share, 0–1. */
  @Share() humidity: number;
  /** km/h */
  @Amount(0, possibleAmbient.wind.max) wind: number;
}

/** The air of a month, as the caster knows it. */
export class MonthAmbientInput implements MonthAmbient {
  @Amount(possibleAmbient.temperature.min, possibleAmbient.temperature.max) temperature: number;
  /** Share, 0–1. */
  @Share() humidity: number;
}

/** Planks on which pieces stand, all together, mm. */
export class RoomInput implements Room {
  @Millimetres() length: number;
  @Millimetres() depth: number;
}

/** A place in which casts stand. */
export class PlaceInput {
  @Text(1, 60) name: string;
  @IsIn(placeKinds) kind: PlaceKind;
  @IsIn(ambientSources) source: AmbientSource;
  @ValidateIf(({ source }: PlaceInput) => source === 'typed')
  @Part(() => TypedAmbient)
  typed?: TypedAmbient;
  /** January first. */
  @ValidateIf(({ source }: PlaceInput) => source === 'season')
  @ListOf(() => MonthAmbientInput, { least: 12, most: 12 })
  season?: readonly MonthAmbientInput[];
  /** Of a logger: it is the simulated one that ships with the application, and not a real one that posts its readings. */
  @IsOptional() @IsIn([true]) simulated?: true;
  /** Room for pieces that are poured, cure and dry in it; as much as is wanted where it is left out. */
  @IsOptional() @Part(() => RoomInput) room?: RoomInput;
  @Version() version: number;
}

/** A reading as a logger tells it. What cannot be is set aside, not refused: a logger cannot mend it. */
export class AmbientReadingInput implements AmbientReading {
  /** ms */
  @Amount(0, LATEST) at: number;
  @Amount(-10_000, 10_000) temperature: number;
  @IsOptional() @Amount(-10_000, 10_000) humidity?: number;
  @IsOptional() @Amount(-10_000, 10_000) wind?: number;
}

export class ReadingsInput {
  @ListOf(() => AmbientReadingInput, { least: 1, most: MOST_READINGS })
  readings: readonly AmbientReadingInput[];
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
  readonly now?: WholeAmbientReading;
  readonly lastRead?: number;
  readonly basis: AmbientBasis;
}

/** The air of a place over a stretch: recorded, bridged, forecast. */
export interface PlaceAmbient {
  readonly place: PlaceView;
  readonly recorded: readonly WholeAmbientReading[];
  readonly bridges: readonly Bridge[];
  /** The latest that were set aside, newest first. */
  readonly aside: readonly SetAside[];
  readonly ahead: readonly WholeAmbientReading[];
  readonly following: Following;
}

/** The air now, behind and ahead, in the place that a workshop calls its first. */
export interface AmbientView {
  readonly station: string;
  readonly basis: AmbientBasis;
  readonly now: WholeAmbientReading;
  readonly past: readonly WholeAmbientReading[];
  readonly ahead: readonly WholeAmbientReading[];
}
