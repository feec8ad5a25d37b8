import {
  HOUR,
  computed,
  figure,
  line,
  type Figure,
  msg,
  quantity,
  exactly,
  fixed,
  type Message,
  type Quantity,
} from '../../foundation/units/index.js';
import type { Sealer } from '../../mixing/materials/index.js';
import type { DryingAmbient } from './drying-ambient.js';
import { dryingProgress } from './drying-progress.js';

export const sides = ['outside', 'inside', 'both'] as const;
export type Side = (typeof sides)[number];

/** How a coat is put on. */
export const coatTools = ['brush', 'cloth', 'spray', 'dip'] as const;
export type CoatTool = (typeof coatTools)[number];

/** When each tool is the one, in a sentence. */
export const coatToolWords: Record<CoatTool, Message> = {
  brush: msg('sealing.brushTool'),
  cloth: msg('sealing.clothTool'),
  spray: msg('sealing.sprayTool'),
  dip: msg('sealing.dipTool'),
};

const LEAST_WARM = 8;
const MOST_DAMP = 0.85;
/** Ten degrees more halve the time that a coat wants. */
const TEN_DEGREES = 2;

/** How fast a coat dries in this air, 1 at 20 °C and half damp: twice as fast every ten degrees, slower in damp air. */
export function coatPace({ temperature, humidity }: DryingAmbient): number {
  const damp = Math.min(1.3, Math.max(0.3, (1 - humidity) / 0.5));
  return TEN_DEGREES ** ((Math.min(40, temperature) - 20) / 10) * damp;
}

/** Air at a time, ms: it holds until the next reading, or what is forecast. */
export interface CoatAmbientAt extends DryingAmbient {
  readonly at: number;
}

/** The window for the next coat, ms. */
export interface RecoatWindow {
  readonly from: number;
  readonly to: number;
  readonly working: Figure;
}

/** When the next coat goes on after one at `at` (ms), in the air that it dries in: one for all the time, or readings and a forecast in order. */
export function recoatWindow(
  sealer: Sealer,
  at: number,
  ambient: DryingAmbient | readonly CoatAmbientAt[],
): RecoatWindow {
  const series = 'temperature' in ambient ? [{ ...ambient, at }] : ambient;
  const rates = series.map((one) => ({ hour: one.at / HOUR, rate: coatPace(one) }));
  const after = (hours: number) => (rates.length === 0 ? hours : dryingProgress(hours, at / HOUR, rates) - at / HOUR);
  const hours = after(sealer.recoatFrom);
  const pace = hours > 0 ? sealer.recoatFrom / hours : 1;
  return {
    from: at + hours * HOUR,
    // A warm room closes the window sooner, but a cold one does not keep it open longer than twice the sheet's time.
    to: at + Math.max(hours, Math.min(2 * sealer.recoatTo, after(sealer.recoatTo))) * HOUR,
    working: figure(hours, 'h', computed, [
      line(msg('sealing.bySheet', { temperature: exactly(20, '°C') }), sealer.recoatFrom, 'h'),
      line(msg('sealing.paceInAir'), pace, 'ratio', msg('sealing.paceHow', { ten: exactly(10, 'K') })),
      line(msg('sealing.nextCoatAfter'), hours, 'h'),
    ]),
  };
}

/** Something about a coat that speaks against it: refused unless overridden, or only told. */
export interface CoatRemark {
  readonly rule: 'recoat' | 'late' | 'ambient' | 'age' | 'use' | 'decoration';
  readonly severity: 'refuse' | 'tell';
  readonly told: Message;
  readonly remedy: Message;
}

/** A coat as it is about to be put on. Times ms. */
export interface CoatAsked {
  readonly sealer: Sealer;
  readonly at: number;
  readonly ambient?: DryingAmbient;
  /** The coat before it, of any product, and the air since. */
  readonly last?: { readonly at: number; readonly sealer: Sealer; readonly since?: readonly CoatAmbientAt[] };
  /** Months that the product's lot has stood open. */
  readonly openMonths?: number;
  /** What was put on the piece last by way of decoration dries until then. */
  readonly decorationDryAt?: number;
}

const timeIn = (ms: number): Quantity => {
  const hours = ms / HOUR;
  return hours < 1 ? quantity(Math.ceil(hours * 60), 'min') : quantity(hours, 'h', hours < 10 ? 1 : 0);
};

function afterLast({ at, ambient, last }: CoatAsked): CoatRemark[] {
  if (!last) return [];
  const { from, to } = recoatWindow(last.sealer, last.at, last.since ?? ambient ?? { temperature: 20, humidity: 0.5 });
  if (at < from)
    return [
      {
        rule: 'recoat',
        severity: 'refuse',
        told: msg('sealing.coatNotDry', {
          sealer: last.sealer.name,
          needed: timeIn(from - last.at),
          had: timeIn(at - last.at),
        }),
        remedy: msg('sealing.waitOrOverride', { left: timeIn(from - at) }),
      },
    ];
  if (at > to && last.sealer.film)
    return [
      {
        rule: 'late',
        severity: 'tell',
        told: msg('sealing.recoatClosed'),
        remedy: msg('sealing.wetSand'),
      },
    ];
  return [];
}

/** What speaks against a coat by its time, its air, and the age of its product. The dryness of the piece is the gate's matter. */
export function coatRemarks(asked: CoatAsked): CoatRemark[] {
  const { sealer, at, ambient, openMonths, decorationDryAt } = asked;
  const found = afterLast(asked);
  if (decorationDryAt !== undefined && at < decorationDryAt)
    found.push({
      rule: 'decoration',
      severity: 'refuse',
      told: msg('sealing.decorationNotDry', { left: timeIn(decorationDryAt - at) }),
      remedy: msg('sealing.waitOverride'),
    });
  if (ambient && ambient.temperature < LEAST_WARM)
    found.push({
      rule: 'ambient',
      severity: 'tell',
      told: msg('sealing.tooCold', { temperature: quantity(ambient.temperature, '°C', 0) }),
      remedy: msg('sealing.warmTo', { leastWarm: exactly(LEAST_WARM, '°C') }),
    });
  if (ambient && ambient.humidity > MOST_DAMP)
    found.push({
      rule: 'ambient',
      severity: 'tell',
      told: msg('sealing.filmClouds', { humidity: quantity(ambient.humidity * 100, '%', 0) }),
      remedy: msg('sealing.drierAir'),
    });
  if (openMonths !== undefined && openMonths > sealer.keepsMonths)
    found.push({
      rule: 'age',
      severity: 'tell',
      told: msg('sealing.openTooLong', {
        sealer: sealer.name,
        openMonths: fixed(openMonths, 0),
        keepsMonths: sealer.keepsMonths,
      }),
      remedy: msg('sealing.trySealer'),
    });
  return found;
}
