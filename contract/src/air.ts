import type { AirBasis, WholeAirReading } from './ambient.js';

/** The air at an hour. */
export type AirReading = WholeAirReading;

/** The air now, behind and ahead, in the place that a workshop calls its first. */
export interface AirView {
  readonly station: string;
  readonly basis: AirBasis;
  readonly now: AirReading;
  readonly past: readonly AirReading[];
  readonly ahead: readonly AirReading[];
}
