import type { Spot } from './events.js';

/** The faults of a cast, in the order of the handbook's table (section 14). */
export const faults = [
  'pinholes',
  'broken-edge',
  'crazing',
  'crack',
  'crumbly',
  'dusty',
  'parting',
  'bare-patch',
  'streaks',
  'pale',
  'bloom',
  'stuck-core',
  'bulged',
  'leak',
  'sealer',
  'short',
] as const;
export type Fault = (typeof faults)[number];

/** How badly: slight, clear, or such that the piece is spoilt. */
export const severities = ['slight', 'clear', 'spoilt'] as const;
export type Severity = (typeof severities)[number];

/** Where on the drawing of a piece: shares of its width from the left and of its height from the foot, 0–1. */
export interface DrawnPoint {
  readonly x: number;
  readonly y: number;
}

/** A fault as it was seen on a cast. */
export interface SeenFault {
  readonly fault: Fault;
  readonly severity: Severity;
  readonly spot?: Spot;
  readonly drawn?: DrawnPoint;
}
