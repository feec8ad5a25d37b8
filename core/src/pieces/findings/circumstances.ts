import type { Unit } from '../../foundation/units/index.js';
import type { Phase } from './phases.js';

/** A quantity that is on record of a cast. */
interface Kind {
  readonly unit: Unit;
  readonly decimals: number;
  /** It is measured no better than this. */
  readonly error: number;
  /** The part of the work in which it is settled. */
  readonly phase: Phase;
}

/**
 * What a cast stood under, as far as it can be a cause (handbook 20). Shares are of what the handbook or the plan gives, so that 1 is the limit;
 * a flag is 1 where it holds, else 0.
 */
export const circumstances = {
  /** Water in all, as a share of what was calculated. */
  water: { unit: '%', decimals: 0, error: 0.02, phase: 'pour' },
  /** Free water to cement. */
  ratio: { unit: 'ratio', decimals: 2, error: 0.01, phase: 'pour' },
  /** Grades wetter than planned. */
  grade: { unit: 'count', decimals: 0, error: 0.25, phase: 'pour' },
  /** Of the sand, as a share of its dry mass. */
  moisture: { unit: '%', decimals: 1, error: 0.01, phase: 'pour' },
  /** Since the cement was opened. */
  binderAge: { unit: 'days', decimals: 0, error: 3, phase: 'pour' },
  /** Pigment, as a share of the most there may be. */
  pigment: { unit: '%', decimals: 0, error: 0.03, phase: 'pour' },
  /** Plasticiser, as a share of the most there may be. */
  plasticiser: { unit: '%', decimals: 0, error: 0.05, phase: 'pour' },
  /** At the bench. */
  temperature: { unit: '°C', decimals: 0, error: 1, phase: 'pour' },
  /** From water to the last mould, as a share of the pot life. */
  placing: { unit: '%', decimals: 0, error: 0.05, phase: 'pour' },
  /** The longest wait between two lifts, as a share of the initial set. */
  liftWait: { unit: '%', decimals: 0, error: 0.05, phase: 'pour' },
  /** Flag: filled at once. */
  oneLift: { unit: 'count', decimals: 0, error: 0.2, phase: 'pour' },
  /** Flag: neither tapped nor vibrated. */
  notTapped: { unit: 'count', decimals: 0, error: 0.2, phase: 'pour' },
  vibration: { unit: 'min', decimals: 1, error: 0.25, phase: 'pour' },
  /** Flag: neither fibre nor mesh. */
  unreinforced: { unit: 'count', decimals: 0, error: 0.2, phase: 'pour' },
  /** Flag: no release on a mould that wants one. */
  noRelease: { unit: 'count', decimals: 0, error: 0.2, phase: 'pour' },
  /** Casts that the copy of the mould gave before. */
  cycles: { unit: 'count', decimals: 0, error: 1, phase: 'pour' },
  /** The worst evaporation of the first day. */
  evaporation: { unit: 'kg/m²/h', decimals: 2, error: 0.05, phase: 'mould' },
  /** Hours of the first day over the limit. */
  evaporationHours: { unit: 'h', decimals: 1, error: 0.25, phase: 'mould' },
  /** Flag: nothing lay over it. */
  uncovered: { unit: 'count', decimals: 0, error: 0.2, phase: 'mould' },
  /** The lowest temperature before it could bear frost. */
  coldest: { unit: '°C', decimals: 1, error: 0.5, phase: 'mould' },
  /** When the last core was pulled, as a share of its window's middle. */
  corePull: { unit: '%', decimals: 0, error: 0.05, phase: 'mould' },
  /** Equivalent age at demoulding, as a share of what was proposed. */
  demouldAge: { unit: '%', decimals: 0, error: 0.05, phase: 'mould' },
  /** Moist curing, as a share of what was asked. */
  moistCuring: { unit: '%', decimals: 0, error: 0.05, phase: 'curing' },
  /** Water that was left at sealing over its limit, as a share of the dry mass. */
  waterLeft: { unit: '%', decimals: 1, error: 0.005, phase: 'sealing' },
  /** The shortest wait between two coats, as a share of the least. */
  recoat: { unit: '%', decimals: 0, error: 0.05, phase: 'sealing' },
  /** Of the air at the first coat. */
  sealedAt: { unit: '°C', decimals: 0, error: 1, phase: 'sealing' },
} as const satisfies Readonly<Record<string, Kind>>;

export type Circumstance = keyof typeof circumstances;
export const circumstanceKeys = Object.keys(circumstances) as Circumstance[];

/** Circumstances that hold or do not. */
export const flags: readonly Circumstance[] = ['oneLift', 'notTapped', 'unreinforced', 'noRelease', 'uncovered'];

/** A circumstance of one cast: its amount, and the least and the most that the handbook allows this cast, where it does. */
export interface Circumstanced {
  readonly value: number;
  readonly least?: number;
  readonly most?: number;
}

/** What is on record of a cast; what is not there was not recorded. */
export type Circumstances = Readonly<Partial<Record<Circumstance, Circumstanced>>>;
