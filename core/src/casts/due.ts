import {
  handbookLiftOut,
  hoursToReach,
  liftOutWindow,
  dampDaysTo,
  type SettingClass,
  type TemperatureReading,
} from '../cure/index.js';
import type { PieceKind } from '../moulds/index.js';
import type { Life } from './life.js';

const HOUR = 3_600_000;
const DAY = 24 * HOUR;

/** What is done to a cast on the round. */
export type Stroke = 'Lift out' | 'Wet' | 'Uncover' | 'Weigh' | 'Coat' | 'Put out';

/** A band of time for a stroke, ms: early before `good`, late after `late`. */
export interface Window {
  readonly stroke: Stroke;
  readonly early: number;
  readonly good: number;
  readonly late: number;
}

/** What `windowOf` needs beside a cast's life. Temperatures are hours since the pour. */
export interface DueContext {
  readonly setting: SettingClass;
  readonly piece: PieceKind;
  readonly temperatures: readonly TemperatureReading[];
  /** When the gate opens for sealing by the weighings, ms; undefined before the first weighing. */
  readonly opensAt?: number;
  /** Whether the weighings show it dry enough. */
  readonly dryEnough?: boolean;
}

/** Share of 28-day strength to which pieces are kept damp by default. */
export const DAMP_TO_SHARE = 0.7;
const HORIZON_HOURS = 24 * 90;
const COAT_CURE = 2 * DAY;

function liftOut(life: Life, { setting, piece, temperatures }: DueContext): Window {
  const age = handbookLiftOut(setting, piece);
  const ages = [liftOutWindow.early * age, age, liftOutWindow.late * age];
  const [early, good, late] = hoursToReach(temperatures, ages, setting, HORIZON_HOURS);
  const at = (hours: number | undefined) => life.pouredAt + (hours ?? HORIZON_HOURS) * HOUR;
  return { stroke: 'Lift out', early: at(early), good: at(good), late: at(late) };
}

function endOfDampCure(life: Life, { setting, temperatures }: DueContext): Window {
  const equivalent = setting === 'portland' ? dampDaysTo(DAMP_TO_SHARE) * 24 : 24;
  const [hours = HORIZON_HOURS] = hoursToReach(temperatures, [equivalent], setting, HORIZON_HOURS);
  const good = life.pouredAt + hours * HOUR;
  return { stroke: 'Uncover', early: good - DAY, good, late: good + 21 * DAY };
}

/** The next thing to do with a cast and its band of time; undefined for one that is out or broken. */
export function windowOf(life: Life, context: DueContext): Window | undefined {
  switch (life.stage) {
    case 'setting':
      return liftOut(life, context);
    case 'damp':
      return endOfDampCure(life, context);
    case 'drying': {
      if (context.dryEnough) {
        const good = Math.max(context.opensAt ?? 0, life.weighedAt ?? 0);
        return { stroke: 'Coat', early: good, good, late: good + 30 * DAY };
      }
      const good = life.weighedAt === undefined ? (life.uncoveredAt ?? life.pouredAt) : life.weighedAt + 20 * HOUR;
      return { stroke: 'Weigh', early: good - 4 * HOUR, good, late: good + DAY };
    }
    case 'sealed': {
      const last = life.coats[life.coats.length - 1]?.at ?? life.pouredAt;
      return { stroke: 'Put out', early: last + COAT_CURE / 2, good: last + COAT_CURE, late: last + 60 * DAY };
    }
    default:
      return undefined;
  }
}

/** Where `now` lies in a window. */
export function phaseOf(window: Omit<Window, 'stroke'>, now: number): 'before' | 'early' | 'good' | 'late' {
  if (now < window.early) return 'before';
  if (now < window.good) return 'early';
  return now <= window.late ? 'good' : 'late';
}
