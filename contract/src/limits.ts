import { MOST_HOURS } from '@dewpot/core/units';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsIn,
  IsInt,
  IsNumber,
  IsObject,
  IsString,
  IsUUID,
  Length,
  Max,
  Min,
  registerDecorator,
  ValidateNested,
} from 'class-validator';

/** The largest length that is measured, mm: 20 m. */
export const MOST_LENGTH = 20_000;
/** Points of an outline. */
export const MOST_POINTS = 4000;
/** The smallest length that a tape measures, mm. */
export const LEAST_LENGTH = 0.1;
/** The largest volume of one thing, mL: 10 m³. */
export const MOST_VOLUME = 1e7;
/** The largest mass of one thing, g: 10 t. */
export const MOST_MASS = 1e7;
/** The most water that a material holds, share of its dry mass: peat and coir hold about two. */
export const MOST_MOISTURE = 5;
/** The latest time that is written down, ms: the year 2100. */
export const LATEST = Date.UTC(2100, 0, 1);

/** Several checks as one. */
export const every =
  (...decorators: readonly PropertyDecorator[]): PropertyDecorator =>
  (target, field) =>
    decorators.forEach((decorate) => decorate(target, field));

/** A number between two bounds, both included. */
export const Amount = (least: number, most: number) => every(IsNumber(), Min(least), Max(most));
/** A whole number between two bounds, both included. */
export const Whole = (least: number, most: number) => every(IsInt(), Min(least), Max(most));
/** A length, mm. */
export const Millimetres = (least = LEAST_LENGTH) => Amount(least, MOST_LENGTH);
/** A position or a difference of heights, mm. */
export const Offset = () => Amount(-MOST_LENGTH, MOST_LENGTH);
/** An area, mm². */
export const Area = () => Amount(0, MOST_LENGTH ** 2);
/** A volume, mL. */
export const Millilitres = (least = 0) => Amount(least, MOST_VOLUME);
/** A mass, g. */
export const Grams = (least = 0) => Amount(least, MOST_MASS);
/** A density, kg/L. */
export const Density = () => Amount(0.01, 25);
/** A share, 0 to 1. */
export const Share = () => Amount(0, 1);
/** A temperature, °C. */
export const Celsius = () => Amount(-50, 100);
/** Hours from a moment on, or before it. */
export const Hours = (least = -MOST_HOURS) => Amount(least, MOST_HOURS);
/** A time, ms since 1970. */
export const Time = () => Whole(0, LATEST);
/** The version that an edit was made on; 0 for a new thing. */
export const Version = () => Whole(0, 1_000_000_000);
/** Text of so many characters. */
export const Text = (least: number, most: number) => every(IsString(), Length(least, most));

/** How long a list may be. */
export interface Size {
  readonly least?: number;
  readonly most: number;
}

/** Checks of a list and its length. */
export const sized = ({ least, most }: Size) => [
  IsArray(),
  ArrayMaxSize(most),
  ...(least === undefined ? [] : [ArrayMinSize(least)]),
];

/** A part that is an object of its own. */
export const Part = (of: () => new () => object) => every(IsObject(), ValidateNested(), Type(of));
/** A list of parts. A list within the list is refused: it would pass as one that was checked. */
export const ListOf = (of: () => new () => object, size: Size) =>
  every(...sized(size), IsObject({ each: true }), ValidateNested({ each: true }), Type(of));
/** A list of numbers. */
export const Amounts = (least: number, most: number, size: Size) =>
  every(...sized(size), IsNumber({}, { each: true }), Min(least, { each: true }), Max(most, { each: true }));
/** A list of words out of those offered. */
export const Choices = (offered: readonly string[], size: Size) =>
  every(...sized(size), IsIn([...offered], { each: true }));
/** A list of texts. */
export const Texts = (least: number, most: number, size: Size) =>
  every(...sized(size), IsString({ each: true }), Length(least, most, { each: true }));

/** A list of keys of things. */
export const Keys = (size: Size) => every(...sized(size), IsUUID(undefined, { each: true }));

/** Names of the checks that are made here: a test takes fields with these as bounded. */
export const BY_KEY = 'byKey';
export const LOOPS = 'loops';
export const OUTLINE = 'outline';

const isPoint = (point: unknown) =>
  Array.isArray(point) &&
  point.length === 2 &&
  point.every((at) => typeof at === 'number' && Number.isFinite(at) && Math.abs(at) <= MOST_LENGTH);

const isOutline = (value: unknown, { least = 0, most }: Size) =>
  Array.isArray(value) && value.length >= least && value.length <= most && value.every(isPoint);

function check(name: string, message: string, holds: (value: unknown) => boolean): PropertyDecorator {
  return (target, field) =>
    registerDecorator({
      name,
      target: target.constructor,
      propertyName: String(field),
      validator: { validate: holds, defaultMessage: () => `${String(field)} ${message}` },
    });
}

const entries = (value: unknown): [string, unknown][] | undefined =>
  typeof value === 'object' && value !== null && !Array.isArray(value) ? Object.entries(value) : undefined;

const MOST_KEYS = 100;
const MOST_KEY = 80;

const byKey = (what: string, holds: (value: unknown) => boolean) =>
  check(BY_KEY, `must be an object of at most ${MOST_KEYS} ${what}`, (value) => {
    const all = entries(value);
    return (
      all !== undefined &&
      all.length <= MOST_KEYS &&
      all.every(([key, one]) => key !== '__proto__' && key.length <= MOST_KEY && holds(one))
    );
  });

/** A number for each key. */
export const AmountByKey = (least: number, most: number) =>
  byKey(
    `numbers from ${least} to ${most}`,
    (one) => typeof one === 'number' && Number.isFinite(one) && one >= least && one <= most,
  );

/** A text for each key. */
export const TextByKey = (most: number) =>
  byKey(`texts of at most ${most} characters`, (one) => typeof one === 'string' && one.length <= most);

/** A closed outline, [x, y] in mm, once round. */
export const Outline = (size: Size) =>
  check(
    OUTLINE,
    `must be a list of ${size.least ?? 0} to ${size.most} points, each [x, y] within ${MOST_LENGTH} mm`,
    (value) => isOutline(value, size),
  );

/** Closed outlines, each a list of [x, y] in mm, of at most so many points in all. */
export const Loops = (size: Size, points: number) =>
  check(
    LOOPS,
    `must be ${size.least ?? 0} to ${size.most} outlines of at most ${points} points in all, each [x, y] within ${MOST_LENGTH} mm`,
    (value) =>
      Array.isArray(value) &&
      value.length >= (size.least ?? 0) &&
      value.length <= size.most &&
      value.every((loop) => isOutline(loop, { most: points })) &&
      value.reduce((sum: number, loop: unknown[]) => sum + loop.length, 0) <= points,
  );
