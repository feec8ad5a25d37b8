/** Which curve of strength a binder follows. */
export const binderClasses = [
  'portland',
  'high-early',
  'fast-setting',
  'gypsum',
  'underlayment',
  'patch',
  'lime',
] as const;
export type BinderClass = (typeof binderClasses)[number];

export type PortlandClass = 'portland' | 'high-early';

/** Whether a class or a family of binders is Portland cement, of the general or the high-early kind. */
export const isPortland = (binder: string | undefined): binder is PortlandClass =>
  binder === 'portland' || binder === 'high-early';

/** Whether a mix stiffens in minutes; cement and lime take hours. */
export const setsInMinutes = (binderClass: BinderClass): boolean => !isPortland(binderClass) && binderClass !== 'lime';

/** Constants a (days) and b of the strength share t/(a + b·t) of Portland cements, ACI 209. */
const portlandCurves: Record<PortlandClass, readonly [a: number, b: number]> = {
  portland: [4, 0.85],
  'high-early': [2.3, 0.92],
};

/** Share of 28-day strength of a Portland cement at `days` equivalent days: t/(4 + 0.85·t), high-early t/(2.3 + 0.92·t), ACI 209. */
export function portlandShare(days: number, binderClass: PortlandClass = 'portland'): number {
  const [a, b] = portlandCurves[binderClass];
  return days / (a + b * days);
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
export function strengthShare(binderClass: BinderClass, hours: number, dryness = 0): number {
  if (hours <= 0) return 0;
  if (isPortland(binderClass)) return portlandShare(hours / 24, binderClass);
  if (binderClass === 'gypsum') return 0.5 * Math.min(1, hours) * (1 + dryness);
  const [tau, alpha] = curves[binderClass];
  return Math.exp(-((tau / hours) ** alpha));
}

/** Equivalent hours at 20 °C in which a binder that is not Portland or gypsum comes to `share` of its strength: the inverse of its curve. */
export function timeToShare(binderClass: keyof typeof curves, share: number): number {
  const [tau, alpha] = curves[binderClass];
  return tau / (-Math.log(share)) ** (1 / alpha);
}

/** How far the hardening of the other binders is taken to stray, share of the equivalent age. */
const STRAY = { slow: 0.75, fast: 1.3 } as const;

/**
 * Share of final strength with its low and high end: general Portland between its own curve at a tenth less or more age and
 * the high-early one, which a bag need not tell; high-early at a tenth less or more age; the others at three quarters and at
 * 1.3 of the age.
 */
export function shareBand(binderClass: BinderClass, hours: number, dryness = 0): readonly [number, number] {
  if (hours <= 0) return [0, 0];
  if (isPortland(binderClass)) {
    const days = hours / 24;
    const own = [portlandShare(0.9 * days, binderClass), portlandShare(1.1 * days, binderClass)] as const;
    const early = portlandShare(days, 'high-early');
    return [Math.min(own[0], early), Math.max(own[1], early)];
  }
  return [
    strengthShare(binderClass, STRAY.slow * hours, dryness),
    strengthShare(binderClass, STRAY.fast * hours, dryness),
  ];
}

/** Equivalent days of moist curing that bring a Portland cement to `share` of its 28-day strength: the inverse of its curve. */
export function moistDaysTo(share: number, binderClass: PortlandClass = 'portland'): number {
  const [a, b] = portlandCurves[binderClass];
  return (a * share) / (1 - b * share);
}
