import { defined } from '../../foundation/math/index.js';
import { isBinder, type Material, type Scoop } from '../materials/index.js';
import { scoopedVolume, type BatchMasses } from '../mixes/index.js';
import { fewestScoops, nearestScoops, type ScoopedAmount } from './fewest-scoops.js';
import type { Measure, MeasuringWay, Vessels } from './ways.js';

/** A line of a batch before it is measured. */
export interface LineToMeasure {
  readonly material: Material;
  /** Dry g. */
  readonly mass: number;
  /** Room that it takes in a scoop, damp as it is, mL. */
  readonly room: number;
  /** Share of its dry mass. */
  readonly moisture: number;
}

/** How one line is measured, and the dry mass that this comes to, g. */
export interface LineMeasures {
  readonly measures: readonly Measure[];
  readonly measured: number;
}

/** The lines of a batch to be measured. `moisture`: share of dry mass by material id. */
export const linesToMeasure = (
  { portions }: Pick<BatchMasses, 'portions'>,
  moisture: Readonly<Record<string, number>>,
): LineToMeasure[] =>
  portions.map(({ material, mass }) => {
    const damp = moisture[material.id] ?? 0;
    return { material, mass, room: scoopedVolume(material, mass, damp), moisture: damp };
  });

/** Which of the lines the ratios are told against: the first binder, or the first line. */
export const binderAt = (lines: readonly Pick<LineToMeasure, 'material'>[]): number =>
  Math.max(
    0,
    lines.findIndex(({ material }) => isBinder(material)),
  );

/** The same line of a batch `size` times as large. */
export const sizedLine = (line: LineToMeasure, size: number): LineToMeasure => ({
  ...line,
  mass: line.mass * size,
  room: line.room * size,
});

/** Dry g of `volume` mL scooped of a line. */
const massIn = ({ mass, room }: LineToMeasure, volume: number) => (mass * volume) / room;

/** A line of which scoops give an amount. */
export const scooped = (line: LineToMeasure, { measures, volume }: ScoopedAmount): LineMeasures => ({
  measures,
  measured: massIn(line, volume),
});

function onScale({ mass, moisture }: LineToMeasure, step: number): LineMeasures {
  const shown = Math.max(step, Math.round((mass * (1 + moisture)) / step) * step);
  return { measures: [{ kind: 'scale', mass: shown }], measured: shown / (1 + moisture) };
}

function scoopedAndWeighed(line: LineToMeasure, scoop: Scoop, step: number): LineMeasures {
  const count = Math.floor(line.room / scoop.volume + 1e-9);
  if (count === 0) return onScale(line, step);
  const inScoops = massIn(line, count * scoop.volume);
  const rest = Math.round(((line.mass - inScoops) * (1 + line.moisture)) / step) * step;
  return {
    measures: [{ kind: 'scoop', scoop, count }, ...(rest > 0 ? [{ kind: 'scale' as const, mass: rest }] : [])],
    measured: inScoops + rest / (1 + line.moisture),
  };
}

/** The fewest scoopings of a line within shares of what it should be; the nearest scoop where none are. */
export function byScoops(
  line: LineToMeasure,
  [low, high]: readonly [number, number],
  { scoops, step }: Pick<Vessels, 'scoops' | 'step'>,
): LineMeasures {
  const found = fewestScoops([line.room * low, line.room * high], scoops, step);
  if (found) return scooped(line, found);
  const off = ({ volume }: ScoopedAmount) => Math.abs(volume - line.room);
  const nearest = defined(scoops.map((one) => nearestScoops(line.room, one, step)).sort((a, b) => off(a) - off(b))[0]);
  return scooped(line, nearest);
}

/** A line to the nearest that the scale, the one scoop, or both give. What there is no vessel for is weighed. */
export function measureLine(line: LineToMeasure, way: MeasuringWay, vessels: Vessels): LineMeasures {
  const { scoop, step, scaleStep } = vessels;
  if (way === 'scoop' && scoop) return scooped(line, nearestScoops(line.room, scoop, step));
  if (way === 'scoop-and-scale' && scoop) return scoopedAndWeighed(line, scoop, scaleStep);
  return onScale(line, scaleStep);
}
