import { Checker, msg } from '../../foundation/units/index.js';

/** From so many like pieces on a sample is enough. */
const FROM = 4;
/** Pieces of one pour differ: what was learned of others may still be judged by less water, this share of the limit. */
export const SAMPLE_EASE = 0.85;

/** How many of `like` pieces of one pour are weighed so that the rest can be inferred: all of up to three, else two, three from ten on. */
export function sampleSize(like: number): number {
  if (like < FROM) return like;
  return like < 10 ? 2 : 3;
}

/** Pieces whose own masses stand for a weighing together, each with what it was expected to weigh dry, g. */
export interface WeighedTogether {
  /** What the scale said of all of them, g, and its step. */
  readonly total: number;
  readonly step: number;
  readonly dry: readonly number[];
}

/**
 * The share of each piece of a weighing together, g: by what each was expected to weigh. The step is shared too, so that a coarse
 * scale tells of six small pieces what it cannot tell of one. @throws InputError
 */
export function shareTogether({
  total,
  step,
  dry,
}: WeighedTogether): { readonly mass: number; readonly step: number }[] {
  const check = new Checker();
  check.number('total', total, msg('sealing.weighing'), { above: 0, unit: 'g' });
  check.number('step', step, msg('sealing.scaleStep'), { above: 0, max: 1000, unit: 'g' });
  check.expect(dry.length >= 2, 'dry', dry.length, msg('sealing.onePieceTogether'), msg('sealing.twoOrMore'));
  dry.forEach((mass, i) => check.number(`dry.${i}`, mass, msg('sealing.pieceDry'), { above: 0, unit: 'g' }));
  check.done();
  const all = dry.reduce((sum, one) => sum + one, 0);
  return dry.map((one) => ({ mass: (total * one) / all, step: (step * one) / all }));
}
