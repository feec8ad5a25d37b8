/** Which curve of strength a binder follows. */
export type SettingClass = 'portland' | 'fast-setting' | 'gypsum' | 'underlayment' | 'patch' | 'lime';

/** Share of 28-day strength of general Portland cement at `days` equivalent days: t/(4 + 0.85·t), ACI 209. */
export function portlandShare(days: number): number {
  return days / (4 + 0.85 * days);
}

/** Time scale (hours at 20 °C) and exponent of the other binders' strength share exp(−(τ/t)^α). */
const curves: Record<'fast-setting' | 'underlayment' | 'patch' | 'lime', readonly [number, number]> = {
  'fast-setting': [1.774, 0.6975],
  underlayment: [6, 0.6],
  patch: [14, 0.75],
  lime: [480, 0.6],
};

/**
 * Share of final strength after `hours` of equivalent age at 20 °C, 0 to about 1.
 * Gypsum gains the second half by drying: `dryness` runs from 0 (wet, or never weighed) to 1.
 */
export function strengthShare(setting: SettingClass, hours: number, dryness = 0): number {
  if (hours <= 0) return 0;
  if (setting === 'portland') return portlandShare(hours / 24);
  if (setting === 'gypsum') return 0.5 * Math.min(1, hours) * (1 + dryness);
  const [tau, alpha] = curves[setting];
  return Math.exp(-((tau / hours) ** alpha));
}

/** Equivalent hours at 20 °C in which a binder that is not Portland or gypsum comes to `share` of its strength: the inverse of its curve. */
export function timeToShare(setting: keyof typeof curves, share: number): number {
  const [tau, alpha] = curves[setting];
  return tau / (-Math.log(share)) ** (1 / alpha);
}

/** High-early Portland reaches its share sooner: t/(2.3 + 0.92·t), ACI 209. */
const highEarlyShare = (days: number) => days / (2.3 + 0.92 * days);
/** How far the hardening of the other binders is taken to stray, share of the equivalent age. */
const STRAY = { slow: 0.75, fast: 1.3 } as const;

/**
 * Share of final strength with its low and high end: Portland between the general kind at a tenth less or more age and the
 * high-early kind; the others at three quarters and at 1.3 of the age.
 */
export function shareBand(setting: SettingClass, hours: number, dryness = 0): readonly [number, number] {
  if (hours <= 0) return [0, 0];
  if (setting === 'portland') {
    const days = hours / 24;
    const early = highEarlyShare(days);
    return [Math.min(portlandShare(0.9 * days), early), Math.max(portlandShare(1.1 * days), early)];
  }
  return [strengthShare(setting, STRAY.slow * hours, dryness), strengthShare(setting, STRAY.fast * hours, dryness)];
}

/** Equivalent days of damp cure that bring Portland to `share` of its 28-day strength: the inverse of its curve. */
export function dampDaysTo(share: number): number {
  return (4 * share) / (1 - 0.85 * share);
}
