import type { PieceKind } from '../../geometry/moulds/index.js';
import { moistDaysTo, portlandShare, type BinderClass } from '../../mixing/binders/index.js';

/** Demoulding by equivalent hours at 20 °C of binders that are not Portland. */
const demouldAgeByBinder: Partial<Record<BinderClass, number>> = {
  'fast-setting': 2.5,
  gypsum: 0.75,
  underlayment: 4,
  patch: 6,
  lime: 72,
};

/** Demoulding of Portland pieces by kind, equivalent hours at 20 °C. */
const demouldAgeByPiece: Record<PieceKind, number> = {
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

/** Demoulding of Portland pieces with light grains: of panels, and of all others at the least, equivalent hours at 20 °C. */
const LIGHT_PANEL = 48;
const LIGHT = 30;

function generalDemouldAge(piece: PieceKind, lightweight: boolean): number {
  if (!lightweight) return demouldAgeByPiece[piece];
  return Math.max(demouldAgeByPiece[piece], piece === 'panel' ? LIGHT_PANEL : LIGHT);
}

/**
 * The handbook’s demoulding age of a piece, equivalent hours at 20 °C. A lightweight mix is weaker while it is young.
 * High-early cement is as strong as the general kind at its age, sooner.
 */
export function handbookDemouldAge(binderClass: BinderClass, piece: PieceKind, lightweight = false): number {
  const general = generalDemouldAge(piece, lightweight);
  if (binderClass === 'high-early') return moistDaysTo(portlandShare(general / 24), binderClass) * 24;
  return demouldAgeByBinder[binderClass] ?? general;
}

/** Share of the handbook's demoulding age at which the window opens for the bold, and by which a core may lock. */
export const demouldWindow = { early: 0.8, late: 3 } as const;
