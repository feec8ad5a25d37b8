import type { ReleaseName } from '../../geometry/moulds/index.js';
import type { DemouldRecord, DemouldWays, MoistCuring } from '../curing/index.js';
import type { KeptMould, PourSources } from '../planning/index.js';
import type { OwnedCopy } from '../pours/index.js';
import type { OpenLine } from './order-lines.js';
import type { PlaceAir } from './place-air.js';
import { usualSetup, type SessionSetup } from './session-pour.js';
import { casterWeek, type KeptWeek } from './kept-week.js';
import type { CasterWeek } from './week.js';

/** A mould as far as it is planned with. */
export interface CalendarMould extends KeptMould {
  readonly copies: readonly OwnedCopy[];
  /** Used once, or rebuilt each time. */
  readonly once?: boolean;
  readonly release?: ReleaseName;
}

/** Planks on which pieces stand, all together, mm. */
export interface Room {
  readonly length: number;
  readonly depth: number;
}
/** How much stands on planks, mm². */
export const roomOf = ({ length, depth }: Room): number => length * depth;

/** A place in which pieces are poured, cure and dry. */
export interface CalendarPlace {
  readonly id: string;
  readonly name: string;
  readonly air: PlaceAir;
  /** Room for pieces, mm²; as much as is wanted where nobody said. */
  readonly room?: number;
}

/** A cast that stands somewhere, as far as it is in the way. */
export interface StandingPiece {
  readonly mouldId: string;
  /** When its mould is free again, ms; undefined where it is out. */
  readonly freeAt?: number;
  readonly placeId?: string;
  /** When it leaves its place, ms. */
  readonly until: number;
}

/** What was learned of a mould with a mix. */
export interface LearnedOfPair {
  readonly mouldId: string;
  readonly mixId: string;
  /** Its demouldings so far, and how the caster takes them. */
  readonly demoulds?: { readonly records: readonly DemouldRecord[]; readonly ways: DemouldWays };
  /** Chance that a piece is lost on the way, 0 to 1, where somebody says; else by the demouldings. */
  readonly risk?: number;
  /** Time constants of the drying of its pieces at 20 °C and half damp, h: their middle, and how many were weighed. */
  readonly drying?: { readonly tau: number; readonly pieces: number };
}

/** Everything of a workshop that its calendar is made from. */
export interface CalendarSources {
  readonly pour: Omit<PourSources, 'moulds'> & { readonly moulds: readonly CalendarMould[] };
  readonly lines: readonly OpenLine[];
  readonly weeks: readonly CasterWeek[];
  /** IANA name. */
  readonly zone: string;
  /** The first is where is poured what has no place of its own. */
  readonly places: readonly CalendarPlace[];
  readonly standing: readonly StandingPiece[];
  readonly learned: readonly LearnedOfPair[];
  readonly moistCuring: MoistCuring;
  readonly setup: SessionSetup;
  /** What is tried out: a way out of a plan that does not fit. */
  readonly trial?: CalendarTrial;
}

/** What is otherwise than it is, to see whether it would help. */
export interface CalendarTrial {
  /** A copy more of a mould. */
  readonly copyOf?: string;
  /** Every session so much longer, min. */
  readonly longer?: number;
  /** A session more each week: on this weekday, Monday 0. */
  readonly weekday?: number;
  /** Everything so much warmer, °C. */
  readonly warmer?: number;
  /** High-early cement in place of the general kind. */
  readonly faster?: boolean;
  /** What is not counted at all, to find what holds the plan up. */
  readonly without?: 'copies' | 'hours' | 'bucket' | 'spots' | 'shelf' | 'curing' | 'drying';
}

/** What of a workshop its calendar is made from, beside what pours are planned from, as it is kept. */
export interface CalendarKnown extends Omit<CalendarSources, 'pour' | 'weeks' | 'setup' | 'trial'> {
  readonly weeks: readonly KeptWeek[];
  /** The handbook's where nobody said. */
  readonly setup?: SessionSetup;
}

/** Gathers what a calendar is made from. */
export const calendarSources = (
  pour: CalendarSources['pour'],
  { lines, weeks, zone, places, standing, learned, moistCuring, setup = usualSetup }: CalendarKnown,
): CalendarSources => ({
  pour,
  lines,
  weeks: weeks.map(casterWeek),
  zone,
  places,
  standing,
  learned,
  moistCuring,
  setup,
});

/** The copies of a mould as a calendar counts them. */
export const copiesOwned = (
  copies: readonly { readonly mark: string; readonly retired: boolean; readonly condition: string }[],
): OwnedCopy[] => copies.map(({ mark, retired, condition }) => ({ mark, retired, leaks: condition === 'leaks' }));
