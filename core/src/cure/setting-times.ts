import type { PieceKind } from '../moulds/index.js';
import { activation, rate } from './maturity.js';
import type { SettingClass } from './strength-share.js';

/** Pot life at 20 °C, minutes: lower end of the handbook's range, so that no one is caught out. */
const potLife20: Record<SettingClass, number> = {
  portland: 60,
  'fast-setting': 10,
  gypsum: 8,
  underlayment: 15,
  patch: 20,
  lime: 120,
};

/** Pot life of a Portland mix with accelerator at 20 °C, minutes. */
const ACCELERATED_POT_LIFE = 40;

/** Initial set at 20 °C, hours; lime stiffens by drying and air, about a day. */
const initialSet20: Record<SettingClass, number> = {
  portland: 4.5,
  'fast-setting': 13 / 60,
  gypsum: 13 / 60,
  underlayment: 23 / 60,
  patch: 0.75,
  lime: 24,
};
/** Initial set of a Portland mix with accelerator at 20 °C, hours. */
const ACCELERATED_SET = 3;

/** Lift-out by equivalent hours at 20 °C of binders that are not Portland. */
const liftOutByBinder: Partial<Record<SettingClass, number>> = {
  'fast-setting': 2.5,
  gypsum: 0.75,
  underlayment: 4,
  patch: 6,
  lime: 72,
};

/** Lift-out of Portland pieces by kind, equivalent hours at 20 °C. */
const liftOutByPiece: Record<PieceKind, number> = {
  slab: 20,
  pot: 24,
  'small-pot': 24,
  dish: 44,
  lamp: 44,
  leaf: 44,
  panel: 44,
  ornament: 44,
  'hypertufa-pot': 30,
  trough: 60,
};

/** Minutes in which a mix can be placed at a temperature: its pot life at 20 °C ÷ rate. */
export function potLife(setting: SettingClass, temperature: number, at20 = potLife20[setting]): number {
  return at20 / rate(temperature, activation[setting]);
}

/** Pot life of a mix that an accelerator hurries, minutes; only Portland heeds it. */
export const hurriedPotLife = (setting: SettingClass, temperature: number): number =>
  potLife(setting, temperature, setting === 'portland' ? ACCELERATED_POT_LIFE : undefined);

/** Hours to initial set at a temperature: its figure at 20 °C ÷ rate. */
export function initialSet(setting: SettingClass, temperature: number, accelerated = false): number {
  const at20 = accelerated && setting === 'portland' ? ACCELERATED_SET : initialSet20[setting];
  return at20 / rate(temperature, activation[setting]);
}

/** Lift-out of Portland pieces with light grains: of panels, and of all others at the least, equivalent hours at 20 °C. */
const LIGHT_PANEL = 48;
const LIGHT = 30;

/** The handbook’s lift-out age of a piece, equivalent hours at 20 °C. A lightweight mix is weaker while it is young. */
export function handbookLiftOut(setting: SettingClass, piece: PieceKind, lightweight = false): number {
  const byBinder = liftOutByBinder[setting];
  if (byBinder !== undefined || !lightweight) return byBinder ?? liftOutByPiece[piece];
  return Math.max(liftOutByPiece[piece], piece === 'panel' ? LIGHT_PANEL : LIGHT);
}

/** Share of the handbook's lift-out age at which the window opens for the bold, and by which a core may lock. */
export const liftOutWindow = { early: 0.8, late: 3 } as const;
