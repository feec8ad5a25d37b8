/** Refractive index of the film of water, and its mean reflections from above and inside (Lekner & Dorf 1988). */
const INDEX = 1.33;
const REFLECTED_ABOVE = 0.02;
const REFLECTED_INSIDE = 0.066;
/** Below this reflectance the model does not hold. */
const DARKEST = 0.05;

/**
 * Reflectance of a rough face under a film of water, from its dry reflectance, both 0–1 and linear in light.
 * A_wet = (1−R_l)·A/(1 − p(1−A)), p = 1 − (1−R_s)/n². Never lighter than dry; below 0.05 the face is left as it is.
 */
export function wetReflectance(dry: number): number {
  if (dry <= DARKEST) return dry;
  const absorbed = 1 - dry;
  const p = 1 - (1 - REFLECTED_INSIDE) / INDEX ** 2;
  const wet = 1 - ((1 - REFLECTED_ABOVE) * absorbed) / (1 - p * (1 - absorbed));
  return Math.min(dry, Math.max(0, wet));
}
