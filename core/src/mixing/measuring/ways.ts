import type { Material, Scoop, ScoopStep } from '../materials/index.js';
import type { BatchMasses } from '../mixes/index.js';

/** Error of a ratio that measuring may make, as a share. */
export const RATIO_TOLERANCE = 0.03;

/** How a caster measures out a batch. */
export const measuringWays = ['scale', 'scoop', 'scoops', 'scoop-and-scale'] as const;
export type MeasuringWay = (typeof measuringWays)[number];

/** What the caster measures with. */
export interface Vessels {
  /** The one scoop that is at hand; undefined where there is none. */
  readonly scoop?: Scoop | undefined;
  /** All scoops of the workshop, level and heaped. */
  readonly scoops: readonly Scoop[];
  /** To what part of a scoop amounts are rounded. */
  readonly step: ScoopStep;
  /** Step of the scale, g. */
  readonly scaleStep: number;
}

/** Part of a material as it is measured: so many of a scoop, or g on the scale. */
export type Measure =
  | { readonly kind: 'scoop'; readonly scoop: Scoop; readonly count: number }
  | { readonly kind: 'scale'; readonly mass: number };

/** One material of a batch, measured out. */
export interface MeasuredLine {
  readonly material: Material;
  /** Dry mass that it should be, g. */
  readonly mass: number;
  /** Room that it takes in a scoop, damp as it is, mL. */
  readonly room: number;
  /** In the order in which they go in. */
  readonly measures: readonly Measure[];
  /** Dry mass that its measures hold, g. */
  readonly measured: number;
  /** How far measuring takes its ratio to the binder, as a share. */
  readonly ratioError: number;
}

/** A batch as it can be measured out. */
export interface MeasuredBatch {
  readonly way: MeasuringWay;
  /** The batch whose measures come out best, as a factor on the one asked for. */
  readonly factor: number;
  readonly batch: BatchMasses;
  readonly lines: readonly MeasuredLine[];
  /** Fresh mix that the measures make, mL. */
  readonly made: number;
  /** Largest error of a ratio, as a share. */
  readonly worst: number;
  /** Scoopings and weighings of all lines. */
  readonly measures: number;
  /** Free water to cement as it is measured. */
  readonly ratio: number;
}

/** Scoopings of a count of scoops: a part of one is one. */
export const scoopings = (count: number): number => Math.ceil(count - 1e-9);

/** Scoopings and weighings of measures. */
export const countMeasures = (measures: readonly Measure[]): number =>
  measures.reduce((sum, one) => sum + (one.kind === 'scoop' ? scoopings(one.count) : 1), 0);
